import type { Length } from '../length';
import type { Board } from './boards';

/**
 * Where the store should cut a board so that it fits the car: positions from the left end, each at the end of a piece,
 * where the plan cuts anyway, as few as will do. Empty where it fits whole; null where some piece itself does not fit.
 */
export function storeCuts(board: Pick<Board, 'length' | 'pieces'>, car: Length): readonly Length[] | null {
  const ends = board.pieces.map(({ x, length }) => x + length).sort((a, b) => a - b);
  const cuts: Length[] = [];
  let from = 0;
  while (board.length - from > car) {
    const at = ends.filter((end) => end > from && end - from <= car).at(-1);
    // Past the last piece there is only what is left over: it may be cut anywhere.
    const next = at ?? (ends.every((end) => end <= from) ? from + car : null);
    if (next === null) return null;
    cuts.push(next);
    from = next;
  }
  return cuts;
}
