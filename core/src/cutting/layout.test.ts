import fc from 'fast-check';
import { inches } from '../length';
import { fill, fillAll } from './fill';
import { groupsOf } from './group';
import { flipped, layOut, lean, namesOf, type CutLayout } from './layout';
import { FLIPS } from './region';
import { boardOf, partOf, problemOf } from './testing/lists';

const W = 3.5;

/** The one board of a list, laid out: the parts that lie on it, its cuts and what is left, in inches. */
function laidOut(parts: Parameters<typeof problemOf>[1], more: Partial<ReturnType<typeof boardOf>> = {}) {
  const [group] = groupsOf(problemOf([{ ...boardOf('b', 96, W, 5, 0), ...more }], parts));
  const [pattern] = fillAll(
    group!,
    group!.items.map(({ quantity }) => quantity),
    group!.items.map(({ length }) => length),
  );
  const inInches = ({ pieces, cuts, offcuts, stock }: CutLayout) => ({
    stock,
    pieces: pieces.map(({ part, x, length, flip }) => ({ part, x: x / inches(1), length: length / inches(1), flip })),
    cuts: cuts.map(({ kind, at, angle }) => ({ kind, at: at / inches(1), angle })),
    offcuts: offcuts.map(({ x, length }) => ({ x: x / inches(1), length: length / inches(1) })),
  });
  return inInches(layOut(group!, pattern!, namesOf(group!)));
}

describe('slants of a piece as it is turned', () => {
  const ends = { left: 30, right: -10 };

  test('by hand: mirrored in length they change places and signs; over, signs alone; half a turn, places alone', () => {
    expect(flipped(ends, 'none')).toEqual(ends);
    expect(flipped(ends, 'end')).toEqual({ left: 10, right: -30 });
    expect(flipped(ends, 'over')).toEqual({ left: -30, right: 10 });
    expect(flipped(ends, 'both')).toEqual({ left: -10, right: 30 });
  });

  test('turned twice the same way it lies as it was; one after the other is both', () => {
    fc.assert(
      fc.property(fc.integer({ min: -75, max: 75 }), fc.integer({ min: -75, max: 75 }), (left, right) => {
        for (const flip of FLIPS) expect(flipped(flipped({ left, right }, flip), flip)).toEqual({ left, right });
        expect(flipped(flipped({ left, right }, 'end'), 'over')).toEqual(flipped({ left, right }, 'both'));
      }),
    );
  });

  test('45 leans as far as it is wide, 0 not at all, the other way is less than nothing', () => {
    expect([lean(45, inches(W)), lean(0, inches(W)), lean(-45, inches(W))]).toEqual([inches(W), 0, -inches(W)]);
  });
});

describe('a board laid out, by hand', () => {
  test('three of 30 on 96: cut at 30, 60 1/8 and 90 1/4; 5 5/8 is left behind the saw', () => {
    const { pieces, cuts, offcuts } = laidOut([partOf('a', 2, 30, W), partOf('b', 1, 30, W)]);
    expect(pieces.map(({ part, x }) => [part, x])).toEqual([
      ['a', 0],
      ['a', 30.125],
      ['b', 60.25],
    ]);
    expect(cuts).toEqual([30, 60.125, 90.25].map((at) => ({ kind: 'crosscut', at, angle: 0 })));
    expect(offcuts).toEqual([{ x: 90.375, length: 5.625 }]);
  });

  test('a piece as long as the board is cut nowhere', () => {
    expect(laidOut([partOf('a', 1, 96, W)])).toMatchObject({ cuts: [], offcuts: [] });
  });

  test('ends that are squared first: a cut at each, where something reaches them', () => {
    const squared = laidOut([partOf('a', 1, 95, W)], { trim: { ends: 0.5, edges: 0 } });
    expect(squared.cuts.map(({ at }) => at)).toEqual([0.5, 95.5]);
    expect(squared.pieces.map(({ x }) => x)).toEqual([0.5]);
    // What does not reach the far end leaves it as it is.
    const short = laidOut([partOf('a', 1, 40, W)], { trim: { ends: 0.5, edges: 0 } });
    expect(short.cuts.map(({ at }) => at)).toEqual([0.5, 40.5]);
  });

  test('round a bad stretch: nothing lies in it', () => {
    const { pieces } = laidOut([partOf('a', 2, 40, W)], { defects: [{ from: 45, to: 48 }] });
    expect(pieces).toHaveLength(2);
    for (const { x, length } of pieces) expect(x + length <= 45 || x >= 48).toBe(true);
  });

  test('two braces of 45 share one slanted cut between them', () => {
    const { pieces, cuts } = laidOut([partOf('d', 2, 20, W, { left: 45, right: -45 })]);
    const slanted = cuts.filter(({ angle }) => angle !== 0);
    expect(pieces).toHaveLength(2);
    // One at each free end, one between; each leans by 45.
    expect(slanted).toHaveLength(3);
    for (const { angle } of slanted) expect(Math.abs(angle)).toBe(45);
  });
});

test('parts that are one size are handed out in the order of the list, each as often as it is wanted', () => {
  const [group] = groupsOf(problemOf([boardOf('b', 96, W, 5, 0)], [partOf('a', 2, 30, W), partOf('b', 1, 30, W)]));
  const nameOf = namesOf(group!);
  expect([nameOf(0), nameOf(0), nameOf(0)]).toEqual(['a', 'a', 'b']);
  expect(() => nameOf(0)).toThrow('part of the item');
  expect(fill(group!, 0, [3], [1]).counts).toEqual([3]);
});
