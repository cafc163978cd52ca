import fc from 'fast-check';
import { apartIn } from './apart';
import type { Node } from './problem';

type Given = { readonly minutes: number; readonly before: readonly { readonly at: number; readonly wait: number }[] };
const apart = (rows: readonly Given[]) => apartIn(rows as unknown as readonly Node[]);
const lags = (rows: readonly Given[]) =>
  Object.fromEntries(apart(rows).map(({ first, own, lag }) => [`${first} ${own}`, lag]));

test('as far as the longest chain between them; what is in no order is not told', () => {
  const rows: readonly Given[] = [
    { minutes: 10, before: [] },
    { minutes: 20, before: [{ at: 0, wait: 60 }] },
    { minutes: 5, before: [{ at: 0, wait: 0 }] },
    {
      minutes: 30,
      before: [
        { at: 1, wait: 15 },
        { at: 2, wait: 100 },
      ],
    },
  ];
  // By way of 1: 60, 20 of its own and 15; by way of 2: 5 and 100.
  expect(lags(rows)).toEqual({ '0 1': 60, '0 2': 0, '0 3': 105, '1 3': 15, '2 3': 100 });
});

test('all that comes between takes one pair of hands, one after the other', () => {
  const between = [1, 2, 3].map((): Given => ({ minutes: 40, before: [{ at: 0, wait: 30 }] }));
  const rows = [
    { minutes: 10, before: [] },
    ...between,
    { minutes: 5, before: [1, 2, 3].map((at) => ({ at, wait: 0 })) },
  ];
  expect(lags(rows)['0 4']).toBe(120);
});

const some = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 1, max: 30 }),
      after: fc.array(fc.tuple(fc.nat(), fc.constantFrom(0, 20, 60)), { maxLength: 2 }),
    }),
    {
      minLength: 2,
      maxLength: 6,
    },
  )
  .map((rows) =>
    rows.map(({ minutes, after }, at): Given => ({
      minutes,
      before: at === 0 ? [] : after.map(([first, wait]) => ({ at: first % at, wait })),
    })),
  );
/** All orders that keep what comes before, each task as soon as it can be after the one before it. */
function inAllOrders(rows: readonly Given[]): readonly (readonly number[])[] {
  const goOn = (starts: readonly (number | null)[], now: number): readonly (readonly number[])[] =>
    starts.every((start) => start !== null)
      ? [starts as readonly number[]]
      : rows.flatMap(({ minutes, before }, at) => {
          if (starts[at] !== null || before.some((lag) => starts[lag.at] === null)) return [];
          const start = Math.max(now, ...before.map((lag) => starts[lag.at]! + rows[lag.at]!.minutes + lag.wait));
          return goOn(
            starts.map((one, k) => (k === at ? start : one)),
            start + minutes,
          );
        });
  return goOn(
    rows.map(() => null),
    0,
  );
}

test('in no order at all are two of them nearer than that', () => {
  fc.assert(
    fc.property(some, (rows) => {
      const told = apart(rows);
      for (const starts of inAllOrders(rows))
        for (const { first, own, lag } of told)
          expect(starts[own]! - starts[first]! - rows[first]!.minutes).toBeGreaterThanOrEqual(lag);
    }),
  );
});
