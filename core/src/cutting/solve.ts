import { areaBound, dualOf, nextPayable } from './bound';
import { relax } from './columns';
import { searchExactly } from './exact';
import { singleLane } from './fill';
import { groupsOf, liesOn, type Group } from './group';
import { cuttingOf, packByGuillotine, repacked } from './guillotine';
import { layOut, namesOf, type Layout } from './layout';
import { fromLength, type CutProblem } from './problem';
import { better, searchCuttings, type Cutting } from './search';
import { SOLUTION_FORMAT, type CutSolution } from './solution';

export type SolveOptions = {
  /** Called now and then; true ends the search and keeps the best so far. The core has no clock of its own. */
  readonly stopped?: () => boolean;
  /** How hard to try where the first cutting is not proved: `quick` while a size changes. */
  readonly effort?: keyof typeof EFFORTS;
};

/** Shaken restarts of the search, and branches of the complete one. Counts, not seconds: the same everywhere. */
const EFFORTS = {
  quick: { tries: 8, steps: 60_000, rounds: 60 },
  full: { tries: 40, steps: 1_000_000, rounds: 6_000 },
} as const;

export type Unplaced = { readonly part: string; readonly quantity: number; readonly because: string };

/** A solved problem in exact lengths: every board on its own, cents, and what was proved. */
export type Solved = {
  readonly status: CutSolution['status'];
  readonly cost: number;
  readonly lowerBound: number;
  readonly layouts: readonly Layout[];
  readonly unplaced: readonly Unplaced[];
};

/** Which items no stock can hold, with the reason, and the group without them. */
function sortOut(group: Group): { group: Group; unplaced: Unplaced[] } {
  const unplaced: Unplaced[] = [];
  const items = group.items.filter((item) => {
    const usable = group.bins.filter((bin) => bin.available !== 0);
    if (usable.some((bin) => liesOn(item, bin).length > 0)) return true;
    const because =
      group.bins.length === 0
        ? 'no stock of its material and thickness'
        : usable.length === 0
          ? 'all stock of its material and thickness is used up'
          : usable.every(
                (bin) => bin.usableWidth < Math.min(item.width, bin.kind === 'sheet' ? item.length : item.width),
              )
            ? 'wider than any stock of its material and thickness'
            : 'longer than any stock of its material and thickness, after trim and defects';
    unplaced.push(...item.parts.map(({ id, quantity }) => ({ part: id, quantity, because })));
    return false;
  });
  return { group: { ...group, items, bins: group.bins.filter((bin) => bin.available !== 0) }, unplaced };
}

/** With more kinds of piece side by side the relaxation costs seconds and its bound is the weaker one. */
const MOST_KINDS = 40;

type Effort = (typeof EFFORTS)[keyof typeof EFFORTS];
type Answer = { readonly cutting: Cutting; readonly bound: number };
const open = ({ cutting, bound }: Answer): boolean => cutting.missing > 0 || cutting.cost > bound;

/** Pieces side by side: rectangles packed and packed again; for few kinds of piece the relaxation's search beside it. */
function solveSideBySide(group: Group, effort: Effort, stopped: () => boolean): Answer {
  const area = areaBound(group);
  const packing = packByGuillotine(group, stopped);
  let answer: Answer = { cutting: cuttingOf(group, packing), bound: area };
  if (open(answer) && group.items.length <= MOST_KINDS)
    answer = bestOf(group, answer, solveInRows(group, effort, stopped));
  if (!open(answer)) return answer;
  const bound = nextPayable(group, answer.cutting.cost)(answer.bound);
  const cutting = cuttingOf(group, repacked(group, packing, effort.rounds, bound, stopped));
  return bestOf(group, { ...answer, bound }, { cutting, bound: 0 });
}

const bestOf = (group: Group, a: Answer, b: Answer): Answer => ({
  cutting: better(group, b.cutting, a.cutting) ? b.cutting : a.cutting,
  bound: Math.max(a.bound, b.bound),
});

