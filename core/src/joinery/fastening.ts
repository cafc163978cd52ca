import { inches, type Length, type Units } from '../length';
import { DEFAULT_SHOP, type Method, type Piece, type Shop } from '../job';
import { boxOf, hasTongue, joinOf, type Joint, type Part } from '../piece';
import { add, dot, outOf, sub, times, type Solid, type Vec } from '../solid';
import { isBoard, isSheet, SPECIES, speciesOf } from '../stock';
import { hardwareShanks } from './hardware';
import { layoutOf, type Layout, type Site } from './laying';
import { meetingOf, waysOf, type Meeting } from './meeting';
import { METHOD_ABOUT, WAYS_FOR, type Means } from './methods';
import { DRIVER_ROOM, roomBehind, standingRound, standsFast } from './driver';
import { clash, measured, type Shank } from './shank';

/** What is wrong with a fastener as it lies. */
export type Trouble = 'no bite' | 'comes out' | 'meets another' | 'wood is cut away' | 'no room' | 'not possible';

/** A joint worked out: what goes in, how the jig is set, where. */
export type Fastening = {
  readonly joint: Joint;
  readonly drilled: Part;
  readonly into: Part;
  readonly by: Means;
  /** Pockets are filled with plugs. */
  readonly plugs: boolean;
  /** Jig and collar setting: thickness of the part that is drilled. */
  readonly jig: Length;
  /** Size as sold; empty where nothing is driven. */
  readonly screw: string;
  /** Distances of each pocket, screw or clip; from which edge is said by `from`. */
  readonly positions: readonly Length[];
  readonly from: 'left end' | 'top edge' | 'near end';
  /** The side nobody sees, where the pockets or slots go. */
  readonly face: 'underside' | 'inside' | 'either face' | 'outside';
  /** How much of each of the two lies against the other, square inches: no finish goes there. */
  readonly meets: number;
  /** Area of glue, both faces counted, square inches. 0 where nothing is glued. */
  readonly glue: number;
  /** False where the screw that is safe in the thinner part is too short to reach out of this pocket. */
  readonly reaches: boolean;
  /** Every fastener as it lies in the piece. */
  readonly shanks: readonly Shank[];
  /** What could not be made right; empty where all is well. */
  readonly troubles: readonly Trouble[];
  /** The usual way, and why this one stands for it; null where it is made as it was asked for. */
  readonly instead: { readonly of: Means; readonly because: Trouble } | null;
  /** Which way the joint closes: out of `drilled`, into `into`; null where hardware bridges a gap. */
  readonly closes: Vec | null;
};

/** Slot for a top's clips, below the top edge of the rail: 3/8 to 1/2 is usual. */
export const CLIP_SLOT: Length = inches(7 / 16);

/** Dense wood wants a fine thread: red oak and its like. */
const DENSE = 40;
export const isDense = ({ material }: Part): boolean =>
  isBoard(material) && !isSheet(material) && SPECIES[speciesOf(material)].density >= DENSE;

/** Steps by which a fastener is moved along when something is in its way, and how far at most. */
const STEP = inches(1 / 4);
const FARTHEST = 12;
/** From the ends of the meeting at least this, or the wood splits. */
const MARGIN = inches(3 / 8);

/** Fasteners by the parts they are in. */
type Bored = Map<string, Shank[]>;

type Placed = { readonly shanks: readonly Shank[]; readonly troubles: readonly Trouble[] };

const faultOf = (shank: Shank, { bite, leaves }: Layout): Trouble | null =>
  !shank.held
    ? 'wood is cut away'
    : shank.bite < bite
      ? 'no bite'
      : leaves !== null && shank.left < leaves
        ? 'comes out'
        : null;

/** What is in the way of a driver, and how much of it must be clear: of the finished piece as much as can be. */
type Access = {
  readonly around: (through: string) => readonly Solid[];
  readonly rooms: readonly Length[];
  /** It is the same all along: where one place has no room, none has. */
  readonly alike: boolean;
};

