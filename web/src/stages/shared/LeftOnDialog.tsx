import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { tookSo, type LeftOn } from '../../state/useClock';
import { useTell } from '../../state/useLedger';
import { NumberField } from '../../ui/NumberField';
import { spanWords } from '../../words/days';

/** A clock that was left on, over a night or a meal: it asks how long the work really took. */
export function LeftOnDialog({ of, onClose }: { readonly of: LeftOn; readonly onClose: () => void }) {
  const tell = useTell();
  const [minutes, setMinutes] = useState(Math.max(1, Math.round(of.planned)));
  const write = () => {
    tell([tookSo(of, minutes)]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="left-on-title">
      <DialogTitle id="left-on-title">The clock was left on</DialogTitle>
      <DialogContent>
        <p>
          It has run {spanWords(Math.round(of.minutes))}, and this usually takes{' '}
          {spanWords(Math.max(1, Math.round(of.planned)))}. How long did you really work? Nothing else is touched by it.
        </p>
        <NumberField
          label="Minutes worked"
          least={1}
          most={24 * 60}
          value={minutes}
          onChange={(value) => value !== null && setMinutes(value)}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it out</Button>
        <Button variant="contained" color="primary" onClick={write}>
          Write it down
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Asks about a clock that was left on while something was ticked off; `leave` where that was the last thing. */
export function useLeftOn(leave: () => void) {
  const [asked, setAsked] = useState<{ readonly of: LeftOn; readonly isLast: boolean } | null>(null);
  return {
    ask: (of: LeftOn, isLast: boolean) => setAsked({ of, isLast }),
    dialog: asked && (
      <LeftOnDialog
        of={asked.of}
        onClose={() => {
          setAsked(null);
          if (asked.isLast) leave();
        }}
      />
    ),
  };
}
