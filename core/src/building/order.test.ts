import fc from 'fast-check';
import { inches } from '../length';
import { clampCount, DEFAULT_SHOP, newJob, type Piece, type Shop } from '../job';
import { fastenings, WAYS_FOR, type Fastening } from '../joinery';
import { buildPiece, newPiece, pieceFrom, refusal, STARTS, topCandidates } from '../piece';
import { KINDS } from '../testing/jobs';
import { mended, piecesOf } from '../testing/pieces';
import { plain } from '../words';
import { faultsOfOrder, rackOf, stepsOf, type Step } from './index';
import { runs, someOf } from '../testing/runs';

const made = (piece: Piece, shop = DEFAULT_SHOP) => {
  const model = buildPiece(piece, topCandidates(piece)[0]!, shop, 'in');
  const joints = fastenings(model.joints, model.parts, 'in', piece, shop);
  return { model, joints, steps: stepsOf(piece, model, joints, { ...newJob('j'), shop }) };
};
const faults = (piece: Piece, change: (steps: readonly Step[]) => readonly Step[]) => {
  const { model, joints, steps } = made(piece);
  return faultsOfOrder(change(steps), model.parts, joints, DEFAULT_SHOP).map(({ why }) => why);
};

/** What is wrong with fasteners as they lie, from their numbers alone. */
const strays = (joints: readonly Fastening[]) =>
  joints.flatMap(({ joint, by, shanks, troubles }) =>
    troubles.length > 0
      ? [`${joint.id} ${by}: ${troubles.join()}`]
      : shanks.flatMap(({ bite, left, held }) => [
          ...(held ? [] : [`${joint.id} ${by}: wood is cut away`]),
          ...(bite >= inches(1 / 4) - 1 ? [] : [`${joint.id} ${by}: bites ${bite / inches(1)}`]),
          ...(left >= 0 || by === 'bolts' ? [] : [`${joint.id} ${by}: comes out by ${-left / inches(1)}`]),
        ]),
  );

/** Operations by a name that another has: ticked off, the other would be done too. */
const toldTwice = (steps: readonly Step[]): readonly string[] => {
  const ids = steps.flatMap(({ operations }) => operations.map(({ id }) => id));
  return ids.filter((id, at) => ids.indexOf(id) < at);
};

/** Things that a sentence asks for beside parts, screws and saws, as it says so and as they are picked up. */
const ASKED: readonly (readonly [RegExp, string])[] = [
  ...['round file', 'hacksaw', 'knife', 'straightedge', 'strap', 'mallet', 'chisel', 'magnet'].map(
    (thing) => [new RegExp(`\\b${thing}s?\\b`), thing] as const,
  ),
  [/\d spacers|spacer \d/, 'spacer'],
  [/along a guide|Clamp a guide/, 'guide'],
  [/Scrape off/, 'scraper'],
  [/^Square one end/, 'square'],
  [/plane (it|to)/i, 'plane'],
  [/centring bit/, 'centring bit'],
  [/block held behind/, 'block'],
  [/^Tape the front on/, 'tape'],
  [/clamps each/, 'clamps'],
  [/: (half lap|notch|tenon|mortise)/, 'chisel'],
  [/take the short bit/, 'short '],
  [/, countersunk/, 'countersink'],
  [/with the router, .* long, .* wide, /, 'router bit'],
  [/take the right-angle head/, 'right-angle head'],
  // A head so far down is out of reach of a common bit.
  [/heads (.* )?[2-9]( \d+\/\d+)?(,? .*)? below the surface/, 'long '],
];
const notAtHand = (steps: readonly Step[]): readonly string[] =>
  steps.flatMap((step) => {
    const up = plain(step.pickUp, 'in');
    return step.actions.flatMap(({ text }) =>
      ASKED.filter(([asked, thing]) => asked.test(plain(text, 'in')) && !up.includes(thing)).map(
        ([, thing]) => `${plain(step.title, 'in')}: ${thing}`,
      ),
    );
  });

