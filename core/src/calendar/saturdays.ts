import { last, nth } from '../lists';
import { addDays, formatISO, nextSaturday, parseISO } from 'date-fns';

/**
 * Work on one piece (or on all, for the cuts) that keeps a person busy, then a wait before the next in its chain. What
 * is quiet and short, a coat, is done on the evening it is due.
 */
export type Task = { readonly id: string; readonly work: number; readonly wait: number; readonly quiet?: boolean };

type BenchDay = {
  readonly date: string;
  readonly tasks: readonly Task[];
  readonly minutes: number;
  readonly evening: boolean;
};
export type BenchCalendar = {
  readonly days: readonly BenchDay[];
  /** Minutes at the bench, waiting left out. */
  readonly minutes: number;
  /** ISO date on which the last wait is over, or null where there is nothing to do. */
  readonly ready: string | null;
};

const DAY = 24 * 60;
/** A Saturday begins at nine; an evening at six, nine hours later in a day, and is this long. */
const EVENING = { at: 9 * 60, long: 120 } as const;

/** A chain of tasks, and when the next of it may begin: minutes since the first Saturday morning. */
type Chain = { readonly queue: Task[]; readyAt: number };

/**
 * Lays tasks on Saturdays for one person: `first` are done before anything else, then each chain in its own order;
 * while one chain waits for glue another is worked on, and what does not fit into the day makes room for what does.
 * Quiet tasks that are due between two Saturdays are done on an evening.
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
  const long = hours * 60;
  const days: { day: number; tasks: Task[]; minutes: number; evening: boolean }[] = [];
  const all: readonly Chain[] = [first, ...chains].map((tasks) => ({ queue: [...tasks], readyAt: 0 }));
  const isLeft = () => all.some(({ queue }) => queue.length > 0);
  const open = (): readonly Chain[] =>
    nth(all, 0).queue.length > 0 ? [nth(all, 0)] : all.filter(({ queue }) => queue.length > 0);
  const begin = (day: number, evening: boolean) => void days.push({ day, tasks: [], minutes: 0, evening });
  /** Does the next of a chain at a minute of a day; the minute after it. */
  const doNext = (chain: Chain, day: number, minute: number): number => {
    const task = nth(chain.queue, 0);
    chain.queue.shift();
    const now = last(days);
    now.tasks.push(task);
    now.minutes += task.work;
    chain.readyAt = day * DAY + minute + task.work + task.wait;
    return minute + task.work;
  };
  const saturday = (day: number) => {
    begin(day, false);
    for (let clock = 0; ;) {
      const startOf = ({ readyAt }: Chain) => Math.max(clock, readyAt - day * DAY);
      const toDo = ({ queue }: Chain) => queue.reduce((sum, { work, wait }) => sum + work + wait, 0);
      // What fits into the rest of the day, the earliest first; a day begins with the piece that has most before it.
      const fits = open().filter(
        (chain) => startOf(chain) + nth(chain.queue, 0).work <= long || (clock === 0 && startOf(chain) === 0),
      );
      const next = [...fits].sort((a, b) => startOf(a) - startOf(b) || (clock === 0 ? toDo(b) - toDo(a) : 0))[0];
      if (!next) break;
      clock = doNext(next, day, startOf(next));
    }
    if (last(days).tasks.length === 0) days.pop();
  };
  const evening = (day: number) => {
    let left: number = EVENING.long;
    begin(day, true);
    for (;;) {
      const now = day * DAY + EVENING.at + EVENING.long - left;
      const next = open().find(
        ({ queue, readyAt }) => nth(queue, 0).quiet && nth(queue, 0).work <= left && readyAt <= now,
      );
      if (!next) break;
      left = EVENING.at + EVENING.long - doNext(next, day, EVENING.at + EVENING.long - left);
    }
    if (last(days).tasks.length === 0) days.pop();
  };
  for (let week = 0; isLeft(); week++) {
    saturday(7 * week);
    for (let after = 1; after < 7 && isLeft(); after++) evening(7 * week + after);
  }
  const start = nextSaturday(parseISO(today));
  const dateOf = (day: number) => formatISO(addDays(start, day), { representation: 'date' });
  const ends = Math.max(0, ...all.map(({ readyAt }) => readyAt));
  return {
    days: days.map(({ day, ...rest }) => ({ ...rest, date: dateOf(day) })),
    minutes: days.reduce((sum, item) => sum + item.minutes, 0),
    // A wait that ends by nightfall is over that day; the day begins at nine.
    ready: days.length === 0 ? null : dateOf(Math.floor(Math.max(0, ends - 1) / DAY)),
  };
}
