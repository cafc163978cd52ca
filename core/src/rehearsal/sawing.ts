import { held, nth } from '../lists';
import { inches, type Length } from '../length';
import type { Board, CutPiece } from '../buying';
import type { NumberedCut, Setup } from '../sawing';
import type { Flat } from '../solid';
import type { Fault } from './fault';

/**
 * What lies on the bench of a board that is being cut: a convex outline in the board's own x and y, and what is ripped
 * off.
 */
type Lying = { readonly points: readonly Flat[]; readonly width: Length };

/** Nearer than this two saw lines are one: slanted lengths are rounded to 1/320 mm at each end. */
const SAME = 8;

/** The side of a line that a convex outline has where a x + b y <= c. */
function kept(points: readonly Flat[], [a, b]: Flat, c: number): readonly Flat[] {
  const out: Flat[] = [];
  points.forEach((p, at) => {
    const q = nth(points, (at + 1) % points.length);
    const [dp, dq] = [a * p[0] + b * p[1] - c, a * q[0] + b * q[1] - c];
    if (dp <= 0) out.push(p);
    if ((dp < 0 && dq > 0) || (dp > 0 && dq < 0)) {
      const share = dp / (dp - dq);
      out.push([p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])]);
    }
  });
  return out;
}

const areaOf = (points: readonly Flat[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nx, ny] = nth(points, (at + 1) % points.length);
      return sum + x * ny - nx * y;
    }, 0),
  ) / 2;

const holds = (points: readonly Flat[], [x, y]: Flat): boolean =>
  points.every(([px, py], at) => {
    const [qx, qy] = nth(points, (at + 1) % points.length);
    return (qx - px) * (y - py) - (qy - py) * (x - px) >= -SAME * Math.hypot(qx - px, qy - py);
  });

type Line = Pick<NumberedCut, 'kind' | 'at' | 'from' | 'to' | 'angle'>;
const slope = (angle: number) => Math.tan((angle * Math.PI) / 180);

/** Cuts through whatever a line meets in its middle, or through what holds a point; null where that is nothing. */
function sawn(
  all: readonly Lying[],
  { kind, at, from, to, angle }: Line,
  past: Length,
  kerf: Length,
  through?: Flat,
): readonly Lying[] | null {
  const lean = kind === 'crosscut' ? slope(angle) : 0;
  // x - lean y = at - lean from, or y = at.
  const normal: Flat = kind === 'crosscut' ? [1, -lean] : [0, 1];
  const reach = kind === 'crosscut' ? at + past - lean * from : at + past;
  const width = kerf * Math.hypot(...normal);
  const middle = (from + to) / 2;
  const on: Flat = kind === 'crosscut' ? [at + past + lean * (middle - from), middle] : [middle, at + past];
  const found = all.find(({ points }) => holds(points, through ?? on));
  if (!found) return null;
  const halves = [kept(found.points, normal, reach), kept(found.points, [-normal[0], -normal[1]], -(reach + width))];
  const left = halves.filter((points) => points.length >= 3 && areaOf(points) > SAME * SAME);
  return [...all.filter((one) => one !== found), ...left.map((points) => ({ ...found, points }))];
}

const middleOf = ({ x, y, length, width }: CutPiece): Flat => [x + length / 2, y + width / 2];

/** How much of its rectangle a piece with slanted ends is. */
const expectedArea = ({ length, width, slants }: CutPiece): number =>
  length * width - (width * width * (Math.abs(slope(slants.left)) + Math.abs(slope(slants.right)))) / 2;

/** Why what was freed is not the piece; null where it is. */
function unlike(piece: CutPiece, { points, width }: Lying): string | null {
  const xs = points.map(([x]) => x);
  const [low, high] = [Math.min(...xs), Math.max(...xs)];
  const { rip, part } = piece.blank;
  if (Math.abs(low - piece.x) > SAME || Math.abs(high - piece.x - piece.length) > SAME)
    return `is ${((high - low) / inches(1)).toFixed(3)} long instead of ${(piece.length / inches(1)).toFixed(3)}`;
  const across =
    rip && part.plies === 1 && width < piece.width
      ? piece.width
      : Math.max(...points.map(([, y]) => y)) - Math.min(...points.map(([, y]) => y));
  if (Math.abs(across - piece.width) > SAME) return 'has another width';
  if (Math.abs(areaOf(points) - expectedArea(piece)) > piece.width * SAME) return 'has other ends';
  if (rip && part.plies === 1 && width !== rip.to) return 'is not ripped';
  return null;
}

