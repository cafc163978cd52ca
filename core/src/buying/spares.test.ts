import fc from 'fast-check';
import { inches, type Length } from '../length';
import { newJob } from '../job';
import { newPiece } from '../piece';
import { planJob } from '../plan';
import { secondTrip, sparesNeeded, storeCuts } from './index';

describe('spares by how likely it is that they are needed', () => {
  test('by hand: of 9 boards at 5 %, 1 - 0.95^9 = 0.370 without, 1 - 0.95^9 - 9 x 0.05 x 0.95^8 = 0.0712 with one', () => {
    expect(secondTrip(9, 0, 0.05)).toBeCloseTo(1 - 0.95 ** 9, 10);
    expect(secondTrip(9, 1, 0.05)).toBeCloseTo(1 - 0.95 ** 9 - 9 * 0.05 * 0.95 ** 8, 10);
    expect(sparesNeeded(9, 0.05)).toBe(1);
    expect(sparesNeeded(2, 0.05)).toBe(0); // 1 - 0.95^2 = 0.0975
    expect(sparesNeeded(3, 0.05)).toBe(1); // 1 - 0.95^3 = 0.143
    expect(secondTrip(5, 0, 0)).toBe(0);
  });

  test('more boards or more spoiled never need fewer; with as many spares as boards none is lacking', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.double({ min: 0, max: 0.5, noNaN: true }), (count, spoiled) => {
        expect(sparesNeeded(count + 1, spoiled)).toBeGreaterThanOrEqual(sparesNeeded(count, spoiled));
        expect(sparesNeeded(count, Math.min(0.5, spoiled + 0.05))).toBeGreaterThanOrEqual(sparesNeeded(count, spoiled));
        expect(secondTrip(count, count, spoiled)).toBeCloseTo(0, 6);
      }),
    );
  });

  test('the list buys just those, and says what they cost', () => {
    // Of one width: what is cheapest may change with the spares.
    const job = { ...newJob('j'), pieces: [{ ...newPiece('t', 'dining'), topChoices: { width: '6' } }] };
    const totals = (['none', 'each', 'likely'] as const).map(
      (spares) => planJob({ ...job, spares }, { today: '2026-11-24' }).list,
    );
    const [none, each, likely] = totals;
    expect(none!.spareCount).toBe(0);
    expect(likely!.subtotal - likely!.spares).toBe(none!.subtotal);
    expect(likely!.spareCount).toBeLessThanOrEqual(each!.spareCount + 2);
    const careful = planJob(
      { ...job, spares: 'likely', shop: { ...job.shop, spoiled: 20 } },
      { today: '2026-11-24' },
    ).list;
    expect(careful.spareCount).toBeGreaterThan(likely!.spareCount);
  });
});

describe('cuts by the store, for the car', () => {
  const board = (feet: number, ...ends: readonly number[]) => ({
    length: inches(feet * 12),
    pieces: ends.map((end, at) => ({
      x: inches(at === 0 ? 0.5 : ends[at - 1]! + 0.125),
      length: inches(end - (at === 0 ? 0.5 : ends[at - 1]! + 0.125)),
    })) as never,
  });
  const cut = (feet: number, ends: readonly number[], car: number) =>
    storeCuts(board(feet, ...ends), inches(car))?.map((at: Length) => at / inches(1)) ?? null;

  test('worked out by hand', () => {
    expect(cut(8, [65.5], 100)).toEqual([]);
    expect(cut(12, [65.5, 131.625], 100)).toEqual([65.5]);
    expect(cut(16, [65.5, 131, 185], 100)).toEqual([65.5, 131]);
    expect(cut(12, [101], 100)).toBeNull();
    expect(cut(16, [20], 100)).toEqual([20, 120]);
  });

  test('every length fits, and no piece is cut through', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(8, 10, 12, 16),
        fc.array(fc.integer({ min: 8, max: 60 }), { minLength: 1, maxLength: 6 }),
        // Longer than the longest piece with the squared end before it.
        fc.integer({ min: 61, max: 120 }),
        (feet, lengths, car) => {
          const ends = lengths.map((_, at) => lengths.slice(0, at + 1).reduce((sum, length) => sum + length, 0.5));
          fc.pre(ends.at(-1)! < feet * 12);
          const cuts = cut(feet, ends, car)!;
          const marks = [0, ...cuts, feet * 12];
          marks.slice(1).forEach((mark, at) => expect(mark - marks[at]!).toBeLessThanOrEqual(car));
          for (const at of cuts) expect(ends.includes(at) || at > ends.at(-1)!).toBe(true);
        },
      ),
    );
  });
});
