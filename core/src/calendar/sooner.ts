import { dayOf, set, type Change, type Job, type JobCalendar } from '../job';
import { say, strong, type Phrase } from '../words';
import { DAY, type Instant } from './instant';
import type { Effort } from './bound';
import { readyBefore } from './plan-days';
import type { Task } from './task';

/** One change that brings the day forward, and by how much. */
export type Sooner = {
  readonly id: string;
  readonly label: Phrase;
  /** What it asks for that money does not buy, or what it risks. */
  readonly but: Phrase;
  readonly ready: string;
  /** Days sooner than now. */
  readonly days: number;
  /** What it adds to the list, cents; null where no list has it. */
  readonly adds: number | null;
  /** What makes it so in the job; empty where it is agreed on elsewhere. */
  readonly changes: readonly Change[];
};

type Lever = Omit<Sooner, 'ready' | 'days' | 'adds'> & {
  readonly calendar?: JobCalendar;
  readonly clamps?: Job['shop']['clamps'];
  readonly tasks?: readonly Task[];
};

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
const [EVENING_FROM, EVENING_TO] = [19 * 60, 21 * 60] as const;
/** Boards that a meter says are dry need no longer. */
const SHORT_REST = 2;
const MORE_CLAMPS = 2;
const TWO_HOURS = 120;

/** An evening more on each day that has none, hours more on the longest day. */
function hourLevers({ calendar }: Pick<Job, 'calendar'>): readonly Lever[] {
  const evenings = WEEKDAYS.flatMap((name, at): readonly Lever[] => {
    const day = at + 1;
    if (calendar.week.some((row) => row.day === day)) return [];
    const row = { id: `more-${day}`, day, from: EVENING_FROM, to: EVENING_TO, quiet: true, helpers: 0 };
    return [
      {
        id: `evening-${day}`,
        label: say`Work on ${strong(name)} evenings too, 7 to 9, quietly`,
        but: say`An evening a week.`,
        calendar: { ...calendar, week: [...calendar.week, row] },
        changes: [set(null, ['calendar', 'week', row.id], row)],
      },
    ];
  });
  const longest = calendar.week.reduce<JobCalendar['week'][number] | null>(
    (a, b) => (a && a.to - a.from >= b.to - b.from ? a : b),
    null,
  );
  if (!longest || longest.to + TWO_HOURS > DAY) return evenings;
  const to = longest.to + TWO_HOURS;
  const name = WEEKDAYS[longest.day - 1] ?? '';
  return [
    ...evenings,
    {
      id: 'longer',
      label: say`Two hours more on ${strong(`${name}s`)}`,
      but: say`A long day: who is tired stops, saws do not forgive.`,
      calendar: { ...calendar, week: calendar.week.map((row) => (row === longest ? { ...row, to } : row)) },
      changes: [set(null, ['calendar', 'week', longest.id, 'to'], to)],
    },
  ];
}

function helpLevers(tasks: readonly Task[], { calendar }: Pick<Job, 'calendar'>): readonly Lever[] {
  const helpers = Math.max(1, ...tasks.map(({ people }) => people)) - 1;
  const short = calendar.week.filter((row) => row.helpers < helpers);
  if (helpers === 0 || short.length === 0) return [];
  return [
    {
      id: 'helper',
      label: say`${strong(helpers === 1 ? 'Someone' : `${helpers} more`)} to help whenever you work`,
      but: say`Only lifts need it: see which days they fall on, and ask for those.`,
      calendar: {
        ...calendar,
        week: calendar.week.map((row) => ({ ...row, helpers: Math.max(row.helpers, helpers) })),
      },
      changes: short.map((row) => set(null, ['calendar', 'week', row.id, 'helpers'], helpers)),
    },
  ];
}

