import { AXES, around, type Box, type Point } from '@sill/core';

/** Where the eye is: turned about the vertical, looking down; x and y may be mirrored so that a side comes to the front. */
export type View = { readonly turn: number; readonly down: number; readonly flipX: boolean; readonly flipY: boolean };

export const USUAL_VIEW: View = { turn: 32, down: 28, flipX: false, flipY: false };

export type Screen = readonly [x: number, y: number];
export type Face = { readonly side: 'top' | 'left' | 'right'; readonly points: readonly Screen[] };

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Parallel projection of a point of the piece, in its own length units. */
export function project([x, y, z]: Point, { turn, down, flipX, flipY }: View): Screen {
  const a = flipX ? -x : x;
  const b = flipY ? -y : y;
  const [sin, cos] = [Math.sin(radians(turn)), Math.cos(radians(turn))];
  return [a * cos - b * sin, (a * sin + b * cos) * Math.sin(radians(down)) - z * Math.cos(radians(down))];
}

/** A box as the eye has it: mirrored so that larger x, y and z are nearer. */
const seen = (box: Box, { flipX, flipY }: View): Box => {
  const min = [...box.min] as [number, number, number];
  const max = [...box.max] as [number, number, number];
  ([flipX, flipY] as const).forEach((flip, axis) => {
    if (flip) [min[axis], max[axis]] = [-max[axis]!, -min[axis]!];
  });
  return { min, max };
};

/** The three faces of a box that the eye sees. */
export function facesOf(box: Box, view: View): readonly Face[] {
  const near = seen(box, view);
  const flat: View = { ...view, flipX: false, flipY: false };
  const at = (x: 'min' | 'max', y: 'min' | 'max', z: 'min' | 'max') =>
    project([near[x][0], near[y][1], near[z][2]], flat);
  return [
    {
      side: 'top',
      points: [at('min', 'min', 'max'), at('max', 'min', 'max'), at('max', 'max', 'max'), at('min', 'max', 'max')],
    },
    {
      side: 'left',
      points: [at('min', 'max', 'min'), at('max', 'max', 'min'), at('max', 'max', 'max'), at('min', 'max', 'max')],
    },
    {
      side: 'right',
      points: [at('max', 'min', 'min'), at('max', 'max', 'min'), at('max', 'max', 'max'), at('max', 'min', 'max')],
    },
  ];
}

/**
 * Back to front, so that nearer boxes are painted over farther ones. A box can hide another only where it is nearer
 * or level along every axis; of two boxes that share no volume at most one can hide the other, which gives an order.
 */
export function backToFront<T extends { readonly box: Box }>(items: readonly T[], view: View): readonly T[] {
  const boxes = items.map(({ box }) => seen(box, view));
  const canHide = (near: Box, far: Box) => AXES.every((axis) => near.max[axis] > far.min[axis]);
  const before = boxes.map((box, at) =>
    boxes.flatMap((other, k) => (k !== at && canHide(box, other) && !canHide(other, box) ? [k] : [])),
  );
  const order: T[] = [];
  const state = items.map(() => 0);
  const visit = (at: number) => {
    if (state[at] !== 0) return;
    state[at] = 1;
    before[at]!.forEach(visit);
    order.push(items[at]!);
  };
  items.forEach((_, at) => visit(at));
  return order;
}

export type Bounds = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** Bounds on screen of everything drawn. */
export function boundsOf(points: readonly Screen[]): Bounds {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** Mirrors the view so that the middle of `front` comes nearer than the middle of `whole`. */
export function viewTowards(front: readonly Box[], whole: readonly Box[]): View {
  const [a, b] = [around(front), around(whole)];
  if (!a || !b) return USUAL_VIEW;
  const middle = (box: Box, axis: 0 | 1) => box.min[axis] + box.max[axis];
  return { ...USUAL_VIEW, flipX: middle(a, 0) < middle(b, 0), flipY: middle(a, 1) < middle(b, 1) };
}
