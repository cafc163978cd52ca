import { first, found, sure } from '../lists';
import { inches, type Length, type Units } from '../length';
import type { Method, Piece } from '../job';
import { boxOf, extent, hasTongue, solidOf, SWINGS, type Joint, type Part, waysOf } from '../piece';
import { add, common, dot, sub, times, volumeOf, type Cell, type Solid, type Vec } from '../solid';
import { isSolid } from '../stock';
import { likeness, placedAlike, type Alike } from './alike';
import { hardwareShanks, LEAST_HELD } from './hardware';
import { isOnTop, type JointLayout, type Site } from './layout';
import { type Meeting } from './meeting';
import type { Fastener } from './fasteners';
import { WAYS_FOR, type Means } from './kinds';
import { WAYS_TO_JOIN } from './methods';
import { accessFor, type JointRoom } from './joint-room';
import { laidBefore } from './laid-before';
import { placeOn, type InTheWay, type Placed, type Trouble } from './placing';
import { takenBy, type ShankLaid, type Shank, type IsTaken } from './shank';
import { isDense, type Fastening } from './fastening';

/** The side of a part that looks down, or else to the middle of the piece: the one nobody sees. */
function hiddenSide(part: Part, axis: 0 | 1 | 2, middle: Vec): 1 | -1 {
  const way = waysOf(part)[axis];
  if (Math.abs(way[2]) > 0.7) return way[2] > 0 ? -1 : 1;
  const box = boxOf(part);
  const own: Vec = times(add(box.min, box.max), 1 / 2);
  return dot(way, sub(middle, own)) >= 0 ? 1 : -1;
}

/** What no fastener holds. */
const LOOSE_KINDS: readonly Joint['kind'][] = ['rest', 'set', 'groove'];

/** The method of a joint: what the person says where the kind allows it, else the usual one. */
function methodOf(joint: Joint, said: Piece['joins'][string] | null): Means {
  const ways = WAYS_FOR[joint.kind];
  if (ways.length === 0) return LOOSE_KINDS.includes(joint.kind) ? 'nothing' : 'hardware';
  return said?.by && ways.includes(said.by) ? said.by : first(ways);
}

const facesOut = (by: Means): Fastening['face'] | null =>
  by === 'pocket screws' || by === 'clips' || by === 'slotted screws' || by === 'corner block' ? null : 'outside';

/** A joint that has hardware of its own: its screws, and where hinges stand. */
function withHardware(of: Fastening, taken: readonly ShankLaid[], units: Units): Fastening {
  const shanks = hardwareShanks(of.joint, of.drilled, of.into, taken, units);
  const hinge = SWINGS.includes(of.joint.kind);
  const still = boxOf(of.into);
  return {
    ...of,
    shanks,
    hinges: hinge ? [...new Set(shanks.map(({ position }) => position))].sort((a, b) => a - b) : [],
    from: hinge && extent(still, 2) < extent(still, 0) ? 'left end' : 'top edge',
    troubles: shanks.some(({ bite }) => bite < LEAST_HELD) ? ['no bite'] : [],
  };
}

/** Boards and panels move with the seasons. */
const isOfBoards = ({ material }: Part): boolean => material !== 'bought' && isSolid(material);

/** A joint before it is known how it is held. */
const bareJoint = (joint: Joint, drilled: Part, into: Part, meeting: Meeting | null, plugs: boolean) => ({
  joint,
  drilled,
  into,
  plugs,
  jig: drilled.thickness,
  fastener: null as Fastener | null,
  screw: '',
  moves: (into.role === 'top' && isOfBoards(into)) || (joint.kind === 'float' && isOfBoards(drilled)),
  positions: [] as readonly Length[],
  from: 'near end' as const,
  hinges: [] as readonly Length[],
  face: 'inside' as const,
  glue: 0,
  meets: meeting?.area ?? 0,
  reaches: true,
  shanks: [] as readonly Shank[],
  slots: [] as readonly ShankLaid[],
  blocks: [] as Solid,
  troubles: [] as readonly Trouble[],
  instead: null,
  closes: meeting?.normal ?? null,
});

/** Square inches of glue, both faces counted. None where a top must move or is only screwed. */
function glueOf({ kind }: Joint, drilled: Part, into: Part, { area }: Meeting, by: Method): number {
  const top = drilled.role === 'top' || into.role === 'top';
  const bare = isOnTop(kind) || (kind === 'screws' && top && WAYS_TO_JOIN[by].holds !== 'glue');
  return bare || !WAYS_TO_JOIN[by].glued ? 0 : 2 * area;
}

/** The faces that the holes may be on, the usual first: the one nobody sees, or the other where a person flips it. */
function sidesFor({ drilled, meeting }: Site, layout: JointLayout, by: Method, flip: boolean, middle: Vec) {
  // From outside it is all one: in the middle first.
  if (layout.faces.length === 1 || facesOut(by)) return layout.faces;
  const across = found([0, 1, 2] as const, (at) => at !== meeting.axis && at !== layout.run);
  const usual = hiddenSide(drilled, across, middle);
  const other = usual === 1 ? -1 : 1;
  if (flip) return [other] as const;
  return by !== 'pocket screws' || drilled.role === 'support' ? ([usual, other] as const) : ([usual] as const);
}

/** Whether a block would take the place of a part or of another block. */
const isCrowded = (block: Cell, { parts, blocks }: JointRoom): boolean =>
  [...parts.map(solidOf), blocks].some((other) => volumeOf(common([block], other)) > TOUCHES);
