import { first, found, last, nth, pairs, sure } from '../lists';
import { inches, roundToTape, type Length } from '../length';
import type { Method } from '../job';
import { waysOf, type Part } from '../piece';
import { add, dot, times, type Vec } from '../solid';
import { sizeOf } from '../work';
import {
  depths,
  isOnTop,
  place3,
  shifted,
  spaced,
  tellFrom,
  toMark,
  times3,
  type JointLayout,
  type Lie,
  type Site,
} from './layout';
import { onPlane } from './meeting';
import { boltFor, bradFor, BRADS, INSERTS, LAGS, SHORT_OF, woodScrew, type Fastener } from './fasteners';
import { railEndPositions } from './pocket-screws';
import type { ShankLaid } from './shank';

/** A plug of 3/8 wants a face so wide. */
const LEAST_PLUGGED: Length = inches(1);

/** The narrower way of the face of a part that a direction goes in by. */
const faceOf = (part: Part, direction: Vec): Length =>
  Math.min(
    ...([0, 1, 2] as const)
      .filter((axis) => Math.abs(dot(waysOf(part)[axis], direction)) < 0.5)
      .map((axis) => sizeOf(part, axis)),
  );

/** The wood that the longest screw of gauge 8 holds. */
const SLENDER: Length = inches(1.25);
const isThin = ({ drilled, meeting }: Site): boolean => faceOf(drilled, meeting.normal) < LEAST_PLUGGED;

type Chosen = {
  readonly fastener: Fastener;
  readonly sunk: Length;
  readonly bite: Length;
  /** A bolt that goes through both parts. */
  readonly through?: boolean;
};

/** Into a deep part the head goes down a counterbore until the tip bites this far; as far as a thin one is thick. */
const DEEP_BITE = inches(1.25);
/** What bites nearly as far with its head at the surface is not sunk. */
const NEARLY = 0.75;

/**
 * The screw or bolt for so much wood on both sides, and how deep its head goes.
 *
 * @param lean how deep it must lie at least, where it goes in at a slant.
 */
function straightFor(by: Method, deep: Length, beyond: Length, lean: Length, site: Site): Chosen {
  const sunkTo = (length: Length, bite: Length, own: Length): Length => {
    const least = Math.max(own, lean);
    const wanted = Math.min(bite, beyond - SHORT_OF);
    if (length - (deep - least) >= NEARLY * wanted) return roundToTape(least, site.units);
    return roundToTape(
      Math.min(Math.max(least, deep - inches(1 / 2)), Math.max(least, Math.round(deep + wanted - length))),
      site.units,
    );
  };
  switch (by) {
    case 'brads': {
      const usual = bradFor(Math.min(deep, site.drilled.thickness, site.into.thickness));
      // Too long for what is there, a shorter one.
      const most = Math.min(usual.length, Math.max(inches(1), deep + beyond - SHORT_OF));
      return { fastener: BRADS.findLast(({ length }) => length <= most) ?? first(BRADS), sunk: 0, bite: inches(1 / 4) };
    }
    case 'bolts': {
      const { fastener, sunk, through } = boltFor(deep, beyond);
      return { fastener, sunk: roundToTape(sunk, site.units), bite: inches(1), through };
    }
    case 'lag screws': {
      const least = Math.min(inches(3 / 8), Math.round(deep / 3));
      const safe = LAGS.filter(({ length }) => length <= deep - least + beyond - SHORT_OF);
      const fastener = safe.find(({ length }) => length >= deep - least + inches(1.5)) ?? safe.at(-1) ?? first(LAGS);
      return { fastener, sunk: sunkTo(fastener.length, inches(1.5), least), bite: inches(3 / 4) };
    }
    case 'inserts': {
      const fastener = INSERTS.find(({ length }) => length >= deep + inches(3 / 8)) ?? last(INSERTS);
      return { fastener, sunk: sunkTo(fastener.length, inches(1 / 2), 0), bite: inches(5 / 16) };
    }
    default: {
      // A head with its washer, in a slot, lies below the face: that lies on something, or is seen.
      const below = by === 'plugged screws' ? inches(3 / 8) : site.joint.kind === 'float' ? inches(1 / 4) : 0;
      const plugged = Math.min(below, Math.round(deep / 3));
      const lapped = site.joint.kind === 'lap';
      // In a thin edge only a slender screw has wood round its counterbore: it goes down until it bites.
      const grip = site.joint.kind === 'float' && isThin(site) ? Math.min(deep, SLENDER) : deep;
      const fastener = woodScrew(grip - (lapped ? 0 : Math.max(plugged, lean)), beyond);
      return { fastener, sunk: sunkTo(fastener.length, Math.min(DEEP_BITE, deep), plugged), bite: inches(1 / 4) };
    }
  }
}

