import { first, held, nth } from '../lists';
import { inches, type Length } from '../length';
import { note, set } from '../job';
import type { Change, Finding, PathIn, Piece, Remedy, ValueIn } from '../job';
import {
  add,
  common,
  contacts,
  cross,
  dot,
  faceArea,
  hull,
  into,
  sub,
  times,
  through,
  unit,
  degrees,
  planeAt,
  volumeOf,
  type Outline,
  type Plane,
  type Vec,
} from '../solid';
import type { Role } from '../job';
import { isBoard, EXTERIOR, stocked, type HardwareNeed, type Material } from '../stock';
import type { Phrase } from '../words';
import type { Axis, Box, Point } from './geometry';
import type { Bearer, Built, Room } from './family';
import {
  SQUARE,
  type Assembly,
  type Hint,
  type Bought,
  type Cutout,
  type End,
  type Joint,
  type JointKind,
  type Motion,
  type Part,
} from './part';
import { cornersOf, cutSolidOf, rawSolidOf, solidOf, tan } from './shape';

/** A part before it has a place: what it is called and cut from. */
export type PartSpec = {
  readonly tag: string;
  readonly role: Role;
  readonly name: string;
  readonly material: Material;
  readonly plies?: number;
  readonly fit?: Phrase | null;
  readonly dependsOn?: readonly string[];
  readonly trimmedLater?: boolean;
  readonly flush?: boolean;
  readonly kept?: boolean;
  /** Off each of two faces, besides what all boards of the piece are planed. */
  readonly planed?: Length;
  readonly run?: Part['run'];
  readonly squared?: boolean;
  readonly bought?: Bought;
};

const AXIS: readonly Vec[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];
export const UP: Vec = [0, 0, 1];

/** A box from a corner and sizes along x, y and z. */
export const boxAt = (at: Point, size: Point): Box => ({
  min: at,
  max: [at[0] + size[0], at[1] + size[1], at[2] + size[2]],
});

/** The same box on the other side of the middle of a piece `total` long along `axis`. */
export function mirror(box: Box, axis: Axis, total: Length): Box {
  const min = [...box.min] as [number, number, number];
  const max = [...box.max] as [number, number, number];
  min[axis] = total - box.max[axis];
  max[axis] = total - box.min[axis];
  return { min, max };
}

/**
 * Starts of `count` things `size` wide, spread between `from` and `to` with equal gaps; distances from `from` are
 * whole steps of `step`, so that they can be marked off a tape.
 */
export const spread = (from: Length, to: Length, size: Length, count: number, step: Length): readonly Length[] => {
  const gap = (to - from - count * size) / (count + 1);
  return Array.from({ length: count }, (_, at) => from + Math.round((gap * (at + 1) + size * at) / step) * step);
};

/**
 * Starts of as many slats as go between two places with at least so much between them. One spacer sets the gaps, in
 * whole steps of `step`; what is over lies before the first and after the last.
 */
export function slatsBetween(from: Length, to: Length, width: Length, least: Length, step: Length): readonly Length[] {
  const count = Math.max(1, Math.floor((to - from + least) / (width + least)));
  const rest = to - from - count * width;
  const gap = count > 1 ? Math.floor(rest / (count - 1) / step) * step : 0;
  const first = from + Math.floor(Math.max(0, rest - gap * (count - 1)) / 2 / step) * step;
  return Array.from({ length: count }, (_, at) => first + at * (width + gap));
}

const plain = { ends: { left: SQUARE, right: SQUARE }, cuts: [], count: 1, loose: false, changed: {} } as const;

const describe = (piece: string, spec: PartSpec) => ({
  id: `${piece}.${spec.tag}`,
  piece,
  tag: spec.tag,
  role: spec.role,
  name: spec.name,
  material: spec.material,
  plies: spec.plies ?? 1,
  fit: spec.fit ?? null,
  dependsOn: spec.dependsOn ?? [],
  trimmedLater: spec.trimmedLater ?? false,
  flush: spec.flush ?? false,
  kept: spec.kept ?? false,
  planed: spec.planed ?? 0,
  run: spec.run ?? null,
  squared: spec.squared ?? false,
  bought: spec.bought ?? null,
});

