import { keeping, nth, numbered } from '../lists';
import type { Length } from '../length';
import {
  cutSolid,
  moved,
  norm,
  outOfFrame,
  prism,
  radians,
  rectangle,
  subtract,
  turned,
  add,
  times,
  facesOf,
  limitsOf,
  through,
  type Cell,
  type Outline,
  type Plane,
  type Solid,
  type Vec,
} from '../solid';
import { type Axis, type Box, type Point } from './geometry';
import type { Cutout, End, Motion, Part } from './part';

export const tan = (angle: number): number => Math.tan(radians(angle));

/** Reach of an end over its section: how far its plane runs along the length, least and most. */
export const endRun = ({ mitre, bevel }: End, width: Length, thickness: Length): readonly [number, number] => {
  const [y, z] = [width * tan(mitre), thickness * tan(bevel)];
  return [Math.min(0, y) + Math.min(0, z), Math.max(0, y) + Math.max(0, z)];
};

/** The planes of a part's two ends, in its own directions. */
function endPlanes({ length, width, thickness, ends }: Part): readonly Plane[] {
  const plane = (end: End, side: 1 | -1): Plane => {
    const [ty, tz] = [tan(end.mitre), tan(end.bevel)];
    const [least, most] = endRun(end, width, thickness);
    const normal: Vec = [side, -side * ty, -side * tz];
    const size = norm(normal);
    const reach = side === 1 ? length - most : least;
    return { normal: times(normal, 1 / size), reach: reach / size };
  };
  return [plane(ends.left, -1), plane(ends.right, 1)];
}

/** Turns an outline given in x, z into one in z, x, as a prism along y needs it. */
const swapped = (outline: Outline): Outline => {
  const back = [...outline].reverse();
  return back.map(([a, b], at) => {
    const bulge = nth(back, (at + 1) % back.length)[2] ?? 0;
    return bulge === 0 ? [b, a] : [b, a, bulge];
  });
};

const cutterOf = ({ axis, outline, from, to }: Cutout): Cell =>
  prism(axis === 1 ? swapped(outline) : outline, from, to, axis);

/** Surfaces of an end, and of the n-th cut-out: told apart for the drawing's edges. */
const END_SURFACE = 500;
const CUT_SURFACE = 1000;

const raws = new WeakMap<Part, Solid>();
const solids = new WeakMap<Part, Solid>();
/** Bodies in a part's own directions by shape: slats, rails and the sides of drawers repeat. The oldest go. */
const bodyBy = keeping<number, Solid>(1000);

/** A part in the size that was worked out, whatever a person set by hand for buying and cutting it. */
const asPlanned = (part: Part): Part => ({
  ...part,
  ...(part.changed as Partial<Pick<Part, 'length' | 'width' | 'thickness'>>),
});

function rawLocal(given: Part): Solid {
  const part = Object.keys(given.changed).length > 0 ? asPlanned(given) : given;
  const base: Solid = [prism(part.outline ?? rectangle(part.length, part.width), 0, part.thickness)];
  return endPlanes(part).reduce((solid, plane, at) => {
    const { mitre, bevel } = at === 0 ? part.ends.left : part.ends.right;
    return mitre === 0 && bevel === 0 ? solid : cutSolid(solid, plane, END_SURFACE + at);
  }, base);
}

/** The part's own body in its own directions, cut-outs taken away. */
export const localSolid = (part: Part): Solid =>
  bodyBy(shapeOf(part), () =>
    part.cuts.reduce((rest, cut, at) => subtract(rest, cutterOf(cut), CUT_SURFACE * (at + 1)), rawLocal(part)),
  );

/** The body of a part in its piece before its cut-outs are made. Kept with the part. */
export function rawSolidOf(part: Part): Solid {
  const known = raws.get(part);
  if (known) return known;
  const solid = outOfFrame(part.frame, rawLocal(part));
  raws.set(part, solid);
  return solid;
}

/** The body of a part in its piece. Kept with the part: parts never change. */
export function solidOf(part: Part): Solid {
  const known = solids.get(part);
  if (known) return known;
  const solid = part.cuts.length === 0 ? rawSolidOf(part) : outOfFrame(part.frame, localSolid(part));
  solids.set(part, solid);
  return solid;
}

/** All that makes a part's body but its place, as one number: the same for parts of one shape. */
export const shapeOf = numbered(({ length, width, thickness, outline, ends, changed, cuts }: Part) => [
  length,
  width,
  thickness,
  outline,
  ends,
  changed,
  cuts.map(({ axis, outline: cut, from, to }) => [axis, cut, from, to]),
]);

/** All that a part is, as one number: the same for parts that differ in nothing. */
export const partNumber = numbered((part: Part) => part);

/** What a cut-out takes, in the piece. */
export const cutSolidOf = (part: Part, cut: Cutout): Solid => outOfFrame(part.frame, [cutterOf(cut)]);

const boxes = new WeakMap<Part, Box>();
/** To whole units, and never a negative nothing. */
const whole = (point: Vec): Point => point.map((value) => Math.round(value) + 0) as unknown as Point;

/** The box around a part in its piece, to whole units. */
export function boxOf(part: Part): Box {
  const known = boxes.get(part);
  if (known) return known;
  const [min, max] = limitsOf(rawSolidOf(part)).map(whole) as [Point, Point];
  const box = { min, max };
  boxes.set(part, box);
  return box;
}

/** A part's own directions in its piece: along its length, its width, its thickness. */
export const waysOf = ({ frame }: Part): readonly [Vec, Vec, Vec] => [frame.u, frame.v, through(frame)];

/** The axis that a direction runs along, or nearest to. */
export const mostly = (direction: Vec): Axis => {
  const sizes = direction.map(Math.abs);
  return sizes.indexOf(Math.max(...sizes)) as Axis;
};
/** The axis of the piece that a part's length runs along, or nearest to. */
export const alongOf = (part: Part): Axis => mostly(part.frame.u);
export const acrossOf = (part: Part): Axis => mostly(part.frame.v);

/** Length between the short points: what is left of the long one at both ends. */
export function shortLength({ length, width, thickness, ends }: Part): Length {
  const run = (end: End) => {
    const [least, most] = endRun(end, width, thickness);
    return most - least;
  };
  return Math.round(length - run(ends.left) - run(ends.right));
}

/** Length along an edge of a part whose ends are parallel; null where they are not. */
export function edgeLength({ length, width, thickness, ends }: Part): Length | null {
  const { left, right } = ends;
  if (left.mitre !== right.mitre || left.bevel !== right.bevel) return null;
  const [least, most] = endRun(left, width, thickness);
  return Math.round(length - (most - least));
}

/** True where an end is not square. */
export const angled = ({ ends }: Part): boolean =>
  [ends.left, ends.right].some(({ mitre, bevel }) => mitre !== 0 || bevel !== 0);

/** A body moved `share` (0 to 1) of a motion's travel. */
export function openedBy(solid: Solid, motion: Motion, share: number): Solid {
  const { how } = motion;
  if (how.kind === 'slide')
    return moved(
      solid,
      (point) => add(point, times(how.along, how.travel * share)),
      (d) => d,
    );
  const angle = how.degrees * share;
  return moved(
    solid,
    (point) => turned(point, how.about, how.axis, angle),
    (direction) => turned(direction, [0, 0, 0], how.axis, angle),
  );
}

/** All corners of a body. */
export const cornersOf = (solid: Solid): readonly Vec[] => facesOf(solid).flatMap((face) => face.points);