/** Lays a joint's fasteners on one face, each moved along as little as need be. */
function placeOn(
  layout: Layout,
  face: 1 | -1,
  { meeting }: Site,
  taken: readonly Shank[],
  { around, rooms, alike }: Access,
): Placed {
  const [low, high] = meeting.spans[layout.run]!;
  const offsets = Array.from(
    { length: 2 * FARTHEST + 1 },
    (_, at) => (at % 2 === 0 ? -1 : 1) * Math.ceil(at / 2) * STEP,
  );
  const shanks: Shank[] = [];
  const failed: { readonly shank: Shank; readonly trouble: Trouble }[] = [];
  for (const target of layout.targets) {
    let usual: { readonly shank: Shank; readonly trouble: Trouble } | null = null;
    const able: { readonly shank: Shank; readonly room: number }[] = [];
    for (const offset of offsets) {
      const place = target + offset;
      if (offset !== 0 && (place < low + MARGIN || place > high - MARGIN)) continue;
      const { laid, first: one, second, meets } = layout.lie(place, face);
      const shank = measured(laid, one, second, meets);
      const others = [...taken, ...shanks];
      const trouble = faultOf(shank, layout) ?? (others.some((other) => clash(shank, other)) ? 'meets another' : null);
      if (trouble === null) {
        const room = shank.driven && rooms.length > 0 ? roomBehind(shank, around(shank.through)) : Infinity;
        able.push({ shank, room });
        if (room >= (rooms[0] ?? 0) || (alike && room < rooms.at(-1)!)) break;
      } else usual ??= { shank, trouble };
    }
    // The nearest with room for the longest driver that any place has room for; what comes last must have some.
    // Where what comes later leaves no room anywhere, the place that it leaves most: what is there by then may leave all.
    const widest = able.reduce<(typeof able)[number] | null>((best, one) => (best && best.room >= one.room ? best : one), null); // prettier-ignore
    const found = rooms.length === 0 ? able[0]?.shank : rooms.flatMap((room) => (room === 0 ? (widest ?? []) : (able.find((one) => one.room >= room) ?? [])))[0]?.shank; // prettier-ignore
    usual ??= able[0] ? { shank: able[0].shank, trouble: 'no room' } : null;
    if (found) shanks.push(found);
    else failed.push(usual!);
  }
  // What finds no place is left out where enough others hold the joint.
  if (shanks.length > 0 && failed.length <= shanks.length) return { shanks, troubles: [] };
  return {
    shanks: [...shanks, ...failed.map(({ shank }) => shank)],
    troubles: failed.map(({ trouble }) => trouble),
  };
}

/** The side of a part that looks down, or else to the middle of the piece: the one nobody sees. */
function hiddenSide(part: Part, axis: 0 | 1 | 2, middle: Vec): 1 | -1 {
  const way = waysOf(part)[axis];
  if (Math.abs(way[2]) > 0.7) return way[2] > 0 ? -1 : 1;
  const box = boxOf(part);
  const own: Vec = times(add(box.min, box.max), 1 / 2);
  return dot(way, sub(middle, own)) >= 0 ? 1 : -1;
}

/** A fastener and the longest driver behind it. */
const REACH = inches(20);

/** Those of some parts that are near enough to a meeting to be in a driver's way. */
function nearTo(parts: readonly Part[], first: Part, { spans }: Meeting): readonly Part[] {
  const corners = [0, 1].flatMap((x) => [0, 1].flatMap((y) => [0, 1].map((z) => outOf(first.frame, [spans[0]![x]!, spans[1]![y]!, spans[2]![z]!])))); // prettier-ignore
  const axes = [0, 1, 2] as const;
  const low = axes.map((axis) => Math.min(...corners.map((corner) => corner[axis])) - REACH);
  const high = axes.map((axis) => Math.max(...corners.map((corner) => corner[axis])) + REACH);
  return parts.filter((part) => {
    const { min, max } = boxOf(part);
    return axes.every((axis) => min[axis] < high[axis]! && max[axis] > low[axis]!);
  });
}

/** The method of a joint: what the person says where the kind allows it, else the usual one. */
function methodOf(joint: Joint, said: Piece['joins'][string] | null): Means {
  const ways = WAYS_FOR[joint.kind];
  if (ways.length === 0) return joint.kind === 'rest' || joint.kind === 'groove' ? 'nothing' : 'hardware';
  return said?.by && ways.includes(said.by) ? said.by : ways[0]!;
}

const facesOut = (by: Means): Fastening['face'] | null =>
  by === 'pocket screws' || by === 'clips' || by === 'slotted screws' || by === 'corner block' ? null : 'outside';

export type Room = {
  readonly units: Units;
  readonly middle: Vec;
  readonly bored: Bored;
  /** Everything there is once the piece is done. */
  readonly parts: readonly Part[];
  /** What stands at the other end of a rail: there when its second end is joined. */
  readonly mates: (joint: Joint) => readonly Part[];
  readonly spacing: Length;
  /** Straight room that the shop's shortest driver wants. */
  readonly least: Length;
};

