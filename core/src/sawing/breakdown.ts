import { inches, type Length } from '../length';
import type { Board } from '../buying';

type Box = { readonly x: Length; readonly y: Length; readonly length: Length; readonly width: Length };

/** A cut through a piece of a sheet, with what a guide or fence is set to. */
export type SheetCut = Board['cuts'][number] & {
  /** Distance of the line from the edge that it is measured from. */
  readonly setting: Length;
  /** The edge it is measured from: as the sheet came, or one that was sawn before. */
  readonly reference: 'factory' | 'sawn';
  /** Share of the whole sheet that the larger of the two pieces still is. */
  readonly share: number;
};

/**
 * The two pieces a cut makes of one; null where it does not run through it from edge to edge.
 *
 * @param off how much shorter than the piece it may be: beside slanted ends the layout leaves more than a kerf.
 */
function halves(box: Box, cut: Board['cuts'][number], kerf: Length, off: Length): readonly [Box, Box] | null {
  const { x, y, length, width } = box;
  const through = (from: Length, size: Length) =>
    cut.from >= from && cut.to <= from + size && cut.to - cut.from >= size - off;
  if (cut.kind === 'crosscut') {
    if (!through(y, width) || cut.at < x || cut.at > x + length) return null;
    const rest = cut.at + kerf;
    return [
      { x, y, length: cut.at - x, width },
      { x: rest, y, length: Math.max(0, x + length - rest), width },
    ];
  }
  if (!through(x, length) || cut.at < y || cut.at > y + width) return null;
  const rest = cut.at + kerf;
  return [
    { x, y, length, width: cut.at - y },
    { x, y: rest, length, width: Math.max(0, y + width - rest) },
  ];
}

const area = ({ length, width }: Box): number => length * width;

/**
 * The cuts of a sheet in the order they are best made. Any cut may come next that runs from edge to edge of a piece there
 * is. While a piece is heavier than one person lifts, the heaviest is cut next, as near its middle as can be; after
 * that, cuts at the setting there is come before a new setting, and the largest piece before smaller ones.
 *
 * @param most share of the sheet that one person lifts.
 */
export function breakDown(
  board: Pick<Board, 'cuts' | 'length' | 'width'>,
  kerf: Length,
  most: number,
): readonly SheetCut[] {
  const whole = board.length * board.width;
  let boxes: readonly Box[] = [{ x: 0, y: 0, length: board.length, width: board.width }];
  let left = board.cuts;
  const ordered: SheetCut[] = [];
  let before: SheetCut | null = null;
  while (left.length > 0) {
    const heaviest = boxes.reduce((a, b) => (area(b) > area(a) ? b : a));
    const heavy = area(heaviest) > most * whole;
    const waysWith = (off: Length) =>
      left.flatMap((cut) => {
        const box = boxes.find((one) => halves(one, cut, kerf, off) !== null);
        if (!box) return [];
        const two = halves(box, cut, kerf, off)!;
        const larger = Math.max(...two.map(area));
        const low = cut.kind === 'crosscut' ? cut.at - box.x : cut.at - box.y;
        const factory = cut.kind === 'crosscut' ? box.x === 0 : box.y === 0;
        const next: SheetCut = {
          ...cut,
          setting: low,
          reference: factory ? 'factory' : 'sawn',
          share: larger / whole,
        };
        const again = before !== null && before.kind === next.kind && before.setting === next.setting;
        const rank = heavy ? [box === heaviest ? 0 : 1, larger] : [again ? 0 : 1, -area(box)];
        return [{ cut, next, box, two, rank }];
      });
    const exact = waysWith(0);
    const ways = exact.length > 0 ? exact : waysWith(inches(1));
    if (ways.length === 0) throw new Error('A layout has a cut that does not run from edge to edge.');
    const best = ways.reduce((a, b) => (compare(b.rank, a.rank) < 0 ? b : a));
    left = left.filter((cut) => cut !== best.cut);
    boxes = [...boxes.filter((box) => box !== best.box), ...best.two.filter((box) => area(box) > 0)];
    ordered.push(best.next);
    before = best.next;
  }
  return ordered;
}

const compare = (a: readonly number[], b: readonly number[]): number => {
  const at = a.findIndex((value, k) => value !== b[k]);
  return at < 0 ? 0 : a[at]! - b[at]!;
};
