import fc from 'fast-check';
import { inches, mm, printLength, roundToTape, type Length } from '../length';
import { board, boxAt } from '../piece/kit';
import { solidOf, type Joint, type Part } from '../piece';
import { runs } from '../testing/runs';
import { clippedJoints } from './clip-places';
import { driverFor, DRIVER_ROOM, roomBehind, standingRound } from './driver';
import { boltFor, dowelFor, INSERTS, NUT_SUNK, pocketShank, SCREWS, SHORT_OF, tenonFor, woodScrew } from './fasteners';
import { FARTHEST, depths, nearestFirst, spaced, toMark } from './layout';
import { edgePositions, railEndPositions } from './pocket-screws';
import type { Shank } from './shank';

type Place = readonly [number, number, number];
const at = (place: Place): Place => place.map((value) => inches(value)) as unknown as Place;
const part = (tag: string, from: Place, size: Place, along: 0 | 1 | 2 = 0, across: 0 | 1 | 2 = 1): Part =>
  board('p', { tag, role: 'rail', name: tag, material: '2x4' }, boxAt(at(from), at(size)), along, across);
const inch = (length: Length) => length / inches(1);

describe('what is chosen for a thickness', () => {
  test.each([
    [0.5, '1/4 x 1', '1/4 x 3/4 x 1 1/2'],
    [0.75, '3/8 x 1 1/2', '1/4 x 3/4 x 1 1/2'],
    [0.875, '3/8 x 1 1/2', '5/16 x 1 x 2'],
    [1.25, '1/2 x 2', '1/2 x 1 1/4 x 2 1/2'],
    [1.5, '1/2 x 2', '1/2 x 1 1/4 x 2 1/2'],
  ])('%s thick: a dowel of %s, a tenon of %s', (thick, dowel, tenon) => {
    expect([dowelFor(inches(thick)).size, tenonFor(inches(thick)).size]).toEqual([dowel, tenon]);
  });

  test('dowels and tenons are a third to a bit over half as thick as the thinner part, from 1/2 to 2 in', () => {
    for (let thick = 1 / 2; thick <= 2; thick += 1 / 8)
      for (const one of [dowelFor(inches(thick)), tenonFor(inches(thick))])
        expect([inch(one.shank) / thick >= 0.24, inch(one.shank) / thick <= 0.6]).toEqual([true, true]);
  });

  test('a wood screw never comes nearer to the far face than an eighth where any fits, and is the longest in deep wood', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 64 }), fc.integer({ min: 4, max: 64 }), (deep, bite) => {
        const [a, b] = [inches(deep / 16), inches(bite / 16)];
        const { length } = woodScrew(a, b);
        const fits = SCREWS.filter((one) => one.length <= a + b - SHORT_OF);
        if (fits.length === 0) return expect(length).toBe(SCREWS[0]!.length);
        expect(length).toBeLessThanOrEqual(a + b - SHORT_OF);
        // None shorter would reach twice the thickness of what it fixes.
        if (length > SCREWS[0]!.length && length >= 2 * a)
          expect(Math.max(...SCREWS.filter((one) => one.length < length).map((one) => one.length))).toBeLessThan(2 * a);
      }),
      runs(200, 1),
    );
  });

  test('a bolt’s nut lies below the surface, with an inch of wood under its head; one that ends in a part bites 3 in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 96 }), fc.integer({ min: 24, max: 480 }), (deep, beyond) => {
        const [a, b] = [inches(deep / 16), inches(beyond / 16)];
        const { fastener, sunk, through } = boltFor(a, b);
        expect(sunk).toBeGreaterThanOrEqual(0);
        if (through) {
          expect(fastener.length + sunk).toBeLessThan(a + b);
          expect(sunk).toBeLessThanOrEqual(Math.max(inches(3 / 8), a - inches(1)));
        } else {
          expect(sunk).toBeLessThanOrEqual(NUT_SUNK);
          if (fastener.length < inches(12)) expect(fastener.length - (a - sunk)).toBeGreaterThanOrEqual(inches(3));
        }
      }),
      runs(200, 2),
    );
  });

  test('pocket screws by their thread; inserts in the lengths they are sold in', () => {
    expect(pocketShank('1 1/4', true)).toMatchObject({ size: '1 1/4 fine', thread: 'fine', length: inches(1.25) });
    expect(pocketShank('1 1/4', false)).toMatchObject({ size: '1 1/4', thread: 'coarse' });
    expect(() => pocketShank('9', false)).toThrow();
    expect(INSERTS.map(({ length }) => inch(length))).toEqual([1.5, 2.5, 4]);
  });
});

