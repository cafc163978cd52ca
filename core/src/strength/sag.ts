import { nth } from '../lists';
import { toInches } from '../length';
import { alongOf, boxOf, extent } from '../piece';
import { crossShare, isSolid, woodOf, type Stocked } from '../stock';
import type { Carrier, Deck, Support } from './decks';

/**
 * What is on a deck: pounds at one point, for as long as someone leans there or for years; or pounds a foot of its
 * length all along, for years or for as long as people sit there.
 */
export type Load =
  | { readonly point: number; readonly years?: true }
  | { readonly aFoot: number; readonly briefly?: true };
/** Inches it bends, and the longest way that it spans so. */
export type Sag = { readonly sag: number; readonly span: number };

/** A point load is borne by a strip so wide: a person's arms, a chair's width. */
const STRIP = 24;
/** Where boards lie apart, one bears what share of such a load lies on it: a foot of them bears it all. */
const FOOTING = 12;
/** What stands for years bends solid wood half as much again, sheets twice (Wood Handbook, ch. 5 and 12). */
const CREEP = { solid: 1.5, sheet: 2 } as const;

/** A sag of 1/32 in a foot of span starts to show. */
export const showsAt = (span: number): number => span / 12 / 32;

/** Stiffness of a part that is bought, psi: as a softwood's. */
const BOUGHT = 1e6;

/** One layer of a strip, an inch wide: from where to where through its thickness, in, and its stiffness, psi. */
export type Layer = { readonly from: number; readonly to: number; readonly modulus: number };

/**
 * Stiffness of a strip an inch wide out of layers that are glued together, lb in^2: each about the axis that all share
 * (the transformed section of any textbook on beams).
 */
export function stiffness(layers: readonly Layer[]): number {
  const area = layers.reduce((sum, { from, to, modulus }) => sum + modulus * (to - from), 0);
  if (area <= 0) return 0;
  const axis = layers.reduce((sum, { from, to, modulus }) => sum + (modulus * (to ** 2 - from ** 2)) / 2, 0) / area;
  return layers.reduce((sum, { from, to, modulus }) => {
    const [thick, off] = [to - from, (from + to) / 2 - axis];
    return sum + modulus * (thick ** 3 / 12 + thick * off ** 2);
  }, 0);
}

/** The layers of a deck as they bend along x or y: with the grain or across it, less where they do not cover it all. */
function layersOf({ parts, box }: Deck, along: 0 | 1): readonly Layer[] {
  const layers = new Map<string, { readonly from: number; readonly to: number; area: number; stiff: number }>();
  for (const part of parts) {
    const { min, max } = boxOf(part);
    const key = `${min[2]} ${max[2]}`;
    const layer = layers.get(key) ?? { from: toInches(min[2]), to: toInches(max[2]), area: 0, stiff: 0 };
    const area = extent(boxOf(part), 0) * extent(boxOf(part), 1);
    const wood = part.material as Stocked;
    const modulus = woodOf(wood).modulus * (alongOf(part) === along ? 1 : crossShare(wood));
    layers.set(key, { ...layer, area: layer.area + area, stiff: layer.stiff + area * modulus });
  }
  const whole = extent(box, 0) * extent(box, 1);
  return [...layers.values()].map(({ from, to, area, stiff }) => ({
    from,
    to,
    modulus: (stiff / area) * Math.min(1, area / whole),
  }));
}

/** d = 5 w L^4 / (384 E I), simply supported (Wood Handbook, ch. 9); w in lb an inch. */
export const sagUnder = (w: number, span: number, stiff: number): number => (5 * w * span ** 4) / (384 * stiff);
/** d = P L^3 / (48 E I) under a load at the middle. */
export const sagAt = (pounds: number, span: number, stiff: number): number => (pounds * span ** 3) / (48 * stiff);

const clear = (supports: readonly Support[]): readonly number[] =>
  supports.slice(1).map(({ from }, at) => toInches(from - nth(supports, at).to));

