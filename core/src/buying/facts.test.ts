import fc from 'fast-check';
import { first, held, sure } from '../lists';
import { inches } from '../length';
import { applyChanges, newJob, type Job, type Lock } from '../job';
import { blanksOf } from '../milling';
import { planJob, type Plan } from '../plan';
import { newPiece, STARTS } from '../piece';
import { runs } from '../testing/runs';
import { lockOf } from './index';

const plan = (job: Job): Plan => planJob(job, { today: '2026-11-24', effort: 'quick' });
const jobOf = (start: string): Job => ({ ...newJob('facts'), spares: 'none', pieces: [newPiece('p', start)] });
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
const priceOf = (before: Plan, { from }: Lock): number =>
  before.buying.boards.find(({ offer }) => offer.id === from)?.offer.price ?? 0;

/** What must hold of a plan after boards of an earlier one were bought or cut. */
function holds(before: Plan, job: Job): Plan {
  const after = plan(job);
  expect(placed(after)).toEqual(wanted(job, after));
  const byId = new Map(job.locks.map((lock) => [lock.id, lock]));
  for (const { lock, pieces, material } of after.buying.boards) {
    if (lock?.state !== 'cut') continue;
    for (const { blank, x, y, length, width, turned } of pieces) {
      // A piece that is cut lies where it was cut, and its part can be made of it.
      expect(held(byId, lock.id).pieces.some((one) => one.x === x && one.y === y && one.length === length)).toBe(true);
      expect(blank.material).toBe(material);
      expect(blank.length).toBeLessThanOrEqual(turned ? width : length);
      expect(blank.width).toBeLessThanOrEqual(turned ? length : width);
    }
  }
  // Every piece that is cut is a part, or is named as none; every board that is bought is used, or named as idle.
  const isUnfit = new Map(after.buying.unfit.map(({ lock, pieces }) => [lock.id, pieces.length]));
  for (const lock of job.locks) {
    const used = after.buying.boards.find((board) => board.lock?.id === lock.id);
    if (lock.state === 'cut') expect((used?.pieces.length ?? 0) + (isUnfit.get(lock.id) ?? 0)).toBe(lock.pieces.length);
    expect(used !== undefined || after.buying.idle.some((own) => own.lock.id === lock.id)).toBe(true);
  }
  const paid = job.locks.reduce((sum, lock) => sum + priceOf(before, lock), 0);
  expect(after.buying.cost).toBeGreaterThanOrEqual(paid);
  const lines = after.list.boards.reduce((sum, { count, offer }) => sum + count * offer.price, 0);
  expect(lines).toBe(after.buying.cost);
  return after;
}

test.each(['coffee', 'bench', 'standing', 'hairpin', 'dining'])(
  '%s: one board is cut; the cheapest top is still the one it was cut for, and no narrower piece stands for a wider',
  (start) => {
    const job = jobOf(start);
    const before = plan(job);
    const board = sure(
      before.buying.boards.find(({ pieces }) => pieces.some(({ blank }) => blank.part.role === 'top')),
      'board with a piece of the top',
    );
    const after = holds(before, { ...job, locks: [lockOf(board, 'a', 'cut')] });
    expect(after.buying.unfit).toEqual([]);
    expect(after.pieces.map(({ topNominal }) => topNominal)).toEqual(before.pieces.map(({ topNominal }) => topNominal));
    expect(after.buying.cost).toBe(before.buying.cost);
  },
);

test('a case made two inches deeper: what is cut too narrow is no part, is named, and can be used as wood', () => {
  const job = jobOf('shelf-unit');
  const before = plan(job);
  const board = first(before.buying.boards);
  const locks = [lockOf(board, 'a', 'cut')];
  const longer = sized({ ...job, locks }, 'height', 20);
  const after = holds(before, longer);
  const note = sure(
    after.findings.find(({ id }) => id === 'job.cut-unfit'),
    'note on what is cut',
  );
  expect(note.about.length).toBeGreaterThan(0);
  const taken = applyChanges(longer, first(note.remedies).changes);
  expect(taken.onHand.length).toBe(after.buying.unfit.flatMap(({ pieces }) => pieces).length);
  const then = plan(taken);
  expect(then.findings.some(({ id }) => id === 'job.cut-unfit')).toBe(false);
  expect(placed(then)).toEqual(wanted(taken, then));
  // The board stays paid though nothing of it is a part any more.
  expect(then.buying.cost).toBeGreaterThanOrEqual(board.offer.price);
});

test('oak wanted where pine is cut: the pine stands for nothing', () => {
  const job = jobOf('coffee');
  const before = plan(job);
  const oak = { ...job, pieces: job.pieces.map((piece) => ({ ...piece, wood: 'oak' as const })) };
  const after = holds(before, { ...oak, locks: [lockOf(first(before.buying.boards), 'a', 'cut')] });
  expect(after.buying.unfit.flatMap(({ pieces }) => pieces)).toHaveLength(first(before.buying.boards).pieces.length);
  expect(after.buying.boards.some(({ lock }) => lock !== null)).toBe(false);
});

test('all is bought, then the piece gets smaller: nothing is bought besides, what lies idle is named and stays paid', () => {
  const job = jobOf('shelf-unit');
  const before = plan(job);
  const locks = before.buying.boards.map((board, at) => lockOf(board, `b${at}`, 'bought'));
  const after = holds(before, sized({ ...job, locks }, 'height', -12));
  expect(after.buying.cost).toBe(before.buying.cost);
  expect(after.buying.boards.every(({ lock }) => lock?.state === 'bought')).toBe(true);
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
  expect(driven(holds(before, { ...job, locks: [lockOf(first(long), 'a', 'cut')] }))).toBe(long.length - 1);
});

test('what is cut longer or wider than it must be now is trimmed, and the note says from what to what', () => {
  const job = jobOf('shelf-unit');
  const before = plan(job);
  const locks = [lockOf(first(before.buying.boards), 'a', 'cut')];
  const after = holds(before, sized({ ...job, locks }, 'height', -6));
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
        const locks = [...marked].flatMap(([at, state]) =>
          boards.slice(at, at + 1).map((b) => lockOf(b, `l${at}`, state)),
        );
        holds(before, sized({ ...job, locks }, side, by));
      },
    ),
    runs(40, 2027),
  );
});
