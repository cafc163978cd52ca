import { seeded, type IntegerSolver } from '../cutting';
import { dateOf, dayOf, type Job, type JobCalendar } from '../job';
import { holdingsOf } from '../ledger';
import { nth } from '../lists';
import { factorOf, rangeOf, slowed, type MinutesBy, type Pace, type Range } from '../record';
import { annealed } from './annealed';
import { daysApart, heads, type Bound, type Effort } from './bound';
import type { Stood } from './as-before';
import { chainOf, type ChainLink } from './chain';
import { instantOf, type Instant } from './instant';
import { problemOf, type Problem } from './problem';
import { fewerSessions, search, searchBefore } from './search';
import type { Task } from './task';
import { tasksOf, type Planned } from './tasks';
import { sharedOut } from './shared-out';
import type { Window } from './windows';
import type { WorkLaid } from './work-bench';

/** A task where it stands. */
export type PlacedTask = {
  readonly task: Task;
  readonly start: Instant;
  readonly end: Instant;
  /** Minutes of it that go into sanding what has hardened meanwhile, and that it runs over the time there is. */
  readonly late: number;
  readonly over: number;
};

/** Time at the bench with what is done in it. */
export type Session = { readonly date: string; readonly window: Window; readonly placed: readonly PlacedTask[] };

/** A wish that can not be: there is no time for it that day, or what it needs is not over by then. */
type LostPin = { readonly of: string; readonly on: string; readonly why: 'no time' | 'too early' | 'no way' };

/** When everything is done, and what is known of it. */
export type BenchCalendar = {
  readonly zone: string | null;
  readonly now: Instant;
  readonly sessions: readonly Session[];
  /** All time there is until it is ready, and a while after: what work can be moved to. */
  readonly free: readonly Window[];
  /** Minutes at work. */
  readonly minutes: number;
  readonly changes: number;
  /** The day on which the last wait is over; null where nothing is to be done, or a year is too short. */
  readonly ready: string | null;
  /** No plan is ready before; by waits or by hours. Null where that is not known. */
  readonly bound: { readonly date: string; readonly by: Bound['by'] } | null;
  readonly proved: boolean;
  /** Eight in ten such jobs are ready between; null where that was not looked at. */
  readonly between: { readonly from: string; readonly to: string } | null;
  /** What decides the day, the first first. */
  readonly chain: readonly ChainLink[];
  /** Tasks that no time of the year is fit for; where there are any, nothing is laid out. */
  readonly homeless: readonly Task[];
  readonly handsShort: boolean;
  readonly lostPins: readonly LostPin[];
};

/** Further than this past the ready day no free time is told, days. */
const FURTHER = 14;
/** No more free times are told than so many. */
const MOST_FREE = 400;

/** Wishes that hold, one after the other; and those that do not, with why. */
function pinsOf(tasks: readonly Task[], calendar: JobCalendar, clamps: Job['shop']['clamps'], now: Instant) {
  const pinned = new Map<string, number>();
  const lost: LostPin[] = [];
  for (const { of, on } of calendar.pins) {
    const own = tasks.filter((task) => task.of === of);
    if (own.length === 0) continue;
    const tried = new Map([...pinned, ...own.map((task): [string, number] => [task.id, dayOf(on)])]);
    const problem = problemOf(tasks, calendar, clamps, now, tried);
    const isHomeless = problem.homeless.some((task) => own.includes(task));
    const holds = !isHomeless && heads(problem).every((end) => end !== null);
    const found = holds ? search(problem, 'quick').laid : null;
    if (found) own.forEach((task) => pinned.set(task.id, dayOf(on)));
    else lost.push({ of, on, why: isHomeless ? 'no time' : holds ? 'no way' : 'too early' });
  }
  return { pinned, lost };
}

function sessionsOf(problem: Problem, { puts }: WorkLaid): readonly Session[] {
  const byWindow = new Map<number, PlacedTask[]>();
  puts.forEach(({ at, window, start, end, late }) => {
    const { task, over } = nth(problem.nodes, at);
    const placed = byWindow.get(window) ?? [];
    byWindow.set(window, placed);
    placed.push({ task, start, end, late, over });
  });
  return [...byWindow].map(([at, placed]) => {
    const window = nth(problem.windows, at);
    return { date: dateOf(window.day), window, placed };
  });
}

