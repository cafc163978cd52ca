import Papa from 'papaparse';
import { printLength, type Units } from '../length';
import { boardName, type Board } from '../buying';
import { cutNumbers, passesOf, type NumberedCut, type Setup } from '../sawing';

const SETTINGS: Readonly<Record<Setup['kind'], string>> = {
  marks: 'mark',
  stop: 'stop',
  fence: 'fence',
  guide: 'guide',
};

/** The pieces of all boards as CSV: which board, where on it, what size, which cut. Lengths as the person reads them. */
export function cutListCsv(
  boards: readonly Board[],
  cuts: readonly NumberedCut[],
  units: Units,
  label: (partId: string) => string,
): string {
  const text = (length: number) => printLength(length, units);
  const cutOf = cutNumbers(cuts);
  return Papa.unparse(
    boards.flatMap((board) =>
      board.pieces.map((piece) => ({
        board: board.number,
        from: boardName(board, units),
        bought: board.hand ? 'on hand' : 'buy',
        piece: label(piece.blank.part.id),
        part: piece.blank.part.name,
        length: text(piece.length),
        width: text(piece.width),
        thickness: text(piece.blank.thickness),
        'from the left': text(piece.x),
        'from the lower edge': text(piece.y),
        'rip to': piece.blank.rip ? text(piece.blank.rip.to) : '',
        'left long for': piece.blank.extraFor ?? '',
        cut: cutOf.get(piece) ?? '',
      })),
    ),
  );
}

/** The order of work as CSV: every setting with its passes, one row each. */
export function orderCsv(
  setups: readonly Setup[],
  cuts: readonly NumberedCut[],
  units: Units,
  label: (partId: string) => string,
): string {
  return Papa.unparse(
    setups.flatMap((setup, at) =>
      passesOf(setup, cuts).map((pass) => {
        const of = pass.cuts.length === 1 ? cuts[pass.cuts[0]! - 1]!.setting : null;
        return {
          setting: at + 1,
          by: SETTINGS[setup.kind],
          saw: setup.tool ?? 'the yard',
          set: setup.kind === 'marks' ? '' : printLength(of?.setting ?? setup.setting, units),
          cuts: pass.cuts.join(' '),
          boards: pass.boards.join(' '),
          pieces: pass.pieces.map(({ blank }) => label(blank.part.id)).join(' '),
        };
      }),
    ),
  );
}
