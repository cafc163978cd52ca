import { nth } from '../lists';
import type { Length } from '../length';
import { endKind, SQUARE, stepBetween, type EndKind } from './ends';
import { toLength, type CutProblem, type ProblemPart, type ProblemStock } from './problem';

/** One size of piece inside a group, in exact lengths. Parts of equal size and ends are one item to the search. */
export type Item = {
  /** The parts this stands for, in the order of the list; their quantities add up to `quantity`. */
  readonly parts: readonly { readonly id: string; readonly quantity: number }[];
  /** Long point to long point. */
  readonly length: Length;
  readonly width: Length;
  readonly quantity: number;
  readonly grain: ProblemPart['grain'];
  /** Degrees from square, as the part has them when it is not flipped; null where both ends are square. */
  readonly angles: { readonly left: number; readonly right: number } | null;
  /** Kinds of its left and right end: places in the group's `ends`. */
  readonly ends: readonly [number, number];
};

/** One kind of stock, with what is left after trim and defects. */
export type Bin = {
  readonly id: string;
  readonly kind: ProblemStock['kind'];
  /** Cents. */
  readonly price: number;
  readonly available: number | null;
  /** Stretches along x that pieces may lie in. */
  readonly runs: readonly { readonly from: Length; readonly to: Length }[];
  readonly length: Length;
  readonly width: Length;
  readonly bottom: Length;
  readonly usableWidth: Length;
  readonly trimmedEnds: boolean;
};

/** Parts and stock of one material and thickness: problems that do not touch each other. */
export type Group = {
  readonly items: readonly Item[];
  readonly bins: readonly Bin[];
  /** Kinds of end that its items have; the first is square. */
  readonly ends: readonly EndKind[];
  /** Least distance along x between two kinds of end, long point to long point, by their places in `ends`. */
  readonly steps: readonly (readonly Length[])[];
  /** Least gap along x that is wide enough for every end: the kerf where all are square. */
  readonly gap: Length;
  /** Least gap across: the kerf, but where mitred pieces may lie across a sheet. */
  readonly gapAcross: Length;
  readonly kerf: Length;
};

function toItem(part: ProblemPart, unit: CutProblem['unit'], ends: EndKind[]): Item {
  const length = toLength(part.length, unit);
  const width = toLength(part.width, unit);
  const kindOf = (degrees: number): number => {
    const kind = endKind(degrees, width);
    const known = ends.findIndex((other) => other.angle === kind.angle && other.width === kind.width);
    return known >= 0 ? known : ends.push(kind) - 1;
  };
  // Angles that a job works out differ in the last digits; a millionth of a degree is one angle.
  const slant = (degrees: number) => Math.round(degrees * 1e6) / 1e6;
  const angles = part.ends && { left: slant(part.ends.left), right: slant(part.ends.right) };
  const mitred = angles !== undefined && (angles.left !== 0 || angles.right !== 0);
  return {
    parts: [{ id: part.id, quantity: part.quantity }],
    length,
    width,
    quantity: part.quantity,
    grain: part.grain,
    angles: mitred ? angles : null,
    ends: mitred ? [kindOf(angles.left), kindOf(angles.right)] : [0, 0],
  };
}

/** True where any piece has a slanted end. */
export const isMitred = (group: Group): boolean => group.ends.length > 1;

/**
 * What a piece takes of a lane when like ends meet, in half units of length: twice its length and half a step at each
 * end twice over. Unlike ends only take more, so that no lane of `laneRoom` holds a sum beyond it.
 */
export const laneWeight = ({ steps }: Group, { length, ends: [left, right] }: Item): number =>
  2 * length + nth(nth(steps, left), left) + nth(nth(steps, right), right);

