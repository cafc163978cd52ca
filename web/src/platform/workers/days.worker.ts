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
  sooner: ({ tasks, job, now }: DaysAsked) => {
    // Compared with what the same short search makes of it, so that luck is no gain.
    const { ready } = laidOut(tasks, job, now, 'quick');
    return ready === null ? [] : soonerBy(tasks, job, now, ready);
  },
  tonight: ({ tasks, job, now }: DaysAsked, spare: Spare, chain: readonly string[]) =>
    tonight(tasks, job.calendar, job.shop.clamps, now, spare, new Set(chain)),
};

export type DaysWorker = typeof worker;
expose(worker);
