import type { Length } from '../length';
import { clampsOver, type Shop } from '../job';
import { METHOD_ABOUT, type Fastening } from '../joinery';
import {
  around,
  boxOf,
  extent,
  mostly,
  type Assembly,
  type Axis,
  type Box,
  type Part,
  type PieceModel,
} from '../piece';
import { about, dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import { diagonalOf, JOINTS_AT_ONCE } from './clamping';
import type { Draft } from './draft';
import { drivingActions, settingsFor } from './driving';
import type { Operation } from './operations';
import type { Placing } from './order';
import { fastenersIn, GLASSES, GLUE_RAGS, idsOf, SAW, screwsOf, tagsOf } from './phrases';
import { pocketed } from './preparing';
import { needsShaping, shapingActions } from './shaping';
import { staysBecause } from './way-out';

/** Minutes for one pocket drilled, one screw driven, one board handled. Typical for one person who is not hurried. */
const POCKET = 1;
const SCREW = 0.75;
const HANDLE = 3;
/** Minutes in clamps before a screwed and glued frame may be loaded, and one that only clamps hold. */
const SET_SCREWED = 30;
const SET_CLAMPED = 60;

const sizesOf = (box: Box): readonly number[] => ([0, 1, 2] as const).map((axis: Axis) => extent(box, axis));

/**
 * The sides of the rectangle that a step makes: of a flat frame its own, of frames joined by rails their plan, of a
 * case its front, of a drawer its plan. Null where nothing square is made.
 */
function sidesFor(
  own: readonly Part[],
  before: readonly Part[],
  joints: readonly Fastening[],
): readonly [Length, Length] | null {
  const box = around([...before, ...own].map(boxOf));
  if (!box || [...before, ...own].some((part) => part.ends.left.mitre !== 0 && part.ends.left.bevel !== 0)) return null;
  const [x, y, z] = sizesOf(box) as [number, number, number];
  const has = (role: Part['role'], count: number) => own.filter((part) => part.role === role).length >= count;
  if (before.length === 0 && has('side', 2)) return [x, z];
  if (before.length === 0 && has('drawer', 4)) return [x, y];
  const rails = new Set(joints.filter(({ joint }) => joint.kind === 'rail end').map((item) => item.drilled));
  const sizes = [x, y, z].sort((a, b) => a - b) as [number, number, number];
  const flat = sizes[0] < sizes[1] / 3;
  if (before.length === 0) return flat && rails.size > 0 ? [sizes[1], sizes[2]] : null;
  return rails.size >= 2 && own.every((part) => part.role !== 'support') ? [x, y] : null;
}

const clampedIn = (joints: readonly Fastening[]): number =>
  joints.filter(({ by, glue }) => glue > 0 && by !== 'hardware' && by !== 'nothing' && METHOD_ABOUT[by].clamped).length;

/**
 * Placings that can be done at one time: as many glued joints as clamps hold and the open time allows; a new sitting
 * where what comes in belongs to another assembly. The first body of all only lies there.
 */
export function sittings({ placings, origin, assembly }: Operation): readonly (readonly Placing[])[] {
  const groups: Placing[][] = [];
  const home = ({ body }: Placing) => origin.get(body[0]!.id) ?? assembly;
  for (const placing of placings) {
    const last = groups.at(-1);
    const joined = (last ?? []).flatMap(({ joints }) => joints);
    const glued = clampedIn(placing.joints);
    const full = glued > 0 && joined.length > 0 && clampedIn(joined) + glued > JOINTS_AT_ONCE;
    const other = last && joined.length > 0 && home(last.at(-1)!) !== home(placing) && placing.joints.length > 0;
    if (last && !full && !other) last.push(placing);
    else groups.push([placing]);
  }
  return groups;
}

/** Ways to move as people say them. */
function fromWhere([x, y, z]: readonly number[]): string {
  if (z! < -0.7) return 'from above';
  if (z! > 0.7) return 'from below';
  if (Math.abs(x!) > Math.abs(y!)) return x! > 0 ? 'from the left' : 'from the right';
  return y! > 0 ? 'from the front' : 'from the back';
}

/** What must be known before a screw is driven where there is little room, or none. */
function accessActions(placings: readonly Placing[], shop: Shop): readonly Phrase[] {
  const usual = shop.drivers[0] ?? 'long bit';
  const rows = new Map<string, Placing['access'][number][]>();
  for (const access of placings.flatMap((placing) => placing.access))
    if (access.driver !== usual && Number.isFinite(access.room))
      rows.set(String(access.driver), [...(rows.get(String(access.driver)) ?? []), access]);
  return [...rows].map(([driver, items]) => {
    const room = Math.min(...items.map((item) => item.room));
    const names = listOf(
      [...new Set(items.map(({ joint }) => joint.drilled.tag))].slice(0, 8).map((name): Bit => tag(name)),
    );
    return driver === 'null'
      ? say`Behind the screws of ${names} there is only ${about(room)}: no driver of yours goes in. See the notes before you begin.`
      : say`Behind the screws of ${names} there is only ${about(room)}: take the ${strong(driver)}.`;
  });
}

/** One sitting of an operation: what is put on, what is joined, and what was there before. */
type Sitting = {
  readonly operation: Operation;
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

/** Parts that must fit: measured, cut and drilled now. */
function fittingActions(own: readonly Part[], joints: readonly Fastening[]): readonly Phrase[] {
  const fits = own.filter((part) => part.fit !== null);
  const late = lateIn(joints);
  return [
    ...fits.slice(0, 6).map((part) => say`${tag(part.tag)}: measure ${part.fit!}, cut it to that.`),
    ...(fits.length > 6 ? [say`Cut the others to what you measure too.`] : []),
    ...shapingActions(fits.filter(needsShaping)),
    ...(late.length > 0
      ? [say`Drill its pockets: jig at ${dim(late[0]!.jig)}, ${strong(screwsOf(late))} in all.`]
      : []),
  ];
}
const lateIn = (joints: readonly Fastening[]) => pocketed(joints).filter((item) => item.drilled.fit !== null);

/** What must go in now, as there is no way in later, and what comes in from one side only. */
function wayInActions(sitting: Sitting, model: PieceModel): readonly Phrase[] {
  const { operation, placings, at, of, home } = sitting;
  const { assembly, origin } = operation;
  const opened = new Set(origin.values()).size > 1;
  const { own } = contents(sitting);
  const early = home === assembly && of > at + 1 && opened ? own : [];
  const moving = new Set(model.motions.flatMap(({ parts }) => parts));
  const tight = placings.filter(
    ({ tight: only, way, body }) => only && way && body.length === 1 && !moving.has(body[0]!.id),
  );
  return [
    ...(early.length > 0
      ? [say`${tagsOf(early)} must go in now: later there is no way in, or no room for the driver.`]
      : []),
    ...tight.slice(0, 4).map(({ body, way }) => say`${tagsOf(body.slice(0, 1))} can only come in ${fromWhere(way!)}.`),
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
          .filter(({ closes }) => mostly(closes!) === axis)
          .flatMap(({ drilled, into }) => [boxOf(drilled), boxOf(into)]),
      );
      return box ? extent(box, axis) : 0;
    }),
  );
}

