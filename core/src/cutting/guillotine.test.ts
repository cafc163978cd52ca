import fc from 'fast-check';
import { areaBound } from './bound';
import { coverBound } from './cover';
import { groupsOf } from './group';
import { cuttingOf, packByGuillotine, repacked } from './guillotine';
import { solve, type CutProblem } from './index';
import { faults } from './testing/check';
import { sawFaults } from './testing/saw';
import { runs } from '../testing/runs';

type Stock = CutProblem['stock'][number];
const sheet = (id: string, length: number, width: number, price: number, rest: Partial<Stock> = {}): Stock => ({
  id,
  kind: 'sheet',
  material: 'ply',
  length,
  width,
  thickness: 0.75,
  price,
  available: null,
  trim: { ends: 0, edges: 0 },
  defects: [],
  ...rest,
});
const part = (id: string, length: number, width: number, quantity = 1, grain: 'any' | 'length' | 'width' = 'any') => ({
  id,
  quantity,
  material: 'ply',
  length,
  width,
  thickness: 0.75,
  grain,
});
const problem = (stock: Stock[], parts: CutProblem['parts'], kerf = 0.125): CutProblem => ({
  format: 'sill-plan/cut-problem@1',
  unit: 'in',
  kerf,
  objective: 'cost',
  stock,
  parts,
});

describe('worked out by hand', () => {
  test('four quarters of a sheet, a kerf off: one sheet, proved', () => {
    const list = problem([sheet('s', 96, 48, 50)], [part('q', 47.9, 23.9, 4)]);
    expect(solve(list)).toMatchObject({ status: 'optimal', cost: 50 });
  });

  test('without the kerf taken off they need two, and that is proved too', () => {
    const list = problem([sheet('s', 96, 48, 50)], [part('q', 48, 24, 4)]);
    expect(solve(list)).toMatchObject({ status: 'optimal', cost: 100 });
  });

  test('five pieces round a middle can not be cut by straight cuts from edge to edge: two sheets', () => {
    // Four of 6 by 4 turn round a middle of 2 by 2 in a 10 by 10: a saw can not get in.
    const list = problem([sheet('s', 10, 10, 1)], [part('a', 6, 4, 4), part('m', 2, 2, 1)], 0);
    const solution = solve(list);
    expect(solution.cost).toBe(2);
    expect(sawFaults(list, solution)).toEqual([]);
  });

  test('a half sheet where the rest fits on one', () => {
    const list = problem(
      [sheet('whole', 96, 48, 60), sheet('half', 48, 48, 35)],
      [part('big', 80, 40), part('small', 40, 40)],
    );
    expect(solve(list)).toMatchObject({ cost: 95, status: 'optimal' });
  });

  test('more than half of a sheet each way: a sheet each, by pairs of dual feasible functions', () => {
    const [group] = groupsOf(problem([sheet('s', 100, 100, 1)], [part('a', 60, 55, 7, 'length')], 0));
    expect(areaBound(group!)).toBe(700);
    // By area alone 7 x 3300 of 10000 would be three.
  });

  test('a piece that lies on whole sheets alone asks for one, whatever smaller ones cost', () => {
    const stock = [sheet('whole', 96, 48, 54.8), sheet('half', 48, 48, 31.9), sheet('quarter', 48, 24, 18.4)];
    const [group] = groupsOf(problem(stock, [part('long', 58, 25), part('small', 20, 17, 4)]));
    // By areas alone two quarters; what is beside the long one has room for the small ones.
    expect(areaBound(group!)).toBe(1840);
    expect(coverBound(group!, 7320)).toBe(5480);
    const [more] = groupsOf(problem(stock, [part('long', 90, 40), part('small', 40, 20, 2)]));
    // 90 x 40 leaves 960 of the whole sheet; two of 40 x 20 are 1600: a quarter (1176) and the rest of the whole.
    expect(coverBound(more!, 8670)).toBe(7320);
  });

  test('what is there is used first, at no price, and the bound allows for it', () => {
    const list = problem(
      [sheet('old', 30, 30, 0, { available: 1 }), sheet('s', 96, 48, 50)],
      [part('a', 28, 28), part('b', 94, 46)],
    );
    const solution = solve(list);
    expect(solution.cost).toBe(50);
    expect(solution.boards.map(({ stock }) => stock).sort()).toEqual(['old', 's']);
    expect(solution.lowerBound).toBeLessThanOrEqual(50);
  });
});

const wish = fc.record({
  parts: fc.array(
    fc.record({
      length: fc.integer({ min: 8, max: 320 }),
      width: fc.integer({ min: 8, max: 190 }),
      quantity: fc.integer({ min: 1, max: 4 }),
      grain: fc.constantFrom('any' as const, 'length' as const, 'width' as const),
    }),
    { minLength: 1, maxLength: 14 },
  ),
  half: fc.boolean(),
  there: fc.integer({ min: 0, max: 2 }),
  flaw: fc.integer({ min: 10, max: 60 }),
  kerf: fc.constantFrom(0, 0.0625, 0.125),
});

test('lists on sheets: nothing at fault, every cut runs from edge to edge and frees its piece, never under the bound', () => {
  fc.assert(
    fc.property(wish, ({ parts, half, there, flaw, kerf }) => {
      const list = problem(
        [
          sheet('whole', 96, 48, 62),
          ...(half ? [sheet('half', 48, 48, 36)] : []),
          sheet('old', 70, 40, 0, { available: there, defects: [{ from: flaw, to: flaw + 3 }] }),
        ],
        parts.map(({ length, width, quantity, grain }, at) => part(`p${at}`, length / 4, width / 4, quantity, grain)),
        kerf,
      );
      const solution = solve(list, { effort: 'quick' });
      expect(faults(list, solution)).toEqual([]);
      expect(sawFaults(list, solution)).toEqual([]);
    }),
    runs(200, 12),
  );
});

test('boards are ripped side by side: pieces keep their direction, cuts free them', () => {
  const wide = fc.array(
    fc.tuple(fc.integer({ min: 24, max: 360 }), fc.integer({ min: 4, max: 40 }), fc.integer({ min: 1, max: 4 })),
    {
      minLength: 1,
      maxLength: 10,
    },
  );
  fc.assert(
    fc.property(wide, (rows) => {
      const list = problem(
        [
          sheet('1x6', 96, 5.5, 8.46, { kind: 'board', trim: { ends: 0.5, edges: 0 } }),
          sheet('1x12', 144, 11.25, 32.34, { kind: 'board', trim: { ends: 0.5, edges: 0 } }),
        ],
        rows.map(([length, width, quantity], at) => part(`p${at}`, length / 4, width / 4, quantity)),
      );
      const solution = solve(list, { effort: 'quick' });
      expect(faults(list, solution)).toEqual([]);
      expect(sawFaults(list, solution)).toEqual([]);
    }),
    runs(100, 13),
  );
});

test('same list, same answer; more rounds never cost more', () => {
  const parts = Array.from({ length: 16 }, (_, at) => part(`p${at}`, 10 + ((at * 37) % 41), 6 + ((at * 23) % 29)));
  const list = problem([sheet('s', 96, 48, 50), sheet('h', 48, 48, 29)], parts);
  expect(solve(list)).toEqual(solve(list));
  const [group] = groupsOf(list);
  const never = () => false;
  const first = packByGuillotine(group!, 40_000, never);
  const cost = (rounds: number) => cuttingOf(group!, repacked(group!, first, rounds, 0, never)).cost;
  expect(cost(300)).toBeLessThanOrEqual(cost(0));
});
