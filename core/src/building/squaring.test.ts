import fc from 'fast-check';
import { inches, printLength } from '../length';
import type { Fastening } from '../joinery';
import { board, boxAt } from '../piece/kit';
import type { Part } from '../piece';
import { runs } from '../testing/runs';
import { caulsAlong, CLAMP_MINUTES, clampsAlong, diagonalOf, JOINTS_AT_ONCE, panels, rackOf } from './clamping';
import { diagonalsOf } from './diagonals';

describe('a glue-up', () => {
  test('three joints are closed before the glue skins over, and stay an hour in clamps', () => {
    expect([JOINTS_AT_ONCE, CLAMP_MINUTES]).toEqual([3, 60]);
  });

  test.each([
    [8, 2, 2],
    [20, 2, 2],
    [21, 3, 2],
    [36, 4, 2],
    [37, 4, 4],
    [60, 6, 4],
    [96, 10, 6],
  ])('%s in long: %s clamps, %s cauls', (length, clamps, cauls) => {
    expect([clampsAlong(inches(length)), caulsAlong(inches(length))]).toEqual([clamps, cauls]);
  });

  test.each([
    [1, [1]],
    [4, [4]],
    [5, [2, 3]],
    [8, [4, 4]],
    [11, [3, 4, 4]],
  ])('%s boards in panels of %j', (count, sizes) => expect(panels(count)).toEqual(sizes));

  test('law: panels are all of the boards, none takes longer than the glue stays open, and they differ by one at most', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), (count) => {
        const sizes = panels(count);
        expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(count);
        expect(Math.max(...sizes)).toBeLessThanOrEqual(JOINTS_AT_ONCE + 1);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
        // One panel less would be too large.
        expect((sizes.length - 1) * (JOINTS_AT_ONCE + 1)).toBeLessThan(count);
      }),
      runs(80, 1),
    );
  });
});

describe('what two diagonals say', () => {
  test('a frame 30 by 40 reads 50 both ways; within the tape’s own error it is square', () => {
    expect(diagonalOf(inches(30), inches(40))).toBe(inches(50));
    expect(rackOf([inches(30), inches(40)], [inches(50), inches(50)])).toBeNull();
    expect(rackOf([inches(30), inches(40)], [inches(50), inches(50 + 1 / 32)])).toBeNull();
  });

  test('law: sides that lean make a parallelogram; the far side is pushed back by what it leans', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 60 }),
        fc.integer({ min: 12, max: 60 }),
        fc.double({ min: 0.4, max: 6, noNaN: true }),
        fc.boolean(),
        (one, other, degrees, right) => {
          const [a, b] = [Math.max(one, other), Math.min(one, other)];
          const lean = (right ? 1 : -1) * Math.sin((degrees * Math.PI) / 180) * b;
          const up = Math.cos((degrees * Math.PI) / 180) * b;
          // Corners 0,0; a,0; a + lean, up; lean, up.
          const first = inches(Math.hypot(a + lean, up));
          const second = inches(Math.hypot(lean - a, up));
          const racked = rackOf([inches(one), inches(other)], [first, second]);
          if (Math.abs(first - second) <= inches(1 / 32)) return expect(racked).toBeNull();
          expect(racked!.long).toBe(right ? 'first' : 'second');
          expect(Math.abs(racked!.push - inches(Math.abs(lean)))).toBeLessThan(inches(1 / 64));
          expect(racked!.should).toBe(diagonalOf(inches(a), inches(b)));
        },
      ),
      runs(200, 2),
    );
  });
});

describe('the diagonals of what is made, by hand', () => {
  type Place = readonly [number, number, number];
  const part = (tag: string, role: Part['role'], from: Place, size: Place, along: 0 | 1 | 2) => {
    const [at, by] = [from, size].map((one) => one.map((value) => inches(value)) as unknown as Place);
    return board('p', { tag, role, name: tag, material: '2x4' }, boxAt(at!, by!), along, along === 2 ? 1 : 2);
  };
  const joined = (kind: 'rail end' | 'screws', drilled: Part, into: Part) =>
    ({ joint: { kind }, drilled, into }) as unknown as Fastening;
  const legs = [0, 24].map((y, k) => part(`L${k + 1}`, 'leg', [0, y, 0], [1.5, 3.5, 28], 2));
  const rail = part('E1', 'apron', [0, 3.5, 24], [1.5, 20.5, 4], 1);
  const joints = legs.map((leg) => joined('rail end', rail, leg));

  test('an end frame lies flat: its own outline, 27 1/2 by 28', () => {
    const own = [...legs, rail];
    const found = diagonalsOf(own, [], own, joints)!;
    const by = Math.hypot(27.5, 28);
    expect(found.reads.map((read) => read / inches(1))).toEqual([expect.closeTo(by, 2), expect.closeTo(by, 2)]);
    expect(found.sides!.map((side) => printLength(side, 'in'))).toEqual(['27 1/2', '28']);
  });

  test('frames joined by two rails: their plan', () => {
    const far = [...legs, rail].map((one): Part => ({
      ...one,
      id: `${one.id}b`,
      frame: { ...one.frame, at: [one.frame.at[0] + inches(40), one.frame.at[1], one.frame.at[2]] },
    }));
    const long = [0, 26].map((y, k) => part(`A${k + 1}`, 'apron', [1.5, y, 24], [38.5, 1.5, 4], 0));
    const made = long.flatMap((one) => [legs[0]!, far[0]!].map((leg) => joined('rail end', one, leg)));
    const found = diagonalsOf(long, [...legs, rail, ...far], [...long, ...legs, rail, ...far], made)!;
    expect(found.sides!.map((side) => side / inches(1))).toEqual([41.5, 27.5]);
  });

  test('a case is read at its front, a drawer in its plan; what has no rails has no corners to read', () => {
    const sides = [0, 30].map((x, k) => part(`G${k + 1}`, 'side', [x, 0, 0], [0.75, 12, 40], 2));
    expect(diagonalsOf(sides, [], sides, [])!.sides!.map((side) => side / inches(1))).toEqual([30.75, 40]);
    const box = [
      ...[0, 14].map((x, k) => part(`W${k}`, 'drawer', [x, 0, 0], [0.75, 16, 4], 1)),
      ...[0, 15.25].map((y, k) => part(`V${k}`, 'drawer', [0.75, y, 0], [13.25, 0.75, 4], 0)),
    ];
    expect(diagonalsOf(box, [], box, [])!.sides!.map((side) => side / inches(1))).toEqual([14.75, 16]);
    expect(diagonalsOf(legs, [], legs, [])).toBeNull();
    expect(diagonalsOf([], [], [], [])).toBeNull();
  });
});
