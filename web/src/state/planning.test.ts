import { demoJob, type Plan } from '@sill/core';
import { planned as planOf } from '../../../core/src/testing/planning';
import { cleared, failed, halted, planned, planning, proofEnded, searching, started } from './planning';

const job = demoJob();
const plan = planOf(job, '2026-11-24');
const costing = (total: number): Plan => ({ ...plan, list: { ...plan.list, total } });
const reduce = planning.reducer;

test('the first plan moves nothing; the next says by how much, and nothing where it is the same', () => {
  const first = reduce(undefined, planned({ job, plan: costing(100), proving: false }));
  expect(first).toMatchObject({ moved: null, working: false });
  const other = { ...job };
  const second = reduce(first, planned({ job: other, plan: costing(140), proving: true }));
  expect(second).toMatchObject({ moved: 40, proving: true });
  // A better plan of the same job adds to what the change made.
  const better = reduce(second, planned({ job: other, plan: costing(130), proving: false }));
  expect(better).toMatchObject({ moved: 30, proving: false });
  expect(reduce(better, planned({ job: { ...job }, plan: costing(130), proving: false })).moved).toBeNull();
});

test('working, failing, stopping, closing', () => {
  const working = reduce(undefined, started());
  expect(working.working).toBe(true);
  expect(reduce(working, failed('no'))).toMatchObject({ working: false, failed: 'no' });
  expect(reduce(working, halted())).toMatchObject({ working: false, halted: true });
  expect(reduce(reduce(working, halted()), started())).toMatchObject({ working: true, halted: false });
  const proving = reduce(working, planned({ job, plan, proving: true }));
  expect(reduce(proving, searching(0.4))).toMatchObject({ proving: true, searched: 0.4, plan });
  expect(reduce(proving, proofEnded())).toMatchObject({ proving: false, plan });
  expect(reduce(proving, cleared())).toMatchObject({ plan: null, of: null });
});