/** Cubic length units: a sixteenth of an inch each way. */
const TOUCHES = inches(1 / 16) ** 3;

/** The fasteners of a layout on one of its faces, with those of its second row. */
function rowsOn(face: 1 | -1, layout: JointLayout, site: Site, isTaken: IsTaken, access: InTheWay): Placed {
  const row = placeOn(layout, face, site, isTaken, access);
  if (!layout.also) return row;
  const byRow = takenBy(row.shanks);
  const also = placeOn(layout.also, face, site, (one) => isTaken(one) || byRow(one), access);
  return {
    shanks: [...row.shanks, ...also.shanks],
    slots: [...row.slots, ...also.slots],
    troubles: [...row.troubles, ...also.troubles],
  };
}

type Laying = {
  readonly of: ReturnType<typeof bareJoint> & Pick<Fastening, 'by' | 'glue'>;
  readonly site: Site;
  readonly by: Method;
  readonly isEdge: boolean;
  readonly access: InTheWay;
  readonly taken: readonly ShankLaid[];
  readonly room: JointRoom;
  readonly said: Piece['joins'][string] | null;
};

/** Where the fasteners of a joint lie. `like`: what those have in common that are laid out as the first of them is. */
function laidOut({ of, site, by, isEdge, access, taken, room, said }: Laying, like: string | null): Fastening {
  const { joint, drilled, into } = site;
  const before = like === null ? undefined : room.alike.get(like);
  const layout = before ? before.layout : WAYS_TO_JOIN[by].lays(site, isDense(drilled) || isDense(into));
  const first: Alike = before ?? { site, layout, placed: [] };
  if (like !== null) room.alike.set(like, first);
  if (layout === null) {
    const { holds } = WAYS_TO_JOIN[by];
    const works = holds === 'glue' || (holds === 'tongue' && hasTongue(drilled, into));
    return { ...of, face: 'outside', troubles: works ? [] : ['not possible'], reaches: holds !== 'fasteners' };
  }
  const isTaken = takenBy(taken);
  const placedOn = (face: 1 | -1) => {
    const rows =
      like === null
        ? rowsOn(face, layout, site, isTaken, access)
        : placedAlike(first, site, face, isTaken, (there) => rowsOn(face, layout, first.site, there, access));
    const block = layout.block?.(face);
    const crowded = block !== undefined && isCrowded(block, room);
    return {
      ...rows,
      troubles: crowded ? [...rows.troubles, 'not possible' as const] : rows.troubles,
      blocks: block ? [block] : [],
    };
  };
  const [usual, ...others] = sidesFor(site, layout, by, said?.flip ?? false, room.middle);
  let placed = placedOn(sure(usual, 'place'));
  for (const face of placed.troubles.length > 0 ? others : []) {
    const next = placedOn(face);
    if (next.troubles.length < placed.troubles.length) placed = next;
  }
  const hidden =
    joint.kind === 'edge' || drilled.role === 'top'
      ? 'underside'
      : said?.flip
        ? 'outside'
        : drilled.role === 'support'
          ? 'either face'
          : 'inside';
  return {
    ...of,
    ...placed,
    jig: layout.jig > 0 ? layout.jig : drilled.thickness,
    fastener: layout.fastener,
    screw: layout.fastener.size,
    positions: placed.shanks.map(({ position }) => position).sort((a, b) => a - b),
    from: isEdge ? 'left end' : joint.kind === 'rail end' ? 'top edge' : 'near end',
    face: facesOut(by) ?? hidden,
    reaches: !placed.troubles.includes('no bite'),
  };
}

/** How a joint would be made: without its place among the others where nothing is bored yet. */
export function fasten(
  joint: Joint,
  drilled: Part,
  into: Part,
  meeting: Meeting | null,
  room: JointRoom,
  said: Piece['joins'][string] | null,
): Fastening {
  const base = bareJoint(joint, drilled, into, meeting, said?.plugs ?? false);
  const by = methodOf(joint, said);
  const taken = [...new Set([drilled.id, into.id].flatMap((id) => room.bored.get(id) ?? []))];
  if (by === 'hardware') return withHardware({ ...base, by }, taken, room.units);
  if (meeting === null && !joint.apart && by !== 'nothing')
    return { ...base, by, troubles: ['not possible'], reaches: false };
  if (by === 'nothing' || meeting === null) return { ...base, by };
  const site: Site = { joint, drilled, into, meeting, units: room.units, spacing: room.spacing };
  const isEdge = joint.kind === 'edge' || (joint.kind === 'lamination' && WAYS_TO_JOIN[by].holds !== 'glue');
  const access = accessFor(site, isEdge, room);
  const bare = { ...base, by, glue: glueOf(joint, drilled, into, meeting, by) };
  const laying: Laying = { of: bare, site, by, isEdge, access, taken, room, said };
  // A block asks what other blocks there are.
  if (by === 'corner block') return laidOut(laying, null);
  // What lies alike and has nothing in its way is laid out once in a piece.
  const like = access.free ? likeness(by, site) : null;
  if (like !== null) return laidOut(laying, like);
  const { units, spacing, least, middle } = room;
  const of = [by, said, joint, units, spacing, least, middle];
  const found = laidBefore(of, [drilled, into], taken, access, (looking) =>
    laidOut({ ...laying, access: looking }, null),
  );
  return { ...found, joint, drilled, into };
}
