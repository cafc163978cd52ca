import {
  applyChanges,
  entered,
  holdingsOf,
  inches,
  planJob,
  SAMPLE_YARDS,
  type Entry,
  type Job,
  type Plan,
} from '@sill/core';
import { fewOfDemo } from '../../../core/src/testing/planning';
import { boxesTaken, keep, keepWithStretch, noneLeft, reject, taken } from './errand';

let ids = 0;
const stamp = { id: () => `t${ids++}`, at: '2026-11-28T09:00' };
const plan = (job: Job): Plan => planJob(job, { today: '2026-11-24', effort: 'quick' });
const told = (to: Job, entries: readonly Entry[]) => applyChanges(to, entries.map(entered));
/** One table: quick to plan. */
const job: Job = fewOfDemo(1);
const first = plan(job);
const line = first.list.boards.find(({ offer }) => !('sheet' in offer))!;
const lineIn = ({ list }: Plan) => list.boards.find(({ offer }) => offer.id === line.offer.id)!;

test('a board that is kept is bought at its price; one put back is counted; neither changes what all comes to', () => {
  const after = told(job, [...keep(job, line, null, stamp), ...reject(line, stamp)]);
  const then = plan(after);
  expect(taken(lineIn(then))).toBe(1);
  expect(lineIn(then)).toMatchObject({ count: line.count - 1, paid: line.offer.price });
  expect(holdingsOf(after).rejected.get(line.offer.id)).toBe(1);
  expect(then.list.total).toBe(first.list.total);
  expect(then.buying.boards.map(({ pieces }) => pieces)).toEqual(first.buying.boards.map(({ pieces }) => pieces));
});

test('a dearer list does not make dearer what is paid', () => {
  const after = told(job, keep(job, line, null, stamp));
  const dearer = { ...after.yard, boards: after.yard.boards.map((row) => ({ ...row, price: row.price * 2 })) };
  const { list } = plan({ ...after, yard: dearer });
  expect(list.receipts.map(({ subtotal }) => subtotal)).toEqual([line.offer.price]);
});

test('a bad stretch: the board is paid, cut round it, and nothing is bought twice', () => {
  const bad = [{ from: inches(30), to: inches(33) }];
  const after = told(job, keepWithStretch(job, line, bad, stamp));
  const then = plan(after);
  const board = then.buying.boards.find(({ hand }) => hand !== null && hand.bad.length > 0);
  expect(then.list.receipts.map(({ subtotal }) => subtotal)).toEqual([line.offer.price]);
  expect(then.list.total).toBeGreaterThanOrEqual(first.list.total);
  expect(then.buying.unplaced).toEqual([]);
  for (const piece of board?.pieces ?? [])
    expect(piece.x >= bad[0]!.to || piece.x + piece.length <= bad[0]!.from).toBe(true);
});

test('a stretch shown by the simulated yard says so on the board', () => {
  const bad = [{ from: inches(30), to: inches(33) }];
  const noteOf = (note?: string) =>
    [...holdingsOf(told(job, keepWithStretch(job, line, bad, stamp, note))).bodies.values()].at(-1)!.note;
  expect([noteOf(), noteOf('beside a simulated reading')]).toEqual([
    'kept with a bad stretch',
    'beside a simulated reading',
  ]);
});

test('none left: what is bought is used, the rest comes from other sizes, at the price it said', () => {
  const two = first.list.boards.find(({ count, spare }) => count - spare >= 2) ?? line;
  const kept = told(job, keep(job, two, null, stamp));
  const after = applyChanges(kept, noneLeft(kept, two));
  const { list, buying } = plan(after);
  const left = list.boards.find(({ offer }) => offer.id === two.offer.id);
  expect(left).toMatchObject({ count: 0, owned: 1, paid: two.offer.price });
  expect(buying.boards.filter(({ offer }) => offer.id === two.offer.id).map(({ state }) => state)).toEqual(['bought']);
  expect(buying.unplaced).toEqual([]);
  const paid = [...list.boards, ...list.hardware].reduce((sum, { total }) => sum + total, two.offer.price);
  expect(list.subtotal).toBe(paid);
});

test('all boxes of a line are taken at once, and are not bought again', () => {
  const boxes = first.list.hardware.find(({ count }) => count > 0)!;
  const then = plan(told(job, boxesTaken(job, boxes, stamp)));
  const row = then.list.hardware.find(({ offer }) => offer.id === boxes.offer.id);
  expect(row).toMatchObject({ count: 0, owned: boxes.count, paid: boxes.total });
  expect(then.list.total).toBe(first.list.total);
});

test('at two yards, spares too: a board that is kept is one board, on the receipt of its own yard', () => {
  const [, other] = SAMPLE_YARDS.filter(({ id }) => id !== job.yard.id);
  const two: Job = { ...job, spares: 'each', alsoAt: [{ ...other!, tax: 3 }] };
  const before = plan(two);
  const away = before.list.boards.find(({ offer, count }) => count > 0 && offer.id.startsWith(`${other!.id}.`));
  const here = before.list.boards.find(({ offer, count }) => count > 0 && !offer.id.startsWith(`${other!.id}.`));
  for (const row of [away, here].filter((one) => one !== undefined)) {
    const marked = keepWithStretch(two, row, [{ from: inches(1), to: inches(2) }], stamp);
    for (const entries of [keep(two, row, null, stamp), marked]) {
      const { list } = plan(told(two, entries));
      expect(list.boards.reduce((sum, { owned }) => sum + owned, 0)).toBe(1);
      const yard = row === away ? two.alsoAt[0]! : two.yard;
      expect(list.receipts).toMatchObject([
        { yard: { id: yard.id }, subtotal: row.offer.price, tax: Math.round((row.offer.price * yard.tax) / 100) },
      ]);
    }
  }
  expect(here ?? away).toBeDefined();
});
