import { startTransition, useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/**
 * How many of a long row of things are drawn: some at once, the rest one after the other in turns of their own, so that
 * the page answers meanwhile. Before printing all are drawn.
 *
 * Each should keep what it drew while others come (`memo`).
 *
 * @param what things of another kind begin from the start.
 * @param first how many are drawn at once.
 * @param step how many a turn.
 */
export function useGrowing(total: number, what: string, first: number, step = 1): number {
  const [grown, setGrown] = useState({ what, drawn: first });
  const drawn = Math.min(total, grown.what === what ? grown.drawn : first);
  useEffect(() => {
    if (drawn >= total) return;
    // Put off, each is drawn bit by bit: nothing that is asked of the page meanwhile waits for all of it.
    const turn = setTimeout(() => startTransition(() => setGrown({ what, drawn: drawn + step })));
    const all = () => flushSync(() => setGrown({ what, drawn: total }));
    window.addEventListener('beforeprint', all);
    return () => {
      clearTimeout(turn);
      window.removeEventListener('beforeprint', all);
    };
  }, [drawn, total, what, step]);
  return drawn;
}

/** What a piece of work comes to, done without a pause. */
export function atOnce<T>(work: Generator<undefined, T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** What a piece of work comes to, done in turns after what is drawn first; null until it is there. */
export function useInTurns<T>(begin: (() => Generator<undefined, T>) | null): T | null {
  const [done, setDone] = useState<{ readonly of: typeof begin; readonly value: T } | null>(null);
  useEffect(() => {
    if (!begin) return;
    const work = begin();
    let turn: ReturnType<typeof setTimeout>;
    const go = () => {
      const step = work.next();
      if (step.done) setDone({ of: begin, value: step.value });
      else turn = setTimeout(go);
    };
    turn = setTimeout(go);
    return () => clearTimeout(turn);
  }, [begin]);
  return done?.of === begin && done ? done.value : null;
}
