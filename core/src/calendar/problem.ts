import { dayOf, type JobCalendar, type Shop } from '../job';
import { nth } from '../lists';
import { clockAt, type Instant } from './instant';
import type { Task } from './task';
import { countFirst, windowsOf, type Span, type Window } from './windows';

type Lag = { readonly at: number; readonly wait: number };

/** A task among its like, by numbers. */
export type Node = {
  readonly task: Task;
  readonly minutes: number;
  /** Minutes that it runs over the longest time there is for it. */
  readonly over: number;
  readonly release: Instant;
  readonly before: readonly Lag[];
  readonly next: readonly Lag[];
  readonly fresh: { readonly at: number | null; readonly within: number; readonly extra: number } | null;
  /** Where it may be done, by window; null where it may not, or does not fit. */
  readonly spans: readonly (Span | null)[];
  /** Numbers of the windows it may be done in. */
  readonly open: readonly number[];
  /** Share of the windows that are no good for it. */
  readonly scarce: number;
};

/** Tasks, the time there is, and what they share. */
export type Problem = {
  readonly zone: string | null;
  readonly now: Instant;
  readonly windows: readonly Window[];
  readonly nodes: readonly Node[];
  readonly clamps: Shop['clamps'];
  readonly room: number;
  /** Tasks that there is no time for in a year, whatever is done. */
  readonly homeless: readonly Task[];
  /** More hands are asked for than anyone has: someone must be asked. */
  readonly handsShort: boolean;
};

/** Whether readings of a day keep a task from being done on it; no reading keeps from nothing. */
const isFit = ({ air }: Task, reading: JobCalendar['air'][number] | undefined): boolean =>
  air === null ||
  reading === undefined ||
  (reading.temperature >= air[0] && reading.temperature <= air[1] && reading.humidity <= air[2]);

/** Where a task may be done in a window, whatever its length. */
function spanIn(task: Task, window: Window, helpers: number): Span | null {
  if (window.helpers < helpers) return null;
  if (task.errand) return window.store;
  return task.loud ? window.loud : window;
}

/** Tasks in an order in which each comes after what it waits for; those that go round in a ring come last, as told. */
function inOrder(tasks: readonly Task[]): readonly Task[] {
  const known = new Set(tasks.map(({ id }) => id));
  const placed = new Set<string>();
  const order: Task[] = [];
  let left = [...tasks];
  while (left.length > 0) {
    const ready = left.filter(({ after }) => after.every(({ task }) => !known.has(task) || placed.has(task)));
    const now = ready.length > 0 ? ready : left.slice(0, 1);
    now.forEach((task) => {
      placed.add(task.id);
      order.push(task);
    });
    left = left.filter(({ id }) => !placed.has(id));
  }
  return order;
}

/**
 * The problem of a job's tasks and its calendar.
 *
 * @param pinned tasks that must be done on one day, by id: days since 1970.
 */
