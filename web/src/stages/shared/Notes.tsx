import { Button } from '@mui/material';
import { useMemo, useState } from 'react';
import { standingEntries } from '@sill/core';
import { useJob } from '../../state/hooks';
import { photoAddress } from '../../state/usePhoto';
import { NoteDialog, type NoteAbout } from './NoteDialog';
import './Notes.css';

type Props = {
  /** What a new note is about. */
  readonly about: NoteAbout;
  /** Ids of the actions whose notes stand here too; a part's are found by the part. */
  readonly actions?: readonly string[];
};

/** Words and pictures on a part or a step, and a place for more. */
export function Notes({ about, actions = [] }: Props) {
  const { ledger } = useJob();
  const [open, setOpen] = useState(false);
  const notes = useMemo(() => {
    const here = new Set([about.of, ...actions].filter((id) => id !== ''));
    return standingEntries(ledger).flatMap((entry) =>
      entry.what === 'note' && (here.has(entry.of) || (about.part !== '' && entry.part === about.part)) ? [entry] : [],
    );
  }, [ledger, about.of, about.part, actions]);
  return (
    <div className="notes-here">
      {notes.map(({ id, text, photo, next }) => (
        <p key={id}>
          {next && <b>Next time: </b>}
          {text}
          {photo !== null && (
            <a href={photoAddress(photo)} target="_blank" rel="noreferrer">
              <img className="note-photo" src={photoAddress(photo)} alt={text || 'Taken here'} />
            </a>
          )}
        </p>
      ))}
      <Button size="small" onClick={() => setOpen(true)}>
        Note or photo
      </Button>
      {open && <NoteDialog title="A note on this" about={about} onClose={() => setOpen(false)} />}
    </div>
  );
}
