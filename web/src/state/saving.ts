import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { api, Offline, Refused, type SavedJob } from '../api';
import {
  changed,
  conflicted,
  keptMine,
  redone,
  replaced,
  saveDone,
  saveFailed,
  saveStarted,
  undone,
  opened,
} from './bench';
import { keep, letGo } from './kept';
import type { RootState } from './store';

/** A pause this long in changing sends what there is. */
const PAUSE_MS = 500;
const RETRY_MS = 2000;

export const saving = createListenerMiddleware<RootState>();

const grew = isAnyOf(changed, replaced, undone, redone, keptMine, opened);

/**
 * Saves as you go: each change is kept in this browser at once and sent after a pause. While the server does not answer
 * it is tried again every two seconds; a save based on an old revision is never forced.
 */
saving.startListening({
  matcher: grew,
  effect: async (_action, { getState, dispatch, delay, cancelActiveListeners }) => {
    cancelActiveListeners();
    const { id, job, revision, saving: state, conflict } = getState().bench;
    if (!id || !job || state !== 'waiting' || conflict) return;
    keep(id, { revision, job });
    await delay(PAUSE_MS);
    for (;;) {
      const now = getState().bench;
      if (now.id !== id || !now.job || now.conflict) return;
      dispatch(saveStarted());
      try {
        const done = await api.save(id, now.revision, now.job);
        dispatch(saveDone({ ...done, job: now.job }));
        if (getState().bench.job === now.job) letGo(id);
        return;
      } catch (error) {
        if (error instanceof Offline) {
          dispatch(saveFailed({ saving: 'offline', refusal: null }));
          await delay(RETRY_MS);
        } else if (error instanceof Refused && error.code === 'stale') {
          dispatch(conflicted(error.current as SavedJob));
          return;
        } else {
          const refusal = error instanceof Error ? error.message : 'The server could not save.';
          dispatch(saveFailed({ saving: 'refused', refusal }));
          return;
        }
      }
    }
  },
});
