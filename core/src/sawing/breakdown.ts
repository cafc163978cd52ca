import { inches, type Length } from '../length';
import type { Board, CutPiece } from '../buying';

type SheetBox = { readonly x: Length; readonly y: Length; readonly length: Length; readonly width: Length };

/** A cut through a piece of a sheet, with what a guide or fence is set to. */
export type SheetCut = Board['cuts'][number] & {
  /** Distance of the line from the edge that it is measured from. */
  readonly setting: Length;
  /** The edge it is measured from: as the sheet came, or one that was sawn before. */
  readonly reference: 'factory' | 'sawn';
  /** Share of the whole sheet that the larger of the two pieces still is. */
  readonly share: number;
  /** The piece that begins at it, where what lies before is waste: the blade runs there. */
  readonly begins: CutPiece | null;
};

/**
 * Whether a cut runs through a piece from edge to edge.
 *
 * @param off how much shorter than the piece it may be: beside slanted ends the layout leaves more than a kerf.
 */
function runsThrough({ x, y, length, width }: SheetBox, cut: Board['cuts'][number], off: Length): boolean {
  const crosscut = cut.kind === 'crosscut';
  const [from, size] = crosscut ? [y, width] : [x, length];
  const [low, run] = crosscut ? [x, length] : [y, width];
  return (
    cut.from >= from && cut.to <= from + size && cut.to - cut.from >= size - off && cut.at >= low && cut.at <= low + run
  );
}

/** A piece that begins at a cut: what lies before it is waste, and the blade runs on that side of the line. */
const begunBy = (pieces: readonly CutPiece[], { kind, at, from, to }: Board['cuts'][number]): CutPiece | null =>
  pieces.find(({ x, y, length, width }) =>
    kind === 'crosscut' ? x === at && y >= from && y + width <= to : y === at && x >= from && x + length <= to,
  ) ?? null;

/** The two pieces a cut makes of one that it runs through. */
function halves(
  { x, y, length, width }: SheetBox,
  cut: Board['cuts'][number],
  kerf: Length,
  begins: CutPiece | null,
): readonly [SheetBox, SheetBox] {
  const [before, rest] = begins ? [cut.at - kerf, cut.at] : [cut.at, cut.at + kerf];
  return cut.kind === 'crosscut'
    ? [
        { x, y, length: Math.max(0, before - x), width },
        { x: rest, y, length: Math.max(0, x + length - rest), width },
      ]
    : [
        { x, y, length, width: Math.max(0, before - y) },
        { x, y: rest, length, width: Math.max(0, y + width - rest) },
      ];
}

/** A cut that may come next, the piece it runs through, and its rank: least first. */
type Choice = {
  readonly cut: Board['cuts'][number];
  readonly box: SheetBox;
  readonly rank: readonly [number, number];
};

const area = ({ length, width }: SheetBox): number => length * width;

/**
 * The cuts of a sheet in the order they are best made. Any cut may come next that runs from edge to edge of a piece
 * there is. While a piece is heavier than one person lifts, the heaviest is cut next, as near its middle as can be;
 * after that, cuts at the setting there is come before a new setting, and the largest piece before smaller ones.
 *
 * @param most share of the sheet that one person lifts.
 */
export function breakDown(
  board: Pick<Board, 'cuts' | 'length' | 'width' | 'pieces'>,
  kerf: Length,
  most: number,
): readonly SheetCut[] {
  const whole = board.length * board.width;
  const begun = new Map(board.cuts.map((cut) => [cut, begunBy(board.pieces, cut)]));
  let boxes: readonly SheetBox[] = [{ x: 0, y: 0, length: board.length, width: board.width }];
  let left = board.cuts;
  const ordered: SheetCut[] = [];
  let before: SheetCut | null = null;
  while (left.length > 0) {
    const heaviest = boxes.reduce((a, b) => (area(b) > area(a) ? b : a));
    const heavy = area(heaviest) > most * whole;
    let best: Choice | null = null;
    for (const off of [0, inches(1)]) {
      if (best) break;
      for (const cut of left) {
        const box = boxes.find((one) => runsThrough(one, cut, off));
        if (!box) continue;
        const again: boolean = before !== null && before.kind === cut.kind && before.setting === settingOf(cut, box);
        const rank: Choice['rank'] = heavy
          ? ([box === heaviest ? 0 : 1, Math.max(...halves(box, cut, kerf, begun.get(cut) ?? null).map(area))] as const)
          : ([again ? 0 : 1, -area(box)] as const);
        if (best === null || rank[0] < best.rank[0] || (rank[0] === best.rank[0] && rank[1] < best.rank[1]))
          best = { cut, box, rank };
      }
    }
    if (best === null) throw new Error('A layout has a cut that does not run from edge to edge.');
    const { cut, box }: Choice = best;
    const begins = begun.get(cut) ?? null;
    const two = halves(box, cut, kerf, begins);
    const made: SheetCut = {
      ...cut,
      setting: settingOf(cut, box),
      reference: (cut.kind === 'crosscut' ? box.x : box.y) === 0 ? 'factory' : 'sawn',
      share: Math.max(...two.map(area)) / whole,
      begins,
    };
    left = left.filter((one) => one !== cut);
    boxes = [...boxes.filter((one) => one !== box), ...two.filter((one) => area(one) > 0)];
    ordered.push(made);
    before = made;
  }
  return ordered;
}

/** Distance of a cut from the edge of its piece that it is measured from. */
const settingOf = (cut: Board['cuts'][number], box: SheetBox): Length =>
  cut.kind === 'crosscut' ? cut.at - box.x : cut.at - box.y;
