import fc from 'fast-check';
import { say, tag, type PlacedTask, type Task, type Window } from '@sill/core';
import { blocksOf, blockWords, clockWords, hoursWords, spanWords, waitWords } from './days';

const HOUR = 60;
const DAY = 24 * HOUR;
/** Monday 23 November 2026, midnight, on a clock that is never changed. */
const MONDAY = Date.UTC(2026, 10, 23) / 60_000;

const task = (more: Partial<Task> = {}): Task => ({
  id: 'a',
  of: 'step.a',
  piece: 'p',
  title: say`Glue up ${tag('L1')}`,
  kind: 'join',
  part: [1, 1],
  minutes: 30,
  loud: false,
  errand: false,
  people: 1,
  tool: null,
  air: null,
  after: [],
  fresh: null,
  release: 0,
  wait: 0,
  clamps: null,
  lies: false,
  ...more,
});
const placed = (more: Partial<Task> = {}, start = MONDAY + 19 * HOUR, minutes = 30): PlacedTask => ({
  task: task(more),
  start,
  end: start + minutes,
  late: 0,
  over: 0,
});

test('minutes are said in what a person counts them in', () => {
  const said = [0, 45, 59, 60, 90, 125, 47 * HOUR, 48 * HOUR, 5 * DAY, 3.5 * DAY].map(spanWords);
  expect(said).toEqual([
    '0 min',
    '45 min',
    '59 min',
    '1 h',
    '1 h 30',
    '2 h 05',
    '47 h',
    '2 days',
    '5 days',
    '3.5 days',
  ]);
});

test('a time of day is that of the zone, also after its clocks are changed', () => {
  const noon = Date.UTC(2026, 9, 24, 12) / 60_000;
  expect(clockWords(null, noon)).toBe('12:00');
  expect([0, 2].map((days) => clockWords('Europe/Lisbon', noon + days * DAY))).toEqual(['13:00', '12:00']);
  expect(clockWords(null, MONDAY + 7 * HOUR + 5)).toBe('7:05');
});

test('hours of a day, with what they are good for', () => {
  const window = (more: Partial<Window>): Window =>
    ({ from: MONDAY + 9 * HOUR, to: MONDAY + 15 * HOUR, quiet: false, helpers: 0, ...more }) as Window;
  expect(
    [{}, { quiet: true }, { helpers: 1 }, { quiet: true, helpers: 3 }].map((one) => hoursWords(null, window(one))),
  ).toEqual(['9:00–15:00', '9:00–15:00, quiet', '9:00–15:00, a helper', '9:00–15:00, quiet, 3 helpers']);
});

test('goes of one step and settings of the saw that follow each other are one block; what comes between parts them', () => {
  const at = (minute: number) => MONDAY + minute;
  const all = [
    placed({ id: 's1', of: 'saw.1', kind: 'saw' }, at(0)),
    placed({ id: 's2', of: 'saw.2', kind: 'saw' }, at(30)),
    placed({ id: 'a1', of: 'a' }, at(60)),
    placed({ id: 'b1', of: 'b' }, at(90)),
    placed({ id: 'a2', of: 'a' }, at(120)),
    // After a pause it is another go.
    placed({ id: 'a3', of: 'a' }, at(200)),
  ];
  expect(blocksOf(all).map(({ key, placed: own }) => [key, own.length])).toEqual([
    ['s1', 2],
    ['a1', 1],
    ['b1', 1],
    ['a2', 1],
    ['a3', 1],
  ]);
});

test('blocks hold everything once, in order, and reach from the first of theirs to the last', () => {
  const goes = fc.array(
    fc.record({ of: fc.constantFrom('a', 'b', 'saw'), minutes: fc.integer({ min: 1, max: 90 }), pause: fc.nat(20) }),
    { maxLength: 20 },
  );
  fc.assert(
    fc.property(goes, (rows) => {
      let now = MONDAY;
      const all = rows.map(({ of, minutes, pause }, k) => {
        const one = placed({ id: `${k}`, of, kind: of === 'saw' ? 'saw' : 'join' }, now + pause, minutes);
        now = one.end;
        return one;
      });
      const blocks = blocksOf(all);
      expect(blocks.flatMap((block) => block.placed)).toEqual(all);
      for (const { placed: own, start, end } of blocks) {
        expect([start, end]).toEqual([own[0]!.start, own.at(-1)!.end]);
        expect(new Set(own.map((one) => one.task.of)).size).toBe(1);
      }
    }),
  );
});

test('a block is called by its step, with which goes of how many; the saw by its cuts', () => {
  const named = (...rows: readonly Partial<Task>[]) =>
    blockWords({ key: 'k', placed: rows.map((row) => placed(row)), start: 0, end: 0 }, 'in');
  expect(named({})).toBe('Glue up L1');
  expect(named({ part: [1, 3] }, { part: [2, 3] }, { part: [3, 3] })).toBe('Glue up L1');
  expect(named({ part: [2, 3] })).toBe('Glue up L1, part 2 of 3');
  expect(named({ part: [1, 4] }, { part: [2, 4] })).toBe('Glue up L1, parts 1 to 2 of 4');
  const cut = (words: string): Partial<Task> => ({ kind: 'saw', title: say`${words}` });
  expect(named(cut('Cuts 3 and 7'))).toBe('Cuts 3 to 7, one setting');
  expect(named(cut('Cuts 12, 14'), cut('Cuts 3 and 7'))).toBe('Cuts 3 to 14, 2 settings');
  expect(named(cut('Rough'))).toBe('Rough cuts, one setting');
  expect(named()).toBe('');
});

test('what happens while nobody is at it, and until when: with its day where that is another', () => {
  expect(waitWords(placed({ wait: 45, clamps: { count: 2, span: 8128 } }), null)).toBe('in clamps 45 min, until 20:15');
  expect(waitWords(placed({ wait: 8 * HOUR, kind: 'coat' }), null)).toBe('dries 8 h, until Tue 24 Nov, 3:30');
  expect(waitWords(placed({ wait: 2 * DAY, kind: 'sand' }), null)).toBe('dust settles 2 days, until Wed 25 Nov, 19:30');
  expect(waitWords(placed({ wait: 20 }), null)).toBe('sets 20 min, until 19:50');
});
