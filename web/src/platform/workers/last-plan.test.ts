import 'fake-indexeddb/auto';
import { demoJob, planJob } from '@sill/core';
import { keepPlan, lastPlan } from './last-plan';

test('a plan is there at the next opening, of this program only, and for the jobs opened last', async () => {
  const job = demoJob();
  const plan = planJob(job, { today: '2026-11-27', effort: 'quick' });
  for (let at = 1; at <= 8; at++) await keepPlan({ id: `job${at}`, job, plan, program: 'now', at });
  expect(await lastPlan('job8', 'now')).toMatchObject({ plan: { list: { total: plan.list.total } } });
  expect(await lastPlan('job8', 'before')).toBeNull();
  expect(await lastPlan('job2', 'now')).toBeNull();
  expect(await lastPlan('job3', 'now')).not.toBeNull();
});
