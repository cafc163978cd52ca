import { inches, type Length } from '../length';
import type { Job, Shop } from '../job';
import { solidOf, type Joint, type Part } from '../piece';
import { add, blocks, circle, into as intoFrame, norm, sub, times, dot, outOfFrame, volumeOf, type Vec } from '../solid'; // prettier-ignore
import { woodOf } from '../stock';
import type { Operation, OperationOf } from '../work';
import { differs, keepInside, narrow, placed, pointed, slackOf, slantEnd, takeOut, trimTo, woodAlong, type Body, type Hole } from './body'; // prettier-ignore
import type { Fault, FaultKind } from './fault';
import { boreAt, hitsMetal, meetsHole, pocketAt, slotAt } from './holes';
import { standsAsTold } from './standing';

/** How long a fastener is, from what is written on its box. */
export function lengthWritten(size: string): Length {
  const text = size.replace(/^#\d+ /, '').replace(/ fine$/, '').split(' x ').at(-1)!; // prettier-ignore
  const sum = text.split(' ').reduce((total, bit) => {
    const [over, under] = bit.split('/').map(Number);
    return total + over! / (under ?? 1);
  }, 0);
  return inches(sum);
}

/** Least wood that holds a fastener, by kind. */
const LEAST_BITE: Readonly<Record<string, number>> = { 'pocket-screw': 5 / 16, screw: 1 / 4, lag: 3 / 4, bolt: 1 / 2, insert: 5 / 16, clip: 1 / 4, brad: 1 / 8 }; // prettier-ignore
/** Numbers are told to 1/64: what is nearer than twice that is right. */
const NEAR = inches(1 / 32);

/** The bench of one piece while the operations are carried out. */
export type Bench = {
  readonly shop: Shop;
  readonly parts: ReadonlyMap<string, Part>;
  readonly joints: ReadonlyMap<string, Joint>;
  readonly bodies: Map<string, Body>;
  /** What each part is one with by now. */
  readonly whole: Map<string, Set<string>>;
  readonly stands: Set<string>;
  /** What each part was last put together with, fixed or not. */
  readonly company: Map<string, ReadonlySet<string>>;
  /** Joints with wet glue, and those of them that are pulled shut. */
  readonly glued: Set<string>;
  readonly shut: Set<string>;
  readonly pegged: Set<string>;
  readonly blocked: Set<string>;
  readonly made: Set<string>;
  /** Used of each kind and size. */
  readonly used: Map<string, number>;
  readonly fault: (operation: Operation, kind: FaultKind, why: string) => void;
};

export function newBench(
  job: Pick<Job, 'shop'>,
  parts: readonly Part[],
  joints: readonly Joint[],
  bodies: ReadonlyMap<string, Body>,
  faults: Fault[],
): Bench {
  return {
    shop: job.shop,
    parts: new Map(parts.map((part) => [part.id, part])),
    joints: new Map(joints.map((joint) => [joint.id, joint])),
    bodies: new Map(bodies),
    whole: new Map(parts.map(({ id }) => [id, new Set([id])])),
    stands: new Set(),
    company: new Map(),
    glued: new Set(),
    shut: new Set(),
    pegged: new Set(),
    blocked: new Set(),
    made: new Set(),
    used: new Map(),
    fault: ({ id }, kind, why) => faults.push({ operation: id, kind, why }),
  };
}

const use = ({ used }: Bench, kind: string, size: string, count: number) => {
  const key = `${kind} ${size}`;
  used.set(key, (used.get(key) ?? 0) + count);
};

/** Parts that are fixed to each other move as one from now on. */
function fix({ whole }: Bench, ids: readonly string[]): void {
  const all = new Set(ids.flatMap((id) => [...(whole.get(id) ?? [])]));
  for (const id of all) whole.set(id, all);
}

const partsOf = (bench: Bench, op: Operation) => op.on.flatMap((id) => bench.parts.get(id) ?? []);
const bodyOf = (bench: Bench, id: string): Body => bench.bodies.get(id)!;

const toPiece = (part: Part, { at, direction }: Hole) => ({ at: placed(part.frame, at), direction: pointed(part.frame, direction) }); // prettier-ignore

/** Pounds of parts: what is wood by its body, what is bought as stated. */
const poundsOf = (bench: Bench, ids: readonly string[]): number =>
  ids.reduce((sum, id) => {
    const part = bench.parts.get(id);
    if (!part) return sum;
    if (part.material === 'bought') return sum + (part.bought?.pounds ?? 0);
    return sum + ((volumeOf(bodyOf(bench, id).solid) / inches(1) ** 3) / 1728) * woodOf(part.material).density;
  }, 0); // prettier-ignore

function lifted(bench: Bench, op: Operation, ids: readonly string[]): void {
  const pounds = poundsOf(bench, ids);
  const people = op.lift?.people ?? 1;
  if (pounds > people * bench.shop.lift * 1.02) bench.fault(op, 'too heavy', `${Math.round(pounds)} lb for ${people}`);
}

/** Whether a part is what it should be: but for the ends of a panel that is trimmed later, and its round. */
function readiness(bench: Bench, part: Part): string | null {
  if (part.material === 'bought' || part.loose) return null;
  const body = bodyOf(bench, part.id);
  if (part.trimmedLater) return null;
  const difference = differs(outOfFrame(part.frame, body.solid), solidOf(part));
  return difference > slackOf(part) ? `${part.tag} is not what it should be: ${(difference / inches(1) ** 3).toFixed(2)} cubic inches differ` : null; // prettier-ignore
}

function shapeParts(bench: Bench, op: Operation): void {
  for (const part of partsOf(bench, op)) {
    const body = bodyOf(bench, part.id);
    switch (op.kind) {
      case 'plane':
        narrow(body, 2, 0, op.to * part.plies);
        break;
      case 'rip':
        narrow(body, 1, 0, op.to);
        break;
      case 'trim':
      case 'fit': {
        const to = op.kind === 'trim' ? op.to : op.planned;
        if (body.high - body.low < to - 2) bench.fault(op, 'not ready', `${part.tag} is shorter than that`);
        trimTo(body, 0, to);
        break;
      }
      case 'mitre':
        for (const { end, mitre, bevel, long } of op.ends)
          if (mitre !== 0 || bevel !== 0) slantEnd(body, end.sign, mitre, bevel, long, part.width, part.thickness);
        break;
      case 'outline':
        keepInside(body, op.outline, part.thickness);
        break;
      case 'cut':
        for (const taken of op.taken[part.id] ?? [])
          if (takeOut(body, taken) <= 0) bench.fault(op, 'no wood', `${part.tag}: a ${taken.kind} takes nothing`);
        break;
    }
  }
}

/** Boards of a panel cut to size together: square off both ends, or round. */
function trimWhole(bench: Bench, op: OperationOf<'trim whole'>): void {
  const parts = partsOf(bench, op);
  const body = new Set(bench.whole.get(op.on[0]!) ?? []);
  if (!op.on.every((id) => body.has(id))) bench.fault(op, 'wrong order', 'the boards are not one yet');
  const xs = parts.flatMap((part) => [placed(part.frame, [0, 0, 0]), placed(part.frame, [part.length, part.width, 0])]);
  const middle: Vec = ([0, 1, 2] as const).map((axis) => (Math.min(...xs.map((point) => point[axis])) + Math.max(...xs.map((point) => point[axis]))) / 2) as unknown as Vec; // prettier-ignore
  for (const part of parts) {
    const own = bodyOf(bench, part.id);
    const crosses = (place: number) => own.metal.some(([from, to]) => Math.min(from[0], to[0]) < place + inches(1 / 16) && Math.max(from[0], to[0]) > place - inches(1 / 16)); // prettier-ignore
    if (op.round === null) {
      if (own.high - own.low < op.to - 2) bench.fault(op, 'not ready', `${part.tag} is shorter than that`);
      const low = own.low + op.off;
      for (const place of [low, low + op.to]) if (crosses(place)) bench.fault(op, 'hits a screw', `the saw meets a screw in ${part.tag}`); // prettier-ignore
      trimTo(own, low, low + op.to);
    } else {
      const [x, y] = intoFrame(part.frame, middle);
      keepInside(own, circle(x, y, op.round), part.thickness);
    }
  }
}

function drill(bench: Bench, op: OperationOf<'bore'> | OperationOf<'pocket'> | OperationOf<'slot'>): void {
  op.spots.forEach((spot, at) => {
    const part = bench.parts.get(spot.part)!;
    const body = bodyOf(bench, spot.part);
    const hole =
      op.kind === 'bore'
        ? boreAt(body, part, spot, op.ways[at]!, op)
        : op.kind === 'pocket'
          ? pocketAt(body, part, spot, op.exits[spot.joint]!, op.jig)
          : slotAt(body, part, spot, op.ways[at]!, op);
    if (typeof hole === 'string') return bench.fault(op, 'not told', hole);
    if (hitsMetal(body, hole.at, hole.direction, hole.deep ?? inches(1))) bench.fault(op, 'hits a screw', `${spot.tag}: the bit meets a screw`); // prettier-ignore
    const met = meetsHole(body, hole.joint, hole.hollows);
    if (met) bench.fault(op, 'meets a hole', `${spot.tag}: ${hole.joint} runs into the hole for ${met}`);
    body.holes.push(hole);
  });
}

/** The way that pegs leave for a joint to close by: along its holes. */
function pegLine(bench: Bench, joint: Joint): Vec | null {
  const part = bench.parts.get(joint.drilled)!;
  const hole = bodyOf(bench, joint.drilled).holes.find((one) => one.joint === joint.id);
  return hole ? times(toPiece(part, hole).direction, -1) : null;
}

/** Boards laid side by side as told, left ends or middles level: which does not lie where it belongs then. */
function outOfRow(bench: Bench, op: OperationOf<'place'>): string | null {
  const places = op.comes.flatMap(({ parts }) => parts).map((id) => {
    const [part, body] = [bench.parts.get(id)!, bodyOf(bench, id)];
    const along = op.row === 'ends' ? body.low : (body.low + body.high) / 2;
    return { tag: part.tag, at: dot(part.frame.u, placed(part.frame, [along, 0, 0])) };
  }); // prettier-ignore
  const stray = places.find(({ at }) => Math.abs(at - places[0]!.at) > NEAR);
  return stray ? `${stray.tag} does not lie level with ${places[0]!.tag}` : null;
}

/** Drawers run out of what is turned, and doors swing, unless they are out of the way first. */
function runsOut(bench: Bench, op: OperationOf<'place'> | OperationOf<'turn'>, there: ReadonlySet<string>): void {
  for (const { id, kind, drilled, into: other } of bench.joints.values())
    if ((kind === 'slide' || kind === 'hinge') && bench.made.has(id) && there.has(drilled) && there.has(other) && !op.out.includes(drilled)) bench.fault(op, 'loose when turned', `${bench.parts.get(drilled)!.tag} runs out or swings`); // prettier-ignore
}

function bring(bench: Bench, op: OperationOf<'place'>): void {
  const here = new Set<string>();
  op.comes.forEach(({ parts: ids, way }, at) => {
    const [first] = ids;
    const one = bench.whole.get(first!) ?? new Set();
    const strange = ids.find((id) => !one.has(id)) ?? [...one].find((id) => !ids.includes(id));
    if (strange) bench.fault(op, 'not held', `${bench.parts.get(first!)!.tag} and ${bench.parts.get(strange)?.tag} are not one, or come apart`); // prettier-ignore
    for (const id of ids) {
      const part = bench.parts.get(id)!;
      const why = bench.stands.has(id) ? null : readiness(bench, part);
      if (why) bench.fault(op, 'not ready', why);
      if (part.bought && !bench.stands.has(id)) use(bench, part.bought.kind, part.bought.size, 1);
    }
    if (at > 0 || way !== null) {
      const there = [...here].map((id) => bench.parts.get(id)!);
      if (way === null && there.length > 0)
        bench.fault(op, 'no way in', `${bench.parts.get(first!)!.tag} has no way in`);
      if (way !== null) {
        const out = times(way, -1);
        const stuck = ids.find((id) => {
          const solid = solidOf(bench.parts.get(id)!);
          return there.some((other) => blocks(solid, solidOf(other), out));
        });
        if (stuck) bench.fault(op, 'no way in', `${bench.parts.get(stuck)!.tag} is blocked`);
        for (const joint of bench.joints.values()) {
          if (!bench.pegged.has(joint.id)) continue;
          const moving = ids.includes(joint.drilled) && here.has(joint.into) ? 1 : ids.includes(joint.into) && here.has(joint.drilled) ? -1 : 0; // prettier-ignore
          const line = moving === 0 ? null : pegLine(bench, joint);
          if (line && Math.abs(dot(line, way)) < 0.99) bench.fault(op, 'blocked by pegs', `${joint.id} closes along its pegs only`); // prettier-ignore
        }
      }
    }
    if (way !== null) lifted(bench, op, ids);
    for (const id of ids) here.add(id);
  });
  for (const id of here) {
    bench.stands.add(id);
    bench.company.set(id, here);
  }
  if (op.over) runsOut(bench, op, here);
  const crooked = op.row === null ? null : outOfRow(bench, op);
  if (crooked) bench.fault(op, 'not told', crooked);
  for (const mark of op.marks) {
    const why = standsAsTold(mark, bench.parts);
    if (why) bench.fault(op, 'not told', why);
  }
  if (!op.fixed)
    for (const joint of bench.joints.values())
      if (joint.kind === 'rest' && here.has(joint.drilled) && here.has(joint.into)) bench.made.add(joint.id);
  // What slides in a groove, or through a passage, is caught by it.
  for (const joint of bench.joints.values())
    if (
      (joint.kind === 'groove' || (joint.kind === 'rest' && joint.apart)) &&
      here.has(joint.drilled) &&
      here.has(joint.into)
    ) {
      bench.made.add(joint.id);
      fix(bench, [joint.drilled, joint.into]);
    }
}

/** No driver goes into less room than this. */
const ROOM = inches(2);

/** What stands right over the hole of a part, so that no driver gets at it; null where nothing does. */
function covering(bench: Bench, through: string, { at, direction }: { readonly at: Vec; readonly direction: Vec }, room: number): string | null {
  const back = times(direction, -1);
  for (const id of bench.company.get(through) ?? []) {
    const part = bench.parts.get(id)!;
    if (id === through || part.role === 'drawer' || part.role === 'door') continue;
    const own = woodAlong(bodyOf(bench, id), intoFrame(part.frame, at), intoFrame({ ...part.frame, at: [0, 0, 0] }, back)); // prettier-ignore
    if (own.some(([low, high]) => high > inches(1 / 8) && low < room)) return part.tag;
  }
  return null;
} // prettier-ignore

/** Whether the hole for a nut lies across a bolt just before its tip, or the hole for an insert on its line. */
function meetsSeat(seat: ReturnType<typeof toPiece>, { deep, for: what }: Hole, line: ReturnType<typeof toPiece>, tip: number): boolean {
  if (what !== 'nuts') return norm(sub(seat.at, add(line.at, times(line.direction, dot(sub(seat.at, line.at), line.direction))))) < NEAR * 1.5; // prettier-ignore
  const end = add(line.at, times(line.direction, tip - inches(1 / 2)));
  const along = dot(sub(end, seat.at), seat.direction);
  return along > 0 && along < (deep ?? 0) && norm(sub(end, add(seat.at, times(seat.direction, along)))) < inches(1 / 4);
} // prettier-ignore

/** Screws of a joint, one after the other: through what is bored, into what comes behind. */
function driveJoint(bench: Bench, op: OperationOf<'drive'>, joint: Joint): void {
  const length = lengthWritten(op.size === '' ? '1/2' : op.size);
  const [a, b] = [bench.parts.get(joint.drilled)!, bench.parts.get(joint.into)!];
  const both = [a, b].map((part) => ({ part, body: bodyOf(bench, part.id) }));
  const own = both.flatMap(({ part, body }) => body.holes.filter((hole) => hole.joint === joint.id && hole.kind !== 'slot').map((hole) => ({ part, hole }))); // prettier-ignore
  // What takes a nut or an insert is not what the bolt goes in by.
  const isSeat = ({ hole }: (typeof own)[number]) => hole.for === 'nuts' || hole.for.startsWith('threaded inserts');
  const [bored, seats] = [own.filter((one) => !isSeat(one)), own.filter(isSeat)];
  const nails = op.spots.filter(({ joint: id }) => id === joint.id);
  if (op.fastener === 'brad') {
    if (nails.length === 0) bench.fault(op, 'not told', `${joint.id}: where its brads go`);
  } else if (op.fastener === 'clip') {
    const slots = both[0]!.body.holes.filter((hole) => hole.joint === joint.id && hole.for === 'clip slot');
    if (slots.length === 0) bench.fault(op, 'not bored', `${joint.id}: no slot for its clips`);
  } else if (!bench.blocked.has(joint.id)) {
    if (bored.length === 0) return bench.fault(op, 'not bored', `${joint.id}: nothing is bored for its screws`);
    for (const { part, hole } of bored) {
      const other = part === a ? b : a;
      const line = toPiece(part, hole);
      const at = { at: intoFrame(other.frame, line.at), direction: intoFrame({ ...other.frame, at: [0, 0, 0] }, line.direction) }; // prettier-ignore
      const head = hole.sunk;
      const over = covering(bench, part.id, line, op.fastener === 'bolt' ? 0 : ROOM);
      if (over) bench.fault(op, 'no room', `${joint.id}: ${over} stands over its screws`);
      const stretch = woodAlong(bodyOf(bench, other.id), at.at, at.direction).filter(([, high]) => high > head).map(([low, high]) => [Math.max(low, head), high] as const); // prettier-ignore
      const tip = head + length;
      const astray = seats.length > 0 && !seats.some(({ part: seat, hole: one }) => meetsSeat(toPiece(seat, one), one, line, tip)); // prettier-ignore
      if ((op.fastener === 'insert' || op.nuts === 'in') && (seats.length === 0 || astray)) bench.fault(op, 'holes do not meet', `${joint.id}: a bolt does not meet its ${op.nuts === 'in' ? 'nut' : 'insert'}`); // prettier-ignore
      const bite = stretch.reduce((sum, [low, high]) => sum + Math.max(0, Math.min(tip, high) - low), 0);
      const least = inches(LEAST_BITE[op.fastener] ?? 1 / 4);
      if (bite < least - NEAR) bench.fault(op, 'bites too little', `${joint.id}: ${(bite / inches(1)).toFixed(2)} in of wood`); // prettier-ignore
      const last = stretch.find(([low]) => low < tip)?.[1] ?? 0;
      if (op.fastener !== 'bolt' && bite > 0 && last < tip - NEAR && !stretch.some(([low, high]) => low < tip && high >= tip - NEAR)) bench.fault(op, 'comes out', `${joint.id}: by ${((tip - last) / inches(1)).toFixed(2)} in`); // prettier-ignore
      for (const one of [part, other]) {
        const ends = [head, tip].map((reach) => intoFrame(one.frame, [line.at[0] + line.direction[0] * reach, line.at[1] + line.direction[1] * reach, line.at[2] + line.direction[2] * reach])); // prettier-ignore
        bodyOf(bench, one.id).metal.push([ends[0]!, ends[1]!]);
      }
    }
  }
  bench.made.add(joint.id);
  fix(bench, [joint.drilled, joint.into]);
}

/** Dowels, biscuits and loose tenons: the holes of both sides must meet, and be deep enough together. */
function pushPegs(bench: Bench, op: OperationOf<'peg'>): void {
  for (const id of op.joints) {
    const joint = bench.joints.get(id)!;
    const [a, b] = [joint.drilled, joint.into].map((part) => ({ part: bench.parts.get(part)!, holes: bodyOf(bench, part).holes.filter((hole) => hole.joint === id) })) as unknown as [Side, Side]; // prettier-ignore
    if (a.holes.length === 0 || b.holes.length === 0) {
      bench.fault(op, 'not bored', `${id}: one of its sides has no holes`);
      continue;
    }
    const length = op.fastener === 'biscuit' ? inches(15 / 16) : lengthWritten(op.size);
    for (const hole of a.holes) {
      const own = toPiece(a.part, hole);
      const mate = b.holes.find((other) => norm(sub(toPiece(b.part, other).at, own.at)) < NEAR * 1.5);
      if (!mate) bench.fault(op, 'holes do not meet', `${id}: no hole of ${b.part.tag} meets the one in ${a.part.tag}`);
      else if (hole.kind === 'slot' && Math.abs(dot(lieOf(a.part, hole), lieOf(b.part, mate))) < 0.99) bench.fault(op, 'holes do not meet', `${id}: its slots lie across each other`); // prettier-ignore
      else if ((hole.deep ?? 0) + (mate.deep ?? 0) < length - NEAR) bench.fault(op, 'holes do not meet', `${id}: too shallow for what goes in`); // prettier-ignore
    }
    bench.pegged.add(id);
  }
  use(bench, op.fastener, op.size, op.count);
}
/** Which way the long side of a slot lies in the piece. */
function lieOf(part: Part, { hollows: [first] }: Hole): Vec {
  const way = sub(first!.to, first!.from);
  return times(pointed(part.frame, way), 1 / Math.max(1, norm(way)));
}
type Side = { readonly part: Part; readonly holes: readonly Hole[] };

/** Glue holds what was brought together and pulled shut, once it has had its time. */
function setGlue(bench: Bench): void {
  for (const id of bench.shut) {
    const { drilled, into: other } = bench.joints.get(id)!;
    if (!bench.stands.has(drilled) || !bench.stands.has(other)) continue;
    bench.made.add(id);
    fix(bench, [drilled, other]);
  }
}

/** Carries out one operation, or says why it can not be done. */
export function carryOut(bench: Bench, op: Operation): void {
  if (op.tool !== null && !bench.shop.tools.includes(op.tool)) bench.fault(op, 'no tool', `there is no ${op.tool}`);
  switch (op.kind) {
    case 'laminate':
      return use(bench, 'glue', '', 0);
    case 'plane':
    case 'rip':
    case 'trim':
    case 'fit':
    case 'mitre':
    case 'outline':
    case 'cut':
      return shapeParts(bench, op);
    case 'trim whole':
      lifted(bench, op, op.on);
      return trimWhole(bench, op);
    case 'bore':
    case 'pocket':
    case 'slot':
      return drill(bench, op);
    case 'place':
      return bring(bench, op);
    case 'glue':
      // What was glued before and never clamped has not taken.
      bench.glued.clear();
      bench.shut.clear();
      for (const id of op.joints) bench.glued.add(id);
      use(bench, 'glue', '', 0);
      return;
    case 'clamp':
      for (const id of bench.glued) bench.shut.add(id);
      return;
    case 'wait':
      return setGlue(bench);
    case 'peg':
      return pushPegs(bench, op);
    case 'block':
      use(bench, 'glue', '', 0);
      for (const id of op.joints) bench.blocked.add(id);
      return;
    case 'drive':
      use(bench, op.fastener, op.size, op.count);
      for (const id of op.joints) {
        const joint = bench.joints.get(id)!;
        if (!bench.stands.has(joint.drilled) || !bench.stands.has(joint.into))
          bench.fault(op, 'wrong order', `${id}: its parts are not together`); // prettier-ignore
        else driveJoint(bench, op, joint);
      }
      return;
    case 'plug':
    case 'fit hardware':
      return use(bench, op.fastener, op.size, op.count);
    case 'hang':
      if (op.fastener) use(bench, op.fastener, op.size, op.count);
      for (const id of op.joints) {
        const { drilled, into: other } = bench.joints.get(id)!;
        if (!bench.stands.has(drilled) || !bench.stands.has(other)) bench.fault(op, 'wrong order', `${id}: its parts are not together`); // prettier-ignore
        bench.made.add(id);
        fix(bench, [drilled, other]);
      }
      return;
    case 'turn': {
      const all = [...bench.stands];
      const one = bench.whole.get(all[0]!) ?? new Set();
      const loose = all.find((id) => !one.has(id));
      if (loose) bench.fault(op, 'loose when turned', `${bench.parts.get(loose)!.tag} is not fixed to ${bench.parts.get(all[0]!)!.tag}`); // prettier-ignore
      runsOut(bench, op, new Set(all));
      return lifted(bench, op, all);
    }
    case 'coat':
      if (op.nth > 1 && op.between > 0) use(bench, 'disc', String(op.between), 0);
      return use(bench, 'coat', op.product, 1);
    case 'sand':
      for (const grit of op.grits) use(bench, 'disc', String(grit), 0);
      return;
    default:
      return;
  }
}
