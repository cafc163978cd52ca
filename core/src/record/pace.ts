import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { WORK_KINDS, type Job, type WorkKind } from '../job';
import { nth } from '../lists';
import { apart } from './forgotten';
import { ownRecord, THIS, type JobRecord, type WorkTimes } from './job-record';

/** What nine in ten of ten stay within on either side of the likeliest: 80 in 100 lie between. */
export type Range = { readonly low: number; readonly likely: number; readonly high: number };

/** How one kind of work goes here, over the usual; and from how much that is told. */
type KindPace = Range & { readonly timings: number; readonly jobs: number };

/**
 * How fast this builder is. Logarithms of the time taken over the time planned: `mean` and `spread` (covariances) of
 * what every kind of work takes in the job in question; `chance` the variance of one operation, `far` how many standard
 * deviations one in ten lies beyond.
 */
export type Pace = {
  readonly kinds: Readonly<Record<WorkKind, KindPace>>;
  readonly timings: number;
  readonly jobs: number;
  readonly mean: readonly number[];
  readonly spread: readonly (readonly number[])[];
  readonly chance: number;
  readonly far: number;
};

/**
 * What is thought before anything is recorded, as standard deviations of logarithms: how far a builder is from the
 * usual, a kind of work of theirs from that, one job from their others, one operation from what it takes as a rule. Of
 * someone who never held a clock to it a job then takes half to twice of what is planned, eight times in ten. Chosen so
 * that the ranges of builders of many kinds hold as often as they say after ten jobs (tested).
 */
const [BUILDER, KIND, JOB, CHANCE] = [0.3, 0.15, 0.15, 0.4] as const;
/** So many jobs, and so many operations, weigh what was thought before against what was recorded. */
const [JOBS_BEFORE, TIMINGS_BEFORE] = [1, 20] as const;
/** Older jobs than the last so many say nothing new. */
const MOST_JOBS = 60;
/** Rounds after which the spread between jobs stands still. */
const ROUNDS = 8;
/** Minutes of an operation, as a rule. */
const TYPICAL = 8;
/** The normal distribution's ninth tenth. */
const NINTH = 1.2816;

type Seen = { readonly job: number; readonly kind: number; readonly times: WorkTimes };

/** Variance of one operation about what it takes as a rule, of its logarithm. */
function chanceOf(seen: readonly Seen[]): number {
  let [sum, count] = [TIMINGS_BEFORE * CHANCE ** 2, TIMINGS_BEFORE as number];
  for (const { times } of seen) {
    sum += Math.max(0, times.logSquares - times.logs ** 2 / times.count);
    count += times.count - 1;
  }
  return sum / count;
}

/** So many operations alike would say as much as these do. */
const weightOf = ({ planned, squares }: WorkTimes): number => planned ** 2 / squares;

/**
 * Mean and covariance of the builder, the kinds and the jobs, by what was seen: a linear model with normal errors
 * (Gelman and others, Bayesian Data Analysis, ch. 14-15), its precisions added up and inverted.
 */
function solved(seen: readonly Seen[], jobs: number, chance: number, between: number) {
  const count = 1 + WORK_KINDS.length + jobs;
  const precision = Matrix.zeros(count, count);
  const right = Matrix.zeros(count, 1);
  const before = [BUILDER ** 2, ...WORK_KINDS.map(() => KIND ** 2), ...Array.from({ length: jobs }, () => between)];
  before.forEach((variance, at) => precision.set(at, at, 1 / variance));
  for (const { job, kind, times } of seen) {
    const variance = (Math.exp(chance) - 1) / weightOf(times);
    // The logarithm of a mean of few lies below that of many.
    const value = Math.log(times.minutes / times.planned) + variance / 2;
    const at = [0, 1 + kind, 1 + WORK_KINDS.length + job];
    for (const one of at) {
      for (const two of at) precision.set(one, two, precision.get(one, two) + 1 / variance);
      right.set(one, 0, right.get(one, 0) + value / variance);
    }
  }
  const factor = new CholeskyDecomposition(precision);
  return { mean: factor.solve(right), covariance: factor.solve(Matrix.eye(count)) };
}

/** How many standard deviations one in ten lies beyond, where the spread itself is told from so many (Student's t). */
const ninthOf = (freedom: number): number => NINTH * (1 + (NINTH ** 2 + 1) / (4 * freedom));

/**
 * How fast a builder is by all that was recorded.
 *
 * @param own the job that is asked about: what was timed of it says what is peculiar to it.
 */
