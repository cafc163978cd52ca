import { first, found, nth } from '../lists';
import { inches, type Length } from '../length';
import { type Part, waysOf } from '../piece';
import { outOf, outOfFrame, prism, times, type Vec } from '../solid';
import { SCREWS } from './fasteners';
import { tellFrom, type JointLayout, type Lie, type Site } from './layout';
import { railEndPositions } from './pocket-screws';
import { onPlane } from './meeting';

/** A corner block is so thick both ways, and as long as the rail is wide. */
export const BLOCK: Length = inches(1.5);

/**
 * A block in the inside corner of a rail and what it ends on: screwed through into both, two rows that pass each other.
 */
export function cornerBlock(site: Site): JointLayout | null {
  const { drilled, into, meeting, units } = site;
  if (meeting.axis !== 0) return null;
  const [low, high] = nth(meeting.spans, 1);
  const thick = drilled.thickness >= inches(1.25) && into.thickness >= inches(1.25);
  const fastener = found(SCREWS, ({ length }) => length === inches(thick ? 2.5 : 2));
  const bite = fastener.length - BLOCK;
  const ways = waysOf(drilled);
  const end = meeting.side > 0 ? drilled.length : 0;
  const tell = tellFrom(site, 1);
  const screw = (from: Vec, direction: Vec, place: Length, part: Part): Lie => ({
    laid: {
      from,
      direction,
      length: bite,
      radius: fastener.shank / 2,
      behind: BLOCK,
      hole: fastener.shank / 2,
      position: tell(place),
      driven: true,
    },
    first: part,
    second: part,
    meets: 0,
  });
  const surface = (face: 1 | -1) => (face > 0 ? drilled.thickness : 0);
  const places = railEndPositions(high - low, units);
  const row = { fastener, jig: 0, run: 1 as const, tell, faces: [1, -1] as const, bite: inches(3 / 8), leaves: 0 };
  const shift = inches(3 / 8);
  return {
    ...row,
    block: (face) => {
      const [near, far] = meeting.side > 0 ? [end - BLOCK, end] : [end, end + BLOCK];
      const [under, over] = face > 0 ? [drilled.thickness, drilled.thickness + BLOCK] : [-BLOCK, 0];
      const cell = prism(
        [
          [near, low],
          [far, low],
          [far, high],
          [near, high],
        ],
        under,
        over,
      );
      return first(outOfFrame(drilled.frame, [cell]));
    },
    targets: places.map((place) => low + Math.max(shift, place - shift)),
    lie: (place, face) =>
      screw(
        outOf(drilled.frame, [end - (meeting.side * BLOCK) / 2, place, surface(face)]),
        times(ways[2], -face),
        place,
        drilled,
      ),
    also: {
      ...row,
      targets: places.map((place) => low + Math.min(high - low - shift, place + shift)),
      lie: (place, face) =>
        screw(onPlane(drilled, meeting, [0, place, surface(face) + (face * BLOCK) / 2]), meeting.normal, place, into),
    },
  };
}
