import { Button, LinearProgress } from '@mui/material';
import type { Plan, SavingsProgress } from '@sill/core';
import { useChange, useEdges, useJob } from '../../state/hooks';
import { difference } from '../../words/money';
import { Words } from '../../words/Words';
import { useExploring } from '../../state/useExploring';
import { useYards } from './useYards';
import './Savings.css';

const NONE: SavingsProgress = { done: 0, of: 1, found: [] };

/** The single changes that save most, each worked out to the end, one click to take and one to go back. */
export function Savings({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const change = useChange();
  const yards = useYards();
  const { explorer } = useEdges();
  const { found: so, state } = useExploring(`savings ${yards.length}`, NONE, (tell) =>
    explorer.exploreSavings(job, plan, yards, (next) => tell(() => next)),
  );
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
          <li key={saving.id}>
            <span>
              <Words of={saving.label} />
              {saving.but && (
                <small className="soft">
                  {' '}
                  but: <Words of={saving.but} />
                </small>
              )}
            </span>
            <Button size="small" variant="text" color="success" onClick={() => change(saving.changes)}>
              {difference(-saving.saves)}
            </Button>
          </li>
        ))}
      </ul>
      {state === 'done' && so.found.length === 0 && <p className="soft">No single change makes it cheaper.</p>}
      {state === 'done' && so.found.length > 0 && (
        <p className="soft">Each is worked out for the whole job. Undo takes it back.</p>
      )}
    </section>
  );
}
