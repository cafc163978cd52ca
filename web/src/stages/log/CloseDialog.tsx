import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import {
  boughtInstead,
  cameTo,
  counted,
  dayWords,
  LONGEST_GO,
  ownRecord,
  type Entry,
  type EntryOf,
  type Job,
  type Plan,
} from '@sill/core';
import { useEdges, useJob } from '../../state/hooks';
import { tookSo } from '../../state/useClock';
import { useErrand } from '../../state/useErrand';
import { about, STAMP, useTell } from '../../state/useLedger';
import { useLeftOver } from '../../state/useLeftOver';
import { DayField } from '../../ui/DayField';
import { NumberField } from '../../ui/NumberField';
import { spanWords } from '../../words/days';
import { dollars } from '../../words/money';

type Props = { readonly plan: Plan; readonly onClose: () => void };

/** A job is finished: what it came to is kept, what is left goes to the rack, and words stay for the next. */
export function CloseDialog({ plan, onClose }: Props) {
  const job = useJob();
  const { closed } = ownRecord(job);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="close-title">
      <DialogTitle id="close-title">{closed ? 'What it came to' : 'It is finished'}</DialogTitle>
      {closed ? <Closed closed={closed} onClose={onClose} /> : <ToClose plan={plan} onClose={onClose} />}
    </Dialog>
  );
}

function Closed({ closed, onClose }: { readonly closed: EntryOf<'closed'>; readonly onClose: () => void }) {
  const tell = useTell();
  return (
    <>
      <DialogContent>
        <p>
          Finished {closed.ready === null ? '' : dayWords(closed.ready)}: {dollars(closed.cents)},{' '}
          {spanWords(Math.round(closed.minutes))} and {counted(closed.boards, 'board')}. The build record can be printed
          and stuck underneath.
        </p>
      </DialogContent>
      <DialogActions>
        <Button
          onClick={() => {
            tell([about('corrected', closed.id)]);
            onClose();
          }}
        >
          It is not finished after all
        </Button>
        <Button variant="contained" color="primary" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </>
  );
}

/** Words for the next job of the same kind; none where nothing was said. */
const wordsFor = ({ pieces }: Job, next: string): readonly Entry[] =>
  next.trim() === ''
    ? []
    : [
        {
          ...{ id: STAMP.id(), at: STAMP.at, what: 'note', piece: null, family: pieces[0]?.family ?? '', part: '' },
          ...{ of: '', work: null, tool: null, next: true, text: next.trim(), photo: null },
        },
      ];

function ToClose({ plan, onClose }: Props) {
  const job = useJob();
  const tell = useTell();
  const { today } = useEdges();
  const { busy, run } = useErrand();
  const { bodies, cans, isReached, toRack } = useLeftOver(plan);
  const [day, setDay] = useState(today());
  const [besides, setBesides] = useState<number | null>(null);
  const [bought, setBought] = useState(() => boughtInstead(job));
  const [next, setNext] = useState('');
  const [racks, setRacks] = useState(true);
  const left = plan.calendar.sessions.length > 0 ? Math.round(plan.calendar.minutes) : 0;
  const { minutes, cents } = ownRecord(job);
  const stops = bodies.length + cans.length > 0 && racks && isReached;
  const finish = () =>
    run(async () => {
      const moved = stops ? await toRack(bodies, cans) : [];
      const worked = besides === null ? [] : [tookSo({ of: '', piece: null, work: 'other', planned: 0 }, besides)];
      const words = wordsFor(job, next);
      const came = cameTo(job, plan, day);
      tell([
        ...moved,
        ...worked,
        ...words,
        {
          ...{ id: STAMP.id(), at: STAMP.at, what: 'closed', ...came },
          ...{ minutes: came.minutes + (besides ?? 0), bought },
        },
      ]);
      onClose();
      return 'Finished. What it came to stands in the Log, and teaches the next job.';
    });
  return (
    <>
      <DialogContent>
        <div className="form">
          <p>
            {dollars(cents)} paid and {spanWords(Math.round(minutes))} timed.
            {left > 0 && ` ${spanWords(left)} of the plan are not ticked: what is not done counts for nothing.`}
          </p>
          <DayField label="Finished on" value={day} onChange={(value) => value !== null && setDay(value)} />
          <NumberField
            label="Minutes that no clock saw"
            least={0}
            most={LONGEST_GO}
            optional
            value={besides}
            onChange={setBesides}
          />
          <NumberField
            label="What the bought one costs"
            money
            optional
            least={0}
            most={100_000}
            value={bought}
            onChange={setBought}
          />
          <TextField
            label="Next time I would"
            multiline
            minRows={2}
            value={next}
            onChange={({ target }) => setNext(target.value.slice(0, 1000))}
            helperText="It comes back in the margin when you plan the same kind of piece."
          />
          {bodies.length + cans.length > 0 && (
            <label className="tick">
              <input
                type="checkbox"
                checked={racks && isReached}
                disabled={!isReached}
                onChange={({ target }) => setRacks(target.checked)}
              />
              <span>
                Put what is left on the rack: {counted(bodies.length, 'board')} and offcuts,{' '}
                {counted(cans.length, 'can')}
                {!isReached && '. The rack is kept by the server, which does not answer'}
              </span>
            </label>
          )}
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not yet</Button>
        <Button variant="contained" color="primary" disabled={busy} onClick={finish}>
          It is finished
        </Button>
      </DialogActions>
    </>
  );
}
