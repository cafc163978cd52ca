import { saturdays } from './saturdays';

const task = (id: string, work: number, wait = 0) => ({ id, work, wait });
const days = (result: ReturnType<typeof saturdays>) =>
  result.days.map((day) => [day.date, day.tasks.map(({ id }) => id).join(' ')]);

test('the first day is the Saturday after today, the next a week later', () => {
  // 24 November 2026 is a Tuesday.
  const result = saturdays([task('a', 200)], [[task('b', 200)]], 6, '2026-11-24');
  expect(days(result)).toEqual([
    ['2026-11-28', 'a'],
    ['2026-12-05', 'b'],
  ]);
  expect(result).toMatchObject({ minutes: 400, ready: '2026-12-05' });
  expect(saturdays([task('a', 10)], [], 6, '2026-11-28').ready).toBe('2026-12-05');
});

test('while one piece waits for glue another is worked on', () => {
  const result = saturdays([], [[task('glue', 30, 120), task('after', 30)], [task('other', 100)]], 6, '2026-11-24');
  expect(days(result)).toEqual([['2026-11-28', 'glue other after']]);
});

test('a wait that does not fit the day is over by the next', () => {
  const result = saturdays([], [[task('glue', 300, 120), task('after', 30)]], 6, '2026-11-24');
  expect(days(result)).toEqual([
    ['2026-11-28', 'glue'],
    ['2026-12-05', 'after'],
  ]);
});

test('work longer than a day gets one of its own; nothing to do is ready never', () => {
  expect(days(saturdays([task('long', 900)], [], 6, '2026-11-24'))).toEqual([['2026-11-28', 'long']]);
  expect(saturdays([], [], 6, '2026-11-24')).toEqual({ days: [], minutes: 0, ready: null });
});
