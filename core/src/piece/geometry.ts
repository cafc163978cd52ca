import type { Length } from '../length';

/** A point in a piece: x along its length, y across, z up, from the lower left front corner. */
export type Point = readonly [Length, Length, Length];
export type Axis = 0 | 1 | 2;
export const AXES = [0, 1, 2] as const;
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

/** True where two boxes share volume, not only a face. */
export const overlap = (a: Box, b: Box): boolean =>
  AXES.every((axis) => a.min[axis] < b.max[axis] && b.min[axis] < a.max[axis]);

/** The rectangle where the faces of two boxes meet: `normal` is the axis across it. Null where they do not touch. */
export function contact(a: Box, b: Box): { readonly normal: Axis; readonly area: Box } | null {
  const min = AXES.map((axis) => Math.max(a.min[axis], b.min[axis])) as unknown as Point;
  const max = AXES.map((axis) => Math.min(a.max[axis], b.max[axis])) as unknown as Point;
  const flat = AXES.filter((axis) => min[axis] === max[axis]);
  const apart = AXES.some((axis) => min[axis] > max[axis]);
  return flat.length === 1 && !apart ? { normal: flat[0]!, area: { min, max } } : null;
}
