import fc from 'fast-check';
import { runs } from '../testing/runs';
import { relax } from './columns';
import { groupsOf } from './group';
import { priceOut } from './price';
import { settingsOf } from './settings';
import { boardOf, partOf, problemOf } from './testing/lists';

const never = () => false;
const groupFor = (...rest: Parameters<typeof problemOf>) => groupsOf(problemOf(...rest))[0]!;

/** What a relaxation uses, cents: of each pattern its share of the price of its board. */
const costOf = (group: ReturnType<typeof groupFor>, { pool, use }: ReturnType<typeof relax>) =>
  pool.reduce((sum, { bin }, at) => sum + use[at]! * group.bins[bin]!.price, 0);

describe('the relaxation of a list', () => {
  test('by hand: two of 45 a board of 96, so seven ask for three and a half boards', () => {
    const group = groupFor([boardOf('b', 96, 3.5, 10, 0)], [partOf('a', 7, 45, 3.5)]);
    const relaxed = relax(group, never);
    expect(costOf(group, relaxed)).toBeCloseTo(3500, 2);
    // Each is worth half a board.
    expect(relaxed.prices[0]).toBeCloseTo(500, 2);
  });

  test('by hand: of 60 and 30 a board of 96 takes one and one, or three of 30', () => {
    const group = groupFor([boardOf('b', 96, 3.5, 12, 0)], [partOf('a', 4, 60, 3.5), partOf('b', 10, 30, 3.5)]);
    // Four boards take all of 60 and four of 30; six are left, three a board.
    expect(costOf(group, relax(group, never))).toBeCloseTo(4 * 1200 + 2 * 1200, 2);
  });

  test('two boards of one, at most: the rest comes from the dearer', () => {
    const few = { ...boardOf('few', 96, 3.5, 5, 0), available: 2 };
    const group = groupFor([few, boardOf('b', 96, 3.5, 10, 0)], [partOf('a', 8, 45, 3.5)]);
    expect(costOf(group, relax(group, never))).toBeCloseTo(2 * 500 + 2 * 1000, 2);
  });

  test('all is cut as often as it is wanted; no board is filled with more than its price at the prices it says', () => {
    const lists = fc.array(fc.tuple(fc.integer({ min: 10, max: 90 }), fc.integer({ min: 1, max: 6 })), {
      minLength: 1,
      maxLength: 5,
    });
    fc.assert(
      fc.property(lists, (rows) => {
        const group = groupFor(
          [boardOf('s', 96, 3.5, 6, 0), boardOf('l', 144, 3.5, 9.5, 0)],
          rows.map(([length, count], at) => partOf(`p${at}`, count, length, 3.5)),
        );
        const relaxed = relax(group, never);
        const { pool, use, prices } = relaxed;
        group.items.forEach(({ quantity }, item) =>
          expect(pool.reduce((sum, { counts }, at) => sum + use[at]! * counts[item]!, 0)).toBeGreaterThan(
            quantity - 1e-6,
          ),
        );
        // What it costs is what the pieces are worth (strong duality), but for the ties that are broken.
        const worth = group.items.reduce((sum, { quantity }, item) => sum + quantity * prices[item]!, 0);
        expect(worth).toBeCloseTo(costOf(group, relaxed), 1);
        priceOut(group, prices).forEach(({ atMost }, bin) =>
          expect(atMost).toBeLessThanOrEqual(group.bins[bin]!.price + 0.01),
        );
      }),
      runs(60, 91),
    );
  });
});

test('settings of the saw, by hand: of each layout its lengths, once however many boards are cut so', () => {
  const group = groupFor([boardOf('b', 96, 3.5, 10, 0)], [partOf('a', 4, 45, 3.5), partOf('b', 3, 30, 3.5)]);
  const { pool } = relax(group, never);
  const alike = pool.find(({ counts }) => counts.join() === '2,0')!;
  const thirds = pool.find(({ counts }) => counts.join() === '0,3')!;
  const mixed = pool.find(({ counts }) => counts[0]! > 0 && counts[1]! > 0);
  expect(settingsOf(group, { patterns: [alike] })).toBe(1);
  expect(settingsOf(group, { patterns: [alike, alike, thirds] })).toBe(2);
  if (mixed) expect(settingsOf(group, { patterns: [alike, mixed] })).toBe(3);
});
