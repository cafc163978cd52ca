import { addWeeks, formatISO, nextSaturday, parseISO } from 'date-fns';

/** Work on one piece (or on all, for the cuts) that keeps a person busy, then a wait before the next in its chain. */
export type Task = { readonly id: string; readonly work: number; readonly wait: number };

export type BenchDay = { readonly date: string; readonly tasks: readonly Task[]; readonly minutes: number };
export type BenchCalendar = {
  readonly days: readonly BenchDay[];
  /** Minutes at the bench, waiting left out. */
  readonly minutes: number;
  /** ISO date of the last day, or null where there is nothing to do. */
  readonly ready: string | null;
};

/**
 * Lays tasks on Saturdays for one person: `first` are done before anything else, then each chain in its own order;
 * while one chain waits for glue another is worked on, and waits are over by the next Saturday.
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
    const open = queues[0]!.length > 0 ? [0] : queues.map((_, at) => at).filter((at) => queues[at]!.length > 0);
    const next = open.reduce((best, at) => (readyAt[at]! < readyAt[best]! ? at : best));
    const task = queues[next]![0]!;
    const start = Math.max(clock, readyAt[next]!);
    if (days.length === 0 || (start + task.work > day && clock > 0)) {
      days.push({ tasks: [], minutes: 0 });
      clock = 0;
      readyAt.fill(0);
      continue;
    }
    queues[next]!.shift();
    const today = days[days.length - 1]!;
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
