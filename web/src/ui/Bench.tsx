import { Button, Dialog } from '@mui/material';
import { useEffect, type KeyboardEvent, type ReactNode } from 'react';
import './Bench.css';

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

type Props = {
  /** Where in the work this is: step 3 of 9. */
  readonly where: string;
  readonly title: ReactNode;
  /** A few words beside the title. */
  readonly about?: ReactNode;
  /** The picture is wide and low: it stands below what is to do, not beside it. */
  readonly wide?: boolean;
  readonly action: ReactNode;
  readonly picture: ReactNode;
  readonly caution: ReactNode;
  /** Beside the way out: the clock, and what may be written down. */
  readonly tools?: ReactNode;
  readonly first: boolean;
  readonly last: boolean;
  readonly onNext: () => void;
  readonly onBack: () => void;
  readonly onClose: () => void;
};

/** At the bench: one thing at a time, large; Space, Page Down or the button at the right ticks it off and goes on. */
export function Bench(props: Props) {
  const { where, title, about = null, wide = false, action, picture, caution, tools } = props;
  const { first, last, onNext, onBack, onClose } = props;
  useAwake();
  const press = (event: KeyboardEvent) => {
    if (event.key === ' ' || event.key === 'PageDown' || event.key === 'ArrowRight') {
      event.preventDefault();
      onNext();
    } else if (event.key === 'PageUp' || event.key === 'ArrowLeft') {
      event.preventDefault();
      if (!first) onBack();
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
        <p>{where}</p>
        {tools}
        <Button onClick={onClose}>Leave the bench</Button>
      </header>
      <h1 id="bench-title">
        {title} {about && <small className="soft">{about}</small>}
      </h1>
      <div className="bench-body" data-wide={wide}>
        <div className="bench-action" aria-live="polite">
          {action}
        </div>
        {picture}
      </div>
      {caution && <p className="caution">{caution}</p>}
      <footer>
        <Button onClick={onBack} disabled={first}>
          Back
        </Button>
        <Button variant="contained" color="primary" autoFocus onClick={onNext}>
          {last ? 'Done' : 'Done, next'}
        </Button>
      </footer>
    </Dialog>
  );
}
