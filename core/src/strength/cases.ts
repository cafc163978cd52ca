import type { Piece } from '../job';
import { toInches } from '../length';
import { boxOf, type Joint, type Part } from '../piece';
import { add, times, type Vec } from '../solid';
import { decksOf, type Deck } from './decks';
import type { Force, Grip } from './frame';
import { IN_DRAWER } from './hung';
import { heightOf, type Model } from './model';

/**
 * What a load is: a push from the side at the top, someone who leans or sits on an edge, all who sit side by side, one
 * who stands on it, a foot that catches as it is dragged; a drawer drawn out; for years its own weight, what stands on
 * shelves, on its top and in drawers.
 */
export type CaseKind =
  | 'push along'
  | 'push across'
  | 'someone'
  | 'seated'
  | 'standing'
  | 'drag'
  | 'drawn out'
  | 'weight'
  | 'books'
  | 'load'
  | 'drawers';
/** Loads that come at one time. */
export type LoadCase = {
  readonly kind: CaseKind;
  readonly forces: readonly Force[];
  /** What it lies on, where that is a part of a top. */
  readonly on: Part | null;
  /** Feet that are in the air then. */
  readonly off: readonly number[];
};

/** A push from the side at the top, lb. */
export const PUSH = 40;
/** Someone who leans or sits on an edge, lb. */
const SOMEONE = 250;
/** A foot that catches on a rug or a sill, lb. */
const CATCHES = 30;
/** One who stands on it to reach a lamp, lb. */
const STANDING = 300;
/** Books, lb a foot of shelf, where nothing else is said. */
export const BOOKS = 25;
/** Who sits side by side on a bench does so on so many inches each. */
export const SITS_APART = 22;
/** What stands at one place on a top, as a television or a machine does, stands on feet so far to both sides, in. */
const STANCE = 9;

/** Where a plan's point over a deck is held: its part there, or the nearest. */
export function gripOn(
  model: Model,
  deck: Deck,
  x: number,
  y: number,
): { readonly at: Grip; readonly part: Part } | null {
  const z = toInches(deck.box.max[2]);
  const point: Vec = [x, y, z];
  const off = ({ id }: Part) => {
    const laid = model.of.get(id);
    if (!laid) return Infinity;
    return Math.min(...laid.places.map((place) => Math.hypot(place[0] - x, place[1] - y)));
  };
  const [part] = [...deck.parts].sort((a, b) => off(a) - off(b));
  const laid = part && model.of.get(part.id);
  return laid && part ? { at: laid.gripAt(point), part } : null;
}

/** In from an edge someone sits, in. */
const SITS = 2;

/** The middles of a long and a short edge. */
function edgesOf({ box }: Deck): readonly (readonly [number, number])[] {
  const [x0, y0] = [toInches(box.min[0]), toInches(box.min[1])];
  const [x1, y1] = [toInches(box.max[0]), toInches(box.max[1])];
  const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
  return [
    [x, y0 + SITS],
    [x0 + SITS, y],
  ];
}

const middleOf = ({ box: { min, max } }: Deck): readonly [number, number] => [
  toInches(min[0] + max[0]) / 2,
  toInches(min[1] + max[1]) / 2,
];

/** What stands at one place on a top for years: on two feet about its middle. */
function heapedOn(model: Model, deck: Deck, pounds: number): readonly Force[] {
  const [x, y] = middleOf(deck);
  const { min, max } = deck.box;
  const long = max[0] - min[0] >= max[1] - min[1];
  const by = Math.min(STANCE, toInches(long ? max[0] - min[0] : max[1] - min[1]) / 4);
  return [-by, by].flatMap((off) => {
    const grip = long ? gripOn(model, deck, x + off, y) : gripOn(model, deck, x, y + off);
    return grip ? [{ at: grip.at, force: [0, 0, -pounds / 2] as Vec }] : [];
  });
}

/**
 * What is in the drawers, on the slides beside them: shut, or the highest one drawn out as far as it is deep. Then its
 * load is half its depth before the front of its slides: they are pressed down there by half as much again and lifted
 * at their back by half.
 */
function drawersOn(model: Model, parts: readonly Part[], joints: readonly Joint[], pounds: number) {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const rows = joints.flatMap(({ kind, drilled, into }) => {
    const [side, laid] = [byId.get(drilled), model.of.get(into)];
    if (kind !== 'slide' || !side || !laid) return [];
    const { min, max } = boxOf(side);
    const [x, z] = [toInches(min[0] + max[0]) / 2, toInches(min[2] + max[2]) / 2];
    const [front, back] = [toInches(min[1]), toInches(max[1])];
    const push = (y: number, by: number): Force => ({ at: laid.gripAt([x, y, z]), force: [0, 0, (-by * pounds) / 2] });
    return [{ z, shut: [push((front + back) / 2, 1)], out: [push(front, 1.5), push(back, -0.5)] }];
  });
  const highest = Math.max(...rows.map(({ z }) => z));
  return {
    shut: rows.flatMap(({ shut }) => shut),
    out: rows.flatMap(({ z, shut, out }) => (z === highest ? out : shut)),
  };
}

