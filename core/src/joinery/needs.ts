import { inches } from '../length';
import type { Job, Piece } from '../job';
import type { Part } from '../piece';
import { coatedSize, HARDWARE_KINDS, WATERPROOF, type HardwareKind, type HardwareNeed } from '../stock';
import type { Fastening } from './fastening';
import type { Buys } from './method';
import { WAYS_TO_JOIN } from './methods';

/** PVA at 6 mil wet covers about 2 square feet of face with a fluid ounce; both faces of a joint count. */
const SQUARE_INCHES_AN_OUNCE = 2 * 144;

/** Square inches of glue face inside a laminated part: both faces of every ply joint. */
export const laminationGlue = (part: Part): number =>
  (2 * (part.plies - 1) * part.length * part.width) / (inches(1) * inches(1));

/** What is bought for a joint: its fasteners and what covers their heads. Hardware of its own is the piece's need. */
export const boughtFor = (item: Fastening): readonly Buys[] =>
  item.by === 'hardware' || item.by === 'nothing' ? [] : WAYS_TO_JOIN[item.by].buys(item);

/** Fasteners of a piece as they are bought for where it stands: coated outside. */
export const weathered = (made: readonly Fastening[], { outside }: Pick<Piece, 'outside'>): readonly Fastening[] =>
  outside
    ? made.map((item) => {
        if (!item.fastener) return item;
        const size = coatedSize(item.fastener.kind, item.fastener.size);
        return { ...item, fastener: { ...item.fastener, size }, screw: size };
      })
    : made;

/**
 * Fasteners by size, ounces of glue, and what the pieces ask for besides, for all copies of all pieces, before they
 * are put into boxes.
 *
 * @param asked hardware that no joint drives: slides, hinges, pulls, by the id of its piece.
 */
export function hardwareNeeds(
  job: Job,
  parts: readonly Part[],
  made: readonly Fastening[],
  asked: ReadonlyMap<string, readonly HardwareNeed[]>,
): readonly HardwareNeed[] {
  const copies = new Map(job.pieces.map((piece) => [piece.id, piece.copies]));
  const times = (pieceId: string) => copies.get(pieceId) ?? 1;
  const rows = new Map<string, HardwareNeed>();
  const add = (kind: HardwareKind, size: string, count: number, price?: number) => {
    const key = `${kind} ${size} ${price ?? ''}`;
    const before = rows.get(key);
    rows.set(key, { kind, size, count: (before?.count ?? 0) + count, ...(price === undefined ? {} : { price }) });
  };
  const glue = new Map<string, number>();
  const outside = new Map(job.pieces.map((piece) => [piece.id, piece.outside]));
  const pour = (piece: string, area: number) => {
    const size = outside.get(piece) ? WATERPROOF : '';
    glue.set(size, (glue.get(size) ?? 0) + area * times(piece));
  };
  for (const item of made) {
    for (const { kind, size, count } of boughtFor(item)) add(kind, size, count * times(item.joint.piece));
    pour(item.joint.piece, item.glue);
  }
  for (const part of parts) {
    pour(part.piece, laminationGlue(part) * part.count);
    if (part.bought) add(part.bought.kind, part.bought.size, part.count * times(part.piece), part.bought.price);
  }
  // What is used again is bought once.
  const kept = new Map<string, HardwareNeed>();
  for (const [piece, needs] of asked)
    for (const need of needs)
      if (need.kind === 'tile-tool') kept.set(need.size, need);
      else add(need.kind, need.size, need.count * times(piece));
  for (const { kind, size, count } of kept.values()) add(kind, size, count);
  const order = (kind: HardwareKind) => HARDWARE_KINDS.indexOf(kind);
  const needs = [...rows.values()].sort(
    (a, b) => order(a.kind) - order(b.kind) || a.size.localeCompare(b.size, 'en', { numeric: true }),
  );
  for (const [size, area] of glue)
    if (area > 0) needs.push({ kind: 'glue', size, count: Math.ceil(area / SQUARE_INCHES_AN_OUNCE) });
  return needs;
}
