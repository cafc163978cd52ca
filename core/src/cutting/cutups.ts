import type { Group } from './group';
import { MOST_ITEMS, type Frame } from './frame';
import type { Table } from './table';
import { EMPTY, type CutTree } from './tree';

/** Pieces that come out of a run together, how far that is from the best, and how they are cut. */
export type Cutup = { readonly counts: readonly number[]; readonly loss: number; readonly tree: CutTree };

/** A cutup of a cell, with the cells it really takes. */
type Taking = Cutup & { readonly used: number };

/**
 * The sets of pieces of a cell that are worth at most `slack` less than the best, each once; null beyond `limit`. Told
 * in one order only: pieces of the full width as they stand in the list, sections from the longest down, each as long
 * as what is in it, then what is narrower; the rest is waste.
 */
export function cutupsWithin(
  { items }: Group,
  { levels, cells }: Frame,
  { best, whole }: Table,
  values: readonly number[],
  top: number,
  room: number,
  slack: number,
  limit: number,
): readonly Cutup[] | null {
  const known = new Map<number, readonly Taking[]>();
  const nothing: readonly Taking[] = [{ counts: items.map(() => 0), loss: 0, tree: EMPTY, used: 0 }];
  let tried = 0;
  const bestOf = (level: number, cell: number) => (level < 0 ? 0 : best[level]![cell]!);
  const collect = () => {
    const found = new Map<string, Taking>();
    const add = (cutup: Taking) => {
      if (++tried > limit * MOST_TRIED) throw TOO_MANY;
      if (cutup.loss > slack || cutup.counts.some((count, item) => count > items[item]!.quantity)) return;
      const name = cutup.counts.join();
      const other = found.get(name);
      if (!other || cutup.loss < other.loss) found.set(name, cutup);
    };
    return { found, add };
  };
  const plus = (a: readonly number[], b: readonly number[]) => a.map((count, item) => count + b[item]!);

  const ripped = (level: number, section: number): readonly Taking[] => {
    const key = -(level * (cells + 1) + section) - 1;
    const before = known.get(key);
    if (before) return before;
    const { found, add } = collect();
    for (const [low, high] of levels[level]!.rips) {
      const lost = whole[level]![section]! - best[low]![section]! - best[high]![section]!;
      if (lost > slack) continue;
      const width = levels[low]!.width;
      for (const a of of(low, section, 0, section))
        for (const b of of(high, section, 0, section))
          if (Math.max(a.used, b.used) === section && a.used > 0 && b.used > 0)
            add({
              counts: plus(a.counts, b.counts),
              loss: lost + a.loss + b.loss,
              tree: { ends: [], sections: [{ width, low: a.tree, high: b.tree }] },
              used: section,
            });
    }
    known.set(key, [...found.values()]);
    return known.get(key)!;
  };
  /** From a way of the level on, with sections no longer than so many cells. */
  const of = (level: number, cell: number, first: number, longest: number): readonly Taking[] => {
    if (level < 0) return nothing;
    const { ways, rips } = levels[level]!;
    const key = ((level * (cells + 1) + cell) * (MOST_ITEMS + 1) + first) * (cells + 1) + longest;
    const before = known.get(key);
    if (before) return before;
    const { found, add } = collect();
    const most = best[level]![cell]!;
    const narrower = most - bestOf(level - 1, cell);
    if (narrower <= slack)
      for (const rest of of(level - 1, cell, 0, cell)) add({ ...rest, loss: rest.loss + narrower });
    for (let k = first; k < ways.length; k++) {
      const { way, cells: taken } = ways[k]!;
      if (taken > cell) continue;
      const lost = most - values[way.item]! - best[level]![cell - taken]!;
      if (lost > slack) continue;
      for (const rest of of(level, cell - taken, k, longest))
        add({
          counts: rest.counts.map((count, item) => (item === way.item ? count + 1 : count)),
          loss: rest.loss + lost,
          tree: { ...rest.tree, ends: [...rest.tree.ends, way] },
          used: rest.used + taken,
        });
    }
    for (let section = rips.length > 0 ? Math.min(longest, cell) : 0; section > 0; section--) {
      const lost = most - whole[level]![section]! - best[level]![cell - section]!;
      if (lost > slack) continue;
      for (const part of ripped(level, section))
        if (lost + part.loss <= slack)
          for (const rest of of(level, cell - section, ways.length, section))
            add({
              counts: plus(rest.counts, part.counts),
              loss: lost + part.loss + rest.loss,
              tree: { ends: rest.tree.ends, sections: [...rest.tree.sections, ...part.tree.sections] },
              used: section + rest.used,
            });
    }
    known.set(key, [...found.values()]);
    return known.get(key)!;
  };
  try {
    const all = of(top, room, 0, room);
    return all.length > limit ? null : all;
  } catch (error) {
    if (error === TOO_MANY) return null;
    throw error;
  }
}
/** Ways looked at, over all cells, for each that may be written down. */
const MOST_TRIED = 400;
const TOO_MANY = new Error('more cutups than asked for');
