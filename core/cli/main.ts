import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
  boardName,
  CutProblemSchema,
  isDay,
  plainLetters,
  cutListCsv,
  daysOf,
  labelsOf,
  layoutOf,
  orderCsv,
  partsCsv,
  planJob,
  read,
  readJobText,
  solve,
  usualSeconds,
  svgOf,
  templatesOf,
  type Job,
  type ReadResult,
} from '../src';
import { loadIntegerSolver } from '../src/cutting/highs';
import { writeDays } from '../src/formats/ics';
import { dxfOf, gltfOf } from '../src/formats/out';

const USAGE = `Usage:
  npm run -s sill -- plan job.json [--today 2026-01-31] [--time-limit 10]
  npm run -s sill -- solve problem.json [--time-limit 10]
  npm run -s sill -- export job.json --as csv|svg|dxf|gltf|ics --out FOLDER`;

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
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refuse(['the file: must be JSON from end to end']);
  }
}

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

function options() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        'time-limit': { type: 'string' },
        today: { type: 'string' },
        as: { type: 'string' },
        out: { type: 'string' },
      },
    });
  } catch (error) {
    return refuse([(error as Error).message, USAGE]);
  }
}

const { positionals, values } = options();
const [command, path] = positionals;
if (path === undefined || !['plan', 'solve', 'export'].includes(command ?? '')) refuse([USAGE]);

const KINDS = ['csv', 'svg', 'dxf', 'gltf', 'ics'] as const;

/** Writes part lists and cuts, templates and layouts, or models of a job into a folder, and prints what was written. */
async function exportFiles(job: Job, today: string): Promise<void> {
  const kind = KINDS.find((name) => name === values.as);
  if (!kind) refuse([`--as: must be one of ${KINDS.join(', ')}`]);
  const folder = values.out;
  if (folder === undefined) return refuse(['--out: must be a folder to write into']);
  const orRefuse = (work: () => void) => {
    try {
      work();
    } catch (error) {
      refuse([
        `--out: ${folder} can not be written into (${(error as { code?: string }).code ?? 'no reason given'}). Give a folder that can be made.`,
      ]);
    }
  };
  orRefuse(() => void mkdirSync(folder, { recursive: true }));
  const written: string[] = [];
  const write = (name: string, text: string) => {
    const file = join(folder, plainLetters(name).replace(/[\\/:*?"<>|]+/g, '-'));
    orRefuse(() => writeFileSync(file, text));
    written.push(file);
  };
  const plan = planJob(job, { today, integer: await loadIntegerSolver() });
  const label = labelsOf(job);
  const { boards } = plan.buying;
  if (kind === 'ics') write('days.ics', writeDays(daysOf(plan, job, today, 'full', plan.pace), job));
  if (kind === 'csv') {
    write('pieces.csv', cutListCsv(boards, plan.cuts, job.units, label));
    write('cuts.csv', orderCsv(plan.setups, plan.cuts, job.units, label));
  }
  if (kind === 'svg' || kind === 'dxf')
    for (const board of boards) {
      const title = `${board.number}: ${boardName(board, job.units)}`;
      const layout = [layoutOf(board, label)];
      write(`board ${board.number}.${kind}`, kind === 'svg' ? svgOf(layout, title) : dxfOf(layout, title));
    }
  for (const { piece, parts } of plan.pieces) {
    const cut = parts.filter((part) => part.bought === null);
    const placed = parts.filter((part) => !part.loose);
    if (kind === 'csv') write(`${piece.id} parts.csv`, partsCsv(parts, job.units));
    else if (kind === 'gltf') write(`${piece.id}.gltf`, await gltfOf(placed, piece.name));
    else if (kind !== 'ics')
      for (const part of cut) {
        const title = `${piece.name}, ${part.tag} ${part.name}`;
        const templates = templatesOf(part);
        write(`${piece.id} ${part.tag}.${kind}`, kind === 'svg' ? svgOf(templates, title) : dxfOf(templates, title));
      }
  }
  process.stdout.write(`${written.join('\n')}\n`);
}

/** What ends a search after the limit that was given, or else the usual one, in seconds from when it is begun. */
function stoppedAfter(usual: number): () => () => boolean {
  const limit = Number(values['time-limit'] ?? usual);
  if (!(limit > 0)) refuse(['--time-limit: must be a number of seconds above 0']);
  return () => {
    const start = performance.now();
    return () => performance.now() - start > limit * 1000;
  };
}

if (command === 'plan' || command === 'export') {
  const job = accepted(readJobText(fileText(path)));
  const today = values.today ?? new Date().toISOString().slice(0, 10);
  if (!isDay(today)) refuse(['--today: must be a day that there is, such as 2026-01-31']);
  if (command === 'plan') {
    const within = stoppedAfter(Infinity);
    print(planJob(job, { today, integer: await loadIntegerSolver(), stopped: within() }));
  } else await exportFiles(job, today);
} else {
  const problem = accepted(read(CutProblemSchema, json(fileText(path)), 'cut problem'));
  const within = stoppedAfter(usualSeconds(problem));
  const integer = await loadIntegerSolver();
  const start = performance.now();
  const solution = solve(problem, { integer, stopped: within() });
  print({ ...solution, seconds: Math.round(performance.now() - start) / 1000 });
}
