import { held, nth } from '../lists';
import { flipped, FLIPS, type Slants } from '../cutting';
import { kerfFor, type Job, type Lock, type Shop } from '../job';
import type { Length } from '../length';
import type { Blank } from '../milling';
import { isSheet, type Stocked } from '../stock';
import { ownSize, type Board, type CutPiece } from './board';

/** Cut pieces that are no part of the plan as they are: of another size, wood or angle, or more than are wanted. */
export type Unfit = { readonly lock: Lock; readonly material: Stocked; readonly pieces: Lock['pieces'] };

/** What is left to plan once the settled boards have their pieces. */
export type Locked = {
  /** Settled boards with what lies on them, each with its lock. Of a cut one, the pieces that serve a part. */
  readonly kept: readonly { readonly lock: Lock; readonly pieces: readonly CutPiece[] }[];
  readonly spoiled: readonly Lock[];
  readonly unfit: readonly Unfit[];
  /** Cut, and none of its pieces serves a part. */
  readonly cutUp: readonly Lock[];
  /** Bought for pieces that are not wanted so any more: whole boards still, to be laid anew. */
  readonly whole: readonly Lock[];
  /** Wishes that can not stand: a piece is gone or has another size, or there are more of it than are wanted. */
  readonly void: readonly Lock[];
  readonly blanks: readonly Blank[];
};

const SQUARE: Slants = { left: 0, right: 0 };
const sameSlants = (a: Slants, b: Slants): boolean => a.left === b.left && a.right === b.right;

/** Whether a piece has just the size, the wood and the ends of a blank as it lies. */
function isAsPlanned(blank: Blank, piece: Lock['pieces'][number], material: Stocked) {
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
function canBecome(blank: Blank, piece: Lock['pieces'][number], material: Stocked): boolean {
  if (isAsPlanned(blank, piece, material)) return true;
  const { length, width } = ownSize(piece);
  const within = blank.length <= length && blank.width <= width;
  return blank.material === material && within && sameSlants(piece.slants, SQUARE);
}

/**
 * Takes the pieces of settled boards out of what is still to be planned. A board that is kept stands only while its
 * pieces are as they were laid out; one that is bought is there whatever is cut from it; of one that is cut each piece
 * serves its part where it can be made that part, and is named where it can not.
 *
 * @param materialOf what the board of a lock is.
 */
export function lockedIn(
  blanks: readonly Blank[],
  locks: readonly Lock[],
  materialOf: (lock: Lock) => Stocked,
): Locked {
  const left = new Map(blanks.map((blank) => [blank.part.id, blank.quantity]));
  const byPart = new Map(blanks.map((blank) => [blank.part.id, blank]));
  const kept: Locked['kept'][number][] = [];
  const unfit: Unfit[] = [];
  const cutUp: Lock[] = [];
  const whole: Lock[] = [];
  const dead: Lock[] = [];
  /** Takes a piece out of what is wanted, where it is wanted and `fits`. */
  const take = (piece: Lock['pieces'][number], fits: (blank: Blank) => boolean): CutPiece | null => {
    const { part, ...lies } = piece;
    const blank = byPart.get(part);
    const count = left.get(part) ?? 0;
    if (!blank || count === 0 || !fits(blank)) return null;
    left.set(part, count - 1);
    return { blank, ...lies };
  };
  // What is cut comes first: it can not be undone; then what is bought.
  const rank = { cut: 0, bought: 1, kept: 2, spoiled: 3 } as const;
  for (const lock of [...locks].sort((a, b) => rank[a.state] - rank[b.state])) {
    if (lock.state === 'spoiled') continue;
    const material = materialOf(lock);
    const before = new Map(left);
    const laid = lock.pieces.map((piece) =>
      take(piece, (blank) => (lock.state === 'cut' ? canBecome : isAsPlanned)(blank, piece, material)),
    );
    const pieces = laid.filter((piece) => piece !== null);
    if (lock.state === 'cut') {
      if (pieces.length > 0) kept.push({ lock, pieces });
      else cutUp.push(lock);
      const not = lock.pieces.filter((_, k) => laid[k] === null);
      if (not.length > 0) unfit.push({ lock, material, pieces: not });
    } else if (pieces.length === laid.length && pieces.length > 0) kept.push({ lock, pieces });
    else {
      before.forEach((count, part) => left.set(part, count));
      (lock.state === 'bought' ? whole : dead).push(lock);
    }
  }
  return {
    kept,
    spoiled: locks.filter(({ state }) => state === 'spoiled'),
    unfit,
    cutUp,
    whole,
    void: dead,
    blanks: blanks.flatMap((blank) => {
      const quantity = held(left, blank.part.id);
      return quantity > 0 ? [{ ...blank, quantity }] : [];
    }),
  };
}

/** A board as it lies now, as a lock. */
export const lockOf = (board: Board, id: string, state: Lock['state']): Lock => ({
  id,
  from: board.hand ? `hand.${board.hand.id}` : board.offer.id,
  state,
  pieces: board.pieces.map(({ blank, x, y, length, width, turned, slants }) => ({
    part: blank.part.id,
    ...{ x, y, length, width, turned, slants },
  })),
  cuts: board.cuts,
  offcuts: board.offcuts,
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
  return { lock: lockOf({ ...board, pieces: laid, cuts: [], offcuts }, id, 'kept') };
}
