// Asked hundreds of thousands of times in one plan: indices count numbers of planes.
/* oxlint-disable typescript/no-non-null-assertion */
import { metFirst, nth } from '../lists';
import { inches } from '../length';
import { solidOf, type Part } from '../piece';
import {
  add,
  boundsOf,
  cross,
  dot,
  limitsAround,
  limitsOf,
  norm,
  sub,
  times,
  unit,
  type Cell,
  type Flat,
  type Vec,
} from '../solid';

/** Shares of a patch, together 1: what a sander, a hand with a block or folded paper, and nothing reaches. */
export type Reach = { readonly sander: number; readonly hand: number; readonly none: number };

type ToolBody = { readonly radius: number; readonly height: number };
/** An orbital sander with the hand behind it; a block; folded paper under two fingers. */
const SANDER: ToolBody = { radius: inches(2.5), height: inches(6) };
const BLOCK: ToolBody = { radius: inches(1.25), height: inches(1.5) };
const FINGERS: ToolBody = { radius: inches(3 / 16), height: inches(3 / 8) };
const TOOLS = [SANDER, BLOCK, FINGERS] as const;

/** A forearm comes in straight, its hand so far over the wood; where its elbow ends there is room for a shoulder. */
const ARM = { over: inches(2), radius: inches(1.75), long: inches(24), shoulder: inches(7), each: inches(2) } as const;

/** So far above the wood a tool's body is looked for: what lies in the plane itself does not stand in its way. */
const ABOVE = inches(1 / 32);
/** Places looked at lie no farther apart; no more than so many along a side. */
const APART = inches(6);
const MOST = 5;

/** Where a tool's middle may be for its foot to touch a place: on it, or off to a side, as shares of its radius. */
const MIDDLES: readonly Flat[] = [
  [0, 0],
  ...Array.from({ length: 8 }, (_, k): Flat => {
    const angle = (k * Math.PI) / 4;
    return [0.9 * Math.cos(angle), 0.9 * Math.sin(angle)];
  }),
];

/** Ways out from a face: along its normal, aslant, and along the face itself. */
const WAYS_OUT: readonly Vec[] = [0, 0.35, 0.7, 0.95, 1].flatMap((out) => {
  const count = out === 0 ? 1 : 8;
  return Array.from({ length: count }, (_, k): Vec => {
    const angle = (2 * Math.PI * k) / count;
    return [out * Math.cos(angle), out * Math.sin(angle), Math.sqrt(1 - out * out)];
  });
});

/** Whether one of the ways out from a face that looks along `normal` is so; straight out is asked first. */
export function someWayOut(points: readonly Vec[], normal: Vec, isSo: (way: Vec) => boolean): boolean {
  const along = unit(sub(nth(points, 1), nth(points, 0)));
  const across = cross(normal, along);
  return WAYS_OUT.some(([x, y, z]) => isSo(add(add(times(along, x), times(across, y)), times(normal, z))));
}

/** Whether a ball keeps clear of a convex body: of its box, or of the plane of one of its faces. */
function clears(at: Vec, radius: number, cell: Cell): boolean {
  const { low, high, planes } = boundsOf(cell);
  const x = at[0];
  const y = at[1];
  const z = at[2];
  const dx = Math.max(0, low[0] - x, x - high[0]);
  const dy = Math.max(0, low[1] - y, y - high[1]);
  const dz = Math.max(0, low[2] - z, z - high[2]);
  if (dx * dx + dy * dy + dz * dz >= radius * radius) return true;
  for (let k = 0; k < planes.length; k += 6)
    if (
      planes[k]! * (x - planes[k + 3]!) +
        planes[k + 1]! * (y - planes[k + 4]!) +
        planes[k + 2]! * (z - planes[k + 5]!) >=
      radius
    )
      return true;
  return false;
}

/**
 * Whether an arm gets to the middle of a patch: straight in along one of the ways out from it, through whatever opening
 * there is, until there is room for a shoulder. Nothing need be free along the floor: a piece can be laid down.
 */
