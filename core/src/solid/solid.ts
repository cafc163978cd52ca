import { first, nth } from '../lists';
import { add, cross, dot, norm, outOf, sub, times, unit, type Frame, type Vec } from './vector';
import { flatten, type Outline } from './outline';

/**
 * One flat face of a cell, its points counter-clockwise seen from outside. `surface` names the surface of the whole
 * solid it lies on: coplanar faces and the chords of one arc share it.
 */
export type Face = { readonly normal: Vec; readonly points: readonly Vec[]; readonly surface: number };
/** A convex body by its faces. */
export type Cell = readonly Face[];
/** A body as convex cells that share no volume. */
export type Solid = readonly Cell[];
/** Everything on the side `normal` points away from: points with normal . p <= reach. */
export type Plane = { readonly normal: Vec; readonly reach: number };

/** Points nearer to a plane than this are on it: a fraction of 1/320 mm. */
const ON = 0.05;

export const planeAt = (point: Vec, normal: Vec): Plane => ({ normal, reach: dot(normal, point) });
const flipped = ({ normal, reach }: Plane): Plane => ({ normal: times(normal, -1), reach: -reach });

/**
 * An outline in x and y (z, x for axis 1; y, z for axis 0) drawn along an axis from one place to another. Convex only.
 */
export function prism(outline: Outline, from: number, to: number, axis: 0 | 1 | 2 = 2): Cell {
  const { points, edges } = flatten(outline);
  const at = ([a, b]: readonly [number, number], c: number): Vec =>
    axis === 2 ? [a, b, c] : axis === 1 ? [b, c, a] : [c, a, b];
  const normal = at([0, 0], 1);
  const low = points.map((point) => at(point, from));
  const high = points.map((point) => at(point, to));
  const sides = points.map((_, index): Face => {
    const next = (index + 1) % points.length;
    const corners = [nth(low, index), nth(low, next), nth(high, next), nth(high, index)];
    const edge = sub(nth(low, next), nth(low, index));
    return { normal: unit(cross(edge, normal)), points: corners, surface: 2 + nth(edges, index) };
  });
  return [
    { normal: times(normal, -1), points: [...low].reverse(), surface: 0 },
    { normal, points: high, surface: 1 },
    ...sides,
  ];
}

/** The part of a convex polygon on the plane's inner side. */
function keepInside(points: readonly Vec[], { normal, reach }: Plane): readonly Vec[] {
  const kept: Vec[] = [];
  points.forEach((point, at) => {
    const next = nth(points, (at + 1) % points.length);
    const [here, there] = [dot(normal, point) - reach, dot(normal, next) - reach];
    if (here <= ON) kept.push(point);
    if ((here < -ON && there > ON) || (here > ON && there < -ON))
      kept.push(add(point, times(sub(next, point), here / (here - there))));
  });
  return kept.length >= 3 ? kept : [];
}

/** The face that a cut leaves: all points of the cell on the plane, in order around their middle. */
function capOf(cell: Cell, { normal, reach }: Plane, surface: number): Face | null {
  const on: Vec[] = [];
  for (const { points } of cell)
    for (const point of points)
      if (Math.abs(dot(normal, point) - reach) <= 2 * ON && !on.some((other) => norm(sub(other, point)) < 4 * ON))
        on.push(point);
  if (on.length < 3) return null;
  const middle = times(on.reduce(add), 1 / on.length);
  const first = unit(sub(nth(on, 0), middle));
  const second = cross(normal, first);
  const angle = (point: Vec) => Math.atan2(dot(sub(point, middle), second), dot(sub(point, middle), first));
  return { normal, points: [...on].sort((a, b) => angle(a) - angle(b)), surface };
}

/** A cell cut by a plane: what is on its inner side, null for nothing. The new face lies on `surface`. */
function cutCell(cell: Cell, plane: Plane, surface: number): Cell | null {
  let out = false;
  let inside = false;
  for (const { points } of cell)
    for (const point of points) {
      const side = dot(plane.normal, point) - plane.reach;
      if (side > ON) out = true;
      if (side < -ON) inside = true;
    }
  if (!inside) return null;
  if (!out) return cell;
  const faces = cell.flatMap((face): Face[] => {
    const points = keepInside(face.points, plane);
    return points.length === 0 ? [] : [{ ...face, points }];
  });
  const cap = capOf(faces, plane, surface);
  return cap ? [...faces, cap] : faces;
}

/** What is on the inner side of a plane. */
export const cutSolid = (solid: Solid, plane: Plane, surface: number): Solid =>
  solid.flatMap((cell) => {
    const kept = cutCell(cell, plane, surface);
    return kept ? [kept] : [];
  });

const planeOf = (face: Face): Plane => planeAt(first(face.points), face.normal);

