import { BufferGeometry, Float32BufferAttribute, Vector3 } from 'three';
import {
  around,
  type Box,
  boxOf,
  cutSolid,
  edgesOf,
  faceArea,
  facesOf,
  first,
  type Leaned,
  type Motion,
  nth,
  openedBy,
  type Part,
  PER_INCH,
  planeAt,
  type Solid,
  solidOf,
  type Vec,
} from '@sill/core';

/** World of the model: inches, y up, the front towards +z, the middle of the piece's foot at the origin. */
export type Vector = [number, number, number];

/** A point of a piece in the world of the model. */
export const worldOf = ([x, y, z]: Vec, whole: Box): Vector => [
  (x - (whole.min[0] + whole.max[0]) / 2) / PER_INCH,
  (z - whole.min[2]) / PER_INCH,
  ((whole.min[1] + whole.max[1]) / 2 - y) / PER_INCH,
];
/** A point of that world in the piece. */
export const placeOf = ([x, y, z]: Vector, whole: Box): Vec => [
  x * PER_INCH + (whole.min[0] + whole.max[0]) / 2,
  (whole.min[1] + whole.max[1]) / 2 - z * PER_INCH,
  y * PER_INCH + whole.min[2],
];
const turnedOver = ([x, y, z]: Vec): Vector => [x, z, -y];

/** Faces of a body as triangles. */
export function surfaceOf(solid: Solid, whole: Box): BufferGeometry {
  const positions: number[] = [];
  const normals: number[] = [];
  for (const { points, normal } of facesOf(solid))
    for (let at = 1; at + 1 < points.length; at++)
      for (const point of [first(points), nth(points, at), nth(points, at + 1)]) {
        positions.push(...worldOf(point, whole));
        normals.push(...turnedOver(normal));
      }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new Float32BufferAttribute(normals, 3));
  return geometry;
}

/** Most places a word on a body may stand at. */
const MOST_FACES = 10;

/** Middles of a body's faces, the largest first. */
export const faceMiddles = (solid: Solid): readonly Vec[] =>
  facesOf(solid)
    .map(({ points }) => ({ points, area: faceArea(points) }))
    .sort((a, b) => b.area - a.area)
    .slice(0, MOST_FACES)
    .map(({ points }) => {
      const mean = (axis: 0 | 1 | 2) => points.reduce((sum, point) => sum + point[axis], 0) / points.length;
      return [mean(0), mean(1), mean(2)];
    });

/** Edges of a body as pairs of points. */
export function linesOf(solid: Solid, whole: Box): BufferGeometry {
  const positions = edgesOf(solid).flatMap(([a, b]) => [...worldOf(a, whole), ...worldOf(b, whole)]);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  return geometry;
}

/** Edges that are bent: each point moved by so many inches, so many times as far as it goes. */
export function bentLines({ points, by }: Leaned['edges'][number], times: number, whole: Box): BufferGeometry {
  const positions = points.flatMap((point, at) => {
    const [x, y, z] = turnedOver(nth(by, at));
    const [px, py, pz] = worldOf(point, whole);
    return [px + x * times, py + y * times, pz + z * times];
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  return geometry;
}

/** Where the piece is cut open to look inside: the axis across the cut, and how far along it. */
export type Section = { readonly axis: 0 | 1 | 2; readonly share: number };

/** A surface number of its own, so that the cut's edges are drawn. */
const CUT_FACE = 900;

/** A part's body as it is shown: moved by what is open, then cut open. Nothing where it lies before the cut. */
export function shownSolid(
  part: Part,
  whole: Box,
  motions: readonly Motion[],
  open: number,
  section: Section | null,
): Solid {
  const motion = open > 0 ? motions.find((one) => one.parts.includes(part.id)) : undefined;
  const solid = motion ? openedBy(solidOf(part), motion, open) : solidOf(part);
  if (!section) return solid;
  const { axis, share } = section;
  const at = whole.min[axis] + (whole.max[axis] - whole.min[axis]) * share;
  // The front, right or upper side is taken away: what the eye comes from.
  const normal: Vec = axis === 0 ? [1, 0, 0] : axis === 1 ? [0, -1, 0] : [0, 0, 1];
  return cutSolid(solid, planeAt([at, at, at], normal), CUT_FACE);
}

/** The box around all parts that have a place. */
export const wholeOf = (parts: readonly Part[]): Box =>
  around(parts.filter((part) => !part.loose).map(boxOf)) ?? { min: [0, 0, 0], max: [1, 1, 1] };

/** Corners of a box of a size, its middle in the middle. */
const cornersOf = ([x, y, z]: Vector): readonly Vector[] =>
  [-1, 1].flatMap((a) => [-1, 1].flatMap((b) => [-1, 1].map((c): Vector => [(a * x) / 2, (b * y) / 2, (c * z) / 2])));

/** How far off the eye must be from the middle to hold some points about it, as `reachOf`. */
function reachFor(points: readonly Vector[], aspect: number, from: Vector, field: number): number {
  const eye = new Vector3(...from).normalize();
  const right = new Vector3(0, 1, 0).cross(eye).normalize();
  const up = eye.clone().cross(right);
  const half = Math.tan((field * Math.PI) / 360);
  const needs = points.map((point) => {
    const corner = new Vector3(...point);
    const spread = Math.max(Math.abs(corner.dot(right)) / aspect, Math.abs(corner.dot(up)));
    return corner.dot(eye) + spread / half;
  });
  // Room around it for the dimensions.
  return 1.16 * Math.max(...needs);
}

/**
 * How far off the eye must be to hold a box of this size, middle in the middle, in a picture so many times as wide as
 * high.
 *
 * @param from where the eye is, as a direction from the middle.
 * @param field how much it takes in from top to bottom, degrees.
 */
export const reachOf = (size: Vector, aspect: number, from: Vector, field: number): number =>
  reachFor(cornersOf(size), aspect, from, field);

/** The same for all that opens of a piece, wide open, about the middle that it has closed; 0 where nothing does. */
export function openReachOf(
  parts: readonly Part[],
  motions: readonly Motion[],
  aspect: number,
  from: Vector,
  field: number,
): number {
  const whole = wholeOf(parts);
  const middle = worldOf(whole.max, whole)[1] / 2;
  const moved = new Set(motions.flatMap((motion) => motion.parts));
  const points = parts
    .filter(({ id }) => moved.has(id))
    .flatMap((part) => facesOf(shownSolid(part, whole, motions, 1, null)).flatMap((face) => face.points))
    .map((point): Vector => {
      const [x, y, z] = worldOf(point, whole);
      return [x, y - middle, z];
    });
  return points.length === 0 ? 0 : reachFor(points, aspect, from, field);
}
