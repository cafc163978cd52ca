import { inches, printLength, type Length } from '../length';
import { DEFAULT_SHOP, newJob, type Method, type Piece } from '../job';
import { boxOf, buildPiece, newPiece, pieceFrom, solidOf, STARTS, type Joint, type Part } from '../piece';
import { board, boxAt, holed } from '../piece/kit';
import { common, limitsOf, volumeOf } from '../solid';
import { loose, overlapping, undeclared } from '../testing/laws';
import {
  apartBy,
  clash,
  driverFor,
  fastenerLines,
  fastenings,
  poundsFor,
  roomBehind,
  waysOfJoint,
  type Fastening,
} from './index';

const at = (x: number, y: number, z: number) => [inches(x), inches(y), inches(z)] as const;
/** A part that fills a box of inches, its length along x unless told. */
const part = (
  tag: string,
  from: readonly [number, number, number],
  size: readonly [number, number, number],
  along: 0 | 1 | 2,
  across: 0 | 1 | 2,
  role: Part['role'] = 'rail',
): Part => board('p', { tag, role, name: tag, material: '2x4' }, boxAt(at(...from), at(...size)), along, across);
const joint = (kind: Joint['kind'], drilled: string, into: string, apart = false): Joint => ({
  id: `p.${drilled}>${into}`,
  piece: 'p',
  kind,
  drilled: `p.${drilled}`,
  into: `p.${into}`,
  apart,
});
const made = (joints: readonly Joint[], parts: readonly Part[], joins: Piece['joins'] = {}): readonly Fastening[] =>
  fastenings(joints, parts, 'in', { joins });
const inch = (length: number) => length / inches(1);
const printed = (positions: readonly Length[]) => positions.map((position) => printLength(position, 'in'));

/** A rail 20 long between two posts, `thick` thick and `wide` high, on edge. */
const frame = (thick: number, wide: number, post = 3.5) => [
  part('R', [post, 0, 10], [20, thick, wide], 0, 2),
  part('P', [0, -1, 0], [post, 3.5, 30], 2, 1, 'leg'),
  part('Q', [post + 20, -1, 0], [post, 3.5, 30], 2, 1, 'leg'),
];

describe('pocket screws in the wood, worked by hand', () => {
  // The collar leaves half of the setting's screw beyond the end; at 15 degrees each inch of it goes cos 15 in deep.
  test('a 1 1/2 rail 5 1/2 wide into a leg: three, 7/8, 2 3/4 and 4 5/8 from the top edge', () => {
    const [item] = made([joint('rail end', 'R', 'P')], frame(1.5, 5.5));
    expect(item).toMatchObject({ by: 'pocket screws', screw: '2 1/2', jig: inches(1.5), troubles: [] });
    expect(printed(item!.positions)).toEqual(['7/8', '2 3/4', '4 5/8']);
    for (const shank of item!.shanks) {
      expect(inch(shank.bite)).toBeCloseTo(1.25, 3);
      // 3 1/2 of leg along a line at 15 degrees, less what bites.
      expect(inch(shank.left)).toBeCloseTo(3.5 / Math.cos(Math.PI / 12) - 1.25, 2);
      // From the seat back to the face: it comes out in the middle of 1 1/2, so 3/4 / sin 15 in all.
      expect(inch(shank.behind)).toBeCloseTo(0.75 / Math.sin(Math.PI / 12) - 1.25, 2);
    }
  });

  test('3/4 into 11/16: the screw of the thinner, 1 in, and wood is left', () => {
    const parts = [
      part('R', [0.6875, 0, 10], [20, 0.75, 3.5], 0, 2),
      part('P', [0, -1, 0], [0.6875, 3.5, 30], 2, 1, 'leg'),
    ];
    const [item] = made([joint('rail end', 'R', 'P')], parts);
    expect(item!.screw).toBe('1');
    // Seat at 5/8, half of the 1 1/4 that 3/4 stock takes: 3/8 bites, of 11/16 / cos 15.
    expect(inch(item!.shanks[0]!.bite)).toBeCloseTo(0.375, 3);
    expect(inch(item!.shanks[0]!.left)).toBeCloseTo(0.6875 / Math.cos(Math.PI / 12) - 0.375, 2);
    expect(item!.troubles).toEqual([]);
  });

  test('red oak takes a fine thread', () => {
    const oak = frame(0.75, 3.5).map((one) => ({ ...one, material: 'oak 1x4' as const }));
    expect(made([joint('rail end', 'R', 'P')], oak)[0]!.screw).toBe('1 1/4 fine');
  });

  test('pockets are on the face that looks to the middle; flipped they are on the other', () => {
    const parts = [...frame(1.5, 3.5), part('F', [0, 20, 0], [20, 1.5, 3.5], 0, 2)];
    const faceOf = (joins: Piece['joins']) =>
      made([joint('rail end', 'R', 'P')], parts, joins)[0]!.shanks[0]!.direction[1];
    // The other rail stands behind, at larger y: the pocket is there, so the screw runs to smaller y.
    expect(faceOf({})).toBeLessThan(0);
    expect(faceOf({ 'rail end': { flip: true } })).toBeGreaterThan(0);
    expect(faceOf({ 'R>P': { flip: true } })).toBeGreaterThan(0);
  });
});

