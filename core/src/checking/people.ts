import { inches, type Length } from '../length';
import type { Piece, Use } from '../job';
import { boxOf, legSection, type Part } from '../piece';

/** Room at a table: a place is 24 in wide; knees need 24 in clear under the apron. Usual human-factors figures. */
export const PLACE: Length = inches(24);
export const KNEES: Length = inches(24);

/** Usual height by use, inches. */
export const USUAL_HEIGHT: Readonly<Record<Use, readonly [number, number]>> = {
  dining: [28, 30],
  desk: [28, 30],
  coffee: [16, 18],
  standing: [34, 38],
};

/** Overhang past the legs that someone who sits at the end needs. */
export const END_SEAT_OVERHANG: Length = inches(10);

/** Room to walk behind a chair. */
export const BEHIND_CHAIR: Length = inches(36);

/** Length along a side between its two legs; less than nothing where they do not both fit. */
export const betweenLegs = ({ size, choices }: Piece): Length =>
  size.length - 2 * choices.overhang.ends - 2 * legSection(choices.legs).along;

export type Seating = { readonly sides: number; readonly ends: number; readonly total: number };

/** Places at a table: 24 in each between the legs along the sides, one at an end that overhangs and is wide enough. */
export function seating(piece: Piece): Seating {
  const { size, choices } = piece;
  const sides = 2 * Math.max(0, Math.floor(betweenLegs(piece) / PLACE));
  const roomy = choices.overhang.ends >= END_SEAT_OVERHANG && size.width >= PLACE;
  const ends = roomy ? 2 : 0;
  return { sides, ends, total: sides + ends };
}

/** Clear height under the lowest apron; null where there is no apron. */
export function kneeRoom(parts: readonly Part[]): Length | null {
  const rails = parts.filter((part) => part.role === 'apron' || part.role === 'support');
  return rails.length === 0 ? null : Math.min(...rails.map((part) => boxOf(part).min[2]));
}
