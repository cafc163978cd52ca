import { first, nth, sure } from '../lists';
import type { Shop } from '../job';
import { driverFor, roomBehind, standingRound, WAYS_TO_JOIN, type Driver, type Fastening } from '../joinery';
import { solidOf, type Part } from '../piece';
import { blocks, dot, norm, sub, through, times, type Solid, type Vec } from '../solid';

/** Parts that are one piece by now: a part alone, or what was put together before. */
export type Gathered = readonly Part[];

/** A body as it comes in: which way it moves, which joints are made then, and the driver for each. */
export type Placing = {
  readonly body: Gathered;
  /** The way it moves into its place; null for the first, and where there is no straight way. */
  readonly way: Vec | null;
  /** It can come neither from above nor from below: said, so that nobody tries. */
  readonly tight: boolean;
  readonly joints: readonly Fastening[];
  /** By joint: the driver, null where none of the shop's has room; the room, and whether it is free at all. */
  readonly access: readonly DriverAt[];
};
export type DriverAt = { readonly joint: Fastening; readonly room: number; readonly driver: Driver | null };

const AXES: readonly Vec[] = [
  [0, 0, -1],
  [0, 0, 1],
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
];

/** The ways a body may come in: from above, from below, from the sides, then along its own slanted directions. */
function waysFor(body: Gathered, joints: readonly Fastening[]): readonly Vec[] {
  const own = body.slice(0, 4).flatMap(({ frame }) => [frame.u, frame.v, through(frame)]);
  const closing = joints.flatMap(({ closes }) => (closes ? [closes] : []));
  const ways: Vec[] = [...AXES];
  for (const way of [...closing, ...own].flatMap((one) => [one, times(one, -1)]))
    if (!ways.some((known) => norm(sub(known, way)) < 0.02)) ways.push(way);
  return ways.slice(0, 24);
}

/** The room behind a joint's screws with so much there, and the driver that fits. */
export function accessTo(joint: Fastening, there: readonly Part[], drivers: Shop['drivers']): DriverAt {
  let room = Infinity;
  const others = standingRound(there);
  for (const shank of joint.shanks) {
    if (!shank.driven) continue;
    room = Math.min(room, roomBehind(shank, others(shank.through)));
  }
  return { joint, room, driver: room === Infinity ? (drivers[0] ?? 'long bit') : driverFor(room, drivers) };
}

const solids = (body: Gathered): readonly Solid[] => body.map(solidOf);

/**
 * The lines along which pegs let a body come in: a dowel or a loose tenon lets its joint close along its own line only.
 * One for each such joint; none for what has no pegs.
 */
function lines(body: Gathered, joints: readonly Fastening[]): readonly Vec[] {
  const own = new Set(body.map(({ id }) => id));
  return joints.flatMap(({ by, shanks, closes, drilled }) =>
    by !== 'hardware' && by !== 'nothing' && WAYS_TO_JOIN[by].straight && shanks.length > 0 && closes
      ? [own.has(drilled.id) ? closes : times(closes, -1)]
      : [],
  );
}
/** Two directions within this of each other, as a cosine, are one line to a peg. */
const SAME_LINE = 0.999;

/** The first straight way by which a body can come to so much that is there; null for none. From above first. */
function freeWay(body: Gathered, there: readonly Part[], joints: readonly Fastening[]): Vec | null {
  const [own, others] = [solids(body), solids(there)];
  const pegged = lines(body, joints);
  const free = (way: Vec) => {
    if (pegged.some((line) => dot(line, way) < SAME_LINE)) return false;
    const out = times(way, -1);
    return !own.some((moving) => others.some((still) => blocks(moving, still, out)));
  };
  return waysFor(body, joints).find(free) ?? null;
}

/** Bodies by number, and the joints between them, each with the numbers of its two. */
type Links = readonly (readonly { readonly joint: Fastening; readonly other: number }[])[];

function linksOf(bodies: readonly Gathered[], joints: readonly Fastening[]): Links {
  const of = new Map(bodies.flatMap((body, at) => body.map(({ id }) => [id, at] as const)));
  const links: { readonly joint: Fastening; readonly other: number }[][] = bodies.map(() => []);
  for (const joint of joints) {
    const [a, b] = [of.get(joint.drilled.id), of.get(joint.into.id)];
    if (a === undefined || b === undefined || a === b) continue;
    nth(links, a).push({ joint, other: b });
    nth(links, b).push({ joint, other: a });
  }
  return links;
}

/** Whether bodies, by number, hang together by joints. */
function connected(bodies: ReadonlySet<number>, links: Links): boolean {
  const [first] = bodies;
  if (first === undefined) return true;
  const reached = new Set([first]);
  const queue = [first];
  for (let at = queue.pop(); at !== undefined; at = queue.pop())
    for (const { other } of nth(links, at))
      if (bodies.has(other) && !reached.has(other)) {
        reached.add(other);
        queue.push(other);
      }
  return reached.size === bodies.size;
}

/**
 * How bad it is to take a body off last, that is, to put it on last. Another driver can be borrowed, a third hand not.
 */
const BLOCKED = 8;
const LOOSE = 4;
const NO_ROOM = 2;

const lies = (body: Gathered): Placing => ({ body, way: null, tight: false, joints: [], access: [] });

/**
 * The order in which bodies go together: found by taking the whole apart. A body may come off when some straight way
 * out of what is left is free, when every screw that joins it has its driver's room with all that is there, and when
 * what is left still hangs together; what may come off later may also come off now, so nothing need be tried twice.
 * Among equals the last named comes off first. Assembly by disassembly: Homem de Mello and Sanderson 1991.
 */
export function orderOf(
  bodies: readonly Gathered[],
  joints: readonly Fastening[],
  drivers: Shop['drivers'],
): readonly Placing[] {
  type Choice = { readonly placing: Placing; readonly cost: number; readonly at: number };
  const order: Placing[] = [];
  const all = bodies.filter((body) => body.length > 0);
  const links = linksOf(all, joints);
  const left = new Set(all.keys());
  while (left.size > 1) {
    let best: Choice | null = null;
    for (const at of [...left].reverse()) {
      const body = nth(all, at);
      const others = new Set(left);
      others.delete(at);
      const made = nth(links, at)
        .filter(({ other }) => left.has(other))
        .map(({ joint }) => joint);
      const loose = made.length === 0 || !connected(others, links);
      if (best && best.cost <= (loose ? LOOSE : 0)) continue;
      const there = [...others].flatMap((other) => nth(all, other));
      const way = freeWay(body, there, made);
      const access = made.map((joint) => accessTo(joint, [...there, ...body], drivers));
      const cost =
        (way === null ? BLOCKED : 0) +
        (access.some(({ driver }) => driver === null) ? NO_ROOM : 0) +
        (loose ? LOOSE : 0);
      if (best && best.cost <= cost) continue;
      const tight = way !== null && Math.abs(way[2]) < 0.9;
      best = { placing: { body, way, tight, joints: made, access }, cost, at };
      if (cost === 0) break;
    }
    const { placing, at } = sure<Choice>(best, 'body that comes off');
    order.unshift(placing);
    left.delete(at);
  }
  const rest = [...left].map((at) => nth(all, at));
  if (rest.length === 0) return [];
  const [second] = order;
  // What is larger lies there, and the part alone comes to it.
  if (second?.way && first(rest).length === 1 && second.body.length > 1)
    return [lies(second.body), { ...second, body: first(rest), way: times(second.way, -1) }, ...order.slice(1)];
  return [lies(first(rest)), ...order];
}
