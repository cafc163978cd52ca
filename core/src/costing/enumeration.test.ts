import fc from 'fast-check';
import { inches, type Length } from '../length';
import { applyChanges, newJob, type Job, set } from '../job';
import { blanksOf } from '../milling';
import { newPiece } from '../piece';
import { priceJob } from '../plan';
import { NOMINALS, SAMPLE_YARD, type Nominal } from '../stock';
import { lengths } from '../testing/tables';
import { runs, timesOf } from '../testing/runs';

const today = '2026-11-24';

/**
 * Least cost of boards of one nominal size by trying every way to fill every board with what is left: slow, complete,
 * and sharing nothing with the optimiser. Cents.
 */
function leastBoards(nominal: Nominal, wanted: ReadonlyMap<Length, number>, job: Job): number {
  const sizes = [...wanted.keys()].sort((a, b) => b - a);
  const offers = SAMPLE_YARD.boards.filter((offer) => offer.board === nominal);
  const known = new Map<string, number>();
  const least = (left: readonly number[]): number => {
    const first = left.findIndex((count) => count > 0);
    if (first < 0) return 0;
    const key = left.join();
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = Infinity;
    for (const { length, price } of offers) {
      const room = length - 2 * job.shop.squareEnds + job.shop.kerf;
      const fill = (at: number, rest: Length, counts: readonly number[]): void => {
        if (at === sizes.length) {
          best = Math.min(best, price + least(counts));
          return;
        }
        const step = sizes[at]! + job.shop.kerf;
        // The first size left is on this board at least once, or the same board would be tried for ever.
        for (let count = at === first ? 1 : 0; count <= counts[at]! && count * step <= rest; count++)
          fill(at + 1, rest - count * step, counts.with(at, counts[at]! - count));
      };
      if (sizes[first]! + job.shop.kerf <= room) fill(first, room, left);
    }
    known.set(key, best);
    return best;
  };
  return least(sizes.map((size) => wanted.get(size)!));
}

/** The boards of a whole job, each nominal size on its own. */
function leastOf(job: Job, parts: Parameters<typeof blanksOf>[1]): number {
  const blanks = blanksOf(job, parts);
  return NOMINALS.reduce((sum, nominal) => {
    const wanted = new Map<Length, number>();
    for (const { material, length, quantity } of blanks)
      if (material === nominal) wanted.set(length, (wanted.get(length) ?? 0) + quantity);
    return wanted.size === 0 ? sum : sum + leastBoards(nominal, wanted, job);
  }, 0);
}

const small = fc
  .record({
    length: lengths('in', 30, 60),
    width: lengths('in', 16, 28),
    height: lengths('in', 14, 30),
    apron: fc.constantFrom('1x3', '1x4', '2x4'),
    thickness: fc.constantFrom('1x', '2x'),
  })
  .map(({ length, width, height, apron, thickness }): Job => {
    const base = newPiece('t', 'desk');
    const choices = { ...base.choices, legs: '4x4', apron, overhangEnds: inches(2), overhangSides: inches(1) };
    return {
      ...newJob('small'),
      spares: 'none',
      pieces: [{ ...base, size: { length, width, height }, choices, topChoices: { thickness, width: 'cheapest' } }],
    };
  });

test('small jobs: the list costs the least of every nominal width and every mix of lengths', () => {
  let tried = 0;
  fc.assert(
    fc.property(small, (job) => {
      const cheapest = priceJob(job, { today });
      if (cheapest.parts.length === 0) return;
      tried++;
      const totals = ['4', '6', '8', '10', '12'].map((width) => {
        const one = priceJob(applyChanges(job, [set('t', ['topChoices', 'width'], width)]), {
          today,
          effort: 'quick',
        });
        const boards = leastOf(job, one.parts);
        // The same screws and glue, boards at their least.
        const subtotal = one.list.hardware.reduce((sum, line) => sum + line.total, boards);
        expect(one.buying.cost).toBe(boards);
        return subtotal + Math.round((subtotal * job.yard.tax) / 100);
      });
      expect(cheapest.list.total).toBe(Math.min(...totals));
    }),
    runs(50, 2026),
  );
  expect(tried).toBeGreaterThanOrEqual(0.92 * timesOf(50));
});
