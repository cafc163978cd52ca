import ICAL from 'ical.js';
import { createEvents, type EventAttributes } from 'ics';
import { clockAt, instantAt, timeOf, type BenchCalendar, type Instant, type PlacedTask } from '../calendar';
import {
  civilOf,
  dateOf,
  dayFrom,
  dayOf,
  MOST_BUSY,
  type FieldError,
  type Job,
  type JobCalendar,
  type ReadResult,
} from '../job';
import { plain } from '../words';

/** More events than this are no one's year: a whole archive was written out. */
export const MOST_EVENTS = 20_000;
/** Occurrences of one event that are looked at: an event each minute would never end. */
const MOST_TIMES = 20_000;
const DAYS_AHEAD = 366;
const MINUTE_MS = 60_000;

export type BusyRead = {
  /** In local time, in order, what overlaps made one. */
  readonly busy: JobCalendar['busy'];
  /** Events of the file, those over before now, and those of a whole day that were left out. */
  readonly events: number;
  readonly past: number;
  readonly allDay: number;
};

const wrong = (message: string): { ok: false; message: string; fields: readonly FieldError[] } => ({
  ok: false,
  message,
  fields: [{ field: 'file', message }],
});

const isZone = (name: string | null): name is string => {
  try {
    return name !== null && new Intl.DateTimeFormat('en', { timeZone: name }).format(0) !== '';
  } catch {
    return false;
  }
};

/** A time of the file as an instant: by its zone where the platform knows it, by the file's own table, or as local. */
function instantIn(time: ICAL.Time, named: string | null, zone: string | null): Instant {
  const { year, month, day, hour, minute } = time;
  const shown = dayFrom(year, month, day);
  if (time.isDate) return instantAt(zone, shown, 0);
  if (isZone(named)) return instantAt(named, shown, 60 * hour + minute);
  // A zone that neither knows stays where it is read.
  const isLocal = !time.zone || time.zone === ICAL.Timezone.localTimezone;
  return isLocal ? instantAt(zone, shown, 60 * hour + minute) : Math.round((time.toUnixTime() * 1000) / MINUTE_MS);
}

type Busy = { readonly from: Instant; readonly to: Instant; readonly name: string };

/** The zone that a property of an event names. */
function zoneOf({ component }: ICAL.Event, ...properties: readonly string[]): string | null {
  const named = properties.map((one) => component.getFirstProperty(one)?.getParameter('tzid')).find(Boolean);
  return typeof named === 'string' ? named : null;
}

/** When an event is, once or each time it comes, until the year is over. */
function timesOf(event: ICAL.Event, zone: string | null, end: Instant): readonly Busy[] {
  const [from, to] = [zoneOf(event, 'dtstart'), zoneOf(event, 'dtend', 'dtstart')];
  const whole = (start: ICAL.Time, stop: ICAL.Time, name: string | null): Busy => ({
    from: instantIn(start, from, zone),
    to: instantIn(stop, to, zone),
    name: name ?? '',
  });
  if (!event.isRecurring()) return [whole(event.startDate, event.endDate, event.summary)];
  const all: Busy[] = [];
  const iterator = event.iterator();
  for (let k = 0; k < MOST_TIMES; k++) {
    const next = iterator.next() as ICAL.Time | undefined;
    if (!next) break;
    const { startDate, endDate, item } = event.getOccurrenceDetails(next);
    const one = whole(startDate, endDate, item.summary);
    if (one.from >= end) break;
    all.push(one);
  }
  return all;
}

const isFreeTime = (component: ICAL.Component): boolean =>
  String(component.getFirstPropertyValue('transp') ?? '').toUpperCase() === 'TRANSPARENT' ||
  String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED';