/** What is told of work where it stands. */
function toldOf(problem: Problem, laid: WorkLaid) {
  const until = laid.day + FURTHER;
  return {
    sessions: sessionsOf(problem, laid),
    free: problem.windows.filter(({ day }) => day <= until).slice(0, MOST_FREE),
    changes: laid.changes,
    chain: chainOf(problem, laid),
  };
}

/** Where work stands in days that are laid out. */
export const stoodOf = ({ ready, sessions }: BenchCalendar): Stood | null =>
  ready === null
    ? null
    : {
        day: dayOf(ready),
        starts: new Map(sessions.flatMap(({ placed }) => placed.map(({ task, start }) => [task.id, start]))),
      };

/**
 * Tasks laid out in the time there is.
 *
 * @param stood where they stood before: kept where that is still better than what is found anew.
 */
export function laidOut(
  tasks: readonly Task[],
  { calendar, shop }: Pick<Job, 'calendar' | 'shop'>,
  now: Instant,
  effort: Effort,
  stood: Stood | null = null,
): BenchCalendar {
  const { pinned, lost } = pinsOf(tasks, calendar, shop.clamps, now);
  const problem = problemOf(tasks, calendar, shop.clamps, now, pinned);
  const found = problem.homeless.length > 0 ? null : search(problem, effort, stood);
  const laid = found?.laid ?? null;
  return {
    zone: calendar.zone,
    now,
    ...(laid
      ? toldOf(problem, laid)
      : { sessions: [], free: problem.windows.slice(0, MOST_FREE), changes: 0, chain: [] }),
    minutes: tasks.reduce((sum, { minutes }) => sum + minutes, 0),
    ready: laid && tasks.length > 0 ? dateOf(laid.day) : null,
    bound: found?.bound ? { date: dateOf(found.bound.day), by: found.bound.by } : null,
    proved: found?.proved ?? false,
    between: null,
    homeless: problem.homeless,
    handsShort: problem.handsShort,
    lostPins: lost,
  };
}

/** The day on which tasks laid out are ready, where one before another is found; null else. */
export function readyBefore(
  tasks: readonly Task[],
  { calendar, shop }: Pick<Job, 'calendar' | 'shop'>,
  now: Instant,
  effort: Effort,
  before: string,
): string | null {
  const { pinned } = pinsOf(tasks, calendar, shop.clamps, now);
  const problem = problemOf(tasks, calendar, shop.clamps, now, pinned);
  const day = tasks.length === 0 || problem.homeless.length > 0 ? null : searchBefore(problem, effort, dayOf(before));
  return day === null ? null : dateOf(day);
}

/** So long a nearer bound is looked for, milliseconds: what is found is found in three seconds. */
export const PROVING_MS = 10_000;

/** So long days that are ready sooner are looked for where a person asks for that, milliseconds. */
export const LOOKING_MS = 60_000;

/** What of days is open: the days between their bound and the one they are ready on; null where there are none. */
function openOf(tasks: readonly Task[], { calendar, shop }: Pick<Job, 'calendar' | 'shop'>, days: BenchCalendar) {
  if (days.proved || days.bound === null || days.ready === null) return null;
  const { pinned } = pinsOf(tasks, calendar, shop.clamps, days.now);
  const problem = problemOf(tasks, calendar, shop.clamps, days.now, pinned);
  const from = dayOf(days.bound.date);
  return { problem, from, apart: daysApart(problem, from, dayOf(days.ready)).map(({ day }) => day) };
}

/** Days with work as it was found to be ready sooner. */
function readySooner(days: BenchCalendar, problem: Problem, laid: WorkLaid): BenchCalendar {
  const sooner = fewerSessions(problem, laid);
  const date = dateOf(sooner.day);
  return {
    ...days,
    ...toldOf(problem, sooner),
    ready: date,
    between: days.between && { ...days.between, from: date < days.between.from ? date : days.between.from },
    proved: days.bound !== null && days.bound.date >= date,
  };
}

/**
 * Days with a nearer bound: days before the one they are ready on are refuted, or kept, by an integer program, the last
 * of them first, as far as that goes in time. Where it keeps one, work is laid out as it says: ready sooner than a
 * search found.
 *
 * @param stopped asked now and then: true ends it, and what was found so far stands.
 */
