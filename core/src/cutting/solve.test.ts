import fc from 'fast-check';
import { solve, type CutProblem } from './index';
import { knapsack } from './knapsack';
import { leastCost } from './simplex';
import { faults } from './testing/check';
import { problemOf } from './testing/lists';
import { runs } from '../testing/runs';

type Stock = CutProblem['stock'][number];
const board = (id: string, length: number, price: number, rest: Partial<Stock> = {}): Stock => ({
  id,
  kind: 'board',
  material: 'spf',
  length,
  width: 3.5,
  thickness: 1.5,
  price,
  available: null,
  trim: { ends: 0.5, edges: 0 },
  defects: [],
  ...rest,
});
const part = (id: string, length: number, quantity: number, rest: Partial<CutProblem['parts'][number]> = {}) => ({
  id,
  quantity,
  material: 'spf',
  length,
  width: 3.5,
  thickness: 1.5,
  grain: 'any' as const,
  ...rest,
});

const random = fc
  .record({
    prices: fc.tuple(fc.integer({ min: 300, max: 600 }), fc.integer({ min: 400, max: 800 })),
    lengths: fc.array(fc.tuple(fc.integer({ min: 60, max: 500 }), fc.integer({ min: 1, max: 3 })), {
      minLength: 1,
      maxLength: 4,
    }),
  })
  .map(({ prices, lengths }) =>
    problemOf(
      [board('s8', 96, prices[0] / 100), board('s12', 144, prices[1] / 100)],
      lengths.map(([eighths, quantity], at) => part(`p${at}`, eighths / 8, quantity)),
    ),
  );

/** Least cost by trying every board for every piece: slow, shares nothing with the solver, only for tiny lists. */
function leastByEnumeration({ stock, parts, kerf }: CutProblem): number {
  const pieces = parts
    .flatMap(({ length, quantity }) => Array.from({ length: quantity }, () => length))
    .sort((a, b) => b - a);
  let best = Infinity;
  const left = stock.map(({ available }) => available ?? Infinity);
  const put = (at: number, open: { room: number }[], cost: number): void => {
    if (cost >= best) return;
    if (at === pieces.length) return void (best = cost);
    const length = pieces[at]!;
    for (const one of open)
      if (one.room >= length) {
        one.room -= length + kerf;
        put(at + 1, open, cost);
        one.room += length + kerf;
      }
    for (const [kind, { length: whole, trim, price }] of stock.entries())
      if (whole - 2 * trim.ends >= length && left[kind]! > 0) {
        left[kind]!--;
        put(at + 1, [...open, { room: whole - 2 * trim.ends - length - kerf }], cost + Math.round(price * 100));
        left[kind]!++;
      }
  };
  put(0, [], 0);
  return best / 100;
}

test('120 small lists: nothing at fault, and the least cost there is', () => {
  fc.assert(
    fc.property(random, (list) => {
      fc.pre(list.parts.reduce((sum, row) => sum + row.quantity, 0) <= 8);
      const solution = solve(list);
      expect(faults(list, solution)).toEqual([]);
      const least = leastByEnumeration(list);
      expect(solution.cost).toBeCloseTo(least, 6);
      expect(solution.lowerBound).toBeLessThanOrEqual(least + 1e-9);
      expect(solution.status).toBe('optimal');
    }),
    runs(120, 5),
  );
});

test('small lists with pieces on hand: used so that the least is bought, and proved', () => {
  const onHand = fc.array(fc.tuple(fc.integer({ min: 15, max: 70 }), fc.integer({ min: 1, max: 2 })), {
    minLength: 1,
    maxLength: 2,
  });
  fc.assert(
    fc.property(random, onHand, (list, hand) => {
      fc.pre(list.parts.reduce((sum, row) => sum + row.quantity, 0) <= 7);
      const owned = hand.map(([length, available], at) => board(`hand${at}`, length, 0, { available }));
      const all = { ...list, stock: [...list.stock, ...owned] };
      const solution = solve(all);
      expect(faults(all, solution)).toEqual([]);
      const least = leastByEnumeration(all);
      expect(solution.cost).toBeCloseTo(least, 6);
      expect(solution.lowerBound).toBeLessThanOrEqual(least + 1e-9);
      expect(solution.status).toBe('optimal');
      expect(solution.cost).toBeLessThanOrEqual(solve(list).cost);
    }),
    runs(60, 6),
  );
});

