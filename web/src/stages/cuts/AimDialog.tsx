import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Radio,
  RadioGroup,
} from '@mui/material';
import type { Job } from '@sill/core';
import { NumberField } from '../../ui/NumberField';
import { useChangeJob, useJob } from '../../state/hooks';

const AIMS: readonly (readonly [Job['aim']['for'], string, string])[] = [
  ['cost', 'Least cost', 'The cheapest boards, proved where it can be.'],
  ['boards', 'Fewest boards', 'Less to carry, store and square up.'],
  ['waste', 'Least left over', 'Where offcuts have nowhere to go.'],
  ['setups', 'Fewest saw settings', 'Boards cut alike, so that a stop is set once for many.'],
];

/** What boards are chosen for, and how much more that may cost than the cheapest. */
export function AimDialog({ onClose }: { readonly onClose: () => void }) {
  const { aim } = useJob();
  const change = useChangeJob();
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth>
      <DialogTitle>What boards are chosen for</DialogTitle>
      <DialogContent>
        <RadioGroup
          aria-label="What boards are chosen for"
          value={aim.for}
          onChange={(_, value) => change(['aim', 'for'], value as Job['aim']['for'])}
        >
          {AIMS.map(([value, name, why]) => (
            <FormControlLabel
              key={value}
              value={value}
              control={<Radio />}
              label={
                <>
                  <strong>{name}</strong>
                  <br />
                  <span className="soft">{why}</span>
                </>
              }
            />
          ))}
        </RadioGroup>
        {aim.for !== 'cost' && (
          <NumberField
            label="At most so much dearer than the cheapest"
            money
            optional
            placeholder="any price"
            least={0}
            most={100_000}
            value={aim.extra}
            onChange={(value) => change(['aim', 'extra'], value)}
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
