import fc from 'fast-check';
import { inches, tapeStep } from '../length';
import { DEFAULT_SHOP } from '../job';
import { AS_SOLD, sizesIn, TABLE_SIZES } from '../stock';
import { common, contacts, volumeOf } from '../solid';
import {
  acrossOf,
  alongOf,
  around,
  boxOf,
  buildPiece,
  divideTop,
  extent,
  newPiece,
  solidOf,
  topCandidates,
  type Box,
} from './index';
import { board, boxAt, halfLap, mirror, slatsBetween, spread, UP } from './kit';
import { runs } from '../testing/runs';

const boxes = fc
  .tuple(
    fc.integer({ min: 0, max: 50 }),
    fc.integer({ min: 0, max: 50 }),
    fc.integer({ min: 0, max: 50 }),
    fc.integer({ min: 1, max: 30 }),
    fc.integer({ min: 1, max: 30 }),
    fc.integer({ min: 1, max: 30 }),
  )
  .map(([x, y, z, a, b, c]): Box => boxAt([x, y, z], [a, b, c]));

describe('boxes', () => {
  test('mirroring twice is nothing done, and keeps the size', () => {
    fc.assert(
      fc.property(boxes, fc.constantFrom(0 as const, 1 as const, 2 as const), (box, axis) => {
        expect(mirror(mirror(box, axis, 200), axis, 200)).toEqual(box);
        expect(extent(mirror(box, axis, 200), axis)).toBe(extent(box, axis));
      }),
    );
  });

  test('the box around all holds each', () => {
    expect(around([])).toBeNull();
    expect(around([boxAt([0, 5, 1], [1, 1, 1]), boxAt([3, 2, 0], [1, 1, 9])])).toEqual({
      min: [0, 2, 0],
      max: [4, 6, 9],
    });
  });
});

describe('the kit', () => {
  test('a board fills its box, whichever way it lies', () => {
    const box = boxAt([1, 2, 3], [100, 7, 30]);
    for (const [along, across] of [
      [0, 1],
      [0, 2],
      [1, 0],
      [1, 2],
      [2, 0],
      [2, 1],
    ] as const) {
      const part = board('p', { tag: 'A1', role: 'apron', name: 'apron', material: '2x4' }, box, along, across);
      expect(part).toMatchObject({
        id: 'p.A1',
        length: extent(box, along),
        width: extent(box, across),
        plies: 1,
        fit: null,
      });
      expect(boxOf(part)).toEqual(box);
      expect(volumeOf(solidOf(part))).toBeCloseTo(100 * 7 * 30);
      expect([alongOf(part), acrossOf(part)]).toEqual([along, across]);
    }
  });

  test('half laps: each loses half where they cross, and together they fill it', () => {
    const beam = (tag: string, along: 0 | 1) =>
      board(
        'p',
        { tag, role: 'foot', name: 'beam', material: '2x4' },
        along === 0 ? boxAt([0, 4000, 0], [10_000, 2000, 3000]) : boxAt([4000, 0, 1000], [2000, 10_000, 3000]),
        along,
        2,
      );
    const [low, high] = halfLap(beam('F1', 0), beam('F2', 1), UP);
    // They share 2000 by 2000 by 2000: half of it comes out of each.
    expect(volumeOf(solidOf(low))).toBeCloseTo(10_000 * 2000 * 3000 - 2000 * 2000 * 1000);
    expect(volumeOf(solidOf(high))).toBeCloseTo(10_000 * 2000 * 3000 - 2000 * 2000 * 1000);
    expect(volumeOf(common(solidOf(low), solidOf(high)))).toBeCloseTo(0);
    expect(contacts(solidOf(low), solidOf(high)).length).toBeGreaterThan(0);
  });

  test('spread: equal gaps to a tape step, inside the ends, in order', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 40, max: 90 }), (count, span) => {
        const step = tapeStep('in');
        const starts = spread(0, inches(span), inches(1.5), count, step);
        expect(starts).toHaveLength(count);
        const edges = [0, ...starts.flatMap((start) => [start, start + inches(1.5)]), inches(span)];
        const gaps = edges.filter((_, at) => at % 2 === 0).map((from, at) => edges[2 * at + 1]! - from);
        expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(2 * step);
        for (const start of starts) expect(start % step).toBe(0);
      }),
    );
  });

  test('slats: one spacer sets every gap, as many as go, what is over at both ends', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 90 }), fc.integer({ min: 2, max: 9 }), (span, wide) => {
        const [step, least] = [tapeStep('in'), inches(1 / 2)];
        const [to, width] = [inches(span), inches(wide)];
        const starts = slatsBetween(0, to, width, least, step);
        const gaps = starts.slice(1).map((start, at) => start - starts[at]! - width);
        expect(new Set(gaps).size).toBeLessThanOrEqual(1);
        for (const gap of gaps) {
          expect(gap).toBeGreaterThanOrEqual(least);
          expect(gap % step).toBe(0);
        }
        const [before, after] = [starts[0]!, to - starts.at(-1)! - width];
        expect(before).toBeGreaterThanOrEqual(0);
        expect(after - before).toBeGreaterThanOrEqual(0);
        expect(after - before).toBeLessThanOrEqual(2 * step);
        // One more would not go.
        expect((starts.length + 1) * width + starts.length * least).toBeGreaterThan(to);
      }),
    );
    // By hand: 32 in, slats of 3 1/2: eight leave 4 in for seven gaps, 9/16 each, 1/32 over at each end.
    const eight = slatsBetween(0, inches(32), inches(3.5), inches(0.5), tapeStep('in'));
    expect(eight.map((start) => start / inches(1)).slice(0, 3)).toEqual([0, 4.0625, 8.125]);
  });
});

