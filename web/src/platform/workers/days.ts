import { stoodOf, type BenchCalendar, type Sooner, type Spare, type Tonight } from '@sill/core';
import { proxy } from 'comlink';
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

/**
 * Work laid out with a long search, and a bound. What was searched before is stopped.
 *
 * @param stood days that were laid out before: kept as far as they still hold and are no later.
 */
export const layOut = (about: DaysOf, stood: BenchCalendar | null): Promise<BenchCalendar> => {
  stopDays();
  const before = stood && stoodOf(stood);
  return searcher.ask((remote) => remote.layOut(daysAsked(about), rangeAsked(about), before));
};

/** The same days with a nearer bound. Stopped as the search is. */
export const proveDays = (about: DaysOf, days: BenchCalendar): Promise<BenchCalendar> =>
  searcher.ask((remote) => remote.prove(daysAsked(about), days));

/**
 * Days that are ready sooner with the same hours, or the same days. Stopped as the search is.
 *
 * @param seed another one looks elsewhere.
 * @param heard told each that was found on the way.
 */
export const lookOn = (
  about: DaysOf,
  days: BenchCalendar,
  seed: number,
  heard: (days: BenchCalendar) => void,
): Promise<BenchCalendar> => searcher.ask((remote) => remote.look(daysAsked(about), days, seed, proxy(heard)));

/** Single changes of hours, hands and things that bring the day forward. What was tried before is stopped. */
export const soonerFor = (about: DaysOf, ready: string): Promise<readonly Sooner[]> => {
  trier.stop();
  return trier.ask((remote) => remote.sooner(daysAsked(about), ready));
};

/** What fits into a while that was not planned. */
export const tonightIn = (about: DaysOf, spare: Spare, chain: readonly string[]): Promise<Tonight> =>
  asked.ask((remote) => remote.tonight(daysAsked(about), spare, chain));
