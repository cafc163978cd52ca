import fc from 'fast-check';
import { inches } from '../length';
import { runs } from '../testing/runs';
import { groupsOf } from './group';
import { cutInTwo, free, freeIn, laneOf, layLane, piecesIn, type Area, type Orientation } from './region';
import { boardOf, partOf, problemOf } from './testing/lists';

/** A group of boards 96 by 11 1/4 with an eighth of kerf, and ways to lay its parts along. */
function groupWith(...parts: Parameters<typeof problemOf>[1]) {
  const [group] = groupsOf(problemOf([boardOf('b', 96, 11.25, 10, 0)], parts));
  const ways = group!.items.map(({ length, width }, item): Orientation => ({ item, length, width, turned: false }));
  return { group: group!, ways };
}
const BOARD = free({ x: 0, y: 0, length: inches(96), width: inches(11.25) });
const KERF = inches(1 / 8);

describe('cuts through a region, by hand', () => {
  const { group } = groupWith(partOf('p', 1, 20, 3.5));

  test('a crosscut at 20 leaves 75 7/8 of 96 behind the saw', () => {
    const { use } = cutInTwo(group, BOARD, 'crosscut', inches(20), free);
    expect(use).toMatchObject({
      kind: 'crosscut',
      first: { x: 0, length: inches(20) },
      second: { x: inches(20.125), length: inches(75.875), width: inches(11.25) },
    });
  });

  test('a rip at 3 1/2 leaves 7 5/8 of 11 1/4', () => {
    const { use } = cutInTwo(group, BOARD, 'rip', inches(3.5), free);
    expect(use).toMatchObject({
      kind: 'rip',
      first: { y: 0, width: inches(3.5) },
      second: { y: inches(3.625), width: inches(7.625), length: inches(96) },
    });
  });

  test('where nothing is left beyond the saw there is no second; where the cut is the end there is no cut', () => {
    expect(cutInTwo(group, BOARD, 'crosscut', inches(95.9), free).use).toMatchObject({ second: null });
    expect(cutInTwo(group, BOARD, 'crosscut', inches(96), free)).toEqual(BOARD);
    expect(cutInTwo(group, BOARD, 'rip', inches(12), free)).toEqual(BOARD);
  });

  test('a lane crosscut first leaves its end piece in full width, ripped first a strip in full length', () => {
    const lane = laneOf(group, [{ item: 0, length: inches(20), width: inches(3.5), turned: false }]);
    const rest = (first: 'crosscut' | 'rip') =>
      freeIn(layLane(group, BOARD, lane, first)).map(({ length, width }) => [length, width]);
    expect(rest('crosscut')).toEqual([
      [inches(20), inches(7.625)],
      [inches(75.875), inches(11.25)],
    ]);
    expect(rest('rip')).toEqual([
      [inches(75.875), inches(3.5)],
      [inches(96), inches(7.625)],
    ]);
  });
});

describe('lanes, by hand', () => {
  test('square pieces lie longest first, a kerf apart', () => {
    const { group, ways } = groupWith(partOf('short', 1, 10, 3.5), partOf('long', 1, 30, 3.5));
    const lane = laneOf(group, ways);
    expect(lane.pieces.map(({ item, x }) => [item, x])).toEqual([
      [1, 0],
      [0, inches(30.125)],
    ]);
    expect(lane.length).toBe(inches(40.125));
  });

  test('two braces of 45 nest: one is turned so that their slants lie along each other', () => {
    const { group, ways } = groupWith(partOf('brace', 2, 20, 3.5, { left: 45, right: -45 }));
    const lane = laneOf(group, [ways[0]!, ways[0]!]);
    const [first, second] = lane.pieces;
    // Each is 20 to its long points; the points pass each other by what the mitre reaches less the saw.
    expect(second!.x).toBe(inches(20) + group.steps[1]![1]!);
    expect(lane.length).toBeLessThan(inches(40));
    expect(new Set([first!.flip, second!.flip]).size).toBe(2);
  });
});

/** A region cut at random: rips and crosscuts, lanes of the one piece where it fits. */
const cuttings = fc.array(
  fc.record({
    kind: fc.constantFrom('crosscut' as const, 'rip' as const, 'lane' as const),
    at: fc.integer({ min: 1, max: 90 }),
  }),
  { minLength: 1, maxLength: 8 },
);

test('however it is cut, pieces and what is left lie in the region, clear of each other by a kerf', () => {
  const { group, ways } = groupWith(partOf('p', 1, 6, 2));
  fc.assert(
    fc.property(cuttings, (cuts) => {
      const make =
        (at: number) =>
        (box: Area | Omit<Area, 'use'>): Area => {
          const cut = cuts[at];
          if (!cut) return free(box);
          const [long, wide] = [box.length, box.width];
          if (cut.kind === 'lane')
            return long >= inches(6) && wide >= inches(2) ? layLane(group, box, laneOf(group, ways)) : free(box);
          const place = Math.round(((cut.kind === 'crosscut' ? long : wide) * cut.at) / 100);
          return cutInTwo(group, box, cut.kind, place, make(at + 1), make(at + 2));
        };
      const region = make(0)(BOARD);
      const all = [...piecesIn(region), ...freeIn(region)].filter(({ length, width }) => length > 0 && width > 0);
      for (const one of all) {
        expect(one.x).toBeGreaterThanOrEqual(0);
        expect(one.y).toBeGreaterThanOrEqual(0);
        expect(one.x + one.length).toBeLessThanOrEqual(BOARD.length);
        expect(one.y + one.width).toBeLessThanOrEqual(BOARD.width);
      }
      all.forEach((a, k) =>
        all.slice(k + 1).forEach((b) => {
          const along = Math.max(a.x - (b.x + b.length), b.x - (a.x + a.length));
          const across = Math.max(a.y - (b.y + b.width), b.y - (a.y + a.width));
          expect(Math.max(along, across)).toBeGreaterThanOrEqual(KERF);
        }),
      );
    }),
    runs(200, 72),
  );
});
