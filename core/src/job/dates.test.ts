import fc from 'fast-check';
import { addDays, formatISO, getISODay, parseISO } from 'date-fns';
import { civilOf, dateOf, dayOf, dayWords, localTime, weekdayOf } from './dates';

test('days and dates are those of another calendar, over four hundred years and more', () => {
  const start = parseISO('1970-01-01');
  fc.assert(
    fc.property(fc.integer({ min: -200_000, max: 200_000 }), (day) => {
      const there = addDays(start, day);
      const date = formatISO(there, { representation: 'date' });
      expect([dateOf(day), dayOf(date), weekdayOf(day)]).toEqual([date, day, getISODay(there)]);
      expect(civilOf(day)[1]).toBe(there.getMonth() + 1);
    }),
  );
});

test('how a date and a time are written', () => {
  expect([dayWords('2026-11-28'), localTime(dayOf('2026-11-28'), 545)]).toEqual(['Sat 28 Nov', '2026-11-28T09:05']);
});
