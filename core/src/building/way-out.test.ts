import fc from 'fast-check';
import { inches } from '../length';
import { DEFAULT_SHOP, type Shop } from '../job';
import type { Part } from '../piece';
import { board, boxAt } from '../piece/kit';
import { plain } from '../words';
import { longestRound, staysBecause } from './way-out';

const inch = (length: number) => length / inches(1);
const block = (x: number, y: number, z: number): Part =>
  board(
    'p',
    { tag: 'A', role: 'rail', name: 'block', material: '2x4' },
    boxAt([0, 0, 0], [inches(x), inches(y), inches(z)]),
    0,
    1,
  );
const why = (size: readonly [number, number, number], more: Partial<Shop>) => {
  const phrase = staysBecause([block(...size)], { ...DEFAULT_SHOP, lift: 1000, ...more });
  return phrase && plain(phrase, 'in');
};

test('a ladder round a corner: 36 into 36 is 101.8, 27 into 64 is 125', () => {
  expect(inch(longestRound({ before: inches(36), after: inches(36) }, 0))).toBeCloseTo(36 * 2 ** 1.5, 1);
  // 27 and 64 are cubes: 9 + 16 = 25, and 25 to the 3/2 is 125.
  expect(inch(longestRound({ before: inches(27), after: inches(64) }, 0))).toBeCloseTo(125, 1);
});

test('36 into 36 at 45 degrees: each inch of thickness takes two of length', () => {
  for (const deep of [2, 8, 14])
    expect(inch(longestRound({ before: inches(36), after: inches(36) }, inches(deep)))).toBeCloseTo(
      36 * 2 ** 1.5 - 2 * deep,
      1,
    );
});

/**
 * Whether a rectangle pushed into the outer corner clears the inner one at every angle: its four sides, point by point.
 */
function goesRound(before: number, after: number, long: number, deep: number): boolean {
  for (let degrees = 0.5; degrees < 90; degrees += 0.5) {
    const t = (degrees * Math.PI) / 180;
    // One long side has its ends on the two outer walls; the inner corner must not be between it and the other side.
    const [from, to] = [
      [long * Math.cos(t), 0],
      [0, long * Math.sin(t)],
    ] as const;
    const along = [(to[0] - from[0]) / long, (to[1] - from[1]) / long] as const;
    const corner = [before - from[0], after - from[1]] as const;
    const off = corner[0] * along[1] - corner[1] * along[0];
    if (off < deep) return false;
  }
  return true;
}

test('what is just shorter goes round at every angle, what is longer does not at some', () => {
  const side = fc.integer({ min: 24, max: 70 });
  fc.assert(
    fc.property(side, side, fc.integer({ min: 1, max: 23 }), (before, after, deep) => {
      const most = inch(longestRound({ before: inches(before), after: inches(after) }, inches(deep)));
      // No longer than the way is wide, it need not be turned.
      if (most <= Math.max(before, after)) return;
      expect(goesRound(before, after, most - 0.05, deep)).toBe(true);
      expect(goesRound(before, after, most + 0.2, deep)).toBe(false);
    }),
  );
});

describe('what is made where it stays', () => {
  test('a table 66 by 32 by 30 goes through a door of 30 on edge, not through one of 28', () => {
    expect(why([66, 32, 30], {})).toBeNull();
    expect(why([66, 32, 30], { door: inches(28) })).toContain('the door 28');
  });

  test('the turn of the stairs: 84 long and 30 thick does not pass 36 into 36, stood on its end 66 does', () => {
    const turn = { turn: { before: inches(36), after: inches(36) } };
    // 101.8 less 60 is 41.8.
    expect(why([84, 32, 30], turn)).toContain('41');
    expect(why([84, 32, 3], turn)).toBeNull();
    expect(why([66, 32, 30], turn)).toBeNull();
    expect(why([66, 44, 30], turn)).not.toBeNull();
  });

  test('the load space is tried by its sides in any order', () => {
    const load = { load: { length: inches(70), width: inches(40), height: inches(32) } };
    expect(why([32, 30, 66], load)).toBeNull();
    expect(why([72, 30, 30], load)).toContain('driven');
  });

  test('nothing is no reason', () => expect(staysBecause([], DEFAULT_SHOP)).toBeNull());
});
