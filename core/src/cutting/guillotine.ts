import { addAt, nth, sure } from '../lists';
import type { Length } from '../length';
import { patternOf, type Pattern } from './fill';
import type { Orientation } from './region';
import { waysOn } from './ways';
import type { Group } from './group';
import { seeded } from './random';
import { laneOf, layLane, type Area } from './region';
import { better, type Cutting } from './search';

/** Which free rectangle a piece goes into: the one that it leaves least of, by area, by shorter or by longer side. */
const FITS = ['area', 'short side', 'long side'] as const;
/**
 * Which way the cut goes that frees a piece: what is left is cut so that one of the two rectangles is large, or not.
 */
const SPLITS = ['shorter left', 'longer left', 'smaller rest', 'larger rest'] as const;
/** Which stock is taken when a new one is begun. */
const TAKES = ['price for area', 'cheapest', 'largest'] as const;

type Rule = {
  readonly fit: (typeof FITS)[number];
  readonly split: (typeof SPLITS)[number];
  readonly take: (typeof TAKES)[number];
};

/** A rectangle of a bin while it is filled: free, or with a piece in its lower left corner and the rest cut in two. */
type Slot = {
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  cut: {
    readonly way: Orientation;
    readonly crosscutFirst: boolean;
    readonly right: Slot | null;
    readonly top: Slot | null;
  } | null;
};

/** One board or sheet while it is filled: free rectangles and what was put where. */
type Sheet = {
  readonly bin: number;
  readonly items: number[];
  readonly roots: readonly Slot[];
  readonly free: Slot[];
  area: number;
};

/** A piece is tried on so many of the sheets begun last: earlier ones have no room worth a look. */
const MOST_LOOKED_AT = 40;

const areaOf = (group: Group, bin: number): number =>
  nth(group.bins, bin).runs.reduce((sum, run) => sum + run.to - run.from, 0) * nth(group.bins, bin).usableWidth;

function newSheet(group: Group, at: number): Sheet {
  const bin = nth(group.bins, at);
  const roots = bin.runs.map((run): Slot => ({
    x: run.from,
    y: bin.bottom,
    length: run.to - run.from,
    width: bin.usableWidth,
    cut: null,
  }));
  return { bin: at, items: [], roots, free: [...roots], area: 0 };
}

const fitScore = (rule: Rule['fit'], slot: Slot, length: Length, width: Length): number => {
  const [along, across] = [slot.length - length, slot.width - width];
  if (rule === 'area') return slot.length * slot.width - length * width;
  return rule === 'short side' ? Math.min(along, across) : Math.max(along, across);
};

/** Which way the rest beside and above a piece is cut: true where the crosscut comes first. */
function cutsAcross(
  split: Rule['split'],
  along: Length,
  across: Length,
  { length, width }: Slot,
  piece: Orientation,
): boolean {
  if (split === 'shorter left') return along < across;
  if (split === 'longer left') return along >= across;
  const crosscutRest = Math.max(along * width, piece.length * across);
  const ripRest = Math.max(length * across, along * piece.width);
  return split === 'larger rest' ? crosscutRest >= ripRest : crosscutRest < ripRest;
}

/** Puts a piece into the lower left corner of a free rectangle and cuts the rest in two. */
function put(group: Group, sheet: Sheet, at: number, piece: Orientation, split: Rule['split']): void {
  const { free } = sheet;
  const slot = nth(free, at);
  const { x, y, length, width } = slot;
  const along = length - piece.length - group.gap;
  const across = width - piece.width - group.gapAcross;
  const crosscutFirst = cutsAcross(split, along, across, slot, piece);
  const right: Slot | null =
    along > 0
      ? { x: x + piece.length + group.gap, y, length: along, width: crosscutFirst ? width : piece.width, cut: null }
      : null;
  const top: Slot | null =
    across > 0
      ? {
          x,
          y: y + piece.width + group.gapAcross,
          length: crosscutFirst ? piece.length : length,
          width: across,
          cut: null,
        }
      : null;
  slot.cut = { way: piece, crosscutFirst, right, top };
  free.splice(at, 1, ...[right, top].filter((rest) => rest !== null));
  sheet.items.push(piece.item);
  sheet.area += piece.length * piece.width;
}

/** Puts one item where it fits best on any of the sheets. False where it fits on none. */
function place(group: Group, sheets: readonly Sheet[], item: number, rule: Rule): boolean {
  let [least, on, at, found]: [number, Sheet | null, number, Orientation | null] = [Infinity, null, 0, null];
  for (let index = Math.max(0, sheets.length - MOST_LOOKED_AT); index < sheets.length; index++) {
    const sheet = nth(sheets, index);
    const ways = nth(waysOf(group, sheet.bin), item);
    for (let place = 0; place < sheet.free.length; place++)
      for (const way of ways) {
        const slot = nth(sheet.free, place);
        if (way.length > slot.length || way.width > slot.width) continue;
        const score = fitScore(rule.fit, slot, way.length, way.width);
        if (score < least) [least, on, at, found] = [score, sheet, place, way];
      }
  }
  if (on === null || found === null) return false;
  put(group, on, at, found, rule.split);
  return true;
}

