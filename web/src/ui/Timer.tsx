import { Button } from '@mui/material';
import { useEffect, useState } from 'react';
import './Timer.css';

type Props = {
  readonly minutes: number;
  /** What begins when it is started: “It is on”. */
  readonly begin: string;
  /** What is done when it is over. */
  readonly due: string;
};

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

/** Counts down from a tap; says what is due when it is over, and how long it has been since. */
export function Timer({ minutes, begin, due }: Props) {
  const [started, setStarted] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (started === null) return;
    const tick = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(tick);
  }, [started]);
  if (started === null)
    return (
      <p className="timer">
        <Button
          variant="outlined"
          onClick={() => {
            const at = Date.now();
            setStarted(at);
            setNow(at);
          }}
        >
          {begin}: count {minutes} min
        </Button>
      </p>
    );
  const left = minutes * 60 - (now - started) / 1000;
  return (
    <p className="timer" data-due={left <= 0}>
      {left > 0 ? (
        <>
          <span role="timer">{clock(Math.ceil(left))}</span> until: {due}
        </>
      ) : (
        <strong role="alert">
          {due} now. {left < -60 && `${Math.floor(-left / 60)} min late.`}
        </strong>
      )}{' '}
      <Button size="small" onClick={() => setStarted(null)}>
        Again
      </Button>
    </p>
  );
}