test('pockets along a 60 in edge by school: no farther apart than 6, 7 or 10', () => {
  const boards = [
    part('T', [0, 0, 0], [60, 5.5, 0.75], 0, 1, 'top'),
    part('U', [0, 5.5, 0], [60, 5.5, 0.75], 0, 1, 'top'),
  ];
  const at = (spacing: number) =>
    fastenings(
      [joint('edge', 'T', 'U')],
      boards,
      'in',
      { joins: {} },
      { ...DEFAULT_SHOP, spacing: inches(spacing) },
    )[0]!;
  // 2 in from each end leaves 56: ten spaces of 5.6, eight of 7, six of 9 1/3.
  expect([6, 7, 10].map((spacing) => at(spacing).positions.length)).toEqual([11, 9, 7]);
  expect(printed(at(7).positions)).toEqual(['2', '9', '16', '23', '30', '37', '44', '51', '58']);
  expect(at(10).troubles).toEqual([]);
});

test('a pocket opens in the face of its board, never in the edge behind: 3 in boards 45 mm thick are joined another way', () => {
  const thick = 45 / 25.4;
  const ways = [3, 3.125].map((wide) => {
    const boards = [0, 1].map((at) => part(`T${at}`, [0, at * wide, 0], [40, wide, thick], 0, 1, 'top'));
    return made([joint('edge', 'T0', 'T1')], boards)[0]!.by;
  });
  // Half of the jig's 1 5/8 over the tangent of 15 degrees is 3.03 in.
  expect(ways[0]).not.toBe('pocket screws');
  expect(ways[1]).toBe('pocket screws');
});

test('distance of two straight stretches, by hand', () => {
  expect(
    apartBy(
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [5, 3, -5],
        [5, 3, 5],
      ],
    ),
  ).toBeCloseTo(3);
  expect(
    apartBy(
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [13, 4, 0],
        [20, 4, 0],
      ],
    ),
  ).toBeCloseTo(5);
  expect(
    apartBy(
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [2, 1, 0],
        [8, 1, 0],
      ],
    ),
  ).toBeCloseTo(1);
});

test("a slide's screws against a rail's pockets: the pocket gives way, and neither meets", () => {
  // A rail ends against the case side; a drawer slides on the side's other face, at the height of the rail's middle.
  const side = part('G', [0, 0, 0], [0.71875, 16, 20], 1, 2, 'side');
  const rail = part('R', [0.71875, 1, 8], [20, 0.75, 5.5], 0, 2);
  const drawer = part('D', [-1, 0.5, 9], [0.5, 15, 3.5], 1, 2, 'drawer');
  const slide = joint('slide', 'D', 'G', true);
  const [slides, ends] = made([slide, joint('rail end', 'R', 'G')], [side, rail, drawer]);
  expect(slides!.shanks).toHaveLength(6);
  for (const screw of ends!.shanks) for (const other of slides!.shanks) expect(clash(screw, other)).toBe(false);
  const alone = made([joint('rail end', 'R', 'G')], [side, rail])[0]!;
  // Without the slide all three are where the table says.
  expect(printed(alone.positions)).toEqual(['7/8', '2 3/4', '4 5/8']);
  // A slide screw right in the way of the second: 1 3/8 from the front, 2 3/4 below the rail's top.
  const middle = alone.shanks[1]!;
  const blocked = made(
    [slide, joint('rail end', 'R', 'G')],
    [
      side,
      rail,
      part('D', [-1, 0.5 - (0.5 + 1.5 - inch(middle.from[1])), 13.5 - 2.75 - 1.75], [0.5, 15, 3.5], 1, 2, 'drawer'),
    ],
  );
  for (const screw of blocked[1]!.shanks)
    for (const other of blocked[0]!.shanks) expect(clash(screw, other)).toBe(false);
});