export function problemOf(
  tasks: readonly Task[],
  calendar: JobCalendar,
  clamps: Shop['clamps'],
  now: Instant,
  pinned: ReadonlyMap<string, number> = new Map(),
): Problem {
  const windows = windowsOf(calendar, now);
  const most = Math.max(0, ...windows.map(({ helpers }) => helpers));
  const readings = new Map(calendar.air.map((one) => [dayOf(one.on), one]));
  const order = inOrder(tasks);
  const spansOf = new Map<string, readonly (Span | null)[]>();
  const spansFor = (task: Task): readonly (Span | null)[] => {
    const helpers = Math.min(task.people - 1, most);
    const day = pinned.get(task.id) ?? '';
    const key = `${task.errand} ${task.loud} ${helpers} ${task.air?.join(' ') ?? ''} ${day}`;
    const known = spansOf.get(key);
    if (known) return known;
    const spans = windows.map((window) =>
      (day === '' || window.day === day) && isFit(task, readings.get(window.day))
        ? spanIn(task, window, helpers)
        : null,
    );
    spansOf.set(key, spans);
    return spans;
  };
  const longOf = (span: Span | null): number => (span ? span.to - span.from : 0);
  const longestOf = new Map<readonly (Span | null)[], number>();
  const longest = (task: Task): number => {
    const spans = spansFor(task);
    const long = longestOf.get(spans) ?? Math.max(0, ...spans.map(longOf));
    longestOf.set(spans, long);
    return long;
  };
  const masks = new Map<readonly (Span | null)[], Map<number, Pick<Node, 'spans' | 'open'>>>();
  /** Of spans those that are long enough: the same list for all that the same are long enough for. */
  const fitting = (spans: readonly (Span | null)[], minutes: number): Pick<Node, 'spans' | 'open'> => {
    const known = masks.get(spans) ?? new Map<number, Pick<Node, 'spans' | 'open'>>();
    masks.set(spans, known);
    const same = known.get(minutes);
    if (same) return same;
    const open = spans.flatMap((span, window) => (longOf(span) >= minutes ? [window] : []));
    const alike = [...known.values()].find((one) => one.open.length === open.length);
    const fit = alike ?? { open, spans: spans.map((span) => (longOf(span) >= minutes ? span : null)) };
    known.set(minutes, fit);
    return fit;
  };
  const homeless = order.filter((task) => longest(task) === 0);
  const rest = order.filter((task) => !homeless.includes(task));
  const numbers = new Map(rest.map(({ id }, at) => [id, at]));
  const known = <T>(rows: readonly T[], id: (row: T) => string) =>
    rows.flatMap((row) => {
      const at = numbers.get(id(row));
      return at === undefined ? [] : [{ at, row }];
    });
  const before = rest.map((task, own) =>
    known(task.after, (row) => row.task)
      .filter(({ at }) => at < own)
      .map(({ at, row }) => ({ at, wait: row.wait })),
  );
  const next: Lag[][] = rest.map(() => []);
  before.forEach((rows, at) => rows.forEach((row) => next[row.at]?.push({ at, wait: row.wait })));
  const nodes = rest.map((task, at): Node => {
    const minutes = Math.min(task.minutes, longest(task));
    const { spans, open } = fitting(spansFor(task), minutes);
    const under = task.fresh?.after === null ? null : numbers.get(task.fresh?.after ?? '');
    return {
      task,
      minutes,
      over: task.minutes - minutes,
      release: now + task.release,
      before: before[at] ?? [],
      next: next[at] ?? [],
      fresh:
        task.fresh && under !== undefined && (under === null || under < at)
          ? { at: under, within: task.fresh.within, extra: task.fresh.extra }
          : null,
      spans,
      open,
      scarce: 1 - open.length / windows.length,
    };
  });
  return {
    zone: calendar.zone,
    now,
    windows,
    nodes,
    clamps,
    room: calendar.room,
    homeless,
    handsShort: tasks.some(({ people }) => people - 1 > most),
  };
}

/** The day on which something that ends at an instant is over: what ends at midnight ends the day before. */
export const dayBy = (zone: string | null, end: Instant): number => clockAt(zone, end - 1).day;

/** The earliest start of work of a length from a time on, by where it may be done; null where there is none. */
export function earliestIn(
  { open, spans }: Pick<Node, 'open' | 'spans'>,
  windows: readonly Window[],
  from: Instant,
  minutes: number,
): { readonly window: number; readonly start: Instant } | null {
  const low = countFirst(open.length, (k) => nth(windows, nth(open, k)).to <= from);
  for (let k = low; k < open.length; k++) {
    const window = open[k] ?? 0;
    const span = spans[window];
    if (!span) continue;
    const start = Math.max(from, span.from);
    if (start + minutes <= span.to) return { window, start };
  }
  return null;
}

/** The latest start of work of a length that ends by a time; null where there is none. */
export function latestIn({ open, spans, minutes }: Node, windows: readonly Window[], by: Instant): Instant | null {
  const low = countFirst(open.length, (k) => nth(windows, nth(open, k)).from < by);
  for (let k = low - 1; k >= 0; k--) {
    const span = spans[open[k] ?? 0];
    if (!span) continue;
    const end = Math.min(by, span.to);
    if (end - minutes >= span.from) return end - minutes;
  }
  return null;
}
