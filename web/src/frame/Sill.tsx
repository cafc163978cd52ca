import { Button, LinearProgress, Popover } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import {
  counted,
  dayWords,
  first,
  isComplete,
  type Job,
  nth,
  offerName,
  type Plan,
  sure,
  wholeInches,
} from '@sill/core';
import { endPlan, endProof, planAgain } from '../state/replanning';
import { useApp, useFrom, useJob, usePlan, useStage } from '../state/hooks';
import { useSettle } from '../state/useSettle';
import { Dim } from '../words/Dim';
import { cents, difference, dollars, sumRows, taxWords } from '../words/money';
import { STAGES } from '../stages/registry';
import { useGo } from '../state/useGo';
import './Sill.css';

type Tally = {
  readonly name: string;
  readonly figure: ReactNode;
  readonly aside: ReactNode;
  readonly explain: ReactNode;
};

const hours = (minutes: number) => `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;

function tallies(plan: Plan, job: Job): readonly Tally[] {
  const { list, calendar, carry } = plan;
  const complete = isComplete(plan);
  const of = job.budget === null ? 'no budget set' : `of $${(job.budget / 100).toFixed(job.budget % 100 ? 2 : 0)}`;
  const boards = list.boards.reduce((sum, line) => sum + line.total + line.paid, 0);
  const toBuy = list.boards.filter(({ count }) => count > 0);
  const heaviest = plan.pieces.reduce((most, item) => (item.weight > most.weight ? item : most), first(plan.pieces));
  return [
    {
      name: 'Spend',
      figure: dollars(list.total),
      aside: complete ? of : `incomplete, ${of}`,
      explain: (
        <>
          Boards {cents(boards)}, of which spares {cents(list.spares)}. Screws, glue, sandpaper and finish{' '}
          {cents(list.subtotal - boards)}. {taxWords(list)} {cents(list.tax)}.
          {sumRows(list).map(([name, value]) => ` ${name} ${cents(value)}.`)}
          {!complete &&
            ' Not all that is asked for is in it: the list in Stock names what is missing, the notes the way out.'}
        </>
      ),
    },
    {
      name: 'To buy',
      figure: `${list.boardCount} ${list.boardCount === 1 ? 'board' : 'boards'}`,
      aside: `${list.boughtCount > 0 ? `${list.boughtCount} bought, ` : ''}${list.spareCount > 0 ? `+${list.spareCount} spare` : 'no spares'}${complete ? '' : ', incomplete'}`,
      explain: (
        <>
          {toBuy.length === 0
            ? 'No board is still to be bought'
            : toBuy.map((line) => `${line.count} of ${offerName(line.offer, job.units)}`).join(', ')}
          .
        </>
      ),
    },
    {
      name: 'Left over',
      figure: `${(list.leftShare * 100).toFixed(1)}%`,
      aside: (
        <>
          <Dim of={wholeInches(list.usable)} mark /> usable
        </>
      ),
      explain: (
        <>
          Share of the {list.boardCount + list.boughtCount} boards, by volume, that ends in no piece: saw kerf, squared
          ends and offcuts. Offcuts of a foot and more add up to <Dim of={wholeInches(list.usable)} mark />.
        </>
      ),
    },
    {
      name: 'Ready',
      figure:
        calendar.ready !== null
          ? dayWords(calendar.ready)
          : calendar.homeless.length > 0 || !complete
            ? 'No day'
            : 'Done',
      aside:
        calendar.sessions.length === 0
          ? 'nothing laid out'
          : `${counted(calendar.sessions.length, 'session')}, ${Math.round(calendar.minutes / 60)} h`,
      explain: (
        <>
          {hours(calendar.minutes)} at the bench for one person, in the hours that stand under Days. While one thing
          waits for glue another is worked on. Ready is when the last coat has hardened enough for light use.
          {calendar.proved
            ? ' No earlier day is possible.'
            : calendar.bound && ` It is ready no sooner than ${dayWords(calendar.bound.date)}, whatever is done.`}
          {calendar.between &&
            ` Of ten such jobs eight are ready between ${dayWords(calendar.between.from)} and ${dayWords(calendar.between.to)}.`}
        </>
      ),
    },
    {
      name: 'Carry',
      figure: `${Math.round(carry.pounds)} lb`,
      aside:
        carry.people === 1 ? 'one person' : `${['', '', 'two', 'three', 'four'][carry.people] ?? carry.people} people`,
      explain: (
        <>
          The heaviest piece, {heaviest?.piece.name}, by the volume and density of its wood. One person carries{' '}
          {job.shop.lift} lb in this shop.
        </>
      ),
    },
  ];
}

/** What the whole plan rests on, always in view, and the one action that comes next. */
export function Sill() {
  const job = useJob();
  const plan = usePlan();
  const { working, halted, proving, searched, moved, failed, earlier } = useFrom((state) => state.planning);
  const settleStage = useSettle();
  const dispatch = useApp();
  const navigate = useNavigate();
  const stage = useStage();
  const { go, buildRecord } = useGo();
  const [open, setOpen] = useState<{ anchor: HTMLElement; name: string } | null>(null);

  const at = STAGES.findIndex((item) => item.name === stage);
  const here = nth(STAGES, at);
  const settle = () => {
    settleStage(stage);
    const next = STAGES[at + 1];
    if (next) go(next.name);
    else void navigate(buildRecord);
  };
  const shown = plan && job.pieces.length > 0 && plan.pieces.length > 0 ? tallies(plan, job) : [];
  const explained = shown.find((tally) => tally.name === open?.name);
  const used = plan && job.budget ? Math.min(1, plan.list.total / job.budget) : null;

  return (
    <footer className="sill" aria-label="What the plan rests on">
      {working && <LinearProgress className="sill-progress" aria-label="Working out the plan" />}
      <div className="tallies">
        {shown.map(({ name, figure, aside }) => (
          <button
            key={name}
            type="button"
            className="tally"
            aria-haspopup="dialog"
            onClick={(event) => setOpen({ anchor: event.currentTarget, name })}
          >
            <span className="tally-name">{name}</span>
            <span className="tally-figure" data-testid={`tally-${name.toLowerCase().replace(' ', '-')}`}>
              {figure} <small>{aside}</small>
              {name === 'Spend' && moved !== null && <em aria-live="polite">{difference(moved)}</em>}
            </span>
            {name === 'Spend' && used !== null && (
              <span className="bar" aria-hidden data-over={sure(plan, 'plan').list.total > sure(job.budget, 'budget')}>
                <span ref={(element) => element?.style.setProperty('width', `${used * 100}%`)} />
              </span>
            )}
          </button>
        ))}
      </div>
      {failed !== null && (
        <span className="proving" role="alert" title={failed}>
          The plan could not be worked out
          <Button size="small" onClick={() => dispatch(planAgain())}>
            Work it out again
          </Button>
        </span>
      )}
      {working && (
        <span className={earlier ? 'proving' : 'proving late'} role="status">
          {earlier ? 'From last time' : 'Working out the plan'}
          <Button size="small" onClick={() => dispatch(endPlan())}>
            Stop
          </Button>
        </span>
      )}
      {halted && (
        <span className="proving" role="status">
          Stopped: this is the plan before the last change
          <Button size="small" onClick={() => dispatch(planAgain())}>
            Work it out
          </Button>
        </span>
      )}
      {proving && !working && (
        <span className="proving" role="status">
          {job.aim.for === 'cost' ? 'Looking for cheaper boards' : 'Looking for better boards'}
          {searched > 0 && `, ${Math.round(searched * 100)} %`}
          <Button size="small" onClick={() => dispatch(endProof())}>
            Stop
          </Button>
        </span>
      )}
      <Button className="next" onClick={settle} disabled={job.pieces.length === 0}>
        {here.next}
      </Button>
      <Popover
        open={explained !== undefined}
        anchorEl={open?.anchor ?? null}
        onClose={() => setOpen(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { className: 'explain', 'aria-label': explained?.name } }}
      >
        <h2>{explained?.name}</h2>
        <p>{explained?.explain}</p>
      </Popover>
    </footer>
  );
}
