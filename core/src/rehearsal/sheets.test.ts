import { demoJob } from '../piece';
import { readOnHand } from '../formats';
import { planWork } from '../plan';
import { found } from '../testing/telling';
import { rehearse } from './index';

describe('sheets on hand with a stretch that is no good are broken down and give their parts', () => {
  test.each([
    '3/4 plywood 96 x 48, split last 3',
    '3/4 plywood 96 x 48, bad first 2',
    '3/4 plywood 96 x 48, knots 40 to 43',
    '3/4 plywood 60 x 40, bad first 2, squared',
    '1/2 plywood 60 x 48, split first 5, split last 1/2',
  ])('%s', (line) => {
    const entry = readOnHand(line, 'in');
    if (!entry.ok) throw new Error(entry.message);
    const job = found(demoJob(), [{ ...entry.value, id: 'hand' }]);
    const plan = planWork(job, { today: '2026-01-31', effort: 'quick' });
    expect(plan.buying.boards.some(({ hand }) => hand !== null)).toBe(true);
    expect(rehearse(plan, job).faults).toEqual([]);
  });
});