/** How a joint would be made: without its place among the others where nothing is bored yet. */
export function fasten(
  joint: Joint,
  drilled: Part,
  into: Part,
  meeting: Meeting | null,
  room: Room,
  said: Piece['joins'][string] | null,
): Fastening {
  const base = {
    joint,
    drilled,
    into,
    plugs: said?.plugs ?? false,
    jig: drilled.thickness,
    screw: '',
    positions: [] as readonly Length[],
    from: 'near end' as const,
    face: 'inside' as const,
    glue: 0,
    meets: meeting?.area ?? 0,
    reaches: true,
    shanks: [] as readonly Shank[],
    troubles: [] as readonly Trouble[],
    instead: null,
    closes: meeting?.normal ?? null,
  };
  const by = methodOf(joint, said);
  if (meeting === null) {
    if (!joint.apart) throw new Error(`${joint.id}: the parts do not touch`);
    return {
      ...base,
      by: joint.kind === 'rest' ? 'nothing' : 'hardware',
      shanks: hardwareShanks(joint, drilled, into),
    };
  }
  if (by === 'hardware' || by === 'nothing') return { ...base, by };
  const glued = joint.kind === 'screws' && (drilled.role === 'top' || into.role === 'top') ? 0 : METHOD_ABOUT[by].glued ? 2 * meeting.area : 0; // prettier-ignore
  const onTop = joint.kind === 'top screws' || joint.kind === 'top clips';
  const site: Site = { joint, drilled, into, meeting, units: room.units, spacing: room.spacing };
  const fine = by === 'pocket screws' && (isDense(drilled) || isDense(into));
  const layout = layoutOf(by, site, fine);
  const tongue = by === 'mortise and tenon' || by === 'half lap';
  const of = { ...base, by, glue: onTop ? 0 : glued };
  if (layout === null)
    return { ...of, face: 'outside', troubles: by === 'glue' || (tongue && hasTongue(drilled, into)) ? [] : ['not possible'], reaches: by === 'glue' || tongue }; // prettier-ignore
  const faceAxis = ([0, 1, 2] as const).find((at) => at !== meeting.axis && at !== layout.run)!;
  const usual = hiddenSide(drilled, faceAxis, room.middle);
  const order: readonly (1 | -1)[] =
    layout.faces.length === 1
      ? layout.faces
      : said?.flip
        ? [usual === 1 ? -1 : 1]
        : by !== 'pocket screws' || drilled.role === 'support'
          ? [usual, usual === 1 ? -1 : 1]
          : [usual];
  const taken = [...new Set([drilled.id, into.id].flatMap((id) => room.bored.get(id) ?? []))];
  const edges = joint.kind === 'edge' || (joint.kind === 'lamination' && by !== 'glue');
  const { least } = room;
  const mates = room.mates(joint);
  const near = nearTo(onTop || mates.length === 0 ? room.parts : mates, drilled, meeting);
  const access: Access = {
    around: standingRound(near),
    // A panel is joined with nothing round it, a drawer or a door on the bench. What is fixed to the top comes last, a rail's second end after its first:
    // there must be room then. For the others there may be, before the next part comes.
    rooms: (edges && mates.length === 0) || (!standsFast(drilled) && !standsFast(into)) ? [] : onTop || mates.length > 0 ? [Math.max(least, DRIVER_ROOM['short bit']), least] : [DRIVER_ROOM['short bit'], least, 0], // prettier-ignore
    alike: edges,
  };
  const placed = order
    .map((face) => {
      const row = placeOn(layout, face, site, taken, access);
      const also = layout.also && placeOn(layout.also, face, site, [...taken, ...row.shanks], access);
      return also ? { shanks: [...row.shanks, ...also.shanks], troubles: [...row.troubles, ...also.troubles] } : row;
    })
    .reduce((best, next) => (next.troubles.length < best.troubles.length ? next : best));
  return {
    ...of,
    jig: layout.jig > 0 ? layout.jig : drilled.thickness,
    screw: layout.size,
    positions: placed.shanks.map(({ position }) => position).sort((a, b) => a - b),
    from: edges ? 'left end' : joint.kind === 'rail end' ? 'top edge' : 'near end',
    face:
      facesOut(by) ??
      (joint.kind === 'edge' || drilled.role === 'top' ? 'underside' : said?.flip ? 'outside' : drilled.role === 'support' ? 'either face' : 'inside'), // prettier-ignore
    reaches: !placed.troubles.includes('no bite'),
    shanks: placed.shanks,
    troubles: placed.troubles,
  };
}

/** The middle of a piece: of the box around its parts. */
export function middleOfParts(parts: readonly Part[]): Vec {
  const boxes = parts.filter(({ loose }) => !loose).map(boxOf);
  return ([0, 1, 2] as const).map(
    (axis) => (Math.min(...boxes.map(({ min }) => min[axis])) + Math.max(...boxes.map(({ max }) => max[axis]))) / 2,
  ) as unknown as Vec;
}

/** Square inches; on less than this a top only rests, where there is no place for a clip. */
const LEAST_HELD = 6;