/** A rectangular part that fills `box`; its length runs along one axis of the piece and its width across another. */
export function board(piece: string, spec: PartSpec, box: Box, along: Axis, across: Axis): Part {
  const thick = (3 - along - across) as Axis;
  const size = (axis: Axis) => box.max[axis] - box.min[axis];
  const [u, v] = [nth(AXIS, along), nth(AXIS, across)];
  // The thickness runs along u x v; where that points down its axis, the part starts from the box's far side.
  const back = dot(cross(u, v), nth(AXIS, thick)) < 0;
  const at = add(box.min, back ? times(nth(AXIS, thick), size(thick)) : [0, 0, 0]);
  return {
    ...plain,
    ...describe(piece, spec),
    length: size(along),
    width: size(across),
    thickness: size(thick),
    outline: null,
    frame: { at, u, v },
  };
}

/** A part of any convex outline: the outline's own x and y lie along u and v from `at`, its thickness along u x v. */
function shaped(piece: string, spec: PartSpec, outline: Outline, thickness: Length, frame: Part['frame']): Part {
  const length = Math.round(Math.max(...outline.map(([x]) => x)));
  const width = Math.round(Math.max(...outline.map(([, y]) => y)));
  return { ...plain, ...describe(piece, spec), length, width, thickness, outline, frame };
}

/** Angles that should be alike are alike, and 45 degrees is 45: what is less than this is the rounding of numbers. */
const toMillionth = (degrees: number): number => Math.round(degrees * 1e6) / 1e6 + 0;

/** A straight member on the slant: the middle line from one point towards another, its ends cut by two planes. */
export type Member = {
  readonly from: Vec;
  readonly to: Vec;
  /** Which way its width lies; made square to the line. */
  readonly across: Vec;
  readonly width: Length;
  readonly thickness: Length;
  readonly ends: readonly [Plane, Plane];
};

/**
 * A member between two planes. End angles and length follow from the planes: in the member's own directions a plane
 * n . p = r runs along x = x0 - (n_v / n_u) y - (n_w / n_u) z, so tan(mitre) = -n_v / n_u and tan(bevel) = -n_w / n_u.
 */
function member(piece: string, spec: PartSpec, { from, to, across, width, thickness, ends }: Member): Part {
  const u = unit(sub(to, from));
  const v = unit(sub(across, times(u, dot(across, u))));
  const w = cross(u, v);
  const meets = ({ normal, reach }: Plane): { at: number; end: End } => {
    const lead = dot(normal, u);
    const angle = (other: Vec) => {
      const slope = -dot(normal, other) / lead;
      return toMillionth(degrees(Math.atan(slope)));
    };
    return { at: (reach - dot(normal, from)) / lead, end: { mitre: angle(v), bevel: angle(w) } };
  };
  const [first, last] = [meets(ends[0]), meets(ends[1])];
  const half = ({ mitre, bevel }: End) => Math.abs((width / 2) * tan(mitre)) + Math.abs((thickness / 2) * tan(bevel));
  const start = first.at - half(first.end);
  const length = Math.round(last.at + half(last.end) - start);
  const at = sub(sub(add(from, times(u, start)), times(v, width / 2)), times(w, thickness / 2));
  return {
    ...plain,
    ...describe(piece, spec),
    length,
    width,
    thickness,
    outline: null,
    ends: { left: first.end, right: last.end },
    frame: { at, u, v },
  };
}

/** The horizontal plane at a height. */
export const level = (height: number): Plane => planeAt([0, 0, height], UP);

/**
 * Takes out of `part` what `other` fills of it: a prism along the part's own `axis`, from its outline there. Between
 * `low` and `high` along that axis only, where given.
 */
