import { inches, type Length } from '../length';
import { WOOD_SCREWS, type WoodScrew } from '../stock';

const lengthOf = (screw: WoodScrew): Length => {
  const [whole, fraction] = screw.split(' ').slice(1);
  const [over, under] = (fraction ?? '').split('/').map(Number);
  return inches(Number(whole) + (over && under ? over / under : 0));
};

/** Tip at least this far short of the far face. */
const SHORT_OF: Length = inches(1 / 8);

/**
 * The wood screw that fixes a part `deep` thick to one `bite` thick: about 2 to 2.5 times the thickness of what it
 * fixes, its tip 1/8 in short of the far face. In a deep part the longest there is goes into a counterbore.
 */
export function woodScrew(deep: Length, bite: Length): WoodScrew {
  const safe = WOOD_SCREWS.filter((screw) => lengthOf(screw) <= deep + bite - SHORT_OF);
  const wanted = safe.filter((screw) => lengthOf(screw) >= 2 * deep);
  return wanted[0] ?? safe.at(-1) ?? WOOD_SCREWS[0];
}

const BRADS = [
  [1, '1'],
  [1.25, '1 1/4'],
  [1.5, '1 1/2'],
  [2, '2'],
] as const;
/** 18 gauge brads: twice the thinner part; they only hold while glue sets. */
export const bradFor = (thinner: Length): string =>
  (BRADS.find(([size]) => inches(size) >= 2 * thinner) ?? BRADS.at(-1)!)[1];

const BOLTS = [
  [5, '3/8 x 5'],
  [7, '3/8 x 7'],
  [9, '3/8 x 9'],
  [12, '3/8 x 12'],
] as const;
/** Bolts go through one part and at least 3 in into the other. */
export const boltFor = (deep: Length): string =>
  (BOLTS.find(([size]) => inches(size) >= deep + inches(3)) ?? BOLTS.at(-1)!)[1];
