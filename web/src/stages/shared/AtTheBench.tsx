import { Button } from '@mui/material';
import { useState } from 'react';
import type { Plan } from '@sill/core';
import { ClockFace } from './ClockFace';
import { MishapDialog } from './MishapDialog';
import { NoteDialog, type NoteAbout } from './NoteDialog';

type Props = {
  readonly plan: Plan;
  /** Minutes this usually takes. */
  readonly planned: number;
  /** What is being done. */
  readonly about: Omit<NoteAbout, 'part'>;
  /** Parts that are worked on, by their ids. */
  readonly parts: readonly string[];
};

/** What may be written down at the bench with one thumb: time, what went wrong, words and pictures. */
export function AtTheBench({ plan, planned, about, parts }: Props) {
  const [open, setOpen] = useState<'mishap' | 'note' | null>(null);
  const close = () => setOpen(null);
  return (
    // Keys within a dialog of its own are not those of the bench.
    <span className="bench-tools" onKeyDown={(event) => open !== null && event.stopPropagation()} role="presentation">
      <ClockFace planned={planned} />
      <Button onClick={() => setOpen('mishap')}>Went wrong</Button>
      <Button onClick={() => setOpen('note')}>Note</Button>
      {open === 'mishap' && (
        <MishapDialog plan={plan} piece={about.piece} of={about.of} parts={parts} onClose={close} />
      )}
      {open === 'note' && <NoteDialog title="A note on this" about={{ ...about, part: '' }} onClose={close} />}
    </span>
  );
}
