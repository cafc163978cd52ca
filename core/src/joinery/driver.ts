import { inches, type Length } from '../length';
import type { Shop } from '../job';
import { solidOf, type Part } from '../piece';
import { add, limitsAround, limitsOf, raysIn, squareTo, sub, times, type Solid, type Vec } from '../solid';
import type { Shank } from './shank';

/**
 * Straight room that each driver wants behind a screw: about 12 in with a long bit, 5 with a short, 3 1/2 right-angle.
 */
export const DRIVER_ROOM = {
  'long bit': inches(12),
  'short bit': inches(5),
  'right-angle head': inches(3.5),
} as const;
export type Driver = keyof typeof DRIVER_ROOM;

/** The bit is so thick; so far behind its tip it is held in a sleeve and fingers, which are thicker. */
const BIT = inches(1 / 16);
const SLEEVE = inches(3 / 8);
const BARE = inches(1.5);
const SURFACE: Length = inches(1 / 32);

/** As far as a sleeve comes to any side. */
const ASIDE: Vec = [SLEEVE, SLEEVE, SLEEVE];

/** Farther behind than this no driver asks. */
const FAR = inches(13);

/** From the surface a fastener is driven at, straight back. */
function backFrom({ from, direction, behind }: Shank): { readonly start: Vec; readonly back: Vec } {
  const back = times(direction, -1);
  return { start: add(from, times(back, behind)), back };
}

/** The least and the greatest of the room behind a fastener along each axis: nothing outside is in a driver's way. */
export function spaceBehind(shank: Shank): readonly [Vec, Vec] {
  const { start, back } = backFrom(shank);
  const [low, high] = limitsAround([start, add(start, times(back, FAR))]);
  return [sub(low, ASIDE), add(high, ASIDE)];
}

/** Whether a body stands in some space, by their limits. */
export function standsIn(solid: Solid, [from, to]: readonly [Vec, Vec]): boolean {
  const [low, high] = limitsOf(solid);
  return ([0, 1, 2] as const).every((axis) => from[axis] < high[axis] && to[axis] > low[axis]);
}

/** Free length straight behind a fastener, from the surface it is driven at; Infinity where nothing stands there. */
export function roomBehind(shank: Shank, there: readonly Solid[]): number {
  const space = spaceBehind(shank);
  const near = there.filter((solid) => standsIn(solid, space));
  if (near.length === 0) return Infinity;
  const { start, back } = backFrom(shank);
  const [a, b] = squareTo(shank.direction);
  const around = (radius: number) => [a, times(a, -1), b, times(b, -1)].map((off) => add(start, times(off, radius)));
  const nearest = (points: readonly Vec[], after: number): number => {
    let room = Infinity;
    for (const solid of near)
      for (const point of points)
        for (const [low, high] of raysIn(solid, point, back)) if (high > after) room = Math.min(room, Math.max(0, low));
    return room;
  };
  const sleeve = nearest(around(SLEEVE), BARE);
  const room = Math.min(
    nearest([start, ...around(BIT)], SURFACE),
    sleeve === Infinity ? sleeve : Math.max(BARE, sleeve),
  );
  return room < FAR ? room : Infinity;
}

/** What stands in a driver's way: drawers and doors are taken out or opened first. */
export const standsFast = ({ role }: Part): boolean => role !== 'drawer' && role !== 'door';

/** Bodies that may stand in a driver's way, less the part that is drilled through; kept by that part. */
export function standingRound(parts: readonly Part[]): (through: string) => readonly Solid[] {
  const fast = parts.filter(standsFast);
  const known = new Map<string, readonly Solid[]>();
  return (through) => {
    const solids = known.get(through) ?? fast.filter(({ id }) => id !== through).map(solidOf);
    known.set(through, solids);
    return solids;
  };
}

/** Of the shop's drivers the longest that has room; null where none has. */
export const driverFor = (room: number, drivers: Shop['drivers']): Driver | null =>
  (Object.keys(DRIVER_ROOM) as Driver[]).find((driver) => drivers.includes(driver) && DRIVER_ROOM[driver] <= room) ??
  null;
