import { Dialog, DialogContent, DialogTitle, MenuItem, TextField } from '@mui/material';
import { useState } from 'react';
import { hardwareName, isPoured, type Plan } from '@sill/core';
import { STAMP, useTell } from '../../state/useLedger';
import { NumberField } from '../../ui/NumberField';
import { WriteActions } from '../shared/WriteActions';

/** What a moisture meter reads in the wood of the job. */
export function MoistureDialog({ onClose }: { readonly onClose: () => void }) {
  const tell = useTell();
  const [percent, setPercent] = useState<number | null>(null);
  const write = () => {
    if (percent !== null)
      tell([{ id: STAMP.id(), at: STAMP.at, what: 'moisture', of: null, percent, simulated: false }]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="moisture-title">
      <DialogTitle id="moisture-title">Moisture of the wood</DialogTitle>
      <DialogContent>
        <div className="form">
          <p className="soft">
            Read it in the middle of a board, away from its ends, in a few boards; write the highest.
          </p>
          <NumberField
            label="The meter reads"
            unit="%"
            least={2}
            most={60}
            fractions
            optional
            value={percent}
            onChange={setPercent}
          />
        </div>
      </DialogContent>
      <WriteActions disabled={percent === null} onClose={onClose} onWrite={write} />
    </Dialog>
  );
}

/** What a job took out of a can, against what was planned. */
export function UsedDialog({ plan, onClose }: { readonly plan: Plan; readonly onClose: () => void }) {
  const tell = useTell();
  const cans = plan.needs.filter(({ kind, count }) => isPoured(kind) && count > 0);
  const [at, setAt] = useState(0);
  const [ounces, setOunces] = useState<number | null>(null);
  const can = cans[at];
  const write = () => {
    if (can && isPoured(can.kind) && ounces !== null)
      tell([
        {
          ...{ id: STAMP.id(), at: STAMP.at, what: 'used', kind: can.kind, size: can.size },
          ...{ planned: Math.round(10 * can.count) / 10, ounces },
        },
      ]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="used-title">
      <DialogTitle id="used-title">What a can gave</DialogTitle>
      <DialogContent>
        {can ? (
          <div className="form">
            <TextField
              select
              margin="dense"
              label="Out of which can"
              value={at}
              onChange={({ target }) => setAt(Number(target.value))}
            >
              {cans.map(({ kind, size }, k) => (
                <MenuItem key={`${kind} ${size}`} value={k}>
                  {hardwareName(kind, size)}
                </MenuItem>
              ))}
            </TextField>
            <p className="soft">Planned: {Math.round(10 * can.count) / 10} fl oz for all coats.</p>
            <NumberField
              label="Really used"
              unit="fl oz"
              least={0.1}
              most={10_000}
              fractions
              optional
              value={ounces}
              onChange={setOunces}
            />
          </div>
        ) : (
          <p>This job takes nothing out of a can.</p>
        )}
      </DialogContent>
      <WriteActions disabled={ounces === null} onClose={onClose} onWrite={write} />
    </Dialog>
  );
}