test('a hole so thin that it passes beside the line of a screw is kept clear of, all the same', () => {
  const under = part('B', [0, 0, 0], [24, 3.5, 0.75], 0, 1);
  const over = part('T', [0, 0, 0.75], [24, 3.5, 1.5], 0, 1);
  const [usual] = made([joint('screws', 'B', 'T')], [under, over]);
  const [x, y] = usual!.shanks[0]!.from;
  const across = inches(1 / 32);
  const middle = [x, y + inches(1 / 16), 0] as const;
  const holes = [under, over].map((one) => holed(one, middle, [0, 0, 1], across / 2));
  const [moved] = made([joint('screws', 'B', 'T')], holes);
  expect(moved!.troubles).toEqual([]);
  for (const { from, radius } of moved!.shanks)
    expect(Math.hypot(from[0] - middle[0], from[1] - middle[1])).toBeGreaterThan(across / 2 + radius + inches(1 / 16));
  expect(moved!.shanks[1]).toEqual(usual!.shanks[1]);
});

describe('lag screws, worked by hand', () => {
  test('a 1 1/2 cleat on a post: 5/16 x 3 1/2, 3/8 down, holes from the chart', () => {
    const parts = [part('C', [0, 0, 0], [12, 1.5, 3.5], 0, 2), part('P', [4, 1.5, -10], [3.5, 3.5, 30], 2, 0, 'leg')];
    const [item] = made([joint('screws', 'C', 'P')], parts, { screws: { by: 'lag screws' } });
    expect(item).toMatchObject({ by: 'lag screws', screw: '1/4 x 3', troubles: [] });
    // Head 3/8 down in 1 1/2: 1 1/8 of it holds the cleat, 1 7/8 bites, 1 5/8 of the post is left.
    expect(inch(item!.shanks[0]!.bite)).toBeCloseTo(1.875, 2);
    expect(inch(item!.shanks[0]!.left)).toBeCloseTo(1.625, 2);
    const [line] = fastenerLines([item!], 2);
    expect(line).toMatchObject({
      kind: 'lag',
      size: '1/4 x 3',
      head: 'hex',
      pilot: '9/64',
      clearance: '1/4',
      counterbore: '1',
      count: 2 * item!.positions.length,
    });
    // 9/64 is 56 % of a 1/4 shank: between the 40 and 70 % of softwood.
    expect(9 / 64 / (1 / 4)).toBeGreaterThan(0.4);
    expect(9 / 64 / (1 / 4)).toBeLessThan(0.7);
  });
});

test('a corner block: half of its screws in the rail, half in the leg, 1 in each, and none meets another', () => {
  const [item] = made([joint('rail end', 'R', 'P')], frame(1.5, 3.5), { 'rail end': { by: 'corner block' } });
  expect(item).toMatchObject({ by: 'corner block', screw: '#8 2 1/2', troubles: [], face: 'inside' });
  // 2 1/2 through a block of 1 1/2: 1 in bites; of the rail 1/2 is left, of the leg 2 1/2.
  expect(item!.shanks.map(({ through, bite, left }) => [through, inch(bite), inch(left)])).toEqual([
    ['p.R', 1, 0.5],
    ['p.R', 1, 0.5],
    ['p.P', 1, 2.5],
    ['p.P', 1, 2.5],
  ]);
  const all = item!.shanks;
  expect(all.some((one, at) => all.slice(at + 1).some((other) => clash(one, other)))).toBe(false);
});

test('the block lies in the inside corner: against the rail and the leg, as long as the rail is wide, in nothing else', () => {
  const parts = [...frame(1.5, 3.5), part('F', [0, 20, 0], [20, 1.5, 3.5], 0, 2)];
  const [item] = made([joint('rail end', 'R', 'P')], parts, { 'rail end': { by: 'corner block' } });
  const [low, high] = limitsOf(item!.blocks);
  // The rail is 1 1/2 thick from 0 and ends at 3 1/2; it looks inwards, to F.
  expect(low.map(inch)).toEqual([3.5, 1.5, 10]);
  expect(high.map(inch)).toEqual([5, 3, 13.5]);
  for (const other of parts) expect(volumeOf(common(item!.blocks, solidOf(other)))).toBe(0);
  for (const { from, behind, direction } of item!.shanks) {
    const head = from.map((value, axis) => inch(value - direction[axis]! * behind));
    head.forEach((value, axis) => {
      expect(value).toBeGreaterThanOrEqual(inch(low[axis]!) - 0.01);
      expect(value).toBeLessThanOrEqual(inch(high[axis]!) + 0.01);
    });
  }
});

