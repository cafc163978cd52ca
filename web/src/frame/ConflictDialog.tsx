import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { plain, printLength, say, dim, type Job, type Units } from '@sill/core';
import { keptMine, tookTheirs } from '../state/bench';
import { letGo } from '../state/kept';
import { useApp, useFrom } from '../state/hooks';
import { dollars } from '../words/money';

const sizes = (job: Job, units: Units) =>
  job.pieces.map((piece) => (
    <li key={piece.id}>
      {piece.name}: {plain(say`${dim(piece.size.length)} × ${dim(piece.size.width)} × `, units)}
      {printLength(piece.size.height, units)}
      {piece.copies > 1 ? `, ${piece.copies} of them` : ''}
    </li>
  ));

/** Another tab saved first. Both are shown; nothing is lost whichever is taken. */
export function ConflictDialog() {
  const { conflict, job, id } = useFrom((state) => state.bench);
  const dispatch = useApp();
  if (!conflict || !job) return null;
  const column = (title: string, of: Job) => (
    <section>
      <h3>{title}</h3>
      <p>
        <strong>{of.name}</strong>, budget {of.budget === null ? 'not set' : dollars(of.budget)}
      </p>
      <ul>{sizes(of, job.units)}</ul>
    </section>
  );
  return (
    <Dialog open maxWidth="sm" fullWidth>
      <DialogTitle>Changed in another tab</DialogTitle>
      <DialogContent>
        <p>
          This job was saved elsewhere at {format(parseISO(conflict.savedAt), 'HH:mm:ss')} while you changed it here.
          Nothing is lost: the one you do not take stays among the older saves, or comes back with undo.
        </p>
        <div className="both">
          {column('Here, yours', job)}
          {column('Saved elsewhere', conflict.job)}
        </div>
      </DialogContent>
      <DialogActions>
        <Button
          onClick={() => {
            letGo(id!);
            dispatch(tookTheirs());
          }}
        >
          Take the other
        </Button>
        <Button variant="contained" color="primary" onClick={() => dispatch(keptMine())}>
          Keep mine
        </Button>
      </DialogActions>
    </Dialog>
  );
}
