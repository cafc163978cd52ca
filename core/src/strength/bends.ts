import { nth } from '../lists';
import type { Fastening } from '../joinery';
import { toInches } from '../length';
import { extent, type Part } from '../piece';
import { gripOn } from './cases';
import type { Deck } from './decks';
import { motionOf, type Force, type Grip } from './frame';
import { modelOf } from './model';
import { bearsOf, lastingFor, type Load, type Sag } from './sag';

/** Places along a deck that are loaded in turn, as shares of its length: its ends are what overhangs. */
const SHARES = [0.15, 0.3, 0.4, 0.5, 0.6, 0.7, 0.85] as const;

/** Near the edges of a deck, as shares: from there a dip between them is told. */
const EDGES = [0.02, 0.98] as const;

/** A deck on the model of its piece: where a share of its longer and of its other way is, and how far that sinks. */
function sinking(parts: readonly Part[], made: readonly Fastening[], deck: Deck) {
  const model = modelOf(parts, made);
  const { min, max } = deck.box;
  const longer = max[0] - min[0] >= max[1] - min[1] ? 0 : 1;
  const rest = model.answer(model.weight, { isHeld: true })?.moved;
  const gripAt = (along: number, across = 0.5): Grip | null => {
    const shares = longer === 0 ? [along, across] : [across, along];
    const [x, y] = ([0, 1] as const).map((axis) => toInches(min[axis] + (max[axis] - min[axis]) * nth(shares, axis)));
    return gripOn(model, deck, x ?? 0, y ?? 0)?.at ?? null;
  };
  /** Under some forces; null where nothing holds it. */
  const under = (forces: readonly Force[]): ((grip: Grip) => number) | null => {
    const moved = model.answer([...model.weight, ...forces], { isHeld: true })?.moved;
    return moved && rest ? (grip) => motionOf(grip, rest)[2] - motionOf(grip, moved)[2] : null;
  };
  const sides = [extent(deck.box, 0), extent(deck.box, 1)].map(toInches);
  return { gripAt, under, long: Math.max(...sides), wide: Math.min(...sides) };
}

/** Who leans, stands or sits somewhere does so on so much of it, in. */
const FOOT = 12;

/** Loads on a deck, one after the other, with the places where each is read; null where one is no part of it. */
function loadings(deck: Deck, load: Load, { gripAt, long }: Pick<ReturnType<typeof sinking>, 'gripAt' | 'long'>) {
  const grips = SHARES.flatMap((share): readonly Grip[] => {
    const grip = gripAt(share);
    return grip ? [grip] : [];
  });
  if (grips.length < SHARES.length) return null;
  const pounds = bearsOf(deck, load);
  const push = (at: Grip, share: number): Force => ({ at, force: [0, 0, -pounds * share] });
  const force = (k: number, share: number): Force => push(nth(grips, k), share);
  const spread = (share: number): readonly Force[] =>
    [-FOOT / 2 / long, 0, FOOT / 2 / long].flatMap((by) => {
      const grip = gripAt(Math.min(1, Math.max(0, share + by)));
      return grip ? [push(grip, by === 0 ? 1 / 2 : 1 / 4)] : [];
    });
  const places = grips.map((grip, k) => ({ grip, along: nth(SHARES, k) }));
  return 'point' in load
    ? places.map((place) => ({ forces: spread(place.along), places: [place] }))
    : // In four heaps, at the middles of its quarters.
      [{ forces: [0, 2, 4, 6].map((k) => force(k, 1 / 4)), places }];
}

/**
 * Inches that a deck sinks under a load by the model of the whole piece, with all that holds it: where it sinks most.
 * Null where it is no part of what carries there.
 *
 * @param made the joints of the piece as they are made.
 */
export function bendsBy(parts: readonly Part[], made: readonly Fastening[], deck: Deck, load: Load): number | null {
  const on = sinking(parts, made, deck);
  const { under } = on;
  const all = loadings(deck, load, on);
  if (!all) return null;
  const sinks = all.flatMap(({ forces, places }) => {
    const by = under(forces);
    return places.map(({ grip }) => (by ? by(grip) : Infinity));
  });
  return lastingFor(deck, load) * Math.max(...sinks);
}

/**
 * How a deck dips between its ends, and between its long edges, under a load by the model of the whole piece: where it
 * dips most. Null where it is no part of what carries there.
 *
 * @param made the joints of the piece as they are made.
 */
export function dipsBy(
  parts: readonly Part[],
  made: readonly Fastening[],
  deck: Deck,
  load: Load,
): readonly [along: Sag, across: Sag] | null {
  const on = sinking(parts, made, deck);
  const { gripAt, under, long, wide } = on;
  const all = loadings(deck, load, on);
  const [from, to] = EDGES;
  const ends = [gripAt(from), gripAt(to)];
  const [low, high] = ends;
  if (!all || !low || !high) return null;
  const dips = all.flatMap(({ forces, places }) => {
    const by = under(forces);
    return places.map(({ grip, along }): readonly [number, number] => {
      if (!by) return [Infinity, Infinity];
      const here = by(grip);
      const edges = [gripAt(along, from), gripAt(along, to)].flatMap((edge) => (edge ? [by(edge)] : []));
      const mean = edges.reduce((sum, one) => sum + one, 0) / Math.max(1, edges.length);
      return [here - by(low) - (by(high) - by(low)) * along, here - mean];
    });
  });
  const most = (way: 0 | 1) => lastingFor(deck, load) * Math.max(0, ...dips.map((dip) => dip[way]));
  return [
    { sag: most(0), span: long },
    { sag: most(1), span: wide },
  ];
}
