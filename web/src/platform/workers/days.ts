import type { BenchCalendar, Sooner, Spare, Tonight } from '@sill/core';
import { asking } from './asking';
import { daysAsked, rangeAsked, type DaysOf } from './days-asked';
import type { DaysWorker } from './days.worker';

const start = () => new Worker(new URL('./days.worker.ts', import.meta.url), { type: 'module' });
/** The long search of days; ending the worker is how it is stopped. */
const searcher = asking<DaysWorker>(start);
const trier = asking<DaysWorker>(start);
/** Small questions about them, which wait for no search. */
const asked = asking<DaysWorker>(start);

/** Stops the search for better days; what was asked is refused as stopped. */
export const stopDays = (): void => searcher.stop();

/** Work laid out with a long search, and a bound. What was searched before is stopped. */
export const layOut = (about: DaysOf): Promise<BenchCalendar> => {
  stopDays();
  return searcher.ask((remote) => remote.layOut(daysAsked(about), rangeAsked(about)));
};

/** The same days with a nearer bound. Stopped as the search is. */
export const proveDays = (about: DaysOf, days: BenchCalendar): Promise<BenchCalendar> =>
  searcher.ask((remote) => remote.prove(daysAsked(about), days));

/** Single changes of hours, hands and things that bring the day forward. What was tried before is stopped. */
export const soonerFor = (about: DaysOf, ready: string): Promise<readonly Sooner[]> => {
  trier.stop();
  return trier.ask((remote) => remote.sooner(daysAsked(about), ready));
};

/** What fits into a while that was not planned. */
export const tonightIn = (about: DaysOf, spare: Spare, chain: readonly string[]): Promise<Tonight> =>
  asked.ask((remote) => remote.tonight(daysAsked(about), spare, chain));
