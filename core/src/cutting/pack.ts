// Looked up millions of times: indices count runs, items and bins of the group.
/* oxlint-disable typescript/no-non-null-assertion */
import { patternOf, rowOf, runsOf, type Pattern } from './fill';
import { singleLane, waysOn } from './ways';
import { isMitred, laneRoom, laneWeight, type Group } from './group';
import type { Packed, Tight } from './branch';
import type { IntegerSolver } from './integer';
import type { Area } from './region';
import { better, type Cutting } from './search';
import { stagedFor } from './staged';
import { layTree, type CutTree } from './tree';

const UNKNOWN: Packed = { cutting: null, complete: false };

/**
 * Packs all pieces into given numbers of bins that are filled end to end, or shows that it can not be done: the
 * longest piece left goes into some bin, every fullest filling of it is tried that wastes no more than there is to
 * waste and no more of the relaxation's slack than there is; what failed before is not tried again.
 *
 * @param steps branches after which it gives up and is not complete. At once for several runs, pieces side by side
 *   or mitres, whose unlike ends it does not put in order.
 */
export function packLanes(
  group: Group,
  counts: readonly number[],
  { prices, charges, slack }: Tight,
  steps: number,
): Packed {
  const used = group.bins.flatMap((bin, at) => (counts[at]! > 0 ? [{ bin, at }] : []));
  if (used.some(({ bin }) => bin.runs.length !== 1 || !singleLane(group, bin)) || isMitred(group)) return UNKNOWN;
  const bins = used
    .map(({ bin, at }) => ({
      at,
      room: laneRoom(group, bin.runs[0]!.to - bin.runs[0]!.from),
      charge: charges[at]!,
      holds: new Set(waysOn(group, bin).map((way) => way.item)),
    }))
    .sort((a, b) => a.room - b.room);
  const weight = group.items.map((item) => laneWeight(group, item));
  const order = group.items.map((_, at) => at).sort((a, b) => weight[b]! - weight[a]!);
  const left = group.items.map(({ quantity }) => quantity);
  const rest = [...counts];
  const path: { bin: number; counts: readonly number[] }[] = [];
  const failed = new Set<string>();
  const spare =
    bins.reduce((sum, { at, room }) => sum + counts[at]! * room, 0) -
    left.reduce((sum, count, item) => sum + count * weight[item]!, 0);
  let budget = steps;

  const visit = (waste: number, cost: number): boolean => {
    const first = order.find((item) => left[item]! > 0);
    if (first === undefined) return true;
    const key = `${left.join()};${rest.join()}`;
    if (failed.has(key)) return false;
    for (const bin of bins) {
      if (rest[bin.at] === 0 || !bin.holds.has(first)) continue;
      const taken = left.map(() => 0);
      const fillFrom = (k: number, room: number, worth: number): boolean => {
        if (--budget <= 0) return false;
        while (k < order.length && (left[order[k]!] === 0 || !bin.holds.has(order[k]!) || weight[order[k]!]! > room))
          k++;
        if (k === order.length) {
          if (room > waste || bin.charge - worth > cost) return false;
          const full = order.every(
            (item) => !bin.holds.has(item) || taken[item] === left[item] || weight[item]! > room,
          );
          if (!full) return false;
          path.push({ bin: bin.at, counts: [...taken] });
          rest[bin.at]!--;
          taken.forEach((count, item) => (left[item]! -= count));
          const done = visit(waste - room, cost - Math.max(0, bin.charge - worth));
          taken.forEach((count, item) => (left[item]! += count));
          rest[bin.at]!++;
          if (!done) path.pop();
          return done;
        }
        const item = order[k]!;
        const most = Math.min(left[item]!, Math.floor(room / weight[item]!));
        for (let count = most; count >= (item === first ? 1 : 0); count--) {
          taken[item] = count;
          if (fillFrom(k + 1, room - count * weight[item]!, worth + count * prices[item]!)) return true;
        }
        taken[item] = 0;
        return false;
      };
      if (fillFrom(0, bin.room, 0)) return true;
    }
    if (budget > 0) failed.add(key);
    return false;
  };
  if (spare < 0) return { cutting: null, complete: true };
  if (!visit(spare, slack + ROUNDING)) return { cutting: null, complete: budget > 0 };
  const patterns = path.map(({ bin, counts: taken }) => {
    const ways = waysOn(group, group.bins[bin]!).flatMap((way) => Array.from({ length: taken[way.item]! }, () => way));
    const [run] = runsOf(group.bins[bin]!);
    return patternOf(group, bin, [rowOf(group, run!, ways, prices)]);
  });
  const cutting = cuttingOf(group, patterns);
  return cutting.missing > 0 ? UNKNOWN : { cutting, complete: true };
}

