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
import type { AppDispatch, RootState } from './store';

/** A pause this long in changing sends what there is. */
const PAUSE_MS = 500;
/** Asked again after so long; a server that can not save just now after twice as long each time, up to half a minute. */
const RETRY_MS = 2000;
const LONGEST_RETRY_MS = 30_000;

/** A server that is overrun or has a fault now may take the same save in a while. */
const isBusy = (error: unknown): error is Refused =>
  error instanceof Refused && (error.status >= 500 || error.status === 429);

export const saving = createListenerMiddleware<RootState>();

const grew = isAnyOf(changed, replaced, undone, redone, keptMine, opened);

type Outcome = 'done' | 'offline' | 'busy';
type Store = { readonly getState: () => RootState; readonly dispatch: AppDispatch };

/** Sends what there is of job `id`, from the revision known by then; nothing where all is sent. */
async function sendOnce(id: string, { getState, dispatch }: Store): Promise<Outcome> {
  const { id: open, job, revision, saving: state, conflict } = getState().bench;
  if (open !== id || !job || conflict || state === 'saved') return 'done';
  dispatch(saveStarted());
  try {
    dispatch(saveDone({ ...(await api.save(id, revision, job)), job }));
    if (getState().bench.saving === 'saved') letGo(id);
    return 'done';
  } catch (error) {
    if (error instanceof Offline || isBusy(error)) {
      dispatch(saveFailed({ saving: 'offline', refusal: isBusy(error) ? error.message : null }));
      return isBusy(error) ? 'busy' : 'offline';
    }
    if (error instanceof Refused && error.code === 'stale') dispatch(conflicted(error.current as SavedJob));
    else {
      const refusal = error instanceof Error ? error.message : 'The server could not save.';
      dispatch(saveFailed({ saving: 'refused', refusal }));
    }
    return 'done';
  }
}

/** The save under way. The next waits for it: sent side by side, the second would look like another tab's. */
let underWay: Promise<unknown> = Promise.resolve();

const inTurn = (work: () => Promise<Outcome>): Promise<Outcome> => {
  const mine = underWay.then(work, work);
  underWay = mine;
  return mine;
};

/**
 * Saves as you go: each change is kept in this browser at once and sent after a pause. While the server does not answer,
 * or can not save just now, it is tried again with growing pauses; a save based on an old revision is never forced.
 */
saving.startListening({
  matcher: grew,
  effect: async (_action, { getState, dispatch, delay, cancelActiveListeners }) => {
    cancelActiveListeners();
    const { id, job, revision, saving: state, conflict } = getState().bench;
    if (!id || !job || state !== 'waiting' || conflict) return;
    keep(id, { revision, job });
    await delay(PAUSE_MS);
    let pause = RETRY_MS;
    for (;;) {
      const outcome = await inTurn(() => sendOnce(id, { getState, dispatch: dispatch as AppDispatch }));
      if (outcome === 'done') return;
      await delay(pause);
      pause = outcome === 'busy' ? Math.min(2 * pause, LONGEST_RETRY_MS) : RETRY_MS;
    }
  },
});
