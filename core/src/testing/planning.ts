import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import { newJob, type Job } from '../job';
import { demoJob, newPiece } from '../piece';
import { newPlanCache, planJob, type Plan, type PlanCache } from '../plan';

const TODAY = '2026-11-28';

/** What was built of pieces, without the boards that were solved for them: those are looked for anew. */
export const builtOf = ({ models, parts }: PlanCache): PlanCache => ({ ...newPlanCache(), models, parts });

/** Plans one job after the other with what is known of those before, as the program does while a person changes one. */
export function planning(today = TODAY): (job: Job) => Plan {
  const cache = newPlanCache();
  return (job) => planJob(job, { today, effort: 'quick', cache });
}

/** The first so many pieces of the demo: planned and drawn in a part of its time, where all four are not asked for. */
export const fewOfDemo = (count: number): Job => ({ ...demoJob(), pieces: demoJob().pieces.slice(0, count) });

/** A job of one piece, as the gallery has it. */
export const startJob = (start: string): Job => ({ ...newJob('j'), pieces: [newPiece('p', start)] });

/** Of all that is in a test's bundle; nothing where it is not bundled. */
declare const SOURCES: string | undefined;
const KEPT = typeof SOURCES === 'string' ? join(process.cwd(), 'node_modules/.cache/plans', SOURCES) : null;
const plans = new Map<string, Plan>();
/** Of jobs that differ in little, what does not is worked out once. */
const cache = newPlanCache();

/**
 * The quick plan of a job that several tests read: worked out once by each version of the program, by whichever test
 * file asks first, and read from there by the others. It comes back as it does from a worker.
 */
export function planned(job: Job, today = TODAY): Plan {
  const key = createHash('sha256')
    .update(JSON.stringify([today, job]))
    .digest('hex');
  const known = plans.get(key);
  if (known) return known;
  const file = KEPT === null ? null : join(KEPT, key);
  const plan =
    file !== null && existsSync(file)
      ? (deserialize(readFileSync(file)) as Plan)
      : planJob(job, { today, effort: 'quick', cache });
  plans.set(key, plan);
  if (KEPT !== null && file !== null && !existsSync(file)) {
    mkdirSync(KEPT, { recursive: true });
    // Whole at once: another test file may be reading it.
    const own = `${file}.${process.pid}`;
    writeFileSync(own, serialize(plan));
    renameSync(own, file);
  }
  return plan;
}