/** Half units that pieces may take of a run: the two ends that meet nothing cost no step. */
export function laneRoom({ steps, items }: Group, run: Length): number {
  const step =
    widestSteps.get(items) ??
    items.reduce((most, { ends }) => Math.max(most, ...ends.map((kind) => nth(nth(steps, kind), kind))), 0);
  widestSteps.set(items, step);
  return 2 * run + 2 * step;
}
/** The widest step of any end, by items: asked for at every filling. */
const widestSteps = new WeakMap<Group['items'], number>();

function toBin(stock: ProblemStock, unit: CutProblem['unit']): Bin {
  const length = toLength(stock.length, unit);
  const ends = toLength(stock.trim.ends, unit);
  const edges = toLength(stock.trim.edges, unit);
  const runs: { from: Length; to: Length }[] = [];
  let from = ends;
  const defects = stock.defects
    .map((defect) => ({
      from: toLength(Math.min(defect.from, defect.to), unit),
      to: toLength(Math.max(defect.from, defect.to), unit),
    }))
    .sort((a, b) => a.from - b.from);
  for (const defect of defects) {
    // One unit (1/320 mm) clear of the defect, since a piece may not even touch it.
    if (defect.from - 1 > from) runs.push({ from, to: Math.min(defect.from - 1, length - ends) });
    from = Math.max(from, defect.to + 1);
  }
  if (length - ends > from) runs.push({ from, to: length - ends });
  return {
    id: stock.id,
    kind: stock.kind,
    price: Math.round(stock.price * 100),
    available: stock.available,
    runs,
    length,
    width: toLength(stock.width, unit),
    bottom: edges,
    usableWidth: toLength(stock.width, unit) - 2 * edges,
    trimmedEnds: ends > 0,
  };
}

/** Puts items of equal size, grain and ends together, so that the search does not tell like from like. */
function merged(items: readonly Item[]): readonly Item[] {
  const byShape = new Map<string, Item>();
  for (const item of items) {
    const key = [item.length, item.width, item.grain, item.angles?.left, item.angles?.right].join();
    const before = byShape.get(key);
    byShape.set(
      key,
      before ? { ...before, quantity: before.quantity + item.quantity, parts: [...before.parts, ...item.parts] } : item,
    );
  }
  return [...byShape.values()];
}

/** Splits a problem by material and thickness. Stock that no part asks for is left out. */
export function groupsOf(problem: CutProblem): readonly Group[] {
  const unit = problem.unit;
  const kerf = toLength(problem.kerf, unit);
  const keyOf = (row: ProblemStock | ProblemPart) => `${toLength(row.thickness, unit)} ${row.material}`;
  const keys = [...new Set(problem.parts.map(keyOf))];
  return keys.map((key) => {
    const parts = problem.parts.filter((part) => keyOf(part) === key);
    const ends: EndKind[] = [SQUARE];
    const items = merged(parts.map((part) => toItem(part, unit, ends)));
    const steps = ends.map((a) => ends.map((b) => stepBetween(a, b, kerf)));
    const steepest = ends.reduce((a, b) => (b.angle > a.angle ? b : a));
    const bins = problem.stock.filter((stock) => keyOf(stock) === key).map((stock) => toBin(stock, unit));
    const gap = stepBetween(SQUARE, steepest, kerf);
    return { items, bins, ends, steps, kerf, gap, gapAcross: bins.some(({ kind }) => kind === 'sheet') ? gap : kerf };
  });
}

/** The ways an item may lie on a bin: as it is, or turned where a sheet and its grain allow. */
export function liesOn(
  item: Item,
  bin: Bin,
): readonly { readonly length: Length; readonly width: Length; readonly turned: boolean }[] {
  const asIs = { length: item.length, width: item.width, turned: false };
  const turned = { length: item.width, width: item.length, turned: true };
  const ways =
    bin.kind === 'board' || item.grain === 'length' ? [asIs] : item.grain === 'width' ? [turned] : [asIs, turned];
  const longest = Math.max(0, ...bin.runs.map((run) => run.to - run.from));
  return ways.filter((way) => way.length <= longest && way.width <= bin.usableWidth);
}
