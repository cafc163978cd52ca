import { cpus } from 'node:os';
import { createRequire } from 'node:module';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type * as MaxRects from 'maxrects-packer';
import { Bench } from 'tinybench';
import {
  applyChanges,
  boughtAs,
  boxOf,
  buildPiece,
  cutAs,
  entered,
  spoiledAs,
  compareTops,
  DEFAULT_SHOP,
  demoJob,
  fastenings,
  inches,
  leanOn,
  newJob,
  newPlanCache,
  outlinedFaces,
  set,
  pieceFrom,
  planJob,
  solidOf,
  solve,
  STARTS,
  stepsOf,
  topCandidates,
  usualSeconds,
  type CutProblem,
  type Entry,
  type IntegerSolver,
  type Job,
  type PlanCache,
} from '../core/src';
import { judgedFor } from '../core/src/strength';
import { modelOf } from '../core/src/strength/model';
import { loadIntegerSolver } from '../core/src/cutting/highs';
import { days } from './days';
import { finishing } from './finishing';
import { median, ms, print, quantile, timed, today } from './measure';
import { homeSheets, homeSize, longList, mitred, oneWidth, rectangles } from './lists';

/** Every task changes the size a little each time, so that nothing is answered from memory of the same question. */
async function planning() {
  const job = demoJob();
  const one: Job = { ...job, pieces: [job.pieces[0]!] };
  const bench = new Bench({ time: 4000, warmupTime: 1000 });
  const changing = (of: Job, effort: 'quick' | 'full', cache: PlanCache | undefined) => {
    let step = 0;
    return () => {
      step = (step + 1) % 97;
      const changed = applyChanges(of, [set('glaze', ['size', 'length'], inches(56 + step / 8))]);
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

/**
 * Every kind of the gallery: building it, the bodies a drawing needs, and the whole plan of it, size changed each time.
 */
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
    const whole = timed(31, plan);
    return {
      piece: start.id,
      parts: build(0).parts.length,
      'build ms': median(15, build),
      'with bodies ms': median(15, (run) => build(run).parts.forEach((part) => outlinedFaces(solidOf(part)))),
      'joints and order ms': median(15, (run) => {
        const of = piece(run);
        const model = build(run);
        stepsOf(of, model, fastenings(model.joints, model.parts, 'in', of), newJob('bench'));
      }),
      'whole plan ms': ms(quantile(whole, 0.5)),
      'least ms': ms(whole[0]!),
    };
  });
  print(
    'Every kind of piece, median of 15 changed sizes, of the whole plan 31; how far the least lies below it tells how busy the machine was. "With bodies" is what the model needs to be drawn anew; joints and order: built, every fastener placed, the steps found.',
    rows,
  );
}

/**
 * What a person does: longest first into the first board that has room, else a new one of the cheapest length that
 * fits. Pieces lie end to end on boards at least as wide; nothing is ripped side by side, slants do not nest.
 */
function byHand({ stock, parts, kerf }: CutProblem): number {
  const pieces = parts
    .flatMap(({ length, width, quantity }) => Array.from({ length: quantity }, () => ({ length, width })))
    .sort((a, b) => b.length - a.length);
  const open: { room: number; width: number }[] = [];
  const left = stock.map(({ available }) => available ?? Infinity);
  let cost = 0;
  for (const { length, width } of pieces) {
    const board = open.find((one) => one.room >= length && one.width >= width);
    if (board) {
      board.room -= length + kerf;
      continue;
    }
    const fits = stock.filter(
      (row, at) => row.length - 1 >= length && row.width >= width && left[at]! > 0 && row.defects.length === 0,
    );
    const best = fits.reduce((a, b) => (b.price / b.length / b.width < a.price / a.length / a.width ? b : a));
    left[stock.indexOf(best)]!--;
    cost += Math.round(best.price * 100);
    open.push({ room: best.length - 1 - length - kerf, width: best.width });
  }
  return cost / 100;
}

function cutting(integer: IntegerSolver) {
  const sets: readonly (readonly [string, readonly CutProblem[]])[] = [
    ['one width, 2 to 4 lengths', oneWidth(60, 7, 4)],
    ['one width, 2 to 8 lengths', oneWidth(60, 7, 8)],
    ['one width, 2 to 15 lengths', oneWidth(60, 7, 15)],
    ['home size: three widths, ripped, on hand', homeSize(40, 3)],
    ['mitred ends', mitred(40, 3)],
    ['500 pieces', [longList(500, 1)]],
    ['2000 pieces', [longList(2000, 1)]],
  ];
  const rows = sets.map(([name, lists]) => {
    const times: number[] = [];
    let proved = 0;
    let gap = 0;
    let worst = 0;
    let saved = 0;
    for (const list of lists) {
      const start = performance.now();
      const limit = usualSeconds(list) * 1000;
      const solution = solve(list, { integer, stopped: () => performance.now() - start > limit });
      times.push(performance.now() - start);
      if (solution.status === 'optimal') proved++;
      const off = solution.cost === 0 ? 0 : (solution.cost - solution.lowerBound) / solution.cost;
      gap += off;
      worst = Math.max(worst, off);
      saved += 1 - solution.cost / byHand(list);
    }
    times.sort((a, b) => a - b);
    return {
      lists: `${name} (${lists.length})`,
      'proved least': `${Math.round((100 * proved) / lists.length)} %`,
      'mean gap': `${((100 * gap) / lists.length).toFixed(2)} %`,
      'worst gap': `${(100 * worst).toFixed(2)} %`,
      'cheaper than by hand': `${((100 * saved) / lists.length).toFixed(1)} %`,
      'median ms': ms(quantile(times, 0.5)),
      'worst ms': ms(times.at(-1)!),
    };
  });
  print(
    'Cut lists made from seeds (bench/lists.ts), full effort. "By hand" is longest first into the first board that fits, without ripping or nesting.',
    rows,
  );
}

