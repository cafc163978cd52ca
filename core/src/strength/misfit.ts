import { first, nth } from '../lists';
import type { Fastening } from '../joinery';
import { toInches } from '../length';
import type { Part } from '../piece';
import { dot, norm, sub, times, unit, type Vec } from '../solid';
import { decksOf } from './decks';
import { gripOn } from './cases';
import { fastToGround, given, motionOf, solver, type Force, type Grip, type LoadAnswer } from './frame';
import type { LaidBody } from './laying';
import { modelOf, type Model } from './model';

/**
 * What becomes of a piece whose parts are not quite what they should be: joints pull together what does not meet, and
 * all of it gives a little. Everything is linear, so one answer for each outcome tells what each deviation does to it
 * (Maxwell and Betti). Inches, radians.
 */

/** A size of a body, the slant of an end of it, or the place of a joint along one of its ways, off by so much. */
export type Deviation =
  | { readonly kind: 'size'; readonly of: LaidBody; readonly way: 0 | 1 | 2 }
  | { readonly kind: 'end'; readonly of: LaidBody; readonly end: 1 | -1; readonly about: 1 | 2 }
  | { readonly kind: 'place'; readonly of: Fastening; readonly way: 1 | 2 };

/**
 * What shows of it: how far the fourth foot stands off the floor, how much one diagonal of its plan or its front is
 * longer than the other, how far a corner of its top is out of plane, how far a joint stands open at its worst edge.
 */
export type OutcomeKind = 'rock' | 'plan' | 'front' | 'twist' | 'gap';
export type Outcome = {
  readonly kind: OutcomeKind;
  /** Inches for an inch or a radian of each deviation; of a gap a turn about its two edges is told apart. */
  readonly by: readonly (readonly number[])[];
  /** The joint that opens. */
  readonly joint: Fastening | null;
  /** So much is closed by its own weight, in. */
  readonly closes: number;
};

/** So that it does not drift: lb/in. */
const DRIFT = 0.02;
/** What is cut to fit is cut once the rest stands: it holds nothing apart. */
const SLACK = 1e-4;

type Tie = Model['ties'][number];

/** Whether a tie is at an end of a body: its first way runs along the body. */
const atEnd = ({ hold }: Tie, { body }: LaidBody): boolean => Math.abs(dot(hold.ways[0], body.ways[0])) > 0.7;

/** How far a point of a body is moved along one of its ways when that is an inch more, from the body's middle. */
function grown({ body }: LaidBody, way: 0 | 1 | 2, point: Vec): Vec {
  const at = dot(sub(point, body.from), body.ways[way]) - (way === 2 ? 0 : body.size[way] / 2);
  return times(body.ways[way], Math.sign(at) / 2);
}

const sideOf = ({ body }: LaidBody, point: Vec): 1 | -1 =>
  dot(sub(point, body.from), body.ways[0]) > body.size[0] / 2 ? 1 : -1;

/** Where each mode of a tie is at rest for an inch or a radian of a deviation; null where it does not matter there. */
function restsOf(deviation: Deviation, tie: Tie, model: Model): readonly number[] | null {
  const { item, at, ways } = tie.hold;
  if (deviation.kind === 'place')
    return item === deviation.of ? [0, 1, 2, 3, 4, 5].map((k) => (k === deviation.way ? 1 : 0)) : null;
  const [a, b] = [item.drilled, item.into].map((part) => model.of.get(part.id));
  const sign = a === deviation.of ? 1 : b === deviation.of ? -1 : 0;
  if (sign === 0) return null;
  if (deviation.kind === 'size') {
    const by = grown(deviation.of, deviation.way, at);
    return [...ways.map((way) => sign * dot(way, by)), 0, 0, 0];
  }
  if (!atEnd(tie, deviation.of) || sideOf(deviation.of, at) !== deviation.end) return null;
  return [0, 0, 0, ...ways.map((way) => sign * dot(way, deviation.of.body.ways[deviation.about]))];
}

/** Everything that can be off: sizes and ends of what joints hold, and the places of joints. */
function deviationsOf(model: Model): readonly Deviation[] {
  const ofBodies = model.laid.flatMap((of): readonly Deviation[] => [
    ...([0, 1, 2] as const).map((way) => ({ kind: 'size' as const, of, way })),
    ...([1, -1] as const).flatMap((end) =>
      ([1, 2] as const).map((about) => ({ kind: 'end' as const, of, end, about })),
    ),
  ]);
  const items = [...new Set(model.ties.map(({ hold }) => hold.item))];
  return [...ofBodies, ...items.flatMap((of) => ([1, 2] as const).map((way) => ({ kind: 'place' as const, of, way })))];
}

/** A place on the piece and the body it is on: where something is measured. */
type Spot = { readonly of: LaidBody; readonly point: Vec; readonly grip: Grip };
type Watched = { readonly spot: Spot; readonly way: Vec }[];

