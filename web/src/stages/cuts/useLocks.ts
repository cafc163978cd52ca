import { lockOf, withPiece, type Board, type CutPiece, type Lock, type Refusal, set } from '@sill/core';
import { useApp, useChange, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { said } from '../../state/view';

const REFUSED: Readonly<Record<Refusal | 'cut', string>> = {
  'another material': 'It is cut from another material.',
  'a sheet': 'Pieces of a sheet lie where its cuts allow; keep the sheet as it is, or let it change.',
  'slanted ends': 'Slanted pieces are nested with their neighbours; keep the board as it is, or let it change.',
  'too long': 'It is longer than that board.',
  'already there': 'It lies there already.',
  cut: 'That board is cut already.',
};

/** Settling boards: kept, bought, cut or spoiled as they are, or free again; and pieces brought to other boards. */
export function useLocks() {
  const job = useJob();
  const change = useChange();
  const dispatch = useApp();
  const put = (lock: Lock) => set(null, ['locks', lock.id], lock);
  const free = ({ lock }: Board) => (lock ? [set(null, ['locks', lock.id], undefined)] : []);
  const refuse = (why: keyof typeof REFUSED) => dispatch(said({ text: `Left as it was. ${REFUSED[why]}`, bad: false }));
  return {
    settle: (board: Board, state: Lock['state']) => change([put(lockOf(board, board.lock?.id ?? newId(), state))]),
    free: (board: Board) => change(free(board)),
    /** Brings a piece from one board to another, which is then kept so. */
    bring: (piece: CutPiece, from: Board, to: Board) => {
      if (from.number === to.number) return;
      if (from.lock?.state === 'cut' || to.lock?.state === 'cut') return refuse('cut');
      const brought = withPiece(to, piece, job, to.lock?.id ?? newId());
      if ('refused' in brought) return refuse(brought.refused);
      const state = to.lock?.state === 'bought' ? 'bought' : 'kept';
      change([...free(from), put({ ...brought.lock, state })]);
    },
  };
}
