import { applyChanges, demoJob, inches, planJob, type Job, type Plan } from '@sill/core';
import { inCart, keep, keepWithStretch, noneLeft, reject } from './errand';

let ids = 0;
const newId = () => `t${ids++}`;
const plan = (job: Job): Plan => planJob(job, { today: '2026-11-24', effort: 'quick' });
/** One table: quick to plan. */
const job: Job = { ...demoJob(), pieces: demoJob().pieces.slice(0, 1) };
const first = plan(job);
const line = first.list.boards.find(({ offer }) => !('sheet' in offer))!;

test('boards kept and put back are counted, and change nothing else', () => {
  const after = applyChanges(applyChanges(job, keep(job, line)), reject(applyChanges(job, keep(job, line)), line));
  expect(inCart(after, line.offer.id)).toEqual({ kept: 1, rejected: 1 });
  expect(plan(after).list.total).toBe(first.list.total);
});

test('a bad stretch: the board is on hand and paid, cut round, and nothing is bought twice', () => {
  const bad = [{ from: inches(30), to: inches(33) }];
  const after = applyChanges(job, keepWithStretch(job, line, bad, newId));
  const then = plan(after);
  const board = then.buying.boards.find(({ hand }) => hand !== null);
  expect(then.list.inCart).toBe(line.offer.price);
  expect(then.list.total).toBeGreaterThanOrEqual(first.list.total);
  expect(then.buying.unplaced).toEqual([]);
  for (const piece of board?.pieces ?? [])
    expect(piece.x >= bad[0]!.to || piece.x + piece.length <= bad[0]!.from).toBe(true);
});

test('a stretch shown by the simulated yard says so on the board', () => {
  const bad = [{ from: inches(30), to: inches(33) }];
  const noteOf = (note?: string) => applyChanges(job, keepWithStretch(job, line, bad, newId, note)).onHand.at(-1)!.note;
  expect([noteOf(), noteOf('beside a simulated reading')]).toEqual([
    'kept with a bad stretch',
    'beside a simulated reading',
  ]);
});

test('none left: what is in the cart is used, the rest comes from other sizes, at the price it said', () => {
  const two = first.list.boards.find(({ count, spare }) => count - spare >= 2) ?? line;
  const kept = applyChanges(job, keep(job, two));
  const after = applyChanges(kept, noneLeft(kept, two, newId));
  expect(after.cart).toEqual({});
  expect(after.onHand).toMatchObject([{ count: 1, price: two.offer.price, where: 'in the cart' }]);
  const then = plan(after);
  expect(then.list.boards.some(({ offer }) => offer.id === two.offer.id)).toBe(false);
  expect(then.buying.unplaced).toEqual([]);
  const paid = [...then.list.boards, ...then.list.hardware].reduce((sum, { total }) => sum + total, two.offer.price);
  expect(then.list.subtotal).toBe(paid);
});