/** Column generation, a search by its prices, and the complete search where it is small. */
function solveInRows(group: Group, { tries, steps }: Effort, stopped: () => boolean): Answer {
  const relaxation = relax(group, stopped);
  const dual = dualOf(group, relaxation.prices);
  const rough = dual.bound;
  let cutting = searchCuttings(group, relaxation, rough, 3, stopped);
  let bound = nextPayable(group, cutting.cost)(rough);
  if (cutting.missing === 0 && cutting.cost > bound) {
    const more = searchCuttings(group, relaxation, bound, tries, stopped);
    if (more.missing === 0 && more.cost < cutting.cost) cutting = more;
  }
  if (cutting.missing === 0 && cutting.cost > bound) {
    const exact = searchExactly(group, dual, cutting, steps, stopped);
    cutting = exact.cutting;
    if (exact.proved) bound = cutting.cost;
  }
  return { cutting, bound };
}

function solveGroup(group: Group, effort: Effort, stopped: () => boolean): Answer {
  const ripped = group.bins.some((bin) => !singleLane(group, bin));
  const square = group.items.every((item) => item.meanLength === item.length);
  return ripped && square ? solveSideBySide(group, effort, stopped) : solveInRows(group, effort, stopped);
}

/**
 * Least total price of stock for all parts. Materials and thicknesses are independent and solved apart; each gets a
 * lower bound from column generation, a cutting from a seeded search and, where it is small, a complete search.
 * `optimal` is said only when the bound equals the cost. Deterministic unless `stopped` says stop.
 */
export function solveExactly(
  problem: CutProblem,
  { stopped = () => false, effort = 'full' }: SolveOptions = {},
): Solved {
  const layouts: Layout[] = [];
  const unplaced: Unplaced[] = [];
  let cost = 0;
  let lowerBound = 0;
  for (const whole of groupsOf(problem)) {
    const sorted = sortOut(whole);
    unplaced.push(...sorted.unplaced);
    if (sorted.group.items.length === 0) continue;
    const { cutting, bound } = solveGroup(sorted.group, EFFORTS[effort], stopped);
    const nameOf = namesOf(sorted.group);
    layouts.push(...cutting.patterns.map((pattern) => layOut(sorted.group, pattern, nameOf)));
    cost += cutting.cost;
    lowerBound += cutting.missing > 0 ? 0 : bound;
    if (cutting.missing > 0) unplaced.push(...missingFrom(sorted.group, cutting));
  }
  const status = unplaced.length > 0 ? 'infeasible' : lowerBound >= cost ? 'optimal' : 'feasible';
  return { status, cost, lowerBound: Math.min(lowerBound, cost), layouts, unplaced };
}

/** Parts that found no place: the last of each item, as `namesOf` hands out the first ones first. */
const missingFrom = (group: Group, cutting: Cutting): Unplaced[] =>
  group.items.flatMap((item, at) => {
    let placed = cutting.patterns.reduce((sum, pattern) => sum + pattern.counts[at]!, 0);
    return item.parts.flatMap(({ id, quantity }) => {
      const made = Math.min(placed, quantity);
      placed -= made;
      return made < quantity ? [{ part: id, quantity: quantity - made, because: 'not enough stock is available' }] : [];
    });
  });

/** Solves a problem and writes the solution in its unit, equal boards counted together. `seconds` is left to the caller's clock. */
export function solve(problem: CutProblem, options: SolveOptions = {}): Omit<CutSolution, 'seconds'> {
  const solved = solveExactly(problem, options);
  const out = (length: number) => fromLength(length, problem.unit);
  const boards = new Map<string, { layout: Layout; count: number }>();
  for (const layout of solved.layouts) {
    const key = JSON.stringify(layout);
    boards.set(key, { layout, count: (boards.get(key)?.count ?? 0) + 1 });
  }
  return {
    format: SOLUTION_FORMAT,
    status: solved.status,
    cost: solved.cost / 100,
    lowerBound: solved.lowerBound / 100,
    boards: [...boards.values()].map(({ layout, count }) => ({
      stock: layout.stock,
      count,
      pieces: layout.pieces.map(({ part, x, y, length, width, turned }) => ({
        part,
        x: out(x),
        y: out(y),
        length: out(length),
        width: out(width),
        turned,
        flip: 'none',
      })),
      cuts: layout.cuts.map(({ kind, at, from, to }) => ({ kind, at: out(at), from: out(from), to: out(to) })),
      offcuts: layout.offcuts.map(({ x, y, length, width }) => ({
        x: out(x),
        y: out(y),
        length: out(length),
        width: out(width),
      })),
    })),
    unplaced: solved.unplaced,
  };
}
