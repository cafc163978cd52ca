import { set } from './job';
import { pairs } from './lists';
import { faultsOfOrder } from './building';
import fc from 'fast-check';
import {
  applyChanges,
  around,
  boxOf,
  compareTops,
  demoJob,
  extent,
  inches,
  isProved,
  mm,
  newJob,
  newPiece,
  planByMaterials,
  planJob,
  priceJob,
  newPlanCache,
  plain,
  type Change,
  type Job,
  type OnHand,
  type Piece,
  type Plan,
} from './index';
import { loose, misassembled, overlapping, unconnected } from './testing/laws';
import { jobOf, tables } from './testing/tables';
import { builtOf, planning } from './testing/planning';
import { runs, timesOf } from './testing/runs';
import { found } from './testing/telling';

const today = '2026-11-24';
const plan = planning(today);

describe('laws of every table that can be built', () => {
  const check = (units: 'in' | 'mm', enough: number) => {
    let built = 0;
    fc.assert(
      fc.property(tables(units), (piece) => {
        const job = jobOf(piece, units);
        const result = plan(job);
        const { parts, fastenings, steps, model } = result.pieces[0]!;
        if (parts.length === 0) {
          expect(model.findings.some((finding) => finding.level === 'stop' && finding.remedies.length > 0)).toBe(true);
          return;
        }
        built++;
        const boxes = parts.map(boxOf);
        const outside = around(boxes)!;
        expect([extent(outside, 0), extent(outside, 1), extent(outside, 2)]).toEqual([
          piece.size.length,
          piece.size.width,
          piece.size.height,
        ]);
        for (const law of [overlapping, loose, unconnected, misassembled]) expect(law(model)).toEqual([]);

        for (const { positions, drilled, by } of fastenings) {
          if (by === 'nothing') continue;
          expect(positions.length).toBeGreaterThan(0);
          expect(Math.min(...positions)).toBeGreaterThan(0);
          expect(Math.max(...positions)).toBeLessThan(Math.max(drilled.length, drilled.width));
        }
        // Every part is handled in some step, and never again before it is there.
        const handled = new Set(steps.flatMap((step) => step.adds));
        expect(parts.filter((part) => !handled.has(part.id))).toEqual([]);

        expect(faultsOfOrder(steps, parts, fastenings, job.shop)).toEqual([]);
        cutsAddUp(result, job);
        moneyAddsUp(result, job);
      }),
      runs(enough, 20261124),
    );
    return built / timesOf(enough);
  };

  test('in inches, nearly all of them valid', () => expect(check('in', 40)).toBeGreaterThan(0.875));
  test('in millimetres, nearly all of them valid', () => expect(check('mm', 20)).toBeGreaterThan(0.85));
});

/** Cut pieces are exactly the blanks of the parts, each long enough, none laid over another, all inside the board. */
function cutsAddUp(result: Plan, job: Job) {
  const counts = new Map<string, number>();
  for (const board of result.buying.boards) {
    let end = job.shop.squareEnds - job.shop.kerf;
    for (const { blank, x, length } of board.pieces) {
      counts.set(blank.part.id, (counts.get(blank.part.id) ?? 0) + 1);
      expect(blank.part.material).toBe(board.material);
      expect(length).toBe(blank.part.length + blank.extra);
      expect(x - end).toBeGreaterThanOrEqual(job.shop.kerf);
      end = x + length;
    }
    expect(end).toBeLessThanOrEqual(board.length - job.shop.squareEnds);
  }
  for (const { blank, quantity } of result.buying.unplaced)
    counts.set(blank.part.id, (counts.get(blank.part.id) ?? 0) + quantity);
  for (const part of result.parts) {
    const copies = job.pieces.find((piece) => piece.id === part.piece)!.copies;
    expect(counts.get(part.id)).toBe(part.plies * copies);
  }
}

function moneyAddsUp({ list, buying }: Plan, job: Job) {
  const lines = [...list.boards.map((line) => line.total), ...list.hardware.map((line) => line.total)];
  const subtotal = lines.reduce((sum, line) => sum + line, 0);
  expect(list.subtotal).toBe(subtotal);
  expect(list.tax).toBe(Math.round((subtotal * job.yard.tax) / 100));
  expect(list.total).toBe(list.subtotal + list.tax);
  const withoutSpares = list.boards.reduce((sum, line) => sum + (line.count - line.spare) * line.offer.price, 0);
  expect(withoutSpares).toBe(buying.cost);
  expect(buying.lowerBound).toBeLessThanOrEqual(buying.cost);
  for (const { need } of list.hardware) {
    const held = list.hardware
      .filter((line) => line.need === need)
      .reduce((sum, line) => sum + line.count * line.offer.count, 0);
    expect(held).toBeGreaterThanOrEqual(need.count);
  }
  for (const value of [...lines, list.total]) expect(Number.isInteger(value)).toBe(true);
}

