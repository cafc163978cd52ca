import { Button } from '@mui/material';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { SHORT_PIECE } from '@sill/core';
import { atOnce, useGrowing, useInTurns } from '../ui/growing';
import { NoPlan } from '../stages/shared/NoPlan';
import { useLabel } from '../words/labels';
import { useApp, useFrom, useJob, usePlan } from '../state/hooks';
import { endProof } from '../state/replanning';
import type { RootState } from '../state/root';
import { Dim } from '../words/Dim';
import type { Paper } from './heights';
import { PaperChoice } from './PaperChoice';
import { layOut, type Extent } from './sheets';
import { Segmented } from '../ui/Segmented';

/** Pages that are drawn at once; the rest follows. */
const FIRST = 2;

/** What the plan waits for, if for anything. */
const workedOn = ({ planning: { working, proving, laying } }: RootState) =>
  working ? 'plan' : proving ? 'boards' : laying ? 'days' : null;

const CHANGING = {
  plan: 'Today’s plan is being worked out',
  boards: 'Better boards are still looked for',
  days: 'Sooner days are still looked for',
} as const;

/** Says while the plan may still change, so that nobody takes paper to the saw that the program does not hold to. */
function StillChanging() {
  const what = useFrom(workedOn);
  const dispatch = useApp();
  if (what === null) return null;
  return (
    <p role="status" className="still-changing">
      {CHANGING[what]}: what is printed now may change.
      {what === 'boards' && (
        <Button size="small" onClick={() => dispatch(endProof())}>
          Stop looking, print this
        </Button>
      )}
    </p>
  );
}

/** The shop packet: buying list, parts, cut sheets, order and steps, laid out for paper. */
export default function Packet() {
  const job = useJob();
  // A better plan is drawn bit by bit in place of the one that is there.
  const latest = usePlan();
  const plan = useDeferredValue(latest);
  const isWorkedOn = useFrom(workedOn) !== null;
  const isChanging = isWorkedOn || plan !== latest;
  const label = useLabel();
  const navigate = useNavigate();
  const [paper, setPaper] = useState<Paper>('letter');
  const [extent, setExtent] = useState<Extent>('short');
  const short = useMemo(
    () => (plan ? atOnce(layOut(plan, job, label, paper, 'short')) : []),
    [plan, job, label, paper],
  );
  const long = useInTurns(
    useMemo(() => plan && (() => layOut(plan, job, label, paper, 'long')), [plan, job, label, paper]),
  );
  const wanted = extent === 'long' ? long : short;
  const sheets = wanted ?? [];
  const drawn = useGrowing(sheets.length, `${paper} ${extent}`, FIRST);
  if (!plan) return <NoPlan />;
  if (plan.parts.length === 0)
    return (
      <div className="blank-page">
        <h1>There is nothing to print yet</h1>
        <Button onClick={() => void navigate('../brief')}>To the brief</Button>
      </div>
    );
  return (
    <div className="packet" data-paper={paper} aria-busy={isChanging || !wanted || drawn < wanted.length}>
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <h1>Shop packet</h1>
        <PaperChoice paper={paper} onChange={setPaper} />
        <Segmented
          label="How much is printed"
          value={extent}
          options={[
            ['short', `Short, ${short.length} pages`],
            ['long', `Long${long ? `, ${long.length} pages` : ''}`],
          ]}
          onChange={setExtent}
        />
        <Button
          className="print-now"
          variant="contained"
          color="primary"
          disabled={!wanted}
          onClick={() => window.print()}
        >
          Print
        </Button>
        <StillChanging />
      </div>
      {!wanted && <p role="status">Laying out the pages.</p>}
      {sheets.slice(0, drawn).map((sheet, at) => (
        <section key={sheet.key} className="page" aria-label={`Page ${at + 1}`}>
          <header>
            <h1>{sheet.title}</h1>
            <p>
              {sheet.about} · {job.name}
            </p>
          </header>
          {/* On a narrow screen it scrolls: keys must reach it. */}
          <div className="page-body" tabIndex={0}>
            {sheet.body}
          </div>
          <footer>
            <span>
              Unplug before changing a blade. Nothing shorter than <Dim of={SHORT_PIECE} mark /> near the blade by hand.
              Manuals, labels and local rules first.
            </span>
            <span>
              {at + 1} / {sheets.length}
            </span>
          </footer>
        </section>
      ))}
    </div>
  );
}
