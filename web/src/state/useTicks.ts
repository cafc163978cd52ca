import { useCallback } from 'react';
import { useChange, useJob } from './hooks';

/** What has been ticked off in the job: settled stages, saw settings, actions of steps. */
export function useTicks() {
  const { done } = useJob();
  const change = useChange();
  const set = useCallback((value: readonly string[]) => change([{ piece: null, path: ['done'], value }]), [change]);
  return {
    has: (id: string) => done.includes(id),
    toggle: (id: string) => set(done.includes(id) ? done.filter((item) => item !== id) : [...done, id]),
    /** Ticks those that are not; no change where all are. */
    tick: (ids: readonly string[]) => {
      const fresh = ids.filter((id) => !done.includes(id));
      if (fresh.length > 0) set([...done, ...fresh]);
    },
  };
}