describe('the demo job', () => {
  const job = demoJob();
  const cache = newPlanCache();
  const result = planJob(job, { today, cache });
  /** What another job comes to: pieces that are the same are not built again, boards are looked for anew. */
  const totalOf = (other: Job) => priceJob(other, { today, cache: builtOf(cache) }).list.total;

  test('plans four pieces of four families with nothing that stops', () => {
    expect(result.pieces).toHaveLength(4);
    expect(result.findings.filter((finding) => finding.level === 'stop')).toEqual([]);
    expect(result.buying.unplaced).toEqual([]);
    expect(result.buying.boards.some((board) => 'sheet' in board.offer)).toBe(true);
    expect(result.list.total).toBeLessThan(job.budget!);
  });

  test('is the same every time', () => {
    expect(JSON.stringify(planJob(demoJob(), { today }))).toBe(JSON.stringify(result));
  });

  test('goes through JSON unchanged, so it can cross a worker', () => {
    expect(JSON.parse(JSON.stringify(result))).toEqual(result);
  });

  test('top options: the chosen one is the plan, each total is what taking it costs', () => {
    const options = compareTops(job, result, 'glaze', { today, cache });
    expect(options.map((option) => option.nominal)).toEqual(['2x4', '2x6', '2x8', '2x10', '2x12']);
    for (const option of options) {
      const taken = applyChanges(job, [set('glaze', ['topChoices', 'width'], option.nominal.split('x')[1])]);
      expect(totalOf(taken)).toBe(option.total);
      expect(option.total - result.list.total).toBe(option.difference);
    }
    expect(options.find((option) => option.chosen)?.difference).toBe(0);
  });

  test('"cheapest" costs no more than any one width', () => {
    const width = (value: string) => applyChanges(job, [set('bench', ['topChoices', 'width'], value)]);
    for (const value of ['4', '6', '8', '10', '12'])
      expect(result.list.total).toBeLessThanOrEqual(totalOf(width(value)));
  });
});

describe('impossible and bad targets', () => {
  const base = { ...newJob('test'), pieces: [newPiece('t', 'dining')] };
  const change = (path: Change['path'], value: unknown) => applyChanges(base, [{ piece: 't', path, value } as Change]);
  const stops = (job: Job) => plan(job).findings.filter((finding) => finding.level === 'stop');

  test.each([
    ['lower than its top is thick', ['size', 'height'], inches(1), 'Lower than its top'],
    ['apron deeper than the legs', ['size', 'height'], inches(4), 'deeper than the legs'],
    ['no room along', ['size', 'length'], inches(26), 'along the table'],
    ['no room across', ['size', 'width'], inches(9), 'across the table'],
    ['set back too far', ['choices', 'setback'], inches(3), 'set back past its leg'],
    ['too many supports', ['choices', 'crossSupports'], 12, '12 cross supports do not fit'],
    ['apron longer than any board sold', ['size', 'length'], inches(230), 'No board for'],
  ] as const)('%s is a finding whose remedy works', (_, path, value, title) => {
    const found = stops(change(path, value));
    expect(found.map((finding) => plain(finding.title, 'in')).join()).toContain(title);
    let job = change(path, value);
    for (let tries = 0; tries < 4 && stops(job).length > 0; tries++)
      job = applyChanges(job, stops(job)[0]!.remedies[0]!.changes);
    expect(stops(job)).toEqual([]);
  });

  test('one impossible piece leaves the others planned', () => {
    const job = { ...demoJob() };
    const broken = applyChanges(job, [set('bench', ['size', 'height'], mm(10))]);
    const result = plan(broken);
    expect(result.pieces.map(({ parts }) => parts.length > 0)).toEqual([true, true, false, true]);
    expect(result.list.total).toBeGreaterThan(0);
  });

  test('an empty job is a plan with nothing in it', () => {
    const result = plan(newJob('empty'));
    expect(result.list.total).toBe(0);
    expect(result.findings).toEqual([]);
    expect(result.calendar.ready).toBeNull();
  });

  test('a size out of stock is left out, and said where nothing is left', () => {
    const none = {
      ...base,
      yard: { ...base.yard, boards: base.yard.boards.map((offer) => ({ ...offer, inStock: offer.board !== '2x4' })) },
    };
    expect(
      plan(none)
        .findings.map((finding) => plain(finding.because, 'in'))
        .join(),
    ).toContain('No yard of yours has 2×4 in stock');
  });
});

/** So many tables of different kinds and sizes. */
const many = (count: number): Job => ({
  ...newJob('many'),
  pieces: Array.from({ length: count }, (_, at) => ({
    ...newPiece(`p${at}`, (['dining', 'desk', 'coffee', 'standing'] as const)[at % 4]!),
    size: { length: inches(40 + at * 1.375), width: inches(20 + at * 0.625), height: inches(17 + at) },
  })),
});

