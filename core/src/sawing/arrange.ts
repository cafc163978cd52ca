import { first, nth, sure } from '../lists';
import { inches, type Length } from '../length';
import { able, kerfFor, WAYS, type Shop } from '../job';
import { isCutInto, KEEP_OFFCUT, type Board, type CutPiece } from '../buying';
import type { Rip } from '../milling';

/** Pieces next to each other on a board that stay in one until they are ripped. */
export type Stick = {
  readonly pieces: readonly CutPiece[];
  /** What is ripped off all of them at once; null where nothing is, or each is ripped on its own. */
  readonly rip: Rip | null;
  /**
   * How it is parted from what comes after, before the rip: a rough cut so far past the line of its last piece; 0 on
   * the line, where that piece is left long anyway; null where it is not.
   */
  readonly past: Length | null;
};

/** A board with its pieces in the order they are best sawn. */
export type SawnBoard = {
  readonly board: Board;
  /** Pieces end to end in a lane; else it is broken down by cuts from edge to edge, like a sheet. */
  readonly lane: boolean;
  /** No room for rough cuts, or slanted ends: all is crosscut to size before anything is ripped. */
  readonly crosscutFirst: boolean;
  readonly sticks: readonly Stick[];
};

/** Left past a line by a rough cut: a blade's width and something to hold on to for the clean cut. */
export const PAST: Length = inches(1 / 4);
/** Longer sticks are not fed over a saw at home alone. */
export const LONGEST_RIP: Length = inches(96);

/** What is ripped off a piece before it is anything else; plies are ripped once they are glued. */
const ripOf = ({ blank }: CutPiece): Rip | null => (blank.part.plies > 1 ? null : blank.rip);

const isLane = ({ offer, pieces }: Board): boolean => {
  const sorted = [...pieces].sort((a, b) => a.x - b.x);
  return (
    !('sheet' in offer) && sorted.every((piece, at) => at === 0 || piece.x > nth(sorted, at - 1).x) && !beside(sorted)
  );
};
/** True where one piece lies above another. */
const beside = (pieces: readonly CutPiece[]): boolean => pieces.some(({ y }) => y !== first(pieces).y);

const isSquare = ({ slants }: CutPiece): boolean => slants.left === 0 && slants.right === 0;

/**
 * Pieces of one stretch of the board, ripped ones first and the widest of them, as sticks no longer than a saw takes.
 */