describe('tops', () => {
  test('boards add up to the top exactly, none wider than it can be, all but the last to one fence setting', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3 * 64, max: 48 * 64 }),
        fc.constantFrom('1x4' as const, '2x6' as const, '2x10' as const, '1x12' as const),
        fc.constantFrom('ripped' as const, 'as bought' as const),
        fc.constantFrom('in' as const, 'mm' as const),
        (marks, nominal, edges, units) => {
          const width = marks * 127;
          const { widths } = divideTop(width, nominal, edges, inches(1 / 8), units, sizesIn(AS_SOLD, TABLE_SIZES));
          expect(widths.reduce((sum, board) => sum + board, 0)).toBe(width);
          const most =
            inches({ '1x4': 3.5, '2x6': 5.5, '2x10': 9.25, '1x12': 11.25 }[nominal]) -
            (edges === 'ripped' ? inches(1 / 4) : 0);
          expect(Math.max(...widths)).toBeLessThanOrEqual(most);
          expect(Math.min(...widths)).toBeGreaterThan(0);
          if (edges === 'ripped') expect(new Set(widths.slice(0, -1)).size).toBeLessThanOrEqual(1);
        },
      ),
      runs(400, 2),
    );
  });

  test('candidates: one where a width is chosen, all of its thickness for the cheapest', () => {
    const piece = newPiece('t', 'desk');
    expect(topCandidates(piece)).toEqual(['2x4', '2x6', '2x8', '2x10', '2x12']);
    const one = { ...piece, topChoices: { thickness: '1x', width: '8' } };
    expect(topCandidates(one)).toEqual(['1x8']);
  });
});

describe('four legs and aprons', () => {
  const at = (legs: 'two 2x4' | 'three 2x4' | '4x4') => {
    const piece = { ...newPiece('t', 'standing'), choices: { ...newPiece('t', 'standing').choices, legs } };
    return buildPiece(piece, '2x6', DEFAULT_SHOP, 'in').parts.find((part) => part.tag === 'L1')!;
  };
  test.each([
    ['4x4', 3.5, 1],
    ['two 2x4', 3, 2],
    ['three 2x4', 4.5, 3],
  ] as const)('legs of %s', (legs, thick, plies) => {
    const leg = at(legs);
    const sides = [0, 1].map((axis) => extent(boxOf(leg), axis as 0 | 1)).sort((a, b) => a - b);
    expect(sides).toEqual([inches(Math.min(thick, 3.5)), inches(Math.max(thick, 3.5))]);
    expect(leg.plies).toBe(plies);
  });

  test('the four legs stand in the corners, and opposite parts are equal', () => {
    const piece = newPiece('t', 'standing');
    const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
    const size = (tag: string) => {
      const { length, width, thickness } = parts.find((part) => part.tag === tag)!;
      return [length, width, thickness];
    };
    expect(size('A1')).toEqual(size('A2'));
    expect(size('E1')).toEqual(size('E2'));
    const legs = parts.filter((part) => part.role === 'leg').map(boxOf);
    const whole = around(legs)!;
    expect(extent(whole, 0)).toBe(piece.size.length - 2 * inches(3));
    expect(extent(whole, 1)).toBe(piece.size.width - 2 * inches(2));
  });
});
