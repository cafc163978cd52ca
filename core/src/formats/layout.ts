import { PER_MM, type Length } from '../length';
import type { Board } from '../buying';
import { rectangle, type Outline } from '../solid';
import type { Template } from './template';

const mm = (length: Length): number => length / PER_MM;

/** Corners of a piece as it lies, its ends slanted. */
function outlineOf({ x, y, length, width, slants }: Board['pieces'][number]): Outline {
  const lean = (degrees: number) => width * Math.tan((degrees * Math.PI) / 180);
  const [left, right] = [lean(slants.left), lean(slants.right)];
  const a = x - Math.min(0, left);
  const b = x + length - Math.max(0, right);
  return [
    [mm(a), mm(y)],
    [mm(b), mm(y)],
    [mm(b + right), mm(y + width)],
    [mm(a + left), mm(y + width)],
  ];
}

/**
 * A board or sheet as it is cut, at full size: the board as an outline, pieces as what is cut through, named, and the
 * stretches that are no good as pockets. For other programs and for machines that cut sheets.
 */
export function layoutOf(board: Board, label: (partId: string) => string): Template {
  const height = mm(board.width);
  return {
    view: 'face',
    width: mm(board.length),
    height,
    lines: [
      { kind: 'outline', points: rectangle(mm(board.length), height), note: '' },
      ...(board.hand?.bad ?? []).map(({ from, to }) => ({
        kind: 'pocket' as const,
        points: rectangle(mm(to - from), height).map(([x, y]) => [x + mm(from), y] as const),
        note: 'no good',
      })),
      ...board.pieces.map((piece) => ({
        kind: 'through' as const,
        points: outlineOf(piece),
        note: label(piece.blank.part.id),
      })),
    ],
    texts: board.pieces.map(({ x, y, length, width, blank }) => ({
      at: [mm(x + length / 2), mm(y + width / 2)] as const,
      size: Math.max(4, Math.min(24, mm(Math.min(length, width)) / 4)),
      text: label(blank.part.id),
    })),
  };
}
