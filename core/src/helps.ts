import { isSought, soughtWays } from './checking';
import { applyChanges, type Job, type Remedy } from './job';
import { planJob, type Plan, type PlanOptions } from './plan';

/** A way out that was tried, and what taking it adds to the total, cents. */
export type Help = Remedy & { readonly adds: number };

/** Ways out of a note that are looked for only when they are asked for, with their price; empty where none helps. */
export function helpsFor(job: Job, plan: Plan, finding: string, options: PlanOptions): readonly Help[] {
  const found = plan.findings.find(({ id }) => id === finding);
  const facts = plan.pieces.find(({ piece }) => piece.id === found?.piece);
  if (!found || !facts || !isSought(found)) return [];
  return soughtWays(facts, job, found).map((remedy) => {
    const then = planJob(applyChanges(job, remedy.changes), options);
    return { ...remedy, adds: then.list.total - plan.list.total };
  });
}
