import { fork, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import { planJob, rehearse, type Plan } from '../core/src';
import { mutants } from '../core/src/testing/mutants';
import { fallenBack } from '../core/src/unworked';
import { goesOn, inLanes, type Ordeal } from './ordeal';

/** A job may take so long, and no longer. */
const LIMIT_MS = 20_000;

type Tried = { readonly seed: number; readonly none?: true; readonly wrong?: string; readonly ms: number };

/** One mutant planned and rehearsed in this process. */
function tried(seed: number): Tried {
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

/** One after the other in a process of its own, which is ended where a job takes too long. */
async function oneByOne(next: () => number | null, told: (outcome: Tried) => void): Promise<void> {
  let child: ChildProcess | null = null;
  for (let seed = next(); seed !== null; seed = next()) {
    const at = seed;
    const worker: ChildProcess = (child ??= fork(fileURLToPath(import.meta.url), ['--try'], {
      execArgv: ['--import', 'tsx'],
    }));
    const outcome = await new Promise<Tried>((settle) => {
      const timer = setTimeout(() => settle({ seed: at, ms: LIMIT_MS, wrong: 'takes too long' }), LIMIT_MS);
      const end = (what: Tried) => {
        clearTimeout(timer);
        worker.removeAllListeners();
        settle(what);
      };
      worker.once('message', (what: Tried) => end(what));
      worker.once('exit', () => end({ seed: at, ms: 0, wrong: 'the process ended' }));
      worker.send(at);
    });
    told(outcome);
    if (outcome.wrong === undefined) continue;
    worker.removeAllListeners();
    worker.kill('SIGKILL');
    child = null;
  }
  child?.kill();
}

/**
 * Jobs that can be read and that nobody would write, through the planner and the rehearsal: none throws, falls back or
 * hangs.
 */
export const jobs: Ordeal = async ({ until, seed, most, lanes }) => {
  const faults: string[] = [];
  let [planned, begun, longest] = [0, seed, 0];
  const next = () => (goesOn({ until, most }, planned) ? begun++ : null);
  const told = ({ none, ms, wrong, seed: of }: Tried) => {
    if (none) return;
    planned++;
    longest = Math.max(longest, ms);
    if (wrong !== undefined) faults.push(`seed ${of}: ${wrong}`);
  };
  await inLanes(lanes, () => oneByOne(next, told));
  return { tried: planned, faults, said: `planned and rehearsed; the longest took ${(longest / 1000).toFixed(1)} s` };
};

if (process.argv.includes('--try')) process.on('message', (seed: number) => process.send!(tried(seed)));
