import { nth, sure } from '../lists';
import type { Length } from '../length';
import type { Pattern } from './fill';
import type { Group } from './group';
import type { Flip, Lying, Area } from './region';

/** A board as it will be cut, in exact lengths. The exact twin of a `CutBoard` in the solution file. */
export type CutLayout = {
  readonly stock: string;
  readonly pieces: readonly (Omit<Lying, 'item'> & { readonly part: string })[];
  readonly cuts: readonly {
    readonly kind: 'crosscut' | 'rip';
    readonly at: Length;
    readonly from: Length;
    readonly to: Length;
    /** Degrees that a crosscut leans from square: at y it runs through x = at + (y - from) tan(angle). */
    readonly angle: number;
  }[];
  readonly offcuts: readonly {
    readonly x: Length;
    readonly y: Length;
    readonly length: Length;
    readonly width: Length;
  }[];
};

/** Hands out the parts an item stands for, one after the other, over all boards of a group. */
export function namesOf(group: Group): (item: number) => string {
  const queues = group.items.map((item) =>
    item.parts.flatMap(({ id, quantity }) => Array.from({ length: quantity }, () => id)),
  );
  return (item) => sure(nth(queues, item).shift(), 'part of the item');
}

/** Degrees of the two ends of a piece. */
export type Slants = { readonly left: number; readonly right: number };

/** Degrees of a piece's ends as it lies, from what they are when it is not flipped. */
export function flipped({ left, right }: Slants, flip: Flip): Slants {
  // Minus nothing is nothing.
  const not = (angle: number) => (angle === 0 ? 0 : -angle);
  if (flip === 'end') return { left: not(right), right: not(left) };
  if (flip === 'over') return { left: not(left), right: not(right) };
  return flip === 'both' ? { left: right, right: left } : { left, right };
}

const anglesOf = (group: Group, { item, turned, flip }: Lying): Slants =>
  flipped((!turned && nth(group.items, item).angles) || { left: 0, right: 0 }, flip);

/** True where a piece or a rip reaches the far end of a region, so that it must be cut there. */
function usesEnd({ x, length, use }: Area): boolean {
  if (use === null) return false;
  if (use.kind === 'lane') return use.pieces.some((piece) => piece.x + piece.length === x + length);
  return use.kind === 'rip' || (use.second !== null && usesEnd(use.second));
}

/** How far an end that leans so many degrees runs to the right across a width. */
export const lean = (degrees: number, width: Length): Length => Math.round(width * Math.tan((degrees * Math.PI) / 180));

/**
 * Turns a pattern into pieces, the straight cuts that make them in order, and the offcuts that remain.
 *
 * @param nameOf the part that the next piece of an item is.
 */
export function layOut(group: Group, pattern: Pattern, nameOf: (item: number) => string): CutLayout {
  const bin = nth(group.bins, pattern.bin);
  const pieces: CutLayout['pieces'][number][] = [];
  const cuts: CutLayout['cuts'][number][] = [];
  const offcuts: CutLayout['offcuts'][number][] = [];
  const cut = (kind: 'crosscut' | 'rip', at: Length, from: Length, to: Length, angle = 0) =>
    cuts.push({ kind, at, from, to, angle });

  const lane = (region: Area, of: readonly Lying[]): void => {
    const { x, y, length, width } = region;
    let before: { end: Length; angle: number } | null = null;
    for (const piece of of) {
      const { left, right } = anglesOf(group, piece);
      const high = y + piece.width;
      // Where two pieces lean alike one cut parts them; else each has its own.
      const { angle: last = 0 } = before ?? {};
      if (left === 0 && last !== 0) cut('crosscut', piece.x, y, high);
      if (left !== 0 && last !== left) cut('crosscut', piece.x - Math.min(0, lean(left, piece.width)), y, high, left);
      const end = piece.x + piece.length;
      if (right !== 0) cut('crosscut', end - Math.max(0, lean(right, piece.width)), y, high, right);
      else if (end < x + length) cut('crosscut', end, y, y + width);
      const { item, ...lies } = piece;
      pieces.push({ part: nameOf(item), ...lies });
      before = { end, angle: right };
    }
    const rest = sure(before, 'piece in the lane').end + group.gap;
    if (rest < x + length) offcuts.push({ x: rest, y, length: x + length - rest, width });
  };
  const take = ({ x, y, length, width, use }: Area): void => {
    if (use === null) offcuts.push({ x, y, length, width });
    else if (use.kind === 'lane') lane({ x, y, length, width, use }, use.pieces);
    else {
      if (use.kind === 'crosscut') cut('crosscut', x + use.first.length, y, y + width);
      else cut('rip', y + use.first.width, x, x + length);
      take(use.first);
      if (use.second) take(use.second);
    }
  };
  const [low, high] = [bin.bottom, bin.bottom + bin.usableWidth];
  if (low > 0) {
    cut('rip', low, 0, bin.length);
    cut('rip', high, 0, bin.length);
  }
  pattern.regions.forEach((region) => {
    // The run is parted from what lies before and behind it: squared ends, or a stretch that is no good.
    if (region.use !== null && region.x > 0) cut('crosscut', region.x, low, high);
    if (usesEnd(region) && region.x + region.length < bin.length) cut('crosscut', region.x + region.length, low, high);
    take(region);
  });
  return { stock: bin.id, pieces, cuts, offcuts };
}
