import { first, nth } from '../lists';
import { floorToTape, inches, roundToTape, type Length, type Units } from '../length';
import {
  boxOf,
  extent,
  hingePlaces,
  longHingePlaces,
  solidOf,
  type Axis,
  type Box,
  type Joint,
  type Part,
} from '../piece';
import { raysIn, type Vec } from '../solid';
import { FARTHEST, nearestFirst, place3 } from './layout';
import { clash, type ShankLaid, type Shank } from './shank';

/** Screws that come with slides, hinges and plates, and the pin under a shelf: so long, and so thick. */
const SLIDE_SCREW: Length = inches(3 / 8);
const HINGE_SCREW: Length = inches(5 / 8);
const PLATE_SCREW: Length = inches(3 / 4);
const PIN: Length = inches(3 / 8);
const RADIUS = inches(0.07);
const PIN_RADIUS = inches(1 / 8);
/** Wood left before the far face. */
const LEFT: Length = inches(1 / 8);
/** Wood left between two pins from both sides of an upright. */
const BETWEEN: Length = inches(1 / 16);
/** First and last screw of a slide from its ends; pins from the front and the back of their shelf. */
const SLIDE_END: Length = inches(1.5);
const PIN_END: Length = inches(2);
/** Screws of a hinge stand so far from its middle, those of a plate from the middle of the leg. */
const HINGE_HALF: Length = inches(5 / 8);
const PLATE_HALF: Length = inches(1.4);
/** The first of the places near the usual one where every screw holds and meets no other; the usual where none does. */
function clearOf(taken: readonly ShankLaid[], lay: (off: Length) => readonly Shank[]): readonly Shank[] {
  for (const off of nearestFirst(FARTHEST)) {
    const shanks = lay(off);
    if (shanks.every((one) => one.bite >= LEAST_HELD && !taken.some((other) => clash(one, other)))) return shanks;
  }
  return lay(0);
}
/** Less wood than this is no hold. */
export const LEAST_HELD: Length = inches(1 / 4);

/** Axis across which two boxes stand apart or lie against each other, and which way the first is from the second. */
function gapOf(a: Box, b: Box): { readonly gap: Axis; readonly side: 1 | -1 } | null {
  const gap = ([1, 0, 2] as const).find((axis) => a.min[axis] >= b.max[axis] || b.min[axis] >= a.max[axis]);
  return gap === undefined ? null : { gap, side: a.min[gap] >= b.max[gap] ? 1 : -1 };
}

const overlap = (a: Box, b: Box, axis: Axis): readonly [Length, Length] => [
  Math.max(a.min[axis], b.min[axis]),
  Math.min(a.max[axis], b.max[axis]),
];

/**
 * A screw of its own hardware, put in before the two come together: as deep as it goes, shorter where it would come
 * out.
 */
function shankAt(part: Part, from: Vec, direction: Vec, most: Length, radius: number, position: Length): Shank {
  const deep = raysIn(solidOf(part), from, direction).find(([low, high]) => low < 10 && high > 10)?.[1] ?? 0;
  const length = Math.max(0, Math.min(most, Math.floor(deep) - LEFT));
  return {
    from,
    direction,
    length,
    radius,
    behind: 0,
    hole: 0,
    position,
    bite: length,
    left: deep - length,
    held: true,
    through: part.id,
    driven: false,
  };
}

/** A screw into each of two parts from the gap between them, at one place of the other two directions. */
function bothSides(
  moving: Part,
  still: Part,
  gap: Axis,
  side: 1 | -1,
  place: readonly (readonly [Axis, number])[],
  length: Length,
  position: Length,
): readonly Shank[] {
  const [a, b] = [boxOf(moving), boxOf(still)];
  return [
    { part: still, at: side > 0 ? b.max[gap] : b.min[gap], way: -side },
    { part: moving, at: side > 0 ? a.min[gap] : a.max[gap], way: side },
  ].map(({ part, at, way }) =>
    shankAt(part, place3([[gap, at], ...place]), place3([[gap, way]]), length, RADIUS, position),
  );
}

/** Three screws on each side, at half the height of what slides; a slide has holes enough to pass by those behind. */
function slideShanks(moving: Part, still: Part, taken: readonly ShankLaid[], units: Units): readonly Shank[] {
  const [a, b] = [boxOf(moving), boxOf(still)];
  const between = gapOf(a, b);
  if (!between) return [];
  const { gap, side } = between;
  const [run] = ([0, 1] as const).filter((axis) => axis !== gap) as [Axis];
  const from = Math.max(a.min[run], b.min[run]);
  const to = from + Math.min(extent(a, run), extent(b, run));
  const up = b.min[2] + roundToTape((a.min[2] + a.max[2]) / 2 - b.min[2], units);
  return [from + SLIDE_END, (from + to) / 2, to - SLIDE_END].flatMap((usual) =>
    clearOf(taken, (off) =>
      bothSides(
        moving,
        still,
        gap,
        side,
        [
          [run, usual + off],
          [2, up],
        ],
        SLIDE_SCREW,
        Math.round(usual + off - from),
      ),
    ),
  );
}

