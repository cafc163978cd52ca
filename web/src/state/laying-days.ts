import { holdingsOf, nowOf, tasksOf, type Job, type Plan } from '@sill/core';
import type { DaysAsked } from '../platform/workers/days.worker';
import { Stopped } from '../platform/workers/asking';
import { laidOutDays, planned } from './planning';
import type { Listen } from './root';
import { said } from './view';

/** A plan stands so long before its days are looked at for long: while a person types, none are. */
const STANDS_MS = 400;

/** What days are laid out of: all that is left to do, and the time there is from a minute on. */
export function daysAsked(plan: Plan, job: Job, time: string): DaysAsked {
  const now = nowOf(job.calendar, time);
  const { calendar, shop } = job;
  return { tasks: tasksOf(plan, job, holdingsOf(job), now), job: { calendar, shop }, now };
}

/** Lays out the days of every plan that stands for a moment with a long search, in a worker; a newer plan ends it. */
export function listenForDays(listen: Listen): void {
  listen({
    actionCreator: planned,
    effect: async ({ payload: { job, plan } }, { dispatch, delay, cancelActiveListeners, extra }) => {
      cancelActiveListeners();
      extra.days.stopDays();
      if (plan.calendar.sessions.length === 0) return;
      await delay(STANDS_MS);
      try {
        const calendar = await extra.days.layOut(daysAsked(plan, job, extra.now()));
        dispatch(laidOutDays({ job, calendar }));
      } catch (error) {
        // The days there are stand, with their bound told honestly.
        if (!(error instanceof Stopped))
          dispatch(said({ text: 'The days could not be looked at for long: they may be ready sooner.', bad: true }));
      }
    },
  });
}
