import {
  add,
  around,
  type Box,
  dot,
  faceArea,
  facesOf,
  first,
  limitsOf,
  nth,
  type Point,
  raysIn,
  type Solid,
  times,
  type Vec,
} from '@sill/core';

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

export type ViewSide = 'top' | 'left' | 'right';

/** Which of three tones a face takes: from above, or from the side it looks to. */
export const sideOf = (normal: Vec, view: View): ViewSide =>
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
  const nearness = (turn: number) => dot(axesOf({ ...USUAL_VIEW, turn }).eye, [first(off), nth(off, 1), 0]);
  const turn = CORNERS.reduce((best, next) => (nearness(next) > nearness(best) + 1 ? next : best));
  return { ...USUAL_VIEW, turn };
}

/** Looking up from below shows what is driven from there. */
const FROM_BELOW = -24;

/** Nearer than this to the eye a body does not hide what lies on it: rounding. */
const TOUCH = 64;
/** So many heads tell for all, as those of one joint lie alike; so many faces for all of what is new. */
const MOST_HEADS = 24;
const MOST_FACES = 36;
/** What is new counts so much beside the heads; the usual corner is kept for less than this, and one from above. */
const NEW = 0.7;
const KEPT = 0.12;

/** Of what is looked at, a few spread over all. */
const some = <T>(all: readonly T[], most: number): readonly T[] =>
  all.filter((_, at) => at % Math.ceil(all.length / most) === 0);

/** What is in the way between a point and the eye, told quickly for bodies that are nowhere near. */
function isHidden(point: Vec, eye: Vec, bodies: readonly Solid[]): boolean {
  return bodies.some((body) => {
    const [low, high] = limitsOf(body);
    let [from, to] = [0, Infinity];
    for (const axis of [0, 1, 2] as const) {
      const [a, b] = [(low[axis] - point[axis]) / eye[axis], (high[axis] - point[axis]) / eye[axis]];
      from = Math.max(from, Math.min(a, b));
      to = Math.min(to, Math.max(a, b));
    }
    return from < to && to > TOUCH && raysIn(body, point, eye).some(([, far]) => far > TOUCH);
  });
}

/**
 * The corner, from above or below, from which most is seen of the screw heads and of what is new, with all that stands
 * there. The one given is kept unless another shows clearly more.
 *
 * @param heads where screws are driven.
 * @param fresh bodies that are new, `standing` with all others that are there.
 */
export function clearestView(
  heads: readonly Vec[],
  fresh: readonly Solid[],
  standing: readonly Solid[],
  usual: View,
): View {
  const points = some(heads, MOST_HEADS);
  const faces = some(
    fresh.flatMap((body) => facesOf(body)),
    MOST_FACES,
  ).map(({ normal, points: corners }) => ({
    normal,
    middle: times(corners.reduce(add), 1 / corners.length),
    area: faceArea(corners),
  }));
  const whole = faces.reduce((sum, { area }) => sum + area, 0);
  if (points.length === 0 && whole === 0) return usual;
  const worth = (view: View): number => {
    const { eye } = axesOf(view);
    const seen = points.filter((point) => !isHidden(point, eye, standing)).length;
    const shown = faces
      .filter(({ normal, middle }) => dot(normal, eye) > 0.1 && !isHidden(middle, eye, standing))
      .reduce((sum, { area, normal }) => sum + area * dot(normal, eye), 0);
    return seen / Math.max(1, points.length) + (NEW * shown) / Math.max(1, whole / 2);
  };
  const views = [USUAL_VIEW.down, FROM_BELOW].flatMap((down) => CORNERS.map((turn) => ({ turn, down })));
  let [best, most] = [usual, worth(usual) + KEPT];
  for (const view of views) {
    const value = worth(view) - (view.down < 0 ? KEPT : 0);
    if (value > most + 1e-6) [best, most] = [view, value];
  }
  return best;
}
