import { expose } from 'comlink';
import wasm from 'highs/runtime?url';
import { loadIntegerSolver } from '@sill/core/highs';
import {
  compareTops,
  newPlanCache,
  planByMaterials,
  planJob,
  rehearse,
  waysOfJoint,
  type CutProblem,
  type Job,
  type Nominal,
  type Plan,
  type Rehearsal,
  type SolveCache,
  type Solved,
  type TopOption,
  type Way,
} from '@sill/core';

/** Pools of boards solved and pieces built before; the oldest go when there are many. */
const cache = newPlanCache();
const MOST_KEPT = 400;
const MOST_PARTS = 8000;

const trim = () => {
  for (const [kept, most] of [
    [cache.solved, MOST_KEPT],
    [cache.models, MOST_KEPT],
    [cache.parts, MOST_PARTS],
  ] as const)
    for (const key of kept.keys()) {
      if (kept.size <= most) break;
      kept.delete(key);
    }
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
        const answer = await fetch('/api/solve', {
          method: 'POST',
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

const worker = {
  plan(job: Job, today: string): Plan {
    trim();
    return planJob(job, { today, effort: 'quick', cache });
  },
  /** The longer search; tells what is better than before as it is found. Only it solves integer programs. */
  async prove(job: Job, today: string, heard: (plan: Plan | null, share: number) => void): Promise<Plan> {
    trim();
    const integer = await loadIntegerSolver(wasm);
    planJob(job, { today, effort: 'quick', cache });
    await solveElsewhere(cache.solved);
    let least = Infinity;
    return planByMaterials(job, { today, cache, integer }, (plan, share) => {
      const better = plan.list.total < least;
      least = Math.min(least, plan.list.total);
      heard(better ? plan : null, share);
    });
  },
  compareTops(job: Job, plan: Plan, pieceId: string, today: string): readonly TopOption[] {
    return compareTops(job, plan, pieceId, { today, effort: 'quick', cache });
  },
  rehearse(plan: Plan, job: Job): Rehearsal {
    return rehearse(plan, job);
  },
  waysOfJoint(job: Job, pieceId: string, jointId: string, topNominal: Nominal, all: boolean): readonly Way[] {
    return waysOfJoint(job, pieceId, jointId, topNominal, all);
  },
};

export type PlanWorker = typeof worker;
expose(worker);