const known = new WeakMap<Group, (readonly (readonly Orientation[])[])[]>();
/** The ways each item may lie on a bin, by item. */
function waysOf(group: Group, bin: number): readonly (readonly Orientation[])[] {
  const table =
    known.get(group) ??
    group.bins.map((one) => {
      const rows: Orientation[][] = group.items.map(() => []);
      for (const way of waysOn(group, one)) nth(rows, way.item).push(way);
      return rows;
    });
  known.set(group, table);
  return nth(table, bin);
}

/** The stock to begin for an item: what is there already first, then by the rule. Null where there is none left. */
function take(group: Group, item: number, used: readonly number[], rule: Rule['take']): number | null {
  const open = group.bins
    .map((bin, at) => ({ bin, at }))
    .filter(({ bin, at }) => (bin.available ?? Infinity) > nth(used, at) && nth(waysOf(group, at), item).length > 0);
  if (open.length === 0) return null;
  const rank = ({ bin, at }: (typeof open)[number]) =>
    bin.price === 0
      ? -1
      : rule === 'cheapest'
        ? bin.price
        : rule === 'largest'
          ? 1 / areaOf(group, at)
          : bin.price / areaOf(group, at);
  return open.reduce((best, next) => (rank(next) < rank(best) ? next : best)).at;
}

/** Packs items in their order into new sheets. `missing` is how many found no stock. */
function pack(
  group: Group,
  items: readonly number[],
  before: readonly number[],
  rule: Rule,
): { sheets: Sheet[]; missing: number } {
  const sheets: Sheet[] = [];
  const used = [...before];
  let missing = 0;
  for (const item of items) {
    if (place(group, sheets, item, rule)) continue;
    const bin = take(group, item, used, rule.take);
    if (bin === null) missing++;
    else {
      addAt(used, bin, 1);
      sheets.push(newSheet(group, bin));
      place(group, sheets, item, rule);
    }
  }
  return { sheets: sheets.map((sheet) => cheaperFor(group, sheet, used)), missing };
}

/** The same pieces on a cheaper stock, if one holds them all in the order they were put; else the sheet as it is. */
function cheaperFor(group: Group, sheet: Sheet, used: number[]): Sheet {
  const { price } = nth(group.bins, sheet.bin);
  const others = group.bins
    .map((bin, at) => ({ bin, at }))
    .filter(
      ({ bin, at }) =>
        bin.price < price && (bin.available ?? Infinity) > nth(used, at) && areaOf(group, at) >= sheet.area,
    )
    .sort((a, b) => a.bin.price - b.bin.price);
  for (const { at } of others)
    for (const fit of FITS)
      for (const split of SPLITS) {
        const one = newSheet(group, at);
        if (sheet.items.every((item) => place(group, [one], item, { fit, split, take: 'cheapest' }))) {
          addAt(used, sheet.bin, -1);
          addAt(used, at, 1);
          return one;
        }
      }
  return sheet;
}

/** A slot as a region: the same cuts, each from edge to edge. */
function regionOf(group: Group, { cut, ...box }: Slot): Area {
  if (cut === null) return { ...box, use: null };
  const { way, crosscutFirst, right, top } = cut;
  const corner = layLane(group, box, laneOf(group, [way]), crosscutFirst ? 'crosscut' : 'rip');
  return withRests(corner, right && regionOf(group, right), top && regionOf(group, top));
}

/** The two rests of a corner piece put in their places: beside it and above it. */
function withRests(corner: Area, right: Area | null, top: Area | null): Area {
  const { use } = corner;
  if (use === null || use.kind === 'lane') return corner;
  const second = use.kind === 'crosscut' ? right : top;
  return { ...corner, use: { ...use, first: withRests(use.first, right, top), second } };
}

const sheetPattern = (group: Group, { bin, roots }: Sheet): Pattern =>
  patternOf(
    group,
    bin,
    roots.map((root) => regionOf(group, root)),
  );

/** Price, then emptiness gathered in few sheets: full ones and nearly empty ones are better than all half full. */
const worse = (group: Group, sheets: readonly Sheet[]): readonly [number, number] => [
  sheets.reduce((sum, { bin }) => sum + nth(group.bins, bin).price, 0),
  -sheets.reduce((sum, { bin, area }) => sum + (area / areaOf(group, bin)) ** 2, 0),
];

/** A packing that can be worked on: its sheets, and how many pieces found no stock. */
export type Packing = { readonly sheets: readonly Sheet[]; readonly missing: number };

/** Sizes a list is ordered by before it is packed, the largest first. */
const ordersOf = ({ items }: Group): readonly ((item: number) => number)[] => [
  (item) => nth(items, item).length * nth(items, item).width,
  (item) => Math.max(nth(items, item).length, nth(items, item).width),
  (item) => Math.min(nth(items, item).length, nth(items, item).width),
  (item) => nth(items, item).width,
  (item) => nth(items, item).length,
];

