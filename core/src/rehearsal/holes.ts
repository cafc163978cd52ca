import { nth } from '../lists';
import { inches, type Length } from '../length';
import type { Part } from '../piece';
import { add, dot, norm, sub, times, type Vec } from '../solid';
import type { OperationOf, PartSide, Spot } from '../work';
import { woodAlong, type BenchPart, type Hole, type Hollow } from './body';

/** A step bit runs so many degrees from the face; the collar leaves half of the jig's own screw beyond the end. */
const SLOPE = (15 * Math.PI) / 180;
const OWN_SCREW: readonly (readonly [stock: number, screw: number])[] = [
  [1 / 2, 1],
  [3 / 4, 1.25],
  [7 / 8, 1.5],
  [1.25, 2],
  [1.5, 2.5],
];
/** How wide a step bit bores, behind the head and before it. */
const [POCKET, PILOT] = [inches(3 / 8), inches(9 / 64)];
const ownScrew = (jig: Length): Length => inches(OWN_SCREW.findLast(([stock]) => jig >= inches(stock))?.[1] ?? 1);

const unitAlong = ({ axis, sign }: PartSide): Vec =>
  ([0, 1, 2] as const).map((at) => (at === axis ? sign : 0)) as unknown as Vec;

/** Where a told distance from a side lies along its axis, on the body as it is now. */
function placeFrom(body: BenchPart, part: Part, { axis, sign }: PartSide, distance: Length): number {
  const [low, high] = axis === 0 ? [body.low, body.high] : [0, axis === 1 ? part.width : part.thickness];
  return sign < 0 ? low + distance : high - distance;
}

const withAxis = (point: Vec, axis: 0 | 1 | 2, value: number): Vec =>
  point.map((one, at) => (at === axis ? value : one)) as unknown as Vec;

/** Where a told place is on a body: on the side it names, so far from the two others. Null where it misses the wood. */
function pointAt(body: BenchPart, part: Part, spot: Spot): Vec | null {
  let point: Vec = [0, 0, 0];
  point = withAxis(point, spot.side.axis, placeFrom(body, part, spot.side, 0));
  point = withAxis(point, spot.from.axis, placeFrom(body, part, spot.from, spot.at));
  if (spot.across) point = withAxis(point, spot.across.axis, placeFrom(body, part, spot.across, spot.off));
  const fixed = new Set([spot.side.axis, spot.from.axis, ...(spot.across ? [spot.across.axis] : [])]);
  if (spot.across !== null && fixed.size < 3) return null;
  // Slanted ends and hollowed sides lie behind the plane of their side: it is marked where the wood is.
  const inward = times(unitAlong(spot.side), -1);
  const wood = woodAlong(body, add(point, times(inward, -40)), inward).find(
    ([low, high]) => high > 60 && low < (spot.side.axis === 0 ? Math.max(BEHIND, 2 * part.width) : BEHIND),
  );
  return wood && wood[0] > 60 ? add(point, times(inward, wood[0] - 40)) : point;
}
const BEHIND: Length = inches(3);

/** What boring at a place leaves: a hole; or why it can not be. */
export function boreAt(body: BenchPart, part: Part, spot: Spot, way: Vec, op: OperationOf<'bore'>): Hole | string {
  const at = pointAt(body, part, spot);
  if (!at) return `${spot.tag}: a place is not told from two sides`;
  // Square to the side unless it is said otherwise.
  const direction = op.slant ? way : times(unitAlong(spot.side), -1);
  const wood = woodAlong(body, sub(at, times(direction, 40)), direction).find(([low, high]) => low < 300 && high > 60);
  if (!wood)
    return `${spot.tag}: there is no wood at ${spot.side.name}, ${(spot.at / inches(1)).toFixed(2)} from the ${spot.from.name}`;
  const counterbore = op.bits.find(({ as }) => as === 'counterbore');
  const last = nth(op.bits, op.bits.length - 1);
  const deep = last.deep;
  if (deep !== null && deep >= wood[1] - 40 - 1)
    return `${spot.tag}: ${(deep / inches(1)).toFixed(2)} deep goes through`;
  const end = deep ?? wood[1] - 40;
  // Its end is flat or pointed, never rounder than the bit is wide.
  const hollows = op.bits.map(({ bit, deep: own }) => ({
    from: at,
    to: add(at, times(direction, Math.max(1, (own ?? end) - bit.across / 2))),
    radius: bit.across / 2,
  }));
  return {
    joint: spot.joint,
    at,
    direction,
    kind: 'bore',
    sunk: counterbore?.deep ?? 0,
    deep,
    across: last.bit.across,
    for: op.for,
    hollows,
  };
}

