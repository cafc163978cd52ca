import { first, nth } from '../lists';
import type { Length } from '../length';
import type { Fastening } from '../joinery';
import { angled, around, boxOf, extent, solidOf, type Axis, type Box, type Part } from '../piece';
import { hull, type Flat } from '../solid';
import { diagonalOf } from './clamping';

/**
 * What both diagonals should read; of a rectangle its two sides as well, so that a reading says which corner to push.
 */
export type Diagonals = {
  readonly reads: readonly [Length, Length];
  readonly sides: readonly [Length, Length] | null;
};

const sizesOf = (box: Box): readonly number[] => ([0, 1, 2] as const).map((axis: Axis) => extent(box, axis));

/** Corners of an outline nearer to the line between their neighbours than this are none. */
const STRAIGHT = 400;

/** The four corners of a flat frame, seen square to it; null where its outline has another number. */
function cornersIn(parts: readonly Part[], flat: Axis): readonly Flat[] | null {
  const [a, b] = ([0, 1, 2] as const).filter((axis) => axis !== flat) as [Axis, Axis];
  let points = hull(
    parts.flatMap((part) =>
      solidOf(part).flatMap((cell) => cell.flatMap((face) => face.points.map((point): Flat => [point[a], point[b]]))),
    ),
  );
  for (let at = 0; at < points.length && points.length > 4;) {
    const [p, q, r] = [
      nth(points, (at + points.length - 1) % points.length),
      nth(points, at),
      nth(points, (at + 1) % points.length),
    ];
    const long = Math.hypot(r[0] - p[0], r[1] - p[1]);
    const off = Math.abs((r[0] - p[0]) * (q[1] - p[1]) - (r[1] - p[1]) * (q[0] - p[0])) / Math.max(1, long);
    if (off < STRAIGHT) {
      points = points.filter((_, index) => index !== at);
      at = 0;
    } else at++;
  }
  return points.length === 4 ? points : null;
}

const rectangle = (a: Length, b: Length): Diagonals => ({ reads: [diagonalOf(a, b), diagonalOf(a, b)], sides: [a, b] });

/**
 * The diagonals of what a step makes square: of a flat frame its own, whatever four corners it has; of frames joined by
 * rails their plan, of a case its front, of a drawer its plan. Null where nothing with four corners is made.
 */
export function diagonalsOf(
  own: readonly Part[],
  before: readonly Part[],
  all: readonly Part[],
  joints: readonly Fastening[],
): Diagonals | null {
  const earlier = [...before, ...all.filter((one) => !own.includes(one))];
  const box = around([...earlier, ...own].map(boxOf));
  if (!box) return null;
  const [x, y, z] = sizesOf(box) as [number, number, number];
  const has = (role: Part['role'], count: number) => own.filter((part) => part.role === role).length >= count;
  const slanted = [...earlier, ...own].some(angled);
  if (earlier.length === 0 && has('side', 2)) return rectangle(x, z);
  if (earlier.length === 0 && has('drawer', 4)) return rectangle(x, y);
  const rails = new Set(joints.filter(({ joint }) => joint.kind === 'rail end').map((item) => item.drilled));
  const sizes = [x, y, z];
  const flat = sizes.indexOf(Math.min(...sizes)) as Axis;
  const [a, b] = sizes.filter((_, axis) => axis !== flat) as [number, number];
  if (earlier.length === 0) {
    if (nth(sizes, flat) >= Math.min(a, b) / 3 || rails.size === 0) return null;
    const corners = cornersIn(own, flat);
    if (!corners) return null;
    const across = (one: Flat, other: Flat) => Math.round(Math.hypot(one[0] - other[0], one[1] - other[1]));
    const reads = [across(first(corners), nth(corners, 2)), across(nth(corners, 1), nth(corners, 3))] as const;
    return { reads, sides: slanted ? null : [a, b] };
  }
  return rails.size >= 2 && !slanted && own.every((part) => part.role !== 'support') ? rectangle(x, y) : null;
}
