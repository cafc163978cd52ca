import { cpus } from 'node:os';
import { Bench } from 'tinybench';
import {
  applyChanges,
  buildPiece,
  compareTops,
  DEFAULT_SHOP,
  demoJob,
  inches,
  newJob,
  newPlanCache,
  outlinedFaces,
  pieceFrom,
  planJob,
  seeded,
  solidOf,
  solve,
  STARTS,
  topCandidates,
  type CutProblem,
  type Job,
  type PlanCache,
} from '../core/src';

/**
 * Measures on this machine, printed as tables. Times depend on the machine; how they stand to each other and what was
 * proved do not. `npm run bench`.
 */
const today = '2026-11-24';
const print = (title: string, rows: readonly Record<string, string | number>[]) => {
  process.stdout.write(`\n${title}\n`);
  console.table(rows);
};
const ms = (value: number) => Math.round(value * 10) / 10;
const quantile = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;

/** Every task changes the size a little each time, so that nothing is answered from memory of the same question. */
async function planning() {
  const job = demoJob();
  const one: Job = { ...job, pieces: [job.pieces[0]!] };
  const bench = new Bench({ time: 4000, warmupTime: 1000 });
  const changing = (of: Job, effort: 'quick' | 'full', cache: PlanCache | undefined) => {
    let step = 0;
    return () => {
      step = (step + 1) % 97;
      const changed = applyChanges(of, [{ piece: 'glaze', path: ['size', 'length'], value: inches(56 + step / 8) }]);
      planJob(changed, { today, effort, ...(cache ? { cache } : {}) });
    };
  };
  bench
    .add('glaze table alone, quick', changing(one, 'quick', undefined))
    .add('demo job, quick, as typed', changing(job, 'quick', undefined))
    .add('demo job, quick, with the memory the worker keeps', changing(job, 'quick', newPlanCache()))
    .add('demo job, full', changing(job, 'full', undefined));
  const plan = planJob(job, { today, effort: 'quick' });
  bench.add('the same top, five ways', () => void compareTops(job, plan, 'glaze', { today, effort: 'quick' }));
  await bench.run();
  print(
    `Recomputing the plan after a changed size. Demo job: ${job.pieces.length} pieces, ${plan.parts.length} parts, ${plan.cuts.length} cuts, ${plan.buying.boards.length} boards, one top left to "cheapest".`,
    bench.tasks.map((task) => {
      const result = task.result;
      return 'latency' in result
        ? {
            task: task.name,
            'median ms': ms(result.latency.p50),
            '99 % ms': ms(result.latency.p99),
            runs: result.latency.samplesCount,
          }
        : { task: task.name, 'median ms': 'failed', '99 % ms': '', runs: 0 };
    }),
  );
}

/** Median of so many runs, each a little different. */
function median(runs: number, act: (run: number) => void): number {
  const times = Array.from({ length: runs }, (_, run) => {
    const start = performance.now();
    act(run);
    return performance.now() - start;
  });
  return ms(
    quantile(
      [...times].sort((a, b) => a - b),
      0.5,
    ),
  );
}

/** Every kind of the gallery: building it, the bodies a drawing needs, and the whole plan of it, size changed each time. */
function shapes() {
  const rows = [
    ...STARTS,
    {
      ...STARTS.find((start) => start.id === 'chest')!,
      id: 'a case of 4 columns, 20 drawers',
      size: [80, 20, 40] as const,
      choices: { front: 'drawers', columns: 4, drawers: 5 },
    },
  ].map((start) => {
    const piece = (run: number) => {
      const at = pieceFrom(start, 'p');
      // Tiles keep their size: it follows from them. The others grow by an eighth each time.
      const more = start.id === 'tiled' ? 0 : inches(run / 8);
      const square = at.size.length === at.size.width;
      return { ...at, size: { ...at.size, length: at.size.length + more, width: at.size.width + (square ? more : 0) } };
    };
    const build = (run: number) => buildPiece(piece(run), topCandidates(piece(run))[0]!, DEFAULT_SHOP, 'in');
    const plan = (run: number) => planJob({ ...newJob('bench'), pieces: [piece(run)] }, { today, effort: 'quick' });
    for (let warm = 0; warm < 3; warm++) plan(warm + 40);
    return {
      piece: start.id,
      parts: build(0).parts.length,
      'build ms': median(15, build),
      'with bodies ms': median(15, (run) => build(run).parts.forEach((part) => outlinedFaces(solidOf(part)))),
      'whole plan ms': median(15, plan),
    };
  });
  print(
    'Every kind of piece, median of 15 changed sizes. "With bodies" is what the model needs to be drawn anew.',
    rows,
  );
}

