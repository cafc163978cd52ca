import { clipped, type Flat } from './outline';
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
      while (out.length >= 2 && turn(out.at(-2)!, out.at(-1)!, point) <= 1) out.pop();
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
    const [[x, y], [nextX, nextY]] = [b[at]!, b[(at + 1) % b.length]!];
    const size = Math.hypot(nextX - x, nextY - y);
    if (size === 0) continue;
    const normal: Flat = [(nextY - y) / size, (x - nextX) / size];
    rest = clipped(rest, normal, normal[0] * x + normal[1] * y - SLIDES);
  }
  return rest;
}

/** Quick answer along an axis: boxes that do not overlap across it slide past each other; so does what is behind. */
function passes(moving: Solid, still: Solid, direction: Vec): boolean {
  const along = ([0, 1, 2] as const).find((axis) => Math.abs(direction[axis]) > 1 - 1e-9);
  const [[lowA, highA], [lowB, highB]] = [limitsOf(moving), limitsOf(still)];
  if (along === undefined) return false;
  const aside = ([0, 1, 2] as const).some((axis) => axis !== along && (lowA[axis] > highB[axis] - SLIDES || lowB[axis] > highA[axis] - SLIDES)); // prettier-ignore
  return aside || (direction[along] > 0 ? highB[along] <= lowA[along] + SLIDES : lowB[along] >= highA[along] - SLIDES);
}

/**
 * Whether one body stands in the way of another that moves in a direction without end. Neither fills the space of the
 * other; for two convex bodies it then holds for all their common shadow what holds at one point of it: one is ahead.
 */
export function blocks(moving: Solid, still: Solid, direction: Vec): boolean {
  if (passes(moving, still, direction)) return false;
  const plane = squareTo(direction);
  const shadows = still.map((cell) => shadowOf(cell, plane));
  return moving.some((cell) => {
    const own = shadowOf(cell, plane);
    return still.some((other, at) => {
      const both = shared(own, shadows[at]!);
      if (both.length < 3) return false;
      const [x, y] = both.reduce<Flat>(([sx, sy], [px, py]) => [sx + px / both.length, sy + py / both.length], [0, 0]);
      const from = add(times(plane[0], x), times(plane[1], y));
      const [mine, its] = [rayIn(cell, from, direction), rayIn(other, from, direction)];
      return mine !== null && its !== null && its[0] + its[1] > mine[0] + mine[1];
    });
  });
}
