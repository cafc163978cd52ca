import { Button, Dialog } from '@mui/material';
import { useEffect, useMemo, useState } from 'react';
import type { Plan } from '@sill/core';
import { PartPicture } from '../../drawing/PartPicture';
import { useTicks } from '../../state/useTicks';
import { Words } from '../../words/Words';
import { drawnIn, measured } from './BuildStage';

/** Keeps the screen awake while it is up, where the browser can. */
function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    void navigator.wakeLock?.request('screen').then(
      (held) => (lock = held),
      () => undefined,
    );
    return () => void lock?.release();
  }, []);
}

type Props = { readonly facts: Plan['pieces'][number]; readonly start: number; readonly onClose: () => void };

/** At the bench: one action at a time, large; Space, Page Down or a tap at the right goes on and ticks it off. */
export function BenchMode({ facts, start, onClose }: Props) {
  const { has, tick } = useTicks();
  const list = useMemo(
    () => facts.steps.flatMap((step, number) => step.actions.map((action, k) => ({ step, number, action, k }))),
    [facts.steps],
  );
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      list.findIndex((item) => item.number === start && !has(item.action.id)),
    ),
  );
  useAwake();
  const item = list[at];
  if (!item) return null;
  const { step, action, number, k } = item;
  const next = () => {
    tick([action.id]);
    if (at + 1 < list.length) setAt(at + 1);
    else onClose();
  };
  const press = (event: React.KeyboardEvent) => {
    if (event.key === ' ' || event.key === 'PageDown' || event.key === 'ArrowRight') {
      event.preventDefault();
      next();
    } else if (event.key === 'PageUp' || event.key === 'ArrowLeft') {
      event.preventDefault();
      setAt(Math.max(0, at - 1));
    }
  };
  return (
    <Dialog
      fullScreen
      open
      onClose={onClose}
      onKeyDown={press}
      aria-labelledby="bench-title"
      slotProps={{ paper: { className: 'bench-mode' } }}
    >
      <header>
        <p>
          Step {number + 1} of {facts.steps.length} · {k + 1} of {step.actions.length}
        </p>
        <Button onClick={onClose}>Leave the bench</Button>
      </header>
      <h1 id="bench-title">
        <Words of={step.title} />
      </h1>
      <div className="bench-body">
        <p className="bench-action" aria-live="polite">
          <Words of={action.text} />
        </p>
        <PartPicture parts={drawnIn(step, facts.parts)} measure={measured(step, facts.parts)} label="The step" />
      </div>
      {step.cautions[0] && (
        <p className="caution">
          <Words of={step.cautions[0]} />
        </p>
      )}
      <footer>
        <Button onClick={() => setAt(Math.max(0, at - 1))} disabled={at === 0}>
          Back
        </Button>
        <Button variant="contained" color="primary" autoFocus onClick={next}>
          {at + 1 < list.length ? 'Done, next' : 'Done'}
        </Button>
      </footer>
    </Dialog>
  );
}
