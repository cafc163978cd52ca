import { loadIntegerSolver } from '@sill/core/highs';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';
import {
  laidOut,
  LOOKING_MS,
  lookedFurther,
  PROVING_MS,
  provedFurther,
  soonerBy,
  tonight,
  withRange,
  type BenchCalendar,
  type Spare,
  type Stood,
} from '@sill/core';
import type { DaysAsked, RangeAsked } from './days-asked';

const worker = {
  layOut: ({ tasks, job, now }: DaysAsked, range: RangeAsked, stood: Stood | null) =>
    withRange(laidOut(tasks, job, now, 'full', stood), range, job),
  /** The same days with a nearer bound, if one is found in time. */
  async prove({ tasks, job }: DaysAsked, days: BenchCalendar): Promise<BenchCalendar> {
    const integer = await loadIntegerSolver(wasm);
    const begun = performance.now();
    return provedFurther(tasks, job, days, integer, () => performance.now() - begun > PROVING_MS);
  },
  /** Days that are ready sooner, looked for as long as a person may wait; the same where none are found. */
  look({ tasks, job }: DaysAsked, days: BenchCalendar, seed: number, heard: (days: BenchCalendar) => void) {
    const begun = performance.now();
    return lookedFurther(tasks, job, days, seed, heard, () => performance.now() - begun > LOOKING_MS);
  },
  /** `ready` is the day it is ready by an equally long search, so that luck is no gain. */
  sooner: ({ tasks, job, now }: DaysAsked, ready: string) => soonerBy(tasks, job, now, ready, 'full'),
  tonight: ({ tasks, job, now }: DaysAsked, spare: Spare, chain: readonly string[]) =>
    tonight(tasks, job.calendar, job.shop.clamps, now, spare, new Set(chain)),
};

export type DaysWorker = typeof worker;
expose(worker);
