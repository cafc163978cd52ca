import { nth } from '../lists';
import type { Orientation } from './region';
import { singleLane, waysOn } from './ways';
import { isMitred, laneRoom, laneWeight, type Bin, type Group } from './group';
import { knapsack } from './knapsack';
import { stagedFor } from './staged';

/**
 * A value that no cutting of `bin` can exceed when each piece of item i is worth `values[i]`.
 *
 * Every rule here holds for any layout by straight cuts, so the bound is honest: pieces lying end to end need what
 * they take of a lane when like ends meet; pieces anywhere need their areas, each grown by a kerf where ends are
 * square, inside the bin grown as much; across any line over the bin at most k lanes pass, so lengths weighted by the
 * dual feasible function f(w) = (ceil((k + 1) w) - 1) / k fit in the bin's length (Fekete and Schepers 2004); and no
 * cutting beats the staged one that has as many of each piece as it likes. The least of them is taken.
 */
export function mostValue(group: Group, bin: Bin, values: readonly number[], nodes?: number): number {
  const ways = waysOn(group, bin);
  if (ways.length === 0) return 0;
  const { kerf } = group;
  const lengths = bin.runs.map((run) => run.to - run.from);
  const worth = ways.map((way) => nth(values, way.item));
  const most = ways.map((way) => nth(group.items, way.item).quantity);
  const single = (weights: readonly number[], capacity: number) =>
    knapsack(worth, weights, most, capacity, nodes).atMost;
  if (singleLane(group, bin)) {
    const weights = ways.map((way) => laneWeight(group, nth(group.items, way.item)));
    return single(
      weights,
      lengths.reduce((sum, run) => sum + Math.max(0, laneRoom(group, run)), 0),
    );
  }
  const staged = stagedFor(group, bin, values);
  const bounds = staged ? [lengths.reduce((sum, run) => sum + staged.worth(run), 0)] : [];
  const grow = isMitred(group) ? 0 : kerf;
  bounds.push(
    single(
      ways.map((way) => faceOf(group, way, grow)),
      lengths.reduce((sum, run) => sum + run + grow, 0) * (bin.usableWidth + grow),
    ),
  );
  if (!isMitred(group)) {
    const runLength = lengths.reduce((sum, run) => sum + run + kerf, 0);
    const lanes = Math.floor((bin.usableWidth + kerf) / (Math.min(...ways.map((way) => way.width)) + kerf));
    for (let k = 1; k <= Math.min(lanes, 6); k++) {
      // A width of exactly a whole number of (k + 1)ths counts as itself in f; one less than that is still valid.
      const share = ways.map((way) => Math.ceil(((k + 1) * (way.width + kerf)) / (bin.usableWidth + kerf)) - 1);
      if (share.every((lane) => lane > 0))
        bounds.push(
          single(
            ways.map((way, at) => nth(share, at) * (way.length + kerf)),
            k * runLength,
          ),
        );
    }
  }
  return Math.min(...bounds);
}

/** Area of a piece grown by a kerf, less what its slants cut off. */
function faceOf({ items, ends }: Group, { item, length, width }: Orientation, grow: number): number {
  const slants = nth(items, item).ends.reduce((sum, kind) => sum + nth(ends, kind).reach, 0);
  return (length + grow) * (width + grow) - Math.ceil((slants * nth(items, item).width) / 2);
}

type Feasible = (share: number) => number;

/**
 * Dual feasible functions (Fekete and Schepers 2004): whatever shares of a side lie in a row within it, what they are
 * turned into does too. The share itself; k + 1ths counted whole; and small ones left out for large ones counted whole.
 */
function dualFeasible(shares: readonly number[]): readonly Feasible[] {
  const whole =
    (k: number): Feasible =>
    (x) => {
      const parts = (k + 1) * x;
      return Math.abs(parts - Math.round(parts)) < 1e-9 ? x : Math.floor(parts) / k;
    };
  const large =
    (least: number): Feasible =>
    (x) =>
      x > 1 - least + 1e-9 ? 1 : x < least - 1e-9 ? 0 : x;
  const leasts = [...new Set(shares.filter((x) => x <= 0.5))].sort((a, b) => a - b);
  const step = Math.max(1, Math.ceil(leasts.length / MOST_LEASTS));
  return [(x) => x, ...[1, 2, 3, 4].map(whole), ...leasts.filter((_, at) => at % step === 0).map(large)];
}
const MOST_LEASTS = 24;

/** Shares of a side, item by item and way by way, as each of its dual feasible functions turns them. */
const turned = (shares: readonly (readonly number[])[]): readonly (readonly (readonly number[])[])[] =>
  dualFeasible(shares.flat()).map((feasible) => shares.map((own) => own.map(feasible)));

/**
 * A cost in cents below which no stock holds all pieces side by side, by areas: as many stocks as are needed, the
 * cheapest of those there are.
 */