/** A packing as patterns with what it costs. */
export const cuttingOf = (group: Group, { sheets, missing }: Packing): Cutting => ({
  patterns: sheets.map((sheet) => sheetPattern(group, sheet)),
  cost: sheets.reduce((sum, { bin }) => sum + nth(group.bins, bin).price, 0),
  missing,
});

/** Pieces that found no stock, cents, boards bought: what decides between packings, in that order. */
type PackingCost = readonly [missing: number, cost: number, bought: number];
const priceOf = (group: Group, { sheets, missing }: Packing): PackingCost => [
  missing,
  sheets.reduce((sum, { bin }) => sum + nth(group.bins, bin).price, 0),
  sheets.filter(({ bin }) => nth(group.bins, bin).price > 0).length,
];
const comparePrices = (a: PackingCost, b: PackingCost): number => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

/**
 * The best of all rules for sheets and wide boards that are cut straight from edge to edge: pieces are put one after
 * the other into the corner of the free rectangle they fit best, whose rest is cut in two (Jylänki 2010 compares the
 * rules).
 *
 * @param mostPut pieces put over all rules, after which no more are tried.
 */
export function packByGuillotine(group: Group, mostPut: number, stopped: () => boolean): Packing {
  const none = group.bins.map(() => 0);
  const all = group.items.flatMap((item, at) => Array.from({ length: item.quantity }, () => at));
  type Best = { readonly packing: Packing; readonly cutting: Cutting; readonly price: PackingCost };
  let packs = 0;
  let best: Best | null = null;
  for (const order of ordersOf(group))
    for (const fit of FITS)
      for (const split of SPLITS)
        for (const how of TAKES) {
          if (best !== null && (stopped() || ++packs * all.length > mostPut)) continue;
          if (group.bins.length === 1 && how !== TAKES[0]) continue;
          const sorted = [...all].sort((a, b) => order(b) - order(a) || b - a);
          const packing = pack(group, sorted, none, { fit, split, take: how });
          const price = priceOf(group, packing);
          // Drawing a packing up costs more than making it: only one that is no dearer is looked at closely.
          if (best !== null && comparePrices(price, best.price) > 0) continue;
          const cutting = cuttingOf(group, packing);
          if (better(group, cutting, best?.cutting ?? null)) best = { packing, cutting, price };
        }
  return sure<Best>(best, 'packing').packing;
}

/**
 * A packing made better: a few sheets at a time are emptied and packed anew in a shaken order, kept when they cost no
 * more and gather the emptiness (ruin and recreate, Schrimpf et al. 2000). Seeded: the same list gives the same answer.
 *
 * @param rounds how many times sheets are emptied; counts, not seconds.
 * @param bound cents: nothing can cost less, so the search ends there.
 */
export function repacked(
  group: Group,
  packing: Packing,
  rounds: number,
  bound: number,
  stopped: () => boolean,
): Packing {
  const random = seeded(7);
  const orders = ordersOf(group);
  const pick = <T>(from: readonly T[]): T => nth(from, Math.floor(random() * from.length));
  let { sheets } = packing;
  if (packing.missing > 0) return packing;
  let score = worse(group, sheets);
  for (let round = 0; round < rounds && sheets.length > 0 && score[0] > bound && !stopped(); round++) {
    const count = Math.min(sheets.length, 2 + Math.floor(random() * 3));
    // The emptiest is among those emptied half of the time.
    const ruined = new Set<Sheet>();
    if (random() < 0.5)
      ruined.add(sheets.reduce((a, b) => (b.area / areaOf(group, b.bin) < a.area / areaOf(group, a.bin) ? b : a)));
    while (ruined.size < count) ruined.add(pick(sheets));
    const kept = sheets.filter((sheet) => !ruined.has(sheet));
    const shake = 0.1 + 0.9 * random();
    const order = pick(orders);
    const items = [...ruined].flatMap((sheet) => sheet.items);
    const shaken = items
      .map((item) => ({ item, key: order(item) * (1 + shake * (random() - 0.5)) }))
      .sort((a, b) => b.key - a.key)
      .map(({ item }) => item);
    const used = group.bins.map((_, at) => kept.filter(({ bin }) => bin === at).length);
    const packed = pack(group, shaken, used, { fit: pick(FITS), split: pick(SPLITS), take: pick(TAKES) });
    if (packed.missing > 0) continue;
    const next = [...kept, ...packed.sheets];
    const then = worse(group, next);
    if (then[0] < score[0] || (then[0] === score[0] && then[1] <= score[1])) [sheets, score] = [next, then];
  }
  const found: Packing = { sheets, missing: 0 };
  return better(group, cuttingOf(group, found), cuttingOf(group, packing)) ? found : packing;
}
