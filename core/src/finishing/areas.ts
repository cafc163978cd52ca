import { inches } from '../length';
import type { Fastening } from '../joinery';
import { solidOf, type Part } from '../piece';
import { faceArea, facesOf } from '../solid';

/** Square feet to sand and finish: of the top, which is sanded finest, and of the rest. */
export type Areas = { readonly top: number; readonly rest: number };

const SQUARE_FOOT = inches(12) ** 2;
const SQUARE_INCHES = 144;

/** All of a part's surface, square feet. */
export const surfaceOf = (part: Part): number =>
  part.loose
    ? (2 * (part.length * part.width + part.length * part.thickness + part.width * part.thickness)) / SQUARE_FOOT
    : facesOf(solidOf(part)).reduce((sum, face) => sum + faceArea(face.points), 0) / SQUARE_FOOT;

/**
 * Surface of one copy of a piece that shows or can be reached: all faces of its wooden parts, underside and inside too,
 * less what lies face to face in a joint.
 */
export function areasOf(parts: readonly Part[], made: readonly Fastening[]): Areas {
  const hidden = new Map<string, number>();
  const hide = (part: Part, area: number) => hidden.set(part.id, (hidden.get(part.id) ?? 0) + area);
  for (const { drilled, into, meets } of made) for (const part of [drilled, into]) hide(part, meets / SQUARE_INCHES);
  let [top, rest] = [0, 0];
  for (const part of parts) {
    if (part.material === 'bought') continue;
    const area = Math.max(0, surfaceOf(part) - (hidden.get(part.id) ?? 0)) * part.count;
    if (part.role === 'top' || part.role === 'edging') top += area;
    else rest += area;
  }
  return { top, rest };
}
