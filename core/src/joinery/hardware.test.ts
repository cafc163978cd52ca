import fc from 'fast-check';
import { inches, printLength } from '../length';
import { DEFAULT_SHOP, type Piece } from '../job';
import {
  boxOf,
  buildPiece,
  hingePlaces,
  pieceFrom,
  solidOf,
  STARTS,
  topCandidates,
  type Joint,
  type Part,
} from '../piece';
import { board, boxAt } from '../piece/kit';
import { raysIn } from '../solid';
import { clash, fastenings, tipOf, type Fastening } from './index';
import { runs } from '../testing/runs';

const at = (x: number, y: number, z: number) => [inches(x), inches(y), inches(z)] as const;
const part = (
  tag: string,
  from: readonly [number, number, number],
  size: readonly [number, number, number],
  along: 0 | 1 | 2,
  across: 0 | 1 | 2,
  role: Part['role'] = 'side',
): Part => board('p', { tag, role, name: tag, material: 'ply 3/4' }, boxAt(at(...from), at(...size)), along, across);
const joint = (kind: Joint['kind'], drilled: string, into: string): Joint => ({
  id: `p.${drilled}>${into}`,
  piece: 'p',
  kind,
  drilled: `p.${drilled}`,
  into: `p.${into}`,
  apart: true,
});
const made = (joints: readonly Joint[], parts: readonly Part[]) => fastenings(joints, parts, 'in');
const inch = (length: number) => length / inches(1);
const printed = ({ hinges }: Fastening) => hinges.map((place) => printLength(place, 'in'));

/** A side of a case 12 deep, and a door of 3/4 that lies over all of its edge. */
const side = (high: number) => part('S', [0, 0, 0], [0.75, 12, high], 2, 1);
const door = (high: number, thick = 0.75) => part('D', [0, -thick, 0], [16, thick, high], 2, 0, 'door');

describe('hinges, worked by hand', () => {
  test('a door 30 high: a sixth is 5, so 4 at most: middles 4 and 26 from the top', () => {
    const [item] = made([joint('hinge', 'D', 'S')], [door(30), side(30)]);
    expect(item).toMatchObject({ by: 'hardware', from: 'top edge', troubles: [] });
    expect(printed(item!)).toEqual(['4', '26']);
    // Two screws of each of four leaves, 5/8 either side of the middle, in the middle of the edge that is 3/4.
    expect(item!.shanks).toHaveLength(8);
    const inSide = item!.shanks.filter(({ through }) => through === 'p.S');
    expect(inSide.map(({ from }) => [inch(from[0]), inch(from[2])])).toEqual(
      [26 - 0.625, 26 + 0.625, 4 - 0.625, 4 + 0.625].map((z) => [0.375, z]),
    );
    for (const { length, left, through, direction } of item!.shanks) {
      expect(inch(length)).toBe(0.625);
      expect(direction[1]).toBe(through === 'p.S' ? 1 : -1);
      expect(inch(left)).toBeCloseTo(through === 'p.S' ? 12 - 0.625 : 0.125, 2);
    }
  });

  test('a small door has them nearer its ends, a tall one has three, a very tall one four', () => {
    expect(hingePlaces(inches(9)).map(inch)).toEqual([1.75, 7.25]);
    expect(hingePlaces(inches(18)).map(inch)).toEqual([3, 15]);
    expect(hingePlaces(inches(50)).map(inch)).toEqual([4, 25, 46]);
    expect(hingePlaces(inches(70)).map(inch)).toHaveLength(4);
  });

  test('in a door of 1/2 the screws are shorter: an eighth is left', () => {
    const [item] = made([joint('hinge', 'D', 'S')], [door(30, 0.5), side(30)]);
    const inDoor = item!.shanks.filter(({ through }) => through === 'p.D');
    for (const { length, left } of inDoor) expect([inch(length), inch(left)]).toEqual([0.375, 0.125]);
  });

  test('where a dado leaves no wood for a screw, the hinge gives way by the quarter inch', () => {
    const dado = {
      kind: 'dado' as const,
      axis: 2 as const,
      outline: [
        [inches(25), 0],
        [inches(25.75), 0],
        [inches(25.75), inches(12)],
        [inches(25), inches(12)],
      ] as const,
      from: 0,
      to: inches(0.75),
      for: null,
    };
    const notched = { ...side(30), cuts: [dado] };
    const [item] = made([joint('hinge', 'D', 'S')], [door(30), notched]);
    expect(item!.troubles).toEqual([]);
    expect(printed(item!)).not.toEqual(['4', '26']);
    for (const { from, direction, length, through } of item!.shanks)
      if (through === 'p.S') expect(raysIn(solidOf(notched), from, direction)[0]![1]).toBeGreaterThan(length);
  });

  test('a drop front hangs along its lower edge, told from the left end', () => {
    const drop = part('D', [0, -0.75, 0.125], [24, 0.75, 14], 0, 2, 'door');
    const bottom = part('B', [0, 0, 0], [24, 12, 0.75], 0, 1, 'shelf');
    const [item] = made([joint('hinge', 'D', 'B')], [drop, bottom]);
    expect(item!.from).toBe('left end');
    expect(printed(item!)).toEqual(['4', '20']);
  });
});

