import { TZDate, tzOffset } from '@date-fns/tz';
import { dayOf, localTime } from '../job';

/**
 * A minute that there was or will be, whatever the clock shows: minutes since 1970 began in Greenwich. Work and waiting
 * are counted in these; what a person reads and writes is local time.
 */
export type Instant = number;

const MINUTE = 60_000;
export const DAY = 24 * 60;

/** Minutes that a zone's clock is ahead of Greenwich at an instant. */
const aheadAt = (zone: string | null, instant: Instant): number =>
  zone === null ? 0 : tzOffset(zone, new TZDate(instant * MINUTE, 'UTC'));

/**
 * The instant at which a zone's clock shows so many minutes of a day since 1970. Of a time that comes twice, the first;
 * a time that is left out is as long after the gap as it is into it.
 */
export function instantAt(zone: string | null, day: number, minute: number): Instant {
  const shown = day * DAY + minute;
  if (zone === null) return shown;
  const [before, after] = [aheadOnce(zone, day - 1), aheadOnce(zone, day + 2)];
  if (before === after) return shown - before;
  // As many minutes ahead as before the change or after it: whichever the clock then really shows.
  const there = [before, after].map((ahead) => shown - ahead).filter((at) => at + aheadAt(zone, at) === shown);
  return there.length > 0 ? Math.min(...there) : shown - before;
}

/** Minutes ahead as a day begins in Greenwich, kept: a calendar asks for the same days over and over. */
function aheadOnce(zone: string, day: number): number {
  const key = `${zone} ${day}`;
  const known = AHEAD.get(key) ?? aheadAt(zone, day * DAY);
  if (AHEAD.size > MOST_KEPT) AHEAD.clear();
  AHEAD.set(key, known);
  return known;
}
const AHEAD = new Map<string, number>();
const MOST_KEPT = 20_000;

/** A local time like `2026-11-28T14:05` as an instant. */
export const instantOf = (zone: string | null, time: string): Instant =>
  instantAt(zone, dayOf(time.slice(0, 10)), 60 * Number(time.slice(11, 13)) + Number(time.slice(14, 16)));

/** What the clock of a zone shows at an instant: a day since 1970, and a minute of it. */
export function clockAt(zone: string | null, instant: Instant): { readonly day: number; readonly minute: number } {
  const shown = instant + aheadAt(zone, instant);
  const day = Math.floor(shown / DAY);
  return { day, minute: shown - day * DAY };
}

/** An instant as the local time that a person would write. */
export function timeOf(zone: string | null, instant: Instant): string {
  const { day, minute } = clockAt(zone, instant);
  return localTime(day, minute);
}
