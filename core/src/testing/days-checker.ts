import type { BenchCalendar, PlacedTask, Task } from '../calendar';
import type { JobCalendar, Shop } from '../job';

/**
 * Whether work stands where a calendar has room for it, knowing nothing of how it was put there: it reads the wall
 * clock of each minute it looks at off the platform's own calendar, and each rule off the job as it is told.
 */
export function faultsOf(
  tasks: readonly Task[],
  calendar: JobCalendar,
  clamps: Shop['clamps'],
  { now, sessions, free, ready, minutes, lostPins }: BenchCalendar,
): readonly string[] {
  const faults: string[] = [];
  const clock = newClock(calendar.zone);
  const placed = sessions.flatMap((session) => session.placed);
  const ends = new Map(placed.map((one) => [one.task.id, one]));
  // Where nobody has as many helpers as a lift asks for, as many as there ever are must do.
  const most = Math.max(0, ...free.map(({ helpers }) => helpers));

  if (placed.length !== tasks.length || ends.size !== tasks.length) faults.push('not every task stands once');
  if (minutes !== tasks.reduce((sum, task) => sum + task.minutes, 0)) faults.push('minutes do not add up');

  const inTime = [...placed].sort((a, b) => a.start - b.start);
  inTime.forEach((one, k) => {
    const next = inTime[k + 1];
    if (next && next.start < one.end) faults.push(`${one.task.id} and ${next.task.id} at the same time`);
    if (one.end - one.start !== one.task.minutes + (one.over > 0 ? -one.over : one.late))
      faults.push(`${one.task.id} takes ${one.end - one.start}`);
    faults.push(...faultsOfOne(one, ends, now));
    faults.push(...faultsOfHour(one, calendar, clock, most));
  });
  faults.push(...faultsOfShared(inTime, clamps, calendar.room));

  for (const pin of calendar.pins) {
    if (lostPins.some(({ of }) => of === pin.of)) continue;
    for (const one of placed.filter(({ task }) => task.of === pin.of))
      if (clock(one.start).date !== pin.on) faults.push(`${one.task.id} not on ${pin.on}`);
  }
  const over = Math.max(now + 1, ...placed.map(({ end, task }) => end + task.wait));
  if (placed.length > 0 && clock(over - 1).date !== ready)
    faults.push(`ready on ${ready}, not ${clock(over - 1).date}`);
  return faults;
}

function faultsOfOne({ task, start, late }: PlacedTask, all: ReadonlyMap<string, PlacedTask>, now: number): string[] {
  const faults: string[] = [];
  if (start < now + task.release) faults.push(`${task.id} begins before it can`);
  for (const { task: id, wait } of task.after) {
    const before = all.get(id);
    if (before && start < before.end + wait) faults.push(`${task.id} begins before ${id} is over`);
  }
  const under = task.fresh === null ? undefined : task.fresh.after === null ? now : all.get(task.fresh.after)?.end;
  const isHard = task.fresh && under !== undefined && start > under + task.fresh.within;
  if (late !== (isHard ? task.fresh.extra : 0)) faults.push(`${task.id} is sanded ${late} minutes`);
  return faults;
}

type Clock = (instant: number) => { readonly date: string; readonly weekday: number; readonly minute: number };
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** The wall clock of a zone, by the platform's calendar. */
function newClock(zone: string | null): Clock {
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone ?? 'UTC',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    weekday: 'short',
    hourCycle: 'h23',
  });
  return (instant) => {
    const bits = new Map(format.formatToParts(new Date(instant * 60_000)).map(({ type, value }) => [type, value]));
    return {
      date: `${bits.get('year')}-${bits.get('month')}-${bits.get('day')}`,
      weekday: WEEKDAYS.indexOf(bits.get('weekday') ?? '') + 1,
      minute: 60 * Number(bits.get('hour')) + Number(bits.get('minute')),
    };
  };
}

function faultsOfHour({ task, start, end }: PlacedTask, calendar: JobCalendar, clock: Clock, most: number): string[] {
  const faults: string[] = [];
  const last = clock(end - 1);
  const { date, weekday, minute: from } = clock(start);
  const to = last.minute + 1;
  const isFree = (rows: readonly { readonly from: number; readonly to: number }[]) =>
    rows.some((row) => row.from <= from && to <= row.to);
  if (last.date !== date) faults.push(`${task.id} goes on past midnight`);
  const rows = [
    ...calendar.week.filter((row) => row.day === weekday),
    ...calendar.extra.filter(({ on }) => on === date),
  ].filter(({ helpers }) => helpers >= Math.min(task.people - 1, most));
  if (!isFree(task.loud ? rows.filter(({ quiet }) => !quiet) : rows)) faults.push(`${task.id} at no free time`);
  if (task.loud && !isFree([calendar.loud])) faults.push(`${task.id} is loud then`);
  if (task.errand && !isFree(calendar.store.filter((row) => row.day === weekday))) faults.push('the yard is shut');
  if (calendar.off.some((row) => row.from <= date && date <= row.to)) faults.push(`${task.id} on a day off`);
  const written = (minute: number) =>
    `${date}T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
  if (calendar.busy.some((row) => row.from < written(to) && written(from) < row.to))
    faults.push(`${task.id} at a busy time`);
  const air = calendar.air.find(({ on }) => on === date);
  if (air && task.air) {
    const [cold, hot, damp] = task.air;
    if (air.temperature < cold || air.temperature > hot || air.humidity > damp)
      faults.push(`${task.id} in air that is not fit for it`);
  }
  return faults;
}

/** Clamps and places to lie, looked at whenever something begins: from its beginning to the end of its wait. */
function faultsOfShared(placed: readonly PlacedTask[], clamps: Shop['clamps'], room: number): string[] {
  const over = (span: number) => clamps.reduce((sum, row) => sum + (row.length >= span ? row.count : 0), 0);
  return placed.flatMap(({ start }) => {
    const held = placed.filter((one) => one.start <= start && start < one.end + one.task.wait);
    const inClamps = held.flatMap(({ task }) => (task.clamps ? [task.clamps] : []));
    const isShort = inClamps.some(({ span }) => {
      const asking = inClamps.filter((one) => one.span >= span);
      return asking.length > 1 && asking.reduce((sum, { count }) => sum + count, 0) > over(span);
    });
    return [
      ...(isShort ? [`clamps are short at ${start}`] : []),
      ...(held.filter(({ task }) => task.lies).length > room ? [`no room at ${start}`] : []),
    ];
  });
}