/** Dry fit and glue, where joints are held by clamps or end grain drinks. */
function glueActions(joints: readonly Fastening[], clamps: number, span: Length): readonly Phrase[] {
  const clamped = clampedIn(joints);
  const ends = joints.some((item) => item.joint.kind === 'rail end');
  const glued = joints.some((item) => item.glue > 0);
  return [
    ...(clamped >= 2
      ? [say`Put it together dry first, clamps and all. Mark what meets what, see that it closes without force, take it apart again.`] // prettier-ignore
      : []),
    ...(clamped > JOINTS_AT_ONCE
      ? [
          say`${strong(clamped)} joints close at once: take a glue that stays open 10 minutes, or a second pair of hands.`,
        ]
      : []),
    ...(clamped > 0 && clamps === 0
      ? [say`No clamp of yours opens ${dim(span)}: pull the joints shut with a strap round it all, or with wedges against stops on the bench.`] // prettier-ignore
      : []),
    ...(ends && glued
      ? [say`Glue the end grain, wait a minute, glue it again.${clamps > 0 ? ' Clamp across.' : ''}`]
      : []),
  ];
}

/** Slides are run in and out before anything closes over them. */
function slideTests(joints: readonly Fastening[], model: PieceModel): readonly Phrase[] {
  return model.motions
    .filter(({ how, parts }) => how.kind === 'slide' && joints.some(({ drilled, into }) => parts.includes(drilled.id) !== parts.includes(into.id))) // prettier-ignore
    .map(({ name, how }) => say`Slide the ${name} in and out over all of its ${dim(how.kind === 'slide' ? how.travel : 0)} now, before anything closes over it.`); // prettier-ignore
}

/** Hardware that joints bring with them, counted. */
function hardwareFor(joints: readonly Fastening[]): readonly Phrase[] {
  const of = (kind: Fastening['joint']['kind']) => joints.filter(({ joint }) => joint.kind === kind);
  const rows = [
    [of('hinge').reduce((sum, { hinges }) => sum + hinges.length, 0), 'hinge'],
    [of('pins').reduce((sum, { shanks }) => sum + shanks.length, 0), 'shelf pin'],
    // One each side of a drawer.
    [Math.ceil(of('slide').length / 2), 'pair of slides', 'pairs of slides'],
    [joints.reduce((sum, { blocks }) => sum + blocks.length, 0), 'corner block'],
  ] as const;
  return rows
    .filter(([count]) => count > 0)
    .map(([count, one, more = `${one}s`]) => say`${strong(count)} ${count === 1 ? one : more}`);
}