/** Events of a file; those that change one time of another are with it. */
function eventsOf(root: ICAL.Component): readonly ICAL.Event[] {
  const components = root.getAllSubcomponents('vevent').filter((one) => one.hasProperty('dtstart'));
  const changed = new Map<string, ICAL.Component[]>();
  for (const one of components)
    if (one.hasProperty('recurrence-id')) {
      const uid = String(one.getFirstPropertyValue('uid'));
      changed.set(uid, [...(changed.get(uid) ?? []), one]);
    }
  const known = new Set(
    components
      .filter((one) => !one.hasProperty('recurrence-id'))
      .map((one) => String(one.getFirstPropertyValue('uid'))),
  );
  return components
    .filter((one) => !one.hasProperty('recurrence-id') || !known.has(String(one.getFirstPropertyValue('uid'))))
    .filter((one) => !isFreeTime(one))
    .map((one) => {
      const uid = String(one.getFirstPropertyValue('uid'));
      return new ICAL.Event(one, { exceptions: one.hasProperty('recurrence-id') ? [] : (changed.get(uid) ?? []) });
    });
}

/** What overlaps or touches as one, under the first name. */
function joined(all: readonly Busy[]): readonly Busy[] {
  const rows: { from: Instant; to: Instant; name: string }[] = [];
  for (const one of [...all].sort((a, b) => a.from - b.from)) {
    const last = rows.at(-1);
    if (last && one.from <= last.to) last.to = Math.max(last.to, one.to);
    else rows.push({ ...one });
  }
  return rows;
}

/**
 * Busy times of the coming year out of a calendar file (iCalendar, RFC 5545): repeated events, single times that were
 * changed, zones by name or by the file's own table. Free and cancelled ones are left out; those of a whole day count
 * where `wholeDays` says so.
 */
export function readBusy(
  text: string,
  { zone, now, wholeDays }: { readonly zone: string | null; readonly now: Instant; readonly wholeDays: boolean },
): ReadResult<BusyRead> {
  if (!/^\s*BEGIN:VCALENDAR/i.test(text))
    return wrong('This is not a calendar file. One begins with BEGIN:VCALENDAR; calendars write it as “.ics”.');
  if (!/END:VCALENDAR\s*$/i.test(text))
    return wrong('The file is cut short: its end, END:VCALENDAR, is missing. Write it out of your calendar once more.');
  const count = (text.match(/^BEGIN:VEVENT/gim) ?? []).length;
  if (count > MOST_EVENTS)
    return wrong(
      `The file holds ${count.toLocaleString('en-US')} events; up to ${MOST_EVENTS.toLocaleString('en-US')} can be read. Write out one calendar, or from this year on.`,
    );
  const end = instantAt(zone, clockAt(zone, now).day + DAYS_AHEAD, 0);
  let all: readonly (Busy & { readonly isWhole: boolean })[];
  try {
    const root = new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]);
    for (const own of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(own);
    all = eventsOf(root).flatMap((event) =>
      timesOf(event, zone, end).map((one) => ({ ...one, isWhole: event.startDate.isDate })),
    );
  } catch (error) {
    const at = error instanceof Error ? error.message : '';
    return wrong(`The calendar file can not be read: ${at || 'it is damaged'}. Nothing was taken from it.`);
  } finally {
    ICAL.TimezoneService.reset();
  }
  const coming = all.filter(({ from, to }) => to > now && from < end && to > from);
  const counted = coming.filter(({ isWhole }) => wholeDays || !isWhole);
  const rows = joined(counted);
  if (rows.length > MOST_BUSY)
    return wrong(
      `The coming year has ${rows.length.toLocaleString('en-US')} busy times by this file; up to ${MOST_BUSY.toLocaleString('en-US')} can be kept. Write out only the calendar that keeps you from the bench.`,
    );
  return {
    ok: true,
    value: {
      busy: rows.map(({ from, to, name }, k) => ({
        id: `busy-${k + 1}`,
        from: timeOf(zone, from),
        to: timeOf(zone, to),
        name: name.slice(0, 120),
      })),
      events: count,
      past: all.length - coming.length,
      allDay: coming.length - counted.length,
    },
  };
}

type DateTime = [number, number, number, number, number];
/** An instant as the clock of a zone shows it; Greenwich's where there is one, so that each calendar shows its own. */
function inNumbers(instant: Instant): DateTime {
  const { day, minute } = clockAt(null, instant);
  const [year, month, of] = civilOf(day);
  return [year, month, of, Math.floor(minute / 60), minute % 60];
}
function asDay(date: string): [number, number, number] {
  return [...civilOf(dayOf(date))];
}

