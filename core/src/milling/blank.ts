import type { Length } from '../length';
import type { Job, Shop } from '../job';
import type { Part } from '../piece';
import { dressed, isBoard, thicknessAsSold, type Nominal, type Sheet } from '../stock';

/** A width that must come off a board after it is cut to rough length. */
export type Rip = { readonly to: Length; readonly from: Length; readonly why: 'square edges' | 'to width' };

/** What must come out of a store board or sheet so that a part can be made of it. One a ply; `copies` of the piece each. */
export type Blank = {
  readonly part: Part;
  readonly material: Nominal | Sheet;
  /** Rough length, to be cut first. */
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  readonly quantity: number;
  readonly rip: Rip | null;
  /** Length left on for later, and why; 0 where it is cut to size at once. */
  readonly extra: Length;
  readonly extraFor: 'squaring the glued top' | 'trimming the glued leg' | 'fitting' | null;
  /** Mitre of each end on the face, where both ends are plain mitres: neighbours on a board may share the slant. */
  readonly ends: { readonly left: number; readonly right: number } | null;
  /** Whether the grain must run along it: on a sheet it may then not be turned. */
  readonly grain: boolean;
};

function allowance(part: Part, shop: Shop): Pick<Blank, 'extra' | 'extraFor'> {
  if (part.trimmedLater) return { extra: shop.topExtra, extraFor: 'squaring the glued top' };
  if (part.plies > 1) return { extra: shop.partExtra, extraFor: 'trimming the glued leg' };
  if (part.fit !== null && isBoard(part.material)) return { extra: shop.partExtra, extraFor: 'fitting' };
  return { extra: 0, extraFor: null };
}

/** Steeper than this an end is cut from a square blank: the saw does not turn so far. */
const STEEPEST = 60;

function mitres({ ends, outline }: Part): Blank['ends'] {
  const { left, right } = ends;
  const plain = left.bevel === 0 && right.bevel === 0 && outline === null && (left.mitre !== 0 || right.mitre !== 0);
  return plain && Math.max(Math.abs(left.mitre), Math.abs(right.mitre)) <= STEEPEST
    ? { left: left.mitre, right: right.mitre }
    : null;
}

/**
 * The blank of one part; null for what is bought as it is. From a board it takes the full width of its nominal size;
 * where the part is narrower it is ripped later, one pass a side where both rounded edges must go. From a sheet it is
 * cut to size.
 */
export function blankOf(part: Part, shop: Shop, copies: number): Blank | null {
  const { material } = part;
  if (material === 'bought') return null;
  const { extra, extraFor } = allowance(part, shop);
  const onBoard = isBoard(material);
  const width = onBoard ? dressed(material).width : part.width;
  // What is left long is cut square first; its angles come with the trim.
  const ends = extra > 0 ? null : mitres(part);
  return {
    part,
    material,
    length: part.length + extra,
    width,
    thickness: thicknessAsSold(material),
    quantity: part.plies * part.count * copies,
    rip: part.width < width ? { from: width, to: part.width, why: part.squared ? 'square edges' : 'to width' } : null,
    extra: extraFor === null ? 0 : extra,
    extraFor: extra > 0 ? extraFor : null,
    ends: onBoard ? ends : null,
    grain: part.role !== 'back' && part.role !== 'drawer',
  };
}

/** Blanks of all parts of a job's pieces, in the order of the parts. */
export function blanksOf(job: Job, parts: readonly Part[]): readonly Blank[] {
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  return parts.flatMap((part) => blankOf(part, job.shop, pieces.get(part.piece)!.copies) ?? []);
}
