import { inches } from '../../length';
import { boxOf, type Choices } from '../index';
import { drawerSizes } from '../drawers';
import { hingePlaces, longHingeFor, longHingePlaces } from '../hinges';
import { newJob } from '../../job';
import { planJob } from '../../plan';
import { built, changedStart } from '../../testing/built';

describe('an end table, 22 x 18 x 24 with an inch over all round', () => {
  const one = { drawers: 1, opening: inches(5), legs: 'four 1x4' } as const;

  test('worked by hand: one drawer of 5 between legs of 3 1/2 by 3', () => {
    const { is, part } = built('end-table', { choices: one });
    // 20 less two legs; 16 less two legs; two rails of 1 1/2 and the opening.
    is('R1 R2', '13 x 1 1/2 x 3/4');
    is('E1 E2', '10 x 8 x 3/4');
    is('A1', '13 x 8 x 3/4');
    // Slides of 1/2 a side, 1/2 above and below; 14 is the longest that goes in behind the rail.
    is('W1A W1B', '14 x 4 x 15/32');
    is('W1C W1D', '11 1/16 x 4 x 15/32');
    // Half a side's thickness into each groove.
    is('W1E', '11 17/32 x 13 17/32 x 7/32');
    // An eighth at both sides, half of what rails leave of it above and below: more than a 1x6 gives.
    is('W1F', '12 3/4 x 6 3/8 x 3/4');
    expect(part('W1F').material).toBe('1x8');
  });

  test('a plywood shelf on thin rails, notched round the four legs', () => {
    const { is, part } = built('end-table', { choices: { ...one, below: 'ply shelf', shelfHeight: inches(6) } });
    is('Z1 Z2', '13 x 2 1/2 x 3/4');
    is('S1 S2', '10 x 2 1/2 x 3/4');
    // Rails in the middle of legs 3 thick: 1 1/8 in from their outer faces.
    is('H1', '17 3/4 x 13 3/4 x 23/32');
    expect(part('H1').cuts.map(({ kind }) => kind)).toEqual(['notch', 'notch', 'notch', 'notch']);
    expect(boxOf(part('H1')).max[2]).toBe(inches(6));
  });

  test('a bank deeper than any board is made of two bands, alike', () => {
    const { part, tags } = built('end-table', {
      size: [24, 20, 30],
      choices: { ...one, drawers: 3 },
    });
    // Four rails of 1 1/2 and three openings of 5: 21 from two boards of 11 1/4.
    expect(tags(/^E/)).toEqual(['E1', 'E2', 'E3', 'E4']);
    expect([part('E1').width, part('E3').width]).toEqual([inches(10.5), inches(10.5)]);
    expect(tags(/^W\dF/)).toEqual(['W1F', 'W2F', 'W3F']);
    // Even gaps: each front as far from the next as from the sides.
    const [upper, lower] = [boxOf(part('W1F')), boxOf(part('W2F'))];
    expect(upper.min[2] - lower.max[2]).toBe(inches(1 / 8));
  });

  test.each([
    ['boxes of boards too narrow', { ...one, box: '1x4', opening: inches(14) }, 'The drawer is deeper than its boards'],
    ['legs too thin', { legs: '2x2' }, 'The legs are too thin for sides and supports'],
  ])('%s: said, and mended in one click', (_, choices, title) => {
    const { stops, taking } = built('end-table', { size: [24, 20, 36], choices });
    expect(stops[0]![0]).toBe(title);
    expect(taking(stops[0]![1]!).findings.map(({ id }) => id)).not.toContain(title);
  });
});

