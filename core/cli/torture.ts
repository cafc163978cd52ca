/**
 * `npm run torture -- --minutes N --seed S`: jobs that can be read and that nobody would write, one after the other through
 * the planner and the rehearsal. Prints each that throws, that falls back on a note of a fault, or that takes too long.
 */
import { fork, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import { planJob, rehearse, type Plan } from '../src';
import { mutants } from '../src/testing/mutants';
import { fallenBack } from '../src/unworked';
import { numberOf } from './arguments';

/** A job may take so long, and no longer. */
const LIMIT_MS = 20_000;

type Outcome = { readonly seed: number; readonly none?: true; readonly wrong?: string; readonly ms: number };

/** One mutant planned and rehearsed in this process. */
function tried(seed: number): Outcome {
  const [job] = fc.sample(mutants, { numRuns: 1, seed });
  if (!job) return { seed, none: true, ms: 0 };
  const start = performance.now();
  const took = () => performance.now() - start;
  try {
    const plan: Plan = planJob(job, { today: '2026-01-31', effort: 'quick' });
    rehearse(plan, job);
    const notes = fallenBack(plan);
    return { seed, ms: took(), ...(notes.length > 0 ? { wrong: notes.join('; ') } : {}) };
  } catch (error) {
    return { seed, ms: took(), wrong: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}

async function torture(minutes: number, from: number): Promise<number> {
  const file = fileURLToPath(import.meta.url);
  const until = performance.now() + minutes * 60_000;
  let child: ChildProcess | null = null;
  let [planned, failed, longest] = [0, 0, 0];
  for (let seed = from; performance.now() < until; seed++) {
    const worker: ChildProcess = (child ??= fork(file, ['--try'], { execArgv: ['--import', 'tsx'] }));
    const outcome = await new Promise<Outcome>((settle) => {
      const timer = setTimeout(() => settle({ seed, ms: LIMIT_MS, wrong: 'takes too long' }), LIMIT_MS);
      const end = (told: Outcome) => {
        clearTimeout(timer);
        worker.removeAllListeners();
        settle(told);
      };
      worker.once('message', (told: Outcome) => end(told));
      worker.once('exit', () => end({ seed, ms: 0, wrong: 'the process ended' }));
      worker.send(seed);
    });
    if (outcome.none) continue;
    planned++;
    longest = Math.max(longest, outcome.ms);
    if (outcome.wrong === undefined) continue;
    failed++;
    console.log(`seed ${seed}: ${outcome.wrong}`);
    worker.removeAllListeners();
    worker.kill('SIGKILL');
    child = null;
  }
  child?.kill();
  console.log(
    `${planned} jobs planned and rehearsed, ${failed} failed, the longest took ${(longest / 1000).toFixed(1)} s`,
  );
  return failed;
}

if (process.argv.includes('--try')) process.on('message', (seed: number) => process.send!(tried(seed)));
else process.exit((await torture(numberOf('--minutes', 5, 'any'), numberOf('--seed', 1, 'any'))) > 0 ? 1 : 0);
