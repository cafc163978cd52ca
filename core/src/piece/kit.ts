import type { Length } from '../length';
import type { Phrase } from '../words';
import type { Nominal } from '../stock';
import { AXES, type Axis, type Box, type Point } from './geometry';
import { boxOf, type Joint, type JointKind, type Part, type Role } from './part';

/** A board before it has a place: what it is called and cut from. */
export type BoardSpec = {
  readonly tag: string;
  readonly role: Role;
  readonly name: string;
  readonly nominal: Nominal;
  readonly plies?: number;
  readonly fit?: Phrase | null;
};

/** A rectangular part that fills `box`; its length runs along one axis of the piece and its width across another. */
export function board(piece: string, spec: BoardSpec, box: Box, along: Axis, across: Axis): Part {
  const through = AXES.find((axis) => axis !== along && axis !== across)!;
  const size = (axis: Axis) => box.max[axis] - box.min[axis];
  const length = size(along);
  const width = size(across);
  return {
    id: `${piece}.${spec.tag}`,
    piece,
    tag: spec.tag,
    role: spec.role,
    name: spec.name,
    nominal: spec.nominal,
    plies: spec.plies ?? 1,
    length,
    width,
    thickness: size(through),
    outline: [
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ],
    at: box.min,
    along,
    across,
    fit: spec.fit ?? null,
  };
}

/** A box from a corner and sizes along x, y and z. */
export const boxAt = (at: Point, size: Point): Box => ({
  min: at,
  max: [at[0] + size[0], at[1] + size[1], at[2] + size[2]],
});

/** The same box on the other side of the middle of a piece `total` long along `axis`. */
export function mirror(box: Box, axis: Axis, total: Length): Box {
  const min = [...box.min] as [number, number, number];
  const max = [...box.max] as [number, number, number];
  min[axis] = total - box.max[axis];
  max[axis] = total - box.min[axis];
  return { min, max };
}

/**
 * Starts of `count` things `size` wide, spread between `from` and `to` with equal gaps; distances from `from` are
 * whole steps of `step`, so that they can be marked off a tape.
 */
export const spread = (from: Length, to: Length, size: Length, count: number, step: Length): readonly Length[] => {
  const gap = (to - from - count * size) / (count + 1);
  return Array.from({ length: count }, (_, at) => from + Math.round((gap * (at + 1) + size * at) / step) * step);
};

/** Joins two parts; `drilled` takes the pocket or slot. */
export const join = (kind: JointKind, drilled: Part, into: Part): Joint => ({
  id: `${drilled.id}>${into.tag}`,
  piece: drilled.piece,
  kind,
  drilled: drilled.id,
  into: into.id,
});

export { boxOf };