test('two blocks in one corner of a thin leg would take each other’s place: the second is refused', () => {
  const leg = part('P', [0, 0, 0], [1.5, 1.5, 30], 2, 1, 'leg');
  const rails = [part('R', [1.5, 0, 10], [20, 0.75, 3.5], 0, 2), part('Q', [0, 1.5, 10], [0.75, 20, 3.5], 1, 2)];
  const both = [joint('rail end', 'R', 'P'), joint('rail end', 'Q', 'P')];
  const insisted = made(both, [leg, ...rails], { 'R>P': { by: 'corner block' }, 'Q>P': { by: 'corner block' } });
  expect(insisted.filter(({ troubles }) => troubles.includes('not possible'))).toHaveLength(1);
  // Said for all alike, the second gives way to the usual, and says why.
  const alike = made(both, [leg, ...rails], { 'rail end': { by: 'corner block' } });
  expect(alike.map(({ by, troubles }) => [by, troubles])).toEqual([
    ['corner block', []],
    ['pocket screws', []],
  ]);
  expect(alike[1]!.instead).toEqual({ of: 'corner block', because: 'not possible' });
});

describe('room for the driver', () => {
  test('a wall 4 in behind the pocket leaves a right-angle head; with it away any bit goes', () => {
    const [item] = made([joint('rail end', 'R', 'P')], frame(1.5, 3.5));
    const shank = item!.shanks[0]!;
    const mouth = shank.from[0] - shank.direction[0] * shank.behind;
    const wall = part('W', [inch(mouth) + 4 * Math.cos(Math.PI / 12), -9, 0], [1, 30, 30], 1, 2);
    const room = roomBehind(shank, [solidOf(wall)]);
    expect(inch(room)).toBeCloseTo(4, 0);
    expect(driverFor(room, ['long bit', 'short bit'])).toBeNull();
    expect(driverFor(room, ['long bit', 'right-angle head'])).toBe('right-angle head');
    expect(driverFor(roomBehind(shank, []), ['long bit', 'short bit'])).toBe('long bit');
  });

  test('a rail too short for a driver at its second end is joined another way, and the note can say why', () => {
    const parts = [
      part('R', [3.5, 0, 10], [7, 1.5, 3.5], 0, 2),
      part('P', [0, -1, 0], [3.5, 3.5, 30], 2, 1, 'leg'),
      part('Q', [10.5, -1, 0], [3.5, 3.5, 30], 2, 1, 'leg'),
    ];
    const ends = [joint('rail end', 'R', 'P'), joint('rail end', 'R', 'Q')];
    expect(made(ends, parts).map(({ by, instead }) => [by, instead])).toEqual([
      ['dowels', { of: 'pocket screws', because: 'no room' }],
      ['dowels', { of: 'pocket screws', because: 'no room' }],
    ]);
    // With a right-angle head the pockets stay.
    expect(
      fastenings(ends, parts, 'in', { joins: {} }, { ...DEFAULT_SHOP, drivers: ['right-angle head'] }).map(
        ({ by }) => by,
      ),
    ).toEqual(['pocket screws', 'pocket screws']);
  });
});

