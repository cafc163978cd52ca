import { demoJob } from '@sill/core';
import { planned as planOf } from '../../../core/src/testing/planning';
import { planned, planning, remembered, started } from './planning';

test('what a job came to last is shown and marked until today’s plan is there; the difference is nobody’s change', () => {
  const job = demoJob();
  const plan = planOf(job, '2026-11-24');
  const reduce = planning.reducer;
  const before = reduce(
    reduce(undefined, started()),
    remembered({ job, plan: { ...plan, list: { ...plan.list, total: 1 } } }),
  );
  expect(before).toMatchObject({ earlier: true, working: true, plan: { list: { total: 1 } } });
  const after = reduce(before, planned({ job, plan, proving: false }));
  expect(after).toMatchObject({
    earlier: false,
    working: false,
    moved: null,
    plan: { list: { total: plan.list.total } },
  });
});
