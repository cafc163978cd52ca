import type { Length } from '../length';
import { liesOn, type Bin, type Group } from './group';
import { knapsack } from './knapsack';

/** A piece on a bin, in exact lengths. */
export type Lying = {
  readonly item: number;
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  readonly turned: boolean;
};

/** A stretch of a bin between two crosscuts; lanes are ripped out of it, pieces crosscut from each lane. */
export type Section = {
  readonly x: Length;
  readonly length: Length;
  readonly lanes: readonly { readonly y: Length; readonly width: Length; readonly pieces: readonly Lying[] }[];
};

/**
 * A rectangle of a bin: free, or with a piece in its lower left corner and the rest cut in two. The first cut frees a
 * piece's whole side: across the rectangle, or along it.
 */
export type Slot = {
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  cut: {
    readonly piece: Lying;
    readonly crosscutFirst: boolean;
    readonly right: Slot | null;
    readonly top: Slot | null;
  } | null;
};

/** One way to cut a bin: what comes out of it and where it lies. */
export type Pattern = {
  readonly bin: number;
  readonly counts: readonly number[];
  readonly sections: readonly Section[];
  /** In place of sections: rectangles cut again and again, one for each run. */
  readonly slots?: readonly Slot[];
};

/** A way an item lies, with the item it belongs to. */
type Way = { readonly item: number; readonly length: Length; readonly width: Length; readonly turned: boolean };

const known = new WeakMap<Bin, { readonly items: Group['items']; readonly ways: readonly Way[] }>();

/** Every way the group's items may lie on a bin. Asked for at every filling, so the answer is kept with the bin. */
export function waysOn(group: Group, bin: Bin): readonly Way[] {
  const before = known.get(bin);
  if (before && before.items === group.items) return before.ways;
  const ways = group.items.flatMap((item, at) => liesOn(item, bin).map((way) => ({ item: at, ...way })));
  known.set(bin, { items: group.items, ways });
  return ways;
}

/** True where no two pieces fit beside each other and none may lie two ways: the bin is filled end to end. */
export function singleLane(group: Group, bin: Bin): boolean {
  const ways = waysOn(group, bin);
  const narrowest = Math.min(...ways.map((way) => way.width));
  if (new Set(ways.map(({ item }) => item)).size < ways.length) return false;
  return 2 * narrowest + group.kerf > bin.usableWidth;
}

/** Room an end-to-end run of pieces takes is each length plus one gap, in a run one gap longer. */
const weightOf = (group: Group, way: Way) => way.length + group.gap;

/**
 * Fills one bin with pieces of most value out of `left`: exactly where pieces lie end to end only, section by section
 * (greedy by value for length) where they also lie side by side. The result can be cut by straight cuts: crosscuts
 * into sections, rips into lanes, crosscuts to length.
 */
export function fill(group: Group, at: number, left: readonly number[], values: readonly number[]): Pattern {
  const bin = group.bins[at]!;
  const ways = waysOn(group, bin);
  const rest = [...left];
  const single = singleLane(group, bin);
  const sections = [...bin.runs]
    .sort((a, b) => b.to - b.from - (a.to - a.from))
    .flatMap((run) =>
      single ? fillRun(group, bin, run, ways, rest, values) : fillSections(group, bin, run, ways, rest, values),
    );
  const counts = left.map((count, item) => count - rest[item]!);
  return { bin: at, counts, sections: sections.sort((a, b) => a.x - b.x) };
}

/** End to end along one run, longest first. Takes what it uses out of `rest`. */
function fillRun(
  group: Group,
  bin: Bin,
  run: Bin['runs'][number],
  ways: readonly Way[],
  rest: number[],
  values: readonly number[],
): Section[] {
  const { counts } = knapsack(
    ways.map((way) => values[way.item]!),
    ways.map((way) => weightOf(group, way)),
    ways.map((way) => rest[way.item]!),
    run.to - run.from + group.gap,
  );
  let x = run.from;
  return ways
    .flatMap((way, k) => Array.from({ length: counts[k]! }, () => way))
    .sort((a, b) => b.length - a.length || a.item - b.item)
    .map((way) => {
      const piece = { ...way, x, y: bin.bottom };
      x += way.length + group.gap;
      rest[way.item]!--;
      return { x: piece.x, length: way.length, lanes: [{ y: piece.y, width: way.width, pieces: [piece] }] };
    });
}

/** Sections across one run: each as long as its longest piece, chosen by value for length. */
function fillSections(
  group: Group,
  bin: Bin,
  run: Bin['runs'][number],
  ways: readonly Way[],
  rest: number[],
  values: readonly number[],
): Section[] {
  const sections: Section[] = [];
  let x = run.from;
  for (;;) {
    const room = run.to - x;
    const lengths = [
      ...new Set(ways.filter((way) => rest[way.item]! > 0 && way.length <= room).map((way) => way.length)),
    ];
    let best: { section: Section; used: Map<number, number>; density: number } | null = null;
    for (const length of lengths) {
      const found = fillSection(group, bin, x, length, ways, rest, values);
      const density = found.value / (length + group.gap);
      if (found.value > 1e-9 && density > (best?.density ?? 0)) best = { ...found, density };
    }
    if (!best) return sections;
    sections.push(best.section);
    for (const [item, count] of best.used) rest[item]! -= count;
    x += best.section.length + group.gap;
  }
}

/** Lanes of one section, each as wide as its first piece; shorter pieces follow in the same lane. */
function fillSection(
  group: Group,
  bin: Bin,
  x: Length,
  length: Length,
  ways: readonly Way[],
  rest: readonly number[],
  values: readonly number[],
): { section: Section; used: Map<number, number>; value: number } {
  const used = new Map<number, number>();
  const lanes: Section['lanes'][number][] = [];
  const free = (way: Way) => rest[way.item]! - (used.get(way.item) ?? 0);
  let value = 0;
  let y = bin.bottom;
  const top = bin.bottom + bin.usableWidth;
  for (;;) {
    const fits = ways.filter(
      (way) => free(way) > 0 && way.length <= length && way.width <= top - y && values[way.item]! > 1e-9,
    );
    if (fits.length === 0) break;
    const worth = (way: Way) =>
      (values[way.item]! * Math.min(free(way), Math.floor((length + group.gap) / (way.length + group.gap)))) /
      (way.width + group.kerf);
    const first = fits.reduce((best, way) => (worth(way) > worth(best) + 1e-9 ? way : best));
    const pieces: Lying[] = [];
    let along = x;
    const put = (way: Way) => {
      pieces.push({ ...way, x: along, y });
      along += way.length + group.gap;
      used.set(way.item, (used.get(way.item) ?? 0) + 1);
      value += values[way.item]!;
    };
    const followers = fits.filter((way) => way.width <= first.width).sort((a, b) => b.length - a.length);
    for (const way of [first, ...followers]) while (free(way) > 0 && along + way.length <= x + length) put(way);
    lanes.push({ y, width: first.width, pieces });
    y += first.width + group.kerf;
  }
  return { section: { x, length, lanes }, used, value };
}