/**
 * Saws boards and sheets as the settings say, one after the other: rough cuts past their line, rips of what lies in
 * one, clean cuts. What comes of it is compared with the pieces of the plan.
 *
 * @returns the pieces that were freed, and what went wrong.
 */
export function sawBoards(
  boards: readonly Board[],
  cuts: readonly NumberedCut[],
  setups: readonly Setup[],
  kerfOf: (board: Board) => Length,
): { readonly pieces: readonly CutPiece[]; readonly faults: readonly Fault[] } {
  const faults: Fault[] = [];
  const lying = new Map<number, readonly Lying[]>();
  const byNumber = new Map(cuts.map((cut) => [cut.number, cut]));
  const numbered = (board: Board, line: Line) =>
    cuts.some(
      (cut) =>
        cut.board === board.number &&
        cut.kind === line.kind &&
        Math.abs(cut.at - line.at) <= 2 &&
        cut.from === line.from,
    );
  for (const board of boards) {
    const whole: Lying = {
      points: [
        [0, 0],
        [board.length, 0],
        [board.length, board.width],
        [0, board.width],
      ],
      width: board.width,
    };
    let all: readonly Lying[] = [whole];
    // Ends are squared before anything is measured: the part that falls off ends where the first piece begins.
    if (board.pieces.every(({ y }) => y === board.pieces[0]?.y) && !('sheet' in board.offer))
      for (const cut of board.cuts)
        if (cut.kind === 'crosscut' && cut.angle === 0 && !numbered(board, cut))
          all = sawn(all, cut, -kerfOf(board), kerfOf(board)) ?? all;
    lying.set(board.number, all);
  }
  const at = new Map(boards.map((board) => [board.number, board]));
  for (const setup of setups) {
    const fault = (why: string) => faults.push({ operation: `saw.${setup.id}`, kind: 'no wood', why });
    if (setup.kind === 'fence') {
      for (const { board, pieces } of setup.runs) {
        const all = lying.get(board) ?? [];
        const stick = all.find(({ points }) => pieces.every((piece) => holds(points, middleOf(piece))));
        const to = setup.passes.at(-1) ?? setup.setting;
        if (!stick) fault(`board ${board}: what is to be ripped is not in one`);
        else if (to >= stick.width) fault(`board ${board}: it is no wider than the fence`);
        else lying.set(board, [...all.filter((one) => one !== stick), { ...stick, width: to }]);
      }
      continue;
    }
    for (const number of setup.cuts) {
      const cut = byNumber.get(number);
      const board = cut && at.get(cut.board);
      if (!cut || !board) {
        fault(`there is no cut ${number}`);
        continue;
      }
      const past = setup.kind === 'marks' ? setup.setting : 0;
      // Where a cut only begins a piece the blade runs on the other side of its line.
      const kerf = kerfOf(board);
      const begun = cut.piece ? null : cut.begins;
      const beside = begun ? -kerf / Math.cos((cut.angle * Math.PI) / 180) : past;
      const next = sawn(held(lying, board.number), cut, beside, kerf, begun ? middleOf(begun) : undefined);
      if (next) lying.set(board.number, next);
      else if (!(past > 0 && cut.at + past > board.length))
        fault(`cut ${number} meets no wood on board ${board.number}`);
    }
  }
  const pieces = boards.flatMap((board) =>
    board.pieces.filter((piece) => {
      const found = held(lying, board.number).find(({ points }) => holds(points, middleOf(piece)));
      const why = found ? unlike(piece, found) : 'is not there';
      if (why !== null)
        faults.push({
          operation: null,
          kind: 'never cut',
          why: `${piece.blank.part.tag} of board ${board.number} ${why}`,
        });
      return why === null;
    }),
  );
  return { pieces, faults };
}
