import { applyChanges, type Entry, type Job, type OnHand } from '../job';
import { entered } from '../ledger';
import type { Stamp } from '../buying';

/** Ids one after the other, all on one day. */
export function newStamp(at: string | null = '2026-11-28T09:00'): Stamp {
  let ids = 0;
  return { id: () => `e${++ids}`, at };
}

/** A job with more told in its ledger. */
export const told = (job: Job, entries: readonly Entry[]): Job => applyChanges(job, entries.map(entered));

/** A job that has these rows on hand. */
export const found = (job: Job, hands: readonly OnHand[]): Job =>
  told(
    job,
    hands.map((hand) => ({ id: `found.${hand.id}`, at: null, what: 'found', hand })),
  );
