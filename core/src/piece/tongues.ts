import { held, last, sure } from '../lists';
import { inches, type Length } from '../length';
import type { Method, Piece } from '../job';
import { common, contacts, dot, faceArea, outOf, raysIn, rectangle, times, through, volumeOf, add } from '../solid';
import { dim, say } from '../words';
import type { Axis } from './geometry';
import { cutFor } from './kit';
import { angled } from './shape';
import { SQUARE, type Cutout, type Joint, type Part } from './part';
import { rawSolidOf, solidOf } from './shape';

/** A joint by its two parts, as a choice for it is kept: `A1>L1`. */
export const pairKey = ({ id, piece }: Pick<Joint, 'id' | 'piece'>): string => id.slice(piece.length + 1);

/** How a joint is to be made, as the person says: for its two parts, else for its kind; null where nothing is said. */
export function joinOf({ joins }: Pick<Piece, 'joins'>, joint: Joint): Piece['joins'][string] | null {
  const [all, one] = [joins[joint.kind], joins[pairKey(joint)]];
  return all || one ? { ...all, ...one } : null;
}

/** Usual depths of a tenon, the deepest first: the first that meets no other in the leg is taken. */
const DEPTHS: readonly Length[] = [1.25, 1, 0.75, 0.5].map((depth) => inches(depth));
/** A leg thinner than this takes no mortise. */
const LEAST_POST: Length = inches(1.25);
const SIXTEENTH = inches(1 / 16);
const SLIVER = inches(1 / 16) ** 3;

/** What a rail grows by at one of its ends, and what of the growth is wood: in its own width and thickness. */
type Tongue = {
  readonly joint: Joint;
  readonly rail: Part;
  readonly post: Part;
  readonly end: 'left' | 'right';
  readonly kind: 'tenon' | 'lap';
  readonly depth: Length;
  readonly y: readonly [Length, Length];
  readonly z: readonly [Length, Length];
};

/** Where the end of a rail meets a post squarely; null where it does not. */
function meets(rail: Part, post: Part): { readonly end: 'left' | 'right'; readonly through: Length } | null {
  if (rail.outline !== null || angled(rail) || rail.role === 'top' || rail.bought || post.bought) return null;
  const faces = contacts(solidOf(rail), solidOf(post));
  const face = faces.reduce<(typeof faces)[number] | null>(
    (best, next) => (best === null || faceArea(next.points) > faceArea(best.points) ? next : best),
    null,
  );
  if (!face) return null;
  const along = dot(face.normal, rail.frame.u);
  const square = [post.frame.u, post.frame.v, through(post.frame)].some(
    (way) => Math.abs(dot(way, face.normal)) > 1 - 1e-6,
  );
  if (Math.abs(along) < 1 - 1e-6 || !square) return null;
  const end = along > 0 ? 'right' : 'left';
  const middle = outOf(rail.frame, [end === 'right' ? rail.length : 0, rail.width / 2, rail.thickness / 2]);
  const deep = raysIn(solidOf(post), middle, face.normal).find(([from, to]) => to > 10 && from < 10);
  return deep ? { end, through: Math.round(deep[1]) } : null;
}

const toSixteenth = (length: number): Length => Math.max(SIXTEENTH, Math.round(length / SIXTEENTH) * SIXTEENTH);

/** A tenon a third of the rail thick, shoulders all round; its depth is settled with the others of the post. */
function tenonFor(joint: Joint, rail: Part, post: Part): Tongue | null {
  const at = meets(rail, post);
  if (!at || at.through < LEAST_POST || rail.thickness < inches(3 / 4)) return null;
  const thick = toSixteenth(rail.thickness / 3);
  const shoulder = Math.min(inches(3 / 4), toSixteenth(rail.width / 6));
  const side = Math.round((rail.thickness - thick) / 2);
  const depth = DEPTHS.find((one) => one <= at.through - inches(1 / 4)) ?? last(DEPTHS);
  return {
    joint,
    rail,
    post,
    end: at.end,
    kind: 'tenon',
    depth,
    y: [shoulder, rail.width - shoulder],
    z: [side, side + thick],
  };
}