describe('larger jobs', () => {
  test.each([3, 12])(
    '%s pieces, every top left to the cheapest: whole, and no dearer than all of one width',
    (count) => {
      const job = many(count);
      const result = plan(job);
      cutsAddUp(result, job);
      moneyAddsUp(result, job);
      expect(result.buying.unplaced).toEqual([]);
      const sixes = {
        ...job,
        pieces: job.pieces.map((piece) => ({
          ...piece,
          topChoices: { ...piece.topChoices, width: '6' },
        })),
      };
      expect(result.list.total).toBeLessThanOrEqual(plan(sixes).list.total);
    },
  );

  test('twenty copies of one table are one shopping trip', () => {
    const job = { ...newJob('copies'), pieces: [{ ...newPiece('t', 'coffee'), copies: 20 }] };
    const result = plan(job);
    cutsAddUp(result, job);
    expect(result.buying.boards.length).toBeGreaterThan(40);
    expect(result.buying.cost / Math.max(1, result.buying.lowerBound)).toBeLessThan(1.03);
  });

  test('a stop ends the search and keeps what is whole', () => {
    const job = many(8);
    let asked = 0;
    const result = planJob(job, { today, effort: 'full', stopped: () => ++asked > 3 });
    cutsAddUp(result, job);
    expect(result.buying.lowerBound).toBeLessThanOrEqual(result.buying.cost);
  });
});

describe('a top laid from salvage', () => {
  const base = newPiece('t', 'coffee');
  const piece: Piece = {
    ...base,
    top: 'planks',
    size: { ...base.size, length: inches(49.5), width: inches(22.5) },
    topChoices: { planks: '1x4', salvage: true, stagger: inches(6) },
  };
  const hand = (id: string, length: number, count: number, rest: Partial<OnHand> = {}): OnHand => ({
    id,
    material: '1x4',
    length: inches(length),
    width: inches(3.5),
    count,
    squared: true,
    bad: [],
    where: '',
    note: '',
    ...rest,
  });
  const salvage = [
    hand('a', 20, 7),
    hand('b', 28, 7),
    hand('c', 41, 2, { squared: false, bad: [{ from: inches(38), to: inches(41) }] }),
  ];

  test('its planks are those that lie there, and no such board is bought', () => {
    const planned = planJob(found({ ...newJob('salvage'), pieces: [piece] }, salvage), { today });
    const planks = planned.parts.filter(({ name }) => name === 'plank');
    // 48 by 21 inside the edging: six rows of 3 1/2, each of 20 and 28.
    expect(planks).toHaveLength(12);
    expect(new Set(planks.map(({ length }) => length / inches(1)))).toEqual(new Set([20, 28]));
    const of1x4 = planned.buying.boards.filter(
      (board) => board.material === '1x4' && board.pieces.some(({ blank }) => blank.part.name === 'plank'),
    );
    expect(of1x4.length).toBeGreaterThan(0);
    for (const board of of1x4) expect(board.hand).not.toBeNull();
  });

  test('with nothing there it is bought, and the note says so; a second such piece does not count the planks again', () => {
    const none = planJob({ ...newJob('none'), pieces: [piece] }, { today });
    expect(none.findings.some(({ id }) => id === 't.salvage')).toBe(true);
    const second = { ...piece, id: 'u' };
    const both = planJob(found({ ...newJob('both'), pieces: [piece, second] }, salvage), { today });
    expect(both.findings.filter(({ id }) => id.endsWith('.salvage')).map(({ id }) => id)).toEqual(['u.salvage']);
    expect(both.buying.unplaced).toEqual([]);
  });
});

test.each([
  ['the demo, of which the first plan is the cheapest', demoJob(), 0],
  ['three tables, of which a longer search finds cheaper', many(3), 1],
])('%s: told after each material, only what is less, and at last the same as searched at once', (_, job, better) => {
  const heard: { readonly total: number | null; readonly share: number }[] = [];
  const last = planByMaterials(job, { today }, (found, share) =>
    heard.push({ total: found?.list.total ?? null, share }),
  );
  const materials = new Set(last.buying.boards.map(({ material }) => material)).size;
  expect(heard.map(({ share }) => share)).toEqual(
    Array.from({ length: materials - 1 }, (__, at) => (at + 1) / materials),
  );
  const totals = [plan(job).list.total, ...heard.flatMap(({ total }) => total ?? [])];
  expect(totals.length - 1).toBeGreaterThanOrEqual(better);
  for (const [before, after] of pairs(totals)) expect(after).toBeLessThan(before);
  expect(last.list.total).toBeLessThanOrEqual(Math.min(...totals));
  const once = planJob(job, { today, effort: 'full' });
  expect(last.list.total).toBe(once.list.total);
  expect(isProved(last)).toBe(isProved(once));
});