export function provedFurther(
  tasks: readonly Task[],
  job: Pick<Job, 'calendar' | 'shop'>,
  days: BenchCalendar,
  integer: IntegerSolver,
  stopped: () => boolean,
): BenchCalendar {
  const gap = openOf(tasks, job, days);
  if (gap === null || days.bound === null) return days;
  const { problem, from, apart } = gap;
  let laid: WorkLaid | null = null;
  // What is refuted for a day is for all before it: the last first, as mostly it is the plan that is right.
  let [refuted, open] = [0, apart.length];
  for (let at = open - 1; refuted < open && !stopped();) {
    const answer = sharedOut(problem, nth(apart, at), integer, stopped);
    if (answer === 'refuted') refuted = at + 1;
    else if (answer === 'open') open = at;
    else {
      laid = answer;
      open = apart.filter((day) => day < answer.day).length;
    }
    at = typeof answer === 'string' ? Math.floor((refuted + open) / 2) : open - 1;
  }
  const sooner = laid ? readySooner(days, problem, laid) : days;
  const day = refuted === 0 ? from : nth(apart, refuted - 1) + 1;
  const bound = { date: dateOf(day), by: day > from ? 'hours' : days.bound.by } as const;
  return { ...sooner, bound, proved: sooner.ready !== null && bound.date >= sooner.ready };
}

/**
 * Days that are ready sooner, looked for as long as one waits: by a day or more first, then as soon as nothing rules
 * out.
 *
 * @param seed another one looks elsewhere.
 * @param heard told each that was found, sooner than those before.
 * @returns the days as they are where none were found, which proves nothing.
 */
export function lookedFurther(
  tasks: readonly Task[],
  job: Pick<Job, 'calendar' | 'shop'>,
  days: BenchCalendar,
  seed: number,
  heard: (days: BenchCalendar) => void,
  stopped: () => boolean,
): BenchCalendar {
  const gap = openOf(tasks, job, days);
  if (!gap) return days;
  const random = seeded(seed);
  let found = days;
  for (let open = gap.apart, at = open.length - 1; open.length > 0; at = 0) {
    const laid = annealed(gap.problem, nth(open, at), random, stopped);
    if (!laid) break;
    found = readySooner(days, gap.problem, laid);
    heard(found);
    open = open.filter((day) => day < laid.day);
  }
  return found;
}

/** The minute from which a job is planned: now, or the beginning of the day where only that is told. */
export const nowOf = ({ zone }: Pick<JobCalendar, 'zone'>, told: string): Instant =>
  instantOf(zone, told.length > 10 ? told : `${told}T00:00`);

/**
 * When a planned job is done.
 *
 * @param today date or local time, like `2026-11-28` or `2026-11-28T14:05`: the core has no clock.
 */
export function daysOf(planned: Planned, job: Job, today: string, effort: Effort, pace: Pace): BenchCalendar {
  const now = nowOf(job.calendar, today);
  return laidOut(tasksOf(planned, job, holdingsOf(job), now, pace), job, now, effort);
}

/** Minutes of tasks by kind of work, as they would be at the usual pace. */
function usualOf(tasks: readonly Task[], pace: Pace): MinutesBy {
  const rows: { -readonly [Kind in keyof MinutesBy]: MinutesBy[Kind] } = {};
  for (const { kind, minutes } of tasks) rows[kind] = (rows[kind] ?? 0) + minutes / factorOf(pace, kind);
  return rows;
}

/** Minutes that tasks laid out at a pace will take. */
export const hoursOf = (tasks: readonly Task[], pace: Pace): Range => rangeOf(pace, usualOf(tasks, pace));

/** The same work by a builder as slow, and as fast, as one in ten. */
export function paces(pace: Pace, hours: Range): { readonly slow: Pace; readonly fast: Pace } {
  const by = (minutes: number) => slowed(pace, hours.likely > 0 ? minutes / hours.likely : 1);
  return { slow: by(hours.high), fast: by(hours.low) };
}

/** Days with the days between which eight in ten such jobs are ready. What is laid out stays as it is. */
export function withRange(
  days: BenchCalendar,
  { slow, fast }: { readonly slow: readonly Task[]; readonly fast: readonly Task[] },
  job: Pick<Job, 'calendar' | 'shop'>,
): BenchCalendar {
  const { ready, now } = days;
  if (ready === null) return days;
  const [early, late] = [fast, slow].map((tasks) => laidOut(tasks, job, now, 'quick').ready ?? ready) as [
    string,
    string,
  ];
  return { ...days, between: { from: early < ready ? early : ready, to: late > ready ? late : ready } };
}