/** Flatter than this a countersink takes the head in. */
const LEVEL = 0.2;

/** How steep the surface is that a screw goes in at, about a place: rise over run, the steeper of two directions. */
function slopeAt(deepAt: (off: Length, aside: Length) => number): number {
  const step = inches(1 / 8);
  const ways = [
    [step, 0],
    [0, step],
  ] as const;
  const rises = ways.map(([off, aside]) => [deepAt(off, aside), deepAt(-off, -aside)] as const);
  // At an edge there is nothing on one side: no slope.
  return Math.max(
    0,
    ...rises
      .filter(([a, b]) => a > 0 && b > 0)
      .map(([a, b]) => Math.abs(a - b) / (2 * step))
      .filter((rise) => rise < 3),
  );
}

/** Where along a meeting it is driven, from its low end; at the end of a rail (`reversed`) as ends are. */
function placesAlong(length: Length, by: Method, { joint, units }: Site, reversed: boolean): readonly Length[] {
  if (by === 'bolts') return [Math.round(length / 2)];
  if (reversed) return railEndPositions(length, units);
  if (by === 'brads') return spaced(length, inches(6), inches(2.5), units);
  if (by === 'slotted screws') return spaced(length, inches(10), inches(9), units);
  // An insert is wide: two in a hand's breadth leave no wood between.
  if (by === 'inserts' && isOnTop(joint.kind) && length < inches(8)) return [Math.round(length / 2)];
  // What one bolt would hold takes two of anything thinner, so that it does not turn.
  if (joint.kind === 'lap' || joint.kind === 'bolt') return [Math.round(length / 4), Math.round((3 * length) / 4)];
  return spaced(length, by === 'lag screws' || by === 'inserts' ? inches(12) : inches(8), inches(2.5), units);
}

/** Screws that are moved along stand no nearer to each other than this, or a third of what they stand apart. */
const APART: Length = inches(1.5);
const leastApart = (rows: readonly Length[]): Length =>
  Math.min(APART, ...pairs(rows).map(([a, b]) => Math.floor(Math.abs(b - a) / 3)));

/**
 * Straight through one part into the other: screws, lags, bolts, inserts, brads. A rail's come through what it ends on.
 */
