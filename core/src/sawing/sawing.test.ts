import fc from 'fast-check';
import { inches, type Length } from '../length';
import { applyChanges, DEFAULT_SHOP, newJob, type Job, set } from '../job';
import { planWork, type WorkPlan } from '../plan';
import { demoJob, newPiece } from '../piece';
import { plain } from '../words';
import { breakDown } from './breakdown';
import { LONGEST_RIP, PAST } from './arrange';
import { tapeMarks } from './marks';
import { passesOf } from './passes';
import { sawingOf } from './setups';
import { planned } from '../testing/planning';
import { runs } from '../testing/runs';

const TODAY = '2026-11-24';
const planOf = (job: Job): WorkPlan => planWork(job, { today: TODAY, effort: 'quick' });
const demo = demoJob();
const plan = planned(demo, TODAY);

/** A length of wood on the bench, and the pieces that are still in it. */
type Wood = { from: Length; to: Length };

/**
 * Saws every lane in the order of the settings, without the planner's help: what is cut off and ripped when. Says what
 * goes wrong; nothing, where all pieces come out.
 */
function sawn(
  { buying, cuts, setups }: Pick<WorkPlan, 'buying' | 'cuts' | 'setups'>,
  longestRip: Length,
): readonly string[] {
  const wrong: string[] = [];
  const woods = new Map<number, Wood[]>(buying.boards.map((board) => [board.number, [{ from: 0, to: board.length }]]));
  const ripped = new Set<unknown>();
  const freed = new Set<unknown>();
  for (const setup of setups) {
    if (setup.kind === 'guide') continue;
    for (const number of setup.kind === 'fence' ? [] : setup.cuts) {
      const { piece, board } = cuts[number - 1]!;
      if (!piece) continue;
      const end = piece.x + piece.length + (setup.kind === 'marks' ? setup.setting : 0);
      const wood = woods.get(board)!.find(({ from, to }) => from <= end && end <= to + PAST)!;
      const inside = buying.boards
        .find((one) => one.number === board)!
        .pieces.filter(({ x, length }) => x >= wood.from && x + length <= wood.to && x < piece.x && !freed.has(x));
      if (inside.some(({ x, length }) => x + length > end)) wrong.push(`cut ${number} runs through a piece`);
      if (setup.kind === 'stop' && inside.some((other) => !freed.has(other)))
        wrong.push(`cut ${number}: what lies before it is not off yet`);
      if (setup.kind === 'stop' || setup.setting === 0) freed.add(piece);
      const [before, after] = [
        { from: wood.from, to: end },
        { from: end, to: wood.to },
      ];
      woods.set(board, [...woods.get(board)!.filter((one) => one !== wood), before, after]);
    }
    if (setup.kind !== 'fence') continue;
    for (const piece of setup.pieces) {
      if (ripped.has(piece)) wrong.push('a piece is ripped twice');
      ripped.add(piece);
      const board = buying.boards.find((one) => one.pieces.includes(piece))!;
      const wood = woods.get(board.number)!.find(({ from, to }) => from <= piece.x && piece.x + piece.length <= to)!;
      const beside = board.pieces.filter(({ x, length }) => x >= wood.from && x + length <= wood.to);
      if (beside.some(({ blank }) => blank.rip?.to !== piece.blank.rip!.to))
        wrong.push('ripped with an unlike neighbour');
      const [first, last] = [beside[0]!, beside.at(-1)!];
      if (beside.length > 1 && last.x + last.length - first.x > longestRip) wrong.push('a stick too long for the saw');
    }
  }
  for (const { pieces, offer } of buying.boards)
    for (const piece of pieces)
      if (!('sheet' in offer) && piece.blank.rip && piece.blank.part.plies === 1 && !ripped.has(piece))
        wrong.push(`${piece.blank.part.id} is not ripped`);
  return wrong;
}

