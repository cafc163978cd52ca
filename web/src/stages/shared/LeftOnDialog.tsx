import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { tookSo, useClock, type LeftOn } from '../../state/useClock';
import { NumberField } from '../../ui/NumberField';
import { spanWords } from '../../words/days';

type Props = {
  readonly of: LeftOn;
  /** The clock has been set anew already. */
  readonly isSet: boolean;
  /** Whether it runs on. */
  readonly on: boolean;
  readonly onClose: () => void;
};

/** A clock that was left on, over a night or a meal: it asks how long the work really took. */
export function LeftOnDialog({ of, isSet, on, onClose }: Props) {
  const { setAnew } = useClock();
  const [minutes, setMinutes] = useState(Math.max(1, Math.round(of.planned)));
  const settle = (isKnown: boolean) => {
    const worked = isKnown ? [tookSo(of, minutes)] : [];
    if (!isSet || worked.length > 0) setAnew(worked, on);
    onClose();
  };
  return (
    <Dialog open onClose={() => settle(false)} aria-labelledby="left-on-title">
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
        <Button onClick={() => settle(false)}>Leave it out</Button>
        <Button variant="contained" color="primary" onClick={() => settle(true)}>
          Write it down
        </Button>
      </DialogActions>
    </Dialog>
  );
}
