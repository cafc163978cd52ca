import type { Length } from '../length';
import type { Board } from './board';

/**
 * Where the store should cut a board so that it fits the car: positions from the left end, each at the end of a piece,
 * where the plan cuts square across anyway, as few as will do: not where slants lie over each other. Empty where it
 * fits whole; null where some piece itself does not fit.
 */
export function storeCuts(board: Pick<Board, 'length' | 'pieces'>, car: Length): readonly Length[] | null {
  const ends = board.pieces
    .map(({ x, length }) => x + length)
    .filter((end) => board.pieces.every(({ x, length }) => x >= end || x + length <= end))
    .sort((a, b) => a - b);
  const last = Math.max(0, ...board.pieces.map(({ x, length }) => x + length));
  const cuts: Length[] = [];
  let from = 0;
  while (board.length - from > car) {
    const at = ends.filter((end) => end > from && end - from <= car).at(-1);
    // Past the last piece there is only what is left over: it may be cut anywhere.
    const next = at ?? (last <= from ? from + car : null);
    if (next === null) return null;
    cuts.push(next);
    from = next;
  }
  return cuts;
}
