import { inches, type Length } from '../length';
import type { Piece, Use } from '../job';
import { boxOf, familyOf, type Part } from '../piece';

/** Room at a table: a place is 24 in wide; knees need 24 in clear under the apron. Usual human-factors figures. */
export const PLACE: Length = inches(24);
export const KNEES: Length = inches(24);

/** Usual height by use, inches. */
export const USUAL_HEIGHT: Readonly<Record<Use, readonly [number, number]>> = {
  dining: [28, 30],
  desk: [28, 30],
  coffee: [16, 18],
  standing: [34, 38],
  bench: [17, 18],
  side: [16, 26],
  storage: [8, 96],
};

/** Overhang past the legs that someone who sits at the end needs. */
export const END_SEAT_OVERHANG: Length = inches(10);

/** Room to walk behind a chair. */
export const BEHIND_CHAIR: Length = inches(36);

/** What stands on the floor, as boxes. */
const onFloor = (parts: readonly Part[]) => parts.filter((part) => !part.loose && boxOf(part).min[2] === 0).map(boxOf);

/** Length along a side between what stands at its two ends; the whole length where nothing does. */
export function betweenLegs(piece: Piece, parts: readonly Part[]): Length {
  const middle = piece.size.length / 2;
  const standing = onFloor(parts);
  const left = Math.max(0, ...standing.filter((box) => box.max[0] < middle).map((box) => box.max[0]));
  const right = Math.min(piece.size.length, ...standing.filter((box) => box.min[0] > middle).map((box) => box.min[0]));
  return right - left;
}

/** How far the top reaches past what stands at its ends. */
const endOverhang = (piece: Piece, parts: readonly Part[]): Length =>
  Math.min(piece.size.length, ...onFloor(parts).map((box) => box.min[0]));

/** Whether people sit all round a rim, with no leg between them. */
export const sitsRound = (piece: Piece, deck: 'rectangle' | 'round' | 'octagon'): boolean =>
  deck !== 'rectangle' && familyOf(piece).id === 'pedestal';

export type Seating = { readonly sides: number; readonly ends: number; readonly total: number };

/**
 * Places at a table: 24 in each between the legs along the sides, one at an end that overhangs and is wide enough;
 * round a round or octagonal top one every 24 in of its rim; on a bench one every 24 in.
 */
export function seating(piece: Piece, parts: readonly Part[], deck: 'rectangle' | 'round' | 'octagon'): Seating {
  const { size } = piece;
  if (piece.use === 'bench') {
    const seats = Math.floor(size.length / PLACE);
    return { sides: seats, ends: 0, total: seats };
  }
  if (sitsRound(piece, deck)) {
    const around = Math.floor((Math.PI * Math.min(size.length, size.width)) / PLACE);
    return { sides: around, ends: 0, total: around };
  }
  const sides = 2 * Math.max(0, Math.floor(betweenLegs(piece, parts) / PLACE));
  const roomy = endOverhang(piece, parts) >= END_SEAT_OVERHANG && size.width >= PLACE;
  const ends = roomy ? 2 : 0;
  return { sides, ends, total: sides + ends };
}

/** Clear height under the lowest apron; null where there is no apron. */
export function kneeRoom(parts: readonly Part[]): Length | null {
  const rails = parts.filter((part) => part.role === 'apron' || part.role === 'support' || part.role === 'runner');
  return rails.length === 0 ? null : Math.min(...rails.map((part) => boxOf(part).min[2]));
}
