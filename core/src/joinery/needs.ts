import { inches } from '../length';
import type { Job } from '../job';
import type { Part } from '../piece';
import type { HardwareNeed, PocketScrew } from '../stock';
import type { Fastening } from './fastening';

/** PVA at 6 mil wet covers about 2 square feet of face with a fluid ounce; both faces of a joint count. */
const SQUARE_INCHES_AN_OUNCE = 2 * 144;

/** Square inches of glue face inside a laminated part: both faces of every ply joint. */
export const laminationGlue = (part: Part): number =>
  (2 * (part.plies - 1) * part.length * part.width) / (inches(1) * inches(1));

/** Screws and clips by size and ounces of glue for all copies of all pieces, before they are put into boxes. */
export function hardwareNeeds(job: Job, parts: readonly Part[], made: readonly Fastening[]): readonly HardwareNeed[] {
  const copies = new Map(job.pieces.map((piece) => [piece.id, piece.copies]));
  const times = (pieceId: string) => copies.get(pieceId) ?? 1;
  const screws = new Map<PocketScrew, number>();
  let clips = 0;
  let glue = 0;
  for (const { joint, by, screw, positions, glue: area } of made) {
    const count = positions.length * times(joint.piece);
    if (by === 'clips') clips += count;
    else if (screw !== '') screws.set(screw, (screws.get(screw) ?? 0) + count);
    glue += area * times(joint.piece);
  }
  for (const part of parts) glue += laminationGlue(part) * times(part.piece);
  const needs: HardwareNeed[] = [...screws]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([size, count]) => ({ kind: 'pocket-screw', size, count }));
  if (clips > 0) needs.push({ kind: 'clip', size: '', count: clips });
  if (glue > 0) needs.push({ kind: 'glue', size: '', count: Math.ceil(glue / SQUARE_INCHES_AN_OUNCE) });
  return needs;
}
