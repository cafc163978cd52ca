import { searchByCounts, type Tight } from './branch';
import { dualOf, nextPayable } from './bound';
import { coverBound } from './cover';
import { relax } from './columns';
import { searchExactly } from './exact';
import { singleLane } from './fill';
import { groupsOf, isMitred, laneWeight, liesOn, type Group } from './group';
import { cuttingOf, packByGuillotine, repacked } from './guillotine';
import type { IntegerSolver } from './integer';
import { layOut, namesOf, type Layout } from './layout';
import { bestOfPatterns, packLanes, packSideBySide, type Packed } from './pack';
import { fromLength, type CutProblem } from './problem';
import { better, searchCuttings, type Cutting } from './search';
import { canPrice } from './price';
import { SOLUTION_FORMAT, type CutSolution } from './solution';

export type SolveOptions = {
  /** Called now and then; true ends the search and keeps the best so far. The core has no clock of its own. */
  readonly stopped?: () => boolean;
  /** How hard to try where the first cutting is not proved: `quick` while a size changes. */
  readonly effort?: keyof typeof EFFORTS;
  /** Solves integer programs; without one less is proved. See `loadIntegerSolver`. */
  readonly integer?: IntegerSolver | null;
};

/**
 * Shaken restarts of the search, branches of the complete one, rectangles put over all first rules where nothing prices
 * them and where something does, rounds of packing anew. Counts, not seconds: the same everywhere.
 */