/** The ten classes of rectangles, three lists of 100 each. */
function sheets(integer: IntegerSolver) {
  let sheetsUsed = 0;
  let bounds = 0;
  const rows = Array.from({ length: 10 }, (_, at) => {
    let used = 0;
    let bound = 0;
    const start = performance.now();
    for (const seed of [1, 2, 3]) {
      const solution = solve(rectangles(at + 1, 100, seed), { integer });
      used += solution.cost;
      bound += solution.lowerBound;
    }
    sheetsUsed += used;
    bounds += bound;
    return {
      class: at + 1,
      sheets: used,
      'at least': bound,
      'ms a list': ms((performance.now() - start) / 3),
    };
  });
  print(
    `100 rectangles, ten classes, three lists each: ${sheetsUsed} sheets, at least ${bounds} (${((100 * (sheetsUsed - bounds)) / bounds).toFixed(1)} % more).`,
    rows,
  );
}

// The package is CommonJS; its names are not seen from a module.
const { MaxRectsPacker } = createRequire(import.meta.url)('maxrects-packer') as typeof MaxRects;

/** Pieces of a list one by one, as they lie on a sheet: length by width. */
const piecesOf = ({ parts }: CutProblem) => parts.flatMap((part) => Array.from({ length: part.quantity }, () => part));

/**
 * A general-purpose packer of rectangles (MaxRects, from the registry) on the largest sheet: it knows neither prices
 * nor straight cuts, so its layouts need not be possible with a saw. Pieces may turn only where all may.
 */
function packedByMaxRects(list: CutProblem): number {
  const [sheet] = list.stock;
  const packer = new MaxRectsPacker(sheet!.length, sheet!.width, list.kerf, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: list.parts.every(({ grain }) => grain === 'any'),
  });
  for (const { length, width } of piecesOf(list)) packer.add(length, width, null);
  return packer.bins.length * sheet!.price;
}

/** What a person does with sheets: widest first, in rows along the sheet, a new row or sheet where there is no room. */
function sheetsByHand(list: CutProblem): number {
  const [sheet] = list.stock;
  const rows: { left: number; width: number; sheet: number }[] = [];
  const rest: number[] = [];
  for (const { length, width } of piecesOf(list).sort((a, b) => b.width - a.width || b.length - a.length)) {
    const row = rows.find((one) => one.left >= length && one.width >= width);
    if (row) {
      row.left -= length + list.kerf;
      continue;
    }
    let at = rest.findIndex((room) => room >= width);
    if (at < 0) at = rest.push(sheet!.width) - 1;
    rest[at]! -= width + list.kerf;
    rows.push({ left: sheet!.length - length - list.kerf, width, sheet: at });
  }
  return rest.length * sheet!.price;
}

/** The same lists of rectangles by us, by a general packer and by hand: what they cost beside ours. */
function beside(integer: IntegerSolver) {
  const sets: readonly (readonly [string, readonly CutProblem[]])[] = [
    ['plywood at home, three sizes of sheet', homeSheets(40, 5)],
    ...[1, 3, 5, 7, 9].map(
      (kind) => [`class ${kind}, 100 rectangles`, [1, 2, 3].map((seed) => rectangles(kind, 100, seed))] as const,
    ),
  ];
  const rows = sets.map(([name, lists]) => {
    const sum = (of: (list: CutProblem) => number) => lists.reduce((total, list) => total + of(list), 0);
    let bound = 0;
    let proved = 0;
    const ours = sum((list) => {
      const { cost, lowerBound, status } = solve(list, { integer });
      bound += lowerBound;
      if (status === 'optimal') proved++;
      return cost;
    });
    const ratio = (cost: number) => (cost / ours).toFixed(3);
    return {
      lists: `${name} (${lists.length})`,
      'proved least': `${proved} of ${lists.length}`,
      'bound / ours': ratio(bound),
      'general packer / ours': ratio(sum(packedByMaxRects)),
      'by hand / ours': ratio(sum(sheetsByHand)),
    };
  });
  print(
    'Sheets beside a general packer (no straight cuts asked of it) and beside rows laid by hand. Cost ratios.',
    rows,
  );
}