const clock = (zone: string | null, at: Instant): string => timeOf(zone, at).slice(11);

/** Waits that someone should look up for: clamps that may come off, coats that take the next. */
const isCalled = ({ task }: PlacedTask): boolean => task.wait > 0 && (task.clamps !== null || task.kind === 'coat');
/** Nobody is called at night: a wait that ends then is called in the morning. */
const [MORNING, NIGHT] = [8 * 60, 21 * 60] as const;
function atAGoodHour(zone: string | null, at: Instant): Instant {
  const { day, minute } = clockAt(zone, at);
  if (minute < MORNING) return instantAt(zone, day, MORNING);
  return minute > NIGHT ? instantAt(zone, day + 1, MORNING) : at;
}

/**
 * The days of a job as a calendar file: each session with what is done in it, a call when clamps may come off and a
 * coat takes the next, the day it is ready. Times are written in Greenwich's, so that no zone is misread; floating
 * where the job has none.
 *
 * @throws Error where the file could not be written: a fault of the program.
 */
export function writeDays(calendar: BenchCalendar, { name, units }: Pick<Job, 'name' | 'units'>): string {
  const { zone, sessions, ready, now } = calendar;
  const slug = name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const base = { productId: 'sill-plan', calName: name, timestamp: now * MINUTE_MS };
  const titleOf = ({ task }: PlacedTask) => plain(task.title, units);
  // A job without a zone has local times, whatever clock they are read off.
  const kind = zone === null ? 'local' : 'utc';
  const utc = { startInputType: kind, startOutputType: kind, endInputType: kind, endOutputType: kind } as const;
  const perDay = new Map<string, number>();
  const events = sessions.flatMap(({ date, placed }): readonly EventAttributes[] => {
    const [begin, end] = [placed[0], placed.at(-1)];
    if (!begin || !end) return [];
    const nth = (perDay.get(date) ?? 0) + 1;
    perDay.set(date, nth);
    const titles = [...new Set(placed.map(titleOf))];
    const session: EventAttributes = {
      ...base,
      ...utc,
      uid: `${slug}-${date}-${nth}@sill-plan`,
      title: `${name}: ${titles.slice(0, 3).join(', ')}${titles.length > 3 ? ` and ${titles.length - 3} more` : ''}`,
      description: placed
        .map((one) => `${clock(zone, one.start)} ${titleOf(one)}, ${one.end - one.start} min`)
        .join('\n'),
      start: inNumbers(begin.start),
      end: inNumbers(end.end),
      busyStatus: 'BUSY',
      alarms: [{ action: 'display', description: `${name}: ${titles[0]}`, trigger: { minutes: 30, before: true } }],
    };
    const calls = placed.filter(isCalled).map((one, k): EventAttributes => {
      const due = one.end + one.task.wait;
      const what = one.task.clamps ? 'Clamps may come off' : 'Dry enough for the next';
      const at = one.task.clamps && due <= end.end ? due : atAGoodHour(zone, due);
      return {
        ...base,
        ...utc,
        uid: `${slug}-${date}-${nth}-call-${k + 1}@sill-plan`,
        title: `${what}: ${titleOf(one)}`,
        description: `Over at ${clock(zone, due)} on ${dateOf(clockAt(zone, due).day)}.`,
        start: inNumbers(at),
        duration: { minutes: 5 },
        busyStatus: 'FREE',
        alarms: [{ action: 'display', description: what, trigger: { minutes: 0, before: true } }],
      };
    });
    return [session, ...calls];
  });
  const last: readonly EventAttributes[] =
    ready === null
      ? []
      : [
          {
            ...base,
            uid: `${slug}-ready@sill-plan`,
            title: `${name}: ready to use`,
            start: asDay(ready),
            end: asDay(dateOf(dayOf(ready) + 1)),
            busyStatus: 'FREE',
          },
        ];
  const { error, value } = createEvents([...events, ...last]);
  if (typeof value !== 'string') throw new Error(`The calendar file could not be written: ${String(error)}`);
  return value;
}
