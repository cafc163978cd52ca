import { held, nth } from '../lists';
import type { Length } from '../length';
import { cutupsWithin, type Cutup } from './cutups';
import { frameOf, type CutGrid } from './frame';
import { laneRoom, type Bin, type Group } from './group';
import { free, type Area } from './region';
import { tableOf, treeOf, type Table } from './table';
import { countUp, layTree } from './tree';

/**
 * The best that straight cuts can get out of a rectangle when of each piece there are as many as one likes: dynamic
 * programming over lengths on a grid and over the widths that sums of pieces can fill (Gilmore and Gomory 1965; Herz
 * 1972). A rectangle is ripped in two, or crosscut in two, or gives pieces end to end; whatever a person cuts is one of
 * these. Coarse grids round pieces down, so that the value is never too small.
 */
export type Staged = {
  /** No cutting of a run of so much length on this bin is worth more. */
  readonly worth: (run: Length) => number;
  /** How many of each item give it: often more than there are. */
  readonly counts: (run: Length) => readonly number[];
  /** A cutting of a region that comes close to it with the pieces that there are. */
  readonly cut: (region: Area, left: readonly number[]) => Area;
  /** Every choice of pieces that there are, worth at most `slack` less; null where they are more than `limit`. */
  readonly within: (run: Length, slack: number, limit: number) => readonly Cutup[] | null;
};

const frames = new WeakMap<Group, Map<Bin['kind'], CutGrid | null>>();
const tables = new WeakMap<readonly number[], Map<CutGrid, Table>>();

/** See `Staged`. Null where lengths and widths are too many for it. */
export function stagedFor(group: Group, bin: Bin, values: readonly number[]): Staged | null {
  const kinds = frames.get(group) ?? new Map<Bin['kind'], CutGrid | null>();
  frames.set(group, kinds);
  if (!kinds.has(bin.kind)) kinds.set(bin.kind, frameOf(group, bin.kind));
  const frame = held(kinds, bin.kind);
  if (frame === null) return null;
  const known = tables.get(values) ?? new Map<CutGrid, Table>();
  tables.set(values, known);
  const table = known.get(frame) ?? tableOf(frame, values);
  known.set(frame, table);
  const level = frame.levels.findLastIndex(({ width }) => width <= bin.usableWidth + group.kerf);
  const cellsOf = (run: Length) => Math.max(0, Math.floor(laneRoom(group, run) / frame.grain));
  return {
    worth: (run) => (level < 0 ? 0 : nth(nth(table.best, level), Math.min(frame.cells, cellsOf(run)))),
    counts: (run) => {
      const counts = group.items.map(() => 0);
      if (level >= 0) countUp(treeOf(frame, table, level, Math.min(frame.cells, cellsOf(run))), counts);
      return counts;
    },
    cut: (region, left) =>
      level < 0
        ? free(region)
        : layTree(group, treeOf(frame, table, level, Math.min(frame.cells, cellsOf(region.length))), region, [...left]),
    within: (run, slack, limit) =>
      level < 0
        ? []
        : cutupsWithin(group, frame, table, values, level, Math.min(frame.cells, cellsOf(run)), slack, limit),
  };
}
