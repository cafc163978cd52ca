import { first, nth } from '../lists';
import { inches, mm, type Length, type Units } from '../length';
import { solidOf, type Axis, type Joint, type Part, waysOf } from '../piece';
import { raysIn, times, type Cell, type Vec } from '../solid';
import { type Meeting } from './meeting';
import type { Fastener } from './fasteners';
import { edgePositions } from './pocket-screws';
import type { ShankLaid } from './shank';

/** A joint to be laid out: `first` is the part that is drilled, or that a rail's screws come through. */
export type Site = {
  readonly joint: Joint;
  readonly drilled: Part;
  readonly into: Part;
  readonly meeting: Meeting;
  readonly units: Units;
  /** Farthest apart that pocket screws stand along an edge. */
  readonly spacing: Length;
};

/** One fastener as it would lie, with the parts it goes through and into, and how far from its head they meet. */
export type Lie = {
  readonly laid: ShankLaid;
  readonly first: Part;
  readonly second: Part;
  readonly meets: number;
  /** Whether the hole behind its head, or its slot, is in wood that stays; asked only where all else is well. */
  readonly whole?: () => boolean;
  /** What is cut besides, that others keep clear of: a clip's slot. */
  readonly beside?: () => readonly ShankLaid[];
};

/** How a method is laid out at a site. */
export type JointLayout = {
  readonly fastener: Fastener;
  readonly jig: Length;
  /** Places along the drilled part's own direction `run`, as they would be without anything in the way. */
  readonly run: Axis;
  readonly targets: readonly Length[];
  /** What is told of a place: from the top edge, or as it is. */
  readonly tell: (place: Length) => Length;
  /** Sides the holes may be on; the first is the usual. */
  readonly faces: readonly (1 | -1)[];
  /** One at a place; `aside` is how far off its row. */
  readonly lie: (place: Length, face: 1 | -1, aside?: Length) => Lie;
  /** Least wood it must hold in, and leave before the far face; null for what goes through. */
  readonly bite: Length;
  readonly leaves: Length | null;
  /** So far from each other at least are those of one joint; where one can not be, it is left out. */
  readonly apart?: Length;
  /** A pencil's width off its place it must still hold: it is marked and bored by hand. */
  readonly wary?: boolean;
  /** Laid besides, on the same face: a corner block's second row. */
  readonly also?: JointLayout;
  /** What is glued on for it to go through: a corner block, by the face it lies on. */
  readonly block?: (face: 1 | -1) => Cell;
};

export const place3 = (values: readonly (readonly [Axis, number])[]): Vec => {
  const place: [number, number, number] = [0, 0, 0];
  for (const [axis, value] of values) place[axis] = value;
  return place;
};

export const times3 = (values: readonly number[]): Vec => [first(values), nth(values, 1), nth(values, 2)];

/** A rail under a top. */
export const isOnTop = (kind: Joint['kind']): boolean => kind === 'top screws' || kind === 'top clips';

/** A board with square ends and nothing cut out of it. */
export const isPlain = ({ cuts, outline, ends: { left, right } }: Part): boolean =>
  cuts.length === 0 &&
  outline === null &&
  [left.mitre, left.bevel, right.mitre, right.bevel].every((angle) => angle === 0);

/**
 * Steps by which a fastener is moved along when something is in its way, and how far at most: under a top all along.
 */
const STEP = inches(1 / 4);
export const FARTHEST: Length = inches(3);
/** Ways off a place to both sides of it, the nearest first. */
export const nearestFirst = (far: Length): readonly Length[] =>
  Array.from({ length: 2 * Math.ceil(far / STEP) + 1 }, (_, at) => (at % 2 === 0 ? -1 : 1) * Math.ceil(at / 2) * STEP);

/** Rail ends are told from the top edge where the width stands up. */
export function tellFrom({ drilled, joint }: Site, run: Axis): (place: Length) => Length {
  const up = waysOf(drilled)[run][2];
  const size = nth([drilled.length, drilled.width, drilled.thickness], run);
  return joint.kind === 'rail end' && up > 0.1 ? (place) => size - place : (place) => place;
}

export const shifted = (from: Length, places: readonly Length[]): readonly Length[] =>
  places.map((place) => from + place);

/** What stands in a row along a board stands at easy marks from its end: eighths, or half centimetres. */
export function toMark(place: Length, units: Units): Length {
  const step = units === 'in' ? inches(1 / 8) : mm(5);
  return Math.round(place / step) * step;
}

/** Places over a run: the middle of a short one, else two in from each end and evenly between. */
export const spaced = (run: Length, spacing: Length, short: Length, units: Units): readonly Length[] =>
  run <= short ? [Math.round(run / 2)] : edgePositions(run, units, spacing);

/** Wood along a straight line through the meeting: what lies behind it in one part and before it in the other. */
export function depths(
  first: Part,
  second: Part,
  at: Vec,
  direction: Vec,
): { readonly deep: number; readonly beyond: number } {
  const near = 60;
  const back = raysIn(solidOf(first), at, times(direction, -1)).find(([low, high]) => low < near && high > near);
  const on = raysIn(solidOf(second), at, direction).find(([low, high]) => low < near && high > near);
  return { deep: back?.[1] ?? 0, beyond: on?.[1] ?? 0 };
}
