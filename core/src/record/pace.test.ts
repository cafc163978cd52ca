import { seeded } from '../cutting';
import { newJob, WORK_KINDS, type Entry, type WorkKind } from '../job';
import { timesOf } from '../testing/runs';
import { recordOf, type JobRecord } from './job-record';
import { factorOf, paceOf, rangeOf, slowed, USUAL_PACE, type MinutesBy } from './pace';

const timed = (id: string, work: WorkKind, planned: number, minutes: number): Entry => ({
  ...{ id, at: '2026-10-03T14:00', what: 'timed', of: '', piece: null, work, planned, minutes, until: null },
});
const jobOf = (id: string, entries: readonly Entry[]): JobRecord => recordOf(id, { ...newJob(id), ledger: entries });

/** A builder with a pace of their own, one for each kind of work, that strays from job to job and from go to go. */
function builder(seed: number, { pace = 1.3, kinds = 0.15, jobs = 0.15, goes = 0.4 } = {}) {
  const random = seeded(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const own = Object.fromEntries(WORK_KINDS.map((kind) => [kind, pace * Math.exp(kinds * normal())]));
  let made = 0;
  return {
    /** One job of some forty goes: what was planned by kind, what it took, and its record. */
    job() {
      const day = Math.exp(jobs * normal());
      const planned: { [Kind in WorkKind]?: number } = {};
      const id = `job-${++made}`;
      const entries = Array.from({ length: 40 }, (_, k) => {
        const kind = WORK_KINDS[1 + Math.floor(6 * random())]!;
        const minutes = 3 + Math.floor(12 * random());
        planned[kind] = (planned[kind] ?? 0) + minutes;
        return timed(`${id}-${k}`, kind, minutes, minutes * own[kind]! * day * Math.exp(goes * normal()));
      });
      const record = jobOf(id, entries);
      return { planned: planned as MinutesBy, took: record.minutes, record };
    },
  };
}

/** Share of builders whose next job takes what the range says, after so many jobs. */
function held(after: number, how: Parameters<typeof builder>[1], builders = timesOf(1200)): number {
  let count = 0;
  for (let seed = 1; seed <= builders; seed++) {
    const own = builder(seed, how);
    const pace = paceOf(
      Array.from({ length: after }, () => own.job().record),
      null,
    );
    const next = own.job();
    const { low, high } = rangeOf(pace, next.planned);
    if (low <= next.took && next.took <= high) count++;
  }
  return count / builders;
}

test.each([
  ['a slow builder', {}],
  ['a fast and even one', { pace: 0.7, jobs: 0.1, goes: 0.25 }],
  ['one whose jobs differ much', { pace: 1.1, jobs: 0.25 }],
  ['one of twice the usual time', { pace: 2 }],
])('after ten jobs the range of eight in ten holds in 75 to 85 of a hundred: %s', (_, how) => {
  const share = held(10, how);
  expect(share).toBeGreaterThanOrEqual(0.75);
  expect(share).toBeLessThanOrEqual(0.85);
});

test('with nothing recorded the usual is told with a wide range, which narrows with every job', () => {
  const work: MinutesBy = { saw: 100, prepare: 200, join: 150, sand: 120, coat: 60 };
  /** High over low of many builders together. */
  const width = (count: number) => {
    const all = Array.from({ length: 40 }, (_, seed) => {
      const own = builder(seed + 1);
      const records = Array.from({ length: count }, () => own.job().record);
      const { low, high } = rangeOf(paceOf(records, null), work);
      return high / low;
    });
    return all.reduce((sum, one) => sum + one, 0) / all.length;
  };
  expect(rangeOf(USUAL_PACE, work).likely).toBeCloseTo(630, 6);
  expect(width(0)).toBeGreaterThan(2.5);
  const widths = [0, 1, 3, 10, 30].map(width);
  for (let k = 1; k < widths.length; k++) expect(widths[k]).toBeLessThan(widths[k - 1]!);
  expect(factorOf(USUAL_PACE, 'saw')).toBe(1);
});

test('one timing moves little, many move near to what they say, and what was not timed follows the rest', () => {
  const one = paceOf([jobOf('a', [timed('1', 'saw', 10, 20)])], null);
  expect(factorOf(one, 'saw')).toBeGreaterThan(1.1);
  expect(factorOf(one, 'saw')).toBeLessThan(1.5);
  const many = paceOf(
    Array.from({ length: 12 }, (_, j) =>
      jobOf(
        `j${j}`,
        Array.from({ length: 30 }, (__, k) => timed(`${j} ${k}`, 'saw', 10, 20)),
      ),
    ),
    null,
  );
  expect(factorOf(many, 'saw')).toBeGreaterThan(1.85);
  expect(factorOf(many, 'saw')).toBeLessThan(2.01);
  expect(factorOf(many, 'coat')).toBeGreaterThan(1.2);
  expect(factorOf(many, 'coat')).toBeLessThan(factorOf(many, 'saw'));
  expect(many.kinds.saw).toMatchObject({ timings: 360, jobs: 12 });
  expect(many.kinds.coat).toMatchObject({ timings: 0, jobs: 0 });
});

test('what is peculiar to this job counts for it and hardly for the next', () => {
  const others = Array.from({ length: 6 }, (_, j) =>
    jobOf(
      `j${j}`,
      Array.from({ length: 30 }, (__, k) => timed(`${j} ${k}`, 'join', 10, 10)),
    ),
  );
  const hard = jobOf(
    'hard',
    Array.from({ length: 30 }, (_, k) => timed(`h${k}`, 'join', 10, 17)),
  );
  const here = factorOf(paceOf([hard, ...others], 'hard'), 'prepare');
  const next = factorOf(paceOf([hard, ...others], null), 'prepare');
  expect(here).toBeGreaterThan(1.35);
  expect(next).toBeGreaterThan(1);
  expect(next).toBeLessThan(1.15);
});

test('a range is of what is asked: nothing takes nothing, twice takes twice, slowed takes so much longer', () => {
  expect(rangeOf(USUAL_PACE, {})).toEqual({ low: 0, likely: 0, high: 0 });
  expect(rangeOf(slowed(USUAL_PACE, 1.5), { saw: 100 }).likely).toBeCloseTo(150, 6);
  const [one, two] = [rangeOf(USUAL_PACE, { saw: 100 }), rangeOf(USUAL_PACE, { saw: 200 })];
  expect(two.likely).toBeCloseTo(2 * one.likely, 6);
  // Twice as many goes stray less together.
  expect(two.high / two.likely).toBeLessThan(one.high / one.likely);
});
