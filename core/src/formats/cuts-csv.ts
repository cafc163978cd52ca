import { first, nth } from '../lists';
import { writeCsv } from './csv';
import { printLength, type Units } from '../length';
import { boardName, type Board } from '../buying';
import { cutNumbers, passesOf, type NumberedCut, type Setup } from '../sawing';

const SETTINGS: Readonly<Record<Setup['kind'], string>> = {
  marks: 'mark',
  stop: 'stop',
  fence: 'fence',
  guide: 'guide',
};

/**
 * The pieces of all boards as CSV: which board, where on it, what size, which cut. Lengths as the person reads them.
 */
export function cutListCsv(
  boards: readonly Board[],
  cuts: readonly NumberedCut[],
  units: Units,
  label: (partId: string) => string,
): string {
  const text = (length: number) => printLength(length, units);
  const cutOf = cutNumbers(cuts);
  return writeCsv(
    [
      'board',
      'from',
      'bought',
      'piece',
      'part',
      'length',
      'width',
      'thickness',
      'from the left',
      'from the lower edge',
      'rip to',
      'left long for',
      'cut',
    ],
    boards.flatMap((board) =>
      board.pieces.map((piece) => [
        board.number,
        boardName(board, units),
        board.hand ? 'on hand' : 'buy',
        label(piece.blank.part.id),
        piece.blank.part.name,
        text(piece.length),
        text(piece.width),
        text(piece.blank.thickness),
        text(piece.x),
        text(piece.y),
        piece.blank.rip ? text(piece.blank.rip.to) : '',
        piece.blank.extraFor ?? '',
        cutOf.get(piece) ?? '',
      ]),
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
  return writeCsv(
    ['setting', 'by', 'saw', 'set', 'cuts', 'boards', 'pieces'],
    setups.flatMap((setup, at) =>
      passesOf(setup, cuts).map((pass) => {
        const of = pass.cuts.length === 1 ? nth(cuts, first(pass.cuts) - 1).setting : null;
        return [
          at + 1,
          SETTINGS[setup.kind],
          setup.tool ?? 'the yard',
          setup.kind === 'marks' ? '' : printLength(of?.setting ?? setup.setting, units),
          pass.cuts.join(' '),
          pass.boards.join(' '),
          pass.pieces.map(({ blank }) => label(blank.part.id)).join(' '),
        ];
      }),
    ),
  );
}
