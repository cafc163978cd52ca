import type { Length } from '../length';
import { toLength, type CutProblem, type ProblemPart, type ProblemStock } from './problem';

/** One size of piece inside a group, in exact lengths. Parts of equal size and ends are one item to the search. */
export type Item = {
  /** The parts this stands for, in the order of the list; their quantities add up to `quantity`. */
  readonly parts: readonly { readonly id: string; readonly quantity: number }[];
  readonly length: Length;
  readonly width: Length;
  readonly quantity: number;
  readonly grain: ProblemPart['grain'];
  /** Mean length: equal to `length` for square ends, less for mitred ones. Used by bounds only. */
  readonly meanLength: Length;
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
  readonly bottom: Length;
  readonly usableWidth: Length;
  readonly trimmedEnds: boolean;
};

/** Parts and stock of one material and thickness: problems that do not touch each other. */
export type Group = {
  readonly items: readonly Item[];
  readonly bins: readonly Bin[];
  /** Least gap between neighbours along x (wider than the kerf where ends are mitred) and along y. */
  readonly gap: Length;
  readonly kerf: Length;
};

const radians = (degrees: number) => (degrees * Math.PI) / 180;

function toItem(part: ProblemPart, unit: CutProblem['unit']): Item {
  const length = toLength(part.length, unit);
  const width = toLength(part.width, unit);
  // Along y the left end starts at y tan(left) and the right one at y tan(right): the mean of the length over the
  // width is the long point less half of what the two ends take off at their worst edge.
  const lean = part.ends ? Math.tan(radians(part.ends.right)) - Math.tan(radians(part.ends.left)) : 0;
  return {
    parts: [{ id: part.id, quantity: part.quantity }],
    length,
    width,
    quantity: part.quantity,
    grain: part.grain,
    meanLength: part.ends ? Math.max(0, length - Math.ceil(leanLoss(part, lean) * width)) : length,
  };
}

/** How much shorter than long point to long point a mitred piece is on average, per unit of width. */
function leanLoss(part: ProblemPart, lean: number): number {
  const left = Math.tan(radians(part.ends!.left));
  const right = Math.tan(radians(part.ends!.right));
  const longest = Math.max(right, 0) - Math.min(left, 0);
  return longest - lean / 2;
}

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
    bottom: edges,
    usableWidth: toLength(stock.width, unit) - 2 * edges,
    trimmedEnds: ends > 0,
  };
}

/** Puts items of equal size, grain and ends together, so that the search does not tell like from like. */
function merged(items: readonly Item[], sameEnds: readonly string[]): readonly Item[] {
  const byShape = new Map<string, Item>();
  items.forEach((item, at) => {
    const key = [item.length, item.width, item.grain, sameEnds[at]].join();
    const before = byShape.get(key);
    byShape.set(
      key,
      before ? { ...before, quantity: before.quantity + item.quantity, parts: [...before.parts, ...item.parts] } : item,
    );
  });
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
    const angles = parts.flatMap((part) => (part.ends ? [part.ends.left, part.ends.right] : [0]));
    const steepest = Math.max(...angles.map(Math.abs));
    return {
      items: merged(
        parts.map((part) => toItem(part, unit)),
        parts.map((part) => (part.ends ? `${part.ends.left} ${part.ends.right}` : '')),
      ),
      bins: problem.stock.filter((stock) => keyOf(stock) === key).map((stock) => toBin(stock, unit)),
      kerf,
      gap: Math.ceil(kerf / Math.cos(radians(steepest))),
    };
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