describe('every start of the gallery', () => {
  test.each(STARTS.map((start) => [start.id, start] as const))(
    '%s goes together, every fastener in its wood, all that is asked for at hand',
    (_, start) => {
      const { model, joints, steps } = made(pieceFrom(start, 'p'));
      expect(strays(joints)).toEqual([]);
      expect(faultsOfOrder(steps, model.parts, joints, DEFAULT_SHOP)).toEqual([]);
      expect(notAtHand(steps)).toEqual([]);
    },
  );
});

describe('every family with every top, random sizes and choices, top or base first', () => {
  test.each(someOf(KINDS, 3))('%s', (_, family, top) => {
    fc.assert(
      fc.property(piecesOf(family, top, 'in'), fc.constantFrom('top' as const, 'base' as const), (wish, first) => {
        if (top && refusal(wish, family, top)) return;
        const piece = { ...mended(wish, 'in').piece, first };
        const { model, joints, steps } = made(piece);
        if (model.parts.length === 0) return;
        // Where no way to fasten works the joint says so, and so may the order; in all others it must be right.
        const troubled = joints.filter(({ troubles }) => troubles.length > 0);
        const found = faultsOfOrder(steps, model.parts, joints, DEFAULT_SHOP).filter(
          ({ why }) => troubled.length === 0 || !why.endsWith('no room for a driver'),
        );
        expect(found).toEqual([]);
        expect(strays(joints.filter((item) => !troubled.includes(item)))).toEqual([]);
        for (const step of steps) expect(step.clamps).toBeLessThanOrEqual(clampCount(DEFAULT_SHOP));
        expect(toldTwice(steps)).toEqual([]);
        expect(notAtHand(steps)).toEqual([]);
      }),
      runs(1, 12),
    );
  });
});

/** Ways to join as a person might choose them, by kind for all alike. */
const joins: fc.Arbitrary<Piece['joins']> = fc
  .record(
    Object.fromEntries(
      Object.entries(WAYS_FOR)
        .filter(([, ways]) => ways.length > 0)
        .map(([kind, ways]) => [kind, fc.record({ by: fc.constantFrom(...ways), flip: fc.boolean() })]),
    ),
    { requiredKeys: [] },
  )
  .map((record) => record as Piece['joins']);

const shops: fc.Arbitrary<Shop> = fc
  .record({
    door: fc.integer({ min: 14, max: 44 }),
    lift: fc.integer({ min: 20, max: 120 }),
    few: fc.boolean(),
    drivers: fc.constantFrom<Shop['drivers'][number][]>(['long bit'], ['long bit', 'short bit'], ['right-angle head']),
    turn: fc.option(fc.record({ before: fc.integer({ min: 24, max: 44 }), after: fc.integer({ min: 24, max: 44 }) })),
  })
  .map(({ door, lift, few, drivers, turn }) => ({
    ...DEFAULT_SHOP,
    door: inches(door),
    lift,
    drivers,
    turn: turn && { before: inches(turn.before), after: inches(turn.after) },
    clamps: few ? [{ length: inches(50), count: 2 }] : DEFAULT_SHOP.clamps,
  }));

describe('whatever way a person joins, with whatever drivers, clamps and way out', () => {
  test.each(someOf(KINDS, 3, 1))(
    '%s: the order works, and where no driver has room the step says so',
    (_, family, top) => {
      fc.assert(
        fc.property(piecesOf(family, top, 'in'), joins, shops, fc.boolean(), (wish, said, shop, base) => {
          if (top && refusal(wish, family, top)) return;
          const piece: Piece = { ...mended(wish, 'in').piece, joins: said, first: base ? 'base' : 'top' };
          const { model, joints, steps } = made(piece, shop);
          if (model.parts.length === 0) return;
          const told = new Set(steps.flatMap(({ id, noRoom }) => noRoom.map((joint) => `${id} ${joint}`)));
          const kept = steps.map((step) => ({
            ...step,
            makes: step.makes.filter((id) => !told.has(`${step.id} ${id}`)),
          }));
          expect(toldTwice(steps)).toEqual([]);
          // Without the joints that the steps warn of, nothing is in any driver's way.
          const found = faultsOfOrder(steps, model.parts, joints, shop);
          expect(found.filter(({ why }) => !why.endsWith('no room for a driver'))).toEqual([]);
          const silent = faultsOfOrder(kept, model.parts, joints, shop);
          expect(silent.filter(({ why }) => why.endsWith('no room for a driver'))).toEqual([]);
        }),
        runs(1, 33),
      );
    },
  );
});

