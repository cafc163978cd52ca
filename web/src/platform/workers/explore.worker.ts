import { expose } from 'comlink';
import {
  costAround,
  newPlanCache,
  savings,
  type CostPoint,
  type Job,
  type Plan,
  type SavingsProgress,
  type PieceSide,
  type Yard,
} from '@sill/core';

/** Works out what else a job could cost, telling each result as it is there. Ending the worker ends it. */
const worker = {
  costAround(job: Job, piece: string, side: PieceSide, today: string, told: (point: CostPoint) => void): void {
    const options = { today, effort: 'quick', cache: newPlanCache() } as const;
    for (const point of costAround(job, piece, side, options)) told(point);
  },
  savings(job: Job, plan: Plan, yards: readonly Yard[], today: string, told: (so: SavingsProgress) => void): void {
    const options = { today, effort: 'full', cache: newPlanCache() } as const;
    for (const so of savings(job, plan, yards, options)) told(so);
  },
};

export type ExploreWorker = typeof worker;
expose(worker);
