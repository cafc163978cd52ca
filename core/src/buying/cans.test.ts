import { finishedWith, newJob, type Can, type Entry, type Job } from '../job';
import { newPiece } from '../piece';
import { planJob } from '../plan';
import { rehearse } from '../rehearsal';
import { leftInCans } from './cans';

const base: Job = {
  ...newJob('j'),
  pieces: [{ ...newPiece('p', 'coffee'), finish: finishedWith('natural.wipeable') }],
};
const planned = (ledger: readonly Entry[]) => {
  const job = { ...base, ledger };
  return { job, plan: planJob(job, { today: '2026-11-28', effort: 'quick' }) };
};
const OIL = 'oil polyurethane';
const can = (ounces: number, id = 'c1'): Can => ({
  ...{ id, kind: 'finish', size: OIL, ounces, since: '2026-10-01', note: '' },
});
const fetched = (ounces: number): Entry => ({ id: 'e1', at: null, what: 'can fetched', can: can(ounces) });
const linesOf = ({ plan }: ReturnType<typeof planned>) => plan.list.hardware.filter(({ offer }) => offer.size === OIL);
const oil = ({ plan, job }: ReturnType<typeof planned>) => leftInCans(plan, job).find(({ size }) => size === OIL);

const none = planned([]);
const need = none.plan.needs.find(({ size }) => size === OIL)!.count;

test('what is in a can that is there is not bought, and counts as used', () => {
  expect(need).toBeGreaterThan(8);
  const some = planned([fetched(need - 3)]);
  expect(some.plan.list.there).toEqual([{ kind: 'finish', size: OIL, count: need - 3 }]);
  // Three ounces lack: the smallest can.
  expect(linesOf(some).map(({ count, need: lacks }) => [count, lacks.count])).toEqual([[1, 3]]);
  expect(some.plan.list.total).toBeLessThan(none.plan.list.total);
  const all = planned([fetched(need)]);
  expect(linesOf(all)).toEqual([]);
  expect(rehearse(all.plan, all.job).faults).toEqual([]);
});

test('what is left over is what cans hold beyond the need; it can be put away once all is bought', () => {
  const bought = linesOf(none).reduce((sum, { count, offer }) => sum + count * offer.count, 0);
  expect(oil(none)).toEqual({ kind: 'finish', size: OIL, ounces: bought - need, isHere: false });
  const { job, plan } = none;
  const boxes = plan.list.hardware.flatMap(({ offer, count }) =>
    Array.from({ length: count }, (_, k): Entry => {
      const { kind, size, count: each, price, id } = offer;
      const yard = { id: job.yard.id, name: job.yard.name, tax: job.yard.tax };
      return { id: `${id}.${k}`, at: null, what: 'box', offer: id, kind, size, count: each, price, yard };
    }),
  );
  expect(oil(planned(boxes))).toEqual({ kind: 'finish', size: OIL, ounces: bought - need, isHere: true });
  const racked: Entry = { id: 'r1', at: null, what: 'can racked', can: can(bought - need, 'c2') };
  expect(oil(planned([...boxes, racked]))).toBeUndefined();
});

test('of a can from the rack that is not emptied the rest is left over; less than four ounces is not kept', () => {
  expect(oil(planned([fetched(need + 9)]))).toEqual({ kind: 'finish', size: OIL, ounces: 9, isHere: true });
  expect(oil(planned([fetched(need + 3)]))).toBeUndefined();
});

test('one can is fetched once', () => {
  const twice = planned([fetched(4), { ...fetched(4), id: 'e2' } as Entry]);
  expect(twice.plan.list.there).toEqual([{ kind: 'finish', size: OIL, count: 4 }]);
});