function sticksOf(pieces: readonly CutPiece[], kerf: Length): readonly (readonly CutPiece[])[] {
  const width = (piece: CutPiece) => ripOf(piece)?.to ?? 0;
  const sorted = [...pieces].sort((a, b) => width(b) - width(a) || b.length - a.length);
  const sticks: CutPiece[][] = [];
  let long = 0;
  for (const piece of sorted) {
    const stick = sticks.at(-1);
    const alike = stick !== undefined && width(first(stick)) === width(piece);
    if (alike && (width(piece) === 0 || long + kerf + piece.length <= LONGEST_RIP)) {
      stick.push(piece);
      long += kerf + piece.length;
    } else {
      sticks.push([piece]);
      long = piece.length;
    }
  }
  return sticks;
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
const longestFirst = (pieces: readonly CutPiece[]): readonly CutPiece[] =>
  [...pieces].sort((a, b) => b.length - a.length);

type Run = { readonly from: Length; readonly to: Length; readonly pieces: readonly CutPiece[] };

/** Stretches of a board that hold pieces: all of it, or what lies between places that are no good. */
function runsOf({ pieces, offcuts, hand, length }: Board): readonly Run[] {
  const bad = [...(hand?.bad ?? [])].sort((a, b) => a.from - b.from);
  const starts = [0, ...bad.map(({ to }) => to)];
  return starts.flatMap((start, at): readonly Run[] => {
    const end = bad[at]?.from ?? length;
    const inside = <T extends { readonly x: Length }>(rows: readonly T[]) =>
      rows.filter(({ x }) => x >= start && x < end);
    const here = inside(pieces);
    if (here.length === 0) return [];
    return [
      {
        from: Math.min(...here.map(({ x }) => x)),
        to: Math.max(...[...here, ...inside(offcuts)].map((row) => row.x + row.length)),
        pieces: here,
      },
    ];
  });
}

/** Lays sticks into a run from its left end on; null where the rough cuts have no room. */
function layIn(run: Run, sticks: readonly (readonly CutPiece[])[], kerf: Length): readonly Stick[] | null {
  const rips = sticks.some((stick) => ripOf(first(stick)) !== null);
  const whole = sum(run.pieces.map(({ length }) => length)) + kerf * run.pieces.length;
  const pastOf = (stick: readonly CutPiece[]) => (nth(stick, stick.length - 1).blank.extra > 0 ? 0 : PAST);
  const between = sum(sticks.slice(0, -1).map((stick) => (rips ? pastOf(stick) : 0)));
  const free = run.to - run.from - whole - between;
  if (free < -kerf) return null;
  const last = nth(sticks, sticks.length - 1);
  // What is kept is cut off before the rip: it stays as wide as the board.
  const cutOff = ripOf(first(last)) !== null && free - pastOf(last) >= KEEP_OFFCUT;
  let x = run.from;
  return sticks.map((stick, at): Stick => {
    const past = rips && (at < sticks.length - 1 || cutOff) ? pastOf(stick) : null;
    const pieces = stick.map((piece) => {
      const lies = { ...piece, x };
      x += piece.length + kerf;
      return lies;
    });
    x += past ?? 0;
    return { pieces, rip: ripOf(first(stick)), past };
  });
}

/**
 * A board as it is sawn: pieces that are ripped alike lie next to each other, so that they go through the saw as one
 * stick; within a stick the longest is cut first. Sticks are parted by rough cuts, the rip follows, then clean cuts to
 * size. Where the board is too full for rough cuts everything is crosscut first. Lanes of slanted ends and whatever
 * is not a lane keep their places. Costs nothing: the same pieces come from the same board.
 */
export function arrange(board: Board, shop: Shop): SawnBoard {
  if (!isLane(board)) return { board, lane: false, crosscutFirst: true, sticks: [] };
  const ripped = board.pieces.some((piece) => ripOf(piece) !== null);
  const asItLies = {
    board,
    lane: true,
    crosscutFirst: ripped,
    sticks: [{ pieces: board.pieces, rip: null, past: null }],
  };
  if (!board.pieces.every(isSquare)) return asItLies;
  const kerf = kerfFor(shop, 'board');
  const runs = runsOf(board);
  const roughed = able(shop.tools, WAYS.rip) ? runs.map((run) => layIn(run, sticksOf(run.pieces, kerf), kerf)) : [null];
  const crosscutFirst = ripped && roughed.includes(null);
  const sticks = runs.flatMap(
    (run, at) =>
      (crosscutFirst ? null : roughed[at]) ?? sure(layIn(run, [longestFirst(run.pieces)], kerf), 'room in the run'),
  );
  const laid = sticks.map((stick) => (crosscutFirst || !ripped ? { ...stick, rip: null, past: null } : stick));
  // What is cut lies where it was cut, also where a piece beside it is no part any more.
  const places = new Set(board.pieces.map(({ blank, x }) => `${blank.part.id} ${x}`));
  const moves = laid.some(({ pieces }) => pieces.some(({ blank, x }) => !places.has(`${blank.part.id} ${x}`)));
  const isCut = isCutInto(board);
  if (isCut && moves) return asItLies;
  const sawn = withPieces(board, runs, laid, kerf);
  const { cuts, offcuts } = isCut ? board : sawn;
  return { board: { ...sawn, cuts, offcuts }, lane: true, crosscutFirst, sticks: laid };
}

/** The board with its pieces in new places, and the cuts and offcuts that follow. */
function withPieces(board: Board, runs: readonly Run[], sticks: readonly Stick[], kerf: Length): Board {
  const pieces = sticks.flatMap((stick) => stick.pieces);
  const crosscut = (at: Length) => ({ kind: 'crosscut' as const, at, from: 0, to: board.width, angle: 0 });
  const end = ({ x, length }: CutPiece) => x + length;
  const inRun = ({ from, to }: Run, piece: CutPiece) => piece.x >= from && piece.x < to;
  return {
    ...board,
    pieces,
    cuts: runs.flatMap((run) => [
      ...(run.from > 0 ? [crosscut(run.from)] : []),
      ...pieces.filter((piece) => inRun(run, piece) && end(piece) < board.length).map((piece) => crosscut(end(piece))),
    ]),
    offcuts: runs.flatMap((run) => {
      const last = sure(
        sticks.findLast(({ pieces }) => inRun(run, nth(pieces, 0))),
        'stick in the run',
      );
      const x = end(nth(last.pieces, last.pieces.length - 1)) + kerf + (last.past ?? 0);
      return x < run.to ? [{ x, y: 0, length: run.to - x, width: board.width }] : [];
    }),
  };
}
