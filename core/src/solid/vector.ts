/** A point or direction: x along a piece, y across, z up; points in length units, directions of length one. */
export type Vec = readonly [number, number, number];

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/** Nothing is minus zero: it would not come back from JSON as it went. */
export const times = (a: Vec, factor: number): Vec => [a[0] * factor + 0, a[1] * factor + 0, a[2] * factor + 0];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** Not by `hypot`, which guards against overflow that lengths never reach and takes many times as long. */
export const norm = (a: Vec): number => Math.sqrt(dot(a, a));
export const unit = (a: Vec): Vec => times(a, 1 / norm(a));

export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (angle: number): number => (angle * 180) / Math.PI;

/** Where a thing's own x, y and z lie in its piece: a corner and the directions of its length and width. */
export type Frame = { readonly at: Vec; readonly u: Vec; readonly v: Vec };

/** The third direction of a frame, through the thickness. */
export const through = (frame: Frame): Vec => cross(frame.u, frame.v);

/** A point given in a frame's own directions, in the piece. */
export function outOf({ at, u, v }: Frame, [x, y, z]: Vec): Vec {
  const w = cross(u, v);
  return [
    at[0] + u[0] * x + v[0] * y + w[0] * z,
    at[1] + u[1] * x + v[1] * y + w[1] * z,
    at[2] + u[2] * x + v[2] * y + w[2] * z,
  ];
}

/** A point of the piece in a frame's own directions. */
export function into(frame: Frame, point: Vec): Vec {
  const from = sub(point, frame.at);
  return [dot(from, frame.u), dot(from, frame.v), dot(from, through(frame))];
}

/** Turns a direction or point about an axis through `about`, by degrees, right-handed (Rodrigues). */
export function turned(point: Vec, about: Vec, axis: Vec, angle: number): Vec {
  const [sin, cos] = [Math.sin(radians(angle)), Math.cos(radians(angle))];
  const from = sub(point, about);
  const along = times(axis, dot(axis, from) * (1 - cos));
  return add(about, add(add(times(from, cos), times(cross(axis, from), sin)), along));
}