describe('places along a run', () => {
  test('eighths, or half centimetres', () => {
    expect([toMark(inches(3.07), 'in'), toMark(inches(3.1), 'in')].map(inch)).toEqual([3.125, 3.125]);
    expect(toMark(mm(43), 'mm')).toBe(mm(45));
  });

  test('ways off a place: the place itself first, then to both sides in turn, quarter inches, as far as is said', () => {
    const ways = nearestFirst(FARTHEST);
    expect(ways.slice(0, 5).map((way) => Math.abs(inch(way)))).toEqual([0, 0.25, 0.25, 0.5, 0.5]);
    expect(ways).toHaveLength(25);
    expect(new Set(ways).size).toBe(25);
    expect(Math.max(...ways.map(Math.abs))).toBe(FARTHEST);
  });

  test('a short run has one in its middle, a longer one its ends', () => {
    expect(spaced(inches(2), inches(7), inches(3), 'in')).toEqual([inches(1)]);
    expect(spaced(inches(20), inches(7), inches(3), 'in').length).toBeGreaterThan(2);
  });

  test('along an edge: as many as keep the spacing and no more, alike from both ends but for the tape’s marks', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8 * 16, max: 96 * 16 }), fc.constantFrom(6, 7, 8, 10), (length, spacing) => {
        const run = inches(length / 16);
        const places = edgePositions(run, 'in', inches(spacing));
        const gaps = places.slice(1).map((place, k) => place - places[k]!);
        const slack = inches(1 / 8);
        expect(Math.max(...gaps)).toBeLessThanOrEqual(inches(spacing) + slack);
        // One less would stand too far apart.
        if (places.length > 2) expect((run - inches(4)) / (places.length - 2)).toBeGreaterThan(inches(spacing) - slack);
        places.forEach((place, k) => {
          expect(Math.abs(place + places[places.length - 1 - k]! - run)).toBeLessThanOrEqual(slack);
          expect(roundToTape(place, 'in')).toBe(place);
        });
      }),
      runs(150, 4),
    );
  });

  test('across the end of a rail: inside it, in order, the outer ones alike', () => {
    for (let width = 1.5; width <= 12; width += 0.25) {
      const places = railEndPositions(inches(width), 'in');
      expect([...places].sort((a, b) => a - b)).toEqual(places);
      expect(places[0]! > 0 && places[places.length - 1]! < inches(width)).toBe(true);
      expect(Math.abs(places[0]! + places[places.length - 1]! - inches(width))).toBeLessThanOrEqual(inches(1 / 8));
      expect(places.map((place) => printLength(place, 'in')).join()).not.toContain('/64');
    }
  });
});

describe('wood along a line, and room behind a screw', () => {
  const [rail, post] = [part('R', [3.5, 0, 0], [20, 3.5, 1.5]), part('P', [0, 0, 0], [3.5, 3.5, 1.5])];

  test('what lies behind the meeting in the one and before it in the other', () => {
    const middle: Place = [inches(3.5), inches(1.75), inches(0.75)];
    const { deep, beyond } = depths(rail, post, middle, [-1, 0, 0]);
    expect([inch(deep), inch(beyond)]).toEqual([20, 3.5]);
    // Beside both there is none.
    expect(depths(rail, post, [inches(3.5), inches(9), 0], [-1, 0, 0])).toEqual({ deep: 0, beyond: 0 });
  });

  const shank = { from: at([10, 1, 1]), direction: [-1, 0, 0], behind: 0 } as unknown as Shank;
  test.each([
    [4, 'right-angle head'],
    [6, 'short bit'],
    [12.5, 'long bit'],
  ] as const)('a wall %s in behind it leaves room for the %s', (off, driver) => {
    const wall = part('W', [10 + off, -10, -10], [1, 20, 20]);
    expect(inch(roomBehind(shank, [solidOf(wall)]))).toBeCloseTo(off, 6);
    expect(driverFor(roomBehind(shank, [solidOf(wall)]), Object.keys(DRIVER_ROOM) as never)).toBe(driver);
  });

  test('a wall beside it, or farther than any driver asks, is not in the way; one 2 in behind stops them all', () => {
    expect(roomBehind(shank, [solidOf(part('W', [11, 3, -10], [5, 5, 20]))])).toBe(Infinity);
    expect(roomBehind(shank, [solidOf(part('W', [24, -10, -10], [1, 20, 20]))])).toBe(Infinity);
    const near = roomBehind(shank, [solidOf(part('W', [12, -10, -10], [1, 20, 20]))]);
    expect(driverFor(near, Object.keys(DRIVER_ROOM) as never)).toBeNull();
  });

  test('drawers and doors are taken out first; the part that is drilled is never in its own way', () => {
    const drawer: Part = { ...part('W1', [0, 0, 0], [5, 5, 5]), role: 'drawer' };
    const round = standingRound([rail, post, drawer]);
    expect(round(rail.id)).toEqual([solidOf(post)]);
    expect(round(rail.id)).toBe(round(rail.id));
  });
});

describe('clips of a glued top on its rails', () => {
  // Six boards 5 in wide along x, on two end rails across them and one between.
  const boards = [0, 1, 2, 3, 4, 5].map((k) => part(`T${k + 1}`, [0, 5 * k, 30], [60, 5, 1.5]));
  const rails = [2, 29, 56].map((x, k) => part(`E${k + 1}`, [x, 1, 26.5], [1.5, 28, 3.5], 1, 2));
  const joint = (kind: Joint['kind'], drilled: Part, into: Part): Joint => ({
    id: `${drilled.id}>${into.tag}`,
    piece: 'p',
    kind,
    drilled: drilled.id,
    into: into.id,
    apart: false,
  });
  const edges = boards.slice(1).map((one, k) => joint('edge', boards[k]!, one));
  const clips = rails.flatMap((rail) => boards.map((one) => joint('top clips', rail, one)));
  const parts = new Map([...boards, ...rails].map((one) => [one.id, one]));
  const perRail = (kept: ReadonlySet<string>) =>
    rails.map((rail) => clips.filter(({ id, drilled }) => drilled === rail.id && kept.has(id)).map(({ into }) => into));

  test('the outer boards on every rail, and one between on those at the ends alone', () => {
    const [left, between, right] = perRail(clippedJoints([...edges, ...clips], parts));
    expect(between).toEqual(['p.T1', 'p.T6']);
    for (const end of [left!, right!]) {
      expect([end[0], end[end.length - 1]]).toEqual(['p.T1', 'p.T6']);
      // 25 in from the middle of the first to that of the last: two stretches of twelve.
      expect(end.length).toBe(3);
    }
  });

  test('boards that no glue joins are each held', () => {
    expect(perRail(clippedJoints(clips, parts)).map((held) => held.length)).toEqual([6, 6, 6]);
  });
});
