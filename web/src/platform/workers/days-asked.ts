import { holdingsOf, nowOf, paces, tasksOf, type Instant, type Job, type Pace, type Plan, type Task } from '@sill/core';

/** Whose days are asked about, and the minute it is. */
export type DaysOf = { readonly plan: Plan; readonly job: Job; readonly time: string };

/** What days are made of, without the plan behind it. */
export type DaysAsked = {
  readonly tasks: readonly Task[];
  /** The same at the pace of a builder as slow, and as fast, as one in ten. */
  readonly slow: readonly Task[];
  readonly fast: readonly Task[];
  readonly job: Pick<Job, 'calendar' | 'shop'>;
  readonly now: Instant;
};

/** What days are laid out of: all that is left to do, and the time there is from a minute on. */
export function daysAsked({ plan, job, time }: DaysOf): DaysAsked {
  const now = nowOf(job.calendar, time);
  const { calendar, shop } = job;
  const holdings = holdingsOf(job);
  const at = (pace: Pace) => tasksOf(plan, job, holdings, now, pace);
  const { slow, fast } = paces(plan.pace, plan.hours);
  return { tasks: at(plan.pace), slow: at(slow), fast: at(fast), job: { calendar, shop }, now };
}
