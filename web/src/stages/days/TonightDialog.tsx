import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect, useState } from 'react';
import { dayWords, nowOf, type Plan, type Spare, type Tonight } from '@sill/core';
import { useEdges, useJob } from '../../state/hooks';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { blocksOf, blockWords, clockWords, spanWords, waitWords } from '../../words/days';
import { Text } from '../../words/Dim';

const WHILES = [20, 45, 90, 180] as const;

/** What fits into a while that was not planned, and leaves nothing half done. */
export function TonightDialog({ plan, onClose }: { readonly plan: Plan; readonly onClose: () => void }) {
  const job = useJob();
  const { days, now } = useEdges();
  const [spare, setSpare] = useState<Spare>({ minutes: 45, quiet: true, helpers: 0 });
  const [so, setSo] = useState<{ readonly of: Spare; readonly found: Tonight | 'failed' } | null>(null);
  const [begun] = useState(now);
  useEffect(() => {
    let isCurrent = true;
    const chain = plan.calendar.chain.map(({ task }) => task);
    days.tonightIn({ plan, job, time: begun }, spare, chain).then(
      (found) => isCurrent && setSo({ of: spare, found }),
      () => isCurrent && setSo({ of: spare, found: 'failed' }),
    );
    return () => {
      isCurrent = false;
    };
  }, [plan, job, days, begun, spare]);
  const found = so?.of === spare ? so.found : null;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="while-title">
      <DialogTitle id="while-title">I have a while</DialogTitle>
      <DialogContent>
        <div className="form">
          <div className="row wrap">
            <Segmented
              label="How long"
              value={spare.minutes}
              options={WHILES.map((minutes) => [minutes, spanWords(minutes)] as const)}
              onChange={(minutes) => setSpare({ ...spare, minutes })}
            />
            <NumberField
              label="Or so many minutes"
              least={5}
              most={720}
              value={spare.minutes}
              onChange={(minutes) => minutes !== null && setSpare({ ...spare, minutes })}
            />
          </div>
          <div className="row wrap">
            <label className="tick">
              <input
                type="checkbox"
                checked={spare.quiet}
                onChange={({ target }) => setSpare({ ...spare, quiet: target.checked })}
              />
              Quiet: no saw, router or sander
            </label>
            <label className="tick">
              <input
                type="checkbox"
                checked={spare.helpers > 0}
                onChange={({ target }) => setSpare({ ...spare, helpers: target.checked ? 1 : 0 })}
              />
              Someone helps to lift
            </label>
          </div>
          {found === null && <p role="status">Looking what fits.</p>}
          {found === 'failed' && <p role="alert">It could not be worked out. Close this and try once more.</p>}
          {found !== null && found !== 'failed' && <Fits found={found} plan={plan} from={nowOf(job.calendar, begun)} />}
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

type FitsProps = { readonly found: Tonight; readonly plan: Plan; readonly from: number };

function Fits({ found: { placed, left }, plan, from }: FitsProps) {
  const { pieces, units } = useJob();
  const { zone } = plan.calendar;
  const next = plan.calendar.sessions[0];
  if (placed.length === 0)
    return (
      <p>
        Nothing that can be begun now is done by then. Longer, or with noise, something may be.
        {next &&
          ` Next is ${dayWords(next.date)}: ${
            blocksOf(next.placed)
              .slice(0, 1)
              .map((block) => blockWords(block, units))[0] ?? ''
          }.`}
      </p>
    );
  const blocks = blocksOf(placed.map((one) => ({ ...one, late: 0, over: 0 })));
  return (
    <>
      <ol className="fits">
        {blocks.map((block) => {
          const last = block.placed.at(-1);
          const name = pieces.find(({ id }) => id === block.placed[0]?.task.piece)?.name;
          return (
            <li key={block.key}>
              <b>
                <Text of={blockWords(block, units)} />
              </b>
              {name && pieces.length > 1 ? `, ${name}` : ''}: {spanWords(block.end - block.start)}
              {last && last.task.wait > 0 && <small className="soft">then it {waitWords(last, zone)}</small>}
            </li>
          );
        })}
      </ol>
      <p className="soft">
        Done by {clockWords(zone, placed.at(-1)?.end ?? from)}
        {left > 0 && `, ${spanWords(left)} to spare`}. Nothing is left half done; what waits then needs nobody.
      </p>
    </>
  );
}
