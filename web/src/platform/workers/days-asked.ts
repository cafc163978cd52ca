import { holdingsOf, nowOf, paces, tasksOf, type Instant, type Job, type Pace, type Plan, type Task } from '@sill/core';

/** Whose days are asked about, and the minute it is. */
export type DaysOf = { readonly plan: Plan; readonly job: Job; readonly time: string };

/** What days are made of, without the plan behind it. */
export type DaysAsked = {
  readonly tasks: readonly Task[];
  readonly job: Pick<Job, 'calendar' | 'shop'>;
  readonly now: Instant;
};
/** The same work at the pace of a builder as slow, and as fast, as one in ten. */
export type RangeAsked = { readonly slow: readonly Task[]; readonly fast: readonly Task[] };

const minuteOf = ({ job, time }: DaysOf): Instant => nowOf(job.calendar, time);
const tasksAt = (about: DaysOf, pace: Pace): readonly Task[] =>
  tasksOf(about.plan, about.job, holdingsOf(about.job), minuteOf(about), pace);

/** What days are laid out of: all that is left to do, and the time there is from a minute on. */
export function daysAsked(about: DaysOf): DaysAsked {
  const { calendar, shop } = about.job;
  return { tasks: tasksAt(about, about.plan.pace), job: { calendar, shop }, now: minuteOf(about) };
}

export function rangeAsked(about: DaysOf): RangeAsked {
  const { slow, fast } = paces(about.plan.pace, about.plan.hours);
  return { slow: tasksAt(about, slow), fast: tasksAt(about, fast) };
}
