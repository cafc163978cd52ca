import { nth } from '../lists';
import { dateOf, type JobCalendar, type Shop } from '../job';
import { clockAt, DAY, type Instant } from './instant';
import { problemOf } from './problem';
import type { Task } from './task';
import { WorkBench, type Put } from './work-bench';

/** What a person has: so long from now, without noise, with so many more hands. */
export type Spare = { readonly minutes: number; readonly quiet: boolean; readonly helpers: number };

/** What fits into it, in order, from when; and the minutes that stay free. */
export type Tonight = {
  readonly placed: readonly { readonly task: Task; readonly start: Instant; readonly end: Instant }[];
  readonly left: number;
};

/** What decides the day counts so much more, minute for minute. */
const DECIDES = 3;
/** Steps of the search: far more than an evening has orders that matter. */
const MOST_STEPS = 4000;

/**
 * What to do in a while that was not planned: work that can be begun now, is done when the time is over, and leaves
 * nothing half done; of all such the one that fills it best, what decides the day above all.
 *
 * @param chain ids of tasks that decide the day.
 */
export function tonight(
  tasks: readonly Task[],
  calendar: JobCalendar,
  clamps: Shop['clamps'],
  now: Instant,
  { minutes, quiet, helpers }: Spare,
  chain: ReadonlySet<string>,
): Tonight {
  const { day, minute } = clockAt(calendar.zone, now);
  const to = Math.min(DAY, minute + minutes);
  const row = { id: 'now', on: dateOf(day), from: minute, to, quiet, helpers };
  const alone: JobCalendar = { ...calendar, week: [], extra: [row], off: [], busy: [], pins: [] };
  const short = new Set(tasks.filter((task) => task.minutes <= to - minute && task.people - 1 <= helpers));
  // What is left out keeps all that waits for it from being begun.
  const known = new Set(tasks.map(({ id }) => id));
  const open = new Set<string>();
  for (let grown = true; grown;) {
    grown = false;
    for (const task of short)
      if (!open.has(task.id) && task.after.every((one) => open.has(one.task) || !known.has(one.task))) {
        open.add(task.id);
        grown = true;
      }
  }
  const problem = problemOf(
    tasks.filter(({ id }) => open.has(id)),
    alone,
    clamps,
    now,
  );
  if (problem.windows.length === 0) return { placed: [], left: minutes };
  const worth = ({ at }: Put): number => {
    const { task } = nth(problem.nodes, at);
    return task.minutes * (chain.has(task.id) ? DECIDES : 1);
  };
  let [best, most, steps] = [[] as readonly Put[], 0, MOST_STEPS];
  const visit = (puts: readonly Put[], value: number): void => {
    if (value > most) [best, most] = [puts, value];
    if (steps-- <= 0) return;
    const bench = new WorkBench(problem);
    puts.forEach((put) => bench.put(put));
    const next = [...bench.opened()].flatMap((at) => bench.fit(at, 0, puts.at(-1)?.end ?? now) ?? []);
    next.sort((a, b) => worth(b) - worth(a)).forEach((put) => visit([...puts, put], value + worth(put)));
  };
  visit([], 0);
  return {
    placed: best.map(({ at, start, end }) => ({ task: nth(problem.nodes, at).task, start, end })),
    left: minutes - best.reduce((sum, { start, end }) => sum + end - start, 0),
  };
}
