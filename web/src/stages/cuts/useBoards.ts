import {
  boughtAs,
  cutAs,
  isCutInto,
  lockOf,
  set,
  spoiledAs,
  standingEntries,
  withPiece,
  type Board,
  type Change,
  type CutPiece,
  type Refusal,
} from '@sill/core';
import { useApp, useChange, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { about, STAMP, useTell } from '../../state/useLedger';
import { said } from '../../state/view';

const REFUSED: Readonly<Record<Refusal | 'cut', string>> = {
  'another material': 'It is cut from another material.',
  'a sheet': 'Pieces of a sheet lie where its cuts allow; keep the sheet as it is, or let it change.',
  'slanted ends': 'Slanted pieces are nested with their neighbours; keep the board as it is, or let it change.',
  'too long': 'It is longer than that board.',
  'already there': 'It lies there already.',
  cut: 'That board is cut already.',
};
/** The wish for a board let go. */
export const letGo = ({ kept }: Board): readonly Change[] =>
  kept === null ? [] : [set(null, ['locks', kept], undefined)];

/** What a person wishes of boards, and what happened to them. */
export function useBoards() {
  const job = useJob();
  const change = useChange();
  const tell = useTell();
  const dispatch = useApp();
  const refuse = (why: keyof typeof REFUSED) => dispatch(said({ text: `Left as it was. ${REFUSED[why]}`, bad: false }));
  return {
    keep: (board: Board) => {
      const lock = lockOf(board, board.kept ?? newId());
      change([set(null, ['locks', lock.id], lock)]);
    },
    free: (board: Board) => change(letGo(board)),
    buy: (board: Board) => tell(boughtAs(job, board, STAMP)),
    // A wish that is carried out is none any more.
    cut: (board: Board) => tell(cutAs(job, board, null, STAMP), letGo(board)),
    spoil: (board: Board) => tell(spoiledAs(job, board, STAMP), letGo(board)),
    spoilPiece: (of: string) => tell([about('spoiled', of)]),
    takeBack: (board: Board) => board.body !== null && tell([about('returned', board.body)]),
    /** It was told by mistake: all that was told of its cuts, or of its purchase where it is not cut. */
    mistaken: (board: Board) => {
      const own = standingEntries(job.ledger).filter((entry) =>
        isCutInto(board) ? entry.what === 'cut' && entry.of === board.body : entry.id === board.body,
      );
      tell(own.map(({ id }) => about('corrected', id)));
    },
    /** Brings a piece from one board to another, which is then kept so. */
    bring: (piece: CutPiece, from: Board, to: Board) => {
      if (from.number === to.number) return;
      if (isCutInto(from) || isCutInto(to)) return refuse('cut');
      const brought = withPiece(to, piece, job, to.kept ?? newId());
      if ('refused' in brought) return refuse(brought.refused);
      change([...letGo(from), set(null, ['locks', brought.lock.id], brought.lock)]);
    },
  };
}
