import { createAction, createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { isAlike, isProved, type Plan } from '@sill/core';
import { Stopped } from '../workers/asking';
import { planOfLastTime, planQuickly, prove, stopPlan, stopProof } from '../workers/planner';
import { changed, closed, conflicted, opened, redone, replaced, settled, undone } from './bench';
import { cleared, failed, halted, planned, proofEnded, remembered, searching, started } from './planning';
import type { RootState } from './store';

/** Works the plan out once more after it was stopped. */
export const planAgain = createAction('planning/again');

export const replanning = createListenerMiddleware<RootState>();

/**
 * Plans again after every change, a job just opened after showing what it came to last time: first quickly, then, where that is not proved to be the least, a longer search in a
 * second worker that can be stopped. What is of an older job is dropped when it comes back.
 */
replanning.startListening({
  matcher: isAnyOf(opened, changed, replaced, undone, redone, conflicted, settled, planAgain),
  effect: async (action, { getState, dispatch, cancelActiveListeners }) => {
    cancelActiveListeners();
    stopProof();
    const { id, job } = getState().bench;
    if (!id || !job) return;
    const current = () => getState().bench.job === job;
    const proveOn = async (plan: Plan) => {
      let least = plan.list.total;
      try {
        const better = await prove(id, job, (found, searched) => {
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
        const last = await planOfLastTime(id);
        if (!current()) return;
        // Changed elsewhere since, it would say, and print, what is not so.
        if (last && isAlike(last.job, job)) dispatch(remembered(last));
      }
      const plan = await planQuickly(job, id);
      if (!current()) return;
      dispatch(planned({ job, plan, proving: !isProved(plan) }));
      if (isProved(plan)) return;
      await proveOn(plan);
    } catch (error) {
      // What a person stopped, or a newer change took the place of, is no failure.
      if (current() && !(error instanceof Stopped))
        dispatch(failed(error instanceof Error ? error.message : 'The plan could not be worked out.'));
    }
  },
});

replanning.startListening({
  matcher: isAnyOf(closed),
  effect: (_action, { dispatch }) => {
    stopProof();
    dispatch(cleared());
  },
});

/** Ends a plan that takes too long; the one in view stays. */
export const endPlan = () => {
  stopPlan();
  return halted();
};

/** Ends the longer search; the plan stays as it is, with its bound told honestly. */
export const endProof = () => {
  stopProof();
  return proofEnded();
};
