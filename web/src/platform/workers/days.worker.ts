import { expose } from 'comlink';
import { laidOut, soonerBy, tonight, type Instant, type Job, type Spare, type Task } from '@sill/core';

/** What days are made of, without the plan behind it. */
export type DaysAsked = {
  readonly tasks: readonly Task[];
  readonly job: Pick<Job, 'calendar' | 'shop'>;
  readonly now: Instant;
};

const worker = {
  layOut: ({ tasks, job, now }: DaysAsked) => laidOut(tasks, job, now, 'full'),
  /** `ready` is the day it is ready by an equally long search, so that luck is no gain. */
  sooner: ({ tasks, job, now }: DaysAsked, ready: string) => soonerBy(tasks, job, now, ready, 'full'),
  tonight: ({ tasks, job, now }: DaysAsked, spare: Spare, chain: readonly string[]) =>
    tonight(tasks, job.calendar, job.shop.clamps, now, spare, new Set(chain)),
};

export type DaysWorker = typeof worker;
expose(worker);
