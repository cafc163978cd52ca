import { LinearProgress } from '@mui/material';
import type { Plan } from '@sill/core';
import { useSavings } from '../../state/useSavings';
import { SavingRow } from '../shared/SavingRow';
import './Savings.css';

/** The single changes that save most, each worked out to the end, one click to take and one to go back. */
export function Savings({ plan }: { readonly plan: Plan }) {
  const { found: so, state } = useSavings(plan, false);
  return (
    <section className="sheet savings" aria-label="What would save most">
      <h2>What would save most</h2>
      {state === 'waiting' && <p className="soft">Worked out when the plan is settled.</p>}
      {state === 'failed' && <p className="soft">This could not be worked out.</p>}
      {state === 'working' && (
        <LinearProgress
          variant="determinate"
          value={(100 * so.done) / so.of}
          aria-label={`Trying one change after the other, ${so.done} of ${so.of}`}
        />
      )}
      <ul>
        {so.found.map((saving) => (
          <SavingRow key={saving.id} saving={saving} />
        ))}
      </ul>
      {state === 'done' && so.found.length === 0 && <p className="soft">No single change makes it cheaper.</p>}
      {state === 'done' && so.found.length > 0 && (
        <p className="soft">Each is worked out for the whole job. Undo takes it back.</p>
      )}
    </section>
  );
}
