import { Button } from '@mui/material';
import { counted, dayOf, dayWords, type BenchCalendar, type Plan, type Sooner as Way } from '@sill/core';
import { useEffect, useState } from 'react';
import { useChange, useEdges, useJob } from '../../state/hooks';
import { difference } from '../../words/money';
import { Words } from '../../words/Words';
import { useLooking } from './useLooking';

/** Days stand so long before changes are tried on them: a search and a proof come in one after the other. */
const STANDS_MS = 800;

type Tried = { readonly key: string; readonly ways: readonly Way[]; readonly open: number; readonly failed: boolean };

const foundWords = ({ ready, sessions }: BenchCalendar): string =>
  `${ready && dayWords(ready)}, in ${counted(sessions.length, 'session')}`;

/** Where days are open between what is proved and what was found: nothing but looking for longer. */
function Looking({ plan }: { readonly plan: Plan }) {
  const { looked, found, look, stop } = useLooking(plan);
  const { ready, bound, proved } = plan.calendar;
  if (proved || ready === null || bound === null) return null;
  const open = counted(dayOf(ready) - dayOf(bound.date), 'day');
  if (looked === 'looking')
    return (
      <p className="looking">
        <span role="status">
          {found === null
            ? 'Looking for days that are ready sooner, for a minute at most.'
            : `Found: ready ${foundWords(found)}. Looking for still sooner ones.`}
        </span>
        <Button onClick={stop}>{found === null ? 'Stop looking' : 'Take these'}</Button>
      </p>
    );
  return (
    <p className="looking">
      {looked === 'not yet' ? (
        <span>With the same hours it may be ready up to {open} sooner: that is neither found nor ruled out.</span>
      ) : (
        <span role="status">
          {looked === 'failed' ? 'It could not be looked for. ' : 'None found in that time, which rules out nothing. '}
          Up to {open} are open.
        </span>
      )}
      <Button onClick={look}>{looked === 'not yet' ? 'Look for a minute' : 'Look for another minute'}</Button>
    </p>
  );
}

/** Single changes that bring the day forward: hours, hands and things by the days alone, coats by the whole plan. */
function useTried(plan: Plan): Tried {
  const job = useJob();
  const { days, explorer, now } = useEdges();
  const { ready, sessions, minutes } = plan.calendar;
  const key = `${ready} ${sessions.length} ${minutes}`;
  const nothing: Tried = { key, ways: [], open: 2, failed: false };
  const [so, setSo] = useState<Tried>(nothing);
  useEffect(() => {
    if (ready === null) return;
    let isCurrent = true;
    let errand: ReturnType<typeof explorer.exploreCoats> | null = null;
    const put = (grow: (before: Tried) => Tried) => isCurrent && setSo(grow);
    const found = (ways: readonly Way[]) => put((before) => ({ ...before, ways: [...before.ways, ...ways] }));
    const over = (failed: boolean) =>
      put((before) => ({ ...before, open: before.open - 1, failed: before.failed || failed }));
    const timer = setTimeout(() => {
      setSo(nothing);
      days
        .soonerFor({ plan, job, time: now() }, ready)
        .then(found)
        .then(
          () => over(false),
          () => over(true),
        );
      errand = explorer.exploreCoats(job, ready, found);
      errand.done.then(
        () => over(false),
        () => over(true),
      );
    }, STANDS_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
      errand?.stop();
    };
    // What is tried follows from the job and its days; a nearer bound changes neither.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [job, key]);
  return so.key === key ? so : nothing;
}

/** What would bring it forward, each tried on its own: how much sooner, for how much, and what it asks for. */
export function Sooner({ plan, isProofOver }: { readonly plan: Plan; readonly isProofOver: boolean }) {
  const change = useChange();
  const { ways, open, failed } = useTried(plan);
  return (
    <section className="sheet" aria-label="What would bring it forward">
      <h2>What would bring it forward</h2>
      {isProofOver && <Looking plan={plan} />}
      <ul className="sooner">
        {[...ways]
          .sort((a, b) => b.days - a.days)
          .map((way) => (
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
      {open > 0 ? (
        <p className="soft" role="status">
          Trying one change after the other.
        </p>
      ) : (
        <p className="soft">
          {failed
            ? 'Not all could be tried.'
            : ways.length === 0
              ? 'No single change of hours, hands, clamps or coats makes it sooner.'
              : 'Each was tried on its own. Undo takes it back.'}
        </p>
      )}
    </section>
  );
}