/** The body without a convex cutter. The cutter's faces become surfaces numbered from `surface` up. */
export function subtract(solid: Solid, cutter: Cell, surface: number): Solid {
  return solid.flatMap((cell): readonly Cell[] => {
    if (apart(cell, cutter)) return [cell];
    const pieces: Cell[] = [];
    let rest: Cell | null = cell;
    for (const face of cutter) {
      const plane = planeOf(face);
      const outside = cutCell(rest, flipped(plane), surface + face.surface);
      if (outside) pieces.push(outside);
      rest = cutCell(rest, plane, surface + face.surface);
      if (rest === null) return [cell];
    }
    return volumeOf([rest]) === 0 ? [cell] : pieces;
  });
}

/** What two bodies share. */
export const common = (a: Solid, b: Solid): Solid =>
  a.flatMap((cell) =>
    b.flatMap((cutter): Cell[] => {
      if (apart(cell, cutter)) return [];
      const shared = cutter.reduce<Cell | null>((rest, face) => rest && cutCell(rest, planeOf(face), -1), cell);
      return shared ? [shared] : [];
    }),
  );

/** Quick answer for cells whose boxes do not meet. */
function apart(a: Cell, b: Cell): boolean {
  return ([0, 1, 2] as const).some((axis) => {
    const [lowA, highA] = rangeOf(a, axis);
    const [lowB, highB] = rangeOf(b, axis);
    return highA <= lowB + ON || highB <= lowA + ON;
  });
}

function rangeOf(cell: Cell, axis: 0 | 1 | 2): readonly [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const { points } of cell)
    for (const point of points) {
      low = Math.min(low, point[axis]);
      high = Math.max(high, point[axis]);
    }
  return [low, high];
}

const limits = new WeakMap<Solid, readonly [Vec, Vec]>();
/** Least and most of a body along each axis; kept with it. */
export function limitsOf(solid: Solid): readonly [Vec, Vec] {
  const known = limits.get(solid);
  if (known) return known;
  const box = limitsAround(solid.flatMap((cell) => cell.flatMap(({ points }) => points)));
  limits.set(solid, box);
  return box;
}

/** The least and greatest of points along each axis. */
export function limitsAround(points: readonly Vec[]): readonly [Vec, Vec] {
  let [lowX, lowY, lowZ] = [Infinity, Infinity, Infinity];
  let [highX, highY, highZ] = [-Infinity, -Infinity, -Infinity];
  for (const [x, y, z] of points) {
    lowX = Math.min(lowX, x);
    lowY = Math.min(lowY, y);
    lowZ = Math.min(lowZ, z);
    highX = Math.max(highX, x);
    highY = Math.max(highY, y);
    highZ = Math.max(highZ, z);
  }
  return [
    [lowX, lowY, lowZ],
    [highX, highY, highZ],
  ];
}

const cornersSum = (points: readonly Vec[]): Vec =>
  points.reduce<Vec>((sum, point, at) => add(sum, cross(point, nth(points, (at + 1) % points.length))), [0, 0, 0]);

/** Area of a flat polygon. */
export const faceArea = (points: readonly Vec[]): number => {
  const from = first(points);
  return norm(cornersSum(points.map((point) => sub(point, from)))) / 2;
};

/** Volume in cubic length units: a sixth of each face's signed reach from a corner (divergence theorem). */
export const volumeOf = (solid: Solid): number =>
  solid.reduce((sum, cell) => {
    const from = first(first(cell).points);
    const sixths = cell.reduce((total, { points, normal }) => {
      const area = faceArea(points);
      return total + 2 * area * dot(normal, sub(first(points), from));
    }, 0);
    return sum + Math.max(0, sixths) / 6;
  }, 0);

/** Centre of the cells' corners is enough for balance of near-prisms: each cell's mean corner, weighed by volume. */
export function middleOf(solid: Solid): Vec {
  let sum: Vec = [0, 0, 0];
  let whole = 0;
  for (const cell of solid) {
    const volume = volumeOf([cell]);
    const points = cell.flatMap((face) => face.points);
    sum = add(sum, times(points.reduce(add), volume / points.length));
    whole += volume;
  }
  return whole > 0 ? times(sum, 1 / whole) : sum;
}

/** The body with every point and direction moved. */
export const moved = (solid: Solid, point: (p: Vec) => Vec, direction: (d: Vec) => Vec): Solid =>
  solid.map((cell) =>
    cell.map((face) => ({ ...face, normal: direction(face.normal), points: face.points.map(point) })),
  );

/**
 * A body given in a frame's own directions, in the piece. Which it came from is kept: its faces are the same, moved.
 */
export function outOfFrame(frame: Frame, solid: Solid): Solid {
  const placed = inFrame(frame, solid);
  if (solid.length > 1) origins.set(placed, { frame, solid });
  return placed;
}
const origins = new WeakMap<Solid, { readonly frame: Frame; readonly solid: Solid }>();
const inFrame = (frame: Frame, solid: Solid): Solid => moved(solid, (point) => outOf(frame, point), turning(frame));

const turning = (frame: Frame) => {
  const own = { ...frame, at: [0, 0, 0] as const };
  return (direction: Vec): Vec => outOf(own, direction);
};

/** Faces that show, each with the box around it. */
type Shown = { readonly faces: readonly Face[]; readonly spans: readonly Span[] };
const shown = new WeakMap<Solid, Shown>();