export const areaBound = (group: Group): number =>
  group.bins.length === 0 || isMitred(group) ? 0 : cheapestOf(group, stocksNeeded(group));

/**
 * So many stocks at least hold all pieces side by side: of the largest stock, grown by a kerf, each piece's sides are
 * turned by a pair of dual feasible functions, and their products are added up. Every smaller stock lies inside the
 * largest, so it holds no more. No mitres; at least one bin.
 */
export function stocksNeeded(group: Group): number {
  const long = Math.max(...group.bins.map((bin) => runsOf(bin, group.kerf)));
  const wide = Math.max(...group.bins.map((bin) => bin.usableWidth)) + group.kerf;
  const ways = waysOfItems(group);
  const along = turned(ways.map((own) => own.map((way) => (way.length + group.kerf) / long)));
  const across = turned(ways.map((own) => own.map((way) => (way.width + group.kerf) / wide)));
  let most = 0;
  for (const xs of along)
    for (const ys of across) {
      let sum = 0;
      for (const [at, { quantity }] of group.items.entries()) {
        const [x, y] = [nth(xs, at), nth(ys, at)];
        let least = Infinity;
        for (let way = 0; way < x.length; way++) least = Math.min(least, nth(x, way) * nth(y, way));
        sum += quantity * least;
      }
      most = Math.max(most, sum);
    }
  return Math.ceil(most - 1e-6);
}

/** All runs of a bin end to end, each grown by a kerf: what lies in several would lie in one so long. */
const runsOf = (bin: Bin, kerf: number): number => bin.runs.reduce((sum, run) => sum + run.to - run.from + kerf, 0);

/** The ways each item may lie on any of the bins, each once. */
function waysOfItems(group: Group): readonly (readonly Orientation[])[] {
  const ways = group.items.map((): Orientation[] => []);
  for (const bin of group.bins)
    for (const way of waysOn(group, bin)) {
      const before = nth(ways, way.item);
      if (!before.some(({ turned }) => turned === way.turned)) before.push(way);
    }
  return ways;
}

/** Cents of so many bins, the cheapest first, no more of each than there are. */
function cheapestOf(group: Group, count: number): number {
  let [left, cost] = [count, 0];
  for (const { price, available } of [...group.bins].sort((a, b) => a.price - b.price)) {
    const taken = Math.min(left, available ?? Infinity);
    cost += taken * price;
    left -= taken;
    if (left <= 0) break;
  }
  return cost;
}

/** Prices of items, scaled until no unlimited bin is worth more than it costs, and what that leaves open. */
export type Dual = {
  readonly prices: readonly number[];
  /** What one more of each limited bin could gain, cents; 0 for unlimited ones. */
  readonly gains: readonly number[];
  /** A cost in cents below which the group can not be cut. */
  readonly bound: number;
};

/**
 * A cost in cents below which the group can not be cut, from prices of its items: prices are scaled until no unlimited
 * bin is worth more than it costs, and limited bins pay back at most what they could gain (Lagrangian duality).
 */
export function dualOf(group: Group, prices: readonly number[]): Dual {
  const worth = group.bins.map((bin) => mostValue(group, bin, prices));
  const scale = group.bins.reduce(
    (least, bin, at) =>
      bin.available === null && nth(worth, at) > 0 ? Math.min(least, bin.price / nth(worth, at)) : least,
    1,
  );
  const gains = group.bins.map((bin, at) =>
    bin.available === null ? 0 : Math.max(0, nth(worth, at) * scale - bin.price),
  );
  const paid = group.items.reduce((sum, item, at) => sum + item.quantity * nth(prices, at) * scale, 0);
  const back = group.bins.reduce((sum, bin, at) => sum + (bin.available ?? 0) * nth(gains, at), 0);
  return { prices: prices.map((price) => price * scale), gains, bound: Math.max(0, paid - back) };
}

/**
 * Rounds a bound up to the least sum of whole bins' prices that reaches it: the only costs that can be paid. Beyond
 * `most` cents (nothing dearer than a known cutting matters) the next whole cent is all that is said.
 */
export function nextPayable(group: Group, most: number): (bound: number) => number {
  const cent = (bound: number) => Math.max(0, Math.ceil(bound - 1e-6));
  if (!(most <= 2_000_000)) return cent;
  const reachable = new Uint8Array(most + 1);
  reachable[0] = 1;
  for (const { price } of group.bins)
    for (let sum = Math.max(1, price); sum <= most; sum++) if (reachable[sum - price]) reachable[sum] = 1;
  const next = new Int32Array(most + 2);
  next[most + 1] = most + 1;
  for (let sum = most; sum >= 0; sum--) next[sum] = reachable[sum] ? sum : nth(next, sum + 1);
  return (bound) => (cent(bound) > most ? cent(bound) : nth(next, cent(bound)));
}