export function cutFor(
  part: Part,
  other: Part,
  kind: Cutout['kind'],
  axis: Axis,
  range: readonly [number, number] | null = null,
): Part {
  const points = cornersOf(rawSolidOf(other)).map((point) => into(part.frame, point));
  const [a, b] = axis === 2 ? ([0, 1] as const) : axis === 1 ? ([0, 2] as const) : ([1, 2] as const);
  const outline = hull(points.map((point) => [point[a], point[b]]));
  const along = points.map((point) => point[axis]);
  const [from, to] = range ?? [Math.min(...along), Math.max(...along)];
  return { ...part, cuts: [...part.cuts, { kind, axis, outline, from, to, for: other.tag }] };
}

/** The plane of the face of a part that looks most in a direction. */
export function facePlane(part: Part, direction: Vec): Plane {
  const faces = rawSolidOf(part).flatMap((cell) => cell);
  const best = faces.reduce((a, b) => (dot(b.normal, direction) > dot(a.normal, direction) ? b : a));
  return planeAt(first(best.points), best.normal);
}

/** Least and most of a part along a direction of the piece. */
const reachOf = (part: Part, direction: Vec): readonly [number, number] => {
  const runs = cornersOf(rawSolidOf(part)).map((point) => dot(point, direction));
  return [Math.min(...runs), Math.max(...runs)];
};

/** Takes a half lap out of both of two crossing parts; `upper` lies on the side `direction` points to. */
export function halfLap(lower: Part, upper: Part, direction: Vec): readonly [Part, Part] {
  const [a, b] = [reachOf(lower, direction), reachOf(upper, direction)];
  const [from, to] = [Math.max(a[0], b[0]), Math.min(a[1], b[1])];
  const middle = (from + to) / 2;
  const takes = (part: Part, other: Part, low: number, high: number): Part => {
    const own = [part.frame.u, part.frame.v, through(part.frame)];
    const axis = own.findIndex((way) => Math.abs(dot(way, direction)) > 1 - 1e-6) as Axis;
    const sign = Math.sign(dot(nth(own, axis), direction));
    const start = dot(part.frame.at, direction);
    const ends = [sign * (low - start), sign * (high - start)].sort((x, y) => x - y) as [number, number];
    return cutFor(part, other, 'lap', axis, ends);
  };
  return [takes(lower, upper, middle, to), takes(upper, lower, from, middle)];
}

/**
 * A round hole straight through a part along an axis of the piece, where it meets it. A part that lies on a slant to it
 * is left as it is: no face of it is square to the bit.
 */
export function holed(part: Part, centre: Vec, direction: Vec, radius: Length): Part {
  const own = [part.frame.u, part.frame.v, through(part.frame)] as const;
  const axis = ([0, 1, 2] as const).find((at) => Math.abs(dot(own[at], direction)) > 1 - 1e-6);
  if (axis === undefined) return part;
  const middle = into(part.frame, centre);
  const [a, b] = axis === 2 ? ([0, 1] as const) : axis === 1 ? ([0, 2] as const) : ([1, 2] as const);
  const size = ([part.length, part.width, part.thickness] as const)[axis];
  const cut: Cutout = {
    kind: 'hole',
    axis,
    outline: [
      [middle[a] - radius, middle[b], 1],
      [middle[a] + radius, middle[b], 1],
    ],
    from: -1,
    to: size + 1,
    for: null,
  };
  // A sliver off an edge is nothing to bore: the bit passes it by.
  const least = Math.min(inches(1 / 16) * inches(1 / 4), (Math.PI * radius * radius) / 2) * size;
  const touched = volumeOf(common(rawSolidOf(part), cutSolidOf(part, cut))) > least;
  return touched ? { ...part, cuts: [...part.cuts, cut] } : part;
}

/** A place to collect a piece's parts, joints and assemblies while they are described. */
export type Kit = ReturnType<typeof kitFor>;

/**
 * The kit of one piece: parts made with it are kept in order. `put` keeps a part made or changed outside; a part of
 * the same tag is replaced.
 */
