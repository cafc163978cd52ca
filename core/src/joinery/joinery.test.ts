import { inches, mm, printLength, toInches, type Length } from '../length';
import { DEFAULT_SHOP, newJob, type Piece } from '../job';
import { buildPiece, newPiece, pairKey, topCandidates } from '../piece';
import type { Nominal } from '../stock';
import { planned } from '../testing/planning';
import { clippedJoints } from './clip-places';
import {
  boltFor,
  bradFor,
  edgePositions,
  fastenings,
  hardwareNeeds,
  laminationGlue,
  pocketScrew,
  railEndPositions,
  railEndScrews,
  woodScrew,
} from './index';

const printed = (positions: readonly Length[]) => positions.map((position) => printLength(position, 'in'));

describe('pocket screws, by the jig table', () => {
  test.each([
    [1 / 2, '1'],
    [5 / 8, '1'],
    [11 / 16, '1'], // between 5/8 and 3/4: the shorter screw
    [3 / 4, '1 1/4'],
    [7 / 8, '1 1/2'],
    [1, '1 1/2'],
    [1 + 1 / 8, '1 1/2'],
    [1 + 1 / 4, '2'],
    [1 + 3 / 8, '2'],
    [1 + 1 / 2, '2 1/2'],
    [1 + 5 / 8, '2 1/2'],
  ])('%s thick takes %s', (thickness, screw) => {
    expect(pocketScrew(inches(thickness))).toBe(screw);
  });

  test('too thin for any', () => expect(pocketScrew(inches(7 / 16))).toBeNull());

  test.each([
    [1.5, 1],
    [2.5, 2],
    [3.5, 2],
    [5.5, 3],
    [7.25, 3],
    [9.25, 4],
  ])('a rail %s wide has %s in each end', (width, count) => {
    expect(railEndScrews(inches(width))).toBe(count);
  });

  test('positions worked out by hand: a 5 1/2 rail and a 60 in edge', () => {
    // 7/8 from both edges and the middle of 5 1/2.
    expect(printed(railEndPositions(inches(5.5), 'in'))).toEqual(['7/8', '2 3/4', '4 5/8']);
    expect(printed(railEndPositions(inches(3.5), 'in'))).toEqual(['7/8', '2 5/8']);
    expect(printed(railEndPositions(inches(1.5), 'in'))).toEqual(['3/4']);
    // 2 in from each end leaves 56: eight spaces of 7.
    expect(printed(edgePositions(inches(60), 'in'))).toEqual(['2', '9', '16', '23', '30', '37', '44', '51', '58']);
  });

  test('never more than the spacing apart, to the nearest tape mark', () => {
    for (const length of [20, 33.3, 47, 64.5, 96]) {
      const positions = edgePositions(inches(length), 'in');
      positions
        .slice(1)
        .forEach((position, at) => expect(position - positions[at]!).toBeLessThanOrEqual(inches(7 + 1 / 16)));
      expect(positions[0]).toBe(inches(2));
    }
  });
});

const table = (choices: Piece['choices'], topChoices: Piece['topChoices'] = {}): Piece => {
  const piece = newPiece('t', 'standing');
  return { ...piece, choices: { ...piece.choices, ...choices }, topChoices };
};
const made = (piece: Piece, nominal: Nominal = '2x6') => {
  const { parts, joints } = buildPiece(piece, nominal, DEFAULT_SHOP, 'in');
  return { parts, joints, made: fastenings(joints, parts, 'in', piece) };
};

