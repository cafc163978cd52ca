import { isAnyOf } from '@reduxjs/toolkit';
import type { SavedJob } from '@sill/core/contract';
import { Offline, Refused } from '../platform/ask';
import { inTurns } from '../platform/in-turns';
import {
  changed,
  conflicted,
  keeping,
  opened,
  redone,
  replaced,
  saveDone,
  saveFailed,
  saveStarted,
  settled,
  undone,
  type BenchState,
} from './bench';
import type { Edges } from './edges';
import { keepLeaving, type Keeping } from './kept';
import { newId } from './newId';
import { browserName, TAB } from './tab';
import { said } from './view';
import type { AppDispatch, Listen, RootState } from './root';

/** A pause this long in changing sends what there is. */
const PAUSE_MS = 500;
/**
 * Asked again after so long; a server that can not save just now after twice as long each time, up to half a minute.
 */
const RETRY_MS = 2000;
const LONGEST_RETRY_MS = 30_000;

/** A server that is overrun or has a fault now may take the same save in a while. */
const isBusy = (error: unknown): error is Refused =>
  error instanceof Refused && (error.status >= 500 || error.status === 429);

const grew = isAnyOf(changed, replaced, undone, redone, settled, conflicted, opened);

type Outcome = 'done' | 'offline' | 'busy';
type Store = { readonly getState: () => RootState; readonly dispatch: AppDispatch; readonly extra: Edges };

/** All that this tab knows of its job, as it is kept; null where none is open. */
const toKeep = ({ id, job, base, revision, savedAt, sent, past, future, saving: state }: BenchState): Keeping | null =>
  id && job && base
    ? { id, job, base, revision, savedAt: savedAt ?? '', sent, past, future, unsaved: state !== 'saved' }
    : null;

/** So many are being written just now: a page that is left meanwhile would open on the one before. */
let beingKept = 0;

async function keepNow({ getState, dispatch, extra }: Store): Promise<void> {
  const of = toKeep(getState().bench);
  if (!of) return;
  beingKept++;
  const kept = await extra.keep(of).finally(() => beingKept--);
  if (getState().bench.keptHere !== kept) dispatch(keeping(kept));
}

/** Sends what there is of job `id`, from the revision known by then; nothing where all is sent. */
async function sendOnce(id: string, store: Store): Promise<Outcome> {
  const { getState, dispatch, extra } = store;
  const { id: open, job, revision, saving: state, conflict } = getState().bench;
  if (open !== id || !job || conflict || state === 'saved') return 'done';
  const save = newId();
  dispatch(saveStarted({ save }));
  // Should the answer be lost with the tab, its own save is known again by this id.
  await keepNow(store);
  try {
    const { revision: now, savedAt } = await extra.ask('saveJob', {
      params: { id },
      body: { revision, job, save, by: browserName() },
    });
    dispatch(saveDone({ revision: now, savedAt, job }));
    await keepNow(store);
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

/**
 * Saves as you go: each change is kept in this browser at once and sent after a pause. While the server does not
 * answer, or can not save just now, it is tried again with growing pauses; a save based on an old revision is never
 * forced.
 */
export function listenForSaves(listen: Listen): void {
  // Sent side by side, the second save would look like another tab's.
  const inTurn = inTurns();
  listen({
    matcher: grew,
    effect: async (action, store) => {
      const { getState, getOriginalState, dispatch, delay, cancelActiveListeners, extra } = store;
      cancelActiveListeners();
      const { id, job, saving: state, conflict, joined } = getState().bench;
      if (!id || !job) return;
      const left =
        opened.match(action) && action.payload.kept?.unsaved && action.payload.kept.tab !== TAB
          ? action.payload.kept
          : null;
      const says = left
        ? 'What a tab that was closed had not saved yet is in again.'
        : joined > getOriginalState().bench.joined
          ? 'Another tab saved this job too. Both changes are in; undo takes back yours.'
          : null;
      if (says && !conflict) dispatch(said({ text: says, bad: false }));
      await keepNow(store);
      // It is this tab's from here on.
      if (left && getState().bench.keptHere) await extra.letGo(left.key);
      if (state !== 'waiting' || conflict) return;
      await delay(PAUSE_MS);
      let pause = RETRY_MS;
      for (;;) {
        const outcome = await inTurn(() => sendOnce(id, store));
        if (outcome === 'done') return;
        await delay(pause);
        pause = outcome === 'busy' ? Math.min(2 * pause, LONGEST_RETRY_MS) : RETRY_MS;
      }
    },
  });
}

/**
 * Before the page is left, what is typed is taken, and what the server does not have is kept at once. Where this
 * browser keeps nothing, the person is asked.
 */
export function keepOnLeaving({ getState }: Pick<Store, 'getState'>): void {
  const unsaved = () => getState().bench.saving !== 'saved' && getState().bench.job !== null;
  window.addEventListener('pagehide', () => {
    // A field takes what was typed when it is left.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    const of = toKeep(getState().bench);
    if (of && (of.unsaved || beingKept > 0)) keepLeaving(of);
  });
  window.addEventListener('beforeunload', (event) => {
    if (unsaved() && !getState().bench.keptHere) event.preventDefault();
  });
}
