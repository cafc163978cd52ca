import { first, nth } from '../lists';
import { inches, type Length } from '../length';
import type { Method } from '../job';
import { waysOf, type Axis, type Part } from '../piece';
import { add, dot, times } from '../solid';
import { depths, place3, shifted, tellFrom, type JointLayout, type Lie, type Site } from './layout';
import { onPlane } from './meeting';
import { BISCUITS, dowelFor, SHORT_OF, tenonFor } from './fasteners';
import { edgePositions, railEndPositions } from './pocket-screws';
import type { ShankLaid } from './shank';

/**
 * Ends that lean both ways. Pegs let a joint close along its own line only: of a mitred frame, and of a frame whose
 * rails lean both ways, the last parts would have to come in along two lines at once.
 */
const isCompound = ({ ends }: Part): boolean =>
  [ends.left, ends.right].some(({ mitre, bevel }) => mitre !== 0 && bevel !== 0);

/** As a cosine: within some two degrees a slot lies along an edge. */
const ALONG = 0.9994;

/** Dowels, biscuits and loose tenons: half in each part, less in a thin one; nothing is driven from outside. */
export function pegs(by: Method, site: Site): JointLayout | null {
  const { drilled, into, meeting, units, joint } = site;
  const slanted = waysOf(drilled).every((way) => Math.abs(dot(way, meeting.normal)) < ALONG);
  if (joint.kind === 'edge' && (meeting.axis === 0 || slanted)) return null;
  if (meeting.axis === 0 && isCompound(drilled)) return null;
  const [a, b] = ([0, 1, 2] as const).filter((at) => at !== meeting.axis) as [Axis, Axis];
  const span = (at: Axis) => nth(meeting.spans, at)[1] - nth(meeting.spans, at)[0];
  const [run, wide] = span(a) >= span(b) ? [a, b] : [b, a];
  // A slot is cut along an edge of its part: where the two parts lie at an angle, theirs would lie across each other.
  const along = waysOf(drilled)[run];
  if (by !== 'dowels' && !waysOf(into).some((way) => Math.abs(dot(way, along)) > ALONG)) return null;
  const thinner = Math.min(span(wide), into.thickness);
  const fastener =
    by === 'dowels'
      ? dowelFor(thinner)
      : by === 'biscuits'
        ? span(run) >= inches(2.5)
          ? BISCUITS.large
          : BISCUITS.small
        : tenonFor(thinner);
  const { length } = fastener;
  const [low, high] = nth(meeting.spans, run);
  const tell = tellFrom(site, run);
  const rail = joint.kind === 'rail end';
  const places = rail
    ? by === 'dowels'
      ? railEndPositions(Math.max(high - low, inches(1.6)), units).map((place) => Math.min(place, high - low))
      : high - low > inches(5)
        ? [Math.round((high - low) / 4), Math.round((3 * (high - low)) / 4)]
        : [Math.round((high - low) / 2)]
    : edgePositions(high - low, units, by === 'biscuits' ? inches(7) : inches(10));
  const middle = (nth(meeting.spans, wide)[0] + nth(meeting.spans, wide)[1]) / 2;
  const wood = depths(
    drilled,
    into,
    onPlane(
      drilled,
      meeting,
      place3([
        [run, low + first(places)],
        [wide, middle],
      ]),
    ),
    meeting.normal,
  );
  const beyond = Math.min(Math.round(length / 2), Math.round(wood.beyond) - SHORT_OF);
  if (beyond < inches(1 / 4) || wood.deep < length - beyond + SHORT_OF) return null;
  // A slot is as long as what goes in is wide: a row of lines beside each other, for others to keep clear of.
  const across = (laid: ShankLaid): readonly ShankLaid[] => {
    const half = (fastener.wide - fastener.shank) / 2;
    const rows = Math.ceil(half / inches(3 / 8));
    return Array.from({ length: 2 * rows }, (_, at) => (half * (at < rows ? at - rows : at - rows + 1)) / rows).map(
      (off) => ({ ...laid, from: add(laid.from, times(along, off)), radius: fastener.shank / 2 }),
    );
  };
  const lie = (place: Length): Lie => {
    const point = onPlane(
      drilled,
      meeting,
      place3([
        [run, place],
        [wide, middle],
      ]),
    );
    const laid: ShankLaid = {
      from: add(point, times(meeting.normal, -(length - beyond))),
      direction: meeting.normal,
      length,
      radius: by === 'dowels' ? Math.round(fastener.shank / 2) : inches(1 / 8),
      behind: 0,
      hole: 0,
      position: tell(place),
      driven: false,
    };
    return {
      laid,
      first: drilled,
      second: into,
      meets: length - beyond,
      // A hole is a little deeper than what goes in: before a notch there must be wood for that too.
      whole: () => depths(drilled, into, point, meeting.normal).deep >= length - beyond + SHORT_OF,
      ...(by === 'dowels' ? {} : { beside: () => across(laid) }),
    };
  };
  return {
    fastener,
    jig: 0,
    run,
    targets: shifted(low, [...new Set(places)]),
    tell,
    faces: [1],
    lie,
    bite: inches(1 / 4),
    leaves: 0,
  };
}
