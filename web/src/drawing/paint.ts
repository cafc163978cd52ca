import { cross, dot, first, norm, nth, outlinedFaces, type Solid, sub, type Vec } from '@sill/core';
import { axesOf, type View } from './iso';

/** A flat convex piece of a face, with what it belongs to and which of its sides are drawn. */
export type Patch<T> = {
  readonly of: T;
  readonly normal: Vec;
  readonly points: readonly Vec[];
  readonly drawn: readonly boolean[];
};

/** A plane of the tree: what lies in it, behind it and before it. */
type Node<T> = {
  readonly patches: Patch<T>[];
  readonly normal: Vec;
  readonly reach: number;
  behind: Node<T> | null;
  before: Node<T> | null;
};

/** Nearer to a plane than this is on it: a little over the rounding of slanted lengths. */
const ON = 4;

/** One patch cut by a plane. */
function split<T>(
  patch: Patch<T>,
  normal: Vec,
  reach: number,
): { readonly behind: Patch<T> | null; readonly before: Patch<T> | null; readonly on: boolean } {
  const sides = patch.points.map((point) => dot(normal, point) - reach);
  const most = Math.max(...sides);
  const least = Math.min(...sides);
  if (most <= ON && least >= -ON) return { behind: null, before: null, on: true };
  if (most <= ON) return { behind: patch, before: null, on: false };
  if (least >= -ON) return { behind: null, before: patch, on: false };
  const half = (sign: 1 | -1): Patch<T> | null => {
    const points: Vec[] = [];
    const drawn: boolean[] = [];
    patch.points.forEach((point, at) => {
      const next = nth(patch.points, (at + 1) % patch.points.length);
      const [here, there] = [nth(sides, at) * sign, nth(sides, (at + 1) % sides.length) * sign];
      if (here >= 0) {
        points.push(point);
        drawn.push(nth(patch.drawn, at));
      }
      if (here > 0 === there > 0) return;
      const share = here / (here - there);
      points.push([
        point[0] + (next[0] - point[0]) * share,
        point[1] + (next[1] - point[1]) * share,
        point[2] + (next[2] - point[2]) * share,
      ]);
      // The side from the crossing onwards is the cut itself where the patch leaves this half.
      drawn.push(here < 0 ? nth(patch.drawn, at) : false);
    });
    return points.length >= 3 ? { ...patch, points, drawn } : null;
  };
  return { behind: half(-1), before: half(1), on: false };
}

const areaOf = (points: readonly Vec[]): number => {
  let sum: Vec = [0, 0, 0];
  points.forEach((point, at) => {
    const next = nth(points, (at + 1) % points.length);
    const part = cross(sub(point, first(points)), sub(next, first(points)));
    sum = [sum[0] + part[0], sum[1] + part[1], sum[2] + part[2]];
  });
  return norm(sum) / 2;
};

function plant<T>(patches: readonly Patch<T>[]): Node<T> | null {
  if (patches.length === 0) return null;
  // The largest face first: it is split by nothing and parts the rest early.
  const sorted = [...patches].sort((a, b) => areaOf(b.points) - areaOf(a.points));
  const largest = first(sorted);
  const root: Node<T> = {
    patches: [],
    normal: largest.normal,
    reach: dot(largest.normal, first(largest.points)),
    behind: null,
    before: null,
  };
  const insert = (node: Node<T>, patch: Patch<T>): void => {
    const { behind, before, on } = split(patch, node.normal, node.reach);
    if (on) {
      node.patches.push(patch);
      return;
    }
    for (const [side, part] of [
      ['behind', behind],
      ['before', before],
    ] as const) {
      if (!part) continue;
      const next = node[side];
      if (next) insert(next, part);
      else
        node[side] = {
          patches: [part],
          normal: part.normal,
          reach: dot(part.normal, nth(part.points, 0)),
          behind: null,
          before: null,
        };
    }
  };
  root.patches.push(largest);
  sorted.slice(1).forEach((patch) => insert(root, patch));
  return root;
}

/**
 * The faces that look at the eye, far ones first, split where they would hide each other both ways: a binary space
 * partition of their planes, walked from the back. Right for any bodies that share no volume, lapped ones too.
 */
export function paintOrder<T>(
  items: readonly { readonly of: T; readonly solid: Solid }[],
  view: View,
): readonly Patch<T>[] {
  const { eye } = axesOf(view);
  const patches = items.flatMap(({ of, solid }) =>
    outlinedFaces(solid)
      .filter(({ normal }) => dot(normal, eye) > 1e-6)
      .map((face): Patch<T> => ({ of, ...face })),
  );
  const order: Patch<T>[] = [];
  const walk = (node: Node<T> | null): void => {
    if (!node) return;
    walk(node.behind);
    order.push(...node.patches);
    walk(node.before);
  };
  walk(plant(patches));
  return order;
}
