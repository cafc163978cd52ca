import { Button, Dialog, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import type { EntryOf } from '@sill/core';
import { useErrand } from '../../state/useErrand';
import { STAMP, useTell } from '../../state/useLedger';
import { photoAddress, usePhoto } from '../../state/usePhoto';
import { WriteActions } from './WriteActions';
import './Notes.css';

/** What words are about. */
export type NoteAbout = Pick<EntryOf<'note'>, 'piece' | 'family' | 'part' | 'of' | 'work' | 'tool'>;
export const ABOUT_THE_JOB: NoteAbout = { piece: null, family: '', part: '', of: '', work: null, tool: null };

type Props = {
  /** What it is about, in a few words. */
  readonly title: string;
  readonly about: NoteAbout;
  readonly onClose: () => void;
};

/** Words, a picture or both, on a part, a step or the job; for this time or for next. */
export function NoteDialog({ title, about, onClose }: Props) {
  const tell = useTell();
  const takePhoto = usePhoto();
  const { busy, run } = useErrand();
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<string | null>(null);
  const [next, setNext] = useState(false);
  const write = () => {
    tell([{ id: STAMP.id(), at: STAMP.at, what: 'note', ...about, next, text: text.trim(), photo }]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="note-title">
      <DialogTitle id="note-title">{title}</DialogTitle>
      <DialogContent>
        <div className="form">
          <TextField
            label="Words"
            multiline
            minRows={3}
            margin="dense"
            value={text}
            onChange={({ target }) => setText(target.value.slice(0, 1000))}
          />
          <div className="row wrap">
            <Button
              variant="outlined"
              disabled={busy}
              onClick={() =>
                run(async () => {
                  const id = await takePhoto();
                  if (id === null) return 'No photo was taken.';
                  setPhoto(id);
                  return 'The photo is kept.';
                })
              }
            >
              {photo === null ? 'Take a photo' : 'Another photo'}
            </Button>
            {photo !== null && <img className="note-photo" src={photoAddress(photo)} alt="Taken for this note" />}
          </div>
          <label className="tick">
            <input type="checkbox" checked={next} onChange={({ target }) => setNext(target.checked)} />
            For next time: it comes back in the margin where it applies
          </label>
        </div>
      </DialogContent>
      <WriteActions disabled={text.trim() === '' && photo === null} onClose={onClose} onWrite={write} />
    </Dialog>
  );
}
