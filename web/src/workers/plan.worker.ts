import { expose } from 'comlink';
import {
  compareTops,
  planJob,
  type Job,
  type Plan,
  type SolveCache,
  type SolveOptions,
  type TopOption,
} from '@sill/core';

/** Pools of boards solved before; the oldest go when there are many. */
const cache: SolveCache = new Map();
const MOST_KEPT = 400;

const trim = () => {
  for (const key of cache.keys()) {
    if (cache.size <= MOST_KEPT) return;
    cache.delete(key);
  }
};

const worker = {
  plan(job: Job, today: string, effort: NonNullable<SolveOptions['effort']>): Plan {
    trim();
    return planJob(job, { today, effort, cache });
  },
  compareTops(job: Job, plan: Plan, pieceId: string, today: string): readonly TopOption[] {
    return compareTops(job, plan, pieceId, { today, effort: 'quick', cache });
  },
};

export type PlanWorker = typeof worker;
expose(worker);
