import { useMemo } from 'react';
import {
  doneAs,
  entered,
  holdingsOf,
  isDone,
  misentryOf,
  misentryWords,
  readingsOf,
  reckoned,
  type Change,
  type Doing,
  type Entry,
  type Holdings,
  type Job,
  type Plan,
  type Readings,
} from '@sill/core';
import { useApp, useChange, useJob, usePlan } from './hooks';
import { newId } from './newId';
import { said } from './view';

/** How entries are signed here; the minute is put to them when they are told. */
export const STAMP = { id: newId, at: null };

/** What is owned, cut and done in the job. */
export function useHoldings(): Holdings {
  const { ledger } = useJob();
  return useMemo(() => holdingsOf({ ledger }), [ledger]);
}

/** What was measured of a piece. */
export const useReadings = (piece: string): Readings => readingsOf(useJob(), piece);

/** The first of these that is told says what the job was to come to. */
const BEGINS: ReadonlySet<Entry['what']> = new Set(['bought', 'box', 'cut', 'done', 'clock', 'timed']);

/** What the job was to come to, where these entries are the first of its work. */
function settingOut({ ledger }: Job, plan: Plan | null, entries: readonly Entry[]): readonly Entry[] {
  const begins = plan !== null && entries.some(({ what }) => BEGINS.has(what));
  return begins && ledger.every(({ what }) => what !== 'set out' && !BEGINS.has(what))
    ? [{ id: STAMP.id(), at: STAMP.at, what: 'set out', ...reckoned(plan) }]
    : [];
}

/** Tells what happened: written where it can be so, else said why not, and nothing is changed. */
export function useTell(): (entries: readonly Entry[], more?: readonly Change[]) => void {
  const job = useJob();
  const plan = usePlan();
  const change = useChange();
  const dispatch = useApp();
  return (entries, more = []) => {
    const wrong = misentryOf(job, entries);
    if (wrong) dispatch(said({ text: misentryWords(wrong), bad: true }));
    else if (entries.length + more.length > 0)
      change([...[...settingOut(job, plan, entries), ...entries].map(entered), ...more]);
  };
}

/** An entry that says one thing of something: that it is spoiled, taken back, given away; or of an entry, a mistake. */
export const about = (what: 'spoiled' | 'returned' | 'gone' | 'corrected', of: string): Entry => ({
  ...{ id: STAMP.id(), at: STAMP.at, what, of },
});

/** Work that is ticked off: steps, and passes at the saw. */
export function useDone() {
  const holdings = useHoldings();
  const tell = useTell();
  const has = (doing: Doing) => isDone(doing, holdings);
  const tick = (all: readonly Doing[]) =>
    all.filter((doing) => !has(doing)).map((doing) => doneAs(doing, { id: STAMP.id(), at: STAMP.at }));
  return {
    has,
    toggle: (doing: Doing) => {
      const before = holdings.done.get(doing.id);
      tell(has(doing) && before ? [about('corrected', before.id)] : tick([doing]));
    },
    /** Ticks those that are not; no change where all are. `more` is told and `changes` are made with them. */
    tick: (all: readonly Doing[], more: readonly Entry[] = [], changes: readonly Change[] = []) =>
      tell([...tick(all), ...more], changes),
  };
}
