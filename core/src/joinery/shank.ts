import { inches, type Length } from '../length';
import { solidOf, type Part } from '../piece';
import { add, dot, norm, raysIn, sub, times, type Vec } from '../solid';

/** A screw, bolt, dowel or brad as it lies in the piece: a straight line from under its head to its tip. */
export type Shank = {
  readonly from: Vec;
  readonly direction: Vec;
  readonly length: Length;
  readonly radius: number;
  /** The hole behind the head: pocket or counterbore, from the head back to the surface, and its radius. */
  readonly behind: number;
  readonly hole: number;
  /** Where it is marked, as the fastening tells it. */
  readonly position: Length;
  /** Wood it holds in beyond the meeting, and wood from its tip to the far face; less than 0 where it comes out. */
  readonly bite: number;
  readonly left: number;
  /** Wood between head and meeting is whole. */
  readonly held: boolean;
  /** The part that it is drilled through, by id. */
  readonly through: string;
  /** Needs straight room behind it for a driver. */
  readonly driven: boolean;
};

/** A shank before it is measured against the wood. */
export type ShankLaid = Omit<Shank, 'bite' | 'left' | 'held' | 'through'>;

export const tipOf = ({ from, direction, length }: ShankLaid): Vec => add(from, times(direction, length));

/** Wood nearer to a surface than this counts as at it. */
const AT = inches(1 / 64);

/**
 * A shank measured along its own line: how much of it is in the second part, what is left there before the far face,
 * and whether the first part is whole on the way. `meets` is how far from the head the two parts lie against each
 * other.
 */
export function measured(laid: ShankLaid, first: Part, second: Part, meets: number): Shank {
  const { from, direction, length } = laid;
  const until = Math.min(meets, length) - AT;
  const held = raysIn(solidOf(first), from, direction).some((on) => on[0] <= AT && on[1] >= until);
  let [bite, left] = [0, 0];
  for (const [low, high] of raysIn(solidOf(second), from, direction)) {
    if (low > meets + AT || high <= meets + AT) continue;
    bite = Math.max(0, Math.min(length, high) - Math.max(low, meets));
    left = high - length;
    break;
  }
  return { ...laid, bite, left, held, through: first.id };
}

/** Least distance between two straight stretches (closest points of two segments, Ericson 2005). */
export function apartBy(a: readonly [Vec, Vec], b: readonly [Vec, Vec]): number {
  const [p, q] = [sub(a[1], a[0]), sub(b[1], b[0])];
  const r = sub(a[0], b[0]);
  const [aa, bb, ab] = [dot(p, p), dot(q, q), dot(p, q)];
  const [pr, qr] = [dot(p, r), dot(q, r)];
  const clamp = (value: number) => Math.min(1, Math.max(0, value));
  const denominator = aa * bb - ab * ab;
  let s = denominator > 1e-9 * aa * bb ? clamp((ab * qr - pr * bb) / denominator) : 0;
  const t = clamp((ab * s + qr) / bb);
  s = clamp((ab * t - pr) / aa);
  return norm(sub(add(a[0], times(p, s)), add(b[0], times(q, t))));
}

/** Wood that must stay between two bores. */
const WALL: Length = inches(1 / 16);

/**
 * Whether two bores are too far apart to meet: by their middles and half lengths. Asked so often that it is worth being
 * quick.
 */
function isFar(a: ShankLaid, b: ShankLaid): boolean {
  const [halfA, halfB] = [(a.length + a.behind) / 2, (b.length + b.behind) / 2];
  const far = halfA + halfB + Math.max(a.hole, a.radius) + Math.max(b.hole, b.radius) + WALL;
  const [alongA, alongB] = [a.length - halfA, b.length - halfB];
  const x = a.from[0] + a.direction[0] * alongA - b.from[0] - b.direction[0] * alongB;
  const y = a.from[1] + a.direction[1] * alongA - b.from[1] - b.direction[1] * alongB;
  const z = a.from[2] + a.direction[2] * alongA - b.from[2] - b.direction[2] * alongB;
  return x * x + y * y + z * z > far * far;
}

/** A straight bore of one radius. */
type Bore = { readonly of: readonly [Vec, Vec]; readonly radius: number };
/** All that is bored for a shank. The wide hole lies behind the head only; before it the shank is thin. */
function boresOf(shank: ShankLaid): readonly Bore[] {
  const { from, direction, radius, behind, hole } = shank;
  const thin: Bore = { of: [from, tipOf(shank)], radius };
  return behind > 0 ? [thin, { of: [add(from, times(direction, -behind)), from], radius: hole }] : [thin];
}

/** Whether two bores run into each other, a thin wall between them counted. */
export function clash(a: ShankLaid, b: ShankLaid): boolean {
  if (isFar(a, b)) return false;
  const others = boresOf(b);
  return boresOf(a).some((first) =>
    others.some((second) => apartBy(first.of, second.of) < first.radius + second.radius + WALL),
  );
}

/** Whether a bore would meet one that is there already. */
export type IsTaken = (one: ShankLaid) => boolean;
export const takenBy =
  (others: readonly ShankLaid[]): IsTaken =>
  (one) =>
    others.some((other) => clash(one, other));
