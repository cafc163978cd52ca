import { proxy, type Remote } from 'comlink';
import type { CostPoint, Help, Job, SavingsProgress, PieceSide, Sooner } from '@sill/core';
import type { ExploreWorker, SavingsAsked } from './explore.worker';
import { asking } from './asking';
import { seen } from './seen';

type Errand = {
  /** Ends it; nothing more is told. */
  readonly stop: () => void;
  /** Settles when all is told; refused where it was stopped, or where the worker died. */
  readonly done: Promise<void>;
};

/** Each errand has a worker of its own, which ends with it. */
function errand(run: (remote: Remote<ExploreWorker>) => Promise<void>): Errand {
  const worker = asking<ExploreWorker>(
    () => new Worker(new URL('./explore.worker.ts', import.meta.url), { type: 'module' }),
  );
  const done = worker.ask(run).finally(worker.end);
  return { stop: worker.end, done };
}

export const exploreCosts = (job: Job, piece: string, side: PieceSide, told: (point: CostPoint) => void): Errand =>
  errand((remote) => remote.costAround(job, piece, side, seen(), proxy(told)));

/** Ways out of a note that are tried only when they are asked for, with their price, told all at once. */
export const exploreHelps = (job: Job, finding: string, told: (helps: readonly Help[]) => void): Errand =>
  errand(async (remote) => told(await remote.helps(job, finding, seen())));

/** Slow coats swapped for quick ones: when the job is ready then, and what that adds. */
export const exploreCoats = (job: Job, ready: string, told: (ways: readonly Sooner[]) => void): Errand =>
  errand(async (remote) => told(await remote.coats(job, ready, seen())));

export const exploreSavings = (asked: SavingsAsked, told: (so: SavingsProgress) => void): Errand =>
  errand((remote) => remote.savings(asked, seen(), proxy(told)));
