import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { CutProblemSchema, planJob, read, readJobText, solve, type ReadResult } from '../src';

const USAGE = `Usage:
  npm run -s sill -- plan job.json [--today 2026-01-31]
  npm run -s sill -- solve problem.json [--time-limit 10]`;

/** One line an error on standard error, nothing on standard output, exit code 2. */
function refuse(lines: readonly string[]): never {
  process.stderr.write(`${lines.join('\n')}\n`);
  process.exit(2);
}

function fileText(path: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return refuse([`${path}: can not be opened. Give the path of a JSON file.`]);
  }
}

function accepted<T>(result: ReadResult<T>): T {
  if (result.ok) return result.value;
  const lines = result.fields.map(({ field, message }) => `${field}: ${message}`);
  return refuse(lines.length > 0 ? lines : [result.message]);
}

function json(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return refuse(['the file: must be JSON from end to end']);
  }
}

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

function options() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: { 'time-limit': { type: 'string', default: '60' }, today: { type: 'string' } },
    });
  } catch (error) {
    return refuse([(error as Error).message, USAGE]);
  }
}

const { positionals, values } = options();
const [command, path] = positionals;
if (path === undefined || (command !== 'plan' && command !== 'solve')) refuse([USAGE]);

if (command === 'plan') {
  const job = accepted(readJobText(fileText(path)));
  const today = values.today ?? new Date().toISOString().slice(0, 10);
  if (Number.isNaN(Date.parse(today))) refuse(['--today: must be a date such as 2026-01-31']);
  print(planJob(job, { today }));
} else {
  const limit = Number(values['time-limit']);
  if (!(limit > 0)) refuse(['--time-limit: must be a number of seconds above 0']);
  const problem = accepted(read(CutProblemSchema, json(fileText(path)), 'cut problem'));
  const start = performance.now();
  const solution = solve(problem, { stopped: () => performance.now() - start > limit * 1000 });
  print({ ...solution, seconds: Math.round(performance.now() - start) / 1000 });
}
