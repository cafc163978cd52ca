import { first, nth, sure } from '../lists';
import { inches, type Length } from '../length';
import type { Shop } from '../job';
import { isOnTop, WAYS_TO_JOIN, type Fastening } from '../joinery';
import { around, boxOf, extent, mostly, tilingOf, type Assembly, topOf, type Part } from '../piece';
import type { Vec } from '../solid';
import { dim, say, type Phrase } from '../words';
import { tagList, together, type Operation, operation } from '../work';
import { JOINTS_AT_ONCE } from './clamping';
import { diagonalsOf, type Diagonals } from './diagonals';
import type { Draft } from './draft';
import { hanging } from './hanging';
import { benchOf, clampsFor, joined, liftOf, prepared, type Making } from './making';
import type { Union as Assembling } from './operations';
import { accessTo, type Placing } from './order';
import { runningIn } from './running';
import { shapingOperations } from './shaping';
import { standingsFor } from './standing';
import { setTiles, TILE_WAIT } from './tiling';
import { staysBecause } from './way-out';

/** Minutes to bring one part to its place, to spread glue on a joint, to try a fit, to measure and cut a part. */
const HANDLE = 3;
const SPREAD = 1.5;
const DRY = 5;
const FIT = 6;
/** Minutes in clamps before a screwed and glued frame may be loaded, and one that only clamps hold. */
const SET_SCREWED = 30;
const SET_CLAMPED = 60;
/** More fasteners than this are not driven in one sitting. */
const MOST_DRIVEN = 60;

const clampedIn = (joints: readonly Fastening[]): number =>
  joints.filter(({ by, glue }) => glue > 0 && by !== 'hardware' && by !== 'nothing' && WAYS_TO_JOIN[by].clamped).length;
const drivenIn = (joints: readonly Fastening[]): number => joints.reduce((sum, { shanks }) => sum + shanks.length, 0);

/** Ids of the parts that some joints put into clamps. */
const inClamps = (joints: readonly Fastening[]): ReadonlySet<string> =>
  new Set(joints.filter((item) => clampedIn([item]) > 0).flatMap(({ drilled, into }) => [drilled.id, into.id]));

/**
 * Placings that can be done at one time: as many glued joints as clamps hold and the open time allows, and as many
 * screws as one drives without a rest; a new sitting where what comes in belongs to another assembly. What is clamped
 * at both ends, a rail between two legs, the narrow boards of a hollow leg, closes in one go. The first body of all
 * only lies there.
 */
export function sittings(
  { placings, origin, assembly }: Assembling,
  drivers: Shop['drivers'],
): readonly (readonly Placing[])[] {
  const groups: Placing[][] = [];
  const home = ({ body }: Placing) => origin.get(first(body).id) ?? assembly;
  for (const placing of placings) {
    const last = groups.at(-1);
    const before = (last ?? []).flatMap(({ joints }) => joints);
    const glued = clampedIn(placing.joints);
    const held = inClamps(before);
    const own = new Set(placing.body.map(({ id }) => id));
    const closes = placing.joints.some(
      (item) => clampedIn([item]) > 0 && [item.drilled.id, item.into.id].some((id) => !own.has(id) && held.has(id)),
    );
    const full =
      (glued > 0 && before.length > 0 && clampedIn(before) + glued > JOINTS_AT_ONCE && !closes) ||
      (drivenIn(before) > 0 && drivenIn(before) + drivenIn(placing.joints) > MOST_DRIVEN && !closes);
    const other =
      last &&
      before.length > 0 &&
      home(nth(last, last.length - 1)) !== home(placing) &&
      placing.joints.length > 0 &&
      !closes;
    // What would cover the heads of screws that are not driven yet comes after they are.
    const covers = (last ?? []).some(({ access }) =>
      access.some(({ joint, driver }) => driver !== null && accessTo(joint, placing.body, drivers).driver === null),
    );
    if (last && !full && !other && (!covers || closes)) last.push(placing);
    else groups.push([placing]);
  }
  return groups;
}

/** Ways to move as people say them. */
function fromWhere([x, y, z]: Vec): string {
  if (z < -0.7) return 'from above';
  if (z > 0.7) return 'from below';
  if (Math.abs(x) > Math.abs(y)) return x > 0 ? 'from the left' : 'from the right';
  return y > 0 ? 'from the front' : 'from the back';
}