/** How far what carries a deck bends itself, as a beam between what carries it, and how far that is. */
function bearerSag({ part, on }: Carrier, along: 0 | 1, pounds: number, spread: boolean): Sag {
  const box = boxOf(part);
  const across = along === 0 ? 1 : 0;
  const span = on.length >= 2 ? Math.max(...clear(on)) : toInches(extent(box, across));
  if (span <= 0) return { sag: 0, span: 0 };
  const modulus = part.material === 'bought' ? BOUGHT : woodOf(part.material).modulus;
  const stiff = (modulus * toInches(extent(box, along)) * toInches(extent(box, 2)) ** 3) / 12;
  return { sag: spread ? sagUnder(pounds / span, span, stiff) : sagAt(pounds, span, stiff), span };
}

/**
 * Pounds on a deck: what stands along its longer way, or what of a load at one place lies on it, across the way it
 * spans.
 */
export function bearsOf({ box }: Deck, load: Load, along?: 0 | 1): number {
  const sides = [toInches(extent(box, 0)), toInches(extent(box, 1))] as const;
  if ('aFoot' in load) return (load.aFoot / 12) * Math.max(...sides);
  const width = along === undefined ? Math.min(...sides) : nth(sides, along === 0 ? 1 : 0);
  return load.point * Math.min(1, width / FOOTING);
}

/** So much more a deck bends under a load for as long as it stays. */
export function lastingFor({ parts }: Pick<Deck, 'parts'>, load: Load): number {
  if ('point' in load ? load.years !== true : load.briefly) return 1;
  return parts.every(({ material }) => material === 'bought' || isSolid(material)) ? CREEP.solid : CREEP.sheet;
}

/** The sag along one way of a deck by itself, and of what carries it; null where nothing carries it that way. */
function sagAlong(deck: Deck, along: 0 | 1, load: Load): { readonly own: Sag; readonly under: Sag } | null {
  const borne = deck.carried[along];
  const spans = clear(borne);
  const span = Math.max(0, ...spans);
  const stiff = stiffness(layersOf(deck, along));
  if (span <= 0 || stiff <= 0) return null;
  const [length, width] = [toInches(extent(deck.box, along)), toInches(extent(deck.box, along === 0 ? 1 : 0))];
  const spread = 'aFoot' in load;
  const total = bearsOf(deck, load, along);
  const sag = spread
    ? sagUnder(total / length, span, stiff * width)
    : sagAt(total, span, stiff * Math.min(STRIP, width));
  // Of a load between two, each bears half; of one spread out, what lies half way to the next.
  const each = spread ? (total * span) / length / (borne.length === 2 ? 2 : 1) : total / 2;
  const at = spans.indexOf(span);
  const under = [at, at + 1].map((k) => bearerSag(nth(borne, k), along, each, spread));
  return { own: { sag, span }, under: under.reduce((most, one) => (one.sag > most.sag ? one : most)) };
}

/** How near a bend is to one that shows; over 1 it does. */
export const shows = ({ sag, span }: Sag): number => sag / showsAt(span);

/**
 * Inches that a deck bends under a load, each span as if by itself; one that is carried along both ways shares what it
 * bears between them. Either by itself or with what carries it over the longer span of that, whichever shows more. Null
 * where nothing carries it that this knows of.
 */
export function sagOf(deck: Deck, load: Load): Sag | null {
  const ways = ([0, 1] as const).flatMap((along) => sagAlong(deck, along, load) ?? []);
  const all = ({ own, under }: (typeof ways)[number]) => own.sag + under.sag;
  const [governs] = [...ways].sort((a, b) => all(a) - all(b));
  if (!governs) return null;
  const shared = lastingFor(deck, load) / all(governs) / ways.reduce((sum, way) => sum + 1 / all(way), 0);
  const { own, under } = governs;
  const byItself = { sag: own.sag * shared, span: own.span };
  const whole = { sag: all(governs) * shared, span: Math.max(own.span, under.span) };
  return shows(byItself) > shows(whole) ? byItself : whole;
}
