import fc from 'fast-check';
import { inches } from '../length';
import { DEFAULT_SHOP, newJob, type OnHand } from '../job';
import { blanksOf } from '../milling';
import { buildPiece, newPiece } from '../piece';
import type { HardwareOffer } from '../stock';
import { found } from '../testing/telling';
import { boxesFor, buyingList, chooseBoards, offerMaterial } from './index';
import { runs } from '../testing/runs';

describe('boxes of screws', () => {
  const offer = (count: number, price: number): HardwareOffer => ({
    id: `b${count}`,
    kind: 'clip',
    size: '',
    count,
    price,
  });
  const need = (count: number) => ({ kind: 'clip' as const, size: '' as const, count });

  test('worked out by hand', () => {
    const offers = [offer(50, 448), offer(100, 648), offer(250, 1298)];
    const bought = (count: number) => boxesFor(need(count), offers)!.map((box) => `${box.count} of ${box.offer.count}`);
    expect(bought(41)).toEqual(['1 of 50']);
    expect(bought(51)).toEqual(['1 of 100']);
    expect(bought(140)).toEqual(['1 of 50', '1 of 100']); // 10.96, against 12.96 for two hundreds
    expect(bought(190)).toEqual(['2 of 100']); // 12.96, just under the 250
    expect(bought(201)).toEqual(['1 of 250']);
    expect(boxesFor({ kind: 'pocket-screw', size: '2', count: 3 }, offers)).toBeNull();
  });

  test('never dearer than any mix of up to six boxes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 100, max: 900 })), {
          minLength: 1,
          maxLength: 3,
        }),
        fc.integer({ min: 1, max: 120 }),
        (rows, count) => {
          const offers = rows.map(([size, price], at) => ({ ...offer(size, price), id: `o${at}` }));
          const cost = boxesFor(need(count), offers)!.reduce((sum, box) => sum + box.count * box.offer.price, 0);
          let least = Infinity;
          const every = (at: number, held: number, paid: number, boxes: number): void => {
            if (held >= count) least = Math.min(least, paid);
            if (at === offers.length || boxes === 0 || held >= count) return;
            every(at, held + offers[at]!.count, paid + offers[at]!.price, boxes - 1);
            every(at + 1, held, paid, boxes);
          };
          every(0, 0, 0, 6);
          expect(cost).toBeLessThanOrEqual(least);
        },
      ),
    );
  });
});

describe('the list', () => {
  const piece = { ...newPiece('t', 'coffee'), copies: 2 };
  const job = { ...newJob('two end tables'), pieces: [piece] };
  const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  const boards = chooseBoards(blanksOf(job, parts), job, {}, new Map());
  const list = buyingList(job, boards, []);

  test('copies share boards: legs and tops of both are on it, numbered through', () => {
    expect(boards.boards.map((board) => board.number)).toEqual(boards.boards.map((_, at) => at + 1));
    const legs = boards.boards.flatMap((board) => board.pieces).filter((cut) => cut.blank.part.role === 'leg');
    expect(legs).toHaveLength(2 * 4 * 2);
  });

  test('spares: one of each nominal size, long enough for its longest piece', () => {
    const nominals = new Set(boards.boards.map((board) => board.material));
    expect(list.spareCount).toBe(nominals.size);
    for (const line of list.boards.filter((row) => row.spare > 0)) {
      const longest = Math.max(
        ...boards.boards
          .filter((board) => board.material === offerMaterial(line.offer))
          .flatMap((board) => board.pieces.map((cut) => cut.length)),
      );
      expect(line.offer.length / inches(1) - 1).toBeGreaterThanOrEqual(longest / inches(1));
    }
    const exact = buyingList({ ...job, spares: 'none' }, boards, []);
    expect(exact.spareCount).toBe(0);
    expect(list.subtotal - exact.subtotal).toBe(list.spares);
  });

  test('tax is rounded once, on the sum', () => {
    expect(list.tax).toBe(Math.round(list.subtotal * 0.065));
    const free = buyingList({ ...job, yard: { ...job.yard, tax: 0 } }, boards, []);
    expect(free.total).toBe(free.subtotal);
  });

  test('a need that no box holds is named and left out of the total', () => {
    const lacking = buyingList(job, boards, [
      { kind: 'pocket-screw', size: '2', count: 4 },
      { kind: 'clip', size: '', count: 4 },
    ]);
    expect(lacking.notSold).toEqual([]);
    const bare = buyingList({ ...job, yard: { ...job.yard, hardware: [] } }, boards, [
      { kind: 'clip', size: '', count: 4 },
    ]);
    expect(bare.notSold).toEqual([{ kind: 'clip', size: '', count: 4 }]);
    expect(bare.total).toBe(list.total);
  });

  test('the left-over share is what is bought less what is cut', () => {
    const bought = boards.boards.reduce(
      (sum, { length, pieces: [first] }) => sum + length * first!.blank.width * first!.blank.thickness,
      0,
    );
    const cut = boards.boards
      .flatMap((board) => board.pieces)
      .reduce((sum, { length, blank }) => sum + length * blank.width * blank.thickness, 0);
    expect(list.leftShare).toBeCloseTo((bought - cut) / bought);
  });
});

describe('what is on hand', () => {
  const piece = newPiece('t', 'coffee');
  const job = { ...newJob('a table'), pieces: [piece] };
  const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  const blanks = blanksOf(job, parts);
  const choose = (onHand: readonly OnHand[]) => chooseBoards(blanks, found(job, onHand), {}, new Map());
  const there = (length: number, rest: Partial<OnHand> = {}): OnHand => ({
    id: 'h1',
    material: '2x4',
    length: inches(length),
    width: inches(3.5),
    count: 1,
    squared: false,
    bad: [],
    where: '',
    note: '',
    ...rest,
  });

  test('is never dearer than without, is not bought, and what is bad is left out', () => {
    const without = choose([]);
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 90 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 0, max: 60 }),
        (length, count, at) => {
          const bad = at < length - 3 ? [{ from: inches(at), to: inches(at + 3) }] : [];
          const hand = there(length, { count, bad });
          const boards = choose([hand]);
          expect(boards.unplaced).toEqual([]);
          expect(boards.cost).toBeLessThanOrEqual(without.cost);
          const list = buyingList(found(job, [hand]), boards, []);
          const used = boards.boards.filter((board) => board.hand !== null);
          expect(used.length).toBeLessThanOrEqual(count);
          expect(list.boards.reduce((sum, line) => sum + line.count - line.spare, 0)).toBe(
            boards.boards.length - used.length,
          );
          for (const { pieces } of used)
            for (const { x, length: long } of pieces)
              expect(bad.every(({ from, to }) => x + long < from || x > to)).toBe(true);
        },
      ),
      runs(25, 9),
    );
  });

  test('squared ends give an inch more', () => {
    const longest = Math.max(...blanks.filter(({ material }) => material === '2x4').map(({ length }) => length));
    const just = longest / inches(1);
    const used = (squared: boolean) =>
      choose([there(just, { squared })]).boards.some(({ hand, pieces }) => hand && pieces[0]!.length === longest);
    expect(used(true)).toBe(true);
    expect(used(false)).toBe(false);
  });
});
