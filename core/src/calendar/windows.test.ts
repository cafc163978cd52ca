import fc from 'fast-check';
import { dayOf, USUAL_CALENDAR, type JobCalendar } from '../job';
import { runs } from '../testing/runs';
import { clockAt, instantAt, instantOf, timeOf } from './instant';
import { countFirst, endOfDay, windowsOf } from './windows';

const BERLIN = 'Europe/Berlin';
/** In 2026 clocks there go from 2 to 3 on 29 March, and from 3 back to 2 on 25 October. */
const [SPRING, AUTUMN] = ['2026-03-29', '2026-10-25'] as const;

describe('the clock on the wall', () => {
  test('without a zone a minute is what it says', () => {
    expect(instantOf(null, '1970-01-02T00:07')).toBe(24 * 60 + 7);
    expect(timeOf(null, instantOf(null, '2026-11-28T14:05'))).toBe('2026-11-28T14:05');
  });

  test('the day in spring has 23 hours, the day in autumn 25, all others 24', () => {
    const hours = (date: string) => (instantAt(BERLIN, dayOf(date) + 1, 0) - instantAt(BERLIN, dayOf(date), 0)) / 60;
    expect([SPRING, AUTUMN, '2026-03-28', '2026-10-26'].map(hours)).toEqual([23, 25, 24, 24]);
    expect(endOfDay(BERLIN, dayOf(AUTUMN))).toBe(instantAt(BERLIN, dayOf(AUTUMN) + 1, 0));
  });

  test('of an hour that comes twice the first is meant; one that is left out is as long after the gap', () => {
    const twice = instantOf(BERLIN, `${AUTUMN}T02:30`);
    expect([timeOf(BERLIN, twice), timeOf(BERLIN, twice + 60)]).toEqual([`${AUTUMN}T02:30`, `${AUTUMN}T02:30`]);
    expect(timeOf(BERLIN, instantOf(BERLIN, `${SPRING}T02:30`))).toBe(`${SPRING}T03:30`);
  });

  test('law: what the clock shows at an instant leads back to it, but for the hour that comes twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: dayOf('2026-01-01') * 1440, max: dayOf('2027-12-31') * 1440 }),
        fc.constantFrom(null, BERLIN, 'America/New_York', 'Asia/Kolkata'),
        (instant, zone) => {
          const { day, minute } = clockAt(zone, instant);
          expect([0, 60]).toContain(instant - instantAt(zone, day, minute));
          expect(instantOf(zone, timeOf(zone, instant))).toBe(instantAt(zone, day, minute));
        },
      ),
      runs(300, 1),
    );
  });
});