/** Home-size lists on boards of one width, prices near proportional to length, as yards have them. */
function randomLists(count: number, seed: number, mostKinds: number): readonly CutProblem[] {
  const random = seeded(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  return Array.from({ length: count }, () => ({
    format: 'sill-plan/cut-problem@1' as const,
    unit: 'in' as const,
    kerf: 0.125,
    objective: 'cost' as const,
    stock: [8, 10, 12, 16].map((feet) => ({
      id: `2x4x${feet}`,
      kind: 'board' as const,
      material: 'spf',
      length: feet * 12,
      width: 3.5,
      thickness: 1.5,
      price: Math.round(feet * (52 + 10 * random())) / 100,
      available: null,
      trim: { ends: 0.5, edges: 0 },
      defects: [],
    })),
    parts: Array.from({ length: whole(2, mostKinds) }, (_, at) => ({
      id: `p${at}`,
      quantity: whole(1, 6),
      material: 'spf',
      length: whole(8 * 8, 60 * 8) / 8,
      width: 3.5,
      thickness: 1.5,
      grain: 'any' as const,
    })),
  }));
}

/** What a person does: longest first into the first board that has room, else a new one of the cheapest length that fits. */
function byHand({ stock, parts, kerf }: CutProblem): number {
  const pieces = parts
    .flatMap(({ length, quantity }) => Array.from({ length: quantity }, () => length))
    .sort((a, b) => b - a);
  const open: number[] = [];
  let cost = 0;
  for (const length of pieces) {
    const at = open.findIndex((room) => room >= length);
    if (at >= 0) {
      open[at]! -= length + kerf;
      continue;
    }
    const board = stock
      .filter((row) => row.length - 1 >= length)
      .reduce((best, row) => (row.price / row.length < best.price / best.length ? row : best));
    cost += Math.round(board.price * 100);
    open.push(board.length - 1 - length - kerf);
  }
  return cost / 100;
}

function cutting() {
  const rows = [4, 8, 15].map((mostKinds) => {
    const lists = randomLists(60, 7, mostKinds);
    const times: number[] = [];
    let proved = 0;
    let gap = 0;
    let saved = 0;
    for (const list of lists) {
      const start = performance.now();
      const solution = solve(list);
      times.push(performance.now() - start);
      if (solution.status === 'optimal') proved++;
      gap += (solution.cost - solution.lowerBound) / solution.cost;
      saved += 1 - solution.cost / byHand(list);
    }
    times.sort((a, b) => a - b);
    return {
      'lengths a list': `2 to ${mostKinds}`,
      lists: lists.length,
      'proved least': `${Math.round((100 * proved) / lists.length)} %`,
      'mean gap to the bound': `${((100 * gap) / lists.length).toFixed(2)} %`,
      'cheaper than by hand': `${((100 * saved) / lists.length).toFixed(1)} %`,
      'median ms': ms(quantile(times, 0.5)),
      'worst ms': ms(times.at(-1)!),
    };
  });
  print(
    'Cut lists from boards of four lengths, full effort, seeded. "By hand" is longest first into the first board that fits.',
    rows,
  );
}

process.stdout.write(`Node ${process.version}, ${cpus().length} cores\n`);
await planning();
shapes();
cutting();
