import { inches, type Length } from '../length';
import { WOOD_SCREWS, type WoodScrew } from '../stock';

/** Inches written as `3 1/2`, `1/4` or `2`. */
export const inchesOf = (text: string): Length =>
  inches(
    text
      .trim()
      .split(' ')
      .map((bit) => bit.split('/').map(Number))
      .reduce((sum, [over, under]) => sum + over! / (under ?? 1), 0),
  );

/** Length of a fastener from its size as sold: `#8 1 1/2`, `1/4 x 3`, `1 1/4`, `2 fine`. */
export function lengthOf(size: string): Length {
  const last = size.includes(' x ') ? size.split(' x ').at(-1)! : size.replace(/^#\d+ |[a-z]+$/g, '');
  return inchesOf(last);
}

/** Tip at least this far short of the far face. */
export const SHORT_OF: Length = inches(1 / 8);

/**
 * The wood screw that fixes a part `deep` thick to one `bite` thick: about 2 to 2.5 times the thickness of what it
 * fixes, its tip 1/8 in short of the far face. In a deep part the longest there is goes into a counterbore.
 */
export function woodScrew(deep: Length, bite: Length): WoodScrew {
  const safe = WOOD_SCREWS.filter((screw) => lengthOf(screw) <= deep + bite - SHORT_OF);
  const wanted = safe.filter((screw) => lengthOf(screw) >= 2 * deep);
  return wanted[0] ?? safe.at(-1) ?? WOOD_SCREWS[0];
}

const BRADS = ['1', '1 1/4', '1 1/2', '2'] as const;
/** 18 gauge brads: twice the thinner part; they only hold while glue sets. */
export const bradFor = (thinner: Length): string =>
  BRADS.find((size) => lengthOf(size) >= 2 * thinner) ?? BRADS.at(-1)!;

const BOLTS = ['3/8 x 5', '3/8 x 7', '3/8 x 9', '3/8 x 12'] as const;
/** Bolts go through one part and at least 3 in into the other. */
export const boltFor = (deep: Length): string =>
  BOLTS.find((size) => lengthOf(size) >= deep + inches(3)) ?? BOLTS.at(-1)!;

export const LAGS = ['1/4 x 2', '1/4 x 3', '5/16 x 3 1/2', '5/16 x 5', '3/8 x 6'] as const;
export const INSERTS = ['1/4-20 x 1 1/2', '1/4-20 x 2 1/2', '1/4-20 x 4'] as const;

/** Dowels a third to a half as thick as the thinner part, biscuits and tenons by the room there is. */
export const dowelFor = (thinner: Length): string =>
  thinner < inches(5 / 8) ? '1/4 x 1' : thinner < inches(1.25) ? '3/8 x 1 1/2' : '1/2 x 2';
export const tenonFor = (thinner: Length): string =>
  thinner < inches(7 / 8) ? '1/4 x 3/4 x 1 1/2' : thinner < inches(1.25) ? '5/16 x 1 x 2' : '1/2 x 1 1/4 x 2 1/2';

/** What a fastener measures and what is drilled for it, inches; the thread's bite in soft and in hard wood. */
export type Drilling = {
  readonly shank: number;
  readonly head: number;
  readonly pilot: readonly [soft: string, hard: string] | null;
  readonly clearance: string | null;
  readonly counterbore: string | null;
  readonly bit: string;
};

/**
 * Drill sizes. Wood screws: the usual chart of pilot and clearance holes; lag screws: clearance as the shank, lead hole
 * 40-70 % of it in softwood, 60-75 % in medium and 65-85 % in dense wood (National Design Specification for Wood
 * Construction, 12.1); counterbores as the washer. The maker's own chart comes first.
 */
const DRILLINGS: readonly (readonly [start: string, Drilling])[] = [
  ['#8', { shank: 0.164, head: 0.332, pilot: ['3/32', '1/8'], clearance: '11/64', counterbore: '3/8', bit: 'square or star #2' }],
  ['#10', { shank: 0.19, head: 0.385, pilot: ['7/64', '1/8'], clearance: '3/16', counterbore: '1/2', bit: 'square or star #3' }],
  ['1/4-20', { shank: 0.25, head: 0.5, pilot: ['5/16', '11/32'], clearance: '9/32', counterbore: '3/4', bit: '4 mm hex key' }],
  ['1/4', { shank: 0.25, head: 0.5, pilot: ['9/64', '3/16'], clearance: '1/4', counterbore: '1', bit: '7/16 socket' }],
  ['5/16', { shank: 0.3125, head: 0.5, pilot: ['11/64', '15/64'], clearance: '5/16', counterbore: '1', bit: '1/2 socket' }],
  ['3/8', { shank: 0.375, head: 0.625, pilot: ['13/64', '9/32'], clearance: '3/8', counterbore: '1 1/4', bit: '9/16 socket' }],
]; // prettier-ignore
export const drillingOf = (size: string): Drilling | null =>
  DRILLINGS.find(([start]) => size.startsWith(`${start} `))?.[1] ?? null;
