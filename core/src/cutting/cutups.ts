// Looked up millions of times: indices count levels, cells and items of the table.
/* oxlint-disable typescript/no-non-null-assertion */
import { held } from '../lists';
import type { Group } from './group';
import { MOST_ITEMS, type CutGrid } from './frame';
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
  { levels, cells }: CutGrid,
  { best, whole }: Table,
  values: readonly number[],
  top: number,
  room: number,
  slack: number,
  limit: number,
): readonly Cutup[] | null {
  const known = new Map<number, readonly Taking[]>();
  const nothing: readonly Taking[] = [{ counts: items.map(() => 0), loss: 0, tree: EMPTY, used: 0 }];
  const bestOf = (level: number, cell: number) => (level < 0 ? 0 : best[level]![cell]!);
  const reached = reachedIn({ levels, cells });
  const collect = collector(
    items.map(({ quantity }) => quantity),
    slack,
    limit * MOST_TRIED,
  );
  const none = items.map(() => 0);
  const ones = items.map((_, one) => items.map((__, item) => (item === one ? 1 : 0)));

  /** The least wasteful first, so that a loop may end where it gets too wasteful. */
  const byLoss = (found: ReadonlyMap<string, Taking>) => [...found.values()].sort((a, b) => a.loss - b.loss);

  const ripped = (level: number, section: number): readonly Taking[] => {
    const key = -(level * (cells + 1) + section) - 1;
    const before = known.get(key);
    if (before) return before;
    const { found, add } = collect();
    for (const [low, high] of levels[level]!.rips) {
      const lost = whole[level]![section]! - best[low]![section]! - best[high]![section]!;
      if (lost > slack) continue;
      const width = levels[low]!.width;
      const pair = (some: readonly Taking[], others: readonly Taking[]) =>
        eachPair(some, others, slack - lost, (a, b) =>
          add(a.counts, b.counts, lost + a.loss + b.loss, () => ({
            tree: { ends: [], sections: [{ width, low: a.tree, high: b.tree }] },
            used: section,
          })),
        );
      // One of the two is as long as the section: else it would be a shorter one.
      const [lows, highs] = [low, high].map((side) => of(side, section, 0, section).filter(({ used }) => used > 0));
      const isFull = ({ used }: Taking) => used === section;
      pair(lows!.filter(isFull), highs!);
      pair(
        lows!.filter((one) => !isFull(one)),
        highs!.filter(isFull),
      );
    }
    known.set(key, byLoss(found));
    return held(known, key);
  };
  /** From a way of the level on, with sections no longer than so many cells. */
  const of = (level: number, cell: number, first: number, limitTo: number): readonly Taking[] => {
    if (level < 0) return nothing;
    const longest = reached[Math.min(limitTo, cell)]!;
    const { ways, rips } = levels[level]!;
    const key = ((level * (cells + 1) + cell) * (MOST_ITEMS + 1) + first) * (cells + 1) + longest;
    const before = known.get(key);
    if (before) return before;
    const { found, add } = collect();
    const most = best[level]![cell]!;
    const narrower = most - bestOf(level - 1, cell);
    if (narrower <= slack)
      for (const rest of of(level - 1, cell, 0, cell)) {
        if (rest.loss + narrower > slack) break;
        add(rest.counts, none, rest.loss + narrower, () => rest);
      }
    for (let k = first; k < ways.length; k++) {
      const { way, cells: taken } = ways[k]!;
      if (taken > cell) continue;
      const lost = most - values[way.item]! - best[level]![cell - taken]!;
      if (lost > slack) continue;
      for (const rest of of(level, cell - taken, k, longest))
        add(rest.counts, ones[way.item]!, rest.loss + lost, () => ({
          tree: { ...rest.tree, ends: [...rest.tree.ends, way] },
          used: rest.used + taken,
        }));
    }
    for (let section = rips.length > 0 ? longest : 0; section > 0; section = reached[section - 1]!) {
      const lost = most - whole[level]![section]! - best[level]![cell - section]!;
      if (lost > slack) continue;
      for (const part of ripped(level, section))
        if (lost + part.loss <= slack)
          for (const rest of of(level, cell - section, ways.length, section))
            add(rest.counts, part.counts, lost + part.loss + rest.loss, () => ({
              tree: { ends: rest.tree.ends, sections: [...rest.tree.sections, ...part.tree.sections] },
              used: section + rest.used,
            }));
    }
    known.set(key, byLoss(found));
    return held(known, key);
  };
  try {
    const all = of(top, room, 0, room);
    return all.length > limit ? null : all;
  } catch (error) {
    if (error === TOO_MANY) return null;
    throw error;
  }
}

/** The longest sum of pieces that is no longer than each cell: sections of other lengths hold nothing more. */
function reachedIn({ levels, cells }: Pick<CutGrid, 'levels' | 'cells'>): Int32Array {
  const reached = new Int32Array(cells + 1);
  const taken = [...new Set(levels.flatMap(({ ways }) => ways.map((way) => way.cells)))];
  for (let cell = 1; cell <= cells; cell++)
    reached[cell] = taken.some((length) => length <= cell && reached[cell - length] === cell - length)
      ? cell
      : reached[cell - 1]!;
  return reached;
}

/** Each of some with each of others, both with the least wasteful first, that together lose no more than `slack`. */
function eachPair(
  some: readonly Taking[],
  others: readonly Taking[],
  slack: number,
  use: (a: Taking, b: Taking) => void,
): void {
  for (const a of some) {
    if (a.loss > slack) break;
    for (const b of others) {
      if (a.loss + b.loss > slack) break;
      use(a, b);
    }
  }
}

/** Ways looked at, over all cells, for each that may be written down. */
const MOST_TRIED = 400;
const TOO_MANY = new Error('more cutups than asked for');

/** Keeps the least wasteful of each set of pieces. Throws `TOO_MANY` beyond so many tries, over all that it makes. */
function collector(quantities: readonly number[], slack: number, most: number) {
  let tried = 0;
  return () => {
    const found = new Map<string, Taking>();
    /** Two takings put together, losing so much besides; `tree` and `used` are worked out only for what is kept. */
    const add = (
      a: readonly number[],
      b: readonly number[],
      loss: number,
      rest: () => Pick<Taking, 'tree' | 'used'>,
    ) => {
      if (++tried > most) throw TOO_MANY;
      if (loss > slack) return;
      const counts = new Array<number>(quantities.length);
      for (let item = 0; item < quantities.length; item++)
        if ((counts[item] = a[item]! + b[item]!) > quantities[item]!) return;
      const name = counts.join();
      const other = found.get(name);
      if (!other || loss < other.loss) {
        const { tree, used } = rest();
        found.set(name, { counts, loss, tree, used });
      }
    };
    return { found, add };
  };
}
