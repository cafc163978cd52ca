import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  List,
  ListItemButton,
  ListItemText,
} from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import type { Job } from '@sill/core';
import { api, type Revision } from '../api';

type Props = { readonly id: string; readonly onClose: () => void; readonly onTake: (job: Job) => void };

/** Every save is kept; any of them can be taken back, which is itself a change that can be undone. */
export function OlderDialog({ id, onClose, onTake }: Props) {
  const [rows, setRows] = useState<readonly Revision[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    api.revisions(id).then(setRows, (error: Error) => setProblem(error.message));
  }, [id]);
  const take = (revision: number) =>
    api.revision(id, revision).then(
      ({ job }) => {
        onTake(job);
        onClose();
      },
      (error: Error) => setProblem(error.message),
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>Go back to an older save</DialogTitle>
      <DialogContent>
        {problem && <p role="alert">{problem}</p>}
        {!rows && !problem && <p>Reading the saves.</p>}
        <List dense>
          {rows?.slice(1).map((row) => (
            <ListItemButton key={row.revision} onClick={() => void take(row.revision)}>
              <ListItemText
                primary={format(parseISO(row.savedAt), 'd MMM yyyy HH:mm:ss')}
                secondary={`save ${row.revision}`}
              />
            </ListItemButton>
          ))}
          {rows?.length === 1 && <p>This is the first save; there is none older.</p>}
        </List>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