/** Widths and lengths of loose parts, so that boards hold pieces with and without rips, tight and roomy. */
const looseJob = fc
  .array(
    fc.record({
      length: fc.integer({ min: 12, max: 160 }),
      width: fc.constantFrom(3, 4, 4.5, 5.5),
      count: fc.integer({ min: 1, max: 4 }),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((rows): Job => {
    const job = newJob('loose');
    const piece = newPiece('only', 'top');
    return {
      ...job,
      pieces: [
        {
          ...piece,
          topChoices: { ...piece.topChoices, width: '6' },
          loose: rows.map(({ length, width, count }, at) => ({
            tag: `Q${at}`,
            name: 'slat',
            material: '2x6' as const,
            length: inches(length / 2),
            width: inches(width),
            count,
          })),
        },
      ],
    };
  });

test('the settings can be followed in their order on every board; unlike rips are parted first', () => {
  expect(sawn(plan, LONGEST_RIP)).toEqual([]);
  fc.assert(
    fc.property(looseJob, (job) => {
      expect(sawn(planOf(job), LONGEST_RIP)).toEqual([]);
    }),
    runs(60),
  );
});

test('pieces keep their kerf and stay on the board; what is left is what is drawn', () => {
  fc.assert(
    fc.property(looseJob, (job) => {
      const { kerf } = job.shop;
      for (const { pieces, length, offcuts, cuts, offer } of planOf(job).buying.boards) {
        if ('sheet' in offer) continue;
        const rows = [...pieces, ...offcuts].sort((a, b) => a.x - b.x);
        rows.forEach((row, at) => {
          const next = rows[at + 1];
          expect(row.x + row.length + (next ? kerf : 0)).toBeLessThanOrEqual(next?.x ?? length);
        });
        for (const { x, length: long } of pieces)
          expect(cuts.some(({ at }) => at === x + long) || x + long === length).toBe(true);
      }
    }),
    runs(40),
  );
});

test('cuts are numbered through, board by board; on a lane left to right', () => {
  expect(plan.cuts.map((cut) => cut.number)).toEqual(plan.cuts.map((_, at) => at + 1));
  plan.cuts.slice(1).forEach((cut, at) => {
    const before = plan.cuts[at]!;
    expect(cut.board).toBeGreaterThanOrEqual(before.board);
    if (cut.board === before.board && cut.piece) expect(cut.at).toBeGreaterThan(before.at);
  });
});

test('every piece of a lane is cut clean once; every ripped one goes along exactly one fence', () => {
  const clean = plan.setups.filter(({ kind, setting }) => kind === 'stop' || (kind === 'marks' && setting === 0));
  const numbers = plan.cuts.filter((cut) => cut.piece !== null).map((cut) => cut.number);
  const begun = plan.cuts.filter(({ begins }) => begins).map(({ number }) => number);
  expect(clean.flatMap((setup) => setup.cuts).sort((a, b) => a - b)).toEqual(
    [...numbers, ...begun].sort((a, b) => a - b),
  );
  const ripped = plan.buying.boards.flatMap(({ pieces }) => pieces).filter(({ blank }) => blank.rip !== null);
  const fences = plan.setups.filter((setup) => setup.kind === 'fence');
  expect(fences.reduce((sum, setup) => sum + setup.pieces.length, 0)).toBe(ripped.length);
  expect(new Set(plan.setups.map((setup) => setup.id)).size).toBe(plan.setups.length);
});

test('worked by hand: three slats ripped alike go through as one stick, parted from a wide piece by a rough cut', () => {
  const job = {
    ...newJob('loose'),
    pieces: [
      {
        ...demo.pieces[0]!,
        id: 'only',
        copies: 1,
        loose: [
          { tag: 'Q1', name: 'slat', material: '1x6' as const, length: inches(20), width: inches(4), count: 3 },
          { tag: 'Q2', name: 'end', material: '1x6' as const, length: inches(25), width: inches(5.5), count: 1 },
        ],
      },
    ],
  };
  const found = planOf(job);
  const mine = found.buying.boards.find(({ material, pieces }) => material === '1x6' && pieces.length === 4)!;
  // Squared by 1/2; 20, 20, 20 with 1/8 kerfs; then 1/4 past the line and a kerf; then 25.
  const from = DEFAULT_SHOP.squareEnds;
  const kerf = DEFAULT_SHOP.kerf;
  expect(mine.pieces.map(({ x }) => x)).toEqual([
    from,
    from + inches(20) + kerf,
    from + 2 * (inches(20) + kerf),
    from + 3 * (inches(20) + kerf) + PAST,
  ]);
  const numbers = found.cuts.filter(({ board }) => board === mine.number).map(({ number }) => number);
  const rough = found.setups.find(({ id }) => id === 'marks:past')!;
  expect(rough.cuts).toContain(numbers[2]);
  const fence = found.setups.find(
    ({ kind, setting, boards }) => kind === 'fence' && setting === inches(4) && boards.includes(mine.number),
  )!;
  expect(fence.count).toBe(1);
  const [marking] = tapeMarks(
    mine,
    found.cuts.filter(({ board }) => board === mine.number),
  );
  expect(marking!.square).toBe(from);
  expect(marking!.marks.map(({ hooked }) => hooked)).toEqual([
    inches(20),
    inches(40) + kerf,
    inches(60) + 2 * kerf,
    inches(85) + 3 * kerf + PAST,
  ]);
  expect(marking!.marks.map(({ step }) => step)).toEqual([20, 20, 20, 25].map(inches));
});

test('legs from narrow stock are ganged where there is a mitre saw, wide boards less, by hand not at all', () => {
  const legs = plan.setups.find(({ kind, parts }) => kind === 'stop' && parts.some((part) => part.role === 'leg'))!;
  expect(legs.gang).toBeGreaterThanOrEqual(2);
  for (const setup of plan.setups) expect(setup.gang).toBeLessThanOrEqual(Math.max(1, setup.count));
  const byHand = planOf(applyChanges(demo, [set(null, ['shop', 'tools'], ['hand saw', 'drill'])]));
  for (const setup of byHand.setups) {
    expect(setup.gang).toBe(1);
    if (setup.kind === 'stop') expect(setup.tool).toBe('hand saw');
    if (setup.kind === 'fence' || setup.kind === 'guide') expect(setup.tool).toBeNull();
  }
});

test('a table saw alone rips under two inches with a push stick; short pieces are named', () => {
  const job = applyChanges(demo, [
    set(null, ['shop', 'tools'], ['table saw', 'mitre saw', 'drill']),
    set(
      demo.pieces[0]!.id,
      ['loose'],
      [
        { tag: 'Q1', name: 'strip', material: '1x4', length: inches(30), width: inches(1), count: 2 },
        { tag: 'Q2', name: 'plug', material: '1x4', length: inches(4), width: inches(3.5), count: 1 },
      ],
    ),
  ]);
  const said = planOf(job).setups.flatMap(({ cautions }) => cautions.map((caution) => plain(caution, 'in')));
  expect(said.some((text) => text.includes('push stick'))).toBe(true);
  expect(said.some((text) => text.includes('Q2') && text.includes('clamp block'))).toBe(true);
});

test('passes: every cut of a setting once, no board twice beside itself, ids that differ', () => {
  const ids = plan.setups.flatMap((setup) => {
    const passes = passesOf(setup, plan.cuts);
    expect(passes.flatMap(({ cuts }) => cuts).sort((a, b) => a - b)).toEqual([...setup.cuts].sort((a, b) => a - b));
    for (const { boards } of passes) {
      expect(new Set(boards).size).toBe(boards.length);
      expect(boards.length).toBeLessThanOrEqual(setup.gang);
    }
    return passes.map(({ id }) => id);
  });
  expect(new Set(ids).size).toBe(ids.length);
  expect(Math.max(...ids.map((id) => id.length))).toBeLessThanOrEqual(120);
});

test('slanted ends: a cut that begins a piece is numbered and made with it; where slants meet one cut serves both', () => {
  const strut = {
    tag: 'Q1',
    name: 'strut',
    material: '2x4' as const,
    length: inches(20),
    width: inches(3.5),
    count: 1,
  };
  const job = { ...newJob('x'), pieces: [{ ...demo.pieces[0]!, id: 'only', copies: 1, loose: [strut] }] };
  const found = planOf(job);
  const board = found.buying.boards.find(({ pieces }) => pieces.some(({ blank }) => blank.part.tag === 'Q1'))!;
  const [plain] = board.pieces.filter(({ blank }) => blank.part.tag === 'Q1');
  const ends = { left: 45, right: -45 };
  const slanted = (x: Length, slants: typeof ends) => ({ ...plain!, blank: { ...plain!.blank, ends }, x, slants });
  const reach = inches(3.5);
  const second = slanted(inches(17), { left: -45, right: 45 });
  const first = slanted(0, ends);
  const slant = (at: Length, angle: number) => ({ kind: 'crosscut' as const, at, from: 0, to: reach, angle });
  const { cuts, setups } = sawingOf(
    [
      {
        ...board,
        number: 1,
        pieces: [first, second],
        cuts: [slant(0, 45), slant(inches(20), -45), slant(inches(37) - reach, 45)],
      },
    ],
    job.shop,
  );
  expect(cuts.map(({ piece, begins }) => [piece?.x ?? null, begins?.x ?? null])).toEqual([
    [null, 0],
    [0, null],
    [inches(17), null],
  ]);
  expect(setups).toHaveLength(1);
  expect(setups[0]).toMatchObject({ cuts: [1, 2, 3], count: 3, gang: 1 });
});

describe('a sheet broken down', () => {
  const crosscut = (at: number, from: number, to: number) => ({ kind: 'crosscut' as const, at, from, to, angle: 0 });
  const rip = (at: number, from: number, to: number) => ({ kind: 'rip' as const, at, from, to, angle: 0 });
  const sheet = { length: 9600, width: 4800, pieces: [] };

  test('is halved first while it is heavy, then cut from the largest piece on, equal settings together', () => {
    const cuts = [crosscut(2000, 0, 4800), crosscut(4100, 0, 4800), crosscut(6200, 0, 4800), rip(2000, 6300, 9600)];
    const order = breakDown({ ...sheet, cuts }, 100, 0.5);
    // The middle first; 4100 to 6200 and 2000 are the same setting from a fresh edge: 2000.
    expect(order[0]).toMatchObject({ kind: 'crosscut', at: 4100, setting: 4100, reference: 'factory' });
    expect(order.slice(1).map(({ kind, setting }) => `${kind} ${setting}`)).toEqual([
      'crosscut 2000',
      'crosscut 2000',
      'rip 2000',
    ]);
    const again = breakDown({ ...sheet, cuts }, 100, 1);
    expect(again).toHaveLength(4);
    expect(Math.max(...again.map(({ share }) => share))).toBeLessThan(1);
  });

  test('every cut of every sheet of the demo comes once, each through a piece that is there', () => {
    for (const board of plan.buying.boards.filter(({ offer }) => 'sheet' in offer)) {
      const own = plan.cuts.filter(({ board: number }) => number === board.number);
      expect(own.map(({ kind, at, from }) => `${kind} ${at} ${from}`).sort()).toEqual(
        board.cuts.map(({ kind, at, from }) => `${kind} ${at} ${from}`).sort(),
      );
      for (const { setting } of own) expect(setting!.setting).toBeGreaterThan(0);
    }
  });
});