/** What stands on a top for years, in four heaps half way to its edges; all tops of a piece share it. */
function ladenOn(model: Model, deck: Deck, pounds: number): readonly Force[] {
  const { min, max } = deck.box;
  const at = (axis: 0 | 1, share: number) => toInches(min[axis] + (max[axis] - min[axis]) * share);
  return [0.25, 0.75].flatMap((along) =>
    [0.25, 0.75].flatMap((across) => {
      const grip = gripOn(model, deck, at(0, along), at(1, across));
      return grip ? [{ at: grip.at, force: [0, 0, -pounds / 4] as Vec }] : [];
    }),
  );
}

/** Books all along a shelf, in four heaps. */
function bookedOn(model: Model, deck: Deck, aFoot: number): readonly Force[] {
  const { box } = deck;
  const along = box.max[0] - box.min[0] >= box.max[1] - box.min[1] ? 0 : 1;
  const [low, high] = [toInches(box.min[along]), toInches(box.max[along])];
  const other = along === 0 ? 1 : 0;
  const middle = toInches(box.min[other] + box.max[other]) / 2;
  return [0.125, 0.375, 0.625, 0.875].flatMap((share) => {
    const here = low + (high - low) * share;
    const grip = along === 0 ? gripOn(model, deck, here, middle) : gripOn(model, deck, middle, here);
    return grip ? [{ at: grip.at, force: [0, 0, (-aFoot * (high - low)) / 12 / 4] as Vec }] : [];
  });
}

/** Where a piece is pushed: the middle of what lies highest. */
function topGrip(model: Model, parts: readonly Part[]): Grip | null {
  const high = heightOf(parts);
  const spots = model.laid.flatMap(({ places, gripAt }) =>
    places.filter(([, , z]) => z > high - 4).map((place) => ({ place, gripAt })),
  );
  if (spots.length === 0) return null;
  const middle = times(
    spots.reduce<Vec>((sum, { place }) => add(sum, place), [0, 0, 0]),
    1 / spots.length,
  );
  const off = ({ place }: (typeof spots)[number]) => Math.hypot(place[0] - middle[0], place[1] - middle[1]);
  const { place, gripAt } = spots.reduce((best, spot) => (off(spot) < off(best) ? spot : best));
  return gripAt(place);
}

/** What a piece is for. */
export type Purpose = Pick<Piece, 'use' | 'carries'>;

/** The loads that a piece of such a use is judged by. */
export function casesOf(
  model: Model,
  parts: readonly Part[],
  joints: readonly Joint[],
  { use, carries }: Purpose,
): readonly LoadCase[] {
  const top = topGrip(model, parts);
  const one = (
    kind: CaseKind,
    at: Grip,
    force: Vec,
    on: Part | null = null,
    off: readonly number[] = [],
  ): LoadCase => ({
    kind,
    forces: [{ at, force }],
    on,
    off,
  });
  const pushes = top ? [one('push along', top, [PUSH, 0, 0]), one('push across', top, [0, PUSH, 0])] : [];
  const decks = decksOf(parts, joints);
  const tops = decks.filter(({ kind }) => kind === 'top' && use !== 'storage');
  const stood = [...new Set([tops[0], tops[Math.floor(tops.length / 2)]])].flatMap((deck) => deck ?? []);
  const sat = stood
    .flatMap((deck) => edgesOf(deck).flatMap(([x, y]) => gripOn(model, deck, x, y) ?? []))
    .map(({ at, part }) => one('someone', at, [0, 0, -SOMEONE], part));
  const standing = stood
    .flatMap((deck) => gripOn(model, deck, ...middleOf(deck)) ?? [])
    .map(({ at, part }) => one('standing', at, [0, 0, -STANDING], part));
  const [foot] = model.feet;
  const drags = foot
    ? ([0, 1] as const).map((way) => one('drag', foot.grip, way === 0 ? [CATCHES, 0, 0] : [0, CATCHES, 0], null, [0]))
    : [];
  const books = decks
    .filter(({ kind }) => kind === 'shelf' || use === 'storage')
    .flatMap((deck) => bookedOn(model, deck, carries.shelf ?? BOOKS));
  const all = decks.filter(({ kind }) => kind === 'top');
  const area = ({ box: { min, max } }: Deck) => (max[0] - min[0]) * (max[1] - min[1]);
  const whole = all.reduce((sum, deck) => sum + area(deck), 0);
  const share = (deck: Deck) => ((carries.top ?? 0) * area(deck)) / whole;
  // At one place it stands on the largest of several.
  const [largest] = [...all].sort((a, b) => area(b) - area(a));
  const laden =
    carries.lies === 'middle' && largest
      ? heapedOn(model, largest, carries.top ?? 0)
      : all.flatMap((deck) => ladenOn(model, deck, share(deck)));
  const drawers = drawersOn(model, parts, joints, carries.drawer ?? IN_DRAWER);
  const seated =
    use === 'bench' ? tops.flatMap((deck) => bookedOn(model, deck, (12 * SOMEONE) / SITS_APART / tops.length)) : [];
  const many = (kind: CaseKind, forces: readonly Force[]): readonly LoadCase[] =>
    forces.length > 0 ? [{ kind, forces, on: null, off: [] }] : [];
  return [
    ...pushes,
    ...sat,
    ...standing,
    ...drags,
    { kind: 'weight', forces: [], on: null, off: [] },
    ...many('seated', seated),
    ...many('books', books),
    ...(carries.top !== null ? many('load', laden) : []),
    ...many('drawers', drawers.shut),
    ...many('drawn out', drawers.out),
  ];
}
