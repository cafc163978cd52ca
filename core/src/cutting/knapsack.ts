/** The best filling found, and a value no filling can exceed. They are equal when the search finished. */
export type Filling = { readonly counts: readonly number[]; readonly value: number; readonly atMost: number };

/**
 * Bounded knapsack by depth-first branch and bound: most value with weights within `capacity`.
 * Items are tried in order of value for weight and bounded by the fractional relaxation (Dantzig 1957; Martello and
 * Toth, Knapsack Problems, 1990, section 2). Stops after `nodes` branches with the root bound as `atMost`.
 *
 * @param weights positive integers; @param most how many of each there are; items of no value are left out.
 */
export function knapsack(
  values: readonly number[],
  weights: readonly number[],
  most: readonly number[],
  capacity: number,
  nodes = 20_000,
): Filling {
  const order = values
    .map((_, at) => at)
    .filter((at) => values[at]! > 1e-9 && most[at]! > 0 && weights[at]! <= capacity)
    .sort((a, b) => values[b]! / weights[b]! - values[a]! / weights[a]!);
  const now = values.map(() => 0);
  let best = values.map(() => 0);
  let bestValue = 0;
  let left = nodes;

  const fractional = (from: number, room: number): number => {
    let total = 0;
    for (let k = from; k < order.length && room > 0; k++) {
      const at = order[k]!;
      const take = Math.min(most[at]!, room / weights[at]!);
      total += take * values[at]!;
      room -= take * weights[at]!;
    }
    return total;
  };

  const branch = (k: number, room: number, value: number): void => {
    if (value > bestValue + 1e-9) {
      bestValue = value;
      best = [...now];
    }
    if (k === order.length || left <= 0) return;
    if (value + fractional(k, room) <= bestValue + 1e-9) return;
    const at = order[k]!;
    for (let count = Math.min(most[at]!, Math.floor(room / weights[at]!)); count >= 0; count--) {
      left--;
      now[at] = count;
      branch(k + 1, room - count * weights[at]!, value + count * values[at]!);
      if (left <= 0) break;
    }
    now[at] = 0;
  };

  const root = fractional(0, capacity);
  branch(0, capacity, 0);
  return { counts: best, value: bestValue, atMost: left > 0 ? bestValue : root };
}