describe('geometry follows the choice', () => {
  const table = (joins: Piece['joins']): Piece => ({ ...newPiece('t', 'standing'), joins });
  const build = (joins: Piece['joins']) => buildPiece(table(joins), '2x6', DEFAULT_SHOP, 'in');

  test('a tenon lengthens its rail at both ends, and the leg has a mortise of its size', () => {
    const [plain, tenoned] = [build({}), build({ 'rail end': { by: 'mortise and tenon' } })];
    const of = (model: typeof plain, tag: string) => model.parts.find((one) => one.tag === tag)!;
    const grown = inch(of(tenoned, 'A1').length - of(plain, 'A1').length);
    // Two tenons of one depth; two meet in each leg, so they are as deep as lets them pass.
    expect(grown).toBeGreaterThanOrEqual(1);
    expect(grown / 2).toBeCloseTo(Math.round(grown / 2 / 0.25) * 0.25, 6);
    // A third of 1 1/2 thick; what the mortise takes from the leg is what the tenon is.
    const tenon = (grown / 2) * 0.5 * (3.5 - 2 * inch(Math.round(inches(3.5 / 6) / inches(1 / 16)) * inches(1 / 16)));
    const lost = (volumeOf(solidOf(of(plain, 'L1'))) - volumeOf(solidOf(of(tenoned, 'L1')))) / inches(1) ** 3;
    expect(lost).toBeCloseTo(2 * tenon, 1);
    for (const law of [overlapping, undeclared, loose]) expect(law(tenoned)).toEqual([]);
    // What stands outside does not change.
    expect(boxOf(of(tenoned, 'L1'))).toEqual(boxOf(of(plain, 'L1')));
    const made = fastenings(tenoned.joints, tenoned.parts, 'in', table({ 'rail end': { by: 'mortise and tenon' } }));
    expect(
      made
        .filter(({ joint: one }) => one.kind === 'rail end')
        .every(({ by, troubles }) => by === 'mortise and tenon' && troubles.length === 0),
    ).toBe(true);
  });

  test('one joint alone may be made otherwise', () => {
    const piece = table({ 'A1>L1': { by: 'dowels' } });
    const model = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
    const by = new Map(fastenings(model.joints, model.parts, 'in', piece).map((item) => [item.joint.id, item.by]));
    expect([by.get('t.A1>L1'), by.get('t.A1>L3')]).toEqual(['dowels', 'pocket screws']);
  });
});

describe('ways to join, side by side', () => {
  const job = { ...newJob('j'), pieces: [newPiece('t', 'standing')] };
  const ways = waysOfJoint(job, 't', 't.A1>L1', '2x6', false);
  const of = (by: Method) => ways.find((way) => way.by === by)!;

  test('the usual is marked, tools that are lacking are named, every number is there', () => {
    expect(of('pocket screws')).toMatchObject({ now: true, count: 2, size: '2 1/2', trouble: null, lacks: [] });
    expect(ways.length).toBeGreaterThanOrEqual(6);
    for (const way of ways) expect(way.minutes).toBeGreaterThan(0);
    expect(of('mortise and tenon').minutes).toBeGreaterThan(of('pocket screws').minutes);
    const bare = waysOfJoint(
      { ...job, shop: { ...job.shop, tools: ['drill', 'pocket jig'] } },
      't',
      't.A1>L1',
      '2x6',
      false,
    );
    expect(bare.find(({ by }) => by === 'loose tenon')!.lacks).toEqual(['router']);
    expect(bare.find(({ by }) => by === 'dowels')!.lacks).toEqual([]);
  });

  test('two 2 1/2 pocket screws in SPF, by hand: 2850 G2 D an inch', () => {
    // G = 29 / 62.4; #8 is 0.164; two bite 1 1/4 each.
    const pounds = 2850 * (29 / 62.4) ** 2 * 0.164 * 2.5;
    expect(of('pocket screws').pounds).toBeCloseTo(Math.round(pounds / 5) * 5, -1);
    expect(of('mortise and tenon').pounds).toBeGreaterThan(of('loose tenon').pounds);
  });

  test('cost is by the piece in the cheapest box', () => {
    // 250 for 18.48 at the sample yard: two are 15 cents.
    expect(of('pocket screws').cents).toBe(15);
    const none = { ...job, yard: { ...job.yard, hardware: [] } };
    expect(waysOfJoint(none, 't', 't.A1>L1', '2x6', false).find(({ by }) => by === 'pocket screws')!.cents).toBeNull();
  });
});

test('fasteners of a start add up to what is bought for it', () => {
  const piece = pieceFrom(
    STARTS.find(({ id }) => id === 'chest')!,
    'c',
  );
  const model = buildPiece(piece, '1x6', DEFAULT_SHOP, 'in');
  const all = fastenings(model.joints, model.parts, 'in', piece);
  const lines = fastenerLines(all, 3);
  const positions = all.filter(({ by }) => by !== 'hardware').reduce((sum, item) => sum + item.positions.length, 0);
  expect(lines.reduce((sum, { count }) => sum + count, 0)).toBe(3 * positions);
  expect(all.every((item) => poundsFor(item) >= 0)).toBe(true);
});
