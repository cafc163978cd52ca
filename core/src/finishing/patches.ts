import { first, held, keeping, metFirst, nth } from '../lists';
import { inches } from '../length';
import type { SurfaceName } from '../job';
import {
  around,
  boxOf,
  partNumber,
  solidOf,
  tilingOf,
  type Box,
  type Motion,
  type Part,
  type PieceModel,
} from '../piece';
import {
  add,
  contacts,
  dot,
  faceArea,
  faceLess,
  facesOf,
  limitsAround,
  norm,
  raysIn,
  sub,
  times,
  type Face,
  type Vec,
} from '../solid';
import { isSheet } from '../stock';
import { armReaches, reachAt, someWayOut, type Reach } from './reach';

/** A flat stretch of a part that nothing lies against: what is sanded and coated. */
export type OpenFace = {
  readonly part: Part;
  readonly surface: SurfaceName;
  readonly normal: Vec;
  readonly points: readonly Vec[];
  /** Square feet. */
  readonly area: number;
  /** End grain: it drinks more, and is sanded finer. */
  readonly end: boolean;
  /** Patches of one plane of the part share it: small ones are reached as the largest is. */
  readonly plane: number;
  /** Shut in on all sides once it is assembled: nobody sees or touches it. */
  readonly closed: boolean;
};

/** Where two parts lie against each other: no finish goes there. Square feet, and inches around it. */
export type Touch = {
  readonly a: Part;
  readonly b: Part;
  readonly area: number;
  readonly around: number;
};

const SQUARE_FOOT = inches(12) ** 2;
const squareFeet = (points: readonly Vec[]): number => faceArea(points) / SQUARE_FOOT;

const roundOf = (points: readonly Vec[]): number =>
  points.reduce((sum, point, at) => sum + norm(sub(point, points[(at + 1) % points.length] ?? point)), 0) / inches(1);

/** A face that leans no more than this from level lies flat: up or down. */
const FLAT = 0.7;

const meet = (a: Box, b: Box, by: number): boolean =>
  ([0, 1, 2] as const).every((axis) => a.min[axis] - by <= b.max[axis] && b.min[axis] - by <= a.max[axis]);
const TOUCHING = 8;

/** Which of what opens a part moves with; null for what stays. */
const groupsOf = (motions: readonly Motion[]): ReadonlyMap<string, string> =>
  new Map(motions.flatMap(({ id, parts }) => parts.map((part) => [part, id] as const)));

/** Parts that a piece has a side of: seen from outside and from inside. */
const isCased = (parts: readonly Part[]): boolean => parts.some(({ role }) => role === 'side');

const spanOf = ({ points }: Face): Box => {
  const [min, max] = limitsAround(points);
  return { min, max };
};

const middleOf = (points: readonly Vec[]): Vec => times(points.reduce(add), 1 / points.length);

/** Which surface a face of a part belongs to. */
function surfaceOf(part: Part, face: Face, cased: boolean, facesIn: () => boolean): SurfaceName {
  const { role, name } = part;
  if (role === 'drawer') return name === 'applied front' ? 'fronts' : 'inside';
  if (role === 'door') return 'fronts';
  const up = face.normal[2];
  if (role === 'top' || role === 'edging') {
    if (up > FLAT) return 'top';
    if (up > -FLAT) return 'edges';
    return cased && facesIn() ? 'inside' : 'underside';
  }
  if (role === 'back') return facesIn() ? 'inside' : 'back';
  return cased && facesIn() ? 'inside' : 'base';
}

/** Whether no straight line leads from the middle of a face out of the piece. It stands on a floor. */
function isShutIn(points: readonly Vec[], normal: Vec, blockers: readonly Part[], whole: Box): boolean {
  const from = add(middleOf(points), times(normal, inches(1 / 64)));
  const meetsFloor = (way: Vec): boolean => {
    if (way[2] > -1e-6) return false;
    const down = (whole.min[2] - from[2]) / way[2];
    return ([0, 1] as const).every((axis) => {
      const at = from[axis] + down * way[axis];
      return at > whole.min[axis] && at < whole.max[axis];
    });
  };
  const before = blockers.map((part) => solidOf(part));
  return !someWayOut(
    points,
    normal,
    (way) => !meetsFloor(way) && !metFirst(before, (solid) => raysIn(solid, from, way).some(([, to]) => to > 1)),
  );
}

/** A stretch no larger than this is reached as the largest of its plane is, square feet. */
const SMALL = 6 / 144;

/** The faces of each neighbour that lie on a part's, and what they leave of its own; nothing of what is bought. */
type Covered = { readonly covers: readonly (readonly Face[])[]; readonly left: readonly Face[] };

/** By the part and its neighbours: a piece is built again and again with little changed. */
const coveredBy = keeping<string, Covered>(1500);

function covered(part: Part, near: readonly Part[]): Covered {
  const covers = near.map((other) => contacts(solidOf(part), solidOf(other)));
  if (part.material === 'bought') return { covers, left: [] };
  const all = covers.flat();
  const spans = all.map(spanOf);
  const left = facesOf(solidOf(part)).flatMap((face) => {
    const span = spanOf(face);
    const own = all.filter(
      (cover, at) =>
        meet(span, nth(spans, at), TOUCHING) &&
        dot(cover.normal, face.normal) > 1 - 1e-6 &&
        Math.abs(dot(face.normal, sub(first(cover.points), first(face.points)))) < TOUCHING,
    );
    return faceLess(face, own);
  });
  return { covers, left };
}

