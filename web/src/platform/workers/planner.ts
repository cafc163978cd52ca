import { proxy } from 'comlink';
import type {
  FinishWay,
  Forecast,
  Job,
  Lean,
  Leaned,
  Nominal,
  Plan,
  Rehearsal,
  TopOption,
  WayCompared,
} from '@sill/core';
import { asking, Stopped, WorkerGone } from './asking';
import { newReceiver, type LightPlan } from './handing';
import type { PlanWorker } from './plan.worker';
import { seen } from './seen';

const start = () => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });

/** Quick plans, one after the other; kept for the whole session so that its memory of solved boards lasts. */
const quick = asking<PlanWorker>(start);
/** The longer search. Ending the worker is how it is stopped: each begins with an empty receiver. */
const prover = asking<PlanWorker>(start);

/** Ends a quick plan that takes too long: it is refused as stopped. The next one starts afresh. */
export const stopPlan = (): void => quick.end();

const received = newReceiver();
const toldQuickly = () => proxy({ part: received.part, heard: () => {} });

/** A plan; where the worker dies on it, once more with a fresh one. It is kept for the next opening of job `id`. */
export const planQuickly = async (job: Job, id: string | null = null): Promise<Plan> => {
  const ask = async () => received.whole(await quick.ask((remote) => remote.plan(job, seen(), id, toldQuickly())));
  try {
    return await ask();
  } catch (error) {
    if (!(error instanceof WorkerGone)) throw error;
    return ask();
  }
};

/** What job `id` came to when it was last open in this browser; null where that is not known. */
export async function planOfLastTime(id: string): Promise<{ readonly job: Job; readonly plan: Plan } | null> {
  const last = await quick
    .ask((remote) => remote.last(id, toldQuickly()))
    .catch((error: unknown) => {
      if (error instanceof Stopped) throw error;
      return null;
    });
  return last && { job: last.job, plan: received.whole(last.light) };
}

export const topOptions = (job: Job, plan: Plan, pieceId: string): Promise<readonly TopOption[]> =>
  quick.ask((remote) => remote.compareTops(job, plan, pieceId, seen()));

/** What comes of a load on a piece; null where its part carries nothing. */
export const leanedOn = (job: Job, pieceId: string, lean: Lean): Promise<Leaned | null> =>
  quick.ask((remote) => remote.lean(job, pieceId, lean, seen()));

/** How true a piece comes out, cut as planned; null where it could not be built. */
export const forecastFor = (job: Job, pieceId: string): Promise<Forecast | null> =>
  quick.ask((remote) => remote.forecast(job, pieceId, seen()));

/** When a piece is finished, compared; empty where it could not be built. */
export const finishWaysFor = (job: Job, pieceId: string): Promise<readonly FinishWay[]> =>
  quick.ask((remote) => remote.finishWays(job, pieceId, seen()));

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
): Promise<readonly WayCompared[]> => quick.ask((remote) => remote.waysOfJoint(job, pieceId, jointId, topNominal, all));

export const stopProof = (): void => prover.end();

/**
 * Searches longer for the same job. Refused as stopped where it is stopped.
 *
 * @param heard told a better plan, or null, and the share of the search that is done.
 */
export async function prove(id: string, job: Job, heard: (plan: Plan | null, share: number) => void): Promise<Plan> {
  stopProof();
  const { part, whole } = newReceiver();
  const told = proxy({ part, heard: (light: LightPlan | null, share: number) => heard(light && whole(light), share) });
  return whole(await prover.ask((remote) => remote.prove(job, seen(), id, told)));
}