describe('time there is, by hand', () => {
  const saturday = { id: 's', day: 6, from: 540, to: 900, quiet: false, helpers: 1 };
  const calendar = (more: Partial<JobCalendar>): JobCalendar => ({
    ...{ ...USUAL_CALENDAR, week: [saturday], store: [], loud: { from: 600, to: 840 } },
    ...more,
  });
  const now = instantOf(null, '2026-11-23T08:00'); // a Monday
  const first = (of: JobCalendar, count: number, from = now) =>
    windowsOf(of, from)
      .slice(0, count)
      .map(({ from: begins, to }) => `${timeOf(null, begins)} ${timeOf(null, to).slice(11)}`);

  test('every Saturday of a year; saws while they may be heard', () => {
    const all = windowsOf(calendar({}), now);
    expect(all).toHaveLength(52);
    expect(first(calendar({}), 2)).toEqual(['2026-11-28T09:00 15:00', '2026-12-05T09:00 15:00']);
    const [{ loud, helpers, store }] = all as [(typeof all)[number]];
    expect([timeOf(null, loud!.from).slice(11), timeOf(null, loud!.to).slice(11)]).toEqual(['10:00', '14:00']);
    expect([helpers, store]).toEqual([1, null]);
  });

  test('begun in the middle of one it has what is left of it; ten minutes before its end nothing', () => {
    expect(first(calendar({}), 1, instantOf(null, '2026-11-28T12:30'))).toEqual(['2026-11-28T12:30 15:00']);
    expect(first(calendar({}), 1, instantOf(null, '2026-11-28T14:51'))).toEqual(['2026-12-05T09:00 15:00']);
  });

  test('days off are none; what else there is to do is cut out, and what overlaps of it only once', () => {
    const off = [{ id: 'o', from: '2026-11-27', to: '2026-11-29' }];
    expect(first(calendar({ off }), 1)).toEqual(['2026-12-05T09:00 15:00']);
    const busy = [
      { id: 'a', from: '2026-11-28T10:00', to: '2026-11-28T11:00', name: 'a' },
      { id: 'b', from: '2026-11-28T10:30', to: '2026-11-28T12:00', name: 'b' },
      { id: 'c', from: '2026-11-28T14:55', to: '2026-11-28T20:00', name: 'c' },
    ];
    expect(first(calendar({ busy }), 2)).toEqual(['2026-11-28T09:00 10:00', '2026-11-28T12:00 14:55']);
  });

  test('an extra day comes in; where it overlaps the week, the later begins as the earlier ends', () => {
    const extra = [
      { id: 'e', on: '2026-11-25', from: 1140, to: 1200, quiet: true, helpers: 0 },
      { id: 'f', on: '2026-11-28', from: 840, to: 1020, quiet: true, helpers: 0 },
    ];
    expect(first(calendar({ extra }), 3)).toEqual([
      '2026-11-25T19:00 20:00',
      '2026-11-28T09:00 15:00',
      '2026-11-28T15:00 17:00',
    ]);
    expect(windowsOf(calendar({ extra }), now)[0]!.loud).toBeNull();
  });

  test('the yard is open for what is shared with it', () => {
    const store = [{ id: 'y', day: 6, from: 480, to: 600 }];
    const [window] = windowsOf(calendar({ store }), now);
    expect(timeOf(null, window!.store!.to)).toBe('2026-11-28T10:00');
    expect(windowsOf(calendar({ store: [{ id: 'y', day: 6, from: 960, to: 1020 }] }), now)[0]!.store).toBeNull();
  });

  test('how many of a row are so, by halves', () => {
    for (let length = 0; length < 20; length++)
      for (let so = 0; so <= length; so++) expect(countFirst(length, (k) => k < so)).toBe(so);
  });
});

test('law: windows are in order and apart, within the year, and none lies in a busy time', () => {
  const minute = fc.integer({ min: 0, max: 1439 });
  const row = fc.tuple(fc.integer({ min: 1, max: 7 }), minute, minute).filter(([, from, to]) => from < to);
  const start = dayOf('2026-11-23');
  const stretch = fc.tuple(fc.integer({ min: 0, max: 60 * 1440 }), fc.integer({ min: 1, max: 600 }));
  fc.assert(
    fc.property(fc.array(row, { maxLength: 6 }), fc.array(stretch, { maxLength: 8 }), (rows, stretches) => {
      const busy = stretches.map(([at, long], k) => ({
        ...{ id: `b${k}`, name: '' },
        ...{ from: timeOf(null, start * 1440 + at), to: timeOf(null, start * 1440 + at + long) },
      }));
      const week = rows.map(([day, from, to], k) => ({ id: `w${k}`, day, from, to, quiet: false, helpers: 0 }));
      const found = windowsOf({ ...USUAL_CALENDAR, week, busy }, start * 1440);
      found.slice(1).forEach((window, k) => expect(window.from).toBeGreaterThanOrEqual(found[k]!.to));
      for (const { from, to, day } of found) {
        expect(to - from).toBeGreaterThanOrEqual(10);
        expect(day - start).toBeLessThan(366);
        const meets = busy.some((one) => instantOf(null, one.from) < to && instantOf(null, one.to) > from);
        expect(meets).toBe(false);
      }
    }),
    runs(60, 2),
  );
});
