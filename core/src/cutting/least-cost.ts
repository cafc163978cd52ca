import { nth } from '../lists';
import { searchByCounts, type Tight } from './branch';
import { dualOf, nextPayable } from './bound';
import { decideCounts } from './decide';
import { relax } from './columns';
import { coverBound } from './cover';
import { searchExactly } from './exact';
import { bestFit } from './best-fit';
import { singleLane } from './ways';
import { isMitred, laneWeight, type Group } from './group';
import { cuttingOf, packByGuillotine, repacked } from './guillotine';
import type { IntegerSolver } from './integer';
import { bestOfPatterns, packLanes, packSideBySide } from './pack';
import type { Packed } from './branch';
import { canPrice } from './price';
import { better, searchCuttings, type Cutting } from './search';

/**
 * Shaken restarts of the search, branches of the complete one, rectangles put over all first rules where nothing prices
 * them and where something does, rounds of packing anew. Counts, not seconds: the same everywhere.
 */
export const EFFORTS = {
  quick: { tries: 8, steps: 60_000, put: 600, putFew: 600, rounds: 30, nodes: 0 },
  full: { tries: 12, steps: 100_000, put: 40_000, putFew: 4_000, rounds: 6_000, nodes: 1_500 },
} as const;

/** With more kinds of piece side by side the relaxation costs seconds and its bound is the weaker one. */
const MOST_KINDS = 40;

type Effort = (typeof EFFORTS)[keyof typeof EFFORTS];
/** A cutting of a group, and cents that none can cost less than. */
export type Answer = { readonly cutting: Cutting; readonly bound: number };
const open = ({ cutting, bound }: Answer): boolean => cutting.missing > 0 || cutting.cost > bound;

/** What a group is solved with. */
export type SolvedWith = {
  readonly effort: Effort;
  readonly integer: IntegerSolver | null;
  readonly stopped: () => boolean;
};

const bestOf = (group: Group, a: Answer, b: Answer): Answer => ({
  cutting: better(group, b.cutting, a.cutting) ? b.cutting : a.cutting,
  bound: Math.max(a.bound, b.bound),
});

/** Pieces side by side: rectangles packed, then column generation and branching, then rectangles packed again. */
function solveSideBySide(group: Group, means: SolvedWith): Answer {
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
function solveInRows(group: Group, means: SolvedWith, known: Answer | null): Answer {
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
  // What so many of each bin hold is asked once, though the branching begins twice.
  const pack = packer(group, means);
  closeBy((now) => branched(group, now, FIRST_NODES, means, pack));
  closeBy((now) => decided(group, now, means, pack));
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
  return answer;
}

/** With more kinds of piece than this there is always one that fills a gap: what a length costs tells enough. */
const MOST_PRICED = 80;

/** A long list: every piece is worth what its length costs in the bin that sells length cheapest, board after board. */
function solveLong(group: Group, known: Answer | null, stopped: () => boolean): Answer {
  const rates = group.bins.map((bin) => bin.price / bin.runs.reduce((sum, run) => sum + run.to - run.from, 0));
  const rate = Math.min(...rates.filter((_, at) => nth(group.bins, at).available === null));
  const prices = group.items.map((item) => (laneWeight(group, item) / 2) * (Number.isFinite(rate) ? rate : 1));
  const { bound } = dualOf(group, prices);
  // There is one at once, however little time there is; nested mitres are no matter of lengths alone.
  const first = isMitred(group) || known !== null ? (known?.cutting ?? null) : bestFit(group);
  const cutting = searchCuttings(group, { pool: [], use: [], prices }, bound, LONG_TRIES, stopped, first);
  const answer = { cutting, bound: nextPayable(group, cutting.cost)(bound) };
  return known ? bestOf(group, answer, known) : answer;
}
const LONG_TRIES = 3;

/** Packs so many of each bin, or shows that they do not hold all; asked again it says what it said before. */
type Packer = (counts: readonly number[], relaxed: Tight, tight: () => Tight) => Packed;

function packer(group: Group, { integer, stopped }: SolvedWith): Packer {
  const known = new Map<string, Packed>();
  const anew: Packer = (counts, relaxed, tight) => {
    const lanes = packLanes(group, counts, relaxed, PACK_STEPS);
    if (lanes.cutting || lanes.complete || integer === null) return lanes;
    return packSideBySide(group, counts, tight(), integer, PACK_NODES, stopped);
  };
  return (counts, relaxed, tight) => {
    const key = counts.join();
    const packed = known.get(key) ?? anew(counts, relaxed, tight);
    known.set(key, packed);
    return packed;
  };
}

/** The numbers of bins decided from below, where an integer solver is there to pack them. */
function decided(
  group: Group,
  { cutting }: Answer,
  { effort, integer, stopped }: SolvedWith,
  pack: Packer,
): Answer | null {
  if (effort.nodes === 0 || integer === null) return null;
  return decideCounts(group, cutting, (counts, tight) => pack(counts, tight, () => tight), stopped);
}

/** Branching on how many of each bin are used. */
function branched(
  group: Group,
  { cutting }: Answer,
  nodes: number,
  { effort, stopped }: SolvedWith,
  pack: Packer,
): Answer | null {
  if (effort.nodes === 0) return null;
  return searchByCounts(group, cutting, nextPayable(group, cutting.cost), nodes, pack, stopped);
}

/** Branches before other ways are tried. */
const FIRST_NODES = 60;
/** Branches of the integer program over known patterns, and of packing into given bins; steps of packing lanes. */
const POOL_NODES = 200;
const PACK_NODES = 500;
const PACK_STEPS = 200_000;

/** The cheapest cutting of a group that is found, with its bound. */
export function leastCost(group: Group, means: SolvedWith): Answer {
  const ripped = group.bins.some((bin) => !singleLane(group, bin));
  return ripped && !isMitred(group) ? solveSideBySide(group, means) : solveInRows(group, means, null);
}
