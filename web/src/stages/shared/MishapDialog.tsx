import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { mishapOf, MISHAPS, type Mishap, type Plan } from '@sill/core';
import { useApp, useJob } from '../../state/hooks';
import { STAMP, useTell } from '../../state/useLedger';
import { said } from '../../state/view';
import { TextLine } from '../../ui/TextLine';
import { MISHAP_WORDS } from '../../words/entries';
import { useLabel } from '../../words/labels';
import './MishapDialog.css';

type Props = {
  readonly plan: Plan;
  /** The piece, and the action or `saw.` and a setting at which it happened; null where none is in view. */
  readonly piece: string | null;
  readonly of: string | null;
  /** Parts that it may be, by their ids: those that are worked on. */
  readonly parts: readonly string[];
  readonly onClose: () => void;
};

/** What is made anew, and what is kept as it is. */
const ANEW: readonly Mishap[] = ['cut wrong', 'split', 'drilled wrong'];

/** Something went wrong: which part, then what; it is written down and the plan is mended around it. */
export function MishapDialog({ plan, piece, of, parts, onClose }: Props) {
  const job = useJob();
  const label = useLabel();
  const tell = useTell();
  const dispatch = useApp();
  const [part, setPart] = useState<string | null | undefined>(parts.length === 0 ? null : undefined);
  const [note, setNote] = useState('');
  const told = (how: Mishap, anew: boolean) => {
    const entries = mishapOf(job, plan, { how, piece, part: part ?? null, of, anew, note: note.trim() }, STAMP);
    tell(entries);
    const isSpoiled = entries.some(({ what }) => what === 'spoiled');
    const name = part ? label(part) : '';
    const text = !anew
      ? 'Written down in the Log.'
      : isSpoiled
        ? `Written down. ${name} is cut anew, and what was done to it alone is open again.`
        : `Written down. No cut of ${name} was ticked, so the plan still makes it.`;
    dispatch(said({ text, bad: false }));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="mishap-title" className="mishap">
      <DialogTitle id="mishap-title">
        {part === undefined ? 'Which part?' : `What went wrong${part ? ` with ${label(part)}` : ''}?`}
      </DialogTitle>
      <DialogContent>
        {part === undefined ? (
          <div className="thumbs">
            {parts.map((id) => (
              <Button key={id} variant="outlined" onClick={() => setPart(id)}>
                {label(id)}
              </Button>
            ))}
            <Button variant="outlined" onClick={() => setPart(null)}>
              No part
            </Button>
          </div>
        ) : (
          <>
            {part !== null && (
              <>
                <h3>It is made anew</h3>
                <div className="thumbs">
                  {ANEW.map((how) => (
                    <Button key={how} variant="outlined" color="error" onClick={() => told(how, true)}>
                      {MISHAP_WORDS[how]}
                    </Button>
                  ))}
                </div>
                <h3>It stays as it is</h3>
              </>
            )}
            <div className="thumbs">
              {MISHAPS.map((how) => (
                <Button key={how} variant="outlined" onClick={() => told(how, false)}>
                  {MISHAP_WORDS[how]}
                </Button>
              ))}
            </div>
            <details>
              <summary>A word on it, first</summary>
              <TextLine label="What happened" value={note} most={400} onChange={setNote} />
            </details>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Nothing happened</Button>
      </DialogActions>
    </Dialog>
  );
}
