import fc from 'fast-check';
import { inches } from '../length';
import { DEFAULT_SHOP, type Piece } from '../job';
import { buildPiece, newPiece, STARTS, topCandidates, type Part } from '../piece';
import { KINDS } from '../testing/jobs';
import { mended, piecesOf } from '../testing/pieces';
import { runs, someOf } from '../testing/runs';
import { facesArea, patchesOf, reachesOf } from './patches';
import { armReaches, reachAt } from './reach';
import { extentOf } from './treatments';

const base = newPiece('t', 'standing');
const table: Piece = { ...base, size: { ...base.size, width: inches(31.5) }, topChoices: { width: '6' } };
const model = buildPiece(table, '2x6', DEFAULT_SHOP, 'in');
const { patches } = patchesOf(model);
const areaOf = (surface: string) => extentOf(patches.filter((patch) => patch.surface === surface)).area;

describe('surfaces worked out by hand: a table 60 by 31 1/2 of six 2x6', () => {
  test('the top is what looks up; its edges go all round it', () => {
    expect(areaOf('top')).toBeCloseTo((60 * 31.5) / 144, 6);
    expect(areaOf('edges')).toBeCloseTo((2 * (60 + 31.5) * 1.5) / 144, 6);
  });

  test('its underside is that less what lies on aprons, legs and cross supports', () => {
    // Four legs of 3 x 3 1/2; two aprons of 47 between them, two of 21 1/2, two cross supports of 23 1/2, 1 1/2 thick.
    const laid = model.parts
      .filter(({ role }) => role === 'leg')
      .reduce((sum, { width, thickness }) => sum + (width * thickness) / inches(1) ** 2, 0);
    const on = laid + 2 * 47 * 1.5 + 2 * 21.5 * 1.5 + 2 * 23.5 * 1.5;
    expect(areaOf('underside')).toBeCloseTo((60 * 31.5 - on) / 144, 2);
  });

  test('end grain is the two ends of every board', () => {
    const ends = extentOf(patches.filter(({ surface }) => surface === 'edges')).ends;
    expect(ends).toBeCloseTo((2 * 31.5 * 1.5) / 144, 6);
  });
});

/** Of a piece: area of all patches and both sides of all touches, against the faces of its parts. */
function addsUp(piece: Piece): void {
  const top = topCandidates(piece)[0] ?? '2x6';
  const built = buildPiece(piece, top, DEFAULT_SHOP, 'in');
  const found = patchesOf(built);
  const wood = built.parts.filter(({ loose, material }) => !loose && material !== 'bought');
  const faces = wood.reduce((sum, part) => sum + facesArea(part) * part.count, 0);
  const open = found.patches.reduce((sum, { area }) => sum + area, 0);
  const touched = found.touches
    .filter(({ a }) => a.material !== 'bought')
    .reduce((sum, { a, area }) => sum + area * a.count, 0);
  expect(open + touched).toBeCloseTo(faces, 2);
}

describe('areas of all surfaces add up to the area of all faces', () => {
  test.each(STARTS.map(({ id }) => id))('%s', (id) => addsUp(newPiece('p', id)));

  test.each(someOf(KINDS, 3))('of any size: %s', (_, family, top) => {
    fc.assert(
      fc.property(piecesOf(family, top, 'in'), (wish) => {
        const { piece, model: built } = mended(wish, 'in');
        if (built.parts.length > 0) addsUp(piece);
      }),
      runs(1, 5),
    );
  });
});

/** A board lying flat: so long and wide, an inch thick, its lower corner at a place. */
const boardAt = (x: number, y: number, z: number, length = 24, width = 6): Part => {
  const [first] = model.parts;
  return {
    ...first!,
    id: `p.${x},${y},${z}`,
    material: '1x6',
    length: inches(length),
    width: inches(width),
    thickness: inches(1),
    cuts: [],
    outline: null,
    ends: { left: { mitre: 0, bevel: 0 }, right: { mitre: 0, bevel: 0 } },
    frame: { at: [inches(x), inches(y), inches(z)], u: [1, 0, 0], v: [0, 1, 0] },
  };
};
/** What reaches the upper face of a board with another so far above it. */
const under = (gap: number) => {
  const [low, high] = [boardAt(0, 0, 0), boardAt(0, 0, 1 + gap)];
  const points = [
    [0, 0],
    [24, 0],
    [24, 6],
    [0, 6],
  ].map(([x, y]) => [inches(x!), inches(y!), inches(1)] as const);
  return reachAt(points, [0, 0, 1], [low, high]);
};

