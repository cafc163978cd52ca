import { nth } from '../lists';
import { inches, type Length } from '../length';
import { rawSolidOf, solidOf, type Axis, type Part, waysOf } from '../piece';
import { add, radians, raysIn, times, type Vec } from '../solid';
import { POCKET_SCREWS, type PocketScrew } from '../stock';
import { pocketShank } from './fasteners';
import {
  isOnTop,
  isPlain,
  place3,
  shifted,
  toMark,
  spaced,
  tellFrom,
  type JointLayout,
  type Lie,
  type Site,
} from './layout';
import { onPlane } from './meeting';
import { edgePositions, pocketScrew, railEndPositions, THICKEST_POCKET } from './pocket-screws';
import { measured, type ShankLaid } from './shank';

/** A pocket's pilot runs so many degrees from the face. */
const SLOPE = radians(15);
/** Of the pilot's step bit. */
const POCKET_HOLE = inches(3 / 16);
/** From the edges of what a pocket screw goes into. */
const STRIP = inches(1 / 8);

/** Two pockets of one joint leave as much wood between them as either takes. */
const POCKETS_APART = inches(3 / 4);

const surfaceBehind = (part: Part, from: Vec, direction: Vec): number => {
  const back = times(direction, -1);
  return Math.max(0, raysIn(rawSolidOf(part), from, back).find(([low, high]) => low < 10 && high > 0)?.[1] ?? 0);
};

/** Whether the wood that a hole begins in is there in the finished part: not where it is cut round or notched. */
const isIn = (part: Part, at: Vec, direction: Vec): boolean =>
  raysIn(solidOf(part), at, direction).some(([low, high]) => low < inches(1 / 16) && high > inches(1 / 4));

/** Pockets: drilled at 15 degrees from a face, out through the middle of the jig's setting. */
export function pockets(site: Site, fine: boolean): JointLayout | null {
  const { drilled, into, meeting, units, joint } = site;
  const sizes = [drilled.length, drilled.width, drilled.thickness];
  const [a, b] = ([0, 1, 2] as const).filter((at) => at !== meeting.axis) as [Axis, Axis];
  const face = nth(sizes, a) <= nth(sizes, b) ? a : b;
  const run = face === a ? b : a;
  const usual = Math.min(nth(sizes, face), THICKEST_POCKET);
  // Where the other part meets only a strip of the end, the jig is set so that the screw comes out in its middle.
  const [from, to] = nth(meeting.spans, face);
  const inStrip = (depth: number) => depth > from + STRIP && depth < to - STRIP;
  const middle = (from + to) / 2;
  const strip = ![usual / 2, nth(sizes, face) - usual / 2].every(inStrip);
  const jig = strip ? Math.round(2 * Math.min(middle, nth(sizes, face) - middle)) : usual;
  const faces: JointLayout['faces'] = strip ? [middle > nth(sizes, face) / 2 ? 1 : -1] : [1, -1];
  const own = pocketScrew(jig);
  const table = pocketScrew(Math.min(jig, into.thickness));
  if (own === null || table === null) return null;
  // On a board so narrow the jig's hole would open in its far edge, against the next board, and not in its face.
  if (jig / 2 / Math.tan(SLOPE) > nth(sizes, meeting.axis)) return null;
  // The collar is set so that half of the screw that belongs to the setting is beyond the end.
  const seat = Math.round(pocketShank(own, fine).length / 2);
  const [low, high] = nth(meeting.spans, run);
  const tell = tellFrom(site, run);
  const length = high - low;
  const rail = joint.kind === 'rail end';
  const targets = rail
    ? railEndPositions(length, units).map((place) => (tell(0) === 0 ? low + place : high - place))
    : shifted(
        low,
        isOnTop(joint.kind) ? spaced(length, inches(8), inches(9), units) : edgePositions(length, units, site.spacing),
      ).map((place) => toMark(place, units));
  const ways = waysOf(drilled);
  const lieOf =
    (size: PocketScrew) =>
    (place: Length, side: 1 | -1): Lie => {
      const depth = side > 0 ? nth(sizes, face) - jig / 2 : jig / 2;
      const out = onPlane(
        drilled,
        meeting,
        place3([
          [run, place],
          [face, depth],
        ]),
      );
      const direction = add(
        times(ways[meeting.axis], meeting.side * Math.cos(SLOPE)),
        times(ways[face], -side * Math.sin(SLOPE)),
      );
      const from = add(out, times(direction, -seat));
      const laid: ShankLaid = {
        from,
        direction,
        length: pocketShank(size, fine).length,
        radius: pocketShank(size, fine).shank / 2,
        behind: surfaceBehind(drilled, from, direction),
        hole: POCKET_HOLE,
        position: tell(place),
        driven: true,
      };
      const mouth = add(from, times(direction, -laid.behind));
      const aside = (off: Length) => add(mouth, times(ways[run], off));
      const whole = () =>
        isPlain(drilled) || [POCKET_HOLE, -POCKET_HOLE].every((off) => isIn(drilled, aside(off), direction));
      return { laid, first: drilled, second: into, meets: seat, whole };
    };
  // Thinner where it is lapped or cut away: the longest that stays inside.
  const stays = (size: PocketScrew): boolean => {
    const { laid, first, second, meets } = lieOf(size)(nth(targets, 0), nth(faces, 0));
    return measured(laid, first, second, meets).left >= 0;
  };
  const shorter = POCKET_SCREWS.slice(0, POCKET_SCREWS.indexOf(table) + 1);
  const size = shorter.findLast(stays) ?? table;
  const lie = lieOf(size);
  return {
    fastener: pocketShank(size, fine),
    jig,
    run,
    targets: [...targets].sort((x, y) => x - y),
    tell,
    faces,
    lie,
    bite: inches(5 / 16),
    wary: true,
    apart: POCKETS_APART,
    leaves: 0,
  };
}
