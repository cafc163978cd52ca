import { useEffect, useState } from 'react';
import { useFrom } from './hooks';

type Errand = { readonly stop: () => void; readonly done: Promise<void> };
export type Explored<T> = { readonly found: T; readonly state: 'waiting' | 'working' | 'done' | 'failed' };

/** A pause in changing before anything is worked out on the side: what matters first is the plan itself. */
const PAUSE_MS = 700;

/**
 * Runs a side errand for the plan in view once that is settled, and again whenever `key` or the plan changes; what was
 * found for an older plan is dropped.
 *
 * @param start begins it; `tell` gets what was found so far and what is new.
 */
export function useExploring<T>(
  key: string,
  nothing: T,
  start: (tell: (grow: (before: T) => T) => void) => Errand,
): Explored<T> {
  const ready = useFrom(({ bench, planning }) => planning.of === bench.job && !planning.working && !planning.proving);
  const plan = useFrom(({ planning }) => planning.plan);
  const [so, setSo] = useState<Explored<T> & { readonly for: unknown; readonly key: string }>({
    found: nothing,
    state: 'waiting',
    for: null,
    key,
  });
  useEffect(() => {
    if (!ready) return;
    let errand: Errand | null = null;
    let gone = false;
    const put = (change: (before: Explored<T>) => Explored<T>) => {
      if (!gone) setSo((before) => ({ ...change(before), for: plan, key }));
    };
    const timer = setTimeout(() => {
      put(() => ({ found: nothing, state: 'working' }));
      errand = start((grow) => put((before) => ({ ...before, found: grow(before.found) })));
      errand.done.then(
        () => put((before) => ({ ...before, state: 'done' })),
        () => put((before) => ({ ...before, state: 'failed' })),
      );
    }, PAUSE_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
      errand?.stop();
    };
    // What is started follows from the plan and the key alone.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [ready, plan, key]);
  return so.for === plan && so.key === key ? so : { found: nothing, state: 'waiting' };
}
