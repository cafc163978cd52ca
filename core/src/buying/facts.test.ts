import fc from 'fast-check';
import { first, held, sure } from '../lists';
import { inches } from '../length';
import { newJob, type Job } from '../job';
import { holdingsOf, rootOf } from '../ledger';
import { blanksOf } from '../milling';
import type { Plan } from '../plan';
import { newPiece, STARTS } from '../piece';
import { runs } from '../testing/runs';
import { newStamp, told } from '../testing/telling';
import { planning } from '../testing/planning';
import { boughtAs, cutAs, lockOf, type Board } from './index';

const plan = planning('2026-11-24');
const jobOf = (start: string): Job => ({ ...newJob('facts'), spares: 'none', pieces: [newPiece('p', start)] });
/** A shelf unit of which the first board is cut to posts and all rails are of thin stock. */
const unitOf = (): Job => {
  const job = jobOf('shelf-unit');
  return { ...job, pieces: job.pieces.map((piece) => ({ ...piece, choices: { ...piece.choices, rails: '1x3' } })) };
};
const sized = (job: Job, side: 'length' | 'width' | 'height', by: number): Job => ({
  ...job,
  pieces: job.pieces.map((piece) => ({ ...piece, size: { ...piece.size, [side]: piece.size[side] + inches(by) } })),
});
/** How often each part is wanted, and how often it lies on a board or is said to lie on none. */
const wanted = (job: Job, { parts }: Plan) =>
  new Map(blanksOf(job, parts).map(({ part, quantity }) => [part.id, quantity]));
const placed = ({ buying }: Plan) => {
  const counts = new Map<string, number>();
  const add = (id: string, count: number) => counts.set(id, (counts.get(id) ?? 0) + count);
  for (const { pieces } of buying.boards) for (const { blank } of pieces) add(blank.part.id, 1);
  for (const { blank, quantity } of buying.unplaced) add(blank.part.id, quantity);
  return counts;
};
const stamp = newStamp();

/** What must hold of a plan after boards of an earlier one were bought or cut. */
function holds(job: Job): Plan {
  const after = plan(job);
  expect(placed(after)).toEqual(wanted(job, after));
  const { bodies, faults } = holdingsOf(job);
  expect(faults).toEqual([]);
  for (const { body, state, pieces, material } of after.buying.boards) {
    if (state !== 'cut') continue;
    const { cut } = held(bodies, sure(body, 'body of the board'));
    for (const { blank, x, y, length, width, turned } of pieces) {
      // A piece that is cut lies where it was cut, and its part can be made of it.
      expect(cut?.pieces.some((one) => one.x === x && one.y === y && one.length === length)).toBe(true);
      expect(blank.material).toBe(material);
      expect(blank.length).toBeLessThanOrEqual(turned ? width : length);
      expect(blank.width).toBeLessThanOrEqual(turned ? length : width);
    }
  }
  // Every board that is bought is used, or named as idle.
  const used = new Set(after.buying.boards.flatMap(({ body }) => (body === null ? [] : [rootOf(body)])));
  const paid = [...bodies.values()].filter(({ bought }) => bought !== null);
  for (const body of paid) expect(used.has(body.id) !== after.buying.idle.includes(body)).toBe(true);
  const spent = paid.reduce((sum, { bought }) => sum + (bought?.price ?? 0), 0);
  expect(after.list.receipts.reduce((sum, { subtotal }) => sum + subtotal, 0)).toBe(spent);
  const { used: inUse, idle, lost, toBuy } = after.list.sums;
  expect(inUse + idle + lost + toBuy).toBe(after.list.total);
  expect(after.list.boards.reduce((sum, { total }) => sum + total, spent)).toBe(after.buying.cost);
  return after;
}
const cut = (job: Job, board: Board): Job => told(job, cutAs(job, board, null, stamp));