describe('drawers', () => {
  test.each([
    [9.9, null],
    [10, 10],
    [11.9, 10],
    [21.9, 20],
    [40, 22],
  ])('behind an opening %s deep goes a slide of %s', (depth, slide) => {
    const sizes = drawerSizes({ width: inches(14), height: inches(5), depth: inches(depth) }, inches(1 / 2), {
      width: 0,
      height: 0,
    });
    expect(sizes?.slide ?? null).toBe(slide);
  });

  test('the box goes together: sides, what is between them and slides come to the opening', () => {
    for (const width of [5, 8, 13.25, 30]) {
      const side = inches(15 / 32);
      const sizes = drawerSizes({ width: inches(width), height: inches(6), depth: inches(16) }, side, {
        width: inches(-1 / 8),
        height: inches(1 / 4),
      })!;
      expect(sizes.between + 2 * side).toBe(sizes.box.width);
      expect(sizes.box.width).toBe(inches(width) - inches(1));
      // In its grooves, never through the sides.
      expect(sizes.bottom.width).toBeGreaterThan(sizes.between);
      expect(sizes.bottom.width).toBeLessThan(sizes.box.width);
      expect(sizes.bottom.depth).toBeLessThan(sizes.box.depth);
      expect([sizes.front.width, sizes.front.height]).toEqual([inches(width - 1 / 4), inches(6.5)]);
    }
  });
});

describe('hinges', () => {
  test.each([
    [12, 2],
    [40, 2],
    [41, 3],
    [60, 3],
    [72, 4],
  ])('a door %s high hangs on %s', (run, count) => {
    const places = hingePlaces(inches(run));
    expect(places).toHaveLength(count);
    // As far from the one end as from the other, evenly between, in the door.
    expect(places[0]! + places.at(-1)!).toBe(inches(run));
    const steps = places.slice(1).map((place, at) => place - places[at]!);
    expect(Math.max(...steps) - Math.min(...steps)).toBeLessThanOrEqual(1);
    expect(places[0]!).toBeGreaterThanOrEqual(inches(1.75));
    expect(places[0]!).toBeLessThanOrEqual(inches(4));
  });

  test('a long hinge is the next that is sold; its screws an inch from its ends, three apart at most', () => {
    expect([10, 12, 12.1, 31, 72, 72.1].map((run) => longHingeFor(inches(run)))).toEqual([12, 12, 24, 36, 72, null]);
    for (const run of [6, 11, 24, 47.5]) {
      const places = longHingePlaces(inches(run));
      expect([places[0], places.at(-1)]).toEqual([inches(1), inches(run - 1)]);
      for (const [at, place] of places.entries())
        if (at > 0) expect(place - places[at - 1]!).toBeLessThanOrEqual(inches(3) + 1);
    }
  });
});

