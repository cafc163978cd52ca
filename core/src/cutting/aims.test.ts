import fc from 'fast-check';
import { loadIntegerSolver } from './highs';
import { groupsOf } from './group';
import { EFFORTS, leastCost } from './least-cost';
import { fewestSettings } from './repeats';
import { better } from './search';
import { settingsOf } from './settings';
import { solve, type CutProblem, type IntegerSolver } from './index';
import { faults } from './testing/check';
import { leastRipped } from './testing/least';
import { boardOf, partOf } from './testing/lists';
import { sawFaults } from './testing/saw';
import { runs } from '../testing/runs';

let integer: IntegerSolver;
beforeAll(async () => {
  integer = await loadIntegerSolver();
});

const board = (id: string, length: number, width: number, price: number) => boardOf(id, length, width, price, 0);
const part = (id: string, quantity: number, length: number, width = 3.5) => partOf(id, quantity, length, width);
const problem = (
  objective: CutProblem['objective'],
  stock: CutProblem['stock'],
  parts: CutProblem['parts'],
  extraCost: number | null = null,
): CutProblem => ({ format: 'sill-plan/cut-problem@1', unit: 'in', kerf: 0.125, objective, extraCost, stock, parts });

const STOCK = [board('8', 96, 3.5, 5), board('16', 192, 3.5, 10.9)];

test('fewest boards, worked by hand: long boards at a little more, as many as the price allows', () => {
  // Eight of 45: two on an 8 ft board, four on a 16: four short ones for 20.00, or two long ones for 21.80.
  const parts = [part('p', 8, 45)];
  expect(solve(problem('cost', STOCK, parts), { integer })).toMatchObject({ cost: 20, status: 'optimal' });
  const fewest = solve(problem('boards', STOCK, parts), { integer });
  expect(fewest).toMatchObject({
    cost: 21.8,
    lowerBound: 20,
    status: 'optimal',
    objective: { for: 'boards', value: 2, atLeast: 2 },
  });
  // One dollar more buys one long board and two short ones.
  const some = solve(problem('boards', STOCK, parts, 1), { integer });
  expect(some).toMatchObject({ cost: 20.9, objective: { value: 3, atLeast: 2 }, status: 'feasible' });
  expect(solve(problem('boards', STOCK, parts, 0.5), { integer })).toMatchObject({ cost: 20, objective: { value: 4 } });
});

test('least left over, worked by hand: a board that fits costs more than one that is cheap and long', () => {
  const stock = [board('5', 60, 3.5, 4), board('8', 96, 3.5, 3)];
  const parts = [part('p', 2, 59)];
  expect(solve(problem('cost', stock, parts), { integer }).cost).toBe(6);
  const least = solve(problem('waste', stock, parts), { integer });
  // Two of 60 by 3 1/2 less two of 59 by 3 1/2.
  expect(least).toMatchObject({ cost: 8, status: 'optimal', objective: { for: 'waste', value: 7, atLeast: 7 } });
});

test('fewest settings: boards that are cut alike are cut together', () => {
  const stock = [board('8', 96, 3.5, 5), board('10', 120, 3.5, 6.4)];
  const parts = [part('a', 12, 40), part('b', 12, 15), part('c', 12, 23)];
  const cheapest = solve(problem('cost', stock, parts), { integer });
  const layouts = ({ boards }: Pick<typeof cheapest, 'boards'>) =>
    boards.reduce((sum, { pieces }) => sum + new Set(pieces.map(({ length }) => length)).size, 0);
  const fewest = solve(problem('setups', stock, parts), { integer });
  expect(fewest.objective!.value).toBe(layouts(fewest));
  expect(fewest.objective!.value).toBeLessThanOrEqual(layouts(cheapest));
  expect(fewest.objective!.atLeast).toBe(3);
  expect(faults({ ...problem('setups', stock, parts), objective: 'cost' }, fewest)).toEqual([]);
  const tight = solve(problem('setups', stock, parts, 0), { integer });
  expect(tight.cost).toBe(cheapest.cost);
});

test('small lists: boards and waste as small as every way to cut gives, bounds never above, nothing at fault', () => {
  const rows = fc.array(
    fc.tuple(fc.integer({ min: 10, max: 70 }), fc.constantFrom(2.5, 3.5, 5.5), fc.integer({ min: 1, max: 2 })),
    { minLength: 1, maxLength: 4 },
  );
  const stock = [board('2x4', 96, 3.5, 5), board('2x6', 96, 5.5, 8.4), board('2x6x12', 144, 5.5, 13.1)];
  fc.assert(
    fc.property(rows, fc.constantFrom('boards' as const, 'waste' as const), (list, aim) => {
      const parts = list.map(([length, width, quantity], at) => part(`p${at}`, quantity, length, width));
      fc.pre(parts.reduce((sum, { quantity }) => sum + quantity, 0) <= 6);
      const asked = problem(aim, stock, parts);
      const found = solve(asked, { integer });
      expect(faults(asked, found)).toEqual([]);
      expect(sawFaults(asked, found)).toEqual([]);
      const area = ({ length, width }: { length: number; width: number }) => length * width;
      const measured = leastRipped({
        ...asked,
        stock: stock.map((row) => ({ ...row, price: aim === 'boards' ? 1 : area(row) })),
      });
      const pieces = parts.reduce((sum, row) => sum + row.quantity * area(row), 0);
      const least = aim === 'boards' ? measured : measured - pieces;
      expect(found.objective!.value).toBeCloseTo(least, 1);
      expect(found.objective!.atLeast).toBeLessThanOrEqual(least + 0.01);
    }),
    runs(60, 31),
  );
});

test('of cuttings that cost the same, one cut at fewer settings is taken, no worse in anything', () => {
  let fewer = 0;
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(11, 14.5, 19, 23.25, 28, 31, 40), fc.integer({ min: 2, max: 8 })), {
        minLength: 3,
        maxLength: 6,
      }),
      (list) => {
        const parts = list.map(([length, quantity], at) => part(`p${at}`, quantity, length));
        for (const group of groupsOf(problem('cost', STOCK, parts))) {
          const { cutting } = leastCost(group, { effort: EFFORTS.full, integer, stopped: () => false });
          const settled = fewestSettings(group, cutting, () => false);
          const [before, after] = [settingsOf(group, cutting), settingsOf(group, settled)];
          expect(after).toBeLessThanOrEqual(before);
          expect(better(group, cutting, settled)).toBe(false);
          if (after < before) fewer++;
        }
      },
    ),
    runs(80, 5),
  );
  expect(fewer).toBeGreaterThan(0);
});

test('what can not be cut says so for any aim', () => {
  const found = solve(problem('boards', STOCK, [part('long', 1, 300)]), { integer });
  expect(found.status).toBe('infeasible');
  expect(found.unplaced[0]!.part).toBe('long');
});