/** Four corners of the frame seen along an axis: the nodes nearest to those of its box, at its near side. */
function cornersSeen(model: Model, along: 1 | 2): readonly Spot[] {
  const frame = model.laid.filter(({ body }) => body.parts.some(({ role }) => role !== 'top'));
  const spots = frame.flatMap((of) => of.places.map((point) => ({ of, point, grip: of.gripAt(point) })));
  const [low, high] = ([0, 1, 2] as const).reduce<[number[], number[]]>(
    ([least, most], axis) => {
      const values = spots.map(({ point }) => point[axis]);
      return [
        [...least, Math.min(...values)],
        [...most, Math.max(...values)],
      ];
    },
    [[], []],
  );
  // Seen from above its upper end counts, seen from the front its front.
  const near = along === 2 ? nth(high, 2) : nth(low, 1);
  const deep = nth(high, along) - nth(low, along);
  const there = spots.filter(({ point }) => Math.abs(point[along] - near) <= deep / 4 + 1);
  const [p, q] = along === 2 ? ([0, 1] as const) : ([0, 2] as const);
  const corner = (i: number, j: number) =>
    there.reduce<Spot | null>((best, spot) => {
      const off = ({ point }: Spot) => Math.hypot(point[p] - nth(i ? high : low, p), point[q] - nth(j ? high : low, q));
      return !best || off(spot) < off(best) ? spot : best;
    }, null);
  return [corner(0, 0), corner(1, 0), corner(1, 1), corner(0, 1)].flatMap((spot) => spot ?? []);
}

/** One diagonal less the other, as what their ends do. */
function diagonals(corners: readonly Spot[], along: 1 | 2): Watched {
  if (new Set(corners).size < 4) return [];
  const flat = (v: Vec): Vec => (along === 2 ? [v[0], v[1], 0] : [v[0], 0, v[2]]);
  return ([0, 1] as const).flatMap((k) => {
    const [from, to] = [nth(corners, k), nth(corners, k + 2)];
    const way = times(unit(flat(sub(to.point, from.point))), k === 0 ? 1 : -1);
    return [
      { spot: from, way: times(way, -1) },
      { spot: to, way },
    ];
  });
}

/**
 * How far the last of four points is off the plane of the three others, as what each does: shares that sum to nothing
 * for whatever only moves or tilts all four.
 */
export function outOfPlane(points: readonly Vec[]): readonly number[] {
  const areas = [0, 1, 2, 3].map((k) => {
    const [a, b, c] = [1, 2, 3].map((more) => nth(points, (k + more) % 4)) as [Vec, Vec, Vec];
    return Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]));
  });
  const most = Math.max(...areas);
  return areas.map((area, k) => ((k % 2 === 0 ? 1 : -1) * area) / most);
}

const UP: Vec = [0, 0, 1];
const inPlane = (corners: readonly Spot[]): Watched => {
  if (corners.length < 4) return [];
  const shares = outOfPlane(corners.map(({ point }) => point));
  return shares.every(Number.isFinite) ? corners.map((spot, k) => ({ spot, way: times(UP, nth(shares, k)) })) : [];
};

/** The four outermost feet, round about. */
function feetOf(model: Model): readonly Spot[] {
  const all = model.feet.map(({ point, grip, of }) => ({ of, point, grip }));
  const far = (i: 1 | -1, j: 1 | -1) =>
    [...all].sort((a, b) => i * (b.point[0] - a.point[0]) + j * (b.point[1] - a.point[1]))[0];
  const four = [far(-1, -1), far(1, -1), far(1, 1), far(-1, 1)].flatMap((spot) => spot ?? []);
  return new Set(four).size === 4 ? four : [];
}

/** The four corners of the largest top. */
function topCorners(model: Model, parts: readonly Part[], made: readonly Fastening[]): readonly Spot[] {
  const decks = decksOf(
    parts,
    made.map(({ joint }) => joint),
  ).filter(({ kind }) => kind === 'top');
  const [deck] = [...decks].sort((a, b) => b.parts.length - a.parts.length);
  if (!deck) return [];
  const { min, max } = deck.box;
  return (
    [
      [min[0], min[1]],
      [max[0], min[1]],
      [max[0], max[1]],
      [min[0], max[1]],
    ] as const
  ).flatMap(([x, y]) => {
    const held = gripOn(model, deck, toInches(x), toInches(y));
    const of = held && model.of.get(held.part.id);
    return of ? [{ of, point: [toInches(x), toInches(y), toInches(max[2])] as Vec, grip: held.at }] : [];
  });
}

/** Where something is measured on a body that is an inch more along a way. */
const grownAt = ({ of, point }: Spot, deviation: Deviation): Vec =>
  deviation.kind === 'size' && deviation.of === of ? grown(of, deviation.way, point) : [0, 0, 0];

/** Whether a part that is cut to fit meets another by its end here. */
const isFitted = (tie: Tie, model: Model): boolean =>
  [tie.hold.item.drilled, tie.hold.item.into].some((part) => {
    const body = model.of.get(part.id);
    return part.fit !== null && body !== undefined && atEnd(tie, body);
  });