describe('a case', () => {
  test.each([
    [2, '1x4'],
    [3.5, '1x4'],
    [4, '1x6'],
    [6, '1x8'],
    [8, '1x12'],
  ])('a plinth %s high is ripped from a %s, its ends between front and back', (height, nominal) => {
    const { part } = built('cupboard', { choices: { stand: 'plinth', standHeight: inches(height) } });
    expect(part('P1').material).toBe(nominal);
    expect(part('P1').width).toBe(inches(height));
    // An inch in all round.
    expect(part('P1').length).toBe(inches(28));
    expect(part('P3').length).toBe(boxOf(part('P2')).min[1] - boxOf(part('P1')).max[1]);
  });

  test('three columns of 60: dividers stand so that all are alike, shelves an eighth narrower', () => {
    const { is, part, tags } = built('cupboard', { size: [60, 15, 34], choices: { columns: 3, shelves: 1 } });
    expect(tags(/^V/)).toEqual(['V1', 'V2']);
    is('B1', '58 9/16 x 14 1/16 x 23/32');
    // 34 less a kick of 3 1/2, bottom and top.
    is('V1 V2', '29 1/16 x 14 1/16 x 23/32');
    const edges = ['G1', 'V1', 'V2', 'G2'].map((tag) => boxOf(part(tag)));
    const clear = edges.slice(1).map((box, at) => box.min[0] - edges[at]!.max[0]);
    expect(Math.max(...clear) - Math.min(...clear)).toBeLessThanOrEqual(3);
    for (const tag of ['H1A', 'H2A', 'H3A'])
      expect(Math.abs(clear[0]! - part(tag).length - inches(1 / 8))).toBeLessThanOrEqual(3);
  });

  test('an opening for cords low in the back of each column, an eighth told from its edges', () => {
    const { part } = built('cupboard', { size: [60, 15, 34], choices: { columns: 2, shelves: 1, cords: inches(2) } });
    const holes = part('K1').cuts.filter(({ kind }) => kind === 'hole');
    expect(holes).toHaveLength(2);
    for (const { outline } of holes) {
      const [a, b] = outline;
      expect(Math.max(a![0], b![0]) - Math.min(a![0], b![0])).toBe(inches(2));
    }
    // Behind drawers it serves nothing.
    expect(built('chest', { choices: { cords: inches(2) } }).part('K1').cuts).toEqual([]);
  });

  test.each([
    ['columns too narrow', { columns: 4 }, [12, 15, 34], 'Not enough room in a column'],
    ['shelves too close', { shelves: 8 }, [30, 15, 34], 'Not enough room for the shelves'],
    ['deeper than panels', { stock: 'panel 3/4' }, [40, 26, 34], 'Deeper than panels are sold'],
    [
      'a plinth no board gives',
      { stand: 'plinth', standHeight: inches(13) },
      [30, 15, 40],
      'The plinth is higher than its boards',
    ],
  ] as const)('%s: told with ways out, each of which ends it', (_, choices, size, title) => {
    const { stops, taking } = built('cupboard', { size, choices });
    expect(stops.map(([said]) => said)).toContain(title);
    const own = stops.find(([said]) => said === title)!;
    for (const way of own.slice(1)) expect(taking(way).findings).toEqual([]);
  });

  describe('with a top that is there', () => {
    const lidded = (lidThick: number, choices: Choices = {}) =>
      built('cupboard', { choices: { lid: 'found', lidThick: inches(lidThick), ...choices } });

    test('the sides are what its thickness leaves of 34; nothing is cut into it, no head shows on it', () => {
      const { is, part, joints } = lidded(1.25);
      // A kick of 3 1/2 and a top of 1 1/4; the back ends under it.
      is('G1 G2', '29 1/4 x 14 9/32 x 23/32');
      is('K1', '29 9/32 x 29 1/4 x 7/32');
      is('T1', '30 x 14 9/32 x 1 1/4');
      expect(part('T1')).toMatchObject({ cuts: [], material: 'bought', bought: { size: 'found', price: 0 } });
      const onto = joints.filter(({ into, drilled }) => [into, drilled].includes('p.T1'));
      expect(onto.map(({ kind, into }) => [kind, into])).toEqual([
        ['rail end', 'p.T1'],
        ['rail end', 'p.T1'],
      ]);
    });

    test.each([3 / 8, 3 / 4, 2])('%s thick: doors cover its edge and end below its face', (thick) => {
      const { part } = lidded(thick);
      const gap = boxOf(part('T1')).max[2] - boxOf(part('D1A')).max[2];
      expect(gap).toBeGreaterThanOrEqual(inches(1 / 8));
      expect(boxOf(part('D1A')).max[2]).toBeGreaterThan(boxOf(part('T1')).min[2]);
    });

    test('of boards over sides of plywood it is held fast across its grain: on a deep case that is told', () => {
      const said = (deep: number) => {
        const choices = { lid: 'found', lidThick: inches(1.25) };
        const job = { ...newJob('j'), pieces: [changedStart('cupboard', { size: [30, deep, 34], choices })] };
        const { findings } = planJob(job, { today: '2026-11-30', effort: 'quick' });
        return findings.filter(({ kind }) => kind === 'cross-grain').map(({ about }) => about);
      };
      // 17 1/2 in x .00216 x 4 is 5/32; over 9 1/2 it is under 3/32.
      expect([said(20), said(12)]).toEqual([[['p.T1']], []]);
    });

    test('mitred corners want a top of the same sheet: there is nothing else to choose then', () => {
      const mitred = lidded(2, { corners: 'mitred', held: 'screws' });
      expect(mitred.part('T1').material).toBe('ply 3/4');
      expect(mitred.part('T1').thickness).toBe(inches(23 / 32));
    });
  });
});
