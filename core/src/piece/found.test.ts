import { inches } from '../length';
import { DEFAULT_SHOP } from '../job';
import { plain } from '../words';
import { boxOf, buildPiece, fromFound, STARTS, weightOf, type FoundTop, type FromFound } from './index';

const top = (length: number, width: number, thickness = 1.5): FoundTop => ({
  length: inches(length),
  width: inches(width),
  thickness: inches(thickness),
});
const from = (found: FoundTop) => fromFound(found, DEFAULT_SHOP, 'in', 'p');
const of = (all: readonly FromFound[], id: string) => all.find(({ start }) => start.id === id)!;
const why = (all: readonly FromFound[], id: string) => {
  const { because } = of(all, id);
  return because && plain(because, 'in');
};

describe('an old top of 47 3/8 by 19 3/4, 1 1/2 thick', () => {
  const all = from(top(47.375, 19.75));

  test('each start with a straight top is judged once; round ones, tiles, cases and tops alone are not for it', () => {
    const ids = all.map(({ start }) => start.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toEqual(expect.arrayContaining(['dining', 'desk', 'coffee', 'bench', 'end-table', 'trestle']));
    for (const none of ['octagon', 'tiled', 'top', 'cupboard', 'bookcase']) expect(ids).not.toContain(none);
  });

  test('it serves as a coffee table, a desk or a bench; for dining it is too narrow', () => {
    for (const id of ['coffee', 'desk', 'bench']) expect([id, of(all, id).because]).toEqual([id, null]);
    expect(why(all, 'dining')).toBe('19 3/4 is too narrow; it wants 28.');
  });

  test('what is offered is built on just that top, at its usual height, and nothing stops it', () => {
    for (const { start, piece, because } of all) {
      if (because !== null) continue;
      const { parts, findings } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
      expect([start.id, findings]).toEqual([start.id, []]);
      const tops = parts.filter(({ role }) => role === 'top');
      expect([
        start.id,
        tops.map(({ material, length, width, thickness }) => [material, length, width, thickness]),
      ]).toEqual([start.id, [['bought', inches(47.375), inches(19.75), inches(1.5)]]]);
      expect([start.id, boxOf(tops[0]!).max[2]]).toEqual([start.id, piece.size.height]);
      // Its own thickness takes the place of the one that start has: what stands below it is the same.
      if (start.family !== 'hairpin')
        expect([start.id, Math.abs(piece.size.height - inches(start.size[2])) <= inches(1.5)]).toEqual([
          start.id,
          true,
        ]);
    }
  });

  test('it weighs what so much wood of no known kind weighs', () => {
    const { parts } = buildPiece(of(all, 'coffee').piece, '2x6', DEFAULT_SHOP, 'in');
    // 47 3/8 x 19 3/4 x 1 1/2 is 1403.5 cubic inches, 0.8122 cubic feet, at 40 lb.
    expect(weightOf(parts.find(({ role }) => role === 'top')!)).toBeCloseTo(32.49, 2);
  });

  test('measured the other way round it is the same top', () => {
    const turned = from(top(19.75, 47.375));
    expect(turned.map(({ piece, because }) => [piece, because])).toEqual(
      all.map(({ piece, because }) => [piece, because]),
    );
  });
});

test('hairpin legs are sold so long: the top lies on them', () => {
  const { piece } = of(from(top(42, 20, 2)), 'hairpin');
  const legs = Number(piece.choices.height ?? STARTS.find(({ id }) => id === 'hairpin')!.choices.height);
  expect(piece.size.height).toBe(inches(legs + 2));
});

test('overhangs that leave no room are drawn in until the base goes under it', () => {
  // 36 long: ten in over at both ends leave 16 for two legs and no knees; a twelfth of it is 3.
  const { piece, because } = of(from(top(36, 30)), 'dining');
  expect(because).toBeNull();
  expect(buildPiece(piece, '2x6', DEFAULT_SHOP, 'in').findings).toEqual([]);
  expect(Number(piece.choices.overhangEnds)).toBeLessThanOrEqual(inches(10));
});

test.each([
  ['dining', top(120.5, 40), '120 1/2 is too long for one.'],
  ['dining', top(35.5, 30), '35 1/2 is too short; it wants 36.'],
  ['dining', top(80, 50), '50 is too wide; over 48 is out of reach.'],
  ['bench', top(48, 9), '9 is too narrow; it wants 10.'],
  ['bench', top(48, 21), '21 is too wide; over 20 is out of reach.'],
] as const)('%s of another size: it says what is wrong and what would serve', (id, found, says) => {
  expect(why(from(found), id)).toBe(says);
});

test('what serves and can not be built says what is in the way', () => {
  const all = from(top(14, 8.5));
  const { because } = of(all, 'end-table');
  expect(because).not.toBeNull();
  expect(plain(because!, 'in')).toMatch(/^[A-Z0-9].*\.$/);
  expect(plain(because!, 'in')).not.toMatch(/too (narrow|wide|short|long) ?[;f]/);
});
