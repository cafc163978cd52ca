import { first } from '../lists';
import { limitsOf, type Cell } from './solid';
import type { Vec } from './vector';

/** A convex body by its limits, whether it fills them (a box along the axes), and its planes. */
type Bounds = {
  readonly low: Vec;
  readonly high: Vec;
  readonly box: boolean;
  /** Six numbers a face: its normal and a point on it. */
  readonly planes: Float64Array;
};

const known = new WeakMap<Cell, Bounds>();

/** What rays, tools and what slides past ask of a cell thousands of times: kept with it. */
export function boundsOf(cell: Cell): Bounds {
  const before = known.get(cell);
  if (before) return before;
  const [low, high] = limitsOf([cell]);
  const box = cell.length === 6 && cell.every(({ normal }) => normal.some((value) => Math.abs(value) > 1 - 1e-9));
  const planes = Float64Array.from(cell.flatMap(({ normal, points }) => [...normal, ...first(points)]));
  const made = { low, high, box, planes };
  known.set(cell, made);
  return made;
}
