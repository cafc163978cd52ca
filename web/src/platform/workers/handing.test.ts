import { demoJob, newPlanCache, planJob, type Job } from '@sill/core';
import { fewOfDemo } from '../../../../core/src/testing/planning';
import { expectSame } from '../../../../core/src/testing/same';
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
    expectSame(arrived, plan);
    return { arrived, sent: parts.length };
  };
  // One that changes, one that does not.
  const job = fewOfDemo(2);
  const first = hand(job);
  expect(first.sent).toBe(2);
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

test('parts that overtake the plan before theirs are there when their own comes', () => {
  const [send, receiver] = [newSender(), newReceiver()];
  // One that changes, one that does not.
  const job = fewOfDemo(2);
  const plans = [
    job,
    { ...job, pieces: job.pieces.slice(1) },
    {
      ...job,
      pieces: job.pieces.map((piece) => ({ ...piece, size: { ...piece.size, height: piece.size.height + 8128 } })),
    },
    job,
  ].map(planOf);
  const sent = plans.map((plan) => across(send(plan)));
  for (const { parts } of sent) for (const [key, heavy] of parts) receiver.part(key, heavy);
  sent.forEach(({ light }, at) => expect(receiver.whole(light)).toEqual(plans[at]));
});

test('pieces that can not be built are handed over each as its own', () => {
  const [send, receiver] = [newSender(), newReceiver()];
  const job = demoJob();
  const flat = { ...job, pieces: job.pieces.map((piece) => ({ ...piece, size: { ...piece.size, height: 8128 } })) };
  const plan = planOf(flat);
  const { light, parts } = across(send(plan));
  for (const [key, heavy] of parts) receiver.part(key, heavy);
  expect(receiver.whole(light)).toEqual(plan);
});
