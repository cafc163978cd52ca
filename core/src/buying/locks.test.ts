import { inches } from '../length';
import { newJob, type Job, type Lock } from '../job';
import { demoJob } from '../piece';
import { found, newStamp, told } from '../testing/telling';
import { planning } from '../testing/planning';
import { cutAs, lockOf, spoiledAs, withPiece, type Board } from './index';

const stamp = newStamp();

const plan = planning('2026-11-24');
/** Loose 2x4s on a piece that has no 2x4 of its own but these. */
const base: Job = {
  ...newJob('locks'),
  spares: 'none',
  pieces: [
    {
      ...demoJob().pieces[0]!,
      id: 'only',
      copies: 1,
      loose: [
        { tag: 'Q1', name: 'long', material: 'select 1x4', length: inches(60), width: inches(3.5), count: 2 },
        { tag: 'Q2', name: 'short', material: 'select 1x4', length: inches(30), width: inches(3.5), count: 4 },
      ],
    },
  ],
};
const mine = (job: Job): readonly Board[] =>
  plan(job).buying.boards.filter(({ material }) => material === 'select 1x4');
const locked = (locks: readonly Lock[]): Job => ({ ...base, locks });
const tags = (board: Board) => board.pieces.map(({ blank }) => blank.part.tag).sort();
const everyPiece = (boards: readonly Board[]) => boards.flatMap(tags).sort();
const ALL = ['Q1', 'Q1', 'Q2', 'Q2', 'Q2', 'Q2'];

test('a board that is kept stays as it is, whatever else changes; the rest is planned around it', () => {
  const [first] = mine(base);
  const job = locked([lockOf(first!, 'a')]);
  const again = mine(job);
  expect(everyPiece(again)).toEqual(ALL);
  const kept = again.find(({ kept: by }) => by === 'a')!;
  expect(tags(kept)).toEqual(tags(first!));
  expect(kept.offer.id).toBe(first!.offer.id);
  expect(plan(job).buying.wish).toBe(0);
});

test('worked by hand: a short piece brought to a board of its own costs what the plan then costs more', () => {
  // 60s and 30s of 1x4 select in 4, 6 and 8 ft at 7.36, 11.04 and 14.72, half an inch off each end: two 8s of 60 + 30
  // and a 6 of
  // 30 + 30 hold all for 40.48. A 30 alone on a 6 leaves a 60 + 30, a 60 + 30 and a 30: an 8, an 8 and a 4.
  const before = plan(base).buying;
  expect(
    mine(base)
      .map(({ offer }) => offer.length / inches(12))
      .sort(),
  ).toEqual([6, 8, 8]);
  const six = mine(base).find(({ offer }) => offer.length === inches(72))!;
  const alone = lockOf({ ...six, pieces: [six.pieces[0]!] }, 'a');
  const after = plan(locked([alone])).buying;
  expect(after.wish).toBe(736);
  expect(after.cost - before.cost).toBe(736);
  expect(plan(locked([alone])).findings.find(({ id }) => id === 'job.wish')!.numbers).toEqual({ cents: 736 });
});

test('a piece dragged to another board lies there; what it pushes off is cut elsewhere', () => {
  const boards = mine(base);
  const six = boards.find(({ offer }) => offer.length === inches(72))!;
  const eight = boards.find(({ offer }) => offer.length === inches(96))!;
  const long = eight.pieces.find(({ blank }) => blank.part.tag === 'Q1')!;
  const brought = withPiece(six, long, base, 'a');
  if (!('lock' in brought)) throw new Error('refused');
  // 60 of 71 leave no room for a 30.
  expect(brought.lock.pieces.map(({ part }) => part)).toEqual(['only.Q1']);
  const after = mine(locked([brought.lock]));
  expect(everyPiece(after)).toEqual(ALL);
  expect(tags(after.find(({ kept }) => kept !== null)!)).toEqual(['Q1']);
  const four = { ...six, length: inches(48) };
  expect(withPiece(four, long, base, 'a')).toEqual({ refused: 'too long' });
  expect(withPiece(eight, long, base, 'a')).toEqual({ refused: 'already there' });
  expect(withPiece({ ...six, material: '2x4' }, long, base, 'a')).toEqual({ refused: 'another material' });
});

test('a spoiled board is paid for and its pieces are cut again', () => {
  const [first] = mine(base);
  const before = plan(base);
  const after = plan(told(base, spoiledAs(base, first!, stamp)));
  expect(everyPiece(after.buying.boards.filter(({ material }) => material === 'select 1x4'))).toEqual(ALL);
  expect(after.buying.cost).toBe(before.buying.cost + first!.offer.price);
  const line = after.list.boards.find(({ offer }) => offer.id === first!.offer.id)!;
  expect(line.lost).toBe(1);
  expect(after.list.subtotal).toBe(before.list.subtotal + first!.offer.price);
});

