import { first, nth } from '../lists';
import type { Length } from '../length';
import { chainOf } from './ends';
import type { Group } from './group';

/** How a piece was turned over: its length mirrored, its width mirrored, or both, which is half a turn. */
export const FLIPS = ['none', 'end', 'over', 'both'] as const;
export type Flip = (typeof FLIPS)[number];

/** A piece on a bin, in exact lengths. `x` is its least x; length and width are its extents as it lies. */
export type Lying = {
  readonly item: number;
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  readonly turned: boolean;
  readonly flip: Flip;
};

/**
 * A rectangle of a bin and what becomes of it: nothing yet (an offcut), pieces end to end in a lane, or a straight cut
 * from edge to edge into two rectangles, of which the second is null where nothing is left beyond the saw.
 */
export type Area = {
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  readonly use:
    | null
    | { readonly kind: 'lane'; readonly pieces: readonly Lying[] }
    | { readonly kind: 'crosscut' | 'rip'; readonly first: Area; readonly second: Area | null };
};

/** Where a rectangle of a bin lies. */
export type Rectangle = Pick<Area, 'x' | 'y' | 'length' | 'width'>;

/** A region cut in two by a crosscut at a distance from its left end or a rip at one from its lower edge. */
export function cutInTwo(
  group: Group,
  box: Rectangle,
  kind: 'crosscut' | 'rip',
  at: Length,
  first: (box: Rectangle) => Area,
  second: (box: Rectangle) => Area = free,
): Area {
  const { x, y, length, width } = box;
  const [one, rest]: [Rectangle, Rectangle] =
    kind === 'crosscut'
      ? [
          { x, y, length: at, width },
          { x: x + at + group.gap, y, length: length - at - group.gap, width },
        ]
      : [
          { x, y, length, width: at },
          { x, y: y + at + group.gapAcross, length, width: width - at - group.gapAcross },
        ];
  if (kind === 'crosscut' ? at >= length : at >= width) return first(box);
  return {
    ...box,
    use: { kind, first: first(one), second: rest.length > 0 && rest.width > 0 ? second(rest) : null },
  };
}

/** A region of which nothing is used. */
export const free = ({ x, y, length, width }: Rectangle): Area => ({ x, y, length, width, use: null });

/** Pieces of one width end to end, made to fit: where they begin, how they are flipped, how long it is in all. */
export type Lane = {
  readonly length: Length;
  readonly width: Length;
  readonly pieces: readonly Omit<Lying, 'y'>[];
};

/** A way an item lies, with the item it belongs to. */
export type Orientation = Pick<Lying, 'item' | 'length' | 'width' | 'turned'>;

/** The shortest lane of some pieces of one width; of those equally short, long pieces first where all are square. */
export function laneOf(group: Group, ways: readonly Orientation[]): Lane {
  const sorted = [...ways].sort((a, b) => b.length - a.length || a.item - b.item);
  // A piece that lies across the grain has its slants along the edges: it keeps the wide gap at its square sides.
  const ended = sorted.map((way) => ({ way, ends: way.turned ? ([0, 0] as const) : nth(group.items, way.item).ends }));
  const square = ended.every(({ ends }) => ends[0] === 0 && ends[1] === 0);
  const links = square ? ended.map((piece) => ({ piece, reversed: false })) : chainOf(ended, group.steps).links;
  const pieces: Omit<Lying, 'y'>[] = [];
  let end: { at: Length; kind: number; sign: number } | null = null;
  for (const { piece, reversed } of links) {
    const [left, right] = reversed ? [piece.ends[1], piece.ends[0]] : piece.ends;
    const item = nth(group.items, piece.way.item);
    const slants = piece.way.turned ? null : item.angles;
    const across = slants ? (reversed ? [slants.right, slants.left] : [slants.left, slants.right]) : [0, 0];
    const over: boolean = end !== null && end.sign * Math.sign(first(across)) < 0;
    const x: Length = end === null ? 0 : end.at + nth(nth(group.steps, end.kind), left);
    const flip: Flip = reversed ? (over ? 'end' : 'both') : over ? 'over' : 'none';
    const { length, width, turned } = piece.way;
    pieces.push({ item: piece.way.item, length, width, turned, x, flip });
    end = { at: x + length, kind: right, sign: Math.sign(nth(across, 1)) * (over ? -1 : 1) };
  }
  return { pieces, length: end?.at ?? 0, width: first(ways).width };
}

/** A lane laid into the lower left corner of a region, the rest left free: crosscut first or ripped first. */
export function layLane(group: Group, box: Rectangle, lane: Lane, first: 'crosscut' | 'rip' = 'crosscut'): Area {
  const inLane = ({ x, y, length, width }: Rectangle): Area => ({
    x,
    y,
    length,
    width,
    use: { kind: 'lane', pieces: lane.pieces.map((piece) => ({ ...piece, x: x + piece.x, y })) },
  });
  return first === 'crosscut'
    ? cutInTwo(group, box, 'crosscut', lane.length, (one) => cutInTwo(group, one, 'rip', lane.width, inLane))
    : cutInTwo(group, box, 'rip', lane.width, (one) => cutInTwo(group, one, 'crosscut', lane.length, inLane));
}

/** All pieces of a region, in the order they are cut from it. */
export function piecesIn({ use }: Area): readonly Lying[] {
  if (use === null) return [];
  if (use.kind === 'lane') return use.pieces;
  return [...piecesIn(use.first), ...(use.second ? piecesIn(use.second) : [])];
}

/** All rectangles of a region that are left over. */
export function freeIn(region: Area): readonly Area[] {
  const { use } = region;
  if (use === null) return [region];
  if (use.kind === 'lane') {
    const end = Math.max(...use.pieces.map((piece) => piece.x + piece.length));
    return end < region.x + region.length ? [free({ ...region, x: end, length: region.x + region.length - end })] : [];
  }
  return [...freeIn(use.first), ...(use.second ? freeIn(use.second) : [])];
}
