import { held, nth } from '../lists';
import { kerfFor, type Job, type Lock, type Shop } from '../job';
import type { Blank } from '../milling';
import { isSheet } from '../stock';
import type { Length } from '../length';
import type { Board, CutPiece } from './board';

/** What is left to plan once the settled boards have their pieces. */
export type Locked = {
  /** Settled boards with what lies on them, each with its lock. */
  readonly kept: readonly { readonly lock: Lock; readonly pieces: readonly CutPiece[] }[];
  readonly spoiled: readonly Lock[];
  /** Locks that can not stand: a piece is gone or has another size, or there are more of it than are wanted. */
  readonly void: readonly Lock[];
  readonly blanks: readonly Blank[];
};

/** What a piece measures when it lies so. */
const sameSize = (blank: Blank, { length, width, turned }: Lock['pieces'][number]): boolean =>
  turned ? blank.length === width && blank.width === length : blank.length === length && blank.width === width;

/**
 * Takes the pieces of settled boards out of what is still to be planned. A board that is kept or bought stands only
 * while its pieces have the sizes they were laid out with; one that is cut stands whatever the plan says now.
 */
export function lockedIn(blanks: readonly Blank[], locks: readonly Lock[]): Locked {
  const left = new Map(blanks.map((blank) => [blank.part.id, blank.quantity]));
  const byPart = new Map(blanks.map((blank) => [blank.part.id, blank]));
  const kept: Locked['kept'][number][] = [];
  const dead: Lock[] = [];
  // What is cut comes first: it can not be undone.
  const order = [...locks].sort((a, b) => Number(b.state === 'cut') - Number(a.state === 'cut'));
  for (const lock of order) {
    if (lock.state === 'spoiled') continue;
    const wanted = new Map<string, number>();
    for (const { part } of lock.pieces) wanted.set(part, (wanted.get(part) ?? 0) + 1);
    const there = lock.pieces.every(
      (piece) => byPart.has(piece.part) && (lock.state === 'cut' || sameSize(held(byPart, piece.part), piece)),
    );
    const enough = [...wanted].every(([part, count]) => (left.get(part) ?? 0) >= count);
    if (!there || !enough || lock.pieces.length === 0) {
      dead.push(lock);
      continue;
    }
    for (const [part, count] of wanted) left.set(part, held(left, part) - count);
    kept.push({ lock, pieces: lock.pieces.map(({ part, ...lies }) => ({ blank: held(byPart, part), ...lies })) });
  }
  return {
    kept,
    spoiled: locks.filter(({ state }) => state === 'spoiled'),
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
