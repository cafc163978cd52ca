import { last, nth } from '../lists';
import { addWeeks, formatISO, nextSaturday, parseISO } from 'date-fns';

/** Work on one piece (or on all, for the cuts) that keeps a person busy, then a wait before the next in its chain. */
export type Task = { readonly id: string; readonly work: number; readonly wait: number };

type BenchDay = { readonly date: string; readonly tasks: readonly Task[]; readonly minutes: number };
export type BenchCalendar = {
  readonly days: readonly BenchDay[];
  /** Minutes at the bench, waiting left out. */
  readonly minutes: number;
  /** ISO date of the last day, or null where there is nothing to do. */
  readonly ready: string | null;
};

/**
 * Lays tasks on Saturdays for one person: `first` are done before anything else, then each chain in its own order;
 * while one chain waits for glue another is worked on, what does not fit into the day makes room for what does, and
 * waits are over by the next Saturday.
 *
 * @param hours at the bench in one day. A task longer than a day gets a day of its own.
 * @param today ISO date; the first day is the Saturday after it.
 */
export function saturdays(
  first: readonly Task[],
  chains: readonly (readonly Task[])[],
  hours: number,
  today: string,
): BenchCalendar {
  const day = hours * 60;
  const days: { tasks: Task[]; minutes: number }[] = [];
  const queues = [first.map((task) => task), ...chains.map((chain) => [...chain])];
  const readyAt = queues.map(() => 0);
  let clock = day;
  while (queues.some((queue) => queue.length > 0)) {
    const open = nth(queues, 0).length > 0 ? [0] : queues.map((_, at) => at).filter((at) => nth(queues, at).length > 0);
    const startOf = (at: number) => Math.max(clock, nth(readyAt, at));
    const left = (at: number) => nth(queues, at).reduce((sum, { work, wait }) => sum + work + wait, 0);
    // What fits into the rest of the day, the earliest first; a day begins with the piece that has most before it.
    const fits = open.filter((at) => startOf(at) + nth(nth(queues, at), 0).work <= day || clock === 0);
    const next = (
      clock === 0 ? [...open].sort((a, b) => left(b) - left(a)) : [...fits].sort((a, b) => startOf(a) - startOf(b))
    )[0];
    const task = next === undefined ? undefined : nth(nth(queues, next), 0);
    if (days.length === 0 || next === undefined || task === undefined) {
      days.push({ tasks: [], minutes: 0 });
      clock = 0;
      readyAt.fill(0);
      continue;
    }
    const start = startOf(next);
    nth(queues, next).shift();
    const today = last(days);
    today.tasks.push(task);
    today.minutes += task.work;
    clock = start + task.work;
    readyAt[next] = clock + task.wait;
  }
  const start = nextSaturday(parseISO(today));
  const dated = days.map((item, at) => ({ ...item, date: formatISO(addWeeks(start, at), { representation: 'date' }) }));
  return {
    days: dated,
    minutes: dated.reduce((sum, item) => sum + item.minutes, 0),
    ready: dated.at(-1)?.date ?? null,
  };
}