/** One sitting of an operation: what is put on, what is joined, and what was there before. */
export type Sitting = {
  readonly operation: Assembling;
  readonly placings: readonly Placing[];
  /** Which of how many of its operation. */
  readonly at: number;
  readonly of: number;
  readonly before: readonly Part[];
  /** The assembly that what comes in belongs to, and how many sittings of it there were with this one. */
  readonly home: Assembly;
  readonly part: number;
};

/** What a sitting puts on: parts by themselves, and all with what was put together before; what it joins. */
function contents({ placings }: Sitting) {
  const all = placings.flatMap(({ body }) => body);
  const own = placings.flatMap(({ body }) => (body.length === 1 ? body : []));
  const joints = placings.flatMap((placing) => placing.joints);
  return { all, own, joints };
}

/** Parts that must fit: measured, cut, shaped and bored now, for all that will ever be joined to them. */
function fitting(own: readonly Part[], making: Making): readonly Operation[] {
  const fits = own.filter((part) => part.fit !== null);
  if (fits.length === 0) return [];
  const ids = new Set(fits.map(({ id }) => id));
  const touching = making.made.filter(({ drilled, into }) => ids.has(drilled.id) || ids.has(into.id));
  const others = (op: Operation) => op.on.every((id) => ids.has(id));
  return [
    ...together(fits, ({ fit, length }) => `${JSON.stringify(fit)} ${length}`).map((alike) =>
      operation(
        making,
        first(alike).tag,
        { kind: 'fit', measure: sure(first(alike).fit, 'measure'), planned: first(alike).length, over: 0 },
        alike,
        FIT * alike.length,
        { tool: 'hand saw' },
      ),
    ),
    ...shapingOperations(fits, making, () => false),
    ...prepared({ ...making, only: ids }, touching, 'late').filter(others),
  ];
}

/** How far a clamp must open to pull joints shut: over all that closes one way. 0 where nothing is glued. */
function clampSpan(joints: readonly Fastening[]): Length {
  const glued = joints.filter(({ glue, closes }) => glue > 0 && closes !== null);
  return Math.max(
    0,
    ...([0, 1, 2] as const).map((axis) => {
      const box = around(
        glued
          .filter(({ closes }) => mostly(sure(closes, 'way it closes')) === axis)
          .flatMap(({ drilled, into }) => [boxOf(drilled), boxOf(into)]),
      );
      return box ? extent(box, axis) : 0;
    }),
  );
}

/** Whether a step joins a top to its base from below: then the top lies face down and the base stands on its head. */
const upsideDown = (joints: readonly Fastening[]): boolean =>
  joints.some(({ joint, drilled, into, shanks }) => {
    const base = drilled.role !== 'top' && drilled.role !== 'edging' && (into.role === 'top' || into.role === 'edging');
    return (
      (isOnTop(joint.kind) || joint.kind === 'plate' || joint.kind === 'fold' || (joint.kind === 'screws' && base)) &&
      shanks.some(({ direction }) => direction[2] > 0.3)
    );
  });

