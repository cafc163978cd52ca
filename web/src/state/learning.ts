import { EMPTY_MEMORY, remembered, type JobRecord } from '@sill/core';
import { opened } from './bench';
import { planAgain } from './replanning';
import type { Listen } from './root';
import { MEMORY } from './server';

/** What the others of all jobs say; those in which nothing happened yet say nothing. */
const besides = (records: readonly JobRecord[], id: string | null): readonly JobRecord[] =>
  records.filter((one) => one.id !== id && one.from !== null);

/**
 * Plans rest on what other jobs of this builder say: at once on what is kept here, then on what the server says. Where
 * that is something else, the plan is made once more. Without a server what is kept stands.
 */
export function listenForRecords(listen: Listen): void {
  listen({
    actionCreator: opened,
    effect: async ({ payload: { id } }, { dispatch, getState, cancelActiveListeners, extra }) => {
      cancelActiveListeners();
      const before = besides(extra.recordsKept(), id);
      extra.learnFrom(before);
      try {
        const [records, memories] = await Promise.all([extra.ask('records', {}), extra.ask('memories', {})]);
        const memory = memories.find((row) => row.id === MEMORY)?.value ?? EMPTY_MEMORY;
        const known = remembered(records, memory);
        extra.keepRecords(known);
        if (getState().bench.id !== id) return;
        const now = besides(known, id);
        if (JSON.stringify(now) === JSON.stringify(before)) return;
        extra.learnFrom(now);
        dispatch(planAgain());
      } catch {
        // Without a server what is kept here stands.
      }
    },
  });
}
