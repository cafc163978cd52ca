import {
  boughtInstead,
  cameTo,
  dayOf,
  dayWords,
  earnedAnHour,
  reckoned,
  type JobRecord,
  type Plan,
  type Reckoning,
} from '@sill/core';
import { useJob } from '../../state/hooks';
import { spanWords } from '../../words/days';
import { difference, dollars } from '../../words/money';

/** One figure of the job: how it was planned and how it is, and whether more of it is worse. */
type Column = {
  readonly name: string;
  readonly planned: string;
  readonly real: string;
  readonly off: number;
  readonly offWords: string;
};

const signed = (value: number, words: string): string => `${value < 0 ? '−' : '+'}${words}`;
const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;

function columnsOf(planned: Reckoning, real: Reckoning): readonly Column[] {
  const minutes = real.minutes - planned.minutes;
  const boards = real.boards - planned.boards;
  const left = Math.round(1000 * (real.left - planned.left));
  const days = planned.ready === null || real.ready === null ? 0 : dayOf(real.ready) - dayOf(planned.ready);
  const cents = real.cents - planned.cents;
  return [
    {
      name: 'Money',
      ...{ planned: dollars(planned.cents), real: dollars(real.cents), off: cents, offWords: difference(cents) },
    },
    {
      name: 'Hours',
      ...{ planned: spanWords(planned.minutes), real: spanWords(real.minutes), off: minutes },
      offWords: signed(minutes, spanWords(Math.abs(minutes))),
    },
    {
      name: 'Boards',
      ...{ planned: String(planned.boards), real: String(real.boards), off: boards },
      offWords: signed(boards, String(Math.abs(boards))),
    },
    {
      name: 'Left over',
      ...{ planned: percent(planned.left), real: percent(real.left), off: left },
      offWords: signed(left, `${(Math.abs(left) / 10).toFixed(1)} %`),
    },
    {
      name: 'Ready',
      planned: planned.ready === null ? '–' : dayWords(planned.ready),
      real: real.ready === null ? '–' : dayWords(real.ready),
      off: days,
      offWords: signed(days, `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`),
    },
  ];
}

/** The job as a ledger under a pencil line: planned above, real below, and what lies between. */
export function Balance({ plan, record }: { readonly plan: Plan; readonly record: JobRecord }) {
  const job = useJob();
  const { setOut, closed } = record;
  const planned = setOut ?? reckoned(plan);
  const begun = setOut !== null;
  // What is not over yet comes to what was, and what is left.
  const { ready, sessions, homeless } = plan.calendar;
  const isDone = sessions.length === 0 && homeless.length === 0;
  const so = cameTo(job, plan, isDone ? record.to : ready);
  const real = closed ?? {
    ...so,
    minutes: Math.round(record.minutes + plan.hours.likely),
    cents: Math.max(so.cents, record.cents + plan.list.sums.toBuy),
    boards: so.boards + plan.list.boardCount,
  };
  const bought = closed ? closed.bought : boughtInstead(job);
  const earned = earnedAnHour(bought, real);
  return (
    <section className="sheet balance" aria-label="Planned and real">
      <div className="balance-columns">
        {columnsOf(planned, real).map(({ name, planned: before, real: now, off, offWords }) => (
          <div key={name} role="group" aria-label={name}>
            <h3>{name}</h3>
            <p className="balance-planned">
              {before} <small>planned</small>
            </p>
            {begun && (
              <>
                <p className="balance-real">
                  {now} <small>{closed ? 'real' : 'so far and left'}</small>
                </p>
                <p className="balance-off" data-off={off > 0 ? 'more' : off < 0 ? 'less' : 'none'}>
                  {off === 0 ? 'as planned' : offWords}
                </p>
              </>
            )}
          </div>
        ))}
      </div>
      {bought !== null && begun && (
        <p>
          {closed ? 'The bought one costs' : 'Bought it would cost'} <b>{dollars(bought)}</b>,{' '}
          {real.cents <= bought
            ? `${dollars(bought - real.cents)} saved`
            : `${dollars(real.cents - bought)} less than this`}
          {earned !== null && earned > 0 && (
            <>
              : <b>{dollars(earned)}</b> for every hour of work
            </>
          )}
          .
        </p>
      )}
      {!begun && (
        <p className="soft">
          {record.from === null
            ? 'Nothing of it is recorded yet. With the first thing that is bought, cut, ticked or timed the plan of that hour is kept here, and what really happens stands below it.'
            : `It was begun before this was kept: what it was to come to then is not known, and above stands what the plan comes to now. ${dollars(record.cents)} are paid and ${spanWords(Math.round(record.minutes))} timed.`}
        </p>
      )}
    </section>
  );
}
