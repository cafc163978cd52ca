import type { Plan, SavingsProgress } from '@sill/core';
import { useEdges, useJob } from './hooks';
import { useExploring, type Explored } from './useExploring';
import { useYards } from './useYards';

const NONE: SavingsProgress = { done: 0, of: 1, found: [] };

/** Single changes that make a plan cheaper, each worked out to the end; `small` are those for work that is begun. */
export function useSavings(plan: Plan, small: boolean): Explored<SavingsProgress> {
  const job = useJob();
  const yards = useYards();
  const { explorer } = useEdges();
  return useExploring(`savings ${small} ${yards.length}`, NONE, (tell) =>
    explorer.exploreSavings({ job, plan, yards, small }, (next) => tell(() => next)),
  );
}
