import { counted, dayOf, dayWords, type BenchCalendar, type Job } from '@sill/core';
import { Stopped } from '../platform/workers/asking';
import { daysStand, laidOutDays, planned } from './planning';
import type { Listen } from './root';
import { mentioned, said } from './view';

/** A plan stands so long before its days are looked at for long: while a person types, none are. */
export const STANDS_MS = 800;

/** What became of the day it is ready; null where nothing did. */
export function movedWords(before: string | null, ready: string | null): string | null {
  if (before === null || ready === null || before === ready) return null;
  const days = dayOf(ready) - dayOf(before);
  return `Ready ${dayWords(ready)}: ${counted(Math.abs(days), 'day')} ${days > 0 ? 'later' : 'sooner'}.`;
}

/** Lays out the days of every plan that stands for a moment with a long search, in a worker; a newer plan ends it. */
export function listenForDays(listen: Listen): void {
  /** The days that were told last, and of which job. */
  let last: { readonly id: string | null; readonly job: Job; readonly ready: string | null } | null = null;
  /** Days as they stand, and of which job: what was looked for long is not lost with the next tick. */
  let stood: { readonly id: string | null; readonly calendar: BenchCalendar } | null = null;
  listen({
    actionCreator: laidOutDays,
    effect: ({ payload: { job, calendar } }, { getState }) => {
      const { bench, planning } = getState();
      if (planning.of === job) stood = { id: bench.id, calendar };
    },
  });
  listen({
    actionCreator: planned,
    effect: async ({ payload: { job, plan } }, { dispatch, getState, delay, cancelActiveListeners, extra }) => {
      cancelActiveListeners();
      extra.days.stopDays();
      if (!getState().planning.laying) return;
      await delay(STANDS_MS);
      try {
        const { id } = getState().bench;
        const before = stood?.id === id ? stood.calendar : null;
        const calendar = await extra.days.layOut({ plan, job, time: extra.now() }, before);
        dispatch(laidOutDays({ job, calendar }));
        // What a change of hours or a move of work does is said; what a change of the piece does shows at the foot.
        const isMoved = last !== null && last.id === id && last.job.calendar !== job.calendar;
        if (isMoved && last !== null) {
          const text = movedWords(last.ready, calendar.ready);
          if (text !== null) dispatch(mentioned({ text }));
        }
        last = { id, job, ready: calendar.ready };
      } catch (error) {
        // The days there are stand, with their bound told honestly.
        if (error instanceof Stopped) return;
        dispatch(daysStand());
        dispatch(said({ text: 'The days could not be looked at for long: they may be ready sooner.', bad: true }));
      }
    },
  });
}
