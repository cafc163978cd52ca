import { inches, type Length } from '../length';
import { around, boxOf, extent, SWINGS, type Axis, type Box, type Joint, type Part } from '../piece';
import { through } from '../solid';

/** What carries something across one way of it, and where along that way. */
export type Support = { readonly part: Part; readonly from: Length; readonly to: Length };
/** A support of a deck, and what carries it along its own length in turn. */
export type Carrier = Support & { readonly on: readonly Support[] };
/** A plate that lies flat: parts that are one by their glue, one or more layers, and what carries it along x and y. */
export type Deck = {
  readonly kind: 'top' | 'shelf';
  readonly parts: readonly Part[];
  readonly box: Box;
  readonly carried: readonly [readonly Carrier[], readonly Carrier[]];
};

/** Joints that make two flat parts one. */
const ONE: readonly Joint['kind'][] = ['edge', 'glue', 'lamination', 'rail end', 'lap'];
/** Joints that carry nothing. */
const HANGING: readonly Joint['kind'][] = [...SWINGS, 'slide', 'groove'];
/** So near below it a part is taken to carry it. */
const NEAR: Length = inches(1 / 8);
/** A part that crosses this share of a deck, and takes no more than that of its other way, carries it as a line. */
const CROSSES = 0.5;

const isFlat = (part: Part): boolean =>
  !part.loose && part.material !== 'bought' && Math.abs(through(part.frame)[2]) > 0.99;
/** What things stand on: tops, shelves, the bottom of a case. Its sides are no decks, as they stand. */
const isDecking = (part: Part): boolean => isFlat(part) && ['top', 'shelf', 'side'].includes(part.role);

/** Parts that hang together by joints of some kinds. */
export function joined(
  parts: readonly Part[],
  joints: readonly Joint[],
  kinds: readonly Joint['kind'][],
): readonly (readonly Part[])[] {
  const groups = new Map(parts.map((part) => [part.id, [part]]));
  for (const { drilled, into, kind } of joints) {
    const [one, other] = [groups.get(drilled), groups.get(into)];
    if (!one || !other || one === other || !kinds.includes(kind)) continue;
    one.push(...other);
    for (const { id } of other) groups.set(id, one);
  }
  return [...new Set(groups.values())];
}

const overlap = (a: Box, b: Box, axis: Axis): Length =>
  Math.min(a.max[axis], b.max[axis]) - Math.max(a.min[axis], b.min[axis]);
const liesOn = (upper: Box, lower: Box): boolean =>
  Math.abs(lower.max[2] - upper.min[2]) < NEAR && overlap(lower, upper, 0) > 0 && overlap(lower, upper, 1) > 0;

/** What crosses a box along one way of it, from its low end on. */
function crossing(box: Box, along: 0 | 1, under: readonly Part[]): readonly Support[] {
  const across = along === 0 ? 1 : 0;
  const within = (at: Length) => Math.min(box.max[along], Math.max(box.min[along], at));
  return under
    .filter((part) => {
      const own = boxOf(part);
      return (
        overlap(own, box, across) >= CROSSES * extent(box, across) && extent(own, along) <= CROSSES * extent(box, along)
      );
    })
    .map((part) => ({ part, from: within(boxOf(part).min[along]), to: within(boxOf(part).max[along]) }))
    .sort((a, b) => a.from - b.from);
}

const known = new WeakMap<readonly Part[], readonly Deck[]>();

/** The decks of a piece, each with what carries it: what it is joined to, and what it lies on. Found once for parts. */
export function decksOf(parts: readonly Part[], joints: readonly Joint[]): readonly Deck[] {
  const before = known.get(parts);
  if (before) return before;
  const decks = deckings(parts, joints);
  known.set(parts, decks);
  return decks;
}

/** What each part is joined to in a way that can carry it. */
function neighboursOf(joints: readonly Joint[]): ReadonlyMap<string, readonly string[]> {
  const all = new Map<string, string[]>();
  const add = (one: string, other: string) => void (all.get(one)?.push(other) ?? all.set(one, [other]));
  for (const { drilled, into, kind } of joints) {
    if (HANGING.includes(kind)) continue;
    add(drilled, into);
    add(into, drilled);
  }
  return all;
}

function deckings(parts: readonly Part[], joints: readonly Joint[]): readonly Deck[] {
  const neighbours = neighboursOf(joints);
  const carriers = parts.filter(({ role, loose }) => !loose && role !== 'edging' && role !== 'door');
  const ends = new Map<string, Set<string>>();
  for (const { kind, drilled, into } of joints)
    if (kind === 'rail end') ends.set(drilled, (ends.get(drilled) ?? new Set()).add(into));
  /** What carries some parts that are one: joined to them and no higher, or at their ends, or right below. */
  const carrying = (own: readonly Part[], box: Box, but: ReadonlySet<string>): readonly Part[] => {
    const ids = new Set(own.map(({ id }) => id));
    const held = new Set(own.flatMap(({ id }) => neighbours.get(id) ?? []));
    return carriers.filter((part) => {
      if (but.has(part.id) || ids.has(part.id)) return false;
      const other = boxOf(part);
      const atEnd = own.some(({ id }) => ends.get(id)?.has(part.id));
      return liesOn(box, other) || (held.has(part.id) && (atEnd || other.min[2] < box.min[2] + NEAR));
    });
  };
  const flat = parts.filter(isDecking);
  const isUnderOther = (own: readonly Part[], box: Box) =>
    flat.some((other) => !own.includes(other) && liesOn(boxOf(other), box));
  return joined(flat, joints, ONE).flatMap((own): readonly Deck[] => {
    const box = around(own.map(boxOf)) as Box;
    // A batten under a top is no deck: it carries one.
    if (isUnderOther(own, box)) return [];
    const ids = new Set(own.map(({ id }) => id));
    const under = carrying(own, box, ids);
    const borne = (along: 0 | 1): readonly Carrier[] =>
      crossing(box, along, under).flatMap((support): readonly Carrier[] => {
        const { part } = support;
        const itself = boxOf(part);
        const below = carrying([part], itself, ids);
        // What hangs on the deck alone carries nothing; what stands on the floor does.
        if (below.length === 0 && itself.min[2] > 0) return [];
        return [{ ...support, on: crossing(itself, along === 0 ? 1 : 0, below) }];
      });
    const kind = own.some(({ role }) => role === 'top') ? 'top' : 'shelf';
    return [{ kind, parts: own, box, carried: [borne(0), borne(1)] }];
  });
}