function thingLevers(tasks: readonly Task[], { calendar, shop }: Pick<Job, 'calendar' | 'shop'>): readonly Lever[] {
  const span = Math.max(0, ...tasks.map(({ clamps }) => clamps?.span ?? 0));
  const row = [...shop.clamps].sort((a, b) => a.length - b.length).find(({ length }) => length >= span);
  const clamps = shop.clamps.map((one) => (one === row ? { ...one, count: one.count + MORE_CLAMPS } : one));
  const sheets = tasks.filter(({ of }) => of.startsWith('saw.guide:'));
  return [
    ...(row && span > 0
      ? [
          {
            id: 'clamps',
            label: say`Two more clamps of your longer kind`,
            but: say`Borrowed for a week they cost nothing.`,
            clamps,
            changes: [set(null, ['shop', 'clamps'], clamps)],
          },
        ]
      : []),
    ...(sheets.length > 0
      ? [
          {
            id: 'store-cuts',
            label: say`Have the yard break down the sheets`,
            but: say`Ask what a cut costs there, and how true their saw is: what must fit is cut at home.`,
            tasks: withoutTasks(tasks, new Set(sheets.map(({ id }) => id))),
            changes: [],
          },
        ]
      : []),
    ...(calendar.rest > SHORT_REST
      ? [
          {
            id: 'rest',
            label: say`Let the boards lie ${strong(SHORT_REST)} days only`,
            but: say`Only where a meter reads under 12 percent: wet boards move once they are a top.`,
            calendar: { ...calendar, rest: SHORT_REST },
            tasks: tasks.map((task) => ({
              ...task,
              after: task.after.map((one) =>
                one.task === 'yard' && one.wait > 0 ? { ...one, wait: SHORT_REST * DAY - DAY / 2 } : one,
              ),
            })),
            changes: [set(null, ['calendar', 'rest'], SHORT_REST)],
          },
        ]
      : []),
    ...(calendar.pins.length > 0
      ? [
          {
            id: 'pins',
            label: say`Give up what you moved by hand`,
            but: say`Work falls where it is done soonest.`,
            calendar: { ...calendar, pins: [] },
            changes: [set(null, ['calendar', 'pins'], [])],
          },
        ]
      : []),
  ];
}

/** Tasks without some: what waited for those waits for what they waited for. */
function withoutTasks(tasks: readonly Task[], gone: ReadonlySet<string>): readonly Task[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const through = (after: Task['after']): Task['after'] =>
    after.flatMap((one) => (gone.has(one.task) ? through(byId.get(one.task)?.after ?? []) : [one]));
  return tasks.filter(({ id }) => !gone.has(id)).map((task) => ({ ...task, after: through(task.after) }));
}

/** How many days sooner one date is than another. */
export const daysSooner = (ready: string, now: string): number => dayOf(now) - dayOf(ready);

/**
 * Each single change of hours, hands and things that brings the day forward, the one that brings most first. Of
 * evenings only the best is told.
 *
 * @param ready the day it is ready as things are, laid out in the same way.
 */
export function soonerBy(
  tasks: readonly Task[],
  job: Pick<Job, 'calendar' | 'shop'>,
  now: Instant,
  ready: string,
  effort: Effort,
): readonly Sooner[] {
  const levers = [...hourLevers(job), ...helpLevers(tasks, job), ...thingLevers(tasks, job)];
  const isEvening = ({ id }: Lever): boolean => id.startsWith('evening-');
  let evening = ready;
  return levers
    .flatMap((lever): readonly Sooner[] => {
      const { calendar = job.calendar, clamps = job.shop.clamps, tasks: other = tasks, ...rest } = lever;
      const before = isEvening(lever) ? evening : ready;
      const next = readyBefore(other, { calendar, shop: { ...job.shop, clamps } }, now, effort, before);
      if (next === null) return [];
      // Of evenings only one that brings more than those before it is looked for.
      if (isEvening(lever)) evening = next;
      return [{ ...rest, ready: next, days: daysSooner(next, ready), adds: null }];
    })
    .filter((one) => !isEvening(one) || one.ready === evening)
    .sort((a, b) => b.days - a.days);
}
