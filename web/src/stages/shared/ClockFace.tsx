import { Button } from '@mui/material';
import { useEffect, useState } from 'react';
import { useClock } from '../../state/useClock';
import { spanWords } from '../../words/days';
import './ClockFace.css';

/** The clock at the bench: how long this takes by now against what is usual; one tap stops it, one sets it going. */
export function ClockFace({ planned }: { readonly planned: number | null }) {
  const { since, begin, stop } = useClock();
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 5000);
    return () => clearInterval(tick);
  }, []);
  const minutes = since === null ? 0 : Math.max(0, Math.floor((now - since) / 60_000));
  const usual = planned === null ? '' : `${spanWords(Math.max(1, Math.round(planned)))} usual`;
  return (
    <span className="clock-face" data-on={since !== null}>
      <span>
        {since === null ? 'Clock stands' : spanWords(minutes)}
        {usual !== '' && <small> · {usual}</small>}
      </span>
      <Button onClick={since === null ? begin : stop}>{since === null ? 'Go on' : 'Pause'}</Button>
    </span>
  );
}
