import { expose } from 'comlink';
import wasm from 'highs/runtime?url';
import { loadIntegerSolver } from '@sill/core/highs';
import { compareTops, newPlanCache, planJob, type Job, type Plan, type SolveOptions, type TopOption } from '@sill/core';

/** Pools of boards solved and pieces built before; the oldest go when there are many. */
const cache = newPlanCache();
const MOST_KEPT = 400;

const trim = () => {
  for (const kept of [cache.solved, cache.models])
    for (const key of kept.keys()) {
      if (kept.size <= MOST_KEPT) break;
      kept.delete(key);
    }
};

const worker = {
  async plan(job: Job, today: string, effort: NonNullable<SolveOptions['effort']>): Promise<Plan> {
    trim();
    // Only the longer search solves integer programs: the quick one does not wait for it to load.
    const integer = effort === 'full' ? await loadIntegerSolver(wasm) : null;
    return planJob(job, { today, effort, cache, integer });
  },
  compareTops(job: Job, plan: Plan, pieceId: string, today: string): readonly TopOption[] {
    return compareTops(job, plan, pieceId, { today, effort: 'quick', cache });
  },
};

export type PlanWorker = typeof worker;
expose(worker);