export function armReaches(points: readonly Vec[], normal: Vec, bodies: readonly Part[]): boolean {
  const hand = add(times(points.reduce(add), 1 / points.length), times(normal, ARM.over));
  const cells = bodies.flatMap((part) => solidOf(part));
  const isFree = (at: Vec, radius: number, among: readonly Cell[]) => among.every((cell) => clears(at, radius, cell));
  if (isFree(add(hand, times(normal, ARM.shoulder)), ARM.shoulder, cells)) return true;
  const near = cells.filter((cell) => !clears(hand, ARM.long + ARM.shoulder, cell));
  return someWayOut(points, normal, (way) => {
    for (let far = 0; far <= ARM.long; far += ARM.each) {
      const at = add(hand, times(way, far));
      // The hand itself lies flat: what it works on is not in its way.
      if (far > ARM.each && metFirst(near, (cell) => !clears(at, ARM.radius, cell))) return false;
      if (!metFirst(near, (cell) => !clears(at, ARM.shoulder, cell))) return true;
    }
    return false;
  });
}

/** Places on a flat convex polygon, evenly over it. */
function placesOn(points: readonly Flat[]): readonly Flat[] {
  const range = (at: 0 | 1) => {
    const values = points.map((point) => point[at]);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const count = Math.min(MOST, Math.max(1, Math.ceil((high - low) / APART)));
    return Array.from({ length: count }, (_, k) => low + ((k + 0.5) * (high - low)) / count);
  };
  const isIn = (x: number, y: number) => {
    const signs = points.map(([px, py], at) => {
      const [qx, qy] = nth(points, (at + 1) % points.length);
      return (qx - px) * (y - py) - (qy - py) * (x - px);
    });
    return signs.every((sign) => sign >= 0) || signs.every((sign) => sign <= 0);
  };
  const inside = range(0).flatMap((x) => range(1).flatMap((y): readonly Flat[] => (isIn(x, y) ? [[x, y]] : [])));
  if (inside.length > 0) return inside;
  const sum = points.reduce(([x, y], [a, b]) => [x + a, y + b] as const);
  return [[sum[0] / points.length, sum[1] / points.length]];
}

/** What of a convex body lies between two heights over a plane, seen from above: a convex outline, or none. */
function shadowOf(faces: readonly (readonly Vec[])[], low: number, high: number): readonly (readonly Flat[])[] {
  const cast: Flat[] = [];
  for (const points of faces)
    points.forEach((a, at) => {
      const b = nth(points, (at + 1) % points.length);
      if (a[2] >= low && a[2] <= high) cast.push([a[0], a[1]]);
      for (const level of [low, high]) {
        if (a[2] < level === b[2] < level) continue;
        const share = (level - a[2]) / (b[2] - a[2]);
        cast.push([a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])]);
      }
    });
  return cast.length === 0 ? [] : [hullOf(cast)];
}

/** The convex outline around points, counter-clockwise (Andrew's monotone chain). */
function hullOf(points: readonly Flat[]): readonly Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (list: readonly Flat[]): Flat[] => {
    const kept: Flat[] = [];
    for (const point of list) {
      for (let size = kept.length; size >= 2; size--) {
        const [a, b] = [nth(kept, size - 2), nth(kept, size - 1)];
        if ((b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0]) > 0) break;
        kept.pop();
      }
      kept.push(point);
    }
    return kept;
  };
  const [lower, upper] = [chain(sorted), chain([...sorted].reverse())];
  const hull = [...lower.slice(0, -1), ...upper.slice(0, -1)];
  return hull.length > 0 ? hull : sorted.slice(0, 1);
}

