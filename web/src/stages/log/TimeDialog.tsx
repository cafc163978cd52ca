import { Dialog, DialogContent, DialogTitle, MenuItem, TextField } from '@mui/material';
import { useState } from 'react';
import {
  LONGEST_GO,
  plain,
  plannedFor,
  type Entry,
  type EntryOf,
  type Plan,
  type WorkKind,
  WORK_KINDS,
} from '@sill/core';
import { useEdges, useJob } from '../../state/hooks';
import { STAMP, useTell } from '../../state/useLedger';
import { DayField } from '../../ui/DayField';
import { NumberField } from '../../ui/NumberField';
import { WORK_WORDS } from '../../words/entries';
import { WriteActions } from '../shared/WriteActions';

/** Work that is timed by no clock at all: kinds, without a step. */
const kindOf = (of: string): WorkKind | null => WORK_KINDS.find((kind) => `kind ${kind}` === of) ?? null;

/** Time worked, written down afterwards: on a step, or on a kind of work. */
export function TimeDialog({ plan, onClose }: { readonly plan: Plan; readonly onClose: () => void }) {
  const { units } = useJob();
  const tell = useTell();
  const { today } = useEdges();
  const [of, setOf] = useState('kind other');
  const [day, setDay] = useState(today());
  const [minutes, setMinutes] = useState<number | null>(null);
  const steps = plan.pieces.flatMap(({ piece, steps: own }) => own.map((step) => ({ piece, step })));
  const write = () => {
    const kind = kindOf(of);
    const found = steps.find(({ step }) => step.id === of);
    const stamp = { id: STAMP.id(), at: `${day}T18:00`, what: 'timed', until: null } as const;
    const rows: readonly EntryOf<'timed'>[] =
      found === undefined
        ? [{ ...stamp, of: '', piece: null, work: kind ?? 'other', planned: 0, minutes: minutes ?? 0 }]
        : partedOver(
            found.step.actions.map(({ id }) => ({ of: id, ...plannedFor(found.step, id, found.piece.copies) })),
            minutes ?? 0,
          ).map(({ of: action, work, planned, took }) => ({
            ...stamp,
            ...{ id: STAMP.id(), of: action, piece: found.piece.id, work, planned, minutes: took },
          }));
    tell(rows as readonly Entry[]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="time-title">
      <DialogTitle id="time-title">Time worked</DialogTitle>
      <DialogContent>
        <div className="form">
          <TextField select margin="dense" label="At what" value={of} onChange={({ target }) => setOf(target.value)}>
            {WORK_KINDS.map((kind) => (
              <MenuItem key={kind} value={`kind ${kind}`}>
                {WORK_WORDS[kind]}
              </MenuItem>
            ))}
            {steps.map(({ piece, step }, at) => (
              <MenuItem key={step.id} value={step.id}>
                {piece.name}, step {at + 1}: {plain(step.title, units)}
              </MenuItem>
            ))}
          </TextField>
          <div className="row wrap">
            <DayField label="On" value={day} onChange={(value) => value !== null && setDay(value)} />
            <NumberField label="Minutes" least={1} most={LONGEST_GO} optional value={minutes} onChange={setMinutes} />
          </div>
          <p className="soft">On a step it is set against what was planned for it, and teaches how long you take.</p>
        </div>
      </DialogContent>
      <WriteActions disabled={minutes === null} onClose={onClose} onWrite={write} />
    </Dialog>
  );
}

/** Time on a whole step over its actions, as their planned minutes are to each other. */
function partedOver(
  actions: readonly { readonly of: string; readonly work: WorkKind; readonly minutes: number }[],
  took: number,
) {
  const all = actions.reduce((sum, { minutes }) => sum + minutes, 0);
  return actions
    .filter(({ minutes }) => minutes > 0)
    .map(({ of, work, minutes }) => ({
      of,
      work,
      planned: minutes,
      took: Math.round((10 * took * minutes) / all) / 10,
    }));
}
