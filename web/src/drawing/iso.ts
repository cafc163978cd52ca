import { around, dot, raysIn, type Box, type Point, type Solid, type Vec } from '@sill/core';

/** Where the eye is: so many degrees round from the front towards the right, and so many looking down. */
export type View = { readonly turn: number; readonly down: number };

export const USUAL_VIEW: View = { turn: 32, down: 28 };

export type Screen = readonly [x: number, y: number];

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Directions of the screen in the piece: to the right, up, and towards the eye. */
export function axesOf({ turn, down }: View): { readonly right: Vec; readonly up: Vec; readonly eye: Vec } {
  const [sin, cos] = [Math.sin(radians(turn)), Math.cos(radians(turn))];
  const [steep, flat] = [Math.sin(radians(down)), Math.cos(radians(down))];
  return { right: [cos, sin, 0], up: [-sin * steep, cos * steep, flat], eye: [sin * flat, -cos * flat, steep] };
}

/** Parallel projection of a point of the piece, in its own length units; y grows downwards as on a screen. */
export function project(point: Point | Vec, view: View): Screen {
  const { right, up } = axesOf(view);
  return [dot(point, right), -dot(point, up)];
}

export type Side = 'top' | 'left' | 'right';

/** Which of three tones a face takes: from above, or from the side it looks to. */
export const sideOf = (normal: Vec, view: View): Side =>
  normal[2] > 0.6 ? 'top' : dot(normal, axesOf(view).right) > 0 ? 'right' : 'left';

export type Bounds = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** Bounds on screen of everything drawn. */
export function boundsOf(points: readonly Screen[]): Bounds {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** The four corners to look from: front right, front left, back right, back left. */
const CORNERS = [USUAL_VIEW.turn, -USUAL_VIEW.turn, 180 - USUAL_VIEW.turn, USUAL_VIEW.turn - 180];

/** From the corner that brings the middle of `front` nearest, against the middle of `whole`. */
export function viewTowards(front: readonly Box[], whole: readonly Box[]): View {
  const [a, b] = [around(front), around(whole)];
  if (!a || !b) return USUAL_VIEW;
  const off = ([0, 1] as const).map((axis) => (a.min[axis] + a.max[axis] - b.min[axis] - b.max[axis]) / 2);
  const nearness = (turn: number) => dot(axesOf({ ...USUAL_VIEW, turn }).eye, [off[0]!, off[1]!, 0]);
  const turn = CORNERS.reduce((best, next) => (nearness(next) > nearness(best) + 1 ? next : best));
  return { ...USUAL_VIEW, turn };
}

/** Looking up from below shows what is driven from there. */
const FROM_BELOW = -24;

/** Where a screw is driven, and the part it is driven through. */
export type Head = { readonly point: Vec; readonly through: Solid };

/** Nearer than this to the eye the part does not hide its own screw: rounding. */
const TOUCH = 64;

/** The corner, from above or below, from which most screw heads are on the side that is seen; among equals the one given. */
export function viewOnHeads(heads: readonly Head[], usual: View): View {
  if (heads.length === 0) return usual;
  const views = [usual, ...[USUAL_VIEW.down, FROM_BELOW].flatMap((down) => CORNERS.map((turn) => ({ turn, down })))];
  // A few tell for all: the heads of one joint lie alike.
  const some = heads.filter((_, at) => at % Math.ceil(heads.length / 24) === 0);
  const seen = (view: View) => {
    const { eye } = axesOf(view);
    return some.filter(({ point, through }) => raysIn(through, point, eye).every(([, far]) => far < TOUCH)).length;
  };
  return views.reduce((best, next) => (seen(next) > seen(best) + some.length / 8 ? next : best));
}
