import { nth } from '../lists';
import { inches, type Length } from '../length';
import type { Part } from '../piece';
import {
  common,
  cutSolid,
  outOf,
  prism,
  raysIn,
  rectangle,
  subtract,
  volumeOf,
  type Cell,
  type Frame,
  type Outline,
  type Plane,
  type Solid,
  type Vec,
} from '../solid';
import type { PartSide, Taken } from '../work';

/** A hole in a part, in the part's own directions: from the surface inwards. */
export type Hole = {
  readonly joint: string;
  readonly at: Vec;
  readonly direction: Vec;
  readonly kind: 'pocket' | 'bore' | 'slot';
  /** How deep the head of what goes in lies; 0 at the surface. */
  readonly sunk: Length;
  /** How deep it is; null through. */
  readonly deep: Length | null;
  readonly across: Length;
  readonly for: string;
  /** All that it takes out: straight stretches, each so wide about its middle. */
  readonly hollows: readonly Hollow[];
};
export type Hollow = { readonly from: Vec; readonly to: Vec; readonly radius: number };

/** A part on the bench: what is left of its board by now, in its own directions, x from the left end as it will be. */
export type BenchPart = {
  readonly id: string;
  readonly tag: string;
  solid: Solid;
  /** Where it begins and ends along its length by now. */
  low: number;
  high: number;
  readonly holes: Hole[];
  /** Fasteners in it, in its own directions: from, to. */
  readonly metal: (readonly [Vec, Vec])[];
};

export type BlankNow = {
  readonly low: number;
  readonly high: number;
  readonly width: readonly [number, number];
  readonly thick: readonly [number, number];
};

export function bodyFrom(id: string, tag: string, { low, high, width, thick }: BlankNow): BenchPart {
  const flat = rectangle(high - low, width[1] - width[0]).map(([x, y]) => [x + low, y + width[0]] as const);
  return { id, tag, solid: [prism(flat, thick[0], thick[1])], low, high, holes: [], metal: [] };
}

const planeThrough = (normal: Vec, reach: number): Plane => ({ normal, reach });

/** Cuts both ends square. */
export function trimTo(body: BenchPart, low: number, high: number): void {
  body.solid = cutSolid(cutSolid(body.solid, planeThrough([-1, 0, 0], -low), 1), planeThrough([1, 0, 0], high), 2);
  [body.low, body.high] = [low, high];
}

/** Takes a layer off along one of its directions. */
export function narrow(body: BenchPart, axis: 1 | 2, low: number, high: number): void {
  const way = (sign: number): Vec => (axis === 1 ? [0, sign, 0] : [0, 0, sign]);
  body.solid = cutSolid(cutSolid(body.solid, planeThrough(way(-1), -low), 3), planeThrough(way(1), high), 4);
}

/** Slants an end: through its longest corner, so many degrees across the face and through the thickness. */
export function slantEnd(
  body: BenchPart,
  sign: 1 | -1,
  mitre: number,
  bevel: number,
  long: readonly PartSide[],
  width: number,
  thick: number,
): void {
  const tan = (degrees: number) => Math.tan((Math.abs(degrees) * Math.PI) / 180);
  const side = (axis: 1 | 2) => long.find((one) => one.axis === axis)?.sign ?? -1;
  const corner: Vec = [sign > 0 ? body.high : body.low, side(1) > 0 ? width : 0, side(2) > 0 ? thick : 0];
  // It runs back from the longest corner by the tangent of each angle.
  const across = mitre === 0 ? 0 : -side(1) * tan(mitre);
  const through = bevel === 0 ? 0 : -side(2) * tan(bevel);
  const size = Math.hypot(1, across, through);
  const normal: Vec = [sign / size, across / size, through / size];
  body.solid = cutSolid(
    body.solid,
    planeThrough(normal, normal[0] * corner[0] + normal[1] * corner[1] + normal[2] * corner[2]),
    5,
  );
}

/** An outline in x, z as a prism along y needs it: z first, turned round. */
const turned = (outline: Outline): Outline => {
  const back = [...outline].reverse();
  return back.map(([a, b], at) => {
    const bulge = nth(back, (at + 1) % back.length)[2] ?? 0;
    return bulge === 0 ? ([b, a] as const) : ([b, a, bulge] as const);
  });
};

const cutterOf = ({ axis, outline, from, to }: Taken): Cell =>
  prism(axis === 1 ? turned(outline) : outline, from, to, axis);

/** Takes a cut-out; how much wood that was. */
export function takeOut(body: BenchPart, taken: Taken): number {
  const before = volumeOf(body.solid);
  body.solid = subtract(body.solid, cutterOf(taken), 100);
  return before - volumeOf(body.solid);
}

/** Keeps what is inside an outline of the face. */
export function keepInside(body: BenchPart, outline: Outline, thick: number): void {
  body.solid = common(body.solid, [prism(outline, -1, thick + 1)]);
}

/** The wood along a line of a body, in its own directions: stretches from and to. */
export const woodAlong = (body: BenchPart, at: Vec, direction: Vec) => raysIn(body.solid, at, direction);

/** Two ends and the faces of every cut-out, a sixty-fourth deep: as much as told numbers may be off by rounding. */
export function slackOf({ length, width, thickness, cuts, outline }: Part): number {
  const sizes = [length, width, thickness];
  const clipped = (low: number, high: number, axis: number) =>
    Math.max(0, Math.min(high, nth(sizes, axis)) - Math.max(low, 0));
  const faces = cuts.reduce((sum, cut) => {
    const [a, b] = ([0, 1, 2] as const).filter((other) => other !== cut.axis) as [number, number];
    const span = (at: 0 | 1, along: number) =>
      clipped(
        Math.min(...cut.outline.map((corner) => corner[at])),
        Math.max(...cut.outline.map((corner) => corner[at])),
        along,
      );
    const [p, q, r] = [span(0, a), span(1, b), clipped(cut.from, cut.to, cut.axis)];
    return sum + 2 * (p * q + q * r + r * p);
  }, 0);
  const edge = outline ? 2 * (length + width) * thickness : 0;
  return (2 * width * thickness + faces + edge) * inches(1 / 48) + 1e-4 * length * width * thickness;
}

/** How much two bodies differ: what only one of them has. */
export const differs = (a: Solid, b: Solid): number => volumeOf(a) + volumeOf(b) - 2 * volumeOf(common(a, b));

/** A point or direction of a part's own, in the piece. */
export const placed = (frame: Frame, point: Vec): Vec => outOf(frame, point);
export const pointed = (frame: Frame, direction: Vec): Vec => outOf({ ...frame, at: [0, 0, 0] }, direction);