/** Ties of a model held nowhere, in which what is cut to fit holds nothing apart, and what answers for it. */
function loosened(model: Model): { readonly ties: readonly Tie[]; readonly answer: LoadAnswer } {
  const ties = model.ties.map((tie): Tie => {
    if (!isFitted(tie, model)) return tie;
    const [normal, ...others] = tie.modes;
    return { ...tie, modes: [{ ...first([normal]), stiffness: first([normal]).stiffness * SLACK }, ...others] };
  });
  const ground = model.feet.flatMap(({ grip }) => fastToGround(grip, DRIFT));
  const modes = [...model.laid.flatMap((one) => one.modes), ...ties.flatMap((tie) => tie.modes), ...ground];
  const nodes = model.laid.reduce((sum, { places }) => sum + places.length, 0);
  return { ties, answer: solver({ nodes, modes, feet: [] }) };
}

/** What can be off in a piece, and what each does to what shows of it. */
export type Misfit = { readonly deviations: readonly Deviation[]; readonly outcomes: readonly Outcome[] };

/** How a piece answers to parts that are not quite what they should be. */
export function misfitOf(parts: readonly Part[], made: readonly Fastening[]): Misfit {
  const model = modelOf(parts, made);
  const { ties, answer } = loosened(model);
  const deviations = deviationsOf(model);
  const rests = ties.map((tie) => {
    const rows: (readonly [number, readonly number[]])[] = [];
    deviations.forEach((deviation, k) => {
      const rest = restsOf(deviation, tie, model);
      if (rest) rows.push([k, rest]);
    });
    return rows;
  });
  /** What each deviation does to what a load of one looks at. */
  const seen = (moved: Float64Array): number[] => {
    const by = deviations.map(() => 0);
    ties.forEach((tie, at) => {
      const pulls = tie.modes.map((mode) => mode.stiffness * given(mode, moved));
      for (const [k, rest] of nth(rests, at))
        by[k] = nth(by, k) + rest.reduce((sum, value, m) => sum + value * nth(pulls, m), 0);
    });
    return by;
  };
  const watched = (kind: OutcomeKind, rows: Watched): readonly Outcome[] => {
    const forces = rows.map(({ spot, way }): Force => ({ at: spot.grip, force: way }));
    const moved = rows.length > 0 ? answer(forces)?.moved : undefined;
    if (!moved) return [];
    const own = seen(moved);
    const by = own.map((value, k) =>
      rows.reduce((sum, { spot, way }) => sum + dot(way, grownAt(spot, nth(deviations, k))), value),
    );
    const gives = rows.reduce((sum, { spot, way }) => sum + dot(way, motionOf(spot.grip, moved)), 0);
    const weight = model.weight.reduce((sum, { force }) => sum + norm(force), 0);
    return [{ kind, by: [by], joint: null, closes: kind === 'rock' ? (gives * weight) / 4 : 0 }];
  };
  return {
    deviations,
    outcomes: [
      ...watched('rock', inPlane(feetOf(model))),
      ...watched('plan', diagonals(cornersSeen(model, 2), 2)),
      ...watched('front', diagonals(cornersSeen(model, 1), 1)),
      ...watched('twist', inPlane(topCorners(model, parts, made))),
      ...ties.flatMap((tie, at) => gapOf(tie, nth(rests, at), { model, deviations, answer, seen })),
    ],
  };
}

type Answering = Pick<Misfit, 'deviations'> & {
  readonly model: Model;
  readonly answer: LoadAnswer;
  readonly seen: (moved: Float64Array) => number[];
};

/** How a joint at an end of a part opens: straight, and at the edges of that end. */
function gapOf(
  tie: Tie,
  rests: readonly (readonly [number, readonly number[]])[],
  { model, deviations, answer, seen }: Answering,
): readonly Outcome[] {
  const { item } = tie.hold;
  const ended = [item.drilled, item.into].flatMap((part) => model.of.get(part.id) ?? []).find((of) => atEnd(tie, of));
  if (!ended || item.by === 'nothing') return [];
  const [, wide, thick] = ended.body.size;
  // A turn about a way of the body opens the edges that lie across it.
  const halves = [1, 2].map((m) => {
    const about = nth(tie.hold.ways, m);
    return (Math.abs(dot(about, ended.body.ways[1])) * thick + Math.abs(dot(about, ended.body.ways[2])) * wide) / 2;
  });
  const by = [0, 4, 5].map((m, row) => {
    const mode = nth(tie.modes, m);
    const moved = answer([], { misfits: [[mode, 1 / mode.stiffness]] })?.moved;
    const lever = row === 0 ? 1 : nth(halves, row - 1);
    const all = moved ? seen(moved) : deviations.map(() => 0);
    for (const [k, rest] of rests) all[k] = nth(all, k) - nth(rest, m);
    return all.map((value) => value * lever);
  });
  return [{ kind: 'gap', by, joint: item, closes: 0 }];
}
