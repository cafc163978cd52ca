import fc from 'fast-check';
import { oneByOne, type InWindow } from './one-by-one';
import type { Node } from './problem';

type Given = { readonly minutes: number; readonly before: readonly { at: number; wait: number }[] } & InWindow;

const inAllOrders = <T>(rows: readonly T[]): readonly (readonly T[])[] =>
  rows.length < 2
    ? [rows]
    : rows.flatMap((one) => inAllOrders(rows.filter((other) => other !== one)).map((rest) => [one, ...rest]));

/** Whether tasks fit one after the other in just this order, each as soon as it can be. */
function fits(order: readonly Given[]): boolean {
  const ends = new Map<number, number>();
  let now = -Infinity;
  for (const { at, minutes, from, to, before } of order) {
    if (before.some((lag) => !ends.has(lag.at))) return false;
    now = Math.max(now, from, ...before.map((lag) => ends.get(lag.at)! + lag.wait)) + minutes;
    if (now > to) return false;
    ends.set(at, now);
  }
  return true;
}

const some = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 5, max: 40 }),
      from: fc.integer({ min: 0, max: 60 }),
      to: fc.integer({ min: 60, max: 150 }),
      after: fc.option(fc.tuple(fc.nat(), fc.constantFrom(0, 20, 45))),
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

test('an order is found where one of all there are fits, and then it is one of those', () => {
  const came = new Map<boolean, number>();
  fc.assert(
    fc.property(some, (rows) => {
      const order = oneByOne(rows as unknown as readonly Node[], rows);
      const isThere = inAllOrders(rows).some(fits);
      came.set(isThere, (came.get(isThere) ?? 0) + 1);
      if (!isThere) return expect(order).toBeNull();
      expect(order).not.toBe('unknown');
      expect(fits((order as readonly number[]).map((at) => rows[at]!))).toBe(true);
    }),
    { numRuns: 300 },
  );
  expect(Math.min(came.get(true)!, came.get(false)!)).toBeGreaterThan(30);
});

test('where there are too many orders to go through nothing is claimed', () => {
  // Twenty alike that just do not fit: each order fails at its end alone.
  const rows = Array.from({ length: 20 }, (_, at): Given => ({
    at,
    minutes: 10,
    from: 0,
    to: at === 19 ? 199 : 1e6,
    before: [],
  }));
  const last = rows.map((one, k) =>
    k === 19 ? { ...one, before: rows.slice(0, 19).map(({ at }) => ({ at, wait: 0 })) } : one,
  );
  expect(oneByOne(last as unknown as readonly Node[], last)).toBe('unknown');
});