describe('a head beam of 4x4 covers its post', () => {
  const pedestal: Piece = {
    ...pieceFrom(
      STARTS.find(({ id }) => id === 'pedestal')!,
      'p',
    ),
    size: { length: inches(41), width: inches(41), height: inches(22.875) },
    choices: { post: 'three 2x4', beams: '4x4', braces: '4', fixing: 'clips' },
  };
  test('it is screwed to the post before the other is lapped over it', () => {
    const { model, joints, steps } = made(pedestal);
    expect(faultsOfOrder(steps, model.parts, joints, DEFAULT_SHOP)).toEqual([]);
    const step = (id: string) => steps.findIndex(({ makes }) => makes.includes(id));
    expect(step('p.K1>P1')).toBeLessThan(step('p.K2>K1'));
  });
  test('clips every ten inches or so; a board of the top that gets none is held by its neighbours', () => {
    const { joints, model } = made(pedestal);
    const clipped = new Set(joints.filter(({ by }) => by === 'clips').map(({ into }) => into.id));
    const loose = model.parts.filter(({ role, id }) => role === 'top' && !clipped.has(id));
    expect(clipped.size).toBeGreaterThanOrEqual(3);
    expect(loose.length).toBeGreaterThan(0);
    for (const { id } of loose)
      expect(
        joints.some(
          ({ joint, by }) => joint.kind === 'edge' && by !== 'nothing' && [joint.drilled, joint.into].includes(id),
        ),
      ).toBe(true);
  });
});

describe('an order that is wrong on purpose is refused, with the reason', () => {
  const table = newPiece('t', 'standing');
  const at = (steps: readonly Step[], name: string) => steps.findIndex(({ id }) => id === `t.${name}`);
  test('right as it is', () => expect(faults(table, (steps) => steps)).toEqual([]));

  test('a step left out: its joints are never made, and what needs them is not one yet', () => {
    const why = faults(table, (steps) => steps.filter(({ id }) => id !== 't.end-1'));
    expect(why).toContain('t.E1>L1 is made in no step');
    expect(why.some((text) => text.includes('as one') && text.includes('not so yet'))).toBe(true);
  });

  test('the same step twice', () => {
    const why = faults(table, (steps) => [...steps, steps[at(steps, 'end-1')]!]);
    expect(why).toContain('t.E1>L1 is made in 2 steps');
  });

  test('a rail put on after the leg it holds: nothing holds the leg', () => {
    const why = faults(table, (steps) =>
      steps.map((step) =>
        step.id === 't.end-1' ? { ...step, puts: [step.puts[0]!, step.puts[2]!, step.puts[1]!] } : step,
      ),
    );
    expect(why.some((text) => text.endsWith('where nothing holds it'))).toBe(true);
  });

  test('a way in that goes through the other leg, more clamps than there are', () => {
    const why = faults(table, (steps) =>
      steps.map((step) =>
        step.id === 't.end-1'
          ? {
              ...step,
              clamps: 99,
              puts: step.puts.map((put, k) => (k === 2 ? { ...put, way: [0, 1, 0] as const } : put)),
            }
          : step,
      ),
    );
    expect(why).toContain('asks for 99 clamps of 8');
    expect(why.some((text) => text.startsWith('the way in is blocked'))).toBe(true);
  });

  test('a notched shelf laid in last is refused: it goes in before the frames close', () => {
    const shelf: Piece = { ...table, choices: { ...table.choices, below: 'ply shelf' } };
    const { model, joints, steps } = made(shelf);
    expect(faultsOfOrder(steps, model.parts, joints, DEFAULT_SHOP)).toEqual([]);
    const order = steps.flatMap(({ puts }) => puts.flatMap(({ parts }) => parts));
    // The second end frame comes after the shelf.
    expect(order.lastIndexOf('t.L3')).toBeGreaterThan(order.indexOf('t.H1'));
    const words = steps.flatMap(({ actions }) => actions.map(({ text }) => plain(text, 'in')));
    expect(words.some((text) => text.includes('H1 must go in now') || text.includes('H1 can only come in'))).toBe(true);
  });

  test('screws that are driven when their driver has no room any more', () => {
    const { model, joints, steps } = made(table);
    const narrow = { ...DEFAULT_SHOP, drivers: ['long bit' as const] };
    const held = joints.map((item) => ({
      ...item,
      shanks: item.shanks.map((shank) => ({
        ...shank,
        from: [shank.from[0] + inches(3), shank.from[1], shank.from[2]] as const,
      })),
    }));
    const why = faultsOfOrder(steps, model.parts, held, narrow).map((fault) => fault.why);
    expect(why.some((text) => text.endsWith('no room for a driver'))).toBe(true);
  });
});

