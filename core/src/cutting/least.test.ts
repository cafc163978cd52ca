import fc from 'fast-check';
import { decideCounts } from './decide';
import { groupsOf } from './group';
import { cuttingOf, packByGuillotine } from './guillotine';
import { loadIntegerSolver } from './highs';
import { solve, type CutProblem, type IntegerSolver } from './index';
import { packSideBySide } from './pack';
import { faults } from './testing/check';
import { leastMitred, leastRipped } from './testing/least';
import { boardOf, partOf as part, problemOf } from './testing/lists';
import { sawFaults } from './testing/saw';
import { runs, timesOf } from '../testing/runs';

let integer: IntegerSolver;
beforeAll(async () => {
  integer = await loadIntegerSolver();
});

const board = (id: string, length: number, width: number, price: number) => boardOf(id, length, width, price, 0.5);
const pieces = ({ parts }: CutProblem) => parts.reduce((sum, { quantity }) => sum + quantity, 0);

describe('mitred pieces', () => {
  const kerf45 = 0.125 / Math.cos(Math.PI / 4);

  test('braces with opposite 45s nest: each after the first takes a width less, and one slanted cut parts two', () => {
    const list = problemOf([board('s', 96, 3.5, 5)], [part('brace', 5, 20, 3.5, { left: 45, right: -45 })]);
    const solution = solve(list, { integer });
    // 20 + 4 x (20 - 3.5 + kerf) = 86.71 of 95: one board, where end to end they would need two.
    expect(solution).toMatchObject({ cost: 5, status: 'optimal' });
    const [{ pieces: placed, cuts }] = solution.boards as [(typeof solution.boards)[number]];
    placed.slice(1).forEach((piece, at) => expect(piece.x - placed[at]!.x).toBeCloseTo(20 - 3.5 + kerf45, 3));
    expect(placed.map(({ flip }) => flip)).toEqual(['none', 'over', 'none', 'over', 'none']);
    // Squared end, first slant, four between, last slant.
    expect(cuts.map(({ angle }) => Math.abs(angle ?? 0))).toEqual([0, 45, 45, 45, 45, 45, 45]);
    expect(faults(list, solution)).toEqual([]);
  });

  test('parallelograms nest as they are', () => {
    const list = problemOf([board('s', 96, 3.5, 5)], [part('strut', 5, 20, 3.5, { left: 45, right: 45 })]);
    const solution = solve(list, { integer });
    expect(solution).toMatchObject({ cost: 5, status: 'optimal' });
    expect(new Set(solution.boards[0]!.pieces.map(({ flip }) => flip))).toEqual(new Set(['none']));
    expect(faults(list, solution)).toEqual([]);
  });

  test('legs with one slanted end lie back to back: half a turn and flips let both slants meet', () => {
    const list = problemOf([board('s', 62, 3.5, 5)], [part('leg', 2, 32, 3.5, { left: 45, right: 0 })]);
    // 64 - 3.5 + 0.18 = 60.68 of 61.
    const solution = solve(list, { integer });
    expect(solution).toMatchObject({ cost: 5, status: 'optimal' });
    expect(faults(list, solution)).toEqual([]);
  });

  test('small lists: nothing at fault, never above what every order and flip gives', () => {
    const angle = fc.constantFrom(45, 30, 0);
    const lists = fc.array(
      fc.record({
        length: fc.integer({ min: 12, max: 50 }),
        quantity: fc.integer({ min: 1, max: 2 }),
        left: angle,
        right: angle,
        sign: fc.constantFrom(1, -1),
      }),
      { minLength: 1, maxLength: 4 },
    );
    let proved = 0;
    fc.assert(
      fc.property(lists, (rows) => {
        const list = problemOf(
          [board('s', 96, 3.5, 5), board('l', 120, 3.5, 6.1)],
          rows.map(({ length, quantity, left, right, sign }, at) =>
            part(`p${at}`, quantity, length, 3.5, { left, right: sign * right }),
          ),
        );
        fc.pre(pieces(list) <= 6);
        const solution = solve(list, { integer });
        expect(faults(list, solution)).toEqual([]);
        const least = leastMitred(list);
        expect(solution.lowerBound).toBeLessThanOrEqual(least + 1e-9);
        expect(solution.cost).toBeCloseTo(least, 6);
        if (solution.status === 'optimal') proved++;
      }),
      runs(60, 21),
    );
    expect(proved).toBeGreaterThanOrEqual(0.83 * timesOf(60));
  });
});

