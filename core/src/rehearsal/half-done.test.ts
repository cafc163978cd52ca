import { holdingsOf } from '../ledger';
import type { Job } from '../job';
import { boughtAs, boxBought, cutAs } from '../buying';
import { sawnAt } from '../sawing';
import { newStamp, told } from '../testing/telling';
import { planning, startJob } from '../testing/planning';
import { rehearse } from './index';

const planOf = planning();

test.each(['coffee', 'shelf-unit', 'chest', 'trestle', 'shelf-coffee', 'pedestal'])(
  '%s: all bought, half cut, one setting done: the rest is done as it is told, with what is there',
  (start) => {
    const stamp = newStamp();
    let job: Job = startJob(start);
    const first = planOf(job);
    job = told(job, [
      ...first.buying.boards.flatMap((board) => boughtAs(job, board, stamp)),
      ...first.list.hardware.flatMap(({ offer, count }) =>
        Array.from({ length: count }, () => boxBought(job, offer, stamp)),
      ),
    ]);
    for (let half = Math.floor(first.buying.boards.length / 2); half > 0; half--) {
      const board = planOf(job).buying.boards.find(({ state }) => state === 'bought');
      if (board) job = told(job, cutAs(job, board, null, stamp));
    }
    const plan = planOf(job);
    const open = plan.setups.find(({ boards }) => boards.some((n) => plan.buying.boards[n - 1]?.state === 'bought'));
    if (open) job = told(job, sawnAt(job, open, { boards: plan.buying.boards, setups: plan.setups }, stamp));
    const now = planOf(job);
    expect(now.list.total - now.list.spent).toBe(now.list.sums.toBuy);
    expect(now.list.hardware.every(({ count }) => count === 0)).toBe(true);
    expect([...holdingsOf(job).bodies.values()].some(({ state }) => state === 'cut')).toBe(true);
    expect(rehearse(now, job).faults).toEqual([]);
  },
);
