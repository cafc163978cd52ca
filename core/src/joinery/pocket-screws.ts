import { inches, roundToTape, type Length, type Units } from '../length';
import type { PocketScrew } from '../stock';

/**
 * Screw length by the thickness of the thinner part, inches. A part between two rows takes the shorter screw.
 * Common practice for 15 degree pockets; the jig's own chart comes first.
 */
const SCREW_FOR: readonly (readonly [number, PocketScrew])[] = [
  [1 / 2, '1'],
  [3 / 4, '1 1/4'],
  [7 / 8, '1 1/2'],
  [1 + 1 / 4, '2'],
  [1 + 1 / 2, '2 1/2'],
];

/** Jigs reach so thick; thicker stock is drilled as if it were that, from its face. */
export const THICKEST_POCKET: Length = inches(1 + 5 / 8);

/** The pocket screw for the thinner of two parts, or null where it is under 1/2 in: too thin for a pocket. */
export function pocketScrew(thinner: Length): PocketScrew | null {
  const rows = SCREW_FOR.filter(([thickness]) => thinner >= inches(thickness));
  return rows.at(-1)?.[1] ?? null;
}

/** Screws in the end of a rail `width` wide: one to 1 1/2, two to 3 1/2, three to 7 1/4, then one every 3 in. */
export function railEndScrews(width: Length): number {
  if (width <= inches(1.5)) return 1;
  if (width <= inches(3.5)) return 2;
  if (width <= inches(7.25)) return 3;
  return 3 + Math.ceil((width - inches(7.25)) / inches(3));
}

/** Evenly from one to the other, each to the nearest tape mark, since they are marked with a pencil. */
const even = (from: Length, to: Length, count: number, units: Units): readonly Length[] =>
  Array.from({ length: count }, (_, at) =>
    roundToTape(count === 1 ? (from + to) / 2 : from + ((to - from) * at) / (count - 1), units),
  );

/** Distance of the outer pockets from the edges of a rail, at least 3/4 in where the rail is wide enough. */
const EDGE: Length = inches(7 / 8);

/** Positions across the end of a rail, from one edge: the outer ones 7/8 in, or a quarter of the width where narrow. */
export function railEndPositions(width: Length, units: Units): readonly Length[] {
  const from = Math.min(EDGE, Math.round(width / 4));
  return even(from, width - from, railEndScrews(width), units);
}

/**
 * First 2 in from each end, then evenly, no two more than `spacing` apart (6 to 8 in is usual). Positions from one end.
 */
export function edgePositions(length: Length, units: Units, spacing: Length = inches(7)): readonly Length[] {
  const from = Math.min(inches(2), Math.round(length / 4));
  const run = length - 2 * from;
  return even(from, length - from, Math.max(2, Math.ceil(run / spacing) + 1), units);
}
