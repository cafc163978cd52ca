import { expose } from 'comlink';
import {
  costAround,
  fasterCoats,
  helpsFor,
  newPlanCache,
  planJob,
  savings,
  smallWishes,
  wishes,
  type CostPoint,
  type Help,
  type Job,
  type Plan,
  type SavingsProgress,
  type PieceSide,
  type Sooner,
  type Yard,
} from '@sill/core';
import type { Seen } from './plan.worker';

/** A plan that may cost less; `small` where the work has begun, and only small changes are looked at. */
export type SavingsAsked = {
  readonly job: Job;
  readonly plan: Plan;
  readonly yards: readonly Yard[];
  readonly small: boolean;
};

/** Works out what else a job could cost, telling each result as it is there. Ending the worker ends it. */
const worker = {
  costAround(job: Job, piece: string, side: PieceSide, seen: Seen, told: (point: CostPoint) => void): void {
    const options = { ...seen, effort: 'quick', cache: newPlanCache() } as const;
    for (const point of costAround(job, piece, side, options)) told(point);
  },
  savings({ job, plan, yards, small }: SavingsAsked, seen: Seen, told: (so: SavingsProgress) => void): void {
    const options = { ...seen, effort: 'full', cache: newPlanCache() } as const;
    const tried = small ? smallWishes(job, yards) : wishes(job, yards);
    for (const so of savings(job, plan, tried, options)) told(so);
  },
  coats(job: Job, ready: string, seen: Seen): readonly Sooner[] {
    const options = { ...seen, effort: 'quick', cache: newPlanCache() } as const;
    return fasterCoats(job, planJob(job, options), ready, options);
  },
  helps(job: Job, finding: string, seen: Seen): readonly Help[] {
    const options = { ...seen, effort: 'quick', cache: newPlanCache() } as const;
    return helpsFor(job, planJob(job, options), finding, options);
  },
};

export type ExploreWorker = typeof worker;
expose(worker);