const cuttingOf = (group: Group, patterns: readonly Pattern[]): Cutting => ({
  patterns,
  cost: patterns.reduce((sum, { bin }) => sum + group.bins[bin]!.price, 0),
  missing: group.items.reduce(
    (sum, { quantity }, item) => sum + quantity - patterns.reduce((n, { counts }) => n + counts[item]!, 0),
    0,
  ),
});

/** One way to fill all runs of a bin. */
type Filled = { readonly bin: number; readonly counts: readonly number[]; readonly trees: readonly CutTree[] };

/** More ways to fill a bin than this are not looked at. */
const MOST_WAYS = 1_000;
/** Allowed for rounding in sums of prices. */
const ROUNDING = 1e-3;
/** Shares of what there is to waste that fillings may waste, each tried where the last brought nothing. */
const SHARES = [1 / 32, 1 / 8, 1 / 2, 1];

/**
 * Packs all pieces into given numbers of bins of any kind, or shows that it can not be done: of every bin the fillings
 * that waste no more than all bins together can waste are written down, the least wasteful first, and an integer
 * program says whether some of them hold all pieces.
 */
export function packSideBySide(
  group: Group,
  counts: readonly number[],
  tight: Tight,
  integer: IntegerSolver,
  nodes: number,
  stopped: () => boolean,
): Packed {
  // Pieces worth more than all bins hold do not go in.
  if (tight.slack < -ROUNDING) return { cutting: null, complete: true };
  for (const share of SHARES) {
    const ways = waysWithin(group, counts, tight, tight.slack * share + ROUNDING);
    if (ways === null || stopped()) return UNKNOWN;
    const packed = packWays(group, counts, ways, integer, nodes, stopped);
    if (packed.cutting || !packed.complete) return packed;
  }
  return { cutting: null, complete: true };
}

/** All ways to fill the bins in use that waste no more than so much; null where they are too many. */
function waysWithin(
  group: Group,
  counts: readonly number[],
  { prices, charges }: Tight,
  slack: number,
): readonly Filled[] | null {
  const ways: Filled[] = [];
  for (const [at, bin] of group.bins.entries()) {
    if (counts[at] === 0) continue;
    const staged = stagedFor(group, bin, prices);
    if (staged === null) return null;
    const runs = bin.runs.map((run) => run.to - run.from);
    const spare = slack - (charges[at]! - runs.reduce((sum, run) => sum + staged.worth(run), 0));
    let filled: readonly { counts: readonly number[]; loss: number; trees: readonly CutTree[] }[] = [
      { counts: group.items.map(() => 0), loss: 0, trees: [] },
    ];
    for (const run of runs) {
      const cutups = staged.within(run, spare, MOST_WAYS);
      if (cutups === null) return null;
      filled = filled.flatMap((before) =>
        cutups.flatMap(({ counts: more, loss, tree }) => {
          const sum = before.counts.map((count, item) => count + more[item]!);
          const fits = before.loss + loss <= spare && sum.every((count, item) => count <= group.items[item]!.quantity);
          return fits ? [{ counts: sum, loss: before.loss + loss, trees: [...before.trees, tree] }] : [];
        }),
      );
      if (filled.length > MOST_WAYS) return null;
    }
    ways.push(...filled.map(({ counts: taken, trees }) => ({ bin: at, counts: taken, trees })));
  }
  return ways;
}

const USUAL_WAYS = 150;
const FEWEST_NODES = 40;

