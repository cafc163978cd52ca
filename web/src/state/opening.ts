import { Offline, Refused } from '../platform/ask';
import { opened } from './bench';
import { keptOf } from './kept';
import type { Thunk } from './root';

/**
 * Opens a job; what a lost connection left in this browser goes before what the server has. Settles with what keeps it
 * from being opened, null where nothing does. Nothing is opened once `signal` says that nobody waits for it.
 */
export const openJob =
  (id: string, signal: AbortSignal): Thunk<Promise<string | null>> =>
  async (dispatch, _state, { ask }) => {
    const mine = await keptOf(id);
    try {
      const saved = await ask('job', { params: { id } }, signal);
      if (!signal.aborted) dispatch(opened(mine ? { ...saved, kept: mine } : saved));
      return null;
    } catch (error) {
      if (signal.aborted) return null;
      if (error instanceof Offline && mine) {
        const { revision, savedAt, job } = mine;
        dispatch(opened({ id, revision, savedAt, job, kept: mine, offline: true }));
        return null;
      }
      return error instanceof Refused && error.status === 404
        ? 'There is no such job. It may have been removed.'
        : 'The server does not answer. It may be starting.';
    }
  };
