// Looked up millions of times: indices count cells and items of the tables made here.
/* oxlint-disable typescript/no-non-null-assertion */
const TINY = 1e-9;

/** The best filling found, and a value no filling can exceed. They are equal when the search finished. */
export type Filling = { readonly counts: readonly number[]; readonly value: number; readonly atMost: number };

/** Grids finer than this are left to branch and bound. */
const MOST_CELLS = 30_000;

/** Greatest common divisor. */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * Bounded knapsack: most value with weights within a capacity. Tape lengths are multiples of some 1/16 in or 1 mm, so
 * that dynamic programming over multiples of their common divisor is exact and quick; where they are not, branch and
 * bound, which may stop early and then says how much better it could be.
 *
 * @param weights positive integers; @param most how many of each there are; items of no value are left out.
 * @param nodes branches before branch and bound stops.
 * @returns answers for any capacity up to `largest`; on a grid all of them come from one table.
 */
export function knapsackTable(
  values: readonly number[],
  weights: readonly number[],
  most: readonly number[],
  largest: number,
  nodes = 20_000,
): (capacity: number) => Filling {
  const useful = values
    .map((_, at) => at)
    .filter((at) => values[at]! > TINY && most[at]! > 0 && weights[at]! <= largest);
  const grain = useful.reduce((common, at) => gcd(common, weights[at]!), 0);
  if (grain > 0 && largest / grain <= MOST_CELLS) return onGrid(useful, grain, values, weights, most, largest);
  return (capacity) =>
    byBranches(
      useful.filter((at) => weights[at]! <= capacity),
      values,
      weights,
      most,
      capacity,
      nodes,
    );
}

/** The knapsack for one capacity. */
export const knapsack = (
  values: readonly number[],
  weights: readonly number[],
  most: readonly number[],
  capacity: number,
  nodes?: number,
): Filling => knapsackTable(values, weights, most, Math.max(0, capacity), nodes)(Math.max(0, capacity));

/**
 * Dynamic programming over capacity (Martello and Toth, Knapsack Problems, 1990, section 3), counts split in powers of
 * two.
 */
function onGrid(
  useful: readonly number[],
  grain: number,
  values: readonly number[],
  weights: readonly number[],
  most: readonly number[],
  largest: number,
): (capacity: number) => Filling {
  const cells = Math.floor(largest / grain);
  const best = new Float64Array(cells + 1);
  const bundles: { at: number; count: number; taken: Uint8Array }[] = [];
  for (const at of useful) {
    const weight = weights[at]! / grain;
    let left = Math.min(most[at]!, Math.floor(cells / weight));
    for (let size = 1; left > 0; size *= 2) {
      const count = Math.min(size, left);
      left -= count;
      const taken = new Uint8Array(cells + 1);
      const [heavy, worth] = [count * weight, count * values[at]!];
      for (let cell = cells; cell >= heavy; cell--) {
        const candidate = best[cell - heavy]! + worth;
        if (candidate > best[cell]! + TINY) {
          best[cell] = candidate;
          taken[cell] = 1;
        }
      }
      bundles.push({ at, count, taken });
    }
  }
  return (capacity) => {
    const counts = values.map(() => 0);
    const top = Math.floor(capacity / grain);
    let cell = top;
    for (let k = bundles.length - 1; k >= 0; k--) {
      const { at, count, taken } = bundles[k]!;
      if (!taken[cell]) continue;
      counts[at]! += count;
      cell -= (count * weights[at]!) / grain;
    }
    return { counts, value: best[top]!, atMost: best[top]! };
  };
}

/**
 * Depth-first branch and bound. Items are tried in order of value for weight and bounded by the fractional relaxation
 * (Dantzig 1957; Martello and Toth, section 2). Stops after `nodes` branches with the root bound as `atMost`.
 */
function byBranches(
  useful: readonly number[],
  values: readonly number[],
  weights: readonly number[],
  most: readonly number[],
  capacity: number,
  nodes: number,
): Filling {
  const order = [...useful].sort((a, b) => values[b]! / weights[b]! - values[a]! / weights[a]!);
  const size = order.length;
  const value = Float64Array.from(order, (at) => values[at]!);
  const weight = Float64Array.from(order, (at) => weights[at]!);
  const limit = Int32Array.from(order, (at) => most[at]!);
  const now = new Int32Array(size);
  let best = new Int32Array(size);
  let bestValue = 0;
  let left = nodes;

  /** The most that items from `from` on can add within `room`, the last of them in part. */
  const fractional = (from: number, room: number): number => {
    let total = 0;
    for (let k = from; k < size && room > 0; k++) {
      const take = Math.min(limit[k]!, room / weight[k]!);
      total += take * value[k]!;
      room -= take * weight[k]!;
    }
    return total;
  };

  // Level by level without recursion: there may be thousands of items.
  const rooms = new Float64Array(size + 1);
  const worths = new Float64Array(size + 1);
  /** The next count to try of each item; less than 0 where all were tried. */
  const tries = new Int32Array(size + 1);
  const enter = (k: number, room: number, worth: number): void => {
    if (worth > bestValue + TINY) {
      bestValue = worth;
      best = now.slice();
    }
    [rooms[k], worths[k]] = [room, worth];
    tries[k] = k === size ? -1 : Math.min(limit[k]!, Math.floor(room / weight[k]!));
  };
  const root = fractional(0, capacity);
  enter(0, capacity, 0);
  for (let k = 0; k >= 0;) {
    if (tries[k]! < 0 || left <= 0) {
      if (k < size) now[k] = 0;
      k--;
      continue;
    }
    const count = tries[k]!--;
    left--;
    const rest = rooms[k]! - count * weight[k]!;
    const sum = worths[k]! + count * value[k]!;
    // Items stand by value for weight, so taking fewer of this one never raises the bound.
    if (sum + fractional(k + 1, rest) <= bestValue + TINY) tries[k] = -1;
    else {
      now[k] = count;
      enter(++k, rest, sum);
    }
  }
  const counts = values.map(() => 0);
  order.forEach((at, k) => (counts[at] = best[k]!));
  return { counts, value: bestValue, atMost: left > 0 ? bestValue : root };
}