test.each(['coffee', 'bench', 'standing', 'hairpin', 'dining'])(
  '%s: one board is cut; the cheapest top is still the one it was cut for, and no narrower piece stands for a wider',
  (start) => {
    const job = jobOf(start);
    const before = plan(job);
    const board = sure(
      before.buying.boards.find(({ pieces }) => pieces.some(({ blank }) => blank.part.role === 'top')),
      'board with a piece of the top',
    );
    const after = holds(cut(job, board));
    expect(after.buying.unfit).toEqual([]);
    expect(after.pieces.map(({ topNominal }) => topNominal)).toEqual(before.pieces.map(({ topNominal }) => topNominal));
    expect(after.buying.cost).toBe(before.buying.cost);
  },
);

test('a top left to the cheapest is settled once its first board is cut, and open again when that was a mistake', () => {
  const job = jobOf('standing');
  const before = plan(job);
  const width = first(before.pieces).topNominal;
  const board = sure(
    before.buying.boards.find(({ pieces }) => pieces.some(({ blank }) => blank.part.role === 'top')),
    'board with a piece of the top',
  );
  const cutOne = cut(job, board);
  // Boards of that width cost ten times as much from now on.
  const dear = (of: Job): Job => ({
    ...of,
    yard: {
      ...of.yard,
      boards: of.yard.boards.map((row) => (row.board === width ? { ...row, price: row.price * 10 } : row)),
    },
  });
  expect(first(plan(dear(job)).pieces).topNominal).not.toBe(width);
  expect(first(holds(dear(cutOne)).pieces).topNominal).toBe(width);
  const mistakes = cutOne.ledger.map(({ id }, at) => ({ id: `x${at}`, at: null, what: 'corrected' as const, of: id }));
  expect(first(plan(dear(told(cutOne, mistakes))).pieces).topNominal).not.toBe(width);
});

test('a case made two inches deeper: what is cut too short is no part, and is named', () => {
  const job = unitOf();
  const before = plan(job);
  const board = first(before.buying.boards);
  const longer = sized(cut(job, board), 'height', 20);
  const after = holds(longer);
  const note = sure(
    after.findings.find(({ id }) => id === 'job.cut-unfit'),
    'note on what is cut',
  );
  expect(note.about.length).toBeGreaterThan(0);
  expect(after.buying.unfit.length).toBe(board.pieces.length);
});

test('oak wanted where pine is cut: the pine stands for nothing', () => {
  const job = jobOf('coffee');
  const before = plan(job);
  const oak = { ...job, pieces: job.pieces.map((piece) => ({ ...piece, wood: 'oak' as const })) };
  const after = holds(cut(oak, first(before.buying.boards)));
  expect(after.buying.unfit).toHaveLength(first(before.buying.boards).pieces.length);
  expect(after.buying.boards.some(({ state }) => state === 'cut')).toBe(false);
});

test('all is bought, then the piece gets smaller: nothing is bought besides, what lies idle is named and stays paid', () => {
  const job = jobOf('shelf-unit');
  const before = plan(job);
  const bought = told(
    job,
    before.buying.boards.flatMap((board) => boughtAs(job, board, stamp)),
  );
  expect(holds(bought).list.sums).toMatchObject({ idle: 0, lost: 0 });
  const after = holds(sized(bought, 'height', -12));
  expect(after.buying.cost).toBe(before.buying.cost);
  expect(after.buying.boards.every(({ state }) => state === 'bought')).toBe(true);
  const note = after.findings.find(({ id }) => id === 'job.bought-idle');
  expect(note !== undefined).toBe(after.buying.idle.length > 0);
});

test('what is cut is no longer driven home: no store cuts it, and it asks for no longer car', () => {
  const job = { ...jobOf('standing'), shop: { ...newJob('facts').shop, car: inches(80) } };
  const before = plan(job);
  const long = before.buying.boards.filter(({ length, offer }) => length > inches(80) && !('sheet' in offer));
  const driven = ({ list }: Plan) => list.boards.reduce((sum, { storeCuts }) => sum + storeCuts.length, 0);
  expect(long.length).toBeGreaterThan(1);
  expect(driven(before)).toBe(long.length);
  expect(driven(holds(cut(job, first(long))))).toBe(long.length - 1);
});