/** What the longest list takes of memory, above what was in use before. */
function memory(integer: IntegerSolver) {
  const before = process.memoryUsage().rss;
  let most = before;
  solve(longList(2000, 2), { integer, stopped: () => ((most = Math.max(most, process.memoryUsage().rss)), false) });
  print('Memory for 2,000 pieces, MB.', [
    { before: Math.round(before / 2 ** 20), 'at most': Math.round(most / 2 ** 20) },
  ]);
}

/**
 * The demo job, 133 pieces, as it is bought and cut: the plan after each of such facts, and after another size with all
 * of it bought and half of it cut, where what is cut must find its parts anew.
 */
function facts() {
  const cache = newPlanCache();
  const planned = (of: Job) => planJob(of, { today, effort: 'quick', cache });
  let ids = 0;
  const stamp = { id: () => `b${++ids}`, at: '2026-11-28T09:00' };
  const told = (of: Job, entries: readonly Entry[]) => applyChanges(of, entries.map(entered));
  let job = demoJob();
  const first = planned(job);
  const times: Record<string, number[]> = { 'a board is bought': [], 'a board is cut': [], 'a board is spoiled': [] };
  const time = (name: string, next: Job) => {
    const start = performance.now();
    planned(next);
    times[name]?.push(performance.now() - start);
    job = next;
  };
  for (const { number } of first.buying.boards) {
    const board = planned(job).buying.boards.find((one) => one.number === number);
    if (board) time('a board is bought', told(job, boughtAs(job, board, stamp)));
  }
  for (let at = 0; at < first.buying.boards.length / 2; at++) {
    const board = planned(job).buying.boards.find(({ state }) => state === 'bought');
    if (board) time('a board is cut', told(job, cutAs(job, board, null, stamp)));
  }
  for (const board of planned(job)
    .buying.boards.filter(({ state }) => state === 'bought')
    .slice(0, 5))
    time('a board is spoiled', told(job, spoiledAs(job, board, stamp)));
  const wished = (of: Job, run: number) => applyChanges(of, [set('glaze', ['size', 'length'], inches(56 + run / 8))]);
  times['another size, all of it bought and half of it cut'] = [...timed(31, (run) => void planned(wished(job, run)))];
  times['another size, nothing bought'] = [...timed(31, (run) => void planned(wished(demoJob(), run)))];
  print(
    `The plan after facts: ${first.parts.length} parts, ${first.buying.boards.length} boards.`,
    Object.entries(times).map(([name, all]) => {
      const sorted = [...all].sort((a, b) => a - b);
      return {
        after: name,
        'median ms': ms(quantile(sorted, 0.5)),
        'most ms': ms(sorted.at(-1) ?? 0),
        times: sorted.length,
      };
    }),
  );
}

/**
 * Every kind of piece under all loads of its use, and leaned on once more; the dense factoring of a well-known package
 * on a matrix as large, beside.
 */
function strength() {
  const rows = STARTS.map((start) => {
    const piece = pieceFrom(start, 'p');
    const { parts, fastenings: made } = planJob({ ...newJob('bench'), pieces: [piece] }, { today, effort: 'quick' })
      .pieces[0]!;
    // A copy each time: what is known is kept with the very list.
    const all = timed(15, () => void judgedFor(parts, [...made], piece));
    const model = modelOf(parts, made);
    const unknowns = 6 * model.laid.reduce((sum, { places }) => sum + places.length, 0);
    const [top] = [...parts].sort((a, b) => boxOf(b).max[2] - boxOf(a).max[2]);
    const lean = timed(15, (run) => {
      const at = boxOf(top!).max;
      leanOn(parts, made, { part: top!.id, at: [at[0] / 2, at[1] / 2, at[2]], force: [0, 0, -100 - run] });
    });
    const dense = Matrix.eye(unknowns).add(Matrix.ones(unknowns, unknowns));
    const beside = timed(1, () => void new CholeskyDecomposition(dense));
    const middle = (times: readonly number[]) =>
      quantile(
        [...times].sort((a, b) => a - b),
        0.5,
      );
    return {
      piece: start.id,
      unknowns,
      'all loads ms': ms(middle(all)),
      'most ms': ms(Math.max(...all)),
      'one lean ms': ms(middle(lean)),
      'dense factoring alone ms': ms(middle(beside)),
    };
  });
  print('Whether it holds: model, every load of its use and what gives; median of 15.', rows);
  const medians = rows.map((row) => row['all loads ms']).sort((a, b) => a - b);
  process.stdout.write(`Median of all kinds ${quantile(medians, 0.5)} ms, most ${medians.at(-1)} ms.\n`);
}

const SECTIONS = { planning, facts, strength, finishing, days, shapes, cutting, sheets, beside, memory } as const;
/** All of them, or those that are named: `npm run bench -- shapes`. */
const named = process.argv.slice(2).filter((name): name is keyof typeof SECTIONS => name in SECTIONS);
const integer = await loadIntegerSolver();
process.stdout.write(`Node ${process.version}, ${cpus().length} cores\n`);
for (const name of named.length > 0 ? named : (Object.keys(SECTIONS) as (keyof typeof SECTIONS)[]))
  await SECTIONS[name](integer);