test('pins of two shelves at one height do not meet in the upright between them', () => {
  const parts = [
    part('H', [0, 0, 10], [20, 12, 0.75], 0, 1, 'shelf'),
    part('U', [20, 0, 0], [0.71875, 12, 30], 2, 1),
    part('I', [20.71875, 0, 10], [20, 12, 0.75], 0, 1, 'shelf'),
  ];
  const [left, right] = made([joint('pins', 'H', 'U'), joint('pins', 'I', 'U')], parts);
  expect([left!.shanks.length, right!.shanks.length]).toEqual([2, 2]);
  for (const [at, one] of left!.shanks.entries()) {
    const other = right!.shanks[at]!;
    // 5/16 from each side of 23/32 leaves 3/32.
    expect(inch(tipOf(other)[0] - tipOf(one)[0])).toBeCloseTo(3 / 32, 3);
    expect(inch(one.bite)).toBe(5 / 16);
  }
});

const WITH_HARDWARE = STARTS.filter(({ id }) =>
  ['cupboard', 'chest', 'end-table', 'extending', 'hairpin'].includes(id),
);

/** Cupboards, carts and tables with drawers or bought legs, of many sizes. */
const pieces = fc
  .record({
    start: fc.constantFrom(...WITH_HARDWARE),
    more: fc.tuple(fc.integer({ min: -2, max: 12 }), fc.integer({ min: -1, max: 6 }), fc.integer({ min: -2, max: 20 })),
    front: fc.constantFrom('doors', 'drop front', 'drawers'),
    columns: fc.integer({ min: 1, max: 3 }),
  })
  .map(({ start, more, front, columns }): Piece => {
    const piece = pieceFrom(start, 'p');
    if (piece.family !== 'case') return piece;
    const { length, width, height } = piece.size;
    return {
      ...piece,
      size: { length: length + inches(more[0]), width: width + inches(more[1]), height: height + inches(more[2]) },
      choices: { ...piece.choices, front, columns },
    };
  });

test('no screw of any hardware comes out, meets another of its own or is met by a fastener', () => {
  fc.assert(
    fc.property(pieces, (piece) => {
      const model = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
      const all = fastenings(model.joints, model.parts, 'in', piece);
      for (const item of all.filter(({ by }) => by === 'hardware')) {
        // Pins end to end are measured above: `clash` rounds the ends of bores.
        const pins = item.joint.kind === 'pins';
        const others = all
          .filter((other) => other !== item && !(pins && other.joint.kind === 'pins'))
          .flatMap(({ shanks }) => shanks);
        for (const shank of item.shanks) {
          expect(shank.left).toBeGreaterThan(0);
          if (item.troubles.length > 0) continue;
          const met = others.filter((other) => clash(shank, other) && meetsIn(shank, other, model.parts));
          expect(met).toEqual([]);
        }
      }
    }),
    runs(25),
  );
});

/** Slides of one drawer and hinges of one door are drawn on both sides of a gap; only bores of one part can meet. */
const meetsIn = (one: { through: string }, other: { through: string }, parts: readonly Part[]): boolean => {
  const [a, b] = [one, other].map(({ through }) => boxOf(parts.find(({ id }) => id === through)!));
  return (
    one.through === other.through ||
    ([0, 1, 2] as const).every((axis) => a!.min[axis] < b!.max[axis] && b!.min[axis] < a!.max[axis])
  );
};