/**
 * Two screws of each leaf into the back of the door and into the edge that it closes against; of a long hinge one at
 * each of its places. A hinge gives way along the door where its screws would find no wood, or another's.
 */
function hingeShanks(
  moving: Part,
  still: Part,
  taken: readonly ShankLaid[],
  units: Units,
  isLong: boolean,
): readonly Shank[] {
  const [a, b] = [boxOf(moving), boxOf(still)];
  const between = gapOf(a, b);
  if (!between) return [];
  const { gap, side } = between;
  const others = ([0, 1, 2] as const).filter((axis) => axis !== gap) as [Axis, Axis];
  const spans = others.map((axis) => overlap(a, b, axis));
  const long = first(spans)[1] - first(spans)[0] > nth(spans, 1)[1] - nth(spans, 1)[0] ? 0 : 1;
  const [run, wide] = [others[long], nth(others, 1 - long)] as [Axis, Axis];
  const middle = (nth(spans, 1 - long)[0] + nth(spans, 1 - long)[1]) / 2;
  // Told from the door's top, or from the left end of what drops.
  const tell = (place: Length) => Math.round(run === 2 ? a.max[run] - place : place - a.min[run]);
  const leaves = (place: Length) =>
    (isLong ? [0] : [-HINGE_HALF, HINGE_HALF]).flatMap((off) =>
      bothSides(
        moving,
        still,
        gap,
        side,
        [
          [run, place + off],
          [wide, middle],
        ],
        HINGE_SCREW,
        tell(place),
      ),
    );
  return (isLong ? longHingePlaces : hingePlaces)(extent(a, run)).flatMap((exact) => {
    const place = roundToTape(exact, units);
    const usual = run === 2 ? a.max[run] - place : a.min[run] + place;
    return clearOf(taken, (off) => leaves(usual + off));
  });
}

/** Pins under a loose shelf, two in each upright: never so deep that those of the next shelf are met. */
function pinShanks(shelf: Part, upright: Part, units: Units): readonly Shank[] {
  const [a, b] = [boxOf(shelf), boxOf(upright)];
  const between = gapOf(a, b);
  if (!between) return [];
  const { gap, side } = between;
  const run = gap === 0 ? 1 : 0;
  const deep = Math.min(PIN, floorToTape((extent(b, gap) - BETWEEN) / 2, units));
  const up = b.min[2] + roundToTape(a.min[2] - PIN_RADIUS - b.min[2], units);
  return [a.min[run] + PIN_END, a.max[run] - PIN_END].map((place) =>
    shankAt(
      upright,
      place3([
        [gap, side > 0 ? b.max[gap] : b.min[gap]],
        [run, place],
        [2, up],
      ]),
      place3([[gap, -side]]),
      deep,
      PIN_RADIUS,
      Math.round(place - a.min[run]),
    ),
  );
}

/** Four screws of a leg's plate up into what lies on it, those that this board is over. */
function plateShanks(leg: Part, top: Part): readonly Shank[] {
  const { min, max } = boxOf(leg);
  const [x, y] = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2];
  return [-PLATE_HALF, PLATE_HALF].flatMap((across) =>
    [-PLATE_HALF, PLATE_HALF]
      .map((along) =>
        shankAt(top, [x + along, y + across, max[2]], [0, 0, 1], PLATE_SCREW, RADIUS, Math.round(PLATE_HALF + along)),
      )
      .filter(({ length }) => length >= LEAST_HELD),
  );
}

/**
 * Where the screws of a joint's own hardware go: slides, hinges, plates, and the pins of loose shelves. Others keep
 * clear of them. Empty for what is held by nothing.
 *
 * @param taken bores that are there already in both parts.
 * @param units whose tape they are marked with.
 */
export function hardwareShanks(
  joint: Joint,
  moving: Part,
  still: Part,
  taken: readonly ShankLaid[],
  units: Units,
): readonly Shank[] {
  switch (joint.kind) {
    case 'slide':
      return slideShanks(moving, still, taken, units);
    case 'hinge':
      return hingeShanks(moving, still, taken, units, false);
    case 'long hinge':
      return hingeShanks(moving, still, taken, units, true);
    case 'pins':
      return pinShanks(moving, still, units);
    case 'plate':
    case 'fold':
      return plateShanks(moving, still);
    default:
      return [];
  }
}
