import { Button } from '@mui/material';
import { dayWords, type Plan, type Sooner as Way } from '@sill/core';
import { useEffect, useState } from 'react';
import { daysAsked } from '../../state/laying-days';
import { useChange, useEdges, useJob } from '../../state/hooks';
import { useExploring } from '../../state/useExploring';
import { difference } from '../../words/money';
import { Words } from '../../words/Words';

/** Single changes of hours, hands and things, asked of the worker that lays out days. */
function useHours(plan: Plan): readonly Way[] | 'failed' | null {
  const job = useJob();
  const { days, now } = useEdges();
  const [so, setSo] = useState<{ readonly of: Plan; readonly found: readonly Way[] | 'failed' } | null>(null);
  useEffect(() => {
    let isCurrent = true;
    const put = (found: readonly Way[] | 'failed') => isCurrent && setSo({ of: plan, found });
    days.soonerFor(daysAsked(plan, job, now()), plan.calendar.ready ?? '').then(put, () => put('failed'));
    return () => {
      isCurrent = false;
    };
  }, [plan, job, days, now]);
  return so?.of === plan ? so.found : null;
}

/** What would bring it forward, each tried on its own: how much sooner, for how much, and what it asks for. */
export function Sooner({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const change = useChange();
  const { explorer } = useEdges();
  const hours = useHours(plan);
  const { ready } = plan.calendar;
  const coats = useExploring<readonly Way[]>('coats', [], (tell) =>
    explorer.exploreCoats(job, ready ?? '', (ways) => tell(() => ways)),
  );
  const isTrying = hours === null || coats.state === 'working' || coats.state === 'waiting';
  const ways = [...(hours === 'failed' || hours === null ? [] : hours), ...coats.found].sort((a, b) => b.days - a.days);
  return (
    <section className="sheet" aria-label="What would bring it forward">
      <h2>What would bring it forward</h2>
      <ul className="sooner">
        {ways.map((way) => (
          <li key={way.id}>
            <b>{way.days === 1 ? 'a day' : `${way.days} days`} sooner</b>
            <span>
              <Words of={way.label} />: {dayWords(way.ready)}
              {way.adds !== null && `, ${way.adds === 0 ? 'for the same money' : difference(way.adds)}`}.
              <small className="soft">
                <Words of={way.but} />
              </small>
            </span>
            {way.changes.length > 0 && <Button onClick={() => change(way.changes)}>Take it</Button>}
          </li>
        ))}
      </ul>
      {isTrying ? (
        <p className="soft" role="status">
          Trying one change after the other.
        </p>
      ) : hours === 'failed' || coats.state === 'failed' ? (
        <p className="soft">Not all could be tried.</p>
      ) : (
        <p className="soft">
          {ways.length === 0
            ? 'No single change of hours, hands, clamps or coats makes it sooner.'
            : 'Each was tried on its own. Undo takes it back.'}
        </p>
      )}
    </section>
  );
}
