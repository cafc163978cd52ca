import { demoJob, newPlanCache, planJob, type Job } from '@sill/core';
import { newReceiver, newSender } from './handing';

const cache = newPlanCache();
const planOf = (job: Job) => planJob(job, { today: '2026-11-27', effort: 'quick', cache });
const across = <T>(value: T): T => structuredClone(value);

test('a plan arrives whole; of the next only the piece that changed is sent; going back sends that one again', () => {
  const [send, receiver] = [newSender(), newReceiver()];
  const hand = (job: Job) => {
    const plan = planOf(job);
    const { light, parts } = send(plan);
    for (const [key, heavy] of parts) receiver.part(key, across(heavy));
    const arrived = receiver.whole(across(light));
    expect(arrived).toEqual(plan);
    return { arrived, sent: parts.length };
  };
  const job = demoJob();
  const first = hand(job);
  expect(first.sent).toBe(4);
  const [table, ...others] = job.pieces;
  const wider = {
    ...job,
    pieces: [{ ...table!, size: { ...table!.size, length: table!.size.length + 8128 } }, ...others],
  };
  const second = hand(wider);
  expect(second.sent).toBe(1);
  // What did not change is the very same: nothing is drawn again for it.
  expect(second.arrived.pieces[1]!.steps).toBe(first.arrived.pieces[1]!.steps);
  expect(second.arrived.pieces[0]!.steps).not.toBe(first.arrived.pieces[0]!.steps);
  expect(hand(job).sent).toBe(1);
  expect(hand({ ...job, pieces: [others[0]!, table!] }).sent).toBe(0);
  expect(hand({ ...job, pieces: [] }).sent).toBe(0);
});