test('100 wide lists with ripping, sheets, defects and limits: nothing at fault', () => {
  const wide = fc.array(
    fc.record({
      length: fc.integer({ min: 6, max: 60 }),
      width: fc.integer({ min: 1, max: 9 }),
      quantity: fc.integer({ min: 1, max: 4 }),
      grain: fc.constantFrom('any' as const, 'length' as const, 'width' as const),
    }),
    { minLength: 1, maxLength: 5 },
  );
  fc.assert(
    fc.property(wide, fc.boolean(), fc.integer({ min: 0, max: 2 }), (rows, sheet, available) => {
      const stock = sheet
        ? [board('sheet', 96, 40, { kind: 'sheet', width: 48, trim: { ends: 0.25, edges: 0.25 } })]
        : [
            board('wide', 96, 9, { width: 9.25 }),
            board('old', 70, 0, { width: 9.25, available, defects: [{ from: 20, to: 24 }] }),
          ];
      const list = problemOf(
        stock,
        rows.map((row, at) => part(`p${at}`, row.length, row.quantity, row)),
      );
      const solution = solve(list, { effort: 'quick' });
      expect(faults(list, solution)).toEqual([]);
    }),
    runs(100, 6),
  );
});

test('uses an offcut first and keeps off its defect', () => {
  const list = problemOf(
    [board('new', 96, 5), board('off', 41, 0, { available: 1, defects: [{ from: 12, to: 15.5 }] })],
    [part('short', 11, 1), part('long', 24, 1)],
  );
  const solution = solve(list);
  expect(solution).toMatchObject({ status: 'optimal', cost: 0 });
  expect(faults(list, solution)).toEqual([]);
});

test('says what can not be cut, and why', () => {
  const solution = solve(
    problemOf(
      [board('s', 96, 5, { available: 1 })],
      [
        part('too-long', 120, 1),
        part('oak', 20, 2, { material: 'oak' }),
        part('wide', 20, 1, { width: 5 }),
        part('many', 90, 3),
      ],
    ),
  );
  expect(solution.status).toBe('infeasible');
  expect(Object.fromEntries(solution.unplaced.map((row) => [row.part, `${row.quantity} ${row.because}`]))).toEqual({
    'too-long': '1 longer than any stock of its material and thickness, after trim and defects',
    oak: '2 no stock of its material and thickness',
    wide: '1 wider than any stock of its material and thickness',
    many: '2 not enough stock is available',
  });
});

test('same input, same answer', () => {
  const list = problemOf(
    [board('a', 96, 4.36), board('b', 144, 7.24)],
    [part('x', 35, 9), part('y', 51, 2), part('z', 20.5, 7)],
  );
  expect(solve(list)).toEqual(solve(list));
});

test('counts equal boards together, every cut in order and inside the board', () => {
  const solution = solve(problemOf([board('s', 96, 5)], [part('leg', 30, 6)]));
  expect(solution.boards).toHaveLength(1);
  expect(solution.boards[0]).toMatchObject({ stock: 's', count: 2 });
  expect(solution.boards[0]!.cuts.map((cut) => cut.at)).toEqual([0.5, 30.5, 60.625, 90.75]);
  expect(solution.boards[0]!.offcuts).toEqual([{ x: 90.875, y: 0, length: 4.625, width: 3.5 }]);
});

test('simplex: a program small enough to solve on paper', () => {
  // min 2a + 3b with a + b >= 4, a + 3b >= 6, a <= 2: a = 2, b = 2, cost 10.
  const columns = [
    {
      cost: 2,
      rows: [
        [0, 1],
        [1, 1],
        [2, -1],
      ],
    },
    {
      cost: 3,
      rows: [
        [0, 1],
        [1, 3],
      ],
    },
  ] as const;
  const program = leastCost([4, 6, -2], 1000);
  columns.forEach(program.add);
  const { x, duals } = program.solve();
  expect(x[0]).toBeCloseTo(2);
  expect(x[1]).toBeCloseTo(2);
  expect(4 * duals[0]! + 6 * duals[1]! - 2 * duals[2]!).toBeCloseTo(10);
});

test.each([
  ['on a grid', 1],
  ['by branches, where the grid is too fine', 1_000_003],
])('knapsack %s: exact against every combination', (_, fine) => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 3 })),
        { minLength: 1, maxLength: 4 },
      ),
      fc.integer({ min: 1, max: 40 }),
      (rows, capacity) => {
        let best = 0;
        const every = (at: number, room: number, value: number): void => {
          if (at === rows.length) return void (best = Math.max(best, value));
          const [worth, weight, most] = rows[at]!;
          for (let count = 0; count <= most && count * weight <= room; count++)
            every(at + 1, room - count * weight, value + count * worth);
        };
        every(0, capacity, 0);
        // The same question with weights that share no divisor: a hair over, and the room as much.
        const scaled = (weight: number) => (fine === 1 ? weight : weight * fine + 1);
        const found = knapsack(
          rows.map((row) => row[0]),
          rows.map((row) => scaled(row[1])),
          rows.map((row) => row[2]),
          fine === 1 ? capacity : capacity * fine + 12,
        );
        expect(found.value).toBe(best);
        expect(found.atMost).toBe(best);
      },
    ),
  );
});
