import ICAL from 'ical.js';
import { USUAL_CALENDAR } from '../job';
import { instantOf, laidOut, PLAIN_WORK, timeOf, type Task } from '../calendar';
import { say } from '../words';
import { MOST_EVENTS, readBusy, writeDays } from './ics';

const file = (...events: readonly string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:test', ...events, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: readonly string[]) =>
  ['BEGIN:VEVENT', `UID:${lines.join('').length}`, ...lines, 'END:VEVENT'].join('\r\n');
const NOW = '2026-10-20T10:00';
const ZONE = 'America/New_York';
const read = (text: string, wholeDays = false, zone: string | null = ZONE) =>
  readBusy(text, { zone, now: instantOf(zone, NOW), wholeDays });
const times = (text: string, wholeDays = false, zone: string | null = ZONE) => {
  const result = read(text, wholeDays, zone);
  return result.ok ? result.value.busy.map(({ from, to }) => [from, to]) : result.message;
};

test('times in another zone, in Greenwich, and without a zone are read as they are here', () => {
  const berlin = event('DTSTART;TZID=Europe/Berlin:20261021T180000', 'DTEND;TZID=Europe/Berlin:20261021T190000');
  const greenwich = event('DTSTART:20261022T180000Z', 'DURATION:PT90M');
  const local = event('DTSTART:20261023T180000', 'DTEND:20261023T181500', 'SUMMARY:Choir');
  expect(times(file(berlin, greenwich, local))).toEqual([
    ['2026-10-21T12:00', '2026-10-21T13:00'],
    ['2026-10-22T14:00', '2026-10-22T15:30'],
    ['2026-10-23T18:00', '2026-10-23T18:15'],
  ]);
});

test('what repeats keeps its hour over the night of the clock change, without what was left out or moved', () => {
  const weekly = [
    'BEGIN:VEVENT',
    'UID:w',
    'DTSTART;TZID=America/New_York:20261024T190000',
    'DTEND;TZID=America/New_York:20261024T200000',
    'RRULE:FREQ=WEEKLY;COUNT=4',
    'EXDATE;TZID=America/New_York:20261107T190000',
    'END:VEVENT',
    'BEGIN:VEVENT',
    'UID:w',
    'RECURRENCE-ID;TZID=America/New_York:20261114T190000',
    'DTSTART;TZID=America/New_York:20261115T080000',
    'DTEND;TZID=America/New_York:20261115T090000',
    'END:VEVENT',
  ].join('\r\n');
  expect(times(file(weekly))).toEqual([
    ['2026-10-24T19:00', '2026-10-24T20:00'],
    ['2026-10-31T19:00', '2026-10-31T20:00'],
    ['2026-11-15T08:00', '2026-11-15T09:00'],
  ]);
});

test("a zone of the file's own is read by its table", () => {
  const zone = [
    'BEGIN:VTIMEZONE',
    'TZID:Our village',
    'BEGIN:STANDARD',
    'DTSTART:19700101T000000',
    'TZOFFSETFROM:+0300',
    'TZOFFSETTO:+0300',
    'END:STANDARD',
    'END:VTIMEZONE',
  ].join('\r\n');
  const one = event('DTSTART;TZID=Our village:20261021T180000', 'DTEND;TZID=Our village:20261021T190000');
  expect(times(file(zone, one))).toEqual([['2026-10-21T11:00', '2026-10-21T12:00']]);
});

test('what is free, cancelled, over or of a whole day is no busy time; what overlaps is one', () => {
  const free = event('DTSTART:20261022T180000Z', 'DTEND:20261022T190000Z', 'TRANSP:TRANSPARENT');
  const off = event('DTSTART:20261022T180000Z', 'DTEND:20261022T190000Z', 'STATUS:CANCELLED');
  const past = event('DTSTART:20251022T180000Z', 'DTEND:20251022T190000Z');
  const day = event('DTSTART;VALUE=DATE:20261024', 'DTEND;VALUE=DATE:20261025', 'SUMMARY:Holiday');
  const a = event('DTSTART:20261022T180000Z', 'DTEND:20261022T190000Z', 'SUMMARY:One');
  const b = event('DTSTART:20261022T183000Z', 'DTEND:20261022T200000Z', 'SUMMARY:Two');
  expect(read(file(free, off, past, day, a, b))).toMatchObject({
    value: { busy: [{ from: '2026-10-22T14:00', to: '2026-10-22T16:00', name: 'One' }], events: 6, past: 1, allDay: 1 },
  });
  expect(times(file(day), true)).toEqual([['2026-10-24T00:00', '2026-10-25T00:00']]);
});

test('another kind of file, one cut short, a damaged one and an endless one are each said in a sentence', () => {
  expect(times('Name,Phone\nA,1')).toMatch(/not a calendar file/);
  expect(times(file(event('DTSTART:20261022T180000Z')).slice(0, -20))).toMatch(/cut short/);
  expect(times(file('BEGIN:VEVENT', 'DTSTART:20261022T180000Z'))).toMatch(/can not be read/);
  expect(times(file(event('DTSTART:yesterday', 'DTEND:today')))).toMatch(/can not be read|\[\]/);
  const endless = event('DTSTART:20261022T180000Z', 'DTEND:20261022T180100Z', 'RRULE:FREQ=SECONDLY');
  expect(times(file(endless))).toHaveLength(1);
  const many = file(...Array.from({ length: 100_000 }, () => event('DTSTART:20261022T180000Z')));
  expect(times(many)).toMatch(/100,000 events; up to 20,000/);
  expect(MOST_EVENTS).toBe(20_000);
});

test('the days as a file read by another program: sessions at their hour, a call when clamps come off, the day it is ready', () => {
  const glue: Task = {
    ...PLAIN_WORK,
    id: 'x',
    of: 'x',
    piece: null,
    kind: 'join',
    title: say`Glue the top`,
    minutes: 40,
    wait: 60,
    clamps: { count: 2, span: 100 },
    lies: true,
  };
  const calendar = { ...USUAL_CALENDAR, zone: ZONE };
  const shop = { clamps: [{ length: 200, count: 4 }] } as never;
  // The Saturday before the clock is set back.
  const days = laidOut([glue], { calendar, shop }, instantOf(ZONE, '2026-10-31T08:00'), 'quick');
  const text = writeDays(days, { name: 'Kiln Lane', units: 'in' });
  const root = new ICAL.Component(ICAL.parse(text) as never);
  const events = root.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  const local = (time: ICAL.Time) => timeOf(ZONE, time.toUnixTime() / 60);
  expect(events.map(({ summary }) => summary)).toEqual([
    'Kiln Lane: Glue the top',
    'Clamps may come off: Glue the top',
    'Kiln Lane: ready to use',
  ]);
  expect(events.slice(0, 2).map(({ startDate, endDate }) => [local(startDate), local(endDate)])).toEqual([
    ['2026-10-31T09:00', '2026-10-31T09:40'],
    ['2026-10-31T10:40', '2026-10-31T10:45'],
  ]);
  expect(root.getAllSubcomponents('vevent').map((one) => one.getAllSubcomponents('valarm').length)).toEqual([1, 1, 0]);
  expect(events[2]?.startDate.toString()).toBe('2026-10-31');
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(3);
});
