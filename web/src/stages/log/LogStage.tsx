import { Button, Divider, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { counted, ownRecord, stateOf, type Plan } from '@sill/core';
import { useJob, usePlan } from '../../state/hooks';
import { useGo } from '../../state/useGo';
import { spanWords } from '../../words/days';
import { dollars } from '../../words/money';
import { ClockFace } from '../shared/ClockFace';
import { MishapDialog } from '../shared/MishapDialog';
import { ABOUT_THE_JOB, NoteDialog } from '../shared/NoteDialog';
import { ReceiptDialog } from '../shared/ReceiptDialog';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { Balance } from './Balance';
import { CloseDialog } from './CloseDialog';
import { Diary } from './Diary';
import { TimeDialog } from './TimeDialog';
import { MoistureDialog, UsedDialog } from './readings';
import { useLogFiles } from './useLogFiles';
import './LogStage.css';

/** What really happened: the job against its plan, and all that was written down of it. */
export function LogStage() {
  return (
    <Waiting wholeJob>
      <Log />
    </Waiting>
  );
}

function Log() {
  const plan = usePlan();
  return plan && <OfPlan plan={plan} />;
}

const WRITES = [
  ['time', 'Time worked'],
  ['receipt', 'A receipt'],
  ['mishap', 'Something went wrong'],
  ['note', 'A note or a photo'],
  ['moisture', 'Moisture of the wood'],
  ['used', 'What a can gave'],
] as const;
type Write = (typeof WRITES)[number][0];

function OfPlan({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const record = ownRecord(job);
  const { closed } = record;
  const { buildRecord } = useGo();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [open, setOpen] = useState<Write | 'close' | null>(null);
  const files = useLogFiles(plan);
  const close = () => setOpen(null);
  const choose = (then: () => void) => {
    setAnchor(null);
    then();
  };
  const state = { planned: 'not begun', 'under way': 'under way', finished: 'finished' }[stateOf(record)];
  return (
    <>
      <StageHead
        title="Log"
        about={`${state} · ${spanWords(Math.round(record.minutes))} timed · ${dollars(record.cents)} paid`}
      >
        <Button
          variant="contained"
          color="primary"
          aria-haspopup="menu"
          onClick={(event) => setAnchor(event.currentTarget)}
        >
          Write down
        </Button>
        <Button onClick={() => setOpen('close')}>{closed ? 'What it came to' : 'It is finished'}</Button>
        <Button component={Link} to={buildRecord}>
          Build record
        </Button>
      </StageHead>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {WRITES.map(([what, words]) => (
          <MenuItem key={what} onClick={() => choose(() => setOpen(what))}>
            {words}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem onClick={() => choose(files.saveCsv)}>Save the log as CSV</MenuItem>
        <MenuItem onClick={() => choose(files.saveJson)}>Save the log as JSON</MenuItem>
      </Menu>
      <div className="stack">
        <Balance plan={plan} record={record} />
        {!closed && (
          <section className="sheet log-clock" aria-label="The clock">
            <ClockFace planned={null} />
            <p className="soft">
              It runs while you are at the bench: what is ticked off there took the time since the last tick.
            </p>
          </section>
        )}
        <Diary plan={plan} />
        <p className="soft">
          <Link to="/record">What your record teaches</Link>: how long you take, from{' '}
          {counted(plan.pace.timings, 'timing')} in {counted(plan.pace.jobs, 'job')}, and more. It can be looked at and
          forgotten there.
        </p>
      </div>
      {open === 'time' && <TimeDialog plan={plan} onClose={close} />}
      {open === 'receipt' && <ReceiptDialog onClose={close} />}
      {open === 'mishap' && (
        <MishapDialog
          plan={plan}
          piece={job.pieces[0]?.id ?? null}
          of={null}
          parts={plan.parts.map(({ id }) => id)}
          onClose={close}
        />
      )}
      {open === 'note' && <NoteDialog title="A note on this job" about={ABOUT_THE_JOB} onClose={close} />}
      {open === 'moisture' && <MoistureDialog onClose={close} />}
      {open === 'used' && <UsedDialog plan={plan} onClose={close} />}
      {open === 'close' && <CloseDialog plan={plan} onClose={close} />}
    </>
  );
}
