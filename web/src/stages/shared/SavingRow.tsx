import { Button } from '@mui/material';
import type { SavingsProgress } from '@sill/core';
import { useChange } from '../../state/hooks';
import { difference } from '../../words/money';
import { Words } from '../../words/Words';
import './SavingRow.css';

/** One change that makes it cheaper, with what speaks against it: taken in one click. */
export function SavingRow({
  saving: { label, but, changes, saves },
  onTake,
}: {
  readonly saving: SavingsProgress['found'][number];
  readonly onTake?: () => void;
}) {
  const change = useChange();
  return (
    <li className="saving-row">
      <span>
        <Words of={label} />
        {but && (
          <small className="soft">
            {' '}
            but: <Words of={but} />
          </small>
        )}
      </span>
      <Button
        size="small"
        variant="text"
        color="success"
        onClick={() => {
          onTake?.();
          change(changes);
        }}
      >
        {difference(-saves)}
      </Button>
    </li>
  );
}
