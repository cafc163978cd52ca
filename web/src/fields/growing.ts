import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/**
 * How many of a long row of things are drawn: some at once, the rest one after the other in turns of their own, so that
 * the page answers meanwhile. Before printing all are drawn.
 *
 * @param what things of another kind begin from the start.
 */
export function useGrowing(total: number, what: string, first: number): number {
  const [grown, setGrown] = useState({ what, drawn: first });
  const drawn = Math.min(total, grown.what === what ? grown.drawn : first);
  useEffect(() => {
    if (drawn >= total) return;
    const turn = setTimeout(() => setGrown({ what, drawn: drawn + 1 }));
    const all = () => flushSync(() => setGrown({ what, drawn: total }));
    window.addEventListener('beforeprint', all);
    return () => {
      clearTimeout(turn);
      window.removeEventListener('beforeprint', all);
    };
  }, [drawn, total, what]);
  return drawn;
}