export function straight(by: Method, site: Site): JointLayout | null {
  const { drilled, into, meeting, units, joint } = site;
  const at = onPlane(drilled, meeting, times3(meeting.spans.map(([low, high]) => (low + high) / 2)));
  const own = depths(drilled, into, at, meeting.normal);
  // Through the end or the edge of a part nothing is driven: its screws come from the other side.
  const reversed = joint.kind === 'rail end' || (own.deep > inches(6) && own.beyond < own.deep);
  // What must let the top move comes up through the rail, never down from the face that is seen.
  if (reversed && by === 'slotted screws') return null;
  const direction = times(meeting.normal, reversed ? -1 : 1);
  const [first, second] = reversed ? [into, drilled] : [drilled, into];
  // A plug needs wood round it: in the edge of a thin board there is none.
  if (by === 'plugged screws' && faceOf(first, direction) < LEAST_PLUGGED) return null;
  const run = meeting.along;
  const wide = found([0, 1, 2] as const, (at) => at !== meeting.axis && at !== run);
  const [low, high] = nth(meeting.spans, run);
  const [near, far] = nth(meeting.spans, wide);
  const tell = tellFrom(site, run);
  const length = high - low;
  // Wide meetings take their screws in zigzag: two in one line of grain split it.
  const zigzag = by !== 'brads' && far - near >= inches(2.5);
  const targets = placesAlong(length, by, site, reversed);
  // In the edge of a float there is wood round a counterbore in the middle alone.
  const isNarrow = joint.kind === 'float' && isThin(site);
  // Along what is longer than a hand they stand at easy marks from its end.
  const [size, up] = [sizeOf(drilled, run), run !== 0 && waysOf(drilled)[run][2] > 0.7];
  const marked = (place: Length) => (up ? size - toMark(size - place, units) : toMark(place, units));
  const rows = shifted(low, targets).map((place) => (length > inches(6) ? marked(place) : place));
  const across = (place: Length, face: 1 | -1): number => {
    const turn = Math.round((place - low) / inches(2)) % 2 === 0 ? 1 : -1;
    const off = zigzag && targets.length > 1 ? 0.2 * turn * face : face > 0 || isNarrow ? 0 : 0.25;
    // To a mark of the tape: it is marked from the side.
    return Math.max(near, Math.min(far, roundToTape(near + (far - near) * (0.5 + off), units)));
  };
  const pointAt = (place: Length, face: 1 | -1, aside: Length = 0) =>
    onPlane(
      drilled,
      meeting,
      place3([
        [run, place],
        [wide, across(place, face) + aside],
      ]),
    );
  // Under a slanted edge some places lie beside the wood.
  const probes = ([1, -1] as const).flatMap((face) =>
    rows.map((place) => ({ place, face, wood: depths(first, second, pointAt(place, face), direction) })),
  );
  const probe = probes.find(({ wood }) => wood.deep > 0 && wood.beyond > 0);
  if (!probe) return null;
  const { place: usual, face: side, wood: middle } = probe;
  const choose = (lean: Length) =>
    straightFor(
      by === 'slotted screws' ? 'screws' : by,
      Math.round(middle.deep),
      Math.round(middle.beyond),
      lean,
      site,
    );
  // Going in at a slant a head lies so deep that all of it is in the wood.
  const slope =
    by === 'brads'
      ? 0
      : slopeAt((off, aside) => depths(first, second, pointAt(usual + off, side, aside), direction).deep);
  const lean = slope < LEVEL ? 0 : roundToTape((choose(0).fastener.wide / 2) * slope, units);
  const chosen = choose(lean);
  const { fastener } = chosen;
  // On a strip narrower than its head a screw finds no wood round it.
  if (by !== 'brads' && far - near < fastener.wide) return null;
  const through = chosen.through === true;
  const lie = (place: Length, face: 1 | -1, aside: Length = 0): Lie => {
    const point = pointAt(place, face, aside);
    const { deep } = depths(first, second, point, direction);
    // Where the wood is thicker than where it was chosen for, the head goes down by as much; where thinner, less.
    const sunk = deep > 0 ? Math.max(lean, chosen.sunk + roundToTape(deep - middle.deep, units)) : chosen.sunk;
    const reach = Math.max(0, (deep > 0 ? deep : middle.deep) - sunk);
    const laid: ShankLaid = {
      from: add(point, times(direction, -reach)),
      direction,
      length: through ? Math.round(reach + middle.beyond) : fastener.length,
      radius: fastener.shank / 2,
      behind: sunk,
      hole: Math.max(fastener.wide, fastener.counterbore?.across ?? 0) / 2,
      position: tell(place),
      driven: by !== 'brads',
    };
    // The hole that takes an insert is wider than its bolt: others keep clear of it.
    const seat = (): readonly ShankLaid[] => [
      {
        ...laid,
        from: point,
        length: Math.max(0, laid.length - reach),
        behind: 0,
        radius: sure(fastener.pilot, 'pilot of the insert').hard.across / 2,
      },
    ];
    return { laid, first, second, meets: reach, ...(by === 'inserts' ? { beside: seat } : {}) };
  };
  return {
    fastener,
    jig: 0,
    run,
    targets: rows,
    tell,
    faces: [1, -1],
    lie,
    bite: chosen.bite,
    apart: leastApart(rows),
    wary: by !== 'brads',
    leaves: through || by === 'bolts' ? null : by === 'inserts' ? SHORT_OF : 0,
  };
}