test('what is cut longer or wider than it must be now is trimmed, and the note says from what to what', () => {
  const job = unitOf();
  const before = plan(job);
  const after = holds(sized(cut(job, first(before.buying.boards)), 'height', -6));
  expect(after.buying.unfit).toEqual([]);
  expect(after.findings.some(({ id }) => id === 'job.cut-otherwise')).toBe(true);
});

test('boards bought and cut at random, then another size: all is placed once, nothing paid is lost', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...STARTS.map(({ id }) => id)),
      fc.array(fc.record({ at: fc.nat(40), state: fc.constantFrom('bought' as const, 'cut' as const) }), {
        maxLength: 8,
      }),
      fc.constantFrom('length' as const, 'width' as const, 'height' as const),
      fc.integer({ min: -4, max: 4 }),
      (start, marks, side, by) => {
        const job = jobOf(start);
        const before = plan(job);
        const { boards } = before.buying;
        const marked = new Map(marks.map(({ at, state }) => [at % Math.max(1, boards.length), state]));
        const facts = [...marked].flatMap(([at, state]) =>
          boards
            .slice(at, at + 1)
            .flatMap((board) => (state === 'cut' ? cutAs(job, board, null, stamp) : boughtAs(job, board, stamp))),
        );
        holds(sized(told(job, facts), side, by));
      },
    ),
    runs(40, 2027),
  );
});

test('a board that is cut is told at no setting that has others left: what is done is done', () => {
  const job = jobOf('standing');
  const before = plan(job);
  const board = sure(
    before.buying.boards.find(({ number }) =>
      before.setups.some(({ boards }) => boards.length > 1 && boards[0] === number),
    ),
    'board that shares a setting',
  );
  const done = cut(job, board);
  const after = holds(done);
  const mine = sure(
    after.buying.boards.find(({ state }) => state === 'cut'),
    'board that is cut',
  );
  const { boards } = after.buying;
  const state = (number: number) => boards.find((one) => one.number === number)?.state;
  for (const setup of after.setups)
    expect(setup.boards.includes(mine.number)).toBe(setup.boards.every((number) => state(number) === 'cut'));
  // The boards of the plan are those it had: it was carried out as it stands.
  const laid = (of: Plan) => of.buying.boards.map(({ pieces }) => pieces.map(({ blank, x }) => [blank.part.id, x]));
  expect(laid(after)).toEqual(laid(before));
});

test('an offcut that is given away has no job any more', () => {
  const job = jobOf('standing');
  const done = plan(job).buying.boards.reduce<Job>((so, board) => {
    const same = plan(so).buying.boards.find(
      ({ state, pieces }) => state === 'to buy' && pieces.length === board.pieces.length,
    );
    return same ? cut(so, same) : so;
  }, job);
  const { offcuts } = plan(done);
  const use = sure(
    offcuts.find(({ board }) =>
      plan(done).buying.boards.some(({ number, state }) => number === board && state === 'cut'),
    ),
    'use of an offcut of a cut board',
  );
  const { bodies } = holdingsOf(done);
  const away = [...bodies.values()]
    .filter(({ id, length }) => id.includes('/o') && length === use.offcut.length)
    .map(({ id }, k) => ({ id: `g${k}`, at: null, what: 'gone' as const, of: id }));
  expect(away.length).toBeGreaterThan(0);
  const after = plan(told(done, away)).offcuts;
  expect(after.some(({ board, offcut }) => board === use.board && offcut.length === use.offcut.length)).toBe(false);
});

test('a kept board that is cut is a wish no more: what is left of it serves others, as of any that is cut', () => {
  const job = jobOf('pedestal');
  const board = sure(
    plan(job).buying.boards.find(({ state, offcuts }) => state === 'to buy' && offcuts.length > 0),
    'board with an offcut',
  );
  const kept = { ...job, locks: [lockOf(board, 'k')] };
  const done = cut(kept, board);
  const after = holds(done);
  expect(after.buying.lostLocks).toEqual([]);
  expect(after.buying.boards.some(({ kept: by }) => by !== null)).toBe(false);
  expect(after.buying.wish).toBe(0);
});
