import { inches, type Length } from '../length';
import { clampCount, clampsOver, type Piece, type Shop } from '../job';
import { METHOD_ABOUT, type Fastening } from '../joinery';
import { around, boxOf, extent, topOf, type Assembly, type Axis, type Box, type Part, type PieceModel } from '../piece';
import { about, dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import { diagonalOf, JOINTS_AT_ONCE } from './clamping';
import { finished, type Draft } from './draft';
import { drivingActions, settingsFor } from './driving';
import { operationsOf, type Operation } from './operations';
import type { Placing } from './order';
import { panelSteps } from './panel-steps';
import { GLASSES, GLUE_RAGS, HEAVY, SAW, screwsOf, tagsOf } from './phrases';
import { laminationSteps, pocketed, pocketStep, shapingStep } from './preparing';
import { schedule } from './schedule';
import { needsShaping, shapingActions } from './shaping';
import type { Step } from './step';
import { staysBecause } from './way-out';

/** Minutes for one pocket drilled, one screw driven, one board handled. Typical for one person who is not hurried. */
const POCKET = 1;
const SCREW = 0.75;
const HANDLE = 3;
/** Minutes in clamps before a screwed and glued frame may be loaded, and one that only clamps hold. */
const SET_SCREWED = 30;
const SET_CLAMPED = 60;

const idsOf = (parts: readonly Part[]) => parts.map((part) => part.id);
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
function sittings({ placings, origin, assembly }: Operation): readonly (readonly Placing[])[] {
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

/** One sitting of an operation: what is cut to fit now, then what is put on and joined. */
function sittingStep(
  operation: Operation,
  placings: readonly Placing[],
  at: number,
  of: number,
  before: readonly Part[],
  { home, part }: { readonly home: Assembly; readonly part: number },
  model: PieceModel,
  shop: Shop,
): Draft {
  const { assembly, origin } = operation;
  const opened = new Set(origin.values()).size > 1;
  const named = new Set(home.parts);
  const own = placings.flatMap(({ body }) => (body.length === 1 ? body : []));
  const all = placings.flatMap(({ body }) => body);
  const joints = placings.flatMap((placing) => placing.joints);
  const fits = own.filter((part) => part.fit !== null);
  const late = pocketed(joints).filter((item) => item.drilled.fit !== null);
  const glued = joints.some((item) => item.glue > 0);
  const clamped = clampedIn(joints);
  const sides = sidesFor(own, [...before, ...all.filter((part) => !own.includes(part))], joints);
  const diagonal = sides && diagonalOf(sides[0], sides[1]);
  const box = around((own.length > 0 ? own : all).map(boxOf));
  const longest = box ? Math.max(...sizesOf(box)) : 0;
  const wanted = clamped > 0 ? Math.max(2, 2 * Math.ceil(clamped / 2)) : joints.length > 4 ? 4 : 2;
  const clamps = glued ? Math.min(clampsOver(shop, longest), wanted) : 0;
  const sizes = [...new Set(joints.map((item) => item.screw).filter((size) => size !== ''))];
  const ends = joints.some((item) => item.joint.kind === 'rail end');
  const moving = new Set(model.motions.flatMap(({ parts }) => parts));
  const slides = model.motions.filter(
    ({ how, parts }) => how.kind === 'slide' && joints.some(({ drilled, into }) => parts.includes(drilled.id) !== parts.includes(into.id)), // prettier-ignore
  );
  const tight = placings.filter(
    ({ tight: only, way, body }) => only && way && body.length === 1 && !moving.has(body[0]!.id),
  );
  // Of another assembly than the one that closes here: it comes now, as later there is no way in.
  const early = home === assembly && of > at + 1 && opened ? own : [];
  const stays = staysBecause([...before, ...all], shop);
  const first = at === 0;
  // What was put together before only lies there, where something comes to it.
  const [lying, ...coming] = placings;
  const lies = first && lying!.body.length > 1 && coming.length > 0 ? lying!.body : [];
  const title = own.length > 0 && own.length <= 6 ? say`${home.title}: ${tagsOf(own.filter(({ id }) => named.has(id)).length > 0 ? own.filter(({ id }) => named.has(id)) : own)}` : home.title; // prettier-ignore
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
      ...fits.slice(0, 6).map((part) => say`${tag(part.tag)}: measure ${part.fit!}, cut it to that.`),
      ...(fits.length > 6 ? [say`Cut the others to what you measure too.`] : []),
      ...shapingActions(fits.filter(needsShaping)),
      ...(late.length > 0
        ? [say`Drill its pockets: jig at ${dim(late[0]!.jig)}, ${strong(screwsOf(late))} in all.`]
        : []),
      ...(early.length > 0
        ? [say`${tagsOf(early)} must go in now: later there is no way in, or no room for the driver.`]
        : []),
      ...tight.slice(0, 4).map(({ body, way }) => say`${tagsOf(body.slice(0, 1))} can only come in ${fromWhere(way!)}.`), // prettier-ignore
      ...(clamped >= 2
        ? [say`Put it together dry first, clamps and all. Mark what meets what, see that it closes without force, take it apart again.`] // prettier-ignore
        : []),
      ...(clamped > JOINTS_AT_ONCE
        ? [
            say`${strong(clamped)} joints close at once: take a glue that stays open 10 minutes, or a second pair of hands.`,
          ]
        : []),
      ...(ends && glued
        ? [say`Glue the end grain, wait a minute, glue it again.${clamps > 0 ? ' Clamp across.' : ''}`]
        : []),
      ...accessActions(placings, shop),
      ...drivingActions(joints),
      ...slides.map(({ name, how }) => say`Slide the ${name} in and out over all of its ${dim(how.kind === 'slide' ? how.travel : 0)} now, before anything closes over it.`), // prettier-ignore
      ...(diagonal !== null
        ? [say`Measure both diagonals: ${about(diagonal)} each. Push the long corner until they match.`]
        : []),
      ...(glued ? [GLUE_RAGS] : []),
    ],
    settings: settingsFor(joints),
    pickUp: say`${own.length > 0 ? tagsOf(own) : 'what is made so far'}${assembly.spacers.length > 0 ? say` · ${strong(assembly.spacers.reduce((sum, { count }) => sum + count, 0))} spacers ${dim(assembly.spacers[0]!.thickness)}` : ''}${clamps > 0 ? say` · ${strong(clamps)} clamps over ${dim(longest)}` : ''}${sizes.length > 0 ? ` · screws ${sizes.join(', ')}` : ''}`,
    spacers: first ? assembly.spacers : [],
    clamps,
    diagonal,
    sides,
    cautions: [
      ...(fits.length > 0 ? [SAW] : []),
      ...(joints.some((item) => item.positions.length > 0) ? [GLASSES] : []),
    ],
    work: 8 + HANDLE * own.length + SCREW * screwsOf(joints) + POCKET * screwsOf(late) + 6 * fits.length + 3 * clamped,
    wait: glued ? (clamped > 0 ? SET_CLAMPED : SET_SCREWED) : 0,
  };
}

