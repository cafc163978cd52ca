import fc from 'fast-check';
import { inches } from '../length';
import { runs } from '../testing/runs';
import { chainOf, endKind, SQUARE, stepBetween, type Ended } from './ends';

const KERF = inches(1 / 8);
const WIDTH = inches(3.5);

describe('ends, by hand', () => {
  test('a mitre of 45 reaches as far along as the piece is wide, either way it leans; a square end not at all', () => {
    expect(endKind(45, WIDTH)).toEqual({ angle: 45, reach: WIDTH - 1, width: WIDTH });
    expect(endKind(-45, WIDTH)).toEqual(endKind(45, WIDTH));
    expect(endKind(0, WIDTH)).toBe(SQUARE);
  });

  test('an end of 30 reaches the width over the root of three, rounded to what is surely there', () => {
    const { reach } = endKind(30, WIDTH);
    expect(reach).toBe(Math.floor(WIDTH / Math.sqrt(3)));
  });

  test('two square ends stand a kerf apart', () => expect(stepBetween(SQUARE, SQUARE, KERF)).toBe(KERF));

  test('two mitres of 45 share their slant: the saw takes the root of two of its kerf, their points pass each other', () => {
    const end = endKind(45, WIDTH);
    expect(stepBetween(end, end, KERF)).toBe(Math.ceil(KERF * Math.SQRT2) - end.reach);
    expect(stepBetween(end, end, KERF)).toBeLessThan(0);
  });

  test('a mitre beside a square end shares nothing, and still the saw leans', () => {
    expect(stepBetween(endKind(45, WIDTH), SQUARE, KERF)).toBe(Math.ceil(KERF * Math.SQRT2));
  });

  test('of two slants of one width the shorter reach is shared; of two widths none', () => {
    const [steep, flat] = [endKind(45, WIDTH), endKind(10, WIDTH)];
    expect(stepBetween(steep, flat, KERF)).toBe(Math.ceil(KERF * Math.SQRT2) - flat.reach);
    expect(stepBetween(steep, endKind(10, inches(5.5)), KERF)).toBe(Math.ceil(KERF * Math.SQRT2));
    expect(stepBetween(steep, flat, KERF)).toBe(stepBetween(flat, steep, KERF));
  });
});

/** The least sum of steps over every order of some pieces and every way to turn them: tried, one by one. */
function leastOf(pieces: readonly Ended[], steps: readonly (readonly number[])[]): number {
  let best = Infinity;
  const put = (left: readonly Ended[], last: number | null, sum: number): void => {
    if (left.length === 0) best = Math.min(best, sum);
    left.forEach(({ ends: [a, b] }, at) => {
      const rest = left.filter((_, k) => k !== at);
      for (const [from, to] of [
        [a, b],
        [b, a],
      ] as const)
        put(rest, to, sum + (last === null ? 0 : steps[last]![from]!));
    });
  };
  put(pieces, null, 0);
  return best;
}

const kinds = 3;
const table = fc
  .array(fc.integer({ min: -40, max: 40 }), { minLength: 6, maxLength: 6 })
  .map(([aa, bb, cc, ab, ac, bc]) => [
    [aa!, ab!, ac!],
    [ab!, bb!, bc!],
    [ac!, bc!, cc!],
  ]);
const kind = fc.integer({ min: 0, max: kinds - 1 });
const pieces = fc.array(fc.record({ ends: fc.tuple(kind, kind) }), { minLength: 1, maxLength: 5 });

test('no other order of a lane, turned any way, is shorter; each piece is in it once, and it adds up', () => {
  fc.assert(
    fc.property(pieces, table, (all, given) => {
      // As with true ends: like ends lie nearest, so that those alike at both ends are best kept together.
      const loop = (a: number) => -Math.abs(given[a]![a]!);
      const steps = given.map((row, a) => row.map((step, b) => (a === b ? loop(a) : Math.max(step, loop(a), loop(b)))));
      const { links, steps: sum } = chainOf(all, steps);
      expect(new Set(links.map(({ piece }) => piece))).toEqual(new Set(all));
      expect(links).toHaveLength(all.length);
      const laid = links.map(({ piece: { ends }, reversed }) => (reversed ? [ends[1], ends[0]] : ends));
      const told = laid.slice(1).reduce((total, [from], k) => total + steps[laid[k]![1]!]![from!]!, 0);
      expect(told).toBe(sum);
      expect(sum).toBe(leastOf(all, steps));
    }),
    runs(150, 71),
  );
});
