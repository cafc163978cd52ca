import { inches } from '../length';
import { DEFAULT_SHOP, newJob, type Job } from '../job';
import { blanksOf } from '../milling';
import { chooseBoards } from '../buying';
import { buildPiece, newPiece } from '../piece';
import { planJob } from '../plan';
import type { Nominal } from '../stock';
import { compareTops } from './index';

const base = newPiece('t', 'standing');
const piece = { ...base, size: { ...base.size, width: inches(31.5) } };
const job: Job = { ...newJob('widths'), spares: 'none', pieces: [piece] };

/**
 * The same top, 60 by 31 1/2, from every width, worked out with pencil and the sample yard's list. Boards are ripped to
 * their width less 1/4, so that ten 2x4, six 2x6, five 2x8, four 2x10 or three 2x12 make it; each is cut 61 long. An
 * eight-footer gives one, a twelve-footer two (122 1/8 of 143), a sixteen-footer three (183 1/4 of 191).
 */
const WORKED: readonly (readonly [Nominal, boards: number, ripTo: number, cents: number])[] = [
  // Three of sixteen feet and one of eight: 3 x 10.12 + 4.36.
  ['2x4', 10, 3 + 3 / 16, 3472],
  // Two of sixteen feet: 2 x 15.48.
  ['2x6', 6, 5.25, 3096],
  // One of sixteen, one of twelve: 21.30 + 15.22.
  ['2x8', 5, 6 + 5 / 16, 3652],
  // Two of twelve: 2 x 21.46, a little under sixteen and eight, 29.84 + 13.88.
  ['2x10', 4, 7.875, 4292],
  // One of sixteen.
  ['2x12', 3, 10.5, 3842],
];

test.each(WORKED)('%s: %d boards at %d cost %d cents', (nominal, boards, ripTo, cost) => {
  const { parts } = buildPiece(piece, nominal, DEFAULT_SHOP, 'in');
  const top = parts.filter(({ role }) => role === 'top');
  expect(top).toHaveLength(boards);
  expect(top[0]!.width).toBe(inches(ripTo));
  const chosen = chooseBoards(blanksOf(job, top), job, {}, new Map());
  expect(chosen).toMatchObject({ cost, lowerBound: cost, status: 'optimal' });
});

test('the chart of widths shows the same boards, and its totals are those of the plans taken', () => {
  const options = { today: '2026-11-24' };
  const plan = planJob(job, options);
  const rows = compareTops(job, plan, 't', options);
  expect(rows.map(({ nominal, boards, ripTo }) => [nominal, boards, ripTo])).toEqual(
    WORKED.map(([nominal, boards, ripTo]) => [nominal, boards, inches(ripTo)]),
  );
  for (const { nominal, total, difference, chosen } of rows) {
    const taken = { ...piece, topChoices: { ...piece.topChoices, width: nominal.split('x')[1]! } };
    expect(planJob({ ...job, pieces: [taken] }, options).list.total).toBe(total);
    expect(difference).toBe(total - plan.list.total);
    expect(chosen).toBe(difference === 0);
  }
});
