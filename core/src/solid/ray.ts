// Asked millions of times in one plan: plain loops over plain numbers, as long as the planes of a body are.
/* oxlint-disable typescript/no-non-null-assertion */
import { boundsOf } from './bounds';
import type { Vec } from './vector';
import type { Cell, Solid } from './solid';

/** A stretch of a ray that lies in a body, as distances from its start. */
export type Stretch = readonly [from: number, to: number];

/** Where a ray is inside a convex cell, by its planes; null where it misses. */
function stretchIn(planes: Float64Array, [x, y, z]: Vec, [dx, dy, dz]: Vec): [number, number] | null {
  let low = -Infinity;
  let high = Infinity;
  for (let at = 0; at < planes.length; at += 6) {
    const nx = planes[at]!;
    const ny = planes[at + 1]!;
    const nz = planes[at + 2]!;
    const gap = nx * (planes[at + 3]! - x) + ny * (planes[at + 4]! - y) + nz * (planes[at + 5]! - z);
    const rate = nx * dx + ny * dy + nz * dz;
    if (rate < 1e-9 && rate > -1e-9) {
      if (gap < 0) return null;
      continue;
    }
    const far = gap / rate;
    if (rate > 0) {
      if (far < high) high = far;
    } else if (far > low) low = far;
    if (low >= high) return null;
  }
  return [low, high];
}

/** Where a ray is inside a convex cell; null where it misses. Distances before its start are negative. */
export const rayIn = (cell: Cell, from: Vec, direction: Vec): Stretch | null =>
  stretchIn(boundsOf(cell).planes, from, direction);

/** Cells nearer along a ray than this are one body: what is cut out of it leaves wider gaps. */
const SEAM = 8;

const known = new WeakMap<Solid, readonly Float64Array[]>();

/** Where a ray is inside a body, in order; cells that lie against each other count as one. */
export function raysIn(solid: Solid, from: Vec, direction: Vec): readonly Stretch[] {
  let planes = known.get(solid);
  if (!planes) known.set(solid, (planes = solid.map((cell) => boundsOf(cell).planes)));
  const met: [number, number][] = [];
  for (const cell of planes) {
    const stretch = stretchIn(cell, from, direction);
    if (stretch) met.push(stretch);
  }
  if (met.length < 2) return met;
  const joined: [number, number][] = [];
  for (const [low, high] of met.sort((a, b) => a[0] - b[0])) {
    const last = joined[joined.length - 1];
    if (last && low - last[1] < SEAM) last[1] = Math.max(last[1], high);
    else joined.push([low, high]);
  }
  return joined;
}
