import { first, held } from '../lists';
import { type Units } from '../length';
import { able, DEFAULT_SHOP, type Method, type Piece, type Shop } from '../job';
import { boxOf, joinOf, pairKey, type Joint, type Part } from '../piece';
import type { Vec } from '../solid';
import { DRIVER_ROOM } from './driver';
import { fasten } from './fasten';
import type { JointRoom } from './joint-room';
import type { Fastening } from './fastening';
import { clippedJoints } from './clip-places';
import { meetingOf, type Meeting } from './meeting';
import { WAYS_FOR } from './kinds';
import { WAYS_TO_JOIN } from './methods';
import { isOnTop } from './layout';

const middles = new WeakMap<readonly Part[], Vec>();

/** The middle of a piece: of the box around its parts. Kept with them: it is asked for with every operation. */
export function middleOfParts(parts: readonly Part[]): Vec {
  const known = middles.get(parts);
  if (known) return known;
  const boxes = parts.filter(({ loose }) => !loose).map(boxOf);
  const middle = ([0, 1, 2] as const).map(
    (axis) => (Math.min(...boxes.map(({ min }) => min[axis])) + Math.max(...boxes.map(({ max }) => max[axis]))) / 2,
  ) as unknown as Vec;
  middles.set(parts, middle);
  return middle;
}

/** Square inches; on less than this a top only rests, where there is no place for a clip. */
const LEAST_FACE = 6;

/** A rail that only lies under the board: its neighbours hold it. */
const lying = (usual: Fastening): Fastening => ({
  ...usual,
  by: 'nothing',
  fastener: null,
  screw: '',
  shanks: [],
  slots: [],
  positions: [],
  troubles: [],
  reaches: true,
});

/**
 * Where nobody says how and the usual way does not work, the next that does and wants no more than a drill; where it
 * was said for all alike and does not work here, the usual or the next that the shop has the tools for. Where a rail
 * meets a board of a top that its neighbours hold there may be no place for anything: then it only lies under it.
 */
function anotherWay(
  usual: Fastening,
  meeting: Meeting | null,
  room: JointRoom,
  asked: boolean,
  pegged: boolean,
): Fastening {
  const { joint, drilled, into } = usual;
  if (joint.kind === 'top clips' && usual.meets < LEAST_FACE) return lying(usual);
  const works = (by: Method): Fastening | null => {
    const other = fasten(joint, drilled, into, meeting, room, { by });
    const bare =
      WAYS_TO_JOIN[by].holds === 'glue' && (joint.kind === 'glue' || joint.kind === 'screws' || joint.kind === 'lap');
    if (other.troubles.length > 0 || (other.shanks.length === 0 && !bare)) return null;
    return { ...other, instead: { of: usual.by, because: first(usual.troubles) } };
  };
  const owned = (by: Method) => able(room.tools, WAYS_TO_JOIN[by].tools);
  const plain = (by: Method) => WAYS_TO_JOIN[by].tools.some((set) => set.length === 1 && set[0] === 'drill');
  const others = WAYS_FOR[joint.kind].filter((by) => by !== usual.by && (pegged || !WAYS_TO_JOIN[by].straight));
  for (const by of others.filter(asked ? owned : plain)) {
    const other = works(by);
    if (other) return other;
  }
  // Where the top is too thin for the screw it is not the place that is wrong.
  const placeless = usual.troubles[0] !== 'no bite' && room.held(joint);
  if (isOnTop(joint.kind) && (usual.meets < LEAST_FACE || placeless)) return lying(usual);
  for (const by of others.filter((one) => !plain(one) && owned(one))) {
    const other = works(by);
    if (other) return other;
  }
  return usual;
}

/** Ways that hold a top at a few places. */
const SPARED: readonly Fastening['by'][] = ['clips', 'inserts'];

/** Hardware has its place; ends have less room to give way than long edges. */
const rank = ({ kind }: Joint): number =>
  WAYS_FOR[kind].length === 0 ? 0 : kind === 'rail end' ? 1 : kind === 'edge' ? 3 : 2;

