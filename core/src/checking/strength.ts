import { nth } from '../lists';
import { inches, toInches } from '../length';
import { alongOf, boxOf, extent, weightOf, type Part } from '../piece';

import { SPECIES, woodOf, type Species, type Stocked } from '../stock';

/**
 * Sag in inches of a top strip 24 in wide (or the top, if narrower) under a point load at the middle of its longest
 * span between end aprons and cross supports: d = P L^3 / (48 E I), simply supported (Wood Handbook, ch. 9).
 *
 * @param load lb
 */
export function topSag(parts: readonly Part[], load: number): { readonly sag: number; readonly span: number } | null {
  const tops = parts.filter((part) => part.role === 'top' && part.material !== 'bought');
  const top = tops[0];
  const under = Math.min(...tops.map((part) => boxOf(part).min[2]));
  // What crosses the boards right below them carries them: end aprons, heads, cross supports, battens.
  const crossing = parts
    .filter((part) => alongOf(part) === 1 && Math.abs(boxOf(part).max[2] - under) < inches(1 / 8))
    .map(boxOf);
  if (!top || alongOf(top) !== 0 || crossing.length < 2) return null;
  const sorted = [...crossing].sort((a, b) => a.min[0] - b.min[0]);
  const span = Math.max(...sorted.slice(1).map((box, at) => toInches(box.min[0] - nth(sorted, at).max[0])));
  if (span <= 0) return null;
  const width = Math.min(24, toInches(tops.reduce((sum, part) => sum + extent(boxOf(part), 1), 0)));
  const inertia = (width * toInches(top.thickness) ** 3) / 12;
  const { modulus } = woodOf(top.material as Stocked);
  return { sag: (load * span ** 3) / (48 * modulus * inertia), span };
}

/** A sag of 1/32 in a foot of span starts to show. */
export const showsAt = (span: number): number => span / 12 / 32;

/**
 * Pounds straight down on the edge of the top that lift the far feet, for the less favourable of ends and sides:
 * own weight times its distance from the feet, over the overhang. Infinite where nothing overhangs.
 */
export function tipsAt(parts: readonly Part[]): { readonly pounds: number; readonly edge: 'end' | 'side' } {
  const weight = parts.reduce((sum, part) => sum + weightOf(part), 0);
  // What stands on the floor: legs, feet, sides.
  const standing = parts.filter((part) => !part.loose && boxOf(part).min[2] === 0).map(boxOf);
  const tops = parts.filter((part) => part.role === 'top').map(boxOf);
  const over = (axis: 0 | 1) => {
    const foot = toInches(
      Math.min(...standing.map((box) => box.min[axis])) - Math.min(...tops.map((box) => box.min[axis])),
    );
    const half = toInches(Math.max(...tops.map((box) => box.max[axis]))) / 2;
    return foot > 0 ? (weight * (half - foot)) / foot : Infinity;
  };
  const end = over(0);
  const side = over(1);
  return end <= side ? { pounds: end, edge: 'end' } : { pounds: side, edge: 'side' };
}

/** Change of width in inches of a joined top between two moisture contents: width x Ct x change (plain-sawn boards). */
export function movement(width: number, species: Species, change: number): number {
  return width * SPECIES[species].tangential * change;
}
