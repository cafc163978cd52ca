import type { Length } from '../length';

/** A point in a piece: x along its length, y across, z up, from the lower left front corner. */
export type Point = readonly [Length, Length, Length];
export type Axis = 0 | 1 | 2;
const AXES = [0, 1, 2] as const;
export type Box = { readonly min: Point; readonly max: Point };

/** The side of a box at an axis. */
export const extent = (box: Box, axis: Axis): Length => box.max[axis] - box.min[axis];

/** The smallest box around all; null for none. */
export function around(boxes: readonly Box[]): Box | null {
  if (boxes.length === 0) return null;
  const edge = (end: 'min' | 'max', pick: (...values: number[]) => number): Point =>
    AXES.map((axis) => pick(...boxes.map((box) => box[end][axis]))) as unknown as Point;
  return { min: edge('min', Math.min), max: edge('max', Math.max) };
}
