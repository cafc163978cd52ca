import * as v from 'valibot';
import { isDay } from './dates';
import { id, text, whole, type Fixed } from './fields';

/** Minutes of a day. */
const DAY = 24 * 60;
const minute = whole(0, DAY);
/** A day of the calendar and a local time, as they stand in a job. */
const DATE = /^\d{4}-\d{2}-\d{2}$/;
const TIME = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;
/** The day of a local time is one that there is. */
const isDayOf = (value: string): boolean => isDay(value.slice(0, 10));
const date = v.pipe(
  v.string('must be text'),
  v.regex(DATE, 'must be a day like 2026-11-28'),
  v.check(isDayOf, 'must be a day that there is'),
);
const time = v.pipe(
  v.string('must be text'),
  v.regex(TIME, 'must be a time like 2026-11-28T14:05'),
  v.check(isDayOf, 'must be a day that there is'),
);
/** Monday is 1, Sunday 7. */
const weekday = whole(1, 7);

const isZone = (zone: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
};

const hours = { from: minute, to: minute };
const endsAfter = <Row extends { readonly from: number; readonly to: number }>() =>
  v.check<Row, string>(({ from, to }) => from < to, 'must end after it begins');
const endsNoSooner = <Row extends { readonly from: string; readonly to: string }>() =>
  v.check<Row, string>(({ from, to }) => from <= to, 'must end no sooner than it begins');
/** `quiet`: no saw, router or sander then. `helpers`: how many more are there. */
const free = { ...hours, quiet: v.boolean('must be true or false'), helpers: whole(0, 9) };

/** Time that comes each week, and time on one day. */
const WeeklySchema = v.pipe(v.object({ id, day: weekday, ...free }), endsAfter());
const ExtraSchema = v.pipe(v.object({ id, on: date, ...free }), endsAfter());

const rows = <const Schema extends v.GenericSchema<{ id: string }, { id: string }>>(
  schema: Schema,
  most: number,
  what: string,
) =>
  v.pipe(
    v.array(schema),
    v.maxLength(most, `must be at most ${most} rows`),
    v.check((all) => new Set(all.map((row) => row.id)).size === all.length, `two ${what} have the same id`),
  );

/** More busy times than this no calendar of a year holds. */
export const MOST_BUSY = 5000;

/** When there is time, what there is room for, and by when it must be done. Times are local ones. */
export const CalendarSchema = v.object({
  /** The zone whose clock the times are read off, as `Europe/Berlin`; null for one that is never changed. */
  zone: v.nullable(v.pipe(text(60), v.check(isZone, 'must be a time zone such as Europe/Berlin'))),
  /** The day it must be ready by. */
  due: v.nullable(date),
  week: rows(WeeklySchema, 60, 'hours'),
  extra: rows(ExtraSchema, 400, 'extra hours'),
  /** Days off, the first and the last. */
  off: rows(v.pipe(v.object({ id, from: date, to: date }), endsNoSooner()), 200, 'days off'),
  /** What else there is to do, read from a calendar file. */
  busy: rows(v.pipe(v.object({ id, from: time, to: time, name: text(120) }), endsNoSooner()), MOST_BUSY, 'busy times'),
  /** Saws, routers and sanders run between these times of a day only. */
  loud: v.pipe(v.object(hours), endsAfter()),
  /** When the yard is open. */
  store: rows(v.pipe(v.object({ id, day: weekday, ...hours }), endsAfter()), 21, 'store hours'),
  /** Minutes to the yard, at it, and back. */
  trip: whole(0, 600),
  /** Days that boards lie in the room before they are milled. */
  rest: whole(0, 60),
  /** Glue-ups and wet pieces that there is room for at a time. */
  room: whole(1, 50),
  /** What thermometer and hygrometer in the shop read, or are thought to read, on a day: degrees F, percent. */
  air: rows(
    v.object({
      id,
      on: date,
      temperature: whole(-10, 120),
      humidity: whole(5, 100),
      simulated: v.boolean('must be true or false'),
    }),
    400,
    'readings',
  ),
  /** Work that a person wants on a day: a step or a setting of the saw, by its id. */
  pins: rows(v.object({ id, of: text(200), on: date }), 500, 'wishes'),
});
export type JobCalendar = Fixed<v.InferOutput<typeof CalendarSchema>>;

const at = (hour: number): number => 60 * hour;
const NINE_TO_THREE = { from: at(9), to: at(15), quiet: false, helpers: 1 } as const;
const EVENING = { from: at(19), to: at(21), quiet: true, helpers: 0 } as const;

/** What many have: all of Saturday, an hour or two on some evenings, quietly. */
export const USUAL_CALENDAR: JobCalendar = {
  zone: null,
  due: null,
  week: [
    { id: 'sat', day: 6, ...NINE_TO_THREE },
    { id: 'sun', day: 7, ...EVENING, from: at(16), to: at(18) },
    { id: 'tue', day: 2, ...EVENING },
    { id: 'thu', day: 4, ...EVENING },
  ],
  extra: [],
  off: [],
  busy: [],
  loud: { from: at(8), to: at(19) },
  store: [1, 2, 3, 4, 5, 6, 7].map((day) => ({
    id: `store-${day}`,
    day,
    from: at(day === 7 ? 9 : 7),
    to: at(day === 7 ? 17 : 20),
  })),
  trip: 90,
  rest: 7,
  room: 4,
  air: [],
  pins: [],
};

/** Minutes of the longest time that a week has: what fits into it is put on in one day. */
export const longestDay = ({ week, extra }: Pick<JobCalendar, 'week' | 'extra'>): number =>
  Math.max(60, ...[...week, ...extra].map(({ from, to }) => to - from));
