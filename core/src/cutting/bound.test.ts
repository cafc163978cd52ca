import fc from 'fast-check';
import { dualOf, mostValue, nextPayable } from './bound';
import { fill } from './fill';
import { singleLane, waysOn } from './ways';
import { groupsOf, laneWeight, liesOn, type Group } from './group';
import type { CutProblem } from './problem';
import { relax } from './columns';
import { runs } from '../testing/runs';

type Stock = CutProblem['stock'][number];

const problem = (stock: Partial<Stock>[], parts: Partial<CutProblem['parts'][number]>[], kerf = 0.125): CutProblem => ({
  format: 'sill-plan/cut-problem@1',
  unit: 'in',
  kerf,
  objective: 'cost',
  stock: stock.map((row, at) => ({
    id: `s${at}`,
    kind: 'board',
    material: 'spf',
    length: 96,
    width: 3.5,
    thickness: 1.5,
    price: 5,
    available: null,
    trim: { ends: 0, edges: 0 },
    defects: [],
    ...row,
  })),
  parts: parts.map((row, at) => ({
    id: `p${at}`,
    quantity: 1,
    material: 'spf',
    length: 20,
    width: 3.5,
    thickness: 1.5,
    grain: 'any' as const,
    ...row,
  })),
});
const groupOf = (...args: Parameters<typeof problem>): Group => groupsOf(problem(...args))[0]!;

describe('groups', () => {
  test('split by material and thickness; equal parts are one item that remembers both', () => {
    const groups = groupsOf(
      problem(
        [{}, { id: 'thin', thickness: 0.75 }],
        [{ quantity: 2 }, { quantity: 3 }, { id: 'thin-part', thickness: 0.75 }, { length: 21 }],
      ),
    );
    expect(groups).toHaveLength(2);
    const [thick] = groups;
    expect(thick!.items.map((item) => [item.quantity, item.parts.map(({ id }) => id)])).toEqual([
      [5, ['p0', 'p1']],
      [1, ['p3']],
    ]);
  });

  test('trim and defects leave runs that touch neither', () => {
    const { bins } = groupOf(
      [
        {
          length: 41,
          trim: { ends: 0.5, edges: 0.25 },
          width: 5.5,
          defects: [
            { from: 12, to: 15.5 },
            { from: 15, to: 16 },
          ],
        },
      ],
      [{}],
    );
    const [bin] = bins;
    expect(
      bin!.runs.map(({ from, to }) => [from / 8128, to / 8128].map((inch) => Math.round(inch * 100) / 100)),
    ).toEqual([
      [0.5, 12],
      [16, 40.5],
    ]);
    expect(bin!.usableWidth).toBe(5 * 8128);
    expect(bin!.runs[0]!.to).toBeLessThan(12 * 8128);
    expect(bin!.runs[1]!.from).toBeGreaterThan(16 * 8128);
  });

  test('what a mitred piece takes of a lane: a width less than its long points at 45 degrees, and a wider kerf', () => {
    // Half units: twice the length and twice half a step at each end.
    const taken = (left: number, right: number) => {
      const group = groupOf([{}], [{ length: 20, width: 3.5, ends: { left, right } }]);
      return laneWeight(group, group.items[0]!) / 2 / 8128;
    };
    const kerf = 0.125 / Math.cos(Math.PI / 4);
    expect(taken(45, -45)).toBeCloseTo(20 - 3.5 + kerf, 3);
    expect(taken(45, 45)).toBeCloseTo(20 - 3.5 + kerf, 3);
    expect(taken(0, 0)).toBeCloseTo(20.125, 6);
    expect(taken(0, 45)).toBeCloseTo(20 - 1.75 + (0.125 + kerf) / 2, 3);
  });

  test('grain decides how a piece may lie on a sheet, a board never turns it', () => {
    const on = (kind: 'board' | 'sheet', grain: 'any' | 'length' | 'width') => {
      const group = groupOf([{ kind, length: 96, width: 48 }], [{ length: 30, width: 15, grain }]);
      return liesOn(group.items[0]!, group.bins[0]!).map(({ turned }) => turned);
    };
    expect(on('sheet', 'any')).toEqual([false, true]);
    expect(on('sheet', 'length')).toEqual([false]);
    expect(on('sheet', 'width')).toEqual([true]);
    expect(on('board', 'any')).toEqual([false]);
  });
});

