import { nth, sure } from '../lists';
import { fillAll, type Pattern } from './fill';
import type { Group } from './group';
import { leastCost, type Variable } from './simplex';

/** Patterns worth knowing, how much of each the relaxation uses, and what it says each item is worth (cents). */
export type Relaxation = {
  readonly pool: readonly Pattern[];
  readonly use: readonly number[];
  readonly prices: readonly number[];
};

/** Breaks ties between equal costs towards fewer bought boards: a tenth of a thousandth of a cent a board. */
const PER_BOARD = 1e-4;

const MOST_ROUNDS = 200;

/**
 * Column generation for the cutting-stock relaxation (Gilmore and Gomory 1961): solve over the known patterns, fill
 * each bin with what the duals say is worth most, keep patterns that earn more than their bin costs, repeat.
 */
export function relax(group: Group, stopped: () => boolean): Relaxation {
  const demand = group.items.map((item) => item.quantity);
  const limited = group.bins.map((bin, at) => (bin.available === null ? -1 : at)).filter((at) => at >= 0);
  const rowOf = new Map(limited.map((bin, k) => [bin, group.items.length + k]));
  const need = [...demand, ...limited.map((bin) => -sure(nth(group.bins, bin).available, 'limit of the bin'))];
  const penalty = 10 * Math.max(1, ...group.bins.map((bin) => bin.price)) + 1000;

  const seen = new Set<string>();
  const pool: Pattern[] = [];
  const add = (pattern: Pattern): boolean => {
    const key = `${pattern.bin}:${pattern.counts.join()}`;
    if (seen.has(key) || pattern.counts.every((count) => count === 0)) return false;
    seen.add(key);
    pool.push(pattern);
    return true;
  };
  group.items.forEach((_, only) =>
    fillAll(
      group,
      demand,
      demand.map((_, item) => (item === only ? 1 : 0)),
    ).forEach(add),
  );

  const columnOf = (pattern: Pattern): Variable => {
    const bin = nth(group.bins, pattern.bin);
    const row = rowOf.get(pattern.bin);
    const counts = pattern.counts.map((count, item) => [item, count] as const).filter(([, count]) => count > 0);
    return {
      cost: bin.price + (bin.price > 0 ? PER_BOARD : 0),
      rows: row === undefined ? counts : [...counts, [row, -1]],
    };
  };
  const program = leastCost(need, penalty);
  for (const pattern of pool) program.add(columnOf(pattern));
  for (let round = 0; ; round++) {
    const { x, duals } = program.solve();
    const prices = duals.slice(0, group.items.length);
    let grew = false;
    if (round < MOST_ROUNDS && !stopped())
      fillAll(group, demand, prices).forEach((pattern, at) => {
        const bin = nth(group.bins, at);
        const worth = pattern.counts.reduce((sum, count, item) => sum + count * nth(prices, item), 0);
        const row = rowOf.get(at);
        if (worth > bin.price + PER_BOARD + (row === undefined ? 0 : nth(duals, row)) + 1e-6 && add(pattern)) {
          program.add(columnOf(pattern));
          grew = true;
        }
      });
    if (!grew) return { pool, use: x, prices };
  }
}
