import { nth } from '../lists';
import type { Length } from '../length';
import type { Orientation } from './region';
import { waysOn } from './ways';
import { laneRoom, laneWeight, type Bin, type Group } from './group';
import { gcd } from './knapsack';

const MOST_CELLS = 2_400;
const MOST_LEVELS = 64;
export const MOST_ITEMS = 60;
/** Cells times the ways to go on from each. */
const MOST_WORK = 60_000_000;

/** A width that pieces side by side can fill, with a kerf each; how it may be ripped; what lies in it alone. */
type Level = {
  readonly width: Length;
  readonly rips: readonly (readonly [low: number, high: number])[];
  readonly ways: readonly { readonly way: Orientation; readonly cells: number }[];
};

export type CutGrid = { readonly grain: number; readonly cells: number; readonly levels: readonly Level[] };

/** What does not change with the values: grid, levels and rips of all bins of a kind; null where it grows too large. */
export function frameOf(group: Group, kind: Bin['kind']): CutGrid | null {
  const bins = group.bins.filter((bin) => bin.kind === kind);
  const byKey = new Map<string, Orientation>();
  for (const bin of bins) for (const way of waysOn(group, bin)) byKey.set(`${way.item} ${way.turned}`, way);
  const ways = [...byKey.values()];
  if (ways.length === 0 || ways.length > MOST_ITEMS) return null;
  const weight = (way: Orientation) =>
    way.turned ? 2 * (way.length + group.kerf) : laneWeight(group, nth(group.items, way.item));
  const room = laneRoom(group, Math.max(...bins.flatMap((bin) => bin.runs.map((run) => run.to - run.from))));
  const common = ways.reduce((grain, way) => gcd(grain, weight(way)), 0);
  const grain = room / common <= MOST_CELLS ? common : Math.ceil(room / MOST_CELLS);
  const cells = Math.floor(room / grain);

  const widest = Math.max(...bins.map((bin) => bin.usableWidth)) + group.kerf;
  const single = [...new Set(ways.map((way) => way.width + group.kerf))];
  let sums = new Set(single);
  for (let grown = true; grown && sums.size <= MOST_LEVELS;) {
    const next = new Set(sums);
    for (const sum of sums) for (const one of single) if (sum + one <= widest) next.add(sum + one);
    grown = next.size > sums.size;
    sums = next;
  }
  if (sums.size > MOST_LEVELS) return null;
  const widths = [...sums].filter((sum) => sum <= widest).sort((a, b) => a - b);
  const levelAt = (width: Length) => widths.findLastIndex((one) => one <= width);
  const all = widths.map((width, at): Level => {
    const rips: [number, number][] = [];
    for (let low = 0; low < at; low++) {
      const high = levelAt(width - nth(widths, low));
      if (high >= low) rips.push([low, high]);
    }
    return {
      width,
      rips: rips.filter(([low, high]) => !rips.some(([a, b]) => (a > low && b >= high) || (a >= low && b > high))),
      ways: ways
        .filter((way) => way.width + group.kerf === width)
        .map((way) => ({ way, cells: Math.floor(weight(way) / grain) })),
    };
  });
  const levels = inUse(
    all,
    bins.map((bin) => levelAt(bin.usableWidth + group.kerf)),
  );
  const work = levels.reduce((sum, { rips, ways: own }) => sum + rips.length + own.length + 40, 0) * cells;
  return work > MOST_WORK || ways.some((way) => weight(way) < grain) ? null : { grain, cells, levels };
}

/**
 * The levels that bins of some levels can be ripped into, and those that pieces fill alone, told by their new places.
 */
function inUse(levels: readonly Level[], bins: readonly number[]): readonly Level[] {
  const kept = new Set<number>();
  const keep = (at: number): void => {
    if (at < 0 || kept.has(at)) return;
    kept.add(at);
    for (const rip of nth(levels, at).rips) rip.forEach(keep);
  };
  bins.forEach(keep);
  levels.forEach(({ ways }, at) => ways.length > 0 && keep(at));
  const places = [...kept].sort((a, b) => a - b);
  return places.map((at) => ({
    ...nth(levels, at),
    rips: nth(levels, at).rips.map(([low, high]) => [places.indexOf(low), places.indexOf(high)] as const),
  }));
}
