import { createAction, isAnyOf, TaskAbortError } from '@reduxjs/toolkit';
import { isAlike, isProved, sinceWords, type Plan } from '@sill/core';
import { Stopped } from '../platform/workers/asking';
import { changed, closed, conflicted, opened, redone, replaced, settled, undone } from './bench';
import { cleared, failed, halted, planned, proofEnded, remembered, searching, started } from './planning';
import type { Listen } from './root';
import { mentioned } from './view';

/** Works the plan out once more after it was stopped. */
export const planAgain = createAction('planning/again');
/** Ends a plan that takes too long; the one in view stays. */
export const endPlan = createAction('planning/endPlan');
/** Ends the longer search; the plan stays as it is, with its bound told honestly. */
export const endProof = createAction('planning/endProof');

/** A plan stands so long before it is searched for longer: while a person types, no worker is begun for nothing. */
export const STANDS_MS = 500;

/**
 * Plans again after every change, a job just opened after showing what it came to last time: first quickly, then, where
 * that is not proved to be the least, a longer search in a second worker that can be stopped. What is of an older job
 * is dropped when it comes back.
 */
export function listenForPlans(listen: Listen): void {
  listen({
    matcher: isAnyOf(opened, changed, replaced, undone, redone, conflicted, settled, planAgain),
    effect: async (action, { getState, dispatch, delay, cancelActiveListeners, extra: { planner } }) => {
      cancelActiveListeners();
      planner.stopProof();
      const { id, job } = getState().bench;
      if (!id || !job) return;
      const current = () => getState().bench.job === job;
      const proveOn = async (plan: Plan) => {
        await delay(STANDS_MS);
        // Stopped before it began.
        if (!getState().planning.proving) return;
        let least = plan.list.total;
        try {
          const better = await planner.prove(id, job, (found, searched) => {
            if (!current()) return;
            // Drawn as it gets better, so that a stop keeps the best there was.
            if (found && found.list.total < least) dispatch(planned({ job, plan: found, proving: true, searched }));
            else dispatch(searching(searched));
            least = Math.min(least, found?.list.total ?? least);
          });
          if (current()) dispatch(planned({ job, plan: better, proving: false }));
        } catch (error) {
          // The plan there is stands, with its bound told honestly.
          if (current() && !(error instanceof Stopped)) dispatch(proofEnded());
        }
      };
      dispatch(started());
      try {
        if (opened.match(action)) {
          const last = await planner.planOfLastTime(id);
          if (!current()) return;
          // Changed elsewhere since, it would say, and print, what is not so.
          if (last && isAlike(last.job, job)) dispatch(remembered(last));
        }
        const plan = await planner.planQuickly(job, id);
        if (!current()) return;
        const { plan: before, of } = getState().planning;
        dispatch(planned({ job, plan, proving: !isProved(plan) }));
        // What a fact made of the plan is said at once; what a wish makes of it shows in the figures.
        if (before && of && changed.match(action) && job.ledger.length > of.ledger.length) {
          const text = sinceWords(before, plan, job.units);
          const shown = getState().view.message;
          if (text !== null)
            dispatch(
              mentioned({
                text: shown ? `${shown.text} ${text}` : text,
                dearer: plan.list.total > before.list.total,
              }),
            );
        }
        if (isProved(plan)) return;
        await proveOn(plan);
      } catch (error) {
        // What a person stopped, or a newer change took the place of, is no failure.
        if (current() && !(error instanceof Stopped || error instanceof TaskAbortError))
          dispatch(failed(error instanceof Error ? error.message : 'The plan could not be worked out.'));
      }
    },
  });

  listen({
    actionCreator: closed,
    effect: (_action, { dispatch, extra: { planner } }) => {
      planner.stopProof();
      dispatch(cleared());
    },
  });
  listen({
    actionCreator: endPlan,
    effect: (_action, { dispatch, extra: { planner } }) => {
      planner.stopPlan();
      dispatch(halted());
    },
  });
  listen({
    actionCreator: endProof,
    effect: (_action, { dispatch, extra: { planner } }) => {
      planner.stopProof();
      dispatch(proofEnded());
    },
  });
}