/** Half of the rail across the whole post, where both are as thick and flush. */
function lapFor(joint: Joint, rail: Part, post: Part): Tongue | null {
  const at = meets(rail, post);
  if (!at) return null;
  const out = through(rail.frame);
  const span = (part: Part) => {
    const runs = rawSolidOf(part).flatMap((cell) =>
      cell.flatMap(({ points }) => points.map((point) => dot(point, out))),
    );
    return [Math.min(...runs), Math.max(...runs)] as const;
  };
  const [a, b] = [span(rail), span(post)];
  if (Math.abs(a[0] - b[0]) > 2 || Math.abs(a[1] - b[1]) > 2) return null;
  return {
    joint,
    rail,
    post,
    end: at.end,
    kind: 'lap',
    depth: at.through,
    y: [0, rail.width],
    z: [0, Math.round(rail.thickness / 2)],
  };
}

/** The wood of a tongue as a part of its own, to cut the post by. */
function bodyOf({ rail, end, depth, y, z }: Tongue): Part {
  const at = outOf(rail.frame, [end === 'left' ? -depth : rail.length, y[0], z[0]]);
  return {
    ...rail,
    length: depth,
    width: y[1] - y[0],
    thickness: z[1] - z[0],
    frame: { ...rail.frame, at },
    cuts: [],
    ends: { left: SQUARE, right: SQUARE },
  };
}

const touching = (a: Part, b: Part): number =>
  contacts(solidOf(a), solidOf(b)).reduce((sum, { points }) => sum + faceArea(points), 0);

/** Whether a lap takes most of the face of its post that another joint of the post needs. */
function takesFace(tongue: Tongue, { drilled, into }: Joint, parts: ReadonlyMap<string, Part>): boolean {
  const other = drilled === tongue.post.id ? into : into === tongue.post.id ? drilled : null;
  const part = other === null ? undefined : parts.get(other);
  if (!part || part === tongue.rail) return false;
  const taken = touching(part, bodyOf(tongue));
  return taken > 0 && taken > touching(part, tongue.post) / 2;
}

const shifted = (cut: Cutout, by: Length): Cutout =>
  cut.axis === 0
    ? { ...cut, from: cut.from + by, to: cut.to + by }
    : { ...cut, outline: cut.outline.map(([x, ...rest]) => [x + by, ...rest] as unknown as Cutout['outline'][number]) };

const block = (
  kind: Cutout['kind'],
  x: readonly [number, number],
  y: readonly [number, number],
  z: readonly [number, number],
  name: string,
): Cutout => ({
  kind,
  axis: 2,
  outline: rectangle(x[1] - x[0], y[1] - y[0]).map(([a, b]) => [a + x[0], b + y[0]] as const),
  from: z[0],
  to: z[1],
  for: name,
});

/** The rail grown by its tongue, and cut to leave it. */
function grown(rail: Part, { end, depth, y, z, post, kind }: Tongue): Part {
  const left = end === 'left';
  const length = rail.length + depth;
  const x = left ? ([-1, depth] as const) : ([length - depth, length + 1] as const);
  const [w, t] = [rail.width, rail.thickness];
  const cuts = [
    ...(z[0] > 0 ? [block(kind, x, [-1, w + 1], [-1, z[0]], post.tag)] : []),
    ...(z[1] < t ? [block(kind, x, [-1, w + 1], [z[1], t + 1], post.tag)] : []),
    ...(y[0] > 0 ? [block(kind, x, [-1, y[0]], [z[0], z[1]], post.tag)] : []),
    ...(y[1] < w ? [block(kind, x, [y[1], w + 1], [z[0], z[1]], post.tag)] : []),
  ];
  return {
    ...rail,
    length,
    frame: left ? { ...rail.frame, at: add(rail.frame.at, times(rail.frame.u, -depth)) } : rail.frame,
    cuts: [...rail.cuts.map((cut) => (left ? shifted(cut, depth) : cut)), ...cuts],
    fit: rail.fit && say`${rail.fit}, and ${dim(depth)} more for the ${kind} into ${{ tag: post.tag }}`,
  };
}

