import fc from 'fast-check';
import { inches, mm, tapeStep } from '../length';
import { applyChanges, newJob, type Job } from '../job';
import { newPiece } from '../piece';
import { newPlanCache, planJob } from '../plan';
import { SAMPLE_YARD } from '../stock';
import { builtOf } from '../testing/planning';
import { jobOf, tables } from '../testing/tables';
import { costAround, costAt, nearestCheaper, savings, sizesAround, wishes } from './index';
import { runs, timesOf } from '../testing/runs';

const today = '2026-11-24';
const quick = { today, effort: 'quick' } as const;

describe('what an inch costs', () => {
  const piece = { ...newPiece('t', 'desk'), size: { length: inches(60), width: inches(28), height: inches(29.5) } };
  const job: Job = { ...newJob('one desk'), pieces: [piece] };

  test('sizes: the target, then whole inches around it, the nearest first', () => {
    const sizes = sizesAround(inches(60.5), 'in');
    expect(sizes.slice(0, 5)).toEqual([60.5, 60, 61, 59, 62].map(inches));
    expect(sizesAround(mm(1000), 'mm').slice(0, 3)).toEqual([mm(1000), mm(975), mm(1025)]);
    expect(Math.min(...sizesAround(inches(8), 'in'))).toBe(inches(6));
  });

  test('the point at the target is the plan; the cheaper one begins at just that mark', () => {
    const points = [...costAround(job, 't', 'length', { ...quick, cache: newPlanCache() })];
    expect(points[0]).toEqual({ at: inches(60), total: planJob(job, quick).list.total, because: null });
    const { below } = nearestCheaper(points, inches(60));
    expect(below).not.toBeNull();
    expect(below!.total).toBe(costAt(job, 't', 'length', below!.at, quick).total);
    const above = costAt(job, 't', 'length', below!.at + tapeStep('in'), quick);
    expect(above.total).toBeGreaterThan(below!.total!);
  });

  test('sizes that can not be built say why and have no price', () => {
    const low = { ...piece, size: { ...piece.size, height: inches(8) } };
    const point = costAt({ ...job, pieces: [low] }, 't', 'height', inches(4), quick);
    expect(point.total).toBeNull();
    expect(point.because).not.toBeNull();
    expect(costAt(job, 't', 'length', inches(220), quick)).toMatchObject({
      total: null,
      because: expect.stringMatching(/longer than any stock/),
    });
  });
});

describe('what would save most', () => {
  test('every saving, taken, changes the total by exactly what it said', () => {
    let tried = 0;
    fc.assert(
      fc.property(tables('in'), (piece) => {
        const job = jobOf(piece, 'in');
        const cache = newPlanCache();
        const plan = planJob(job, { ...quick, cache });
        if (plan.parts.length === 0 || plan.buying.unplaced.length > 0) return;
        const last = [...savings(job, plan, wishes(job, []), { ...quick, cache })].at(-1)!;
        expect(last.done).toBe(last.of);
        for (const saving of last.found) {
          const then = planJob(applyChanges(job, saving.changes), { ...quick, cache: builtOf(cache) });
          expect(then.list.total).toBe(saving.total);
          expect(plan.list.total - then.list.total).toBe(saving.saves);
          expect(saving.saves).toBeGreaterThan(0);
          expect(then.findings.filter(({ level }) => level === 'stop')).toEqual([]);
          tried++;
        }
        expect(last.found.map(({ saves }) => saves)).toEqual(
          [...last.found].map(({ saves }) => saves).sort((a, b) => b - a),
        );
      }),
      runs(4, 4),
    );
    expect(tried).toBeGreaterThan(3 * timesOf(4));
  });

  test('a cheaper yard is among them, and what a piece is for is not given up', () => {
    const piece = newPiece('c', 'chest');
    const job: Job = { ...newJob('a chest'), pieces: [piece] };
    const other = {
      ...SAMPLE_YARD,
      id: 'far',
      name: 'The far yard',
      sheets: SAMPLE_YARD.sheets.map((offer) => ({ ...offer, price: Math.round(offer.price / 2) })),
    };
    const cached = { ...quick, cache: newPlanCache() };
    const plan = planJob(job, cached);
    const { found } = [...savings(job, plan, wishes(job, [other, job.yard]), cached)].at(-1)!;
    expect(found.map(({ id }) => id)).toContain('yard.far');
    expect(wishes(job, []).some(({ id }) => id === 'c.choices.front.doors')).toBe(true);
    expect(found.some(({ id }) => id.startsWith('c.choices.front'))).toBe(false);
  });
});