const known = new WeakMap<
  readonly Part[],
  { readonly patches: readonly OpenFace[]; readonly touches: readonly Touch[] }
>();

/**
 * All of a piece's surface in flat patches, and where its parts lie against each other. What is bought as it is has
 * none; it stands in the way of a sander like the rest. What opens is looked at open: doors and drawers by themselves.
 * Patches and both sides of all touches add up to the faces of all parts. Kept with the parts: they never change.
 */
export function patchesOf({ parts, motions, joints }: Pick<PieceModel, 'parts' | 'motions' | 'joints'>): {
  readonly patches: readonly OpenFace[];
  readonly touches: readonly Touch[];
} {
  const before = known.get(parts);
  if (before) return before;
  const placed = parts.filter((part) => !part.loose);
  const boxes = new Map(placed.map((part) => [part, boxOf(part)] as const));
  const groups = groupsOf(motions);
  const cased = isCased(placed);
  const whole = around([...boxes.values()]) ?? { min: [0, 0, 0], max: [0, 0, 0] };
  const touches: Touch[] = [];
  const tiling = tilingOf(parts, joints);
  const tiled = tiling && around(tiling.tiles.map(boxOf));
  // Between set tiles and round them there is grout and sealant.
  const filled = (points: readonly Vec[]): boolean =>
    tiling !== null &&
    tiled !== null &&
    ([0, 1, 2] as const).every((axis) => {
      const at = middleOf(points)[axis];
      const by = axis === 2 ? TOUCHING : tiling.joint + TOUCHING;
      return at > tiled.min[axis] - by && at < tiled.max[axis] + by;
    });
  const patches = placed.flatMap((part): readonly OpenFace[] => {
    const box = held(boxes, part);
    const beside = placed.filter((other) => other !== part && groups.get(other.id) === groups.get(part.id));
    const near = beside.filter((other) => meet(box, held(boxes, other), TOUCHING));
    const { covers, left } = coveredBy([part, ...near].map(partNumber).join(), () => covered(part, near));
    near.forEach((other, at) => {
      for (const { points } of nth(covers, at))
        touches.push({ a: part, b: other, area: squareFeet(points), around: roundOf(points) });
    });
    const grown = isSheet(part.material) ? null : part.frame.u;
    const bodies = [part, ...beside];
    const shutIn = new Map<number, boolean>();
    return left
      .map((face) => ({ face, area: squareFeet(face.points) }))
      .sort((a, b) => b.area - a.area)
      .map(({ face, area }): OpenFace => {
        const { points, normal } = face;
        const shut = area < SMALL ? shutIn.get(face.surface) : undefined;
        const closed = filled(points) || (shut ?? isShutIn(points, normal, bodies, whole));
        if (!shutIn.has(face.surface)) shutIn.set(face.surface, closed);
        const from = add(middleOf(points), times(normal, inches(1 / 64)));
        const facesIn = () => beside.some((other) => raysIn(solidOf(other), from, normal).some(([, to]) => to > 1));
        return {
          part,
          surface: surfaceOf(part, face, cased, facesIn),
          normal,
          points,
          area: area * part.count,
          end: grown !== null && Math.abs(dot(normal, grown)) > FLAT,
          plane: face.surface,
          closed,
        };
      });
  });
  const all = { patches, touches };
  known.set(parts, all);
  return all;
}

const OUT_OF_REACH: Reach = { sander: 0, hand: 0, none: 1 };

/** What reaches a patch: a tool that fits over it, at the end of an arm that gets there. */
function within(points: readonly Vec[], normal: Vec, bodies: readonly Part[]): Reach {
  const reach = reachAt(points, normal, bodies);
  return reach.none === 1 || armReaches(points, normal, bodies) ? reach : OUT_OF_REACH;
}

const reaches = new WeakMap<readonly Part[], ReadonlyMap<OpenFace, Reach>>();

/** What reaches each patch of a piece once it stands: looked at only when it is asked for, and kept with its parts. */
export function reachesOf(model: Pick<PieceModel, 'parts' | 'motions' | 'joints'>): ReadonlyMap<OpenFace, Reach> {
  const before = reaches.get(model.parts);
  if (before) return before;
  const groups = groupsOf(model.motions);
  const placed = model.parts.filter((part) => !part.loose);
  const besides = new Map(
    placed.map((part) => {
      const group = groups.get(part.id);
      return [group, placed.filter((other) => groups.get(other.id) === group)] as const;
    }),
  );
  const reached = new Map<string, Reach>();
  const all = new Map(
    patchesOf(model).patches.map((patch): readonly [OpenFace, Reach] => {
      const { part, plane, area, points, normal } = patch;
      const key = `${part.id} ${plane}`;
      const like = area < SMALL ? reached.get(key) : undefined;
      const reach = like ?? within(points, normal, held(besides, groups.get(part.id)));
      if (!reached.has(key)) reached.set(key, reach);
      return [patch, reach];
    }),
  );
  reaches.set(model.parts, all);
  return all;
}

/** Square feet of all faces of a part, what lies against others among them. */
export const facesArea = (part: Part): number =>
  facesOf(solidOf(part)).reduce((sum, { points }) => sum + squareFeet(points), 0);