export function paceOf(records: readonly JobRecord[], own: string | null): Pace {
  const timed = records
    .filter(({ times }) => Object.keys(times).length > 0)
    .sort((a, b) => ((a.to ?? '') < (b.to ?? '') ? 1 : -1))
    .slice(0, MOST_JOBS);
  const seen = timed.flatMap(({ times }, job) =>
    WORK_KINDS.flatMap((name, kind): readonly Seen[] => {
      const own = times[name];
      return own && own.planned > 0 && own.minutes > 0 ? [{ job, kind, times: own }] : [];
    }),
  );
  const chance = chanceOf(seen);
  let between = JOB ** 2;
  let { mean, covariance } = solved(seen, timed.length, chance, between);
  const jobAt = (job: number) => 1 + WORK_KINDS.length + job;
  for (let round = 0; round < ROUNDS && timed.length > 0; round++) {
    const sum = timed.reduce(
      (all, _, job) => all + mean.get(jobAt(job), 0) ** 2 + covariance.get(jobAt(job), jobAt(job)),
      0,
    );
    between = (JOBS_BEFORE * JOB ** 2 + sum) / (JOBS_BEFORE + timed.length);
    ({ mean, covariance } = solved(seen, timed.length, chance, between));
  }
  const ownAt = timed.findIndex(({ id }) => id === own);
  /** What adds up to the logarithm of one kind in this job. */
  const terms = (kind: number) => [0, 1 + kind, ...(ownAt < 0 ? [] : [jobAt(ownAt)])];
  const means = WORK_KINDS.map((_, kind) => terms(kind).reduce((sum, at) => sum + mean.get(at, 0), 0));
  const spread = WORK_KINDS.map((_, one) =>
    WORK_KINDS.map((__, two) =>
      terms(one).reduce(
        (sum, a) => sum + terms(two).reduce((row, b) => row + covariance.get(a, b), 0),
        ownAt < 0 ? between : 0,
      ),
    ),
  );
  const far = ninthOf(JOBS_BEFORE + timed.length);
  const kinds = Object.fromEntries(
    WORK_KINDS.map((name, kind): [WorkKind, KindPace] => {
      const own = seen.filter((one) => one.kind === kind);
      const off = far * Math.sqrt(nth(nth(spread, kind), kind));
      const log = nth(means, kind);
      return [
        name,
        {
          low: Math.exp(log - off),
          likely: Math.exp(log),
          high: Math.exp(log + off),
          timings: own.reduce((sum, { times }) => sum + times.count, 0),
          jobs: own.length,
        },
      ];
    }),
  ) as Record<WorkKind, KindPace>;
  return {
    kinds,
    timings: seen.reduce((sum, { times }) => sum + times.count, 0),
    jobs: timed.length,
    mean: means,
    spread,
    chance,
    far,
  };
}

/** Minutes by kind of work. */
export type MinutesBy = Readonly<Partial<Record<WorkKind, number>>>;

/** What work that is planned so will take: minutes, and the range that eight of ten such jobs stay in. */
export function rangeOf({ mean, spread, chance, far }: Pace, planned: MinutesBy): Range {
  const rows = WORK_KINDS.map((kind, at) => (planned[kind] ?? 0) * Math.exp(nth(mean, at)));
  const likely = rows.reduce((sum, one) => sum + one, 0);
  if (likely === 0) return { low: 0, likely: 0, high: 0 };
  const shares = rows.map((one) => one / likely);
  let variance = 0;
  shares.forEach((one, a) => shares.forEach((two, b) => (variance += one * two * nth(nth(spread, a), b))));
  WORK_KINDS.forEach((kind, at) => {
    const count = Math.max(1, (planned[kind] ?? 0) / TYPICAL);
    variance += (nth(shares, at) ** 2 * (Math.exp(chance) - 1)) / count;
  });
  const off = far * Math.sqrt(variance);
  return { low: likely * Math.exp(-off), likely, high: likely * Math.exp(off) };
}

/** So long work of a kind takes here where so long is usual. */
export const factorOf = ({ kinds }: Pick<Pace, 'kinds'>, kind: WorkKind): number => kinds[kind].likely;

/** A pace at which everything takes so many times as long. */
export const slowed = (pace: Pace, times: number): Pace => ({
  ...pace,
  mean: pace.mean.map((one) => one + Math.log(times)),
  kinds: Object.fromEntries(
    Object.entries(pace.kinds).map(([name, { low, likely, high, ...of }]) => [
      name,
      { ...of, low: low * times, likely: likely * times, high: high * times },
    ]),
  ) as Pace['kinds'],
});

const known = new WeakMap<Job['ledger'], { readonly others: readonly JobRecord[]; readonly pace: Pace }>();

/** The pace of a job by what was timed of it and of others: worked out once for a ledger and these others. */
export function paceFor(job: Pick<Job, 'name' | 'ledger'>, others: readonly JobRecord[]): Pace {
  const before = known.get(job.ledger);
  if (before?.others === others) return before.pace;
  // A copy of this job carries what was timed here.
  const pace = paceOf(apart([ownRecord(job), ...others]), THIS);
  known.set(job.ledger, { others, pace });
  return pace;
}

/** Nobody's: everything takes what is usual. */
export const USUAL_PACE: Pace = paceOf([], null);
