import { Button, Menu, MenuItem, useMediaQuery } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import { counted, dayWords, type Plan } from '@sill/core';
import { usePlan } from '../../state/hooks';
import { DayList } from '../../sheets/DayList';
import { Segmented } from '../../ui/Segmented';
import { spanWords } from '../../words/days';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { DayBoards } from './DayBoards';
import { Sooner } from './Sooner';
import { TonightDialog } from './TonightDialog';
import { useProof } from './useProof';
import { useCalendarFiles } from './useCalendarFiles';
import './DaysStage.css';

const HoursDialog = lazy(() => import('./HoursDialog'));

/** When it will really be done: days as boards or as a list, the hours there are, and what would bring it forward. */
export function DaysStage() {
  return (
    <Waiting wholeJob>
      <Days />
    </Waiting>
  );
}

type Look = 'boards' | 'list';

function Days() {
  const plan = usePlan();
  return plan && <OfPlan plan={plan} />;
}

function OfPlan({ plan }: { readonly plan: Plan }) {
  const isProofOver = useProof(plan);
  const isNarrow = useMediaQuery('(max-width: 899px)');
  const [look, setLook] = useState<Look | null>(null);
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<'hours' | 'tonight' | null>(null);
  const { calendar } = plan;
  const shown = look ?? (isNarrow ? 'list' : 'boards');
  return (
    <>
      <StageHead title="Days" about={aboutOf(plan)}>
        <Segmented
          label="How days are shown"
          value={shown}
          options={[
            ['boards', 'As boards'],
            ['list', 'As a list'],
          ]}
          onChange={setLook}
        />
        <Button onClick={() => setOpen('tonight')}>I have a while</Button>
        <Button onClick={() => setOpen('hours')}>When I have time</Button>
        <Files plan={plan} />
      </StageHead>
      <div className="stack">
        {calendar.sessions.length === 0 ? (
          <p className="sheet">
            {calendar.homeless.length > 0
              ? 'There is no time for all of it: see the note beside, and say when you have time.'
              : 'Nothing is left to do.'}
          </p>
        ) : shown === 'boards' ? (
          <>
            <DayBoards calendar={calendar} all={all} />
            <label className="tick">
              <input type="checkbox" checked={all} onChange={({ target }) => setAll(target.checked)} />
              Show free time too. Work can be dragged onto it, or moved from its own menu.
            </label>
          </>
        ) : (
          <section className="sheet" aria-label="Sessions">
            <DayList calendar={calendar} sessions={calendar.sessions} />
          </section>
        )}
        {calendar.ready !== null && <Sooner plan={plan} isProofOver={isProofOver} />}
      </div>
      {open === 'hours' && (
        <Suspense>
          <HoursDialog onClose={() => setOpen(null)} />
        </Suspense>
      )}
      {open === 'tonight' && <TonightDialog plan={plan} onClose={() => setOpen(null)} />}
    </>
  );
}

function aboutOf({ calendar }: Plan): string {
  const { sessions, minutes, ready, between } = calendar;
  if (ready === null) return '';
  const hours = Math.round(minutes / 60);
  const range =
    between === null ? '' : ` · ${dayWords(between.from)} to ${dayWords(between.to)}, most likely ${dayWords(ready)}`;
  return `${counted(sessions.length, 'session')} · ${hours > 1 ? `${hours} h` : spanWords(minutes)}${range}`;
}

/** Calendar files in and out. */
function Files({ plan }: { readonly plan: Plan }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { busy, save, load } = useCalendarFiles(plan);
  const choose = (what: () => void) => () => {
    setAnchor(null);
    what();
  };
  return (
    <>
      <Button disabled={busy} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Calendar file
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        <MenuItem onClick={choose(save)}>Save these days, with calls for coats and clamps</MenuItem>
        <MenuItem onClick={choose(() => load(false))}>Read when I am busy</MenuItem>
        <MenuItem onClick={choose(() => load(true))}>The same, with events of a whole day</MenuItem>
      </Menu>
    </>
  );
}
