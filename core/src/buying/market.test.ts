import { inches, mm } from '../length';
import { applyChanges, DEFAULT_SHOP, newJob, UNFINISHED, type Job, type Piece } from '../job';
import { buildPiece, newPiece } from '../piece';
import { planJob, priceJob } from '../plan';
import { METRIC_YARDS, SAMPLE_YARD, SECOND_YARD, type BoardOffer, type Yard } from '../stock';
import { bareId, marketOf, soldAt, worthOf } from './index';

const board = (length: number, price: number): BoardOffer => ({
  id: `2x4x${length}`,
  board: '2x4',
  length: inches(12 * length),
  grade: '#2',
  price,
  inStock: true,
});
const yard = (id: string, tax: number, ...boards: readonly BoardOffer[]): Yard => ({
  id,
  name: id,
  tax,
  boards,
  sheets: [],
  hardware: [],
});
const here = yard('here', 0, board(8, 500), board(10, 700));
const there = yard('there', 10, board(8, 460), board(10, 600));
const base = newPiece('t', 'shelf-unit');
const leaveOut = Object.fromEntries(
  buildPiece(base, '2x6', DEFAULT_SHOP, 'in').parts.map(({ tag }) => [tag, { count: 0 }]),
);
/** Every part left out but for two-by-fours added by hand: they are the whole job. */
const job = (count: number, length: number, rest: Partial<Job> = {}): Job => ({
  ...newJob('two yards'),
  spares: 'none',
  yard: here,
  alsoAt: [there],
  pieces: [
    {
      ...base,
      finish: UNFINISHED,
      overrides: leaveOut,
      loose: [{ tag: 'X1', name: 'stick', material: '2x4', length: inches(length), width: inches(3.5), count }],
    },
  ],
  ...rest,
});
const price = (of: Job) => priceJob(of, { today: '2026-11-24' });

describe('two yards, worked out by hand', () => {
  test('an offer of the further yard goes by its yard and is found again', () => {
    const market = marketOf(job(1, 90));
    expect(market.boards.map(({ id }) => id)).toEqual(['2x4x8', '2x4x10', 'there.2x4x8', 'there.2x4x10']);
    const far = market.boards[2]!;
    expect(soldAt(job(1, 90), far).id).toBe('there');
    expect(bareId(job(1, 90), far)).toBe('2x4x8');
    expect(bareId(job(1, 90), market.boards[0]!)).toBe('2x4x8');
    expect(marketOf({ ...job(1, 90), alsoAt: [] })).toBe(here);
  });

  test('a yard whose id begins as another one does is not taken for it', () => {
    const names = [yard('mill', 5, board(8, 460)), yard('mill.east', 10, board(10, 600))];
    for (const alsoAt of [names, [...names].reverse()]) {
      const of = { ...job(1, 90), alsoAt };
      const far = marketOf(of).boards.find(({ id }) => id === 'mill.east.2x4x10')!;
      expect(soldAt(of, far).id).toBe('mill.east');
      expect(bareId(of, far)).toBe('2x4x10');
      expect(soldAt(of, { id: 'mill.2x4x8' }).id).toBe('mill');
    }
  });

  test('the tax of each yard counts: 4.60 with 10 % is dearer than 5.00 with none, 6.00 is not dearer than 7.00', () => {
    const worth = worthOf(job(1, 90));
    const [, , eight, ten] = marketOf(job(1, 90)).boards;
    expect(worth(eight!)).toBeCloseTo(506);
    expect(worth(ten!)).toBeCloseTo(660);
  });

  test('every yard’s own tax is on its own sum', () => {
    // Three of 100 in: an eight-footer is too short, and only the far yard has ten feet.
    const near = { ...here, boards: [board(8, 500)] };
    const { list } = price(job(3, 100, { yard: near, alsoAt: [{ ...there, boards: [board(10, 605)] }] }));
    const lines = list.boards.map(({ offer, count, total }) => [offer.id, count, total]);
    expect(lines).toEqual([['there.2x4x10', 3, 1815]]);
    const totals = list.byYard.map((row) => [row.yard.id, row.subtotal, row.tax]);
    // 10 % of 18.15 is 1.815, to the cent 1.82.
    expect(totals).toEqual([
      ['here', 0, 0],
      ['there', 1815, 182],
    ]);
    expect(list.total).toBe(1997);
  });

  test('out of stock at one yard it comes from the other', () => {
    const none = { ...here, boards: here.boards.map((offer) => ({ ...offer, inStock: false })) };
    expect(price(job(1, 90, { yard: none })).list.boards[0]!.offer.id).toBe('there.2x4x8');
  });
});

describe('the yards that ship', () => {
  const base = newPiece('t', 'coffee');
  const with2 = (piece: Partial<Piece>, rest: Partial<Job> = {}): Job => ({
    ...newJob('j'),
    pieces: [
      { ...base, ...piece },
      { ...newPiece('u', 'bench'), wood: 'anz' as const },
    ],
    ...rest,
  });

  test('metric and inch in one job: each piece of its own boards, each bought where they are sold', () => {
    const [fern] = METRIC_YARDS;
    const plan = planJob(with2({}, { alsoAt: [fern!] }), { today: '2026-11-24', effort: 'quick' });
    expect(plan.buying.unplaced).toEqual([]);
    for (const { offer } of plan.list.boards)
      if ('board' in offer) expect(offer.board.startsWith('anz ')).toBe(offer.id.startsWith('fern-gully.'));
    for (const part of plan.parts)
      if (part.material !== 'bought' && part.piece === 'u') expect(part.material).toMatch(/^anz |^ply \d+$/);
    // The bench's seat boards are 45 thick, and everything that is cut is laid on boards of that thickness.
    expect(plan.parts.some((part) => part.piece === 'u' && part.thickness === mm(45))).toBe(true);
    expect(plan.list.total).toBe(plan.list.subtotal + plan.list.tax);
    expect(plan.list.byYard.reduce((sum, row) => sum + row.subtotal, 0)).toBe(plan.list.subtotal);
    // Without the metric yard nothing of the bench can be bought.
    const alone = planJob(with2({}), { today: '2026-11-24', effort: 'quick' });
    expect(alone.buying.unplaced.every(({ blank }) => blank.part.piece === 'u')).toBe(true);
    expect(alone.buying.unplaced.length).toBeGreaterThan(0);
    const [note, ...more] = alone.findings.filter(({ level, piece }) => level === 'stop' && piece === 'u');
    expect([note!.id, more.length]).toEqual(['u.lumber', 0]);
    for (const { changes } of note!.remedies) {
      const then = planJob(applyChanges(with2({}), changes), { today: '2026-11-24', effort: 'quick' });
      expect(then.buying.unplaced).toEqual([]);
    }
  });

  test('one more yard to choose from never costs more', () => {
    const one: Job = { ...newJob('j'), pieces: [base], yard: SAMPLE_YARD, spares: 'none' };
    const both = price({ ...one, alsoAt: [SECOND_YARD] }).list.total;
    expect(both).toBeLessThanOrEqual(price(one).list.total + 2);
    expect(both).toBeLessThanOrEqual(price({ ...one, yard: SECOND_YARD }).list.total + 2);
  });
});
