import { held } from '../lists';
import type { Length } from '../length';
import type { Job, Piece, Shop } from '../job';
import type { Part } from '../piece';
import { isPloughed } from '../work';
import { isBoard, sizesOf, type Sizes, type Stocked } from '../stock';

/** A width that must come off a board after it is cut to rough length. */
export type Rip = { readonly to: Length; readonly from: Length; readonly why: 'square edges' | 'to width' };

/**
 * What must come out of a store board or sheet so that a part can be made of it. One a ply; `copies` of the piece each.
 */
export type Blank = {
  readonly part: Part;
  readonly material: Stocked;
  /** Rough length, to be cut first. */
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  readonly quantity: number;
  readonly rip: Rip | null;
  /** What a planer takes off both faces before anything else; null where the board keeps its thickness. */
  readonly plane: { readonly each: Length; readonly to: Length } | null;
  /** Length left on for later, and why; 0 where it is cut to size at once. */
  readonly extra: Length;
  readonly extraFor:
    | 'squaring the glued top'
    | 'cutting flush'
    | 'trimming the glued leg'
    | 'fitting'
    | 'cutting off the snipe'
    | null;
  /** Mitre of each end on the face, where both ends are plain mitres: neighbours on a board may share the slant. */
  readonly ends: { readonly left: number; readonly right: number } | null;
  /** Whether the grain must run along it: on a sheet it may then not be turned. */
  readonly grain: boolean;
};

type Extra = Pick<Blank, 'extra' | 'extraFor'>;
const NOTHING: Extra = { extra: 0, extraFor: null };

/** A planed board is gouged at both ends: unless more than that is left on anyway, so much is. */
function allowance(part: Part, shop: Shop): Extra {
  if (part.trimmedLater) return { extra: shop.topExtra, extraFor: 'squaring the glued top' };
  if (part.flush) return { extra: shop.topExtra, extraFor: 'cutting flush' };
  if (part.plies > 1) return { extra: shop.partExtra, extraFor: 'trimming the glued leg' };
  if (part.fit !== null && isBoard(part.material)) return { extra: shop.partExtra, extraFor: 'fitting' };
  return NOTHING;
}

/**
 * Length left on a part for later, half of it at each end, and why. The gouged ends of planed boards come off with
 * whatever is trimmed anyway.
 */
export function leftOn(part: Part, shop: Shop): Extra {
  const { planed } = part;
  if (part.kept) return NOTHING;
  const left = allowance(part, shop);
  if (left.extra === 0 && (planed === 0 || shop.snipe === 0 || !isBoard(part.material))) return NOTHING;
  if (planed === 0 || !isBoard(part.material) || 2 * shop.snipe <= left.extra) return left;
  return { extra: 2 * shop.snipe, extraFor: left.extraFor ?? 'cutting off the snipe' };
}

/** Steeper than this an end is cut from a square blank: the saw does not turn so far. */
const STEEPEST = 60;

function mitres({ ends, outline, cuts }: Part): Blank['ends'] {
  const { left, right } = ends;
  // A groove or rebate is ploughed while the ends are square.
  if (cuts.some(({ kind }) => isPloughed(kind))) return null;
  const plain = left.bevel === 0 && right.bevel === 0 && outline === null && (left.mitre !== 0 || right.mitre !== 0);
  return plain && Math.max(Math.abs(left.mitre), Math.abs(right.mitre)) <= STEEPEST
    ? { left: left.mitre, right: right.mitre }
    : null;
}

/**
 * The blank of one part; null for what is bought as it is, or kept of an old piece. From a board it takes the full
 * width of its nominal size; where the part is narrower it is ripped later, one pass a side where both rounded edges
 * must go. From a sheet it is cut to size. Boards that are planed are as thick as bought until then, and longer by the
 * snipe.
 */
export function blankOf(part: Part, piece: Pick<Piece, 'copies'>, shop: Shop, sizes: Sizes): Blank | null {
  const { material } = part;
  if (material === 'bought' || part.kept) return null;
  const onBoard = isBoard(material);
  const { planed } = part;
  const { extra, extraFor } = leftOn(part, shop);
  const width = onBoard ? sizes.board(material).width : part.width;
  // What is left long is cut square first; its angles come with the trim.
  const ends = extra > 0 ? null : mitres(part);
  return {
    part,
    material,
    length: part.length + extra,
    width,
    thickness: sizes.thickness(material),
    quantity: part.plies * part.count * piece.copies,
    rip: part.width < width ? { from: width, to: part.width, why: part.squared ? 'square edges' : 'to width' } : null,
    plane: planed > 0 ? { each: planed, to: sizes.thickness(material) - 2 * planed } : null,
    extra,
    extraFor,
    ends: onBoard ? ends : null,
    grain: part.role !== 'back' && part.role !== 'drawer',
  };
}

/** Blanks of all parts of a job's pieces, in the order of the parts. */
export function blanksOf(job: Job, parts: readonly Part[]): readonly Blank[] {
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  const sizes = sizesOf(job.measured);
  return parts.flatMap((part) => blankOf(part, held(pieces, part.piece), job.shop, sizes) ?? []);
}