/** What is left of a flat polygon outside a convex one in the same plane, in convex pieces. */
function outsideOf(points: readonly Vec[], cover: Face): readonly (readonly Vec[])[] {
  const pieces: (readonly Vec[])[] = [];
  let rest = points;
  for (let at = 0; at < cover.points.length && rest.length > 0; at++) {
    const [from, to] = [nth(cover.points, at), nth(cover.points, (at + 1) % cover.points.length)];
    const side = planeAt(from, unit(cross(sub(to, from), cover.normal)));
    const out = keepInside(rest, flipped(side));
    if (out.length > 0 && faceArea(out) > 1) pieces.push(out);
    rest = keepInside(rest, side);
  }
  return pieces;
}

/** What is left of a flat face outside others in its plane, each convex, in convex pieces. */
export const faceLess = (face: Face, covers: readonly Face[]): readonly Face[] =>
  covers
    .reduce<readonly (readonly Vec[])[]>(
      (left, cover) => left.flatMap((points) => outsideOf(points, cover)),
      [face.points],
    )
    .map((points) => (points === face.points ? face : { ...face, points }));

/** The faces that show: what is left of each cell's faces where no other cell lies against it. Kept with the body. */
export const facesOf = (solid: Solid): readonly Face[] => shownOf(solid).faces;

function shownOf(solid: Solid): Shown {
  const known = shown.get(solid);
  if (known) return known;
  const origin = origins.get(solid);
  const faces =
    solid.length === 1
      ? first(solid)
      : origin
        ? first(inFrame(origin.frame, [facesOf(origin.solid)]))
        : uncovered(solid);
  const all: Shown = { faces, spans: faces.map(spanOfFace) };
  shown.set(solid, all);
  return all;
}

/** What is left of the faces of several cells where none lies against another. */
function uncovered(solid: Solid): readonly Face[] {
  const spans = solid.map((cell) => cell.map(spanOfFace));
  return solid.flatMap((cell, at) =>
    cell.flatMap((face, which): readonly Face[] => {
      const plane = planeOf(face);
      let left: readonly (readonly Vec[])[] = [face.points];
      solid.forEach((other, k) => {
        if (k === at) return;
        other.forEach((against, one) => {
          if (
            dot(face.normal, against.normal) > -1 + 1e-9 ||
            clear(nth(nth(spans, at), which), nth(nth(spans, k), one))
          )
            return;
          if (Math.abs(dot(plane.normal, first(against.points)) - plane.reach) > 2 * ON) return;
          left = left.flatMap((points) => outsideOf(points, against));
        });
      });
      return left.map((points) => (points === face.points ? face : { ...face, points }));
    }),
  );
}

/** Least and most of points along each axis, a touch wider. */
type Span = readonly [number, number, number, number, number, number];
function spanOfFace(face: Face): Span {
  const span: [number, number, number, number, number, number] = [
    Infinity,
    Infinity,
    Infinity,
    -Infinity,
    -Infinity,
    -Infinity,
  ];
  for (const point of face.points)
    for (let axis = 0; axis < 3; axis++) {
      span[axis] = Math.min(nth(span, axis), nth(point, axis) - TOUCHING);
      span[axis + 3] = Math.max(nth(span, axis + 3), nth(point, axis) + TOUCHING);
    }
  return span;
}
const clear = (a: Span, b: Span): boolean =>
  a[0] > b[3] || b[0] > a[3] || a[1] > b[4] || b[1] > a[4] || a[2] > b[5] || b[2] > a[5];

/** Where two bodies' faces lie against each other: polygons, each with the normal of `a` there. */
export function contacts(a: Solid, b: Solid): readonly Face[] {
  const found: Face[] = [];
  const [ofA, ofB] = [shownOf(a), shownOf(b)];
  const [low, high] = limitsOf(b);
  const spanB: Span = [low[0], low[1], low[2], high[0], high[1], high[2]];
  for (const [at, face] of ofA.faces.entries()) {
    const span = nth(ofA.spans, at);
    if (clear(span, spanB)) continue;
    for (const [one, other] of ofB.faces.entries()) {
      if (dot(face.normal, other.normal) > -1 + 1e-6 || clear(span, nth(ofB.spans, one))) continue;
      const plane = planeOf(other);
      if (!face.points.every((point) => Math.abs(dot(plane.normal, point) - plane.reach) <= TOUCHING)) continue;
      let shared = face.points;
      for (let side = 0; side < other.points.length && shared.length > 0; side++) {
        const [from, to] = [nth(other.points, side), nth(other.points, (side + 1) % other.points.length)];
        shared = keepInside(shared, planeAt(from, unit(cross(sub(to, from), other.normal))));
      }
      if (shared.length >= 3 && faceArea(shared) > TOUCHING) found.push({ ...face, points: shared });
    }
  }
  return found;
}

/** Faces this near lie against each other: lengths of slanted parts are rounded to 1/320 mm at each end. */
const TOUCHING = 3;