const EFFORTS = {
  quick: { tries: 8, steps: 60_000, put: 600, putFew: 600, rounds: 60, nodes: 0 },
  full: { tries: 12, steps: 100_000, put: 40_000, putFew: 4_000, rounds: 6_000, nodes: 1_500 },
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

/** What a group is solved with. */
type Means = { readonly effort: Effort; readonly integer: IntegerSolver | null; readonly stopped: () => boolean };

const bestOf = (group: Group, a: Answer, b: Answer): Answer => ({
  cutting: better(group, b.cutting, a.cutting) ? b.cutting : a.cutting,
  bound: Math.max(a.bound, b.bound),
});

/** Pieces side by side: rectangles packed, then column generation and branching, then rectangles packed again. */
function solveSideBySide(group: Group, means: Means): Answer {
  const { effort, stopped } = means;
  const priced = group.items.length <= MOST_KINDS && canPrice(group);
  const packing = packByGuillotine(group, priced ? effort.putFew : effort.put, stopped);
  const packed = cuttingOf(group, packing);
  let answer: Answer = { cutting: packed, bound: coverBound(group, packed.missing > 0 ? Infinity : packed.cost) };
  // Rows that nothing prices exactly are worth their time only where there is some.
  if (open(answer) && (priced || (effort.nodes > 0 && group.items.length <= MOST_KINDS)))
    answer = solveInRows(group, means, answer);
  if (!open(answer)) return answer;
  const rounds = priced ? effort.rounds / 10 : effort.rounds;
  const cutting = cuttingOf(group, repacked(group, packing, rounds, answer.bound, stopped));
  return bestOf(group, answer, { cutting, bound: 0 });
}

/**
 * Column generation and a search by its prices; branching on how many of each bin are used; what is still open then is
 * searched for longer, by patterns and, where it is small, completely.
 */
function solveInRows(group: Group, means: Means, known: Answer | null): Answer {
  const { effort, stopped } = means;
  if (group.items.length > MOST_PRICED) return solveLong(group, known, stopped);
  const relaxation = relax(group, stopped);
  const dual = dualOf(group, relaxation.prices);
  let cutting = searchCuttings(group, relaxation, dual.bound, 3, stopped);
  if (known && better(group, known.cutting, cutting)) cutting = known.cutting;
  const payable = nextPayable(group, cutting.cost);
  let answer: Answer = { cutting, bound: payable(Math.max(dual.bound, known?.bound ?? 0)) };
  const closeBy = (work: (answer: Answer) => Answer | null) => {
    if (!open(answer) || answer.cutting.missing > 0 || stopped()) return;
    answer = bestOf(group, answer, work(answer) ?? answer);
  };
  closeBy((now) => branched(group, now, FIRST_NODES, means));
  closeBy((now) => {
    const exact = searchExactly(group, dual, now.cutting, effort.steps, stopped);
    return { cutting: exact.cutting, bound: exact.proved ? exact.cutting.cost : 0 };
  });
  closeBy(({ bound }) => ({ cutting: searchCuttings(group, relaxation, bound, effort.tries, stopped), bound: 0 }));
  closeBy(({ cutting: now }) =>
    means.integer && effort.nodes > 0
      ? { cutting: bestOfPatterns(group, relaxation.pool, now, means.integer, POOL_NODES, stopped), bound: 0 }
      : null,
  );
  closeBy((now) => branched(group, now, effort.nodes, means));
  return answer;
}

/** With more kinds of piece than this there is always one that fills a gap: what a length costs tells enough. */
const MOST_PRICED = 80;

/** A long list: every piece is worth what its length costs in the bin that sells length cheapest, board after board. */
function solveLong(group: Group, known: Answer | null, stopped: () => boolean): Answer {
  const rates = group.bins.map((bin) => bin.price / bin.runs.reduce((sum, run) => sum + run.to - run.from, 0));
  const rate = Math.min(...rates.filter((_, at) => group.bins[at]!.available === null));
  const prices = group.items.map((item) => (laneWeight(group, item) / 2) * (Number.isFinite(rate) ? rate : 1));
  const { bound } = dualOf(group, prices);
  const cutting = searchCuttings(group, { pool: [], use: [], prices }, bound, LONG_TRIES, stopped);
  const answer = { cutting, bound: nextPayable(group, cutting.cost)(bound) };
  return known ? bestOf(group, answer, known) : answer;
}
const LONG_TRIES = 3;

/** Branching on how many of each bin are used. */
function branched(
  group: Group,
  { cutting }: Answer,
  nodes: number,
  { effort, integer, stopped }: Means,
): Answer | null {
  const pack = (counts: readonly number[], relaxed: Tight, tight: () => Tight): Packed => {
    const lanes = packLanes(group, counts, relaxed, PACK_STEPS);
    if (lanes.cutting || lanes.complete || integer === null) return lanes;
    return packSideBySide(group, counts, tight(), integer, PACK_NODES, stopped);
  };
  if (effort.nodes === 0) return null;
  return searchByCounts(group, cutting, nextPayable(group, cutting.cost), nodes, pack, stopped);
}

/** Branches before other ways are tried. */
const FIRST_NODES = 60;
/** Branches of the integer program over known patterns, and of packing into given bins; steps of packing lanes. */
const POOL_NODES = 200;
const PACK_NODES = 500;
const PACK_STEPS = 200_000;

function solveGroup(group: Group, means: Means): Answer {
  const ripped = group.bins.some((bin) => !singleLane(group, bin));
  return ripped && !isMitred(group) ? solveSideBySide(group, means) : solveInRows(group, means, null);
}

/**
 * Least total price of stock for all parts. Materials and thicknesses are independent and solved apart; each gets a
 * lower bound from column generation, a cutting from a seeded search and, where it is small, a complete search.
 * `optimal` is said only when the bound equals the cost. Deterministic unless `stopped` says stop.
 */
export function solveExactly(
  problem: CutProblem,
  { stopped = () => false, effort = 'full', integer = null }: SolveOptions = {},
): Solved {
  const layouts: Layout[] = [];
  const unplaced: Unplaced[] = [];
  let cost = 0;
  let lowerBound = 0;
  for (const whole of groupsOf(problem)) {
    const sorted = sortOut(whole);
    unplaced.push(...sorted.unplaced);
    if (sorted.group.items.length === 0) continue;
    const { cutting, bound } = solveGroup(sorted.group, { effort: EFFORTS[effort], integer, stopped });
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
      pieces: layout.pieces.map(({ part, x, y, length, width, turned, flip }) => ({
        part,
        x: out(x),
        y: out(y),
        length: out(length),
        width: out(width),
        turned,
        flip,
      })),
      cuts: layout.cuts.map(({ kind, at, from, to, angle }) => ({
        kind,
        at: out(at),
        from: out(from),
        to: out(to),
        ...(angle === 0 ? {} : { angle }),
      })),
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
