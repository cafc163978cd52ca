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

test('a coat of an hour is put on the evening it is due; what is loud waits for Saturday', () => {
  const quiet = { ...task('coat', 60, 720), quiet: true };
  // Sanded on Saturday to 9:00 and three hours; twelve hours for dust: Sunday evening, then one an evening.
  const result = saturdays([], [[task('sand', 180, 720), quiet, quiet, task('hang', 30)]], 6, '2026-11-24');
  expect(days(result)).toEqual([
    ['2026-11-28', 'sand'],
    ['2026-11-29', 'coat'],
    ['2026-11-30', 'coat'],
    ['2026-12-05', 'hang'],
  ]);
  expect(result.days.map(({ evening }) => evening)).toEqual([false, true, true, false]);
});

test('it is ready once the last wait is over', () => {
  expect(saturdays([], [[task('cure', 20, 72 * 60)]], 6, '2026-11-24').ready).toBe('2026-12-01');
  // Nine o'clock and seven hours, then eight more: midnight is past.
  expect(saturdays([], [[task('cure', 60, 23 * 60)]], 6, '2026-11-24').ready).toBe('2026-11-28');
  expect(saturdays([], [[task('cure', 61, 23 * 60)]], 6, '2026-11-24').ready).toBe('2026-11-29');
});

test('an evening is two hours long, and holds two coats that dry between them', () => {
  const coat = { ...task('coat', 30, 30), quiet: true };
  const result = saturdays([], [[task('sand', 300, 100), coat, coat, coat]], 6, '2026-11-24');
  expect(days(result)).toEqual([
    ['2026-11-28', 'sand'],
    ['2026-11-29', 'coat'],
    ['2026-11-30', 'coat'],
    ['2026-12-01', 'coat'],
  ]);
});
