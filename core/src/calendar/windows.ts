import { dateOf, dayOf, weekdayOf, type JobCalendar } from '../job';
import { clockAt, DAY, instantAt, instantOf, type Instant } from './instant';

/** Time at the bench without a break, with what may be done in it. */
export type Window = {
  readonly day: number;
  readonly from: Instant;
  readonly to: Instant;
  /** Neither saw nor router nor sander at all. */
  readonly quiet: boolean;
  readonly helpers: number;
  /** Where saws may run, and where the yard is open; null for nowhere in it. */
  readonly loud: Span | null;
  readonly store: Span | null;
};
export type Span = { readonly from: Instant; readonly to: Instant };

/** Less than this is not worth going to the bench for. */
const LEAST = 10;
/** Nobody plans further ahead. */
const HORIZON = 366;

/** What two spans share; null where that is nothing. */
function shared(a: Span, b: Span): Span | null {
  const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
  return from < to ? { from, to } : null;
}

/** Spans of time as few as can be, in order. */
function mergedSpans(spans: readonly Span[]): readonly Span[] {
  const sorted = [...spans].sort((a, b) => a.from - b.from);
  const all: { from: Instant; to: Instant }[] = [];
  for (const span of sorted) {
    const last = all.at(-1);
    if (last && span.from <= last.to) last.to = Math.max(last.to, span.to);
    else all.push({ ...span });
  }
  return all;
}

/** A span without others, which are in order and apart. */
function without(span: Span, taken: readonly Span[]): readonly Span[] {
  const left: Span[] = [];
  let { from } = span;
  for (const one of taken) {
    if (one.to <= from) continue;
    if (one.from >= span.to) break;
    if (one.from > from) left.push({ from, to: one.from });
    from = Math.max(from, one.to);
  }
  if (from < span.to) left.push({ from, to: span.to });
  return left;
}

/**
 * All time there is from an instant on, for a year: what comes each week and on single days, days off left out, busy
 * times cut out of it. Where two rows overlap, the later begins when the earlier ends.
 */
export function windowsOf(calendar: JobCalendar, now: Instant): readonly Window[] {
  const { zone } = calendar;
  const today = clockAt(zone, now).day;
  const end = instantAt(zone, today + HORIZON, 0);
  const busy = mergedSpans(
    calendar.busy
      .map(({ from, to }) => ({ from: instantOf(zone, from), to: instantOf(zone, to) }))
      .filter(({ from, to }) => to > now && from < end),
  );
  const off = calendar.off.map(({ from, to }) => [dayOf(from), dayOf(to)] as const);
  const all: Window[] = [];
  for (let day = today; day < today + HORIZON; day++) {
    if (off.some(([first, last]) => first <= day && day <= last)) continue;
    const [date, weekday] = [dateOf(day), weekdayOf(day)];
    const rows = [
      ...calendar.week.filter((row) => row.day === weekday),
      ...calendar.extra.filter(({ on }) => on === date),
    ].sort((a, b) => a.from - b.from);
    const spanAt = (from: number, to: number): Span => ({
      from: instantAt(zone, day, from),
      to: instantAt(zone, day, to),
    });
    const isLoud = spanAt(calendar.loud.from, calendar.loud.to);
    const opening = calendar.store.find((row) => row.day === weekday);
    const isOpen = opening ? spanAt(opening.from, opening.to) : null;
    let free = now;
    for (const row of rows) {
      const span = spanAt(row.from, row.to);
      for (const { from, to } of without({ from: Math.max(free, span.from), to: span.to }, busy))
        if (to - from >= LEAST)
          all.push({
            day,
            from,
            to,
            quiet: row.quiet,
            helpers: row.helpers,
            loud: row.quiet ? null : shared({ from, to }, isLoud),
            store: isOpen && shared({ from, to }, isOpen),
          });
      free = Math.max(free, span.to);
    }
  }
  return all;
}

/** How many of a row are so, where all that are so come first: by halves. */
export function countFirst(length: number, isSo: (k: number) => boolean): number {
  let [low, high] = [0, length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isSo(middle)) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Where a day ends, as an instant. */
export const endOfDay = (zone: string | null, day: number): Instant => instantAt(zone, day, DAY);