/** All pieces out of some of the ways, no bin more often than there are, by an integer program. */
function packWays(
  group: Group,
  counts: readonly number[],
  ways: readonly Filled[],
  integer: IntegerSolver,
  nodes: number,
  stopped: () => boolean,
): Packed {
  const rows = group.items.length;
  const answer = integer(
    {
      columns: ways.map(({ bin, counts: taken }) => ({
        // Any packing will do: the bins are paid for.
        cost: 0,
        rows: [...entries(taken), [rows + bin, -1] as const],
      })),
      need: [...group.items.map(({ quantity }) => quantity), ...counts.map((n) => -n)],
      // A packing takes every piece once; what would be one too many is a filling of its own without it.
      exact: rows,
      below: Infinity,
      // A branch costs the more the more ways there are.
      nodes: Math.max(FEWEST_NODES, Math.min(nodes, Math.round((nodes * USUAL_WAYS) / ways.length))),
    },
    stopped,
  );
  if (answer.x === null) return { cutting: null, complete: answer.complete };
  const rest = group.items.map(({ quantity }) => quantity);
  const patterns = answer.x.flatMap((times, at) =>
    Array.from({ length: times }, () => {
      const { bin, trees } = ways[at]!;
      const regions = runsOf(group.bins[bin]!).map((run, k) => layTree(group, trees[k]!, run, rest));
      return patternOf(group, bin, regions);
    }),
  );
  const cutting = cuttingOf(
    group,
    patterns.filter((pattern) => pattern.counts.some((count) => count > 0)),
  );
  return cutting.missing > 0 ? UNKNOWN : { cutting, complete: true };
}

const entries = (counts: readonly number[]) =>
  counts.flatMap((count, item) => (count > 0 ? [[item, count] as const] : []));

/**
 * The best cutting out of patterns that are known, where it costs less than the one to beat: an integer program that
 * also counts how often each bin is used, so that it can branch on that.
 */
export function bestOfPatterns(
  group: Group,
  pool: readonly Pattern[],
  best: Cutting,
  integer: IntegerSolver,
  nodes: number,
  stopped: () => boolean,
): Cutting {
  const rows = group.items.length;
  const { bins } = group;
  const answer = integer(
    {
      columns: [
        ...pool.map(({ bin, counts }) => ({ cost: 0, rows: [...entries(counts), [rows + bin, -1] as const] })),
        ...bins.map(({ price, available }, bin) => ({
          cost: price,
          rows: [[rows + bin, 1] as const, ...(available === null ? [] : [[rows + bins.length + bin, -1] as const])],
        })),
      ],
      need: [
        ...group.items.map(({ quantity }) => quantity),
        ...bins.map(() => 0),
        ...bins.map(({ available }) => -(available ?? 0)),
      ],
      below: best.missing > 0 ? Infinity : best.cost - 1,
      nodes,
    },
    stopped,
  );
  if (answer.x === null) return best;
  const rest = group.items.map(({ quantity }) => quantity);
  const patterns = answer.x.slice(0, pool.length).flatMap((times, at) =>
    Array.from({ length: times }, () => {
      const pattern = pool[at]!;
      const regions = pattern.regions.map((region) => without(region, rest));
      return patternOf(group, pattern.bin, regions);
    }),
  );
  const cutting = cuttingOf(
    group,
    patterns.filter(({ counts }) => counts.some((count) => count > 0)),
  );
  return better(group, cutting, best) ? cutting : best;
}

/** A region without the pieces that are not needed any more; takes those it keeps out of `rest`. */
function without(region: Area, rest: number[]): Area {
  const { use } = region;
  if (use === null) return region;
  if (use.kind === 'lane') {
    const pieces = use.pieces.filter(({ item }) => rest[item]!-- > 0);
    for (const { item } of use.pieces) rest[item] = Math.max(0, rest[item]!);
    return { ...region, use: pieces.length > 0 ? { ...use, pieces } : null };
  }
  const first = without(use.first, rest);
  return { ...region, use: { ...use, first, second: use.second && without(use.second, rest) } };
}
