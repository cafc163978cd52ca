import { last, nth } from '../lists';
import { clipped, type Flat } from './outline';
import { boundsOf } from './bounds';
import { rayIn } from './ray';
import { limitsOf, type Cell, type Solid } from './solid';
import { add, cross, dot, times, unit, type Vec } from './vector';

/** Two directions square to a third and to each other. */
export function squareTo(direction: Vec): readonly [Vec, Vec] {
  const other: Vec = Math.abs(direction[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
  const first = unit(cross(direction, other));
  return [first, cross(direction, first)];
}

/** Convex hull of points in a plane, counter-clockwise (monotone chain, Andrew 1979). */
export function hull(points: readonly Flat[]): readonly Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: Flat, a: Flat, b: Flat) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (row: readonly Flat[]) => {
    const out: Flat[] = [];
    for (const point of row) {
      while (out.length >= 2 && turn(nth(out, out.length - 2), last(out), point) <= 1) out.pop();
      out.push(point);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

/** Things this near slide past each other: parts are rounded to 1/320 mm, slanted ones at both ends. */
const SLIDES = 10;

const shadowOf = (cell: Cell, [a, b]: readonly [Vec, Vec]): readonly Flat[] =>
  hull(cell.flatMap(({ points }) => points.map((point): Flat => [dot(point, a), dot(point, b)])));

/** What two convex polygons share, the second made smaller by the slack all round; empty where they slide past. */
function shared(a: readonly Flat[], b: readonly Flat[]): readonly Flat[] {
  let rest = a;
  for (let at = 0; at < b.length && rest.length > 0; at++) {
    const [[x, y], [nextX, nextY]] = [nth(b, at), nth(b, (at + 1) % b.length)];
    const size = Math.hypot(nextX - x, nextY - y);
    if (size === 0) continue;
    const normal: Flat = [(nextY - y) / size, (x - nextX) / size];
    rest = clipped(rest, normal, normal[0] * x + normal[1] * y - SLIDES);
  }
  return rest;
}

type Limits = { readonly low: Vec; readonly high: Vec };
/** Along an axis things whose boxes do not overlap across it slide past each other; so does what is behind. */
const passes = (a: Limits, b: Limits, along: 0 | 1 | 2, forward: boolean): boolean =>
  ([0, 1, 2] as const).some(
    (axis) => axis !== along && (a.low[axis] > b.high[axis] - SLIDES || b.low[axis] > a.high[axis] - SLIDES),
  ) || (forward ? b.high[along] <= a.low[along] + SLIDES : b.low[along] >= a.high[along] - SLIDES);

/**
 * Whether one body stands in the way of another that moves in a direction without end. Neither fills the space of the
 * other; for two convex bodies it then holds for all their common shadow what holds at one point of it: one is ahead.
 */
export function blocks(moving: Solid, still: Solid, direction: Vec): boolean {
  const along = ([0, 1, 2] as const).find((axis) => Math.abs(direction[axis]) > 1 - 1e-9);
  const forward = along !== undefined && direction[along] > 0;
  const limits = (solid: Solid): Limits => {
    const [low, high] = limitsOf(solid);
    return { low, high };
  };
  if (along !== undefined && passes(limits(moving), limits(still), along, forward)) return false;
  const plane = squareTo(direction);
  return moving.some((cell) => {
    const own = boundsOf(cell);
    let shadow: readonly Flat[] | null = null;
    return still.some((other) => {
      const its = boundsOf(other);
      if (along !== undefined) {
        if (passes(own, its, along, forward)) return false;
        // Two boxes that overlap across, one not behind the other: it is ahead.
        if (own.box && its.box) return true;
      }
      shadow ??= shadowOf(cell, plane);
      const both = shared(shadow, shadowOf(other, plane));
      if (both.length < 3) return false;
      const [x, y] = both.reduce<Flat>(([sx, sy], [px, py]) => [sx + px / both.length, sy + py / both.length], [0, 0]);
      const from = add(times(plane[0], x), times(plane[1], y));
      const [mine, ahead] = [rayIn(cell, from, direction), rayIn(other, from, direction)];
      return mine !== null && ahead !== null && ahead[0] + ahead[1] > mine[0] + mine[1];
    });
  });
}
