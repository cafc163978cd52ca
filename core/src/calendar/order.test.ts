import fc from 'fast-check';
import type { Apart } from './apart';
import { drawIn, orderBroken, orderOf, type Left, type Place } from './order';

/** Three tasks in windows of two hours a day apart, each following those before it by some minutes, or not at all. */
const some = fc
  .record({
    // By task, the windows it has a place in, the minutes from its beginning at which it could be over, and its own.
    tasks: fc.array(
      fc.record({
        windows: fc.uniqueArray(fc.nat(3), { minLength: 1, maxLength: 4 }),
        end: fc.constantFrom(20, 50, 80),
        minutes: fc.constantFrom(10, 20),
      }),
      { minLength: 3, maxLength: 3 },
    ),
    lags: fc.array(fc.option(fc.constantFrom(0, 30, 60, 1500)), { minLength: 3, maxLength: 3 }),
  })
  .map(({ tasks, lags }) => {
    let column = 0;
    const places = tasks.map(({ windows, end, minutes }) =>
      windows
        .toSorted((a, b) => a - b)
        .map((window): Place => {
          const from = 1440 * window;
          return { window, column: column++, end: from + end, latest: from + 120 - minutes };
        }),
    );
    const pairs = [
      [0, 1],
      [0, 2],
      [1, 2],
    ] as const;
    const apart = pairs.flatMap(([first, own], k): Apart[] => {
      const lag = lags[k] ?? null;
      return lag === null ? [] : [{ first, own, lag }];
    });
    return { places, apart, columns: column };
  });
type Some = typeof some extends fc.Arbitrary<infer T> ? T : never;

const keeps = (own: Place, first: Place, lag: number) => own.window >= first.window && own.latest - first.end >= lag;

/** All ways to give each task a place, kept in order or not, as numbers of places. */
const allWays = ({ places }: Some): readonly (readonly number[])[] =>
  places.reduce<readonly (readonly number[])[]>(
    (ways, own) => ways.flatMap((way) => own.map((_, k) => [...way, k])),
    [[]],
  );
const isKept = ({ places, apart }: Some, way: readonly number[]) =>
  apart.every(({ first, own, lag }) => keeps(places[own]![way[own]!]!, places[first]![way[first]!]!, lag));
const asAnswer = ({ places, columns }: Some, way: readonly number[]) => {
  const x = new Array<number>(columns).fill(0);
  places.forEach((own, at) => (x[own[way[at]!]!.column] = 1));
  return x;
};

test('a whole answer breaks the order of tasks just where one stands before what it follows is over', () => {
  let broken = 0;
  fc.assert(
    fc.property(some, (one) => {
      for (const way of allWays(one)) {
        const rows = orderBroken(orderOf(one.apart, one.places), asAnswer(one, way));
        expect(rows.length === 0).toBe(isKept(one, way));
        broken += rows.length;
      }
    }),
  );
  expect(broken).toBeGreaterThan(100);
});

test('what an answer in parts is asked for it breaks, no way that keeps the order does, and it is asked for once', () => {
  let asked = 0;
  fc.assert(
    fc.property(some, fc.array(fc.nat(20), { minLength: 12, maxLength: 12 }), (one, parts) => {
      const x = one.places.flatMap((own) => {
        const mine = own.map(({ column }) => 1 + parts[column]!);
        const sum = mine.reduce((all, part) => all + part, 0);
        return mine.map((part) => part / sum);
      });
      const order = orderOf(one.apart, one.places);
      const kept = allWays(one).filter((way) => isKept(one, way));
      for (let rows = orderBroken(order, x); rows.length > 0; rows = orderBroken(order, x)) {
        for (const { least, entries } of rows) {
          const comesTo = (of: readonly number[]) =>
            entries.reduce((sum, [column, value]) => sum + value * of[column]!, 0);
          expect(comesTo(x)).toBeLessThan(least);
          kept.forEach((way) => expect(comesTo(asAnswer(one, way))).toBeGreaterThanOrEqual(least));
        }
        asked += rows.length;
        expect(asked).toBeLessThan(10_000);
      }
    }),
  );
  expect(asked).toBeGreaterThan(50);
});

test('places left to a task are those that the places of the others leave it, the first to the last', () => {
  let [drawn, none] = [0, 0];
  fc.assert(
    fc.property(some, fc.array(fc.nat(3), { minLength: 6, maxLength: 6 }), (one, cut) => {
      const { places, apart } = one;
      const low = places.map((own, at) => Math.min(cut[at]!, own.length - 1));
      const high = places.map((own, at) => Math.max(low[at]!, own.length - 1 - cut[at + 3]!));
      const left: Left = { low: Int32Array.from(low), high: Int32Array.from(high) };
      const is = drawIn(orderOf(apart, places), left);
      // By each pair alone, again and again until nothing changes.
      for (let before = ''; before !== JSON.stringify([low, high]);) {
        before = JSON.stringify([low, high]);
        for (const { first, own, lag } of apart) {
          const goes = (k: number, j: number) => {
            const [mine, other] = [places[own]![k], places[first]![j]];
            return mine !== undefined && other !== undefined && keeps(mine, other, lag);
          };
          while (low[own]! <= high[own]! && !goes(low[own]!, low[first]!)) low[own]!++;
          while (high[first]! >= low[first]! && !goes(high[own]!, high[first]!)) high[first]!--;
        }
      }
      const isLeft = low.every((from, at) => from <= high[at]!);
      expect(is).toBe(isLeft);
      if (isLeft) expect([[...left.low], [...left.high]]).toEqual([low, high]);
      drawn += Number(isLeft);
      none += Number(!isLeft);
    }),
  );
  expect(Math.min(drawn, none)).toBeGreaterThan(5);
});
