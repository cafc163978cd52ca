import fc from 'fast-check';
import { inches } from '../length';
import { oneByOne, type InWindow } from './one-by-one';
import type { Node } from './problem';
import type { Task } from './task';
import { isThere, type Holding } from './work-bench';

type Given = InWindow & {
  readonly minutes: number;
  readonly before: readonly { at: number; wait: number }[];
  readonly task: Pick<Task, 'wait' | 'clamps' | 'lies'>;
};
const BARE = { wait: 0, clamps: null, lies: false } as const;
/** Four clamps that open 24 in, two of them more; room for two things to lie. */
const SHOP = {
  clamps: [
    { length: inches(24), count: 2 },
    { length: inches(50), count: 2 },
  ],
  room: 2,
};
const ordered = (rows: readonly Given[], held: readonly Holding[] = []) =>
  oneByOne({ ...SHOP, nodes: rows as unknown as readonly Node[] }, rows, held);

const inAllOrders = <T>(rows: readonly T[]): readonly (readonly T[])[] =>
  rows.length < 2
    ? [rows]
    : rows.flatMap((one) => inAllOrders(rows.filter((other) => other !== one)).map((rest) => [one, ...rest]));

/** Whether tasks fit one after the other in just this order, each at the first minute that everything is there. */
function fits(order: readonly Given[], held: readonly Holding[]): boolean {
  const ends = new Map<number, number>();
  const holding = [...held];
  let now = -Infinity;
  for (const { at, minutes, from, to, before, task } of order) {
    if (before.some((lag) => !ends.has(lag.at))) return false;
    now = Math.max(now, from, ...before.map((lag) => ends.get(lag.at)! + lag.wait));
    while (now + minutes <= to && !isThere(SHOP, holding, task as Task, now)) now++;
    now += minutes;
    if (now > to) return false;
    ends.set(at, now);
    if (task.wait > 0) holding.push({ until: now + task.wait, clamps: task.clamps, lies: task.lies });
  }
  return true;
}

const clamps = fc.record({ count: fc.integer({ min: 1, max: 5 }), span: fc.constantFrom(inches(12), inches(40)) });
const some = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 5, max: 40 }),
      from: fc.integer({ min: 0, max: 60 }),
      to: fc.integer({ min: 90, max: 190 }),
      after: fc.option(fc.tuple(fc.nat(), fc.constantFrom(0, 20, 45))),
      task: fc.oneof(
        fc.constant(BARE),
        fc.record({ wait: fc.constantFrom(20, 60), clamps: fc.option(clamps), lies: fc.boolean() }),
      ),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((rows) =>
    rows.map(({ after, ...row }, at): Given => ({
      ...row,
      at,
      before: at > 0 && after ? [{ at: after[0] % at, wait: after[1] }] : [],
    })),
  );
const holds = fc.array(
  fc.record({ until: fc.integer({ min: 0, max: 120 }), clamps: fc.option(clamps), lies: fc.boolean() }),
  {
    maxLength: 2,
  },
);

test('an order is found where one of all there are fits, with clamps and room, and then it is one of those', () => {
  const came = new Map<boolean, number>();
  fc.assert(
    fc.property(some, holds, (rows, held) => {
      const order = ordered(rows, held);
      const isOne = inAllOrders(rows).some((all) => fits(all, held));
      came.set(isOne, (came.get(isOne) ?? 0) + 1);
      if (!isOne) return expect(order).toBeNull();
      expect(order).not.toBe('unknown');
      expect(
        fits(
          (order as readonly number[]).map((at) => rows[at]!),
          held,
        ),
      ).toBe(true);
    }),
    { numRuns: 400 },
  );
  expect(Math.min(came.get(true)!, came.get(false)!)).toBeGreaterThan(40);
});

const given = (at: number, minutes: number, to: number, change: Partial<Given> = {}): Given => ({
  ...{ at, minutes, from: 0, to, before: [], task: BARE },
  ...change,
});

test('twenty alike that just do not fit: that is found out, however many orders there are', () => {
  const rows = Array.from({ length: 20 }, (_, at) => given(at, 10, at === 19 ? 199 : 1e6));
  const last = rows.map((one, k) =>
    k === 19 ? { ...one, before: rows.slice(0, 19).map(({ at }) => ({ at, wait: 0 })) } : one,
  );
  expect(ordered(last)).toBeNull();
  expect(ordered(last.map((one) => ({ ...one, to: one.to + 1 })))).toHaveLength(20);
});

test('where there are too many to be told apart nothing is claimed, and of none the order is none', () => {
  const many = Array.from({ length: 60 }, (_, at) => given(at, 1, 1000));
  expect(ordered(many)).toBe('unknown');
  expect(ordered([])).toEqual([]);
});

test('glue-ups that want all clamps wait for each other, and what holds nothing is done meanwhile', () => {
  const glue = { wait: 60, clamps: { count: 4, span: inches(12) }, lies: true };
  // Ten minutes, sixty in clamps, ten again: eighty. Sixty of other work fit between, sixty-one do not.
  const pair = [given(0, 10, 140, { task: glue }), given(1, 10, 80, { task: glue })];
  const first = pair.map((one, k) => (k === 0 ? { ...one, to: 10 } : one));
  expect(ordered([...first, given(2, 60, 80)])).toEqual([0, 2, 1]);
  expect(ordered([...first, given(2, 61, 1000, { to: 80 })])).toBeNull();
  // Clamps that are taken till noon are taken.
  const taken = (until: number) => [{ until, clamps: glue.clamps, lies: true }];
  expect(ordered(pair, taken(60))).toEqual([1, 0]);
  expect(ordered(pair, taken(61))).toBeNull();
});
