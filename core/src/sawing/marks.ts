import { first } from '../lists';
import type { Length } from '../length';
import type { Board } from '../buying';
import type { NumberedCut } from './setup';

/** Where a tape reads at a cut of a lane. */
type Mark = {
  readonly number: number;
  /** From the squared end, the tape hooked once: every kerf counted. */
  readonly hooked: Length;
  /** From the end made by the cut before: measured after each cut. */
  readonly step: Length;
};

/** A stretch of a board with the marks on it. `square` is where its end is squared, from the end as bought. */
export type Marking = { readonly square: Length; readonly marks: readonly Mark[] };

/**
 * The marks of a board that is cut end to end: hooked over the squared end and read once for all cuts, or step by step,
 * for those who measure after every cut. A stretch behind a place that is no good begins anew. Slanted cuts are marked
 * at the long point. Empty for what is broken down like a sheet.
 */
export function tapeMarks(board: Pick<Board, 'pieces' | 'cuts'>, cuts: readonly NumberedCut[]): readonly Marking[] {
  const made = cuts.flatMap(({ piece, number }) => (piece ? [{ piece, number }] : []));
  const squared = board.cuts.filter(
    ({ kind, angle, at }) => kind === 'crosscut' && angle === 0 && board.pieces.some(({ x }) => x === at),
  );
  const starts = squared.map(({ at }) => at);
  if (made.length > 0 && !starts.some((at) => at <= first(made).piece.x)) starts.unshift(0);
  return starts.flatMap((square, at): readonly Marking[] => {
    const end = starts[at + 1] ?? Infinity;
    const here = made.filter(({ piece }) => piece.x >= square && piece.x < end);
    const marks = here.map(({ piece, number }) => ({
      number,
      hooked: piece.x + piece.length - square,
      step: piece.length,
    }));
    return marks.length > 0 ? [{ square, marks }] : [];
  });
}