/** Where nobody says how and the usual way does not work, the next that does and wants no more than a drill. */
function anotherWay(usual: Fastening, meeting: Meeting | null, room: Room): Fastening {
  const { joint, drilled, into } = usual;
  // Where a bit of a rail meets a bit of the top there may be no place for anything: the others hold it.
  if (joint.kind === 'top clips' && usual.meets < LEAST_HELD)
    return { ...usual, by: 'nothing', screw: '', shanks: [], positions: [], troubles: [], reaches: true };
  for (const by of WAYS_FOR[joint.kind]) {
    if (by === usual.by || !METHOD_ABOUT[by].tools.some((set) => set.length === 1 && set[0] === 'drill')) continue;
    const other = fasten(joint, drilled, into, meeting, room, { by });
    const bare = by === 'glue' && (joint.kind === 'glue' || joint.kind === 'screws' || joint.kind === 'lap');
    if (other.troubles.length === 0 && (other.shanks.length > 0 || bare)) return { ...other, instead: { of: usual.by, because: usual.troubles[0]! } }; // prettier-ignore
  }
  const rests = joint.kind === 'top screws' && usual.meets < LEAST_HELD;
  return rests ? { ...usual, by: 'nothing', screw: '', shanks: [], positions: [], troubles: [], reaches: true } : usual;
}

/** Hardware has its place; ends have less room to give way than long edges. */
const rank = ({ apart, kind }: Joint): number => (apart ? 0 : kind === 'rail end' ? 1 : kind === 'edge' ? 3 : 2);

/**
 * Every joint worked out, hardware first so that others keep clear of its screws. `parts` by id must hold both parts of
 * every joint.
 *
 * @param piece how a person wants the joints made, where it is not the usual way.
 * @param shop what it drives screws with: where none has room, another way is taken; and how near it sets pockets.
 */
export function fastenings(
  joints: readonly Joint[],
  parts: readonly Part[],
  units: Units,
  piece: Pick<Piece, 'joins'> = { joins: {} },
  shop: Pick<Shop, 'drivers' | 'spacing'> = DEFAULT_SHOP,
): readonly Fastening[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const ends = joints.filter(({ kind }) => kind === 'rail end');
  const met = (id: string) =>
    ends.flatMap(({ drilled, into }) => (drilled === id ? [into] : into === id ? [drilled] : []));
  // At a rail's second end there stands, by then, what it ends on at the first, and the frame of that.
  const mates = (joint: Joint): readonly Part[] => {
    if (joint.kind === 'edge')
      return joints.filter((other) => other.kind === 'edge' && other.into === joint.drilled).map(({ drilled }) => byId.get(drilled)!); // prettier-ignore
    if (joint.kind !== 'rail end' || byId.get(joint.drilled)!.role === 'top') return [];
    const far = ends
      .filter((other) => other.drilled === joint.drilled && other.into !== joint.into)
      .map(({ into }) => into);
    const frame = far.flatMap(met).filter((id) => id !== joint.drilled && id !== joint.into);
    return [...new Set([...far, ...frame])].map((id) => byId.get(id)!);
  };
  const least = Math.min(DRIVER_ROOM['long bit'], ...shop.drivers.map((driver) => DRIVER_ROOM[driver]));
  const room: Room = {
    units,
    middle: middleOfParts(parts),
    bored: new Map(),
    parts: parts.filter(({ loose }) => !loose),
    mates,
    spacing: shop.spacing,
    least,
  };
  const made = new Map<string, Fastening>();
  for (const joint of [...joints].sort((a, b) => rank(a) - rank(b))) {
    const [drilled, into] = [byId.get(joint.drilled)!, byId.get(joint.into)!];
    const meeting = meetingOf(drilled, into);
    const usual = fasten(joint, drilled, into, meeting, room, joinOf(piece, joint));
    const item = usual.troubles.length > 0 && !joinOf(piece, joint)?.by ? anotherWay(usual, meeting, room) : usual;
    for (const id of [drilled.id, into.id]) room.bored.set(id, [...(room.bored.get(id) ?? []), ...item.shanks]);
    made.set(joint.id, item);
  }
  // Boards of one top are joined alike: where one is too narrow for a pocket, none has any.
  const edges = [...made.values()].filter(({ joint }) => joint.kind === 'edge');
  const other = edges.find(({ by }) => by !== edges[0]!.by && by !== 'pocket screws')?.by as Method | undefined;
  if (other && !piece.joins.edge) {
    const alike = fastenings(joints, parts, units, { joins: { ...piece.joins, edge: { by: other } } }, shop);
    return alike.map((item) => (item.joint.kind === 'edge' ? { ...item, instead: { of: 'pocket screws', because: 'no room' } } : item)); // prettier-ignore
  }
  return joints.map((joint) => made.get(joint.id)!);
}
