import 'fake-indexeddb/auto';
import { demoJob } from '@sill/core';
import { planned } from '../../../../core/src/testing/planning';
import { keepPlan, lastPlan } from './last-plan';

test('a plan is there at the next opening, of this program only, and for the jobs opened last', async () => {
  const job = demoJob();
  const plan = planned(job, '2026-11-24');
  for (let at = 1; at <= 8; at++) await keepPlan({ id: `job${at}`, job, plan, program: 'now', at });
  expect(await lastPlan('job8', 'now')).toMatchObject({ plan: { list: { total: plan.list.total } } });
  expect(await lastPlan('job8', 'before')).toBeNull();
  expect(await lastPlan('job2', 'now')).toBeNull();
  expect(await lastPlan('job3', 'now')).not.toBeNull();
});