/** What comes together, in order, and where each lies on the other; what must come in now or from one side only. */
function placing(sitting: Sitting, making: Making): Operation {
  const { operation: whole, placings, at, of, before, home } = sitting;
  const { own, joints } = contents(sitting);
  const moving = new Set(making.model.motions.flatMap(({ parts }) => parts));
  const opened = new Set(whole.origin.values()).size > 1;
  const early = home === whole.assembly && of > at + 1 && opened ? own : [];
  const tight = placings.filter(
    ({ tight: only, way, body }) => only && way && body.length === 1 && !moving.has(first(body).id),
  );
  const teller = benchOf(making, 'early');
  const marks = standingsFor(joints, making, teller);
  const over = upsideDown(joints);
  const running = runningIn(
    making.model,
    new Set(over ? [...before, ...placings.flatMap(({ body }) => body)].map(({ id }) => id) : []),
  );
  const says: readonly Phrase[] = [
    ...(running.says ? [running.says] : []),
    ...(over
      ? [
          topOf(making.piece)
            ? say`All of it upside down: the top face down on a blanket, the base on its head.`
            : say`All of it upside down, on a blanket.`,
        ]
      : []),
    ...(early.length > 0
      ? [
          say`${tagList(early.map(({ tag }) => tag))} must go in now: later there is no way in, or no room for the driver.`,
        ]
      : []),
    ...together(tight, ({ way }) => fromWhere(sure(way, 'way in'))).map(
      (alike) =>
        say`${tagList(alike.flatMap(({ body }) => body.map(({ tag }) => tag)))} can only come in ${fromWhere(sure(first(alike).way, 'way in'))}.`,
    ),
  ];
  const comes = [
    ...(before.length > 0
      ? [{ parts: before.map(({ id }) => id), tags: before.map(({ tag }) => tag), way: null }]
      : []),
    ...placings.map(({ body, way }) => ({ parts: body.map(({ id }) => id), tags: body.map(({ tag }) => tag), way })),
  ];
  const heaviest = [...placings.map(({ body }) => body), ...(over && before.length > 0 ? [before] : [])]
    .map((body) => liftOf(body, making.shop))
    .reduce((a, b) => ((b?.pounds ?? 0) > (a?.pounds ?? 0) ? b : a), null);
  return operation(
    making,
    `${whole.assembly.id}${at + 1 === of ? '' : `-${at + 1}`}`,
    {
      kind: 'place',
      comes,
      marks,
      row: null,
      fixed: !whole.laid || placings.some(({ joints }) => joints.some(({ joint }) => joint.kind === 'set')),
      over,
      out: running.out,
      says: says.length > 0 ? says.reduce((a, b) => say`${a} ${b}`) : null,
    },
    placings.flatMap(({ body }) => body),
    HANDLE * placings.length,
    { lift: heaviest },
  );
}

/** Joints whose screws no driver of the shop has room for, as they are told. */
function withoutRoom(placings: readonly Placing[], making: Making): readonly Operation[] {
  const none = placings.flatMap(({ access }) => access.filter(({ driver }) => driver === null));
  if (none.length === 0) return [];
  const room = Math.min(...none.map((item) => item.room));
  const tags = [...new Set(none.map(({ joint }) => joint.drilled.tag))];
  return [
    operation(
      making,
      `no-room.${first(tags)}`,
      {
        kind: 'heed',
        says: say`Behind the screws of ${tagList(tags)} there is only ${dim(Math.round(room))}: no driver of yours goes in. See the notes before you begin.`,
        atHand: [],
      },
      none.map(({ joint }) => joint.drilled),
      0,
    ),
  ];
}

/** Glue on all joints of a sitting, `clamped` of which only clamps hold. */
const spread = (glued: readonly Fastening[], clamped: number) =>
  ({
    kind: 'glue',
    joints: glued.map(({ joint }) => joint.id),
    count: glued.length,
    ends: glued.some(({ joint }) => joint.kind === 'rail end'),
    slow: clamped > JOINTS_AT_ONCE,
    only: glued.every(isBreadboard) ? say`the end boards over their middle ${dim(MIDDLE)} only` : null,
  }) as const;

/** What slides is tried as soon as it is on what it slides in. */
function slideTests(of: readonly Fastening[], { piece, model }: Making): readonly Operation[] {
  return model.motions
    .filter(
      ({ how, parts }) =>
        how.kind === 'slide' && of.some(({ drilled, into }) => parts.includes(drilled.id) !== parts.includes(into.id)),
    )
    .map(({ id, name: what, how, parts }) =>
      operation(
        { piece },
        id,
        { kind: 'slide', name: what, travel: how.kind === 'slide' ? how.travel : 0 },
        model.parts.filter((one) => parts.includes(one.id)),
        2,
      ),
    );
}

