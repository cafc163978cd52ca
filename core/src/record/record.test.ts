import * as fc from 'fast-check';
import { inches } from '../length';
import { newJob, type Entry, type EntryOf } from '../job';
import { runs } from '../testing/runs';
import {
  applying,
  byMonth,
  clockOf,
  coverageBy,
  cutsBy,
  CUT_USUAL,
  earnedAnHour,
  forgets,
  isLeftOn,
  minutesBetween,
  pricesBy,
  readMemory,
  recordOf,
  rejectedBy,
  remembered,
  savedBy,
  spoiledBy,
  stateOf,
} from '.';

let count = 0;
const at = '2026-10-03T14:00';
const sign = () => ({ id: `e${++count}`, at });
const job = (...ledger: readonly Entry[]) => ({ ...newJob('Shed'), ledger });
const YARD = { id: 'y', name: 'Yard', tax: 8 };
const board = (price = 1000): EntryOf<'bought'> => ({
  ...sign(),
  what: 'bought',
  offer: '2x4x8',
  ...{ material: '2x4', length: inches(96), width: inches(3.5), grade: '', price, yard: YARD, parts: [] },
});
const timed = (minutes: number, planned = 10, when = at): Entry => ({
  ...{ ...sign(), at: when, what: 'timed', of: '', piece: null, work: 'saw', planned, minutes, until: null },
});
const receipt = (of: readonly string[], total: number, tax = 0): Entry => ({
  ...{ ...sign(), what: 'receipt', yard: 'Yard', of, extras: [], tax, total, photo: null },
});

describe('the clock', () => {
  const clock = (on: boolean, since: number): Entry => ({ ...sign(), what: 'clock', on, since });
  const read = (until: number): Entry => ({
    ...sign(),
    ...{ what: 'timed', of: 'a', piece: null, work: 'saw', planned: 5, minutes: 4, until },
  });

  test('runs since it was set, on from each reading, and stands when it is stopped', () => {
    expect(clockOf([])).toBeNull();
    expect(clockOf([clock(true, 1000)])).toBe(1000);
    expect(clockOf([clock(true, 1000), read(61_000)])).toBe(61_000);
    expect(clockOf([clock(true, 1000), read(61_000), clock(false, 90_000)])).toBeNull();
    // Written down while it stands, nothing starts it.
    expect(clockOf([clock(false, 0), read(61_000)])).toBeNull();
  });

  test('counts the same through the night of a clock change, and knows when it was left on', () => {
    expect(minutesBetween(0, 90_000)).toBe(1.5);
    expect(minutesBetween(10, 5)).toBe(0);
    expect(isLeftOn(100, 5)).toBe(false);
    expect(isLeftOn(121, 5)).toBe(true);
    expect(isLeftOn(250, 60)).toBe(false);
    expect(isLeftOn(11 * 60, 60)).toBe(true);
  });
});

describe('money', () => {
  test('a receipt is what was paid; what is on none is at its price with tax; a return comes off', () => {
    const [one, two, three] = [board(1000), board(1000), board(500)];
    const on = receipt([one.id, two.id], 2400);
    expect(recordOf('a', job(one, two, three)).cents).toBe(2700);
    expect(recordOf('a', job(one, two, three, on)).cents).toBe(2400 + 540);
    const back = (of: string): Entry => ({ ...sign(), what: 'returned', of });
    expect(recordOf('a', job(one, two, three, on, back(three.id))).cents).toBe(2400);
    expect(recordOf('a', job(one, two, three, on, back(one.id))).cents).toBe(2400 + 540 - 1080);
  });

  test('a price paid takes the place of the one on the list, in the books and in the record', () => {
    const one = board(1000);
    const paid: Entry = { ...sign(), what: 'paid', of: one.id, price: 1200 };
    const { cents, prices } = recordOf('a', job(one, paid));
    expect(cents).toBe(1296);
    expect(prices).toEqual({ count: 1, listed: 1000, paid: 1200 });
    expect(pricesBy([recordOf('a', job(one, paid))]).value).toBeCloseTo((20 + 1.2) / 21, 6);
  });

  test('money and minutes of the months are all there are, whatever is told in whatever order', () => {
    const months = ['2026-09', '2026-10', '2026-12'];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...months), fc.integer({ min: 1, max: 90 }), fc.boolean()), {
          maxLength: 30,
        }),
        (rows) => {
          const entries = rows.map(([month, value, isMoney]) =>
            isMoney ? { ...board(100 * value), at: `${month}-05T10:00` } : timed(value, 10, `${month}-05T10:00`),
          );
          const record = recordOf('a', job(...entries));
          const rowsOf = byMonth([record]);
          expect(rowsOf.reduce((sum, row) => sum + row.minutes, 0)).toBeCloseTo(record.minutes, 6);
          expect(rowsOf.reduce((sum, row) => sum + row.cents, 0)).toBe(record.cents);
          // No month between the first and the last is left out.
          if (rowsOf.length > 1)
            expect(rowsOf.map(({ month }) => month)).toEqual(
              ['2026-09', '2026-10', '2026-11', '2026-12'].filter(
                (month) => month >= rowsOf[0]!.month && month <= rowsOf.at(-1)!.month,
              ),
            );
        },
      ),
      runs(60),
    );
  });
});

