import { set, type StageName } from '@sill/core';
import { useChange, useJob } from './hooks';

/** How a settled stage is kept among what is ticked off in the job. */
export const settledMark = (stage: StageName): string => `stage:${stage}`;

/** What has been ticked off in the job: settled stages, saw settings, actions of steps. */
export function useTicks() {
  const { done } = useJob();
  const change = useChange();
  const tick = (id: string) => set(null, ['done', id], id);
  return {
    has: (id: string) => done.includes(id),
    toggle: (id: string) => change([done.includes(id) ? set(null, ['done', id], undefined) : tick(id)]),
    /** Ticks those that are not; no change where all are. */
    tick: (ids: readonly string[]) => {
      const fresh = ids.filter((id) => !done.includes(id));
      if (fresh.length > 0) change(fresh.map(tick));
    },
  };
}
