import { toInches } from '../length';
import { boxOf, extent, type Part } from '../piece';
import { SPECIES, type Nominal, type Species, type Yard } from '../stock';

/** Species of a part: what the yard sells in its nominal size. */
export const speciesOf = (nominal: Nominal, yard: Yard): Species =>
  yard.boards.find((offer) => offer.nominal === nominal)?.species ?? 'spf';

/** Weight in lb of one part, from its volume and its species' density (Wood Handbook). */
export function weightOf(part: Part, yard: Yard): number {
  const cubicFeet = (toInches(part.length) * toInches(part.width) * toInches(part.thickness)) / 1728;
  return cubicFeet * SPECIES[speciesOf(part.nominal, yard)].density;
}

/**
 * Sag in inches of a top strip 24 in wide (or the top, if narrower) under a point load at the middle of its longest
 * span between end aprons and cross supports: d = P L^3 / (48 E I), simply supported (Wood Handbook, ch. 9).
 *
 * @param load lb
 */
export function topSag(
  parts: readonly Part[],
  yard: Yard,
  load: number,
): { readonly sag: number; readonly span: number } | null {
  const tops = parts.filter((part) => part.role === 'top');
  const crossing = parts.filter((part) => part.role !== 'top' && part.along === 1).map(boxOf);
  if (tops.length === 0 || crossing.length < 2) return null;
  const sorted = [...crossing].sort((a, b) => a.min[0] - b.min[0]);
  const span = Math.max(...sorted.slice(1).map((box, at) => toInches(box.min[0] - sorted[at]!.max[0])));
  const width = Math.min(24, toInches(tops.reduce((sum, top) => sum + extent(boxOf(top), 1), 0)));
  const inertia = (width * toInches(tops[0]!.thickness) ** 3) / 12;
  const { modulus } = SPECIES[speciesOf(tops[0]!.nominal, yard)];
  return { sag: (load * span ** 3) / (48 * modulus * inertia), span };
}

/** A sag of 1/32 in a foot of span starts to show. */
export const showsAt = (span: number): number => span / 12 / 32;

/**
 * Pounds straight down on the edge of the top that lift the far legs, for the less favourable of ends and sides:
 * own weight times its distance from the feet, over the overhang. Infinite where nothing overhangs.
 */
export function tipsAt(parts: readonly Part[], yard: Yard): { readonly pounds: number; readonly edge: 'end' | 'side' } {
  const weight = parts.reduce((sum, part) => sum + weightOf(part, yard), 0);
  const legs = parts.filter((part) => part.role === 'leg').map(boxOf);
  const tops = parts.filter((part) => part.role === 'top').map(boxOf);
  const over = (axis: 0 | 1) => {
    const foot = toInches(
      Math.min(...legs.map((box) => box.min[axis])) - Math.min(...tops.map((box) => box.min[axis])),
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
