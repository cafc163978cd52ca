import { inches } from '../length';
import type { Entry, EntryOf } from '../job';
import { doneAs, entered, holdingsOf, isDone, misentryOf, misentryWords, printOf, priceOf, receiptsOf } from './index';

const NORTH = { id: 'north', name: 'North yard', tax: 5 };
const SOUTH = { id: 'south', name: 'South yard', tax: 8.25 };
const board = (id: string, price: number, at: string | null, yard = NORTH): EntryOf<'bought'> => ({
  ...{ id, at, what: 'bought', offer: '2x4x8', material: '2x4', length: inches(96), width: inches(3.5) },
  ...{ grade: '#2', price, yard, parts: [] },
});
const box = (id: string, price: number, at: string | null, yard = NORTH): EntryOf<'box'> => ({
  ...{ id, at, what: 'box', offer: 'screws', kind: 'screw', size: '#8 1 1/2', count: 100, price, yard },
});
const receipts = (ledger: readonly Entry[]) => receiptsOf(holdingsOf({ ledger }));

describe('receipts', () => {
  test('what was bought at one yard on one day is one; its tax is rounded once, not by the board', () => {
    // 3 x 3.33 is 9.99: 49.95 cents of tax are 50. By the board they would be 17 each.
    const [one, ...more] = receipts([
      board('a', 333, '2026-11-28T09:00'),
      board('b', 333, '2026-11-28T16:30'),
      box('c', 333, '2026-11-28T16:31'),
    ]);
    expect(more).toEqual([]);
    expect(one).toMatchObject({ day: '2026-11-28', subtotal: 999, tax: 50, yard: NORTH });
    expect(one!.purchases.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    expect(priceOf(one!.purchases)).toBe(999);
  });

  test('another day and another yard are others, the earliest first; a yard that raised its tax too', () => {
    const all = receipts([
      board('late', 100, '2026-12-01T09:00'),
      board('south', 1000, '2026-11-28T09:00', SOUTH),
      board('north', 100, '2026-11-28T09:00'),
      board('raised', 100, '2026-11-28T12:00', { ...NORTH, tax: 6 }),
      board('unknown', 100, null),
    ]);
    expect(all.map(({ day }) => day)).toEqual(['', '2026-11-28', '2026-11-28', '2026-11-28', '2026-12-01']);
    expect(all.find(({ yard }) => yard.id === 'south')!.tax).toBe(83); // 82.5
    expect(all.filter(({ yard }) => yard.id === 'north')).toHaveLength(4);
  });

  test('what was taken back is on none; nor is what was told wrongly', () => {
    const ledger: readonly Entry[] = [
      board('a', 400, '2026-11-28T09:00'),
      board('b', 500, '2026-11-28T09:00'),
      box('c', 600, '2026-11-28T09:00'),
      { id: 'r', at: '2026-11-29T09:00', what: 'returned', of: 'a' },
      { id: 'x', at: '2026-11-29T09:00', what: 'corrected', of: 'c' },
    ];
    expect(receipts(ledger).map(({ subtotal }) => subtotal)).toEqual([500]);
    expect(receipts([])).toEqual([]);
  });
});

describe('what is written', () => {
  test('an entry is added under its own id', () => {
    const entry = box('c', 600, null);
    expect(entered(entry)).toEqual({ piece: null, path: ['ledger', 'c'], value: entry });
  });

  test('what can not be so is told before it is written, in words; what was wrong before is not told again', () => {
    const job = { ledger: [board('a', 400, '2026-11-28T09:00')] };
    expect(misentryOf(job, [{ id: 's', at: null, what: 'spoiled', of: 'a' }])).toBeNull();
    const wrong = misentryOf(job, [{ id: 's', at: '2026-11-29T10:30', what: 'returned', of: 'nothing' }])!;
    expect(misentryWords(wrong)).toBe(
      'A return of 2026-11-29, 10:30 can not be so: it is about something that was never bought.',
    );
    const twice: readonly Entry[] = [
      { id: 'r', at: null, what: 'returned', of: 'a' },
      { id: 's', at: null, what: 'spoiled', of: 'a' },
    ];
    const late = misentryOf(job, twice)!;
    expect(misentryWords(late)).toBe(
      'Something spoiled can not be so: it is about something that is spoiled, given away, taken back or on the rack.',
    );
    expect(misentryOf({ ledger: [...job.ledger, ...twice] }, [])).toBeNull();
  });
});

describe('what is done', () => {
  const done = (as: string | null) =>
    holdingsOf({ ledger: [{ id: 'd', at: null, what: 'done', of: 'glaze.step', as }] as readonly Entry[] });

  test('work is done as it was told then; told otherwise by now it is not; of old jobs the name is enough', () => {
    expect(isDone({ id: 'glaze.step', as: 'p1' }, done('p1'))).toBe(true);
    expect(isDone({ id: 'glaze.step', as: 'p2' }, done('p1'))).toBe(false);
    expect(isDone({ id: 'glaze.step', as: 'p2' }, done(null))).toBe(true);
    expect(isDone({ id: 'glaze.other', as: 'p1' }, done('p1'))).toBe(false);
    expect(doneAs({ id: 'glaze.step', as: 'p1' }, { id: 'd', at: null })).toMatchObject({ of: 'glaze.step', as: 'p1' });
  });

  test('the print of what is alike is alike; of ten thousand that differ by one number no two are', () => {
    expect(printOf({ a: 1, b: [2] })).toBe(printOf({ a: 1, b: [2] }));
    expect(printOf({ a: 1, b: [2] })).not.toBe(printOf({ b: [2], a: 1 }));
    const prints = new Set(Array.from({ length: 10_000 }, (_, k) => printOf({ cut: k, of: 'T1' })));
    expect(prints.size).toBe(10_000);
  });
});
