import { proxy } from 'comlink';
import { formatISO } from 'date-fns';
import type { Job, Nominal, Plan, Rehearsal, TopOption, Way } from '@sill/core';
import { asking, WorkerGone } from './asking';
import type { PlanWorker } from './plan.worker';

const start = () => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });

/** Quick plans, one after the other; kept for the whole session so that its memory of solved boards lasts. */
const quick = asking<PlanWorker>(start);
/** The longer search. Ending the worker is how it is stopped. */
const prover = asking<PlanWorker>(start);

export const today = (): string => formatISO(new Date(), { representation: 'date' });

/** Ends a quick plan that takes too long: it is refused as stopped. The next one starts afresh. */
export const stopPlan = (): void => quick.end();

/** A plan; where the worker dies on it, once more with a fresh one. */
export const planQuickly = async (job: Job): Promise<Plan> => {
  const ask = () => quick.ask((remote) => remote.plan(job, today()));
  try {
    return await ask();
  } catch (error) {
    if (!(error instanceof WorkerGone)) throw error;
    return ask();
  }
};

export const topOptions = (job: Job, plan: Plan, pieceId: string): Promise<readonly TopOption[]> =>
  quick.ask((remote) => remote.compareTops(job, plan, pieceId, today()));

/** A plan carried out as it is told, operation by operation. */
export const rehearsed = (plan: Plan, job: Job): Promise<Rehearsal> =>
  quick.ask((remote) => remote.rehearse(plan, job));

/** The ways to make a joint; for all of its kind where `all`. */
export const jointWays = (
  job: Job,
  pieceId: string,
  jointId: string,
  topNominal: Nominal,
  all: boolean,
): Promise<readonly Way[]> => quick.ask((remote) => remote.waysOfJoint(job, pieceId, jointId, topNominal, all));

export const stopProof = (): void => prover.end();

/**
 * Searches longer for the same job. Refused as stopped where it is stopped.
 *
 * @param heard told a better plan, or null, and the share of the search that is done.
 */
export function prove(job: Job, heard: (plan: Plan | null, share: number) => void): Promise<Plan> {
  stopProof();
  return prover.ask((remote) => remote.prove(job, today(), proxy(heard)));
}
