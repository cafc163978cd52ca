import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useMemo, useState } from 'react';
import { fromFound, inches, newPiece, type Piece, pieceFrom, printLength, type Start, STARTS, sure } from '@sill/core';
import { LengthField } from '../../ui/LengthField';
import { useChangeJob, useJob } from '../../state/hooks';
import { PiecePicture, useOneByOne } from '../../drawing/PiecePicture';
import { Words } from '../../words/Words';
import './cards.css';

type Pick = { readonly onAdded: (id: string) => void };

/** Adds a piece to the job under a name of its own. */
function useAdd(onAdded: (id: string) => void) {
  const job = useJob();
  const change = useChangeJob();
  return (start: Start, as?: Piece) => {
    const taken = new Set(job.pieces.map((piece) => piece.id));
    let number = job.pieces.length + 1;
    while (taken.has(`piece-${number}`)) number++;
    const sameName = job.pieces.filter((piece) => piece.name.startsWith(start.name)).length;
    const name = sameName === 0 ? start.name : `${start.name} ${sameName + 1}`;
    const id = `piece-${number}`;
    change(['pieces', id], as ? { ...as, id, name } : pieceFrom(start, id, name));
    onAdded(id);
  };
}

/** The kinds of piece to start from, drawn by our own geometry at their usual size. */
export function PieceCards({ onAdded }: Pick) {
  const { units } = useJob();
  const add = useAdd(onAdded);
  const samples = useMemo(() => STARTS.map((start) => ({ start, piece: newPiece('x', start.id) })), []);
  const drawn = useOneByOne(samples.length);
  return (
    <div className="cards">
      {samples.map(({ start, piece }, at) => (
        <button key={start.id} type="button" className="card" onClick={() => add(start)}>
          {at < drawn ? <PiecePicture piece={piece} /> : <span className="picture-room" />}
          <strong>{start.name}</strong>
          <span className="soft">{start.about}</span>
          <span className="soft">
            {[piece.size.length, piece.size.width, piece.size.height]
              .map((size) => printLength(size, units))
              .join(' × ')}
          </span>
        </button>
      ))}
    </div>
  );
}

/** A top, board or panel that is there: its measured size, and what can be made of it. */
function FromWhatIsThere({ onAdded }: Pick) {
  const job = useJob();
  const add = useAdd(onAdded);
  const [found, setFound] = useState({ length: inches(47.375), width: inches(19.75), thickness: inches(1) });
  const rows = useMemo(() => fromFound(found, job.shop, job.units, 'x'), [found, job.shop, job.units]);
  const able = rows.filter((row) => row.because === null);
  const not = rows.filter((row) => row.because !== null);
  return (
    <>
      <p>
        Measure what you have at its smallest, square parts only; the piece takes its size from it and nothing of it is
        bought.
      </p>
      <fieldset className="sizes">
        <legend>Measured</legend>
        <LengthField
          label="long"
          value={found.length}
          least={inches(4)}
          onChange={(length) => setFound({ ...found, length })}
        />
        <LengthField
          label="wide"
          value={found.width}
          least={inches(4)}
          onChange={(width) => setFound({ ...found, width })}
        />
        <LengthField
          label="thick"
          value={found.thickness}
          least={inches(3 / 8)}
          most={inches(4)}
          onChange={(thickness) => setFound({ ...found, thickness })}
        />
      </fieldset>
      <h2>It can become</h2>
      {able.length === 0 && <p>Nothing here as it is. Cut it down, or take it as stock in Stock.</p>}
      <div className="cards">
        {able.map(({ start, piece }) => (
          <button key={start.id} type="button" className="card" onClick={() => add(start, piece)}>
            <PiecePicture piece={piece} />
            <strong>{start.name}</strong>
            <span className="soft">
              {[piece.size.length, piece.size.width, piece.size.height]
                .map((size) => printLength(size, job.units))
                .join(' × ')}
            </span>
          </button>
        ))}
      </div>
      {not.length > 0 && (
        <>
          <h2>And why not the others</h2>
          <ul className="problems">
            {not.map(({ start, because }) => (
              <li key={start.id}>
                <strong>{start.name}.</strong> <Words of={sure(because, 'reason')} />
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

export function AddPiece({ open, onClose, onAdded }: Pick & { readonly open: boolean; readonly onClose: () => void }) {
  const [found, setFound] = useState(false);
  const done = (id: string) => {
    onAdded(id);
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} maxWidth="lg" fullWidth>
      <DialogTitle>{found ? 'What is there?' : 'What are you making?'}</DialogTitle>
      <DialogContent>
        {found ? (
          <FromWhatIsThere onAdded={done} />
        ) : (
          <>
            <p>Each starts at a usual size; change it to yours next.</p>
            <PieceCards onAdded={done} />
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => setFound(!found)}>
          {found ? 'Start from a kind of piece' : 'Start from a top or board I have'}
        </Button>
        <span className="grow" />
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