/** One sitting as a step: what is cut to fit now, then what is put on and joined. */
export function sittingStep(sitting: Sitting, making: Making): Draft {
  const { operation: whole, placings, at, of, before, home, part } = sitting;
  const { assembly } = whole;
  const { shop } = making;
  const { all, own, joints } = contents(sitting);
  const glued = joints.filter((item) => item.glue > 0);
  const clamped = clampedIn(joints);
  const square: Diagonals | null = whole.laid ? null : diagonalsOf(own, before, all, joints);
  const span = clampSpan(joints);
  // What is screwed straight through is pulled shut by its screws; a pocket screw shifts what no clamp holds.
  const pockets = glued.filter(({ by }) => by === 'pocket screws').length;
  const wanted = clamped > 0 ? Math.max(2, 2 * Math.ceil(clamped / 2)) : pockets === 0 ? 0 : pockets > 4 ? 4 : 2;
  const clamps = glued.length > 0 ? clampsFor(shop, span, wanted) : 0;
  const stays = staysBecause([...before, ...all], shop);
  const first = at === 0;
  const name = at + 1 === of ? assembly.id : `${assembly.id}-part-${at + 1}`;
  // What was put together before only lies there, where something comes to it.
  const lying = nth(placings, 0);
  const lies = first && lying.body.length > 1 && placings.length > 1 ? lying.body : [];
  const named = own.filter(({ id }) => home.parts.includes(id));
  const title =
    own.length > 0 && own.length <= 6 && !whole.laid
      ? say`${home.title}: ${tagList((named.length > 0 ? named : own).map(({ tag }) => tag))}`
      : home.title;
  const makes = joined(making, joints);
  const about = (what: string) => `${name}${what === '' ? '' : `.${what}`}`;
  const op = (does: Parameters<typeof operation>[2], minutes: number) =>
    operation(making, about(''), does, own.length > 0 ? own : all, minutes);
  const tiled = joints.some(({ joint }) => joint.kind === 'set')
    ? tilingOf(making.model.parts, making.model.joints)
    : null;
  const wait = tiled ? TILE_WAIT : glued.length > 0 ? (clamped > 0 ? SET_CLAMPED : SET_SCREWED) : 0;
  const holds = clamped > 0 ? null : glued.every(({ by }) => by === 'brads') ? 'brads' : 'screws';
  const spacers = first ? assembly.spacers : [];
  return {
    name,
    title: part > 1 ? say`${title}, part ${part}` : title,
    adds: all.slice(lies.length).map(({ id }) => id),
    there: [...before, ...lies].map(({ id }) => id),
    puts: [
      ...(before.length > 0 ? [{ parts: before.map(({ id }) => id), way: null }] : []),
      ...placings.map(({ body, way }) => ({ parts: body.map(({ id }) => id), way })),
    ],
    makes: joints.map(({ joint }) => joint.id),
    noRoom: placings.flatMap(({ access }) =>
      access.filter(({ driver }) => driver === null).map(({ joint }) => joint.joint.id),
    ),
    stays,
    ops: [
      ...(stays ? [op({ kind: 'carry', because: stays }, 5)] : []),
      ...(first || home !== assembly ? home.notes : []).map((hint, k) =>
        operation(making, about(String(k + 1)), { kind: 'heed', ...hint }, [], 1),
      ),
      ...spacers.map(({ thickness, count, under }) =>
        operation(making, about(String(thickness)), { kind: 'spacers', thickness, count, under }, [], 1),
      ),
      ...fitting(own, making),
      ...(clamped >= 2 ? [op({ kind: 'dry', joints: joints.map(({ joint }) => joint.id) }, DRY)] : []),
      ...withoutRoom(placings, making),
      ...(glued.length > 0 ? [op(spread(glued, clamped), SPREAD * glued.length)] : []),
      ...makes.filter(({ kind }) => kind === 'peg'),
      ...(tiled ? [setTiles(tiled, making)] : []),
      placing(sitting, making),
      ...(glued.length > 0 ? [op({ kind: 'clamp', count: clamps, span, cauls: 0, holds }, 1 + clamps)] : []),
      ...makes.filter(({ kind }) => kind !== 'peg'),
      ...(square ? [op({ kind: 'square', reads: square.reads }, 2)] : []),
      ...(wait > 0 && !tiled ? [op({ kind: 'wait', wait, clamped: clamped > 0 && clamps > 0 }, 0)] : []),
      ...hanging(joints, making),
      ...slideTests(joints, making),
    ],
    spacers,
    clamps,
    diagonals: square?.reads ?? null,
    sides: square?.sides ?? null,
    wait,
  };
}

/** An end board across the ends of a top's boards. */
const isBreadboard = ({ joint, drilled, into }: Fastening): boolean =>
  joint.kind === 'rail end' && drilled.role === 'top' && into.role === 'top';
/** It is glued only so far about its middle. */
const MIDDLE: Length = inches(4);