export function kitFor(room: Room) {
  const piece = room.piece.id;
  const parts = new Map<string, Part>();
  const joints: Joint[] = [];
  const assemblies: Assembly[] = [];
  const motions: Motion[] = [];
  const needs: HardwareNeed[] = [];
  const findings: Finding[] = [];
  const put = (part: Part): Part => {
    parts.set(part.tag, part);
    return part;
  };
  /** A family names its boards and sheets by their inch sizes; the piece's line says what they are. */
  const inLine = (spec: PartSpec): PartSpec => {
    const material = stocked(room.piece.wood, spec.material);
    const planed = isBoard(material) && !spec.kept ? room.planed + (spec.planed ?? 0) : 0;
    return { ...spec, planed, material: (room.piece.outside && EXTERIOR[material]) || material };
  };
  return {
    put,
    /** What boards and sheets measure in the piece's line. */
    sizes: room.sizes,
    tags: (): readonly string[] => [...parts.keys()],
    /** All parts made, and all joints, so far. */
    all: (): readonly Part[] => [...parts.values()],
    joints: (): readonly Joint[] => joints,
    get: (tag: string): Part => held(parts, tag),
    board: (spec: PartSpec, box: Box, along: Axis, across: Axis) => put(board(piece, inLine(spec), box, along, across)),
    member: (spec: PartSpec, of: Member) => put(member(piece, inLine(spec), of)),
    shaped: (spec: PartSpec, outline: Outline, thickness: Length, frame: Part['frame']) =>
      put(shaped(piece, inLine(spec), outline, thickness, frame)),
    /** Whether two parts made before lie against each other. */
    touch: (a: string, b: string): boolean => contacts(solidOf(held(parts, a)), solidOf(held(parts, b))).length > 0,
    /** How much of two parts made before lies against each other. */
    contact: (a: string, b: string): number =>
      contacts(solidOf(held(parts, a)), solidOf(held(parts, b))).reduce((sum, face) => sum + faceArea(face.points), 0),
    /** Half laps two parts made before, by tag. */
    lap(lower: string, upper: string, direction: Vec = UP): void {
      halfLap(held(parts, lower), held(parts, upper), direction).forEach(put);
    },
    /** Joins two parts by tag; `drilled` takes the pockets, screws or slots. */
    join(kind: JointKind, drilled: string, other: string, apart = false): void {
      joints.push({
        id: `${piece}.${drilled}>${other}`,
        piece,
        kind,
        drilled: `${piece}.${drilled}`,
        into: `${piece}.${other}`,
        apart,
      });
    },
    /** Parts by tag that are put together at one time, with assemblies made before. */
    assemble(
      id: string,
      title: Phrase,
      tags: readonly string[],
      from: readonly string[] = [],
      notes: readonly (Phrase | Hint)[] = [],
      spacers: Assembly['spacers'] = [],
    ): void {
      const hints = notes.map((note) => ('says' in note ? note : { says: note, atHand: [] }));
      assemblies.push({ id, title, parts: tags.map((tag) => `${piece}.${tag}`), from, notes: hints, spacers });
    },
    moves(id: string, name: string, tags: readonly string[], how: Motion['how']): void {
      motions.push({ id, name, parts: tags.map((tag) => `${piece}.${tag}`), how });
    },
    need: (need: HardwareNeed): void => void needs.push(need),
    /** Says why it can not be built, with ways out. */
    stop(name: string, title: Phrase, because: Phrase, numbers: Finding['numbers'], remedies: readonly Remedy[]): void {
      findings.push(note(piece, 'shape', 'stop', 'shape', { which: name, title, because, numbers, remedies }));
    },
    change: <const P extends PathIn<Piece>>(path: P, value: ValueIn<Piece, P>): Change => set(piece, path, value),
    stopped: (): boolean => findings.length > 0,
    /** Everything described; only the findings where it can not be built. */
    built: (bearers: readonly string[] = [], by: Readonly<Record<string, Bearer['by']>> = {}): Built =>
      findings.length > 0
        ? { parts: [], joints: [], assemblies: [], motions: [], needs: [], findings, bearers: [] }
        : {
            parts: [...parts.values()],
            joints,
            assemblies,
            motions,
            needs,
            findings,
            bearers: bearers.map((tag) => ({ tag, by: by[tag] ?? 'rail' })),
          },
  };
}