describe('fastenings', () => {
  test('jig is set to the drilled part, the screw follows the thinner of the two', () => {
    const { made: all } = made(table({ apron: '1x4', legs: '4x4' }));
    const rail = all.find((item) => item.joint.kind === 'rail end')!;
    expect(rail).toMatchObject({ jig: inches(3 / 4), screw: '1 1/4', reaches: true });
    const edge = all.find((item) => item.joint.kind === 'edge')!;
    expect(edge).toMatchObject({ jig: inches(1.5), screw: '2 1/2', face: 'underside' });
  });

  test('a thin top on thick aprons: screws that stay inside do not reach, and it says so', () => {
    const piece = table({ apron: '2x4', fixing: 'screwed' }, { thickness: '1x', width: '6' });
    const under = made(piece, '1x6').made.filter((item) => item.joint.kind === 'top screws');
    const joins = Object.fromEntries(under.map(({ joint }) => [pairKey(joint), { by: 'pocket screws' as const }]));
    const top = made({ ...piece, joins }, '1x6').made.filter((item) => item.joint.kind === 'top screws');
    expect(top.length).toBeGreaterThan(0);
    expect(top.every((item) => item.screw === '1 1/4' && !item.reaches)).toBe(true);
    // Where nobody insists, or it was said for all alike, screws go up through the apron itself.
    for (const all of [{}, { 'top screws': { by: 'pocket screws' as const } }]) {
      const usual = made({ ...piece, joins: all }, '1x6').made.filter((item) => item.joint.kind === 'top screws');
      expect(usual.every((item) => item.by === 'slotted screws' && item.reaches)).toBe(true);
    }
    const clips = made({ ...piece, choices: { ...piece.choices, fixing: 'clips' } }, '1x6');
    const below = clips.made.filter((item) => item.joint.kind === 'top clips');
    const kept = clippedJoints(clips.joints, new Map(clips.parts.map((part) => [part.id, part])));
    expect(below.some((item) => item.by === 'clips')).toBe(true);
    expect(
      below.every(
        (item) =>
          (item.by === 'clips' && item.reaches) ||
          (item.by === 'nothing' && (item.meets < 6 || !kept.has(item.joint.id))),
      ),
    ).toBe(true);
  });

  test('clips: the two outermost boards on every rail, more only on those at the ends of the boards; 18 at most a table', () => {
    const clipsOf = (start: string) => {
      const piece = newPiece('t', start);
      const own = made(piece, topCandidates(piece)[0]!).made.filter(({ by }) => by === 'clips');
      const counts = new Map<string, number>();
      for (const { drilled, positions } of own)
        counts.set(drilled.tag, (counts.get(drilled.tag) ?? 0) + positions.length);
      return counts;
    };
    // 66 by 34: long aprons of 51, every twelve inches; at the ends three; two on what crosses between.
    expect(Object.fromEntries(clipsOf('dining'))).toEqual({ A1: 4, A2: 4, E1: 3, E2: 3, C1: 2, C2: 2 });
    expect(Object.fromEntries(clipsOf('coffee'))).toEqual({ A1: 4, A2: 4, E1: 2, E2: 2, C1: 2 });
    for (const start of ['standing', 'desk', 'trestle', 'x-frame', 'heavy', 'bench', 'tiled']) {
      const total = [...clipsOf(start).values()].reduce((sum, count) => sum + count, 0);
      expect([start, total >= 6 && total <= 18]).toEqual([start, true]);
    }
  });

  test('the slot of a clip is told along the edge under the top, also of a rail that is higher than it is long', () => {
    const base = newPiece('p', 'end-table');
    const piece: Piece = {
      ...base,
      top: 'breadboard',
      topChoices: { thickness: '5/4x', width: '4', end: '4' },
      size: { length: mm(700), width: mm(420), height: mm(600) },
      choices: { ...base.choices, legs: '4x4', opening: mm(82) },
    };
    const { parts, steps } = planned({ ...newJob('j'), pieces: [piece] }).pieces[0]!;
    const rail = parts.find(({ tag }) => tag === 'E1')!;
    expect(rail.width).toBeGreaterThan(rail.length);
    const spots = steps.flatMap(({ operations }) =>
      operations.flatMap((op) => (op.kind === 'slot' && op.what === 'clip slot' ? op.spots : [])),
    );
    expect(spots.filter(({ tag }) => tag === 'E1').length).toBeGreaterThan(0);
    // First from an end of the rail, then from its top edge.
    for (const { from, across } of spots) expect([from.axis, across?.axis]).toEqual([0, 1]);
  });

  test('glue by hand: both faces of every joint; screws, clips and glue for all copies', () => {
    const piece = { ...table({ crossSupports: 0, legs: 'two 2x4' }), copies: 2 };
    const { parts, made: all } = made(piece);
    const leg = parts.find((part) => part.tag === 'L1')!;
    // One glue line of 34 1/2 by 3 1/2, two faces.
    expect(laminationGlue(leg)).toBeCloseTo(2 * 34.5 * 3.5);
    const edges = all.filter((item) => item.joint.kind === 'edge');
    expect(edges[0]!.glue).toBeCloseTo(2 * 60 * 1.5);
    const job = { ...newJob('j'), pieces: [piece] };
    const needs = hardwareNeeds(job, parts, all, new Map([['t', [{ kind: 'pull', size: '', count: 3 }]]]));
    const screws = all
      .filter((item) => item.by === 'pocket screws')
      .reduce((sum, item) => sum + item.positions.length, 0);
    expect(needs.find((need) => need.kind === 'pocket-screw')).toEqual({
      kind: 'pocket-screw',
      size: '2 1/2',
      count: 2 * screws,
    });
    expect(needs.find((need) => need.kind === 'pull')).toEqual({ kind: 'pull', size: '', count: 6 });
    const area = 2 * (4 * laminationGlue(leg) + all.reduce((sum, item) => sum + item.glue, 0));
    expect(needs.find((need) => need.kind === 'glue')!.count).toBe(Math.ceil(area / 288));
  });
});

describe('other fasteners', () => {
  test.each([
    // Through 3/4 into plenty: 2 x 3/4 is 1 1/2.
    [0.75, 3, '#8 1 1/2'],
    // Into 3/4 more there is 1 1/2 in all, less the 1/8 that the tip keeps: 1 1/4 is the longest safe one.
    [0.75, 0.75, '#8 1 1/4'],
    [1.5, 3.5, '#10 3'],
    // Through a 4x4 nothing is long enough: the longest, in a counterbore.
    [3.5, 10, '#10 3 1/2'],
  ])('a screw through %s into %s', (deep, bite, screw) => {
    expect(woodScrew(inches(deep), inches(bite)).size).toBe(screw);
  });

  test('brads are twice the thinner part, bolts bite three inches', () => {
    expect([0.5, 0.75, 1.5].map((thin) => bradFor(inches(thin)).size)).toEqual(['1', '1 1/2', '2']);
    const bolt = (deep: number, beyond: number) => {
      const { fastener, sunk, through } = boltFor(inches(deep), inches(beyond));
      return [fastener.size, toInches(sunk), through];
    };
    // Half an inch down, then three into a post.
    expect([1.5, 3.5, 5.5].map((deep) => bolt(deep, 20))).toEqual([
      ['3/8 x 4', 0.5, false],
      ['3/8 x 6', 0.5, false],
      ['3/8 x 8', 0.5, false],
    ]);
    // All the wood less a sixteenth and less the bolt is what its head goes down.
    expect([bolt(2.625, 1.875), bolt(2.625, 2.625), bolt(4.125, 4.125), bolt(3.5, 3.5)]).toEqual([
      ['3/8 x 4', 0.4375, true],
      ['3/8 x 4 1/2', 0.6875, true],
      ['3/8 x 7', 1.1875, true],
      ['3/8 x 6', 0.9375, true],
    ]);
  });
});
