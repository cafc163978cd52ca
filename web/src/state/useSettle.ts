import { set, type StageName } from '@sill/core';
import { useChange, useJob } from './hooks';

/** How a settled stage is kept in the job. */
export const settledMark = (stage: StageName): string => `stage:${stage}`;

/** Settles a stage; no change where it is. */
export function useSettle(): (stage: StageName) => void {
  const { done } = useJob();
  const change = useChange();
  return (stage) => {
    const mark = settledMark(stage);
    if (!done.includes(mark)) change([set(null, ['done', mark], mark)]);
  };
}