test('base first puts the frames before the top; top first the other way round', () => {
  const order = (first: Piece['first']) =>
    made({ ...newPiece('t', 'standing'), choices: { legs: '4x4' }, first }).steps.map(({ id }) => id);
  const before = (list: readonly string[], a: string, b: string) => list.indexOf(`t.${a}`) < list.indexOf(`t.${b}`);
  expect(before(order('base'), 'end-1', 'arrange-top')).toBe(true);
  expect(before(order('top'), 'arrange-top', 'end-1')).toBe(true);
});

test('joints that only clamps hold go up in sittings that the glue stays open for, dry first', () => {
  const piece: Piece = { ...newPiece('t', 'standing'), joins: { 'rail end': { by: 'dowels' } } };
  const { steps, joints } = made(piece);
  const glued = new Map(joints.map((item) => [item.joint.id, item.by]));
  for (const step of steps) {
    const clamped = step.makes.filter((id) => glued.get(id) === 'dowels').length;
    if (clamped < 2) continue;
    const said = step.actions.map(({ text }) => plain(text, 'in'));
    expect(step.clamps > 0 || said.some((text) => text.startsWith('No clamp of yours opens'))).toBe(true);
    expect(said.some((text) => text.includes('dry first'))).toBe(true);
  }
});

test('what passes no door is joined where it stays, and says why', () => {
  const narrow = { ...DEFAULT_SHOP, door: inches(20) };
  const { steps } = made(newPiece('t', 'standing'), narrow);
  const last = steps.find(({ id }) => id === 't.top-on')!;
  expect(last.stays).not.toBeNull();
  expect(plain(last.actions[0]!.text, 'in')).toContain('the door 20');
  const wide = made(newPiece('t', 'standing'), { ...DEFAULT_SHOP, door: inches(40), lift: 200 }).steps;
  expect(wide.every(({ stays }) => stays === null)).toBe(true);
});

describe('out of square, worked by hand', () => {
  test('30 by 40 racked by an eighth along the long side', () => {
    // Far side slid by 1/8: diagonals sqrt(40.125^2 + 30^2) and sqrt(39.875^2 + 30^2).
    const [long, short] = [Math.hypot(40.125, 30), Math.hypot(39.875, 30)].map((length) =>
      inches(Math.round(length * 64) / 64),
    );
    const racked = rackOf([inches(40), inches(30)], [long!, short!])!;
    expect(racked.long).toBe('first');
    expect(racked.push / inches(1)).toBeCloseTo(1 / 8, 1);
    expect(racked.should).toBe(inches(50));
  });
  test('within 1/32 it is square', () =>
    expect(rackOf([inches(40), inches(30)], [inches(50), inches(50 + 1 / 64)])).toBeNull());
});