/** A pocket as the jig drills it: 15 degrees out of a face, out of the end through the middle of the jig's setting. */
export function pocketAt(body: BenchPart, part: Part, spot: Spot, exit: PartSide, jig: Length): Hole | string {
  const face = unitAlong(spot.side);
  const out = unitAlong(exit);
  let point: Vec = [0, 0, 0];
  point = withAxis(point, spot.from.axis, placeFrom(body, part, spot.from, spot.at));
  const surface = placeFrom(body, part, spot.side, 0);
  point = withAxis(point, spot.side.axis, surface - spot.side.sign * (jig / 2));
  const direction = add(times(out, Math.cos(SLOPE)), times(face, -Math.sin(SLOPE)));
  // The jig lies against the end as it is there, slanted or not.
  point = withAxis(point, exit.axis, placeFrom(body, part, exit, 0));
  const wood = woodAlong(body, point, times(out, -1)).find(([low, high]) => high > inches(1 / 2) && low < inches(8));
  if (!wood) return `${spot.tag}: the pocket finds no wood`;
  const leaves = add(point, times(out, -wood[0]));
  const at = add(leaves, times(direction, -ownScrew(jig) / 2));
  // It opens where the line comes out of the face that the jig lies on.
  const mouth = add(at, times(direction, -jig / 2 / Math.sin(SLOPE) + ownScrew(jig) / 2));
  const hollows = [
    { from: mouth, to: at, radius: POCKET / 2 },
    { from: at, to: leaves, radius: PILOT / 2 },
  ];
  return { joint: spot.joint, at, direction, kind: 'pocket', sunk: 0, deep: null, across: 0, for: 'pocket', hollows };
}

/** A slot's middle, and the way into the wood. */
export function slotAt(body: BenchPart, part: Part, spot: Spot, way: Vec, op: OperationOf<'slot'>): Hole | string {
  const at = pointAt(body, part, spot);
  if (!at) return `${spot.tag}: a place is not told from two sides`;
  const direction = op.slant ? way : times(unitAlong(spot.side), -1);
  const wood = woodAlong(body, sub(at, times(direction, 40)), direction).find(([low, high]) => low < 200 && high > 60);
  if (!wood) return `${spot.tag}: there is no wood for a ${op.what}`;
  if (op.deep >= wood[1] - 40 - 1) return `${spot.tag}: the ${op.what} goes through`;
  // Its long side lies in the direction of the first measure, on a slanted end along the slant.
  const measured = unitAlong({ axis: spot.from.axis, sign: 1 });
  const flat = sub(measured, times(direction, dot(measured, direction)));
  const along = times(flat, (op.long / 2 - op.thick / 2) / norm(flat));
  const hollows = [op.thick / 2, op.deep - op.thick / 2].map((deep) => {
    const middle = add(at, times(direction, deep));
    return { from: sub(middle, along), to: add(middle, along), radius: op.thick / 2 };
  });
  return {
    joint: spot.joint,
    at,
    direction,
    kind: 'slot',
    sunk: 0,
    deep: op.deep,
    across: op.thick,
    for: op.what,
    hollows,
  };
}

/** How near a point comes to a straight stretch. */
function distanceTo(point: Vec, from: Vec, to: Vec): number {
  const way = sub(to, from);
  const share = Math.min(1, Math.max(0, dot(sub(point, from), way) / Math.max(1, dot(way, way))));
  return norm(sub(point, add(from, times(way, share))));
}

/** Points along a stretch, a sixteenth apart. */
function pointsAlong({ from, to }: Pick<Hollow, 'from' | 'to'>): readonly Vec[] {
  const steps = Math.max(1, Math.ceil(norm(sub(to, from)) / inches(1 / 16)));
  return Array.from({ length: steps + 1 }, (_, at) => add(from, times(sub(to, from), at / steps)));
}

/** The joint of a hole that a stretch runs into, of others than its own; null where wood stays between them. */
export function meetsHole(body: BenchPart, joint: string, hollows: readonly Hollow[]): string | null {
  const found = body.holes.find(
    (other) =>
      other.joint !== joint &&
      other.hollows.some((one) =>
        hollows.some((own) =>
          pointsAlong(own).some((point) => distanceTo(point, one.from, one.to) < own.radius + one.radius),
        ),
      ),
  );
  return found?.joint ?? null;
}

/** Whether a hole runs into metal that is in the part already. */
export function hitsMetal(body: BenchPart, at: Vec, direction: Vec, length: number): boolean {
  const points = pointsAlong({ from: at, to: add(at, times(direction, length)) });
  return body.metal.some(([from, to]) => points.some((point) => distanceTo(point, from, to) < inches(1 / 16)));
}
