import fc from 'fast-check';
import { inches } from '../length';
import { board, boxAt, halfLap } from '../piece/kit';
import { dot, type Vec } from '../solid';
import { runs } from '../testing/runs';
import type { Part } from '../piece';
import { meetingOf, onPlane } from './meeting';

type Place = readonly [number, number, number];
const at = (place: Place): Place => place.map((value) => inches(value)) as unknown as Place;
/** A board that fills a box of inches. */
const part = (tag: string, from: Place, size: Place, along: 0 | 1 | 2 = 0, across: 0 | 1 | 2 = 1): Part =>
  board('p', { tag, role: 'rail', name: tag, material: '2x4' }, boxAt(at(from), at(size)), along, across);
const toInches = (span: readonly [number, number]) => span.map((value) => value / inches(1));

describe('where two boards meet, by hand', () => {
  // A rail 20 by 3 1/2 on edge, its left end on the inside of a post 3 1/2 square.
  const [rail, post] = [part('R', [3.5, 1, 10], [20, 1.5, 3.5], 0, 2), part('P', [0, 0, 0], [3.5, 3.5, 30], 2, 0)];

  test('a rail on a post: its whole end, out of it to the left', () => {
    const meeting = meetingOf(rail, post)!;
    expect(meeting.normal).toEqual([-1, 0, 0]);
    expect([meeting.axis, meeting.side]).toEqual([0, -1]);
    expect(meeting.area).toBeCloseTo(1.5 * 3.5, 6);
    // Along its own width from edge to edge, and through its thickness; the longer of the two is the width.
    expect(toInches(meeting.spans[1]!)).toEqual([0, 3.5]);
    expect(toInches(meeting.spans[2]!)).toEqual([0, 1.5]);
    expect(meeting.along).toBe(1);
  });

  test('seen from the post: the same face from the other side, at the height it is', () => {
    const meeting = meetingOf(post, rail)!;
    expect(meeting.normal).toEqual([1, 0, 0]);
    expect(meeting.area).toBeCloseTo(1.5 * 3.5, 6);
    expect(toInches(meeting.spans[0]!)).toEqual([10, 13.5]);
  });

  test('boards that only touch along a line, or lie apart, do not meet', () => {
    expect(meetingOf(part('A', [0, 0, 0], [10, 3.5, 1.5]), part('B', [0, 3.5, 1.5], [10, 3.5, 1.5]))).toBeNull();
    expect(meetingOf(part('A', [0, 0, 0], [10, 3.5, 1.5]), part('B', [0, 4, 0], [10, 3.5, 1.5]))).toBeNull();
  });

  test('two that lap meet where the halves lie on each other, not on the shoulders', () => {
    const [lower, upper] = [part('A', [0, 4, 0], [20, 3.5, 1.5]), part('B', [8, 0, 0], [3.5, 20, 1.5], 1, 0)];
    const [a, b] = halfLap(lower, upper, [0, 0, 1]);
    const meeting = meetingOf(a, b)!;
    expect(Math.abs(meeting.normal[2])).toBe(1);
    expect(meeting.reach / inches(1)).toBeCloseTo(0.75, 6);
    // 3 1/2 square and the four shoulders of 3/4 by 3 1/2.
    expect(meeting.area).toBeCloseTo(3.5 ** 2 + 4 * 0.75 * 3.5, 4);
  });

  test('a place told in a part’s own directions is found on the plane, whatever is said along its axis', () => {
    const meeting = meetingOf(rail, post)!;
    const places = [0, 7, -3].map((along) => onPlane(rail, meeting, [along, inches(1), inches(0.5)]));
    for (const place of places) expect(place).toEqual(places[0]);
    expect(places[0]![0]).toBe(inches(3.5));
  });
});

describe('laws of meetings', () => {
  const eighths = (least: number, most: number) => fc.integer({ min: 8 * least, max: 8 * most }).map((n) => n / 8);
  const size = fc.tuple(eighths(6, 30), eighths(2, 6), eighths(1, 2));
  const moves = fc.tuple(eighths(-40, 40), eighths(-40, 40), eighths(-40, 40));

  test('one board on another: alike from both sides, no more than either face, and the same wherever they stand', () => {
    fc.assert(
      fc.property(size, size, eighths(-5, 5), eighths(-2, 2), moves, (one, other, x, y, [mx, my, mz]) => {
        const pair = (off: Place): readonly [Part, Part] => [
          part('A', off, one),
          part('B', [off[0] + x, off[1] + y, off[2] + one[2]], other),
        ];
        const [a, b] = pair([0, 0, 0]);
        const [there, back] = [meetingOf(a, b), meetingOf(b, a)];
        expect(there === null).toBe(back === null);
        const lap = (from: number, low: number, high: number) =>
          Math.max(0, Math.min(low, from + high) - Math.max(0, from));
        const area = lap(x, one[0], other[0]) * lap(y, one[1], other[1]);
        if (!there || !back) return expect(area).toBeLessThan(0.1);
        expect(there.area).toBeCloseTo(area, 3);
        expect(back.area).toBeCloseTo(area, 3);
        expect(dot(there.normal, back.normal)).toBe(-1);
        expect(there.reach).toBe(-back.reach);
        const [c, d] = pair([mx, my, mz]);
        const moved = meetingOf(c, d)!;
        expect(moved.spans).toEqual(there.spans);
        expect(moved.area).toBeCloseTo(there.area, 6);
        const by: Vec = [inches(mx), inches(my), inches(mz)];
        expect(moved.reach).toBeCloseTo(there.reach + dot(there.normal, by), 3);
      }),
      runs(60, 3),
    );
  });
});