/**
 * The parts once every mortise and tenon, and every half lap that a person asks for, is cut: rails longer by their
 * tongues, posts with what takes them. A joint whose parts do not allow it stays as it was: joinery sees that it has no
 * tongue. Usual proportions: a third of the rail, 1 1/4 in deep, shallower where two meet in one leg.
 */
export function tongued(
  piece: Pick<Piece, 'joins'>,
  parts: readonly Part[],
  joints: readonly Joint[],
): readonly Part[] {
  const wanted = joints.filter((joint) => joint.kind === 'rail end' && isTongue(joinOf(piece, joint)?.by));
  if (wanted.length === 0) return parts;
  const byId = new Map(parts.map((part) => [part.id, part]));
  let tongues = wanted.flatMap((joint): readonly Tongue[] => {
    const [rail, post] = [held(byId, joint.drilled), held(byId, joint.into)];
    const tongue = (sure(joinOf(piece, joint), 'way of the joint').by === 'half lap' ? lapFor : tenonFor)(
      joint,
      rail,
      post,
    );
    return tongue ? [tongue] : [];
  });
  const hits = (a: Tongue, b: Part) => volumeOf(common(rawSolidOf(bodyOf(a)), solidOf(b))) > SLIVER;
  // Laps may reach no third part; tenons are shortened together until none meets another.
  tongues = tongues.filter(
    (tongue) =>
      !parts.some((part) => part !== tongue.post && part !== tongue.rail && !part.loose && hits(tongue, part)),
  );
  const own = new Set(tongues.map(({ joint }) => joint));
  tongues = tongues.filter(
    (tongue) => tongue.kind === 'tenon' || !joints.some((joint) => !own.has(joint) && takesFace(tongue, joint, byId)),
  );
  for (const depth of DEPTHS.slice(1)) {
    const meeting = tongues.filter((one) =>
      tongues.some((other) => other !== one && other.post === one.post && hits(one, bodyOf(other))),
    );
    if (meeting.length === 0) break;
    tongues = tongues.map((one) =>
      one.kind === 'tenon' && meeting.includes(one) ? { ...one, depth: Math.min(one.depth, depth) } : one,
    );
  }
  tongues = tongues.filter(
    (one, at) => !tongues.slice(0, at).some((other) => other.post === one.post && hits(one, bodyOf(other))),
  );
  const changed = new Map(byId);
  for (const tongue of tongues) {
    const post = held(changed, tongue.post.id);
    const body = bodyOf(tongue);
    const way = tongue.kind === 'lap' ? through(tongue.rail.frame) : tongue.rail.frame.u;
    const axis = [post.frame.u, post.frame.v, through(post.frame)].findIndex(
      (one) => Math.abs(dot(one, way)) > 1 - 1e-6,
    );
    changed.set(post.id, cutFor(post, body, tongue.kind === 'lap' ? 'lap' : 'mortise', axis as Axis));
    changed.set(tongue.rail.id, grown(held(changed, tongue.rail.id), tongue));
  }
  return parts.map((part) => held(changed, part.id));
}

const isTongue = (by: Method | undefined): boolean => by === 'mortise and tenon' || by === 'half lap';

/** Whether a joint was cut with a tenon or lap that fits. */
export const hasTongue = (rail: Part, post: Part): boolean =>
  rail.cuts.some(({ kind, for: name }) => (kind === 'tenon' || kind === 'lap') && name === post.tag);

/** Whether a rail end could take a tenon, or a half lap. */
export const tongueFits = (by: Method, joint: Joint, rail: Part, post: Part): boolean =>
  hasTongue(rail, post) || (by === 'half lap' ? lapFor : tenonFor)(joint, rail, post) !== null;
