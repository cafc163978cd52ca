import { held, nth } from '../lists';
import { flipped, FLIPS, type Slants } from '../cutting';
import { kerfFor, type Job, type Laid, type Lock, type Shop } from '../job';
import type { Length } from '../length';
import type { Blank } from '../milling';
import { isSheet, type Stocked } from '../stock';
import { ownSize, type Board, type CutPiece } from './board';

type LaidPiece = Laid['pieces'][number];

const SQUARE: Slants = { left: 0, right: 0 };
const sameSlants = (a: Slants, b: Slants): boolean => a.left === b.left && a.right === b.right;

/** Whether a piece has just the size, the wood and the ends of a blank as it lies. */
export function isAsPlanned(blank: Blank, piece: LaidPiece, material: Stocked) {
  const { length, width } = ownSize(piece);
  return (
    blank.material === material &&
    blank.length === length &&
    blank.width === width &&
    FLIPS.some((flip) => sameSlants(flipped(blank.ends ?? SQUARE, flip), piece.slants))
  );
}

/**
 * Whether a piece that is cut can be made the blank: it is that already, or is longer and perhaps wider, so that it is
 * trimmed and ripped. A slant can be cut on a square end, never taken back.
 */
export function canBecome(blank: Blank, piece: LaidPiece, material: Stocked): boolean {
  if (isAsPlanned(blank, piece, material)) return true;
  const { length, width } = ownSize(piece);
  const within = blank.length <= length && blank.width <= width;
  return blank.material === material && within && sameSlants(piece.slants, SQUARE);
}

/** What of the blanks is still wanted, while pieces are laid. */
export type Wants = {
  /** Takes a piece out of what is wanted, where it is wanted and `fits`; null where it is not. */
  readonly take: (piece: LaidPiece, fits: (blank: Blank) => boolean) => CutPiece | null;
  /** Takes all of them or none. */
  readonly takeAll: (
    pieces: readonly LaidPiece[],
    fits: (blank: Blank, piece: LaidPiece) => boolean,
  ) => readonly CutPiece[] | null;
  readonly rest: () => readonly Blank[];
};
export function wantsOf(blanks: readonly Blank[]): Wants {
  const left = new Map(blanks.map((blank) => [blank.part.id, blank.quantity]));
  const byPart = new Map(blanks.map((blank) => [blank.part.id, blank]));
  const take: Wants['take'] = ({ part, ...lies }, fits) => {
    const blank = byPart.get(part);
    const count = left.get(part) ?? 0;
    if (!blank || count === 0 || !fits(blank)) return null;
    left.set(part, count - 1);
    return { blank, ...lies };
  };
  return {
    take,
    takeAll: (pieces, fits) => {
      const before = [...left];
      const laid = pieces.flatMap((piece) => take(piece, (blank) => fits(blank, piece)) ?? []);
      if (laid.length === pieces.length && laid.length > 0) return laid;
      before.forEach(([part, count]) => left.set(part, count));
      return null;
    },
    rest: () =>
      blanks.flatMap((blank) => {
        const quantity = held(left, blank.part.id);
        return quantity > 0 ? [{ ...blank, quantity }] : [];
      }),
  };
}

/** A board as it lies now. */
export const laidOf = ({ pieces, cuts, offcuts }: Pick<Board, 'pieces' | 'cuts' | 'offcuts'>): Laid => ({
  pieces: pieces.map(({ blank, x, y, length, width, turned, slants }) => ({
    part: blank.part.id,
    ...{ x, y, length, width, turned, slants },
  })),
  cuts,
  offcuts,
});

/** The wish to keep a board as it lies. */
export const lockOf = (board: Board, id: string): Lock => ({
  id,
  from: board.hand ? `hand.${board.hand.id}` : board.offer.id,
  ...laidOf(board),
});

/** Stretches of a board that pieces may lie on: without what is squared off its ends, and what is no good. */
function goodRuns(
  { length, hand }: Pick<Board, 'length' | 'hand'>,
  shop: Shop,
): readonly (readonly [Length, Length])[] {
  const trim = hand?.squared ? 0 : shop.squareEnds;
  const bad = [...(hand?.bad ?? [])].sort((a, b) => a.from - b.from);
  const edges = [trim, ...bad.flatMap(({ from, to }) => [from - 1, to + 1]), length - trim];
  return Array.from({ length: edges.length / 2 }, (_, at) => [nth(edges, 2 * at), nth(edges, 2 * at + 1)] as const);
}

/** Why a piece can not be brought to a board. */
export type Refusal = 'another material' | 'a sheet' | 'slanted ends' | 'too long' | 'already there';

/**
 * A board with a piece brought to it from another: that piece and, longest first, as many of its own as still fit, end
 * to end. What finds no room is planned anew. Boards only, square ends only.
 */
export function withPiece(
  board: Board,
  piece: CutPiece,
  job: Pick<Job, 'shop'>,
  id: string,
): { readonly lock: Lock } | { readonly refused: Refusal } {
  if (isSheet(board.material) || 'sheet' in board.offer) return { refused: 'a sheet' };
  if (piece.blank.material !== board.material) return { refused: 'another material' };
  if (board.pieces.includes(piece)) return { refused: 'already there' };
  const all = [piece, ...[...board.pieces].sort((a, b) => b.length - a.length)];
  if (all.some(({ slants }) => slants.left !== 0 || slants.right !== 0)) return { refused: 'slanted ends' };
  const kerf = kerfFor(job.shop, 'board');
  const free = goodRuns(board, job.shop).map(([from, to]) => ({ from, to }));
  const laid: CutPiece[] = [];
  for (const next of all) {
    const run = free.find(({ from, to }) => to - from >= next.length);
    if (!run) {
      if (next === piece) return { refused: 'too long' };
      continue;
    }
    laid.push({ ...next, x: run.from, y: 0 });
    run.from += next.length + kerf;
  }
  // Its cuts follow from where the pieces lie; they are put in order with those of all boards.
  const offcuts = free
    .filter(({ from, to }) => from < to)
    .map(({ from, to }) => ({ x: from, y: 0, length: to - from, width: board.width }));
  return { lock: lockOf({ ...board, pieces: laid, cuts: [], offcuts }, id) };
}