describe('what reaches a face, by hand', () => {
  test('a sander wants 6 in over it, a block 1 1/2, folded paper 3/8', () => {
    expect(under(6.1)).toEqual({ sander: 1, hand: 0, none: 0 });
    expect(under(5.9)).toEqual({ sander: 0, hand: 1, none: 0 });
    expect(under(0.4)).toEqual({ sander: 0, hand: 1, none: 0 });
    expect(under(0.35)).toEqual({ sander: 0, hand: 0, none: 1 });
  });

  test('a disc 5 in across stands beside a wall, and does not fit between two that are nearer', () => {
    // A shelf 24 by 6 with walls over its two long edges: 6 in between them is room for it, 4 in is not.
    const face = (width: number) =>
      [
        [0, 0],
        [24, 0],
        [24, width],
        [0, width],
      ].map(([x, y]) => [inches(x!), inches(y!), inches(1)] as const);
    const walls = (width: number) => [
      boardAt(0, 0, 0, 24, width),
      ...[1, 2, 3, 4, 5, 6, 7].flatMap((z) => [boardAt(0, -6, z), boardAt(0, width, z)]),
    ];
    expect(reachAt(face(6), [0, 0, 1], walls(6)).sander).toBeGreaterThan(0.9);
    expect(reachAt(face(4), [0, 0, 1], walls(4)).sander).toBe(0);
  });

  test('an arm gets two feet into a box that is open at one end, through an opening as wide as itself', () => {
    // A channel 60 long and so wide, its floor an inch thick, walls and a lid 8 above it, closed at its left end.
    const channel = (width: number) => [
      boardAt(0, 0, 0, 60, width),
      boardAt(0, 0, 9, 60, width),
      ...Array.from({ length: 8 }, (_, z) => [boardAt(0, -6, z + 1, 60), boardAt(0, width, z + 1, 60)]).flat(),
      ...Array.from({ length: 8 }, (_, z) => boardAt(-24, 0, z + 1, 24, width)),
    ];
    const place = (x: number, width: number) =>
      [
        [x - 2, 1],
        [x + 2, 1],
        [x + 2, width - 1],
        [x - 2, width - 1],
      ].map(([a, b]) => [inches(a!), inches(b!), inches(1)] as const);
    const reached = (from: number, width: number) => armReaches(place(60 - from, width), [0, 0, 1], channel(width));
    expect([4, 16, 30, 50].map((from) => reached(from, 6))).toEqual([true, true, false, false]);
    // Three inches is too narrow for a forearm of three and a half.
    expect(reached(10, 3)).toBe(false);
    // Open above it is reached anywhere.
    expect(armReaches(place(30, 6), [0, 0, 1], [boardAt(0, 0, 0, 60, 6)])).toBe(true);
  });

  test('slats with narrow gaps: their edges are reached by nothing, their faces by a sander', () => {
    const octagon = buildPiece(newPiece('o', 'octagon'), '2x6', DEFAULT_SHOP, 'in');
    const reaches = reachesOf(octagon);
    const slats = [...reaches].filter(([{ part }]) => part.name === 'slat');
    const up = slats.filter(([{ normal }]) => normal[2] > 0.9);
    expect(up.every(([, { sander }]) => sander > 0.9)).toBe(true);
    const between = slats.filter(([{ normal, area }]) => Math.abs(normal[1]) > 0.9 && area > 0.2);
    expect(between.length).toBeGreaterThan(5);
    expect(between.every(([, { none }]) => none === 1)).toBe(true);
  });
});