/** What stands about the joints of a piece: what they may know of each other, and the shop they are made in. */
function roomOf(
  joints: readonly Joint[],
  parts: readonly Part[],
  byId: ReadonlyMap<string, Part>,
  units: Units,
  shop: Pick<Shop, 'drivers' | 'spacing' | 'tools'>,
): JointRoom {
  const ends = joints.filter(({ kind }) => kind === 'rail end');
  const met = (id: string) =>
    ends.flatMap(({ drilled, into }) => (drilled === id ? [into] : into === id ? [drilled] : []));
  // Laminated parts are one before anything else is joined to them.
  const plies = new Map<string, readonly string[]>();
  for (const { kind, drilled, into } of joints) {
    if (kind !== 'lamination') continue;
    const all = [...new Set([drilled, into].flatMap((id) => plies.get(id) ?? [id]))];
    for (const id of all) plies.set(id, all);
  }
  const one = ({ drilled, into }: Joint) =>
    [drilled, into].flatMap((id) =>
      (plies.get(id) ?? []).filter((other) => other !== id).map((other) => held(byId, other)),
    );
  // At a rail's second end there stands, by then, what it ends on at the first, and the frame of that.
  const mates = (joint: Joint): readonly Part[] => {
    if (joint.kind === 'edge')
      return joints
        .filter((other) => other.kind === 'edge' && other.into === joint.drilled)
        .map(({ drilled }) => held(byId, drilled));
    // In a hollow leg the other walls stand behind what is driven from inside.
    if (joint.kind === 'lamination' && held(byId, joint.drilled).role === 'leg')
      return one(joint).filter(({ id }) => id !== joint.drilled && id !== joint.into);
    if (joint.kind !== 'rail end' || held(byId, joint.drilled).role === 'top') return [];
    const far = ends
      .filter((other) => other.drilled === joint.drilled && other.into !== joint.into)
      .map(({ into }) => into);
    const frame = far.flatMap(met).filter((id) => id !== joint.drilled && id !== joint.into);
    return [...new Set([...far, ...frame])].map((id) => held(byId, id));
  };
  const ofTop = (id: string) => byId.get(id)?.role === 'top' || byId.get(id)?.role === 'edging';
  const heldBeside = ({ into, id }: Joint) =>
    joints.some(
      (other) =>
        other.id !== id && ofTop(other.drilled) && ofTop(other.into) && (other.drilled === into || other.into === into),
    );
  const least = Math.min(DRIVER_ROOM['long bit'], ...shop.drivers.map((driver) => DRIVER_ROOM[driver]));
  return {
    units,
    middle: middleOfParts(parts),
    bored: new Map(),
    blocks: [],
    alike: new Map(),
    parts: parts.filter(({ loose }) => !loose),
    mates,
    one,
    held: heldBeside,
    spacing: shop.spacing,
    tools: shop.tools,
    least,
  };
}

/**
 * Every joint worked out, hardware first so that others keep clear of its screws. `parts` by id must hold both parts of
 * every joint.
 *
 * @param piece how a person wants the joints made, where it is not the usual way.
 * @param shop what it drives screws with: where none has room, another way is taken; and how near it sets pockets.
 * @param stuck joints, by id, that can not be closed with pegs: in no order their parts come in along one line.
 */
export function fastenings(
  joints: readonly Joint[],
  parts: readonly Part[],
  units: Units,
  piece: Pick<Piece, 'joins'> = { joins: {} },
  shop: Pick<Shop, 'drivers' | 'spacing' | 'tools'> = DEFAULT_SHOP,
  stuck: ReadonlySet<string> = new Set(),
): readonly Fastening[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const room = roomOf(joints, parts, byId, units, shop);
  const clipped = clippedJoints(joints, byId);
  const [made, usuals] = [new Map<string, Fastening>(), new Map<string, Fastening>()];
  for (const joint of [...joints].sort((a, b) => rank(a) - rank(b))) {
    const [drilled, into] = [held(byId, joint.drilled), held(byId, joint.into)];
    const meeting = meetingOf(drilled, into);
    const wish = joinOf(piece, joint);
    const free = stuck.has(joint.id);
    const asked = fasten(
      joint,
      drilled,
      into,
      meeting,
      room,
      free && wish?.by ? { ...wish, by: WAYS_FOR[joint.kind][0] } : wish,
    );
    const usual = free ? { ...asked, instead: { of: wish?.by ?? asked.by, because: 'not possible' as const } } : asked;
    usuals.set(joint.id, usual);
    // What is said for this one joint is made so, and told where it does not work.
    const said = !free && piece.joins[pairKey(joint)]?.by !== undefined;
    const alike = piece.joins[joint.kind]?.by !== undefined;
    const item =
      joint.kind === 'top clips' && SPARED.includes(usual.by) && !said && !clipped.has(joint.id)
        ? lying(usual)
        : usual.troubles.length > 0 && !said
          ? anotherWay(usual, meeting, room, alike, !stuck.has(joint.id))
          : usual;
    for (const id of [drilled.id, into.id])
      room.bored.set(id, [...(room.bored.get(id) ?? []), ...item.shanks, ...item.slots]);
    room.blocks.push(...item.blocks);
    made.set(joint.id, item);
  }
  // A top that is held nowhere is not held by its neighbours.
  const under = joints.filter(({ kind }) => isOnTop(kind));
  if (under.every(({ id }) => held(made, id).shanks.length === 0))
    for (const { id } of under) made.set(id, held(usuals, id));
  // Boards of one top are joined alike: where one is too narrow for a pocket, none has any.
  const edges = [...made.values()].filter(({ joint }) => joint.kind === 'edge');
  const other = edges.find(({ by }) => by !== first(edges).by && by !== 'pocket screws')?.by as Method | undefined;
  if (other && !piece.joins.edge) {
    const alike = fastenings(joints, parts, units, { joins: { ...piece.joins, edge: { by: other } } }, shop, stuck);
    return alike.map((item) =>
      item.joint.kind === 'edge' ? { ...item, instead: { of: 'pocket screws', because: 'no room' } } : item,
    );
  }
  return joints.map((joint) => held(made, joint.id));
}