/** Whether a convex outline comes nearer to a point than so much. */
function isWithin([x, y]: Flat, outline: readonly Flat[], radius: number): boolean {
  let inside = outline.length > 2;
  for (let at = 0; at < outline.length; at++) {
    const [px, py] = nth(outline, at);
    const [qx, qy] = nth(outline, (at + 1) % outline.length);
    const [dx, dy] = [qx - px, qy - py];
    if (dx * (y - py) - dy * (x - px) < 0) inside = false;
    const square = dx * dx + dy * dy;
    const share = square === 0 ? 0 : Math.min(1, Math.max(0, ((x - px) * dx + (y - py) * dy) / square));
    const [ox, oy] = [px + share * dx - x, py + share * dy - y];
    if (ox * ox + oy * oy < radius * radius) return true;
  }
  return inside;
}

/**
 * What reaches a flat patch once everything stands: at places over it, whether the body of a sander, a block or folded
 * paper fits over the place with its foot on it, anywhere its foot may lie.
 *
 * @param bodies all that may stand in the way, the part itself too.
 */
export function reachAt(points: readonly Vec[], normal: Vec, bodies: readonly Part[]): Reach {
  const reach = dot(normal, nth(points, 0));
  // As far as the body of the largest tool comes from the patch: upwards, and to its sides.
  const [from, to] = limitsAround(points);
  const far = normal.map((by) => {
    const up = Math.abs(by);
    return up * SANDER.height + Math.sqrt(Math.max(0, 1 - up * up)) * 2 * SANDER.radius;
  });
  const isNear = (low: Vec, high: Vec): boolean => {
    let top = -reach;
    for (const axis of [0, 1, 2] as const) {
      const by = nth(far, axis);
      if (low[axis] > to[axis] + by || high[axis] < from[axis] - by) return false;
      top += normal[axis] * (normal[axis] > 0 ? high[axis] : low[axis]);
    }
    return top > ABOVE;
  };
  const near = bodies
    .map((part) => solidOf(part))
    .filter((solid) => isNear(...limitsOf(solid)))
    .flatMap((solid): readonly Cell[] =>
      solid.length === 1 ? solid : solid.filter((cell) => isNear(boundsOf(cell).low, boundsOf(cell).high)),
    );
  if (near.length === 0) return { sander: 1, hand: 0, none: 0 };
  const longest = points
    .map((point, at) => sub(nth(points, (at + 1) % points.length), point))
    .reduce((best, edge) => (norm(edge) > norm(best) ? edge : best));
  const along = unit(longest);
  const across = cross(normal, along);
  const corner = nth(points, 0);
  const flat = ([x, y, z]: Vec): Vec => {
    const way: Vec = [x - corner[0], y - corner[1], z - corner[2]];
    return [dot(way, along), dot(way, across), dot(way, normal)];
  };
  const bodiesNear = near.map((cell) => cell.map((face) => face.points.map(flat)));
  const cast = new Map<number, readonly (readonly Flat[])[]>();
  const shadowsFor = (tool: number): readonly (readonly Flat[])[] => {
    const known = cast.get(tool);
    if (known) return known;
    const shadows = bodiesNear.flatMap((cell) => shadowOf(cell, ABOVE, nth(TOOLS, tool).height));
    cast.set(tool, shadows);
    return shadows;
  };
  const fits = ([x, y]: Flat, tool: number) => {
    const { radius } = nth(TOOLS, tool);
    const shadows = shadowsFor(tool);
    return MIDDLES.some(([mx, my]) => {
      const middle: Flat = [x + mx * radius, y + my * radius];
      return shadows.every((shadow) => !isWithin(middle, shadow, radius));
    });
  };
  const places = placesOn(
    points.map((point): Flat => {
      const [x, y] = flat(point);
      return [x, y];
    }),
  );
  let [sander, hand] = [0, 0];
  for (const place of places) {
    if (fits(place, 0)) sander++;
    else if (fits(place, 1) || fits(place, 2)) hand++;
  }
  const all = places.length;
  return { sander: sander / all, hand: hand / all, none: (all - sander - hand) / all };
}
