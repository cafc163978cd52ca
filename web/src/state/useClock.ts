import { useMemo } from 'react';
import { clockOf, isLeftOn, minutesBetween, type Entry, type EntryOf } from '@sill/core';
import { useJob } from './hooks';
import { STAMP, useTell } from './useLedger';

/** What time is counted for. */
export type Timed = Pick<EntryOf<'timed'>, 'of' | 'piece' | 'work' | 'planned'>;
/** A clock that was left on while this was done, and the minutes it says. */
export type LeftOn = Timed & { readonly minutes: number };

const clock = (on: boolean): Entry => ({ id: STAMP.id(), at: STAMP.at, what: 'clock', on, since: Date.now() });

/** So long it took, written down afterwards. */
export const tookSo = (about: Timed, minutes: number): Entry => ({
  ...{ id: STAMP.id(), at: STAMP.at, what: 'timed', ...about, minutes, until: null },
});

/** The clock at the bench: what is ticked off while it runs took the time since the last tick. */
export function useClock() {
  const { ledger } = useJob();
  const tell = useTell();
  const since = useMemo(() => clockOf(ledger), [ledger]);
  return {
    /** Since when it runs, ms; null where it stands. */
    since,
    begin: () => {
      if (since === null) tell([clock(true)]);
    },
    stop: () => {
      if (since !== null) tell([clock(false)]);
    },
    /** What is written when this is done; and the clock that was left on meanwhile, about which is asked. */
    read: (about: Timed): { readonly entries: readonly Entry[]; readonly leftOn: LeftOn | null } => {
      if (since === null) return { entries: [], leftOn: null };
      const now = Date.now();
      const minutes = minutesBetween(since, now);
      if (isLeftOn(minutes, about.planned)) return { entries: [clock(true)], leftOn: { ...about, minutes } };
      const stamp = { id: STAMP.id(), at: STAMP.at };
      // Ticked twice in a breath: it goes on counting for the next.
      return { entries: minutes > 0 ? [{ ...stamp, what: 'timed', ...about, minutes, until: now }] : [], leftOn: null };
    },
  };
}
