import { knapsack } from './knapsack';
import { seeded } from './random';
import { solve } from './index';
import { faults } from './testing/check';
import { boardOf, partOf, problemOf } from './testing/lists';
import type { CutProblem } from './problem';

/** Ended before it began: what there is at once. */
const atOnce = (problem: CutProblem) => solve(problem, { stopped: () => true });

/** So many lengths that are all different. */
const many = (count: number, least: number, most: number) => {
  const random = seeded(11);
  return Array.from({ length: count }, (_, at) =>
    partOf(`p${at}`, 1, Math.round(1000 * (least + (most - least) * random())) / 1000, 5.5),
  );
};

test('thousands of lengths that are all different are cut at once, all of them, and close to the bound', () => {
  const problem = problemOf([boardOf('long', 96, 5.5, 7.48, 0), boardOf('short', 60, 5.5, 4.9, 0)], many(2500, 3, 55));
  const solution = atOnce(problem);
  expect(solution.unplaced).toEqual([]);
  expect(faults(problem, solution)).toEqual([]);
  expect(solution.cost / solution.lowerBound).toBeLessThan(1.02);
}, 120_000);

test('what is there is begun first, runs between bad stretches are filled, no more is taken than there is', () => {
  const hand = { ...boardOf('hand', 80, 5.5, 0, 0), available: 2, defects: [{ from: 30, to: 34 }] };
  const few = { ...boardOf('few', 96, 5.5, 2, 0), available: 5 };
  const problem = problemOf([hand, few, boardOf('dear', 96, 5.5, 9, 0)], many(200, 5, 44));
  const solution = atOnce(problem);
  expect(solution.unplaced).toEqual([]);
  expect(faults(problem, solution)).toEqual([]);
  const count = (id: string) =>
    solution.boards.filter(({ stock }) => stock === id).reduce((sum, board) => sum + board.count, 0);
  expect([count('hand'), count('few')]).toEqual([2, 5]);
});

test('where there is not enough it is said which are left', () => {
  const problem = problemOf([{ ...boardOf('only', 96, 5.5, 2, 0), available: 3 }], many(120, 20, 40));
  const solution = atOnce(problem);
  expect(solution.status).toBe('infeasible');
  expect(solution.unplaced.reduce((sum, { quantity }) => sum + quantity, 0)).toBeGreaterThan(100);
});

test('a knapsack of twenty thousand items that hardly differ is no deeper than one of ten', () => {
  const weights = Array.from({ length: 20_000 }, (_, at) => 7919 + 2 * at);
  const { counts, value, atMost } = knapsack(
    weights.map((weight) => 2 * weight),
    weights,
    weights.map(() => 1),
    1_000_001,
    60_000,
  );
  const used = counts.reduce((sum, count, at) => sum + count * weights[at]!, 0);
  expect(used).toBeLessThanOrEqual(1_000_001);
  expect(value).toBe(2 * used);
  expect(used).toBeGreaterThan(990_000);
  expect(atMost).toBeGreaterThanOrEqual(value);
});
