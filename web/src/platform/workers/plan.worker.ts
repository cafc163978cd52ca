import { addressOf, ROUTES } from '@sill/core/contract';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';
import { loadIntegerSolver } from '@sill/core/highs';
import {
  finishWays,
  type FinishWay,
  compareTops,
  cutsOf,
  forecastOf,
  leanOn,
  readingsOf,
  newPlanCache,
  planByMaterials,
  planJob,
  priceJob,
  rehearse,
  waysOfJoint,
  type CutProblem,
  type Forecast,
  type Job,
  type JobRecord,
  type Lean,
  type Leaned,
  type Nominal,
  type Plan,
  type Rehearsal,
  type SolveCache,
  type Solved,
  type TopOption,
  type WayCompared,
} from '@sill/core';
import { inTurns } from '../in-turns';
import { newSender, type Heavy, type LightPlan } from './handing';
import { keepPlan, lastPlan } from './last-plan';

/** Pools of boards solved and pieces built before; the oldest go when there are many. */
const cache = newPlanCache();
const MOST_KEPT = 400;
const MOST_PARTS = 8000;

/** The oldest of what is kept go, down to so many. */
function shorten<K>(kept: Map<K, unknown>, most: number): void {
  for (const key of kept.keys()) {
    if (kept.size <= most) break;
    kept.delete(key);
  }
}

const trim = () => {
  shorten(cache.solved, MOST_KEPT);
  shorten(cache.models, MOST_KEPT);
  shorten(cache.parts, MOST_PARTS);
};

/** Pools of so many pieces are solved by the server, where it answers: a phone would take minutes. */
const LARGE = 400;

/** Asks the server for the long lists among those that were solved quickly, and keeps what it says. */
async function solveElsewhere(solved: SolveCache): Promise<void> {
  const long = [...solved.keys()].flatMap((key) => {
    const text = key.startsWith('quick ') ? key.slice('quick '.length) : null;
    if (text === null || solved.has(`full ${text}`)) return [];
    const { parts } = JSON.parse(text) as CutProblem;
    return parts.reduce((sum, { quantity }) => sum + quantity, 0) >= LARGE ? [text] : [];
  });
  await Promise.all(
    long.map(async (text) => {
      try {
        const answer = await fetch(addressOf(ROUTES.solve, {}), {
          method: ROUTES.solve.method,
          headers: { 'Content-Type': 'application/json' },
          body: `{"problem":${text}}`,
        });
        if (answer.ok) solved.set(`full ${text}`, ((await answer.json()) as { solved: Solved }).solved);
      } catch {
        // No server: it is solved here.
      }
    }),
  );
}

/** What is told on the other side: parts of a plan before it, and what a longer search finds. */
type Told = {
  part(key: string, heavy: Heavy): void | Promise<void>;
  heard(plan: LightPlan | null, share: number): void | Promise<void>;
};

const send = newSender();
/** Settles when all that the plan needs is there. */
async function handOver(plan: Plan, told: Told): Promise<LightPlan> {
  const { light, parts } = send(plan);
  for (const [key, heavy] of parts) await told.part(key, heavy);
  return light;
}
/** What is sent is counted on by the next: one after the other. */
const inTurn = inTurns();

/** A plan that stands for so long is kept for the next opening; while a person types, none is. */
const STANDS_MS = 1500;
let keeping: ReturnType<typeof setTimeout> | undefined;
function keepInAWhile(id: string | null, job: Job, plan: Plan): void {
  clearTimeout(keeping);
  if (id !== null)
    keeping = setTimeout(() => void keepPlan({ id, job, plan, program: __PROGRAM__, at: Date.now() }), STANDS_MS);
}

/** What a plan rests on beside its job: the minute it is, and what other jobs of this builder say. */
export type Seen = { readonly today: string; readonly records: readonly JobRecord[] };

const worker = {
  /** `id` of the job under which the plan is kept for its next opening; null keeps none. */
  plan: (job: Job, seen: Seen, id: string | null, told: Told): Promise<LightPlan> =>
    inTurn(async () => {
      trim();
      const plan = planJob(job, { ...seen, effort: 'quick', cache });
      const light = await handOver(plan, told);
      keepInAWhile(id, job, plan);
      return light;
    }),
  /** What the job came to when it was last open here; null where that is not known. */
  last: (id: string, told: Told): Promise<{ readonly job: Job; readonly light: LightPlan } | null> =>
    inTurn(async () => {
      const found = await lastPlan(id, __PROGRAM__);
      return found && { job: found.job, light: await handOver(found.plan, told) };
    }),
  /** The longer search; tells what is better than before as it is found. Only it solves integer programs. */
  async prove(job: Job, seen: Seen, id: string | null, told: Told): Promise<LightPlan> {
    trim();
    const integer = await loadIntegerSolver(wasm);
    priceJob(job, { ...seen, effort: 'quick', cache });
    await solveElsewhere(cache.solved);
    const best = planByMaterials(job, { ...seen, cache, integer }, (better, share) => {
      if (!better) return void told.heard(null, share);
      const { light, parts } = send(better);
      for (const [key, heavy] of parts) void told.part(key, heavy);
      void told.heard(light, share);
    });
    // What was told on the way is taken in before what comes back.
    await told.heard(null, 1);
    keepInAWhile(id, job, best);
    return handOver(best, told);
  },
  compareTops(job: Job, plan: Plan, pieceId: string, seen: Seen): readonly TopOption[] {
    return compareTops(job, plan, pieceId, { ...seen, effort: 'quick', cache });
  },
  finishWays(job: Job, pieceId: string, seen: Seen): readonly FinishWay[] {
    return finishWays(job, pieceId, { ...seen, effort: 'quick', cache });
  },
  lean(job: Job, pieceId: string, lean: Lean, seen: Seen): Leaned | null {
    const facts = planJob(job, { ...seen, effort: 'quick', cache }).pieces.find(({ piece }) => piece.id === pieceId);
    return facts ? leanOn(facts.parts, facts.fastenings, lean) : null;
  },
  forecast(job: Job, pieceId: string, seen: Seen): Forecast | null {
    const { pieces, setups } = planJob(job, { ...seen, effort: 'quick', cache });
    const facts = pieces.find(({ piece }) => piece.id === pieceId);
    return facts && facts.parts.length > 0
      ? forecastOf(facts.parts, facts.fastenings, setups, readingsOf(job, pieceId).asBuilt, cutsOf(seen.records))
      : null;
  },
  rehearse(plan: Plan, job: Job): Rehearsal {
    return rehearse(plan, job);
  },
  waysOfJoint(job: Job, pieceId: string, jointId: string, topNominal: Nominal, all: boolean): readonly WayCompared[] {
    return waysOfJoint(job, pieceId, jointId, topNominal, all);
  },
};

export type PlanWorker = typeof worker;
expose(worker);
