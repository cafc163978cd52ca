import type { Length } from '../length';
import type { Job, Shop } from '../job';
import { boxOf, type Part } from '../piece';
import { dressed, type Nominal } from '../stock';

/** A width that must come off a board after it is cut to rough length. */
export type Rip = { readonly to: Length; readonly from: Length; readonly why: 'square edges' | 'to width' };

/** What must come out of a store board so that a part can be made of it. One blank a ply; `copies` of the piece each. */
export type Blank = {
  readonly part: Part;
  readonly nominal: Nominal;
  /** Rough length, to be cut first. */
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  readonly quantity: number;
  readonly rip: Rip | null;
  /** Length left on for later, and why; 0 where it is cut to size at once. */
  readonly extra: Length;
  readonly extraFor: 'squaring the glued top' | 'trimming the glued leg' | 'fitting' | null;
};

function allowance(part: Part, shop: Shop): Pick<Blank, 'extra' | 'extraFor'> {
  if (part.role === 'top') return { extra: shop.topExtra, extraFor: 'squaring the glued top' };
  if (part.plies > 1) return { extra: shop.partExtra, extraFor: 'trimming the glued leg' };
  if (part.fit !== null) return { extra: shop.partExtra, extraFor: 'fitting' };
  return { extra: 0, extraFor: null };
}

/**
 * The blank of one part. It takes the full width of its nominal board; where the part is narrower it is ripped later,
 * one pass a side where both rounded edges must go.
 *
 * @param squared the piece's top boards are ripped square on both edges.
 */
export function blankOf(part: Part, shop: Shop, copies: number, squared: boolean): Blank {
  const actual = dressed(part.nominal);
  const across = boxOf(part).max[part.across] - boxOf(part).min[part.across];
  const { extra, extraFor } = allowance(part, shop);
  const why = squared && part.role === 'top' ? 'square edges' : 'to width';
  return {
    part,
    nominal: part.nominal,
    length: part.length + extra,
    width: actual.width,
    thickness: actual.thickness,
    quantity: part.plies * copies,
    rip: across < actual.width ? { from: actual.width, to: across, why } : null,
    extra: extraFor === null ? 0 : extra,
    extraFor: extra > 0 ? extraFor : null,
  };
}

/** Blanks of all parts of a job's pieces, in the order of the parts. */
export function blanksOf(job: Job, parts: readonly Part[]): readonly Blank[] {
  const pieces = new Map(job.pieces.map((piece) => [piece.id, piece]));
  return parts.map((part) => {
    const piece = pieces.get(part.piece)!;
    return blankOf(part, job.shop, piece.copies, piece.choices.top.edges === 'ripped');
  });
}
