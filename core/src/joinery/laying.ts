import { inches, type Length, type Units } from '../length';
import type { Method } from '../job';
import { rawSolidOf, solidOf, type Axis, type Joint, type Part } from '../piece';
import { add, outOf, radians, raysIn, times, type Vec } from '../solid';
import { bradFor, boltFor, dowelFor, drillingOf, INSERTS, LAGS, lengthOf, SHORT_OF, tenonFor, woodScrew } from './other-fasteners'; // prettier-ignore
import { edgePositions, pocketScrew, railEndPositions, THICKEST_POCKET } from './pocket-screws';
import { onPlane, waysOf, type Meeting } from './meeting';
import { measured, type Laid } from './shank';
import { POCKET_SCREWS, type PocketScrew } from '../stock';

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
export type Lie = { readonly laid: Laid; readonly first: Part; readonly second: Part; readonly meets: number };

/** How a method is laid out at a site. */
export type Layout = {
  readonly size: string;
  readonly jig: Length;
  /** Places along the drilled part's own direction `run`, as they would be without anything in the way. */
  readonly run: Axis;
  readonly targets: readonly Length[];
  /** What is told of a place: from the top edge, or as it is. */
  readonly tell: (place: Length) => Length;
  /** Sides the holes may be on; the first is the usual. */
  readonly faces: readonly (1 | -1)[];
  readonly lie: (place: Length, face: 1 | -1) => Lie;
  /** Least wood it must hold in, and leave before the far face; null for what goes through. */
  readonly bite: Length;
  readonly leaves: Length | null;
  /** Laid besides, on the same face: a corner block's second row. */
  readonly also?: Layout;
};

/** A pocket's pilot runs so many degrees from the face. */
const SLOPE = radians(15);
/** Of the pilot's step bit. */
const POCKET_HOLE = inches(3 / 16);
const POCKET_SHANK = inches(0.082);
/** From the edges of what a pocket screw goes into. */
const STRIP = inches(1 / 8);

const surfaceBehind = (part: Part, from: Vec, direction: Vec): number => {
  const back = times(direction, -1);
  return Math.max(0, raysIn(rawSolidOf(part), from, back).find(([low, high]) => low < 10 && high > 0)?.[1] ?? 0);
};

const place3 = (values: readonly (readonly [Axis, number])[]): Vec => {
  const place: [number, number, number] = [0, 0, 0];
  for (const [axis, value] of values) place[axis] = value;
  return place;
};

const times3 = (values: readonly number[]): Vec => [values[0]!, values[1]!, values[2]!];

/** Rail ends are told from the top edge where the width stands up. */
function tellFrom({ drilled, joint }: Site, run: Axis): (place: Length) => Length {
  const up = waysOf(drilled)[run][2];
  const size = [drilled.length, drilled.width, drilled.thickness][run]!;
  return joint.kind === 'rail end' && up > 0.1 ? (place) => size - place : (place) => place;
}

const shifted = (from: Length, places: readonly Length[]): readonly Length[] => places.map((place) => from + place);

/** Places over a run: the middle of a short one, else two in from each end and evenly between. */
const spaced = (run: Length, spacing: Length, short: Length, units: Units): readonly Length[] =>
  run <= short ? [Math.round(run / 2)] : edgePositions(run, units, spacing);

