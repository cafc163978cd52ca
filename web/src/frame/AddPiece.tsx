import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { USES, USE_NAMES, newPiece, printLength, type Use } from '@sill/core';
import { replaced } from '../state/bench';
import { useApp, useJob } from '../state/hooks';
import { PiecePicture } from '../drawing/PiecePicture';

type Pick = { readonly onAdded: (id: string) => void };

/** The kinds of piece to start from, drawn by our own geometry at their usual size. */
export function PieceCards({ onAdded }: Pick) {
  const job = useJob();
  const dispatch = useApp();
  const add = (use: Use) => {
    const taken = new Set(job.pieces.map((piece) => piece.id));
    let number = job.pieces.length + 1;
    while (taken.has(`piece-${number}`)) number++;
    const sameName = job.pieces.filter((piece) => piece.use === use).length;
    const name = sameName === 0 ? USE_NAMES[use] : `${USE_NAMES[use]} ${sameName + 1}`;
    dispatch(replaced({ ...job, pieces: [...job.pieces, newPiece(`piece-${number}`, use, name)] }));
    onAdded(`piece-${number}`);
  };
  return (
    <div className="cards">
      {USES.map((use) => {
        const { length, width, height } = newPiece('x', use).size;
        return (
          <button key={use} type="button" className="card" onClick={() => add(use)}>
            <PiecePicture piece={newPiece('x', use)} />
            <strong>{USE_NAMES[use]}</strong>
            <span className="soft">
              {[length, width, height].map((size) => printLength(size, job.units)).join(' × ')}
            </span>
          </button>
        );
      })}
    </div>
  );
}

export function AddPiece({ open, onClose, onAdded }: Pick & { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} maxWidth="md" fullWidth>
      <DialogTitle>What are you making?</DialogTitle>
      <DialogContent>
        <p>Each starts at a usual size; change it to yours next.</p>
        <PieceCards
          onAdded={(id) => {
            onAdded(id);
            onClose();
          }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
