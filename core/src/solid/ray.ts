import { first } from '../lists';
import { dot, type Vec } from './vector';
import type { Cell, Solid } from './solid';

/** A stretch of a ray that lies in a body, as distances from its start. */
export type Stretch = readonly [from: number, to: number];

/** Where a ray is inside a convex cell; null where it misses. Distances before its start are negative. */
export function rayIn(cell: Cell, from: Vec, direction: Vec): Stretch | null {
  let [low, high] = [-Infinity, Infinity];
  for (const { normal, points } of cell) {
    const at = first(points);
    const gap = normal[0] * (at[0] - from[0]) + normal[1] * (at[1] - from[1]) + normal[2] * (at[2] - from[2]);
    const rate = dot(normal, direction);
    if (Math.abs(rate) < 1e-9) {
      if (gap < 0) return null;
    } else if (rate > 0) high = Math.min(high, gap / rate);
    else low = Math.max(low, gap / rate);
    if (low >= high) return null;
  }
  return [low, high];
}

/** Cells nearer along a ray than this are one body: what is cut out of it leaves wider gaps. */
const SEAM = 8;

/** Where a ray is inside a body, in order; cells that lie against each other count as one. */
export function raysIn(solid: Solid, from: Vec, direction: Vec): readonly Stretch[] {
  if (solid.length === 1) {
    const only = rayIn(first(solid), from, direction);
    return only ? [only] : [];
  }
  const flat = solid.flatMap((cell): Stretch[] => {
    const stretch = rayIn(cell, from, direction);
    return stretch ? [stretch] : [];
  });
  const joined: [number, number][] = [];
  for (const [low, high] of flat.sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1);
    if (last && low - last[1] < SEAM) last[1] = Math.max(last[1], high);
    else joined.push([low, high]);
  }
  return joined;
}