/** The steps of one operation, one after the other. */
function operationSteps(operation: Operation, model: PieceModel, shop: Shop): readonly Draft[] {
  const { assembly, bodies, joints, panel } = operation;
  if (panel) {
    const boards = bodies.flat();
    return panelSteps(assembly.id, boards[0]!.role === 'top' ? 'top' : boards[0]!.name, boards, joints, shop);
  }
  const groups = sittings(operation);
  let before: readonly Part[] = [];
  const homes = groups.map((placings) => operation.origin.get(placings.at(-1)!.body[0]!.id) ?? assembly);
  return groups.map((placings, at) => {
    const home = homes[at]!;
    const part = homes.slice(0, at + 1).filter((other) => other === home).length;
    const draft = sittingStep(operation, placings, at, groups.length, before, { home, part }, model, shop);
    before = [...before, ...placings.flatMap(({ body }) => body)];
    return draft;
  });
}

function lastStep(piece: Piece, parts: readonly Part[], shop: Shop): Draft {
  const { size } = piece;
  const tall = topOf(piece) === null && size.height > inches(30);
  return {
    name: 'level',
    title: say`Turn it over and level it`,
    there: idsOf(parts),
    stays: staysBecause(parts, shop),
    does: [
      say`Stand it on a flat floor. If it rocks, find the long leg and take off what rocks, or fit levellers.`,
      say`Check the height: ${dim(size.height)}. Check the outside: ${dim(size.length)} by ${dim(size.width)}.`,
      ...(tall ? [say`Anchor it to the wall: a tall case tips onto a child who climbs an open drawer or shelf.`] : []),
      say`Break every edge with 120 grit before you finish it.`,
    ],
    pickUp: say`square, tape, sanding block`,
    cautions: [HEAVY],
    work: 15,
  };
}

/** Each step after the one before it. */
const inTurn = (drafts: readonly Draft[], first: readonly string[]): readonly Draft[] =>
  drafts.map((draft, at) => ({
    ...draft,
    after: at === 0 ? [...(draft.after ?? []), ...first] : [drafts[at - 1]!.name],
  }));

const isTop = ({ bodies }: Operation): boolean =>
  bodies.every((body) => body.every(({ role }) => role === 'top' || role === 'edging'));

/**
 * The steps of one piece: what is laminated, shaped and drilled; then its operations, the top's or the base's first as
 * the person says, every joint in exactly one of them; put in the order in which glue and clamps keep a person waiting
 * least. None where the piece can not be built.
 */
export function stepsOf(piece: Piece, model: PieceModel, made: readonly Fastening[], shop: Shop): readonly Step[] {
  const { parts } = model;
  if (parts.length === 0) return [];
  const preparing = [...laminationSteps(parts, shop), ...shapingStep(parts), ...pocketStep(made)];
  const operations = operationsOf(model, made, shop);
  const lastOf = new Map<string, string>();
  const assembled = operations.map((operation) => {
    const touched = new Set(idsOf(operation.bodies.flat()));
    const prepared = preparing.filter(({ adds = [] }) => adds.some((id) => touched.has(id))).map(({ name }) => name);
    const sources = operation.from.flatMap((id) => lastOf.get(id) ?? []);
    const own = inTurn(operationSteps(operation, model, shop), [...prepared, ...sources]);
    lastOf.set(operation.assembly.id, own.at(-1)!.name);
    return { operation, own };
  });
  // Each comes as early as it is wished for and what it is made of allows: the schedule sees to that.
  const wished = [...assembled].sort((a, b) => rank(piece, a.operation) - rank(piece, b.operation));
  const drafts = [...preparing, ...wished.flatMap(({ own }) => own)];
  const last = {
    ...lastStep(
      piece,
      parts.filter((part) => !part.loose),
      shop,
    ),
    after: drafts.map(({ name }) => name),
  };
  return finished(piece.id, schedule([...drafts, last], clampCount(shop)));
}

const rank = ({ first }: Pick<Piece, 'first'>, operation: Operation): number =>
  isTop(operation) === (first === 'top') ? 0 : 1;