/** What to have at hand: parts, spacers, hardware, glue, clamps over the longest side, screws. */
function pickUpFor(
  own: readonly Part[],
  { spacers }: Assembly,
  clamps: number,
  span: Length,
  joints: readonly Fastening[],
): Phrase {
  // prettier-ignore
  const blocks = spacers.reduce((sum, { count }) => sum + count, 0);
  return [
    own.length > 0 ? tagsOf(own) : say`what is made so far`,
    ...(blocks > 0 ? [say`${strong(blocks)} spacers ${dim(spacers[0]!.thickness)}`] : []),
    ...hardwareFor(joints),
    ...(joints.some(({ glue }) => glue > 0) ? [say`glue`] : []),
    ...(clamps > 0 ? [say`${strong(clamps)} clamps over ${dim(span)}`] : []),
    ...fastenersIn(joints).map((name) => say`${name}`),
  ].reduce((all, next) => say`${all} · ${next}`);
}

/** One sitting as a step: what is cut to fit now, then what is put on and joined. */
export function sittingStep(sitting: Sitting, model: PieceModel, shop: Shop): Draft {
  const { operation, placings, at, of, before, home, part } = sitting;
  const { assembly } = operation;
  const { all, own, joints } = contents(sitting);
  const fits = own.filter(({ fit }) => fit !== null);
  const glued = joints.some((item) => item.glue > 0);
  const clamped = clampedIn(joints);
  const sides = sidesFor(own, [...before, ...all.filter((one) => !own.includes(one))], joints);
  const diagonal = sides && diagonalOf(sides[0], sides[1]);
  const span = clampSpan(joints);
  const wanted = clamped > 0 ? Math.max(2, 2 * Math.ceil(clamped / 2)) : joints.length > 4 ? 4 : 2;
  const clamps = glued ? Math.min(clampsOver(shop, span), wanted) : 0;
  const stays = staysBecause([...before, ...all], shop);
  const first = at === 0;
  // What was put together before only lies there, where something comes to it.
  const [lying, ...coming] = placings;
  const lies = first && lying!.body.length > 1 && coming.length > 0 ? lying!.body : [];
  const named = own.filter(({ id }) => home.parts.includes(id));
  const title =
    own.length > 0 && own.length <= 6 ? say`${home.title}: ${tagsOf(named.length > 0 ? named : own)}` : home.title;
  return {
    name: at + 1 === of ? assembly.id : `${assembly.id}-part-${at + 1}`,
    title: part > 1 ? say`${title}, part ${part}` : title,
    adds: idsOf(all.slice(lies.length)),
    there: idsOf([...before, ...lies]),
    puts: [
      ...(before.length > 0 ? [{ parts: idsOf(before), way: null }] : []),
      ...placings.map(({ body, way }) => ({ parts: idsOf(body), way })),
    ],
    makes: joints.map(({ joint }) => joint.id),
    noRoom: placings.flatMap(({ access }) =>
      access.filter(({ driver }) => driver === null).map(({ joint }) => joint.joint.id),
    ),
    stays,
    does: [
      ...(stays ? [say`Do this where the piece stays: ${stays}. Carry the parts in first.`] : []),
      ...(first || home !== assembly ? home.notes : []),
      ...fittingActions(own, joints),
      ...wayInActions(sitting, model),
      ...glueActions(joints, clamps, span),
      ...accessActions(placings, shop),
      ...drivingActions(joints),
      ...slideTests(joints, model),
      ...(diagonal !== null
        ? [say`Measure both diagonals: ${about(diagonal)} each. Push the long corner until they match.`]
        : []),
      ...(glued ? [GLUE_RAGS] : []),
    ],
    settings: settingsFor(joints),
    pickUp: pickUpFor(own, assembly, clamps, span, joints),
    spacers: first ? assembly.spacers : [],
    clamps,
    diagonal,
    sides,
    cautions: [
      ...(fits.length > 0 ? [SAW] : []),
      ...(joints.some((item) => item.positions.length > 0) ? [GLASSES] : []),
    ],
    work:
      8 +
      HANDLE * own.length +
      SCREW * screwsOf(joints) +
      POCKET * screwsOf(lateIn(joints)) +
      6 * fits.length +
      3 * clamped,
    wait: glued ? (clamped > 0 ? SET_CLAMPED : SET_SCREWED) : 0,
  };
}
