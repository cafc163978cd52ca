import { inches, roundToTape, type Length } from '../length';
import type { Method } from '../job';
import { add, times } from '../solid';
import { depths, place3, shifted, spaced, tellFrom, times3, type Layout, type Lie, type Site } from './layout';
import { onPlane } from './meeting';
import { boltFor, bradFor, BRADS, INSERTS, LAGS, SHORT_OF, woodScrew, type Fastener } from './fasteners';
import { railEndPositions } from './pocket-screws';
import type { Laid } from './shank';

type Chosen = { readonly fastener: Fastener; readonly sunk: Length; readonly bite: Length };

/** Into a deep part the head goes down a counterbore until the tip bites this far. */
const DEEP_BITE = inches(1.25);

/** The screw or bolt for so much wood on both sides, and how deep its head goes. */
function straightFor(by: Method, deep: Length, beyond: Length, site: Site): Chosen {
  const sunkTo = (length: Length, bite: Length, least: Length): Length =>
    roundToTape(Math.min(Math.max(least, deep - inches(1 / 2)), Math.max(least, Math.round(deep + Math.min(bite, beyond - SHORT_OF) - length))), site.units); // prettier-ignore
  switch (by) {
    case 'brads': {
      const usual = bradFor(Math.min(deep, site.drilled.thickness, site.into.thickness));
      // Too long for what is there, a shorter one.
      const most = Math.min(usual.length, Math.max(inches(1), deep + beyond - SHORT_OF));
      return { fastener: BRADS.findLast(({ length }) => length <= most) ?? BRADS[0]!, sunk: 0, bite: inches(1 / 4) };
    }
    case 'bolts': {
      return { fastener: boltFor(deep), sunk: 0, bite: inches(1) };
    }
    case 'lag screws': {
      const least = Math.min(inches(3 / 8), Math.round(deep / 3));
      const safe = LAGS.filter(({ length }) => length <= deep - least + beyond - SHORT_OF);
      const fastener = safe.find(({ length }) => length >= deep - least + inches(1.5)) ?? safe.at(-1) ?? LAGS[0]!;
      return { fastener, sunk: sunkTo(fastener.length, inches(1.5), least), bite: inches(3 / 4) };
    }
    case 'inserts': {
      const fastener = INSERTS.find(({ length }) => length >= deep + inches(3 / 8)) ?? INSERTS.at(-1)!;
      return { fastener, sunk: sunkTo(fastener.length, inches(1 / 2), 0), bite: inches(5 / 16) };
    }
    default: {
      const plugged = by === 'plugged screws' ? Math.min(inches(3 / 8), Math.round(deep / 3)) : 0;
      const lapped = site.joint.kind === 'lap';
      const fastener = lapped ? woodScrew(deep, beyond) : woodScrew(deep - plugged, beyond);
      return { fastener, sunk: sunkTo(fastener.length, DEEP_BITE, plugged), bite: inches(1 / 4) };
    }
  }
}

/** Straight through one part into the other: screws, lags, bolts, inserts, brads. A rail's come through what it ends on. */
export function straight(by: Method, site: Site): Layout | null {
  const { drilled, into, meeting, units, joint } = site;
  const at = onPlane(drilled, meeting, times3(meeting.spans.map(([low, high]) => (low + high) / 2)));
  const own = depths(drilled, into, at, meeting.normal);
  // Through the end or the edge of a part nothing is driven: its screws come from the other side.
  const reversed = joint.kind === 'rail end' || (own.deep > inches(6) && own.beyond < own.deep);
  // What must let the top move comes up through the rail, never down from the face that is seen.
  if (reversed && by === 'slotted screws') return null;
  const direction = times(meeting.normal, reversed ? -1 : 1);
  const [first, second] = reversed ? [into, drilled] : [drilled, into];
  const run = meeting.along;
  const wide = ([0, 1, 2] as const).find((at) => at !== meeting.axis && at !== run)!;
  const [low, high] = meeting.spans[run]!;
  const [near, far] = meeting.spans[wide]!;
  const tell = tellFrom(site, run);
  const length = high - low;
  // Wide meetings take their screws in zigzag: two in one line of grain split it.
  const zigzag = by !== 'brads' && far - near >= inches(2.5);
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
    // To a mark of the tape: it is marked from the side.
    return near + roundToTape((far - near) * (0.5 + off), units);
  };
  const pointAt = (place: Length, face: 1 | -1) => onPlane(drilled, meeting, place3([[run, place], [wide, across(place, face)]])); // prettier-ignore
  const middle = depths(first, second, pointAt(low + targets[0]!, 1), direction);
  if (middle.deep <= 0 || middle.beyond <= 0) return null;
  const chosen = straightFor(by === 'slotted screws' ? 'screws' : by, Math.round(middle.deep), Math.round(middle.beyond), site); // prettier-ignore
  const { fastener } = chosen;
  // On a strip narrower than its head a screw finds no wood round it.
  if (by !== 'brads' && far - near < fastener.wide) return null;
  const through = by === 'bolts' && fastener.length >= middle.deep + middle.beyond;
  const lie = (place: Length, face: 1 | -1): Lie => {
    const point = pointAt(place, face);
    const { deep } = depths(first, second, point, direction);
    // Where the wood is thicker than where it was chosen for, the head goes down by as much; where thinner, less.
    const sunk = deep > 0 ? Math.max(0, chosen.sunk + roundToTape(deep - middle.deep, units)) : chosen.sunk;
    const reach = Math.max(0, (deep > 0 ? deep : middle.deep) - sunk);
    const laid: Laid = {
      from: add(point, times(direction, -reach)),
      direction,
      length: through ? Math.round(reach + middle.beyond) : fastener.length,
      radius: fastener.shank / 2,
      behind: sunk,
      hole: fastener.wide / 2,
      position: tell(place),
      driven: by !== 'brads',
    };
    return { laid, first, second, meets: reach };
  };
  return { fastener, jig: 0, run, targets: shifted(low, targets), tell, faces: [1, -1], lie, bite: chosen.bite, wary: by !== 'brads', leaves: through || by === 'bolts' ? null : 0 }; // prettier-ignore
}