/** Pockets: drilled at 15 degrees from a face, out through the middle of the jig's setting. */
function pockets(site: Site, fine: boolean): Layout | null {
  const { drilled, into, meeting, units, joint } = site;
  const sizes = [drilled.length, drilled.width, drilled.thickness];
  const [a, b] = ([0, 1, 2] as const).filter((at) => at !== meeting.axis) as [Axis, Axis];
  const face = sizes[a]! <= sizes[b]! ? a : b;
  const run = face === a ? b : a;
  const usual = Math.min(sizes[face]!, THICKEST_POCKET);
  // Where the other part meets only a strip of the end, the jig is set so that the screw comes out in its middle.
  const [from, to] = meeting.spans[face]!;
  const inStrip = (depth: number) => depth > from + STRIP && depth < to - STRIP;
  const middle = (from + to) / 2;
  const strip = ![usual / 2, sizes[face]! - usual / 2].every(inStrip);
  const jig = strip ? Math.round(2 * Math.min(middle, sizes[face]! - middle)) : usual;
  const faces: Layout['faces'] = strip ? [middle > sizes[face]! / 2 ? 1 : -1] : [1, -1];
  const own = pocketScrew(jig);
  const table = pocketScrew(Math.min(jig, into.thickness));
  if (own === null || table === null) return null;
  // The collar is set so that half of the screw that belongs to the setting is beyond the end.
  const seat = Math.round(lengthOf(own) / 2);
  const [low, high] = meeting.spans[run]!;
  const tell = tellFrom(site, run);
  const length = high - low;
  const rail = joint.kind === 'rail end';
  const top = joint.kind === 'top screws' || joint.kind === 'top clips';
  const targets = rail
    ? railEndPositions(length, units).map((place) => (tell(0) === 0 ? low + place : high - place))
    : shifted(low, top ? spaced(length, inches(8), inches(9), units) : edgePositions(length, units, site.spacing));
  const ways = waysOf(drilled);
  const lieOf =
    (size: PocketScrew) =>
    (place: Length, side: 1 | -1): Lie => {
      const depth = side > 0 ? sizes[face]! - jig / 2 : jig / 2;
      const out = onPlane(
        drilled,
        meeting,
        place3([
          [run, place],
          [face, depth],
        ]),
      );
      const direction = add(times(ways[meeting.axis], meeting.side * Math.cos(SLOPE)), times(ways[face], -side * Math.sin(SLOPE))); // prettier-ignore
      const from = add(out, times(direction, -seat));
      const laid: Laid = {
        from,
        direction,
        length: lengthOf(size),
        radius: POCKET_SHANK,
        behind: surfaceBehind(drilled, from, direction),
        hole: POCKET_HOLE,
        position: tell(place),
        driven: true,
      };
      return { laid, first: drilled, second: into, meets: seat };
    };
  // Thinner where it is lapped or cut away: the longest that stays inside.
  const stays = (size: PocketScrew): boolean => {
    const { laid, first, second, meets } = lieOf(size)(targets[0]!, faces[0]!);
    return measured(laid, first, second, meets).left >= 0;
  };
  const shorter = POCKET_SCREWS.slice(0, POCKET_SCREWS.indexOf(table) + 1);
  const size = shorter.findLast(stays) ?? table;
  const lie = lieOf(size);
  return {
    size: fine ? `${size} fine` : size,
    jig,
    run,
    targets: [...targets].sort((x, y) => x - y),
    tell,
    faces,
    lie,
    bite: inches(5 / 16),
    leaves: 0,
  };
}

