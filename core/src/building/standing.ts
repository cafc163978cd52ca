import { first, nth, sure } from '../lists';
import type { Length } from '../length';
import { meetingOf, type Fastening } from '../joinery';
import { around, boxOf, extent, SQUARE, waysOf, type Axis, type Part } from '../piece';
import { dot } from '../solid';
import { named, sizeOf, told, type Standing, type Teller } from '../work';
import type { Making } from './making';

/** Nearer to a side than this a part lies flush with it. */
const FLUSH = 16;

type Row = Standing['rows'][number];

/** How far from the nearer of two sides a stretch begins; null where it runs from the one to the other. */
function nearer(
  part: Part,
  axis: Axis,
  [low, high]: readonly [number, number],
  of: Row['of'],
  teller: Teller,
): Row | null {
  const size = sizeOf(part, axis);
  const [before, after] = [Math.max(0, low), Math.max(0, size - high)];
  if (before <= FLUSH && after <= FLUSH) return null;
  // In the middle of what stands its place is told from outside, for both sides alike.
  const [one, other] = [named(part, { axis, sign: -1 }, teller), named(part, { axis, sign: 1 }, teller)];
  const level = Math.abs(before - after) <= FLUSH && other.name.startsWith('outside');
  const sign = after < before - FLUSH || level ? 1 : -1;
  return { of, from: sign > 0 ? other : one, at: told(sign > 0 ? after : before, teller.units) };
}

/**
 * Where a part lies on what it is joined to, as a person marks it before the joint is made: on the side of the one,
 * from its ends and edges, or from those of the part itself where it reaches over. Null where hardware bridges a gap.
 */
function standingOf(part: Part, onto: Part, teller: Teller): Standing | null {
  const [own, other] = [meetingOf(onto, part), meetingOf(part, onto)];
  if (!own || !other) return null;
  const flat = ([0, 1, 2] as const).filter((axis) => axis !== own.axis);
  const rows = flat.map((axis): Row => {
    const found = nearer(onto, axis, nth(own.spans, axis), 'onto', teller);
    if (found) return found;
    const way = waysOf(onto)[axis];
    const leans = waysOf(part).map((one) => Math.abs(dot(one, way)));
    const along = leans.indexOf(Math.max(...leans)) as Axis;
    const beyond = along === other.axis ? null : nearer(part, along, nth(other.spans, along), 'part', teller);
    return beyond ?? { of: 'onto', from: named(onto, { axis, sign: -1 }, teller), at: 0 };
  });
  return {
    part: part.id,
    tag: part.tag,
    onto: onto.id,
    ontoTag: onto.tag,
    side: named(onto, { axis: own.axis, sign: own.side }, teller),
    rows,
  };
}

/**
 * What a top is by now: the boards of its panel, with the end boards and the edging that are round them, level below.
 */
function topAround(part: Part, joints: readonly Fastening[], { model, made, panelOf }: Making): readonly Part[] {
  const panel = panelOf.get(part.id);
  const boards = panel === undefined ? [part] : model.parts.filter(({ id }) => panelOf.get(id) === panel);
  const own = new Set(boards.map(({ id }) => id));
  const round = ({ role }: Part) => role === 'edging' || role === 'top';
  const before = made.filter((item) => (own.has(item.into.id) || own.has(item.drilled.id)) && !joints.includes(item));
  const under = boxOf(part).min[2];
  const others = before.flatMap(({ drilled, into }) => [drilled, into]).filter((one) => !own.has(one.id) && round(one));
  const level = others.filter((one) => Math.abs(boxOf(one).min[2] - under) <= FLUSH);
  return [...boards, ...new Set(level)];
}

/** Boards that are one by now, as one board. */
function panelAsOne(boards: readonly Part[], name: string): Part {
  const box = sure(around(boards.map(boxOf)), 'board of the panel');
  const [length, width, thickness] = ([0, 1, 2] as const).map((axis) => extent(box, axis)) as [Length, Length, Length];
  const square = { left: SQUARE, right: SQUARE };
  return {
    ...first(boards),
    id: `${first(boards).piece}.${name}`,
    tag: name,
    length,
    width,
    thickness,
    outline: null,
    ends: square,
    cuts: [],
    frame: { at: box.min, u: [1, 0, 0], v: [0, 1, 0] },
    changed: {},
  };
}

/**
 * Where everything lies that some joints hold, once for a top of many boards, measured from its outside and not from a
 * seam. Tops only: what is glued up to stand is told by its boards.
 */
export function standingsFor(joints: readonly Fastening[], making: Making, teller: Teller): readonly Standing[] {
  const tops = new Map<string, Part>();
  const whole = (part: Part): Part => {
    if (part.role !== 'top') return part;
    const before = tops.get(part.id);
    if (before) return before;
    const boards = topAround(part, joints, making);
    const known = boards.length === 1 ? part : (tops.get(first(boards).id) ?? panelAsOne(boards, 'the top'));
    for (const id of [first(boards).id, part.id]) tops.set(id, known);
    return known;
  };
  const rows = joints.flatMap(({ drilled, into, joint }) => {
    // Tiles lie on their bed, below what stands round it.
    const [part, onto] = joint.kind === 'set' ? [drilled, into] : [whole(drilled), whole(into)];
    return joint.apart || part === onto ? [] : (standingOf(part, onto, teller) ?? []);
  });
  // Told once, from whichever of the two it is said first.
  return [
    ...new Map(rows.map((row) => [[row.part, row.onto].sort().join(' '), row] as const).reverse()).values(),
  ].reverse();
}
