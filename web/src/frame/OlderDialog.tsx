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
import { api, type Revision } from '../platform/api';
import { placeWords } from '../words/places';

type Props = {
  readonly id: string;
  readonly job: Job;
  readonly onClose: () => void;
  readonly onTake: (job: Job) => void;
};

/** What a save changed, in a few words. */
const changedWords = ({ changed }: Revision, job: Job): string =>
  changed === null || changed.count === 0
    ? ''
    : `${changed.first.map((path) => placeWords(path, [job])).join('; ')}${changed.count > changed.first.length ? ` and ${changed.count - changed.first.length} more` : ''}`;

/**
 * Saves of the last day are all kept, older ones by the hour and by the day; any of them can be taken back, which is
 * itself a change that can be undone.
 */
export function OlderDialog({ id, job, onClose, onTake }: Props) {
  const [rows, setRows] = useState<readonly Revision[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    api.revisions(id).then(setRows, (error: Error) => setProblem(error.message));
  }, [id]);
  const take = (revision: number) =>
    api.revision(id, revision).then(
      ({ job: older }) => {
        onTake(older);
        onClose();
      },
      (error: Error) => setProblem(error.message),
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>Go back to an older save</DialogTitle>
      <DialogContent>
        {problem && <p role="alert">{problem}</p>}
        {!rows && !problem && <p>Reading the saves.</p>}
        <List dense>
          {rows?.slice(1).map((row) => (
            <ListItemButton key={row.revision} onClick={() => void take(row.revision)}>
              <ListItemText
                primary={format(parseISO(row.savedAt), 'd MMM yyyy HH:mm:ss')}
                secondary={[
                  `save ${row.revision}`,
                  changedWords(row, job),
                  row.by ?? '',
                  `${Math.ceil(row.size / 1000)} kB`,
                ]
                  .filter((word) => word !== '')
                  .join(' · ')}
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
