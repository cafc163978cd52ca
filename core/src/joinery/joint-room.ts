import { nth } from '../lists';
import { inches, type Length, type Units } from '../length';
import type { Shop } from '../job';
import { boxOf, type Joint, type Part } from '../piece';
import { outOf, type Cell, type Vec } from '../solid';
import type { Alike } from './alike';
import { DRIVER_ROOM, roomBehind, standingRound, standsFast } from './driver';
import { isOnTop, type Site } from './layout';
import type { Meeting } from './meeting';
import type { InTheWay } from './placing';
import type { Shank, ShankLaid } from './shank';

/** Fasteners by the parts they are in. */
type Bored = Map<string, ShankLaid[]>;

/** What a joint may know of the piece around it, and of the shop. */
export type JointRoom = {
  readonly units: Units;
  readonly middle: Vec;
  readonly bored: Bored;
  /** Corner blocks that are there already. */
  readonly blocks: Cell[];
  /** Layouts by what they follow from. */
  readonly alike: Map<string, Alike>;
  /** Everything there is once the piece is done. */
  readonly parts: readonly Part[];
  /** What stands at the other end of a rail: there when its second end is joined. */
  readonly mates: (joint: Joint) => readonly Part[];
  /** What is laminated to either part of a joint. */
  readonly one: (joint: Joint) => readonly Part[];
  /** Whether what a rail is to hold is held by its neighbours, so that the rail may only lie under it. */
  readonly held: (joint: Joint) => boolean;
  readonly spacing: Length;
  readonly tools: Shop['tools'];
  /** Straight room that the shop's shortest driver wants. */
  readonly least: Length;
};

/** A fastener and the longest driver behind it. */
const REACH = inches(20);

/** Those of some parts that are near enough to a meeting to be in a driver's way. */
function nearTo(parts: readonly Part[], first: Part, { spans }: Meeting): readonly Part[] {
  const corners = [0, 1].flatMap((x) =>
    [0, 1].flatMap((y) =>
      [0, 1].map((z) => outOf(first.frame, [nth(nth(spans, 0), x), nth(nth(spans, 1), y), nth(nth(spans, 2), z)])),
    ),
  );
  const axes = [0, 1, 2] as const;
  const low = axes.map((axis) => Math.min(...corners.map((corner) => corner[axis])) - REACH);
  const high = axes.map((axis) => Math.max(...corners.map((corner) => corner[axis])) + REACH);
  return parts.filter((part) => {
    const { min, max } = boxOf(part);
    return axes.every((axis) => min[axis] < nth(high, axis) && max[axis] > nth(low, axis));
  });
}

/** What stands in a driver's way, and what that is among. */
export type Access = InTheWay & {
  /** Nothing at all can be in the way. */
  readonly free: boolean;
  /** What is one with the two parts, near enough to be in the way. */
  readonly one: readonly Part[];
  /** What else is near enough. */
  readonly about: readonly Part[];
};

/**
 * What stands in a driver's way and how much room there must be. A panel is joined with nothing round it, a drawer or a
 * door on the bench. What is fixed to the top comes last, a rail's second end after its first: there must be room then.
 * For the others there may be, before the next part comes.
 */
export function accessFor({ joint, drilled, into, meeting }: Site, isEdge: boolean, room: JointRoom): Access {
  const onTop = isOnTop(joint.kind);
  const mates = room.mates(joint);
  const { least } = room;
  const one = joint.kind === 'lamination' ? [] : nearTo(room.one(joint), drilled, meeting);
  const always = standingRound(one);
  const onBench = (isEdge && mates.length === 0) || (!standsFast(drilled) && !standsFast(into));
  const usual = { always, least, alike: isEdge, one };
  if (onBench) return { ...usual, roomAround: () => Infinity, rooms: [], free: one.length === 0, about: [] };
  const about = nearTo(onTop || mates.length === 0 ? room.parts : mates, drilled, meeting);
  const around = standingRound(about);
  const rooms =
    onTop || mates.length > 0
      ? [Math.max(least, DRIVER_ROOM['short bit']), least]
      : [DRIVER_ROOM['short bit'], least, 0];
  const roomAround = (shank: Shank) => roomBehind(shank, around(shank.through));
  return { ...usual, roomAround, rooms, free: false, about };
}