/** Random stock of one board with random pieces on it, some narrower than half, so that lanes matter. */
const lists = fc
  .record({
    width: fc.constantFrom(3.5, 5.5, 11.25),
    parts: fc.array(
      fc.record({
        length: fc.integer({ min: 8, max: 60 }),
        width: fc.constantFrom(1.5, 2.5, 3.5),
        quantity: fc.integer({ min: 1, max: 4 }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    values: fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 5, maxLength: 5 }),
  })
  .map(({ width, parts, values }) => ({ group: groupOf([{ width }], parts), values }));

test('no filling is worth more than the bound says, in one lane or several', () => {
  fc.assert(
    fc.property(lists, ({ group, values }) => {
      const worth = group.items.map((_, at) => values[at]!);
      const pattern = fill(
        group,
        0,
        group.items.map((item) => item.quantity),
        worth,
      );
      const value = pattern.counts.reduce((sum, count, at) => sum + count * worth[at]!, 0);
      expect(value).toBeLessThanOrEqual(mostValue(group, group.bins[0]!, worth) + 1e-6);
    }),
    runs(300, 8),
  );
});

test('where pieces lie end to end the bound is the best filling itself', () => {
  fc.assert(
    fc.property(lists, ({ group, values }) => {
      fc.pre(singleLane(group, group.bins[0]!));
      const worth = group.items.map((_, at) => values[at]!);
      const pattern = fill(
        group,
        0,
        group.items.map((item) => item.quantity),
        worth,
      );
      const value = pattern.counts.reduce((sum, count, at) => sum + count * worth[at]!, 0);
      expect(value).toBeCloseTo(mostValue(group, group.bins[0]!, worth), 6);
    }),
    runs(200, 9),
  );
});

test('two halves of a board exactly are two lanes, not one and not three', () => {
  // Kerf 0 and width exactly half: the case where a floor in the lane rule would claim too much.
  const group = groupOf([{ width: 10 }], [{ width: 5, length: 96, quantity: 4 }], 0);
  expect(singleLane(group, group.bins[0]!)).toBe(false);
  expect(mostValue(group, group.bins[0]!, [1])).toBe(2);
  expect(fill(group, 0, [4], [1]).counts).toEqual([2]);
});

test('the dual bound: prices too high are scaled back, limited stock pays back its gain', () => {
  const group = groupOf([{ length: 60, price: 6 }], [{ length: 60, quantity: 3 }]);
  expect(dualOf(group, [600]).bound).toBeCloseTo(1800);
  expect(dualOf(group, [900]).bound).toBeCloseTo(1800);
  expect(dualOf(group, [0]).bound).toBe(0);
  const limited = groupOf(
    [
      { length: 60, price: 0, available: 1 },
      { length: 60, price: 6 },
    ],
    [{ length: 60, quantity: 3 }],
  );
  expect(dualOf(limited, [600]).bound).toBeCloseTo(1200);
});

test('costs are rounded up to what whole boards can cost', () => {
  const group = groupOf([{ price: 4.36 }, { price: 7.24 }], [{}]);
  const payable = nextPayable(group, 3000);
  expect([0, 1, 436, 437, 725, 873, 1161].map(payable)).toEqual([0, 436, 436, 724, 872, 1160, 1308]);
  expect(payable(4000)).toBe(4000);
  expect(nextPayable(group, Infinity)(436.2)).toBe(437);
});

test('the relaxation is below the whole answer and above nothing', () => {
  // Three of 50 in on boards of 96 at 5: one a board, so 15; the relaxation may say no more.
  const group = groupOf([{}], [{ length: 50, quantity: 3 }]);
  const { prices, pool } = relax(group, () => false);
  expect(dualOf(group, prices).bound).toBeCloseTo(1500);
  expect(pool.every((pattern) => pattern.counts.some((count) => count > 0))).toBe(true);
});

test('ways are remembered with the bin they are of', () => {
  const group = groupOf([{}], [{}]);
  expect(waysOn(group, group.bins[0]!)).toBe(waysOn(group, group.bins[0]!));
});
