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
import type { Job } from '@sill/core';
import type { Revision } from '@sill/core/contract';
import { useLazyRevisionQuery, useRevisionsQuery } from '../state/server';
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
  const { data: rows, error } = useRevisionsQuery({ params: { id } });
  const [read, { error: unread }] = useLazyRevisionQuery();
  const problem = (error ?? unread)?.message;
  const take = async (revision: number) => {
    const { data } = await read({ params: { id, revision } });
    if (!data) return;
    onTake(data.job);
    onClose();
  };
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
