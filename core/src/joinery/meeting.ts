import { held, keeping, nth } from '../lists';
import { inches, type Length } from '../length';
import { shapeOf, solidOf, waysOf, type Axis, type Part } from '../piece';
import { add, contacts, dot, faceArea, into as intoFrame, outOf, sub, times, type Face, type Vec } from '../solid';

/** Where two parts lie against each other, in the directions of the first. */
export type Meeting = {
  /** Out of the first part, into the second. */
  readonly normal: Vec;
  /** How far along the normal the face lies. */
  readonly reach: number;
  /** The first part's own direction that is nearest to it, and which way along that. */
  readonly axis: Axis;
  readonly side: 1 | -1;
  /** All that meets, square inches. */
  readonly area: number;
  /** What meets on the widest face, along each of the first part's directions. */
  readonly spans: readonly (readonly [Length, Length])[];
  /** The longer of the two directions of that face. */
  readonly along: Axis;
};

const SQUARE_INCH = inches(1) * inches(1);

/** The direction that a lap is cut in: its two halves lie on each other there; null where there is no lap. */
function lapAxis(first: Part, second: Part): Vec | null {
  const cut = first.cuts.find(({ kind, for: name }) => kind === 'lap' && name === second.tag);
  return cut ? waysOf(first)[cut.axis] : null;
}

/** A rail with a tenon meets what it ends on by its shoulder. */
const shoulderAxis = (rail: Part, post: Part): Vec | null =>
  rail.cuts.some(({ kind, for: name }) => kind === 'tenon' && name === post.tag) ? waysOf(rail)[0] : null;

const known = new WeakMap<Part, Map<Part, Meeting | null>>();

/**
 * The meeting of two parts, of a lap where its halves lie on each other; null where they do not touch. Kept with the
 * two: parts never change.
 */
export function meetingOf(first: Part, second: Part): Meeting | null {
  const own = known.get(first) ?? new Map<Part, Meeting | null>();
  known.set(first, own);
  if (!own.has(second)) own.set(second, meetingBetween(first, second));
  return held(own, second);
}

/** Meetings of parts of one shape that lie alike to each other, seen from the place of the first; the oldest go. */
const alike = keeping<string, Meeting | null>(3000);

/** Whether a part stands on whole units, square to the piece: moved by whole units nothing of it is rounded. */
export const isSquare = ({ frame: { at, u, v } }: Part): boolean => [...at, ...u, ...v].every(Number.isInteger);

const movedBy = (meeting: Meeting | null, way: Vec): Meeting | null =>
  meeting && { ...meeting, reach: meeting.reach + dot(meeting.normal, way) };

/** Where two parts lie against each other. Slats, drawers and rails repeat: what is alike is worked out once. */
function meetingBetween(first: Part, second: Part): Meeting | null {
  const lapped = lapAxis(first, second) ?? shoulderAxis(first, second) ?? shoulderAxis(second, first);
  // What stands at a slant is worked out for itself.
  if (!isSquare(first) || !isSquare(second)) return meetingAnew(first, second, lapped);
  const { at, u, v } = first.frame;
  const other = second.frame;
  const key = [
    shapeOf(first),
    shapeOf(second),
    ...u,
    ...v,
    ...other.u,
    ...other.v,
    ...sub(other.at, at),
    ...(lapped ?? []),
  ].join();
  return movedBy(
    alike(key, () => movedBy(meetingAnew(first, second, lapped), times(at, -1))),
    at,
  );
}

function meetingAnew(first: Part, second: Part, lapped: Vec | null): Meeting | null {
  const faces = contacts(solidOf(first), solidOf(second));
  const flat = lapped ? faces.filter(({ normal }) => Math.abs(dot(normal, lapped)) > 0.99) : [];
  const widest = (flat.length > 0 ? flat : faces).reduce<Face | null>(
    (best, face) => (best === null || faceArea(face.points) > faceArea(best.points) ? face : best),
    null,
  );
  if (widest === null) return null;
  const leans = waysOf(first).map((way) => dot(way, widest.normal));
  const axis = ([0, 1, 2] as const).reduce((best, next) =>
    Math.abs(nth(leans, next)) > Math.abs(nth(leans, best)) ? next : best,
  );
  const points = faces
    .filter((face) => dot(face.normal, widest.normal) > 0.99)
    .flatMap((face) => face.points.map((point) => intoFrame(first.frame, point)));
  const spans = ([0, 1, 2] as const).map((at) => {
    const values = points.map((point) => point[at]);
    return [Math.round(Math.min(...values)), Math.round(Math.max(...values))] as const;
  });
  const [a, b] = ([0, 1, 2] as const).filter((at) => at !== axis) as [Axis, Axis];
  const size = (at: Axis) => nth(spans, at)[1] - nth(spans, at)[0];
  return {
    normal: widest.normal,
    reach: dot(widest.normal, nth(widest.points, 0)),
    axis,
    side: nth(leans, axis) > 0 ? 1 : -1,
    area: faces.reduce((sum, face) => sum + faceArea(face.points), 0) / SQUARE_INCH,
    spans,
    along: size(a) >= size(b) ? a : b,
  };
}

/**
 * The point of the meeting's plane over a place in the first part's own directions; what is told along its axis is not
 * heeded.
 */
export function onPlane(first: Part, { normal, reach, axis }: Meeting, place: Vec): Vec {
  const point = outOf(first.frame, place);
  const way = waysOf(first)[axis];
  return add(point, times(way, (reach - dot(normal, point)) / dot(normal, way)));
}
