import { proxy, wrap, type Remote } from 'comlink';
import { formatISO } from 'date-fns';
import type { Job, Nominal, Plan, Rehearsal, TopOption, Way } from '@sill/core';
import type { PlanWorker } from './plan.worker';

const start = () => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });

/** Quick plans, one after the other; kept for the whole session so that its memory of solved boards lasts. */
let quick: { readonly worker: Worker; readonly remote: Remote<PlanWorker> } | null = null;
/** The longer search. Ending the worker is how it is stopped. */
let prover: Worker | null = null;

export const today = (): string => formatISO(new Date(), { representation: 'date' });

function quickWorker(): Remote<PlanWorker> {
  if (!quick) {
    const worker = start();
    quick = { worker, remote: wrap<PlanWorker>(worker) };
  }
  return quick.remote;
}

/** Ends a quick plan that takes too long. What was asked of it never settles; the next one starts afresh. */
export function stopPlan(): void {
  quick?.worker.terminate();
  quick = null;
}

export const planQuickly = (job: Job): Promise<Plan> => quickWorker().plan(job, today());

export const topOptions = (job: Job, plan: Plan, pieceId: string): Promise<readonly TopOption[]> =>
  quickWorker().compareTops(job, plan, pieceId, today());

/** A plan carried out as it is told, operation by operation. */
export const rehearsed = (plan: Plan, job: Job): Promise<Rehearsal> => quickWorker().rehearse(plan, job);

/** The ways to make a joint; for all of its kind where `all`. */
export const jointWays = (
  job: Job,
  pieceId: string,
  jointId: string,
  topNominal: Nominal,
  all: boolean,
): Promise<readonly Way[]> => quickWorker().waysOfJoint(job, pieceId, jointId, topNominal, all);

export function stopProof(): void {
  prover?.terminate();
  prover = null;
}

/**
 * Searches longer for the same job. Never settles when it is stopped.
 *
 * @param heard told a better plan, or null, and the share of the search that is done.
 */
export function prove(job: Job, heard: (plan: Plan | null, share: number) => void): Promise<Plan> {
  stopProof();
  prover = start();
  return wrap<PlanWorker>(prover).prove(job, today(), proxy(heard));
}