/** Wood along a straight line through the meeting: what lies behind it in one part and before it in the other. */
function depths(
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

type Chosen = { readonly size: string; readonly length: Length; readonly sunk: Length; readonly bite: Length };

/** Into a deep part the head goes down a counterbore until the tip bites this far. */
const DEEP_BITE = inches(1.25);

/** The screw or bolt for so much wood on both sides, and how deep its head goes. */
function straightFor(by: Method, deep: Length, beyond: Length, site: Site): Chosen {
  const sunkTo = (length: Length, bite: Length, least: Length): Length =>
    Math.min(Math.max(least, deep - inches(1 / 2)), Math.max(least, Math.round(deep + Math.min(bite, beyond - SHORT_OF) - length))); // prettier-ignore
  switch (by) {
    case 'brads': {
      const size = bradFor(Math.min(deep, site.drilled.thickness, site.into.thickness));
      // Too long for what is there, a shorter one.
      const length = Math.min(lengthOf(size), Math.max(inches(1), deep + beyond - SHORT_OF));
      const shorter = ['2', '1 1/2', '1 1/4', '1'].find((one) => lengthOf(one) <= length) ?? '1';
      return { size: shorter, length: lengthOf(shorter), sunk: 0, bite: inches(1 / 4) };
    }
    case 'bolts': {
      const size = boltFor(deep);
      return { size, length: lengthOf(size), sunk: 0, bite: inches(1) };
    }
    case 'lag screws': {
      const least = Math.min(inches(3 / 8), Math.round(deep / 3));
      const safe = LAGS.filter((size) => lengthOf(size) <= deep - least + beyond - SHORT_OF);
      const size = safe.find((one) => lengthOf(one) >= deep - least + inches(1.5)) ?? safe.at(-1) ?? LAGS[0];
      return { size, length: lengthOf(size), sunk: sunkTo(lengthOf(size), inches(1.5), least), bite: inches(3 / 4) };
    }
    case 'inserts': {
      const size = INSERTS.find((one) => lengthOf(one) >= deep + inches(3 / 8)) ?? INSERTS.at(-1)!;
      return { size, length: lengthOf(size), sunk: sunkTo(lengthOf(size), inches(1 / 2), 0), bite: inches(5 / 16) };
    }
    default: {
      const plugged = by === 'plugged screws' ? Math.min(inches(3 / 8), Math.round(deep / 3)) : 0;
      const lapped = site.joint.kind === 'lap';
      const screw = lapped ? woodScrew(deep, beyond) : woodScrew(deep - plugged, beyond);
      const length = lengthOf(screw);
      return { size: screw, length, sunk: sunkTo(length, DEEP_BITE, plugged), bite: inches(1 / 4) };
    }
  }
}

/** Straight through one part into the other: screws, lags, bolts, inserts, brads. A rail's come through what it ends on. */
function straight(by: Method, site: Site): Layout | null {
  const { drilled, into, meeting, units, joint } = site;
  const at = onPlane(drilled, meeting, times3(meeting.spans.map(([low, high]) => (low + high) / 2)));
  const own = depths(drilled, into, at, meeting.normal);
  // Through the end or the edge of a part nothing is driven: its screws come from the other side.
  const reversed = joint.kind === 'rail end' || (own.deep > inches(6) && own.beyond < own.deep);
  const direction = times(meeting.normal, reversed ? -1 : 1);
  const [first, second] = reversed ? [into, drilled] : [drilled, into];
  const run = meeting.along;
  const wide = ([0, 1, 2] as const).find((at) => at !== meeting.axis && at !== run)!;
  const [low, high] = meeting.spans[run]!;
  const [near, far] = meeting.spans[wide]!;
  const tell = tellFrom(site, run);
  const length = high - low;
  // Wide meetings take their screws in zigzag: two in one line of grain split it.
  const zigzag = far - near >= inches(2.5);
  const targets =
    joint.kind === 'bolt' || by === 'bolts'
      ? [Math.round(length / 2)]
      : reversed
        ? railEndPositions(length, units)
        : by === 'brads'
          ? spaced(length, inches(6), inches(2.5), units)
          : by === 'slotted screws'
            ? spaced(length, inches(10), inches(9), units)
            : joint.kind === 'lap'
              ? [Math.round(length / 4), Math.round((3 * length) / 4)]
              : spaced(length, by === 'lag screws' || by === 'inserts' ? inches(12) : inches(8), inches(2.5), units);
  const across = (place: Length, face: 1 | -1): number => {
    const turn = Math.round((place - low) / inches(2)) % 2 === 0 ? 1 : -1;
    const off = zigzag && targets.length > 1 ? 0.2 * turn * face : face > 0 ? 0 : 0.25;
    return near + (far - near) * (0.5 + off);
  };
  const pointAt = (place: Length, face: 1 | -1) => onPlane(drilled, meeting, place3([[run, place], [wide, across(place, face)]])); // prettier-ignore
  const middle = depths(first, second, pointAt(low + targets[0]!, 1), direction);
  if (middle.deep <= 0 || middle.beyond <= 0) return null;
  const chosen = straightFor(by === 'slotted screws' ? 'screws' : by, Math.round(middle.deep), Math.round(middle.beyond), site); // prettier-ignore
  const through = by === 'bolts' && chosen.length >= middle.deep + middle.beyond;
  const drilling = drillingOf(chosen.size);
  const lie = (place: Length, face: 1 | -1): Lie => {
    const point = pointAt(place, face);
    const { deep } = depths(first, second, point, direction);
    // Where the wood is thicker than where it was chosen for, the head goes down by as much.
    const sunk = chosen.sunk + Math.max(0, Math.round(deep - middle.deep));
    const reach = Math.max(0, (deep > 0 ? deep : middle.deep) - sunk);
    const laid: Laid = {
      from: add(point, times(direction, -reach)),
      direction,
      length: through ? Math.round(reach + middle.beyond) : chosen.length,
      radius: inches((drilling?.shank ?? 0.05) / 2),
      behind: sunk,
      hole: inches((drilling?.head ?? 0.05) / 2),
      position: tell(place),
      driven: by !== 'brads',
    };
    return { laid, first, second, meets: reach };
  };
  return { size: chosen.size, jig: 0, run, targets: shifted(low, targets), tell, faces: [1, -1], lie, bite: chosen.bite, leaves: through || by === 'bolts' ? null : 0 }; // prettier-ignore
}

/** Dowels, biscuits and loose tenons: half in each part, less in a thin one; nothing is driven from outside. */
function pegs(by: Method, site: Site): Layout | null {
  const { drilled, into, meeting, units, joint } = site;
  const [a, b] = ([0, 1, 2] as const).filter((at) => at !== meeting.axis) as [Axis, Axis];
  const span = (at: Axis) => meeting.spans[at]![1] - meeting.spans[at]![0];
  const [run, wide] = span(a) >= span(b) ? [a, b] : [b, a];
  const thinner = Math.min(span(wide), into.thickness);
  const size = by === 'dowels' ? dowelFor(thinner) : by === 'biscuits' ? (span(run) >= inches(2.5) ? '#20' : '#0') : tenonFor(thinner); // prettier-ignore
  const length = by === 'biscuits' ? inches(15 / 16) : lengthOf(size);
  const [low, high] = meeting.spans[run]!;
  const tell = tellFrom(site, run);
  const rail = joint.kind === 'rail end';
  const places = rail
    ? by === 'dowels'
      ? railEndPositions(Math.max(high - low, inches(1.6)), units).map((place) => Math.min(place, high - low))
      : high - low > inches(5)
        ? [Math.round((high - low) / 4), Math.round((3 * (high - low)) / 4)]
        : [Math.round((high - low) / 2)]
    : edgePositions(high - low, units, by === 'biscuits' ? inches(7) : inches(10));
  const middle = (meeting.spans[wide]![0] + meeting.spans[wide]![1]) / 2;
  const wood = depths(drilled, into, onPlane(drilled, meeting, place3([[run, low + places[0]!], [wide, middle]])), meeting.normal); // prettier-ignore
  const beyond = Math.min(Math.round(length / 2), Math.round(wood.beyond) - SHORT_OF);
  if (beyond < inches(1 / 4) || wood.deep < length - beyond + SHORT_OF) return null;
  const lie = (place: Length): Lie => {
    const point = onPlane(
      drilled,
      meeting,
      place3([
        [run, place],
        [wide, middle],
      ]),
    );
    const laid: Laid = {
      from: add(point, times(meeting.normal, -(length - beyond))),
      direction: meeting.normal,
      length,
      radius: by === 'dowels' ? Math.round(inches(Number(size[0]) / Number(size[2])) / 2) : inches(1 / 8),
      behind: 0,
      hole: 0,
      position: tell(place),
      driven: false,
    };
    return { laid, first: drilled, second: into, meets: length - beyond };
  };
  return { size, jig: 0, run, targets: shifted(low, [...new Set(places)]), tell, faces: [1], lie, bite: inches(1 / 4), leaves: 0 }; // prettier-ignore
}

/** How far a clip's own screw goes up into the top beside the rail. */
const CLIP_SCREW = inches(1 / 2);
const CLIP_OFF = inches(1 / 2);

/** Clips: the screw of each goes up into the top, beside the rail on the side that is not seen. */
function clips(site: Site): Layout | null {
  const { drilled, into, meeting, units } = site;
  const run = meeting.axis === 0 ? meeting.along : 0;
  const wide = ([0, 1, 2] as const).find((at) => at !== meeting.axis && at !== run)!;
  const [low, high] = meeting.spans[run]!;
  const [near, far] = meeting.spans[wide]!;
  const lie = (place: Length, face: 1 | -1): Lie => {
    const from = onPlane(drilled, meeting, place3([[run, place], [wide, face > 0 ? far + CLIP_OFF : near - CLIP_OFF]])); // prettier-ignore
    const wood = raysIn(solidOf(into), from, meeting.normal).find(([low, high]) => low < 60 && high > 60)?.[1] ?? 0;
    const laid: Laid = {
      from,
      direction: meeting.normal,
      // In thin wood a shorter one, or a washer under its head.
      length: Math.min(CLIP_SCREW, Math.max(inches(5 / 16), Math.floor(wood) - inches(1 / 16))),
      radius: POCKET_SHANK,
      behind: 0,
      hole: 0,
      position: place,
      driven: true,
    };
    return { laid, first: into, second: into, meets: 0 };
  };
  const targets = shifted(low, spaced(high - low, inches(10), inches(9), units));
  return { size: '', jig: drilled.thickness, run, targets, tell: (place) => place, faces: [1, -1], lie, bite: inches(5 / 16), leaves: 0 }; // prettier-ignore
}

/** A corner block is so thick both ways, and as long as the rail is wide. */
export const BLOCK: Length = inches(1.5);

/** A block in the inside corner of a rail and what it ends on: screwed through into both, two rows that pass each other. */
function cornerBlock(site: Site): Layout | null {
  const { drilled, into, meeting, units } = site;
  if (meeting.axis !== 0) return null;
  const [low, high] = meeting.spans[1]!;
  const size = drilled.thickness >= inches(1.25) && into.thickness >= inches(1.25) ? '#8 2 1/2' : '#8 2';
  const bite = lengthOf(size) - BLOCK;
  const ways = waysOf(drilled);
  const end = meeting.side > 0 ? drilled.length : 0;
  const tell = tellFrom(site, 1);
  const screw = (from: Vec, direction: Vec, place: Length, part: Part): Lie => ({
    laid: { from, direction, length: bite, radius: POCKET_SHANK, behind: BLOCK, hole: POCKET_SHANK, position: tell(place), driven: true }, // prettier-ignore
    first: part,
    second: part,
    meets: 0,
  });
  const surface = (face: 1 | -1) => (face > 0 ? drilled.thickness : 0);
  const places = railEndPositions(high - low, units);
  const row = { size, jig: 0, run: 1 as const, tell, faces: [1, -1] as const, bite: inches(3 / 8), leaves: 0 };
  const shift = inches(3 / 8);
  return {
    ...row,
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
      lie: (place, face) => screw(onPlane(drilled, meeting, [0, place, surface(face) + (face * BLOCK) / 2]), meeting.normal, place, into), // prettier-ignore
    },
  };
}

/** How a method is laid out at a site; null where it has nothing to lay out there, or the wood does not allow it. */
export function layoutOf(by: Method, site: Site, fine: boolean): Layout | null {
  switch (by) {
    case 'pocket screws':
      return pockets(site, fine);
    case 'clips':
      return clips(site);
    case 'corner block':
      return cornerBlock(site);
    case 'dowels':
    case 'biscuits':
    case 'loose tenon':
      return pegs(by, site);
    case 'glue':
    case 'mortise and tenon':
    case 'half lap':
      return null;
    default:
      return straight(by, site);
  }
}
