import { dayNotes } from '../checking';
import { dayOf, newJob } from '../job';
import { holdingsOf } from '../ledger';
import { newPiece } from '../piece';
import { planJob, type Plan } from '../plan';
import { playedThrough } from '../played';
import { recordOf, type JobRecord } from '../record';
import { plain } from '../words';
import { nowOf, paces, tasksOf, withRange } from '.';

const NOW = '2026-11-24T20:00';
const job = { ...newJob('Shed'), pieces: [newPiece('t', 'dining')] };

/** A plan, and its days with the range they are ready in. */
function ranged(records: readonly JobRecord[]) {
  const plan: Plan = planJob(job, { today: NOW, effort: 'quick', records });
  const { slow, fast } = paces(plan.pace, plan.hours);
  const at = (pace: Plan['pace']) => tasksOf(plan, job, holdingsOf(job), nowOf(job.calendar, NOW), pace);
  const calendar = withRange(plan.calendar, { slow: at(slow), fast: at(fast) }, job);
  const note = dayNotes({ calendar, job, pace: plan.pace }).find(({ kind }) => kind === 'range')!;
  const { from, to } = calendar.between!;
  return { plan, calendar, note, from, to, days: dayOf(to) - dayOf(from) };
}

const unknown = ranged([]);
const builders = [3, 4, 5, 6, 7].map((seed) =>
  recordOf(`job-${seed}`, playedThrough(job, { pace: 1.3, spread: 0.3, seed }, '2026-06-01')),
);
const known = ranged(builders);

test('with nothing recorded the days are a wide range, and the note says why', () => {
  expect(unknown.plan.pace.timings).toBe(0);
  expect(unknown.from <= unknown.calendar.ready!).toBe(true);
  expect(unknown.to > unknown.calendar.ready!).toBe(true);
  expect(unknown.note.level).toBe('care');
  expect(plain(unknown.note.because, 'in')).toMatch(/No time was recorded yet, so the range is wide/);
});

test('five jobs of a slow builder make it later and narrower, and the note says from how many', () => {
  expect(known.plan.hours.likely).toBeGreaterThan(1.15 * unknown.plan.hours.likely);
  expect(known.calendar.ready! >= unknown.calendar.ready!).toBe(true);
  expect(known.plan.hours.high / known.plan.hours.low).toBeLessThan(
    0.6 * (unknown.plan.hours.high / unknown.plan.hours.low),
  );
  expect(known.days).toBeLessThan(unknown.days);
  expect(known.note.level).toBe('good');
  expect(plain(known.note.because, 'in')).toMatch(/of ten such jobs eight are ready between.*timings in 5 jobs\./);
});

test('a plan of minutes at a pace is that pace: all its tasks take as much longer', () => {
  const minutes = (plan: Plan) => plan.calendar.minutes;
  const ratio = minutes(known.plan) / minutes(unknown.plan);
  expect(ratio).toBeCloseTo(known.plan.hours.likely / unknown.plan.hours.likely, 6);
});