describe('habits', () => {
  test('boards spoiled count once a board, however many of its pieces are; put back ones by those looked at', () => {
    const [one, two] = [board(), board()];
    const spoiled = (of: string): Entry => ({ ...sign(), what: 'spoiled', of });
    const rejected: Entry = { ...sign(), what: 'rejected', offer: '2x4x8' };
    const record = recordOf('a', job(one, two, spoiled(one.id), rejected, rejected));
    expect(record.boards).toEqual({ taken: 2, spoiled: 1, rejected: 2 });
    expect(spoiledBy([record])).toMatchObject({ count: 2, value: (0.05 * 40 + 1) / 42 });
    expect(rejectedBy([record])).toMatchObject({ count: 4, value: (0.2 * 40 + 2) / 44 });
  });

  test('lengths tell how near cuts come: simulated ones, other sides and those of unknown plan do not', () => {
    const measured = (off: number, rest: Partial<EntryOf<'measured'>> = {}): Entry => ({
      ...sign(),
      ...{ what: 'measured', piece: 't', tag: `A${count}`, side: 'length', simulated: false },
      ...{ planned: inches(20), size: inches(20 + off) },
      ...rest,
    });
    const record = recordOf(
      'a',
      job(
        measured(1 / 16),
        measured(-1 / 16),
        measured(1, { simulated: true }),
        measured(1, { side: 'width' }),
        measured(1, { planned: null }),
      ),
    );
    expect(record.cuts.count).toBe(2);
    expect(record.cuts.squares).toBeCloseTo(2 / 256, 9);
    expect(cutsBy([record]).value).toBeCloseTo(Math.sqrt((6 + 2 / 256 / CUT_USUAL ** 2) / 8), 9);
  });

  test('cans say how far they go', () => {
    const used: Entry = { ...sign(), what: 'used', kind: 'finish', size: 'varnish', ounces: 32, planned: 16 };
    expect(coverageBy([recordOf('a', job(used))])).toEqual({ value: (32 + 32) / (32 + 16), usual: 1, count: 1 });
  });
});

describe('words of old', () => {
  const lesson = (id: string, family: string, work: 'saw' | 'coat' | null, day = '2026-10-01') => ({
    ...{ id, job: 'a', jobName: 'A', day, how: null, text: 't', minutes: 0, wood: 0, family, work, tool: null },
  });
  const ahead = { families: new Set(['bench']), works: new Set(['saw'] as const), tools: new Set<never>() };

  test('come back where they apply, what fits best first, and not elsewhere', () => {
    const all = [
      lesson('any', '', null),
      lesson('same work', 'chest', 'saw'),
      lesson('both', 'bench', 'saw'),
      lesson('neither', 'chest', 'coat'),
    ];
    expect(applying(all, ahead).map(({ id }) => id)).toEqual(['both', 'same work', 'any']);
  });

  test('mishaps and words for next time are kept; plain notes are not', () => {
    const where = { piece: 't', family: 'bench', part: 't.L1', of: '', work: 'saw', tool: 'mitre saw' } as const;
    const { lessons } = recordOf(
      'a',
      job(
        { ...sign(), what: 'mishap', how: 'split', ...where, minutes: 12, wood: 300, note: '' },
        { ...sign(), what: 'note', ...where, next: true, text: 'pilot first', photo: null },
        { ...sign(), what: 'note', ...where, next: false, text: 'nice grain', photo: null },
      ),
    );
    expect(lessons.map(({ how, text, minutes }) => [how, text, minutes])).toEqual([
      ['split', '', 12],
      [null, 'pilot first', 0],
    ]);
  });
});

test('a copy of a job that was begun is not counted twice', () => {
  const setOut: Entry = { ...sign(), what: 'set out', minutes: 60, cents: 1, boards: 1, left: 0, ready: null };
  const one = job(setOut, timed(20));
  const records = [
    recordOf('a', one),
    recordOf('b', { ...one, ledger: [...one.ledger, timed(30)] }),
    recordOf('c', job()),
  ];
  expect(remembered(records, { forgotten: [] }).map(({ id }) => id)).toEqual(['a', 'c']);
});

test('what is forgotten is learnt from no more; what the job came to stays', () => {
  const record = recordOf('a', job(board(), timed(20)));
  const [left] = remembered([record], { forgotten: [forgets('a', 'times'), forgets('a', 'boards')] });
  expect(left!.times).toEqual({});
  expect(left!.boards.taken).toBe(0);
  expect(left!.minutes).toBe(20);
  expect(remembered([record], { forgotten: [forgets('b', 'times')] })).toEqual([record]);
  expect(readMemory({ forgotten: [forgets('a', 'cuts')] }).ok).toBe(true);
  expect(readMemory({ forgotten: 'all' })).toMatchObject({ ok: false });
});

test('a job is planned, under way or finished; finished it says what it saved and what an hour earned', () => {
  const over = { minutes: 600, cents: 12_000, boards: 5, left: 0.1, ready: '2026-10-20' };
  const closed: Entry = { ...sign(), what: 'closed', ...over, bought: 30_000 };
  expect(stateOf(recordOf('a', job()))).toBe('planned');
  expect(stateOf(recordOf('a', job(board())))).toBe('under way');
  const record = recordOf('a', job(board(), closed));
  expect(stateOf(record)).toBe('finished');
  expect(savedBy(record)).toBe(18_000);
  expect(earnedAnHour(30_000, over)).toBe(1800);
  expect(earnedAnHour(null, over)).toBeNull();
  expect(earnedAnHour(30_000, { ...over, minutes: 0 })).toBeNull();
  const reopened = recordOf('a', job(board(), closed, { ...sign(), what: 'corrected', of: closed.id }));
  expect(stateOf(reopened)).toBe('under way');
});
