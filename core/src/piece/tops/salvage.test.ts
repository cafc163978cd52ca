import fc from 'fast-check';
import { inches } from '../../length';
import { SHORTEST, salvageRows, seamsOf, usableLengths, type Plank } from './salvage';
import { runs } from '../../testing/runs';

const inch = (rows: readonly (readonly Plank[])[] | null) =>
  rows?.map((row) => row.map(({ length, found }) => `${length / inches(1)}${found ? '' : ' bought'}`).join(', '));

describe('lengths without a fault', () => {
  const piece = { length: inches(40), count: 1, squared: true, bad: [] };
  const lengths = (rest: Partial<Parameters<typeof usableLengths>[0][number]>, copies = 1) =>
    usableLengths([{ ...piece, ...rest }], inches(0.5), copies).map((length) => length / inches(1));

  test('ends are squared, faults cut out, what is too short left out', () => {
    expect(lengths({})).toEqual([40]);
    expect(lengths({ squared: false })).toEqual([39]);
    expect(lengths({ bad: [{ from: inches(37), to: inches(40) }] })).toEqual([37]);
    expect(lengths({ bad: [{ from: inches(15), to: inches(18) }], squared: false })).toEqual([14.5, 21.5]);
    expect(lengths({ bad: [{ from: inches(3), to: inches(38) }] })).toEqual([]);
    expect(
      lengths({
        bad: [
          { from: inches(20), to: inches(30) },
          { from: inches(10), to: inches(25) },
        ],
      }),
    ).toEqual([10, 10]);
  });

  test('pieces are shared out among the copies', () => {
    expect(lengths({ count: 5 }, 2)).toEqual([40, 40]);
  });
});

describe('rows of random lengths, worked out by hand', () => {
  test('24 and 36 make 60 without waste, and turned round in the next row their seams are 12 apart', () => {
    expect(
      inch(salvageRows(inches(60), 2, [24, 36, 24, 36].map(inches), inches(48), inches(9), inches(1 / 8))),
    ).toEqual(['36, 24', '24, 36']);
  });

  test('with seams 13 apart they can not: a piece is cut shorter, and what is cut off is laid too', () => {
    const rows = salvageRows(inches(60), 2, [24, 36, 24, 36].map(inches), inches(48), inches(13), inches(1 / 8))!;
    const [first, second] = rows.map(seamsOf);
    for (const a of first!) for (const b of second!) expect(Math.abs(a - b)).toBeGreaterThanOrEqual(inches(13));
  });

  test('what is lacking is bought, no longer than a plank is sold', () => {
    expect(inch(salvageRows(inches(60), 1, [], inches(48), inches(9), inches(1 / 8)))).toEqual([
      '48 bought, 12 bought',
    ]);
    expect(inch(salvageRows(inches(60), 1, [inches(20)], inches(48), inches(9), inches(1 / 8)))).toEqual([
      '20, 40 bought',
    ]);
  });

  test('where no seam can fall and no plank is so long, there is no way', () => {
    expect(salvageRows(inches(60), 2, [], inches(36), inches(40), inches(1 / 8))).toBeNull();
  });
});

test('any pile of planks: rows are full, seams keep their distance, and no piece is laid that is not there', () => {
  const length = fc.integer({ min: 6, max: 50 }).map((value) => inches(value));
  fc.assert(
    fc.property(
      fc.integer({ min: 24, max: 80 }).map((value) => inches(value)),
      fc.integer({ min: 1, max: 8 }),
      fc.array(length, { maxLength: 30 }),
      fc.integer({ min: 3, max: 12 }).map((value) => inches(value)),
      (long, rows, pile, stagger) => {
        const laid = salvageRows(long, rows, pile, inches(48), stagger, inches(1 / 8));
        if (laid === null) return;
        expect(laid).toHaveLength(rows);
        for (const row of laid) {
          expect(row.reduce((sum, plank) => sum + plank.length, 0)).toBe(long);
          for (const plank of row) expect(plank.length).toBeGreaterThanOrEqual(Math.min(SHORTEST, long));
          for (const plank of row) if (!plank.found) expect(plank.length).toBeLessThanOrEqual(inches(48));
        }
        laid.slice(1).forEach((row, at) => {
          for (const a of seamsOf(laid[at]!))
            for (const b of seamsOf(row)) expect(Math.abs(a - b)).toBeGreaterThanOrEqual(stagger);
        });
        // First fit, longest first, of what is laid into the pile: an upper bound would be the pile itself.
        const used = laid.flat().filter(({ found }) => found);
        const total = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);
        expect(total(used.map((plank) => plank.length))).toBeLessThanOrEqual(total(pile));
        expect(Math.max(0, ...used.map((plank) => plank.length))).toBeLessThanOrEqual(Math.max(0, ...pile));
        // With a pile of long pieces nothing is bought.
        if (pile.length >= 2 * rows && pile.every((piece) => piece >= long))
          expect(used.length).toBe(laid.flat().length);
      },
    ),
    runs(300, 11),
  );
});