test('what is cut stays though the plan has another size; what is only kept does not', () => {
  const [first] = mine(base);
  const shorter = (job: Job): Job => ({
    ...job,
    pieces: job.pieces.map((piece) => ({
      ...piece,
      loose: piece.loose.map((row) => (row.tag === 'Q1' ? { ...row, length: inches(59) } : row)),
    })),
  });
  const has = first!.pieces.some(({ blank }) => blank.part.tag === 'Q1');
  expect(has).toBe(true);
  const kept = plan(shorter(locked([lockOf(first!, 'a')])));
  expect(kept.buying.lostLocks.map(({ id }) => id)).toEqual(['a']);
  expect(kept.findings.some(({ id }) => id === 'job.lost-locks')).toBe(true);
  const cut = plan(shorter(told(base, cutAs(base, first!, null, stamp))));
  expect(cut.buying.lostLocks).toEqual([]);
  expect(cut.findings.find(({ id }) => id === 'job.cut-otherwise')!.about).toEqual(['only.Q1']);
});

test('more of a piece than is wanted: the later lock is let go', () => {
  const boards = mine(base).filter(({ pieces }) => pieces.some(({ blank }) => blank.part.tag === 'Q1'));
  const locks = ['a', 'b', 'c'].map((id) => lockOf(boards[0]!, id));
  const found = plan(locked(locks)).buying;
  expect(found.lostLocks).toHaveLength(1);
  expect(everyPiece(found.boards.filter(({ material }) => material === 'select 1x4'))).toEqual(ALL);
});

test('pieces on hand are used up by the locks on them', () => {
  const hand = {
    id: 'h1',
    material: 'select 1x4' as const,
    length: inches(40),
    width: inches(3.5),
    count: 1,
    squared: true,
    bad: [],
    where: '',
    note: '',
  };
  const job = found(base, [hand]);
  const own = mine(job).find((board) => board.hand?.id === 'h1')!;
  const after = mine(told(job, cutAs(job, own, null, stamp)));
  expect(after.filter((board) => board.hand?.id === 'h1')).toHaveLength(1);
  expect(everyPiece(after)).toEqual(ALL);
});

describe('boards chosen for something else than their price', () => {
  const aimed = (aim: Job['aim']) => plan({ ...base, aim });
  const cheapest = plan(base).buying;

  test('fewest boards: no more than the cheapest buys, never dearer than allowed, told beside it', () => {
    const { buying, findings } = aimed({ for: 'boards', extra: null });
    const bought = (boards: readonly Board[]) => boards.filter(({ hand }) => hand === null).length;
    expect(bought(buying.boards)).toBe(buying.aim!.value);
    expect(bought(buying.boards)).toBeLessThanOrEqual(bought(cheapest.boards));
    expect(buying.aim!.cheapest).toEqual({ cost: cheapest.cost, value: bought(cheapest.boards) });
    expect(everyPiece(buying.boards)).toEqual(everyPiece(cheapest.boards));
    expect(findings.some(({ id }) => id === 'job.aim')).toBe(true);
    for (const extra of [0, 200, 800]) {
      const some = aimed({ for: 'boards', extra }).buying;
      expect(some.cost - cheapest.cost).toBeLessThanOrEqual(extra);
      expect(some.aim!.value).toBeGreaterThanOrEqual(buying.aim!.value);
    }
  });

  test('least left over and fewest settings measure no more than the cheapest does', () => {
    for (const aim of ['waste', 'setups'] as const) {
      const { buying } = aimed({ for: aim, extra: 500 });
      expect(buying.aim!.value).toBeLessThanOrEqual(buying.aim!.cheapest.value);
      expect(buying.aim!.value).toBeGreaterThanOrEqual(buying.aim!.atLeast);
      expect(buying.cost - cheapest.cost).toBeLessThanOrEqual(500);
      expect(everyPiece(buying.boards)).toEqual(everyPiece(cheapest.boards));
    }
  });
});

test('a kept board that turns out bad where a piece lies can not be kept so', () => {
  const row = { id: 'h2', material: 'select 1x4' as const, length: inches(70), width: inches(3.5), count: 1 };
  const hand = { ...row, squared: true, bad: [], where: '', note: '' };
  const job = found(base, [hand]);
  const own = mine(job).find((board) => board.hand?.id === 'h2')!;
  const kept = { ...job, locks: [lockOf(own, 'a')] };
  expect(plan(kept).buying.lostLocks).toEqual([]);
  const bad = [{ from: own.pieces[0]!.x, to: own.pieces[0]!.x + inches(1) }];
  const after = plan(found({ ...base, locks: kept.locks }, [{ ...hand, bad }])).buying;
  expect(after.lostLocks.map(({ id }) => id)).toEqual(['a']);
  for (const { hand: on, pieces } of after.boards)
    for (const { x, length } of pieces)
      expect((on?.bad ?? []).every(({ from, to }) => x >= to || x + length <= from)).toBe(true);
});
