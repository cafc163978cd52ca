import { inches, mm } from '../length';
import type { Part } from '../piece';
import { board, boxAt } from '../piece/kit';
import type { Vec } from '../solid';
import { named, sideAgainst, sideAt, spotsOn, told, type Teller } from './side';

const at = (x: number, y: number, z: number): Vec => [inches(x), inches(y), inches(z)];
/** A part that fills a box of inches, its length and width along the axes told. */
const part = (
  tag: string,
  from: readonly [number, number, number],
  size: readonly [number, number, number],
  along: 0 | 1 | 2,
  across: 0 | 1 | 2,
): Part =>
  board('p', { tag, role: 'rail', name: tag, material: '2x4' }, boxAt(at(...from), at(...size)), along, across);

/** A table 60 by 30, 30 high: its middle. */
const teller: Teller = { units: 'in', middle: at(30, 15, 15) };
const front = part('A1', [4, 1, 25], [52, 1.5, 3.5], 0, 2);
const back = part('A2', [4, 27.5, 25], [52, 1.5, 3.5], 0, 2);
const leg = part('L1', [1, 1, 0], [3.5, 1.5, 29], 2, 0);
const top = part('T1', [0, 0, 29], [60, 5.5, 1.5], 0, 1);

const sides = [0, 1, 2].flatMap((axis) => [-1, 1].map((sign) => ({ axis, sign }) as Parameters<typeof named>[1]));
const names = (of: Part) => sides.map((side) => named(of, side, teller).name);

describe('what the sides of a part are called, seen as it stands', () => {
  test('a rail on edge: ends left and right, edges below and above, faces inside and outside', () => {
    expect(names(front)).toEqual(['left end', 'right end', 'bottom edge', 'top edge', 'inside face', 'outside face']);
  });

  test('its mirror image is told by the same names', () => {
    expect([...names(back)].sort()).toEqual([...names(front)].sort());
  });

  test('a board that lies: front and back edges, an underside, a top face', () => {
    expect(names(top)).toEqual(['left end', 'right end', 'front edge', 'back edge', 'underside', 'top face']);
  });

  test('a leg: its ends are below and above; what looks at the middle is inside', () => {
    expect(names(leg)).toEqual(['bottom end', 'top end', 'outside edge', 'inside edge', 'outside face', 'inside face']);
  });

  test('in the very middle there is no inside: left, right, front and back', () => {
    const middle = part('C1', [29.25, 5, 25], [1.5, 20, 3.5], 1, 2);
    expect(names(middle)).toEqual(['front end', 'back end', 'bottom edge', 'top edge', 'left face', 'right face']);
  });

  test('a square stick has faces only', () => {
    const post = part('P1', [1, 1, 0], [3.5, 3.5, 29], 2, 0);
    expect(
      names(post)
        .slice(2)
        .every((name) => name.endsWith('face')),
    ).toBe(true);
  });
});

describe('the side that a hole begins at', () => {
  test('the one that its beginning lies on', () => {
    expect(sideAt(front, at(30, 1, 27), [0, 1, 0])).toMatchObject({ axis: 2 });
    expect(named(front, sideAt(front, at(30, 1, 27), [0, 1, 0]), teller).name).toBe('outside face');
    expect(named(front, sideAt(front, at(4, 1.75, 27), [1, 0, 0]), teller).name).toBe('left end');
    expect(named(front, sideAt(front, at(30, 1.75, 28.5), [0, 0, -1]), teller).name).toBe('top edge');
  });

  test('where it begins in the air, the one that its direction comes in by', () => {
    expect(sideAgainst(front, [0.2, -0.9, 0.1])).toEqual(sideAgainst(front, [0, -1, 0]));
    expect(named(front, sideAgainst(front, [0, -1, 0]), teller).name).toBe('inside face');
  });
});

describe('places as they are marked', () => {
  const places = (of: Part, over: number, points: readonly Vec[], units: 'in' | 'mm' = 'in') =>
    spotsOn(
      { part: of, over },
      sideAt(of, points[0]!, [0, 1, 0]),
      0,
      points.map((point) => ({ at: point, joint: 'j' })),
      { ...teller, units },
    );

  test('from the left end and the top edge of what stands', () => {
    const [one, two] = places(front, 0, [at(6, 1, 27), at(40, 1, 27)]);
    expect([one!.from.name, one!.at / inches(1), one!.across!.name, one!.off / inches(1)]).toEqual([
      'left end',
      2,
      'top edge',
      1.5,
    ]);
    expect(two!.at / inches(1)).toBe(36);
  });

  test('from the right end where all are nearer to it', () => {
    const [one, two] = places(front, 0, [at(46, 1, 27), at(50, 1, 27)]);
    expect([one!.from.name, one!.at / inches(1), two!.at / inches(1)]).toEqual(['right end', 10, 6]);
  });

  test('on a board that is still an inch too long at each end, from the end it has now', () => {
    expect(places(front, inches(1), [at(6, 1, 27)])[0]!.at / inches(1)).toBe(3);
  });

  test('of a slanted end from its long point', () => {
    const slanted = { ...front, ends: { ...front.ends, left: { mitre: 15, bevel: 0 } } };
    expect(places(slanted, 0, [at(6, 1, 27)])[0]!.from.name).toBe('long point of the left end');
  });

  test('to a sixty-fourth or half a millimetre, and no finer', () => {
    expect([told(inches(1 / 3), 'in') / inches(1), told(mm(10.3), 'mm') / mm(1)]).toEqual([21 / 64, 10.5]);
  });
});