test('small lists on boards that are ripped: the least that every way to cut gives, and proved', () => {
  const rows = fc.array(
    fc.tuple(fc.integer({ min: 10, max: 70 }), fc.constantFrom(1.5, 2.5, 3.5, 5.5), fc.integer({ min: 1, max: 3 })),
    { minLength: 1, maxLength: 4 },
  );
  let proved = 0;
  fc.assert(
    fc.property(rows, fc.integer({ min: 700, max: 1200 }), (parts, wide) => {
      const list = problemOf(
        [
          board('2x4', 96, 3.5, 5),
          board('2x6', 96, 5.5, wide / 100),
          board('2x6x10', 120, 5.5, Math.round(wide * 1.25) / 100),
        ],
        parts.map(([length, width, quantity], at) => part(`p${at}`, quantity, length, width)),
      );
      fc.pre(pieces(list) <= 6);
      const solution = solve(list, { integer });
      expect(faults(list, solution)).toEqual([]);
      expect(sawFaults(list, solution)).toEqual([]);
      const least = leastRipped(list);
      expect(solution.lowerBound).toBeLessThanOrEqual(least + 1e-9);
      expect(solution.cost).toBeCloseTo(least, 6);
      if (solution.status === 'optimal') proved++;
    }),
    runs(60, 22),
  );
  expect(proved).toBeGreaterThanOrEqual(timesOf(60) - 3);
});

test('small lists on sheets of three sizes, grain along: the least that every way to cut gives, most of them proved', () => {
  const rows = fc.array(
    fc.tuple(fc.integer({ min: 10, max: 90 }), fc.integer({ min: 6, max: 46 }), fc.integer({ min: 1, max: 2 })),
    { minLength: 1, maxLength: 4 },
  );
  const size = (id: string, length: number, width: number, price: number) => ({
    ...board(id, length, width, price),
    trim: { ends: 0, edges: 0 },
  });
  let proved = 0;
  fc.assert(
    fc.property(rows, fc.integer({ min: 2000, max: 3000 }), (parts, half) => {
      // The same list twice: as boards for the enumeration, as sheets whose grain forbids turning for the solver.
      const asBoards = problemOf(
        [size('whole', 96, 48, 50), size('half', 48, 48, half / 100), size('quarter', 48, 24, 14)],
        parts.map(([length, width, quantity], at) => part(`p${at}`, quantity, length, width)),
      );
      fc.pre(pieces(asBoards) <= 6);
      const list: CutProblem = {
        ...asBoards,
        stock: asBoards.stock.map((row) => ({ ...row, kind: 'sheet' })),
        parts: asBoards.parts.map((row) => ({ ...row, grain: 'length' })),
      };
      const solution = solve(list, { integer });
      expect(faults(list, solution)).toEqual([]);
      expect(sawFaults(list, solution)).toEqual([]);
      const least = leastRipped(asBoards);
      expect(solution.lowerBound).toBeLessThanOrEqual(least + 1e-9);
      expect(solution.cost).toBeCloseTo(least, 6);
      if (solution.status === 'optimal') proved++;
    }),
    runs(60, 23),
  );
  expect(proved).toBeGreaterThanOrEqual(0.66 * timesOf(60));
});

test('numbers of boards decided from below: small lists as cheap as every way to cut gives, from any cutting to beat', () => {
  const rows = fc.array(
    fc.tuple(fc.integer({ min: 10, max: 70 }), fc.constantFrom(1.5, 2.5, 3.5, 5.5), fc.integer({ min: 1, max: 3 })),
    { minLength: 2, maxLength: 4 },
  );
  const stock = [board('2x4', 96, 3.5, 5), board('2x6', 96, 5.5, 8.4), board('2x6x10', 120, 5.5, 10.1)];
  let decided = 0;
  fc.assert(
    fc.property(rows, (parts) => {
      const list = problemOf(
        stock,
        parts.map(([length, width, quantity], at) => part(`p${at}`, quantity, length, width)),
      );
      fc.pre(pieces(list) <= 6);
      const [group] = groupsOf(list);
      // The first packing there is: often dearer than need be.
      const best = cuttingOf(
        group!,
        packByGuillotine(group!, 1, () => false),
      );
      const found = decideCounts(
        group!,
        best,
        (counts, tight) => packSideBySide(group!, counts, tight, integer, 500, () => false),
        () => false,
      );
      if (found === null) return;
      const least = Math.round(leastRipped(list) * 100);
      expect(found.bound).toBeLessThanOrEqual(least);
      expect(found.cutting.cost).toBeGreaterThanOrEqual(least);
      if (found.bound === found.cutting.cost) decided++;
    }),
    runs(40, 24),
  );
  expect(decided).toBeGreaterThanOrEqual(0.75 * timesOf(40));
});
