import { first, nth } from '../lists';
import type { Length } from '../length';

/** A kind of end: how far it leans, and how far its point reaches along a piece of that width. Square ends reach 0. */
export type EndKind = { readonly angle: number; readonly reach: Length; readonly width: Length };

export const SQUARE: EndKind = { angle: 0, reach: 0, width: 0 };

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** The kind of end that a mitre of so many degrees, either way, makes across a width. Rounded towards less reach. */
export const endKind = (degrees: number, width: Length): EndKind =>
  degrees === 0
    ? SQUARE
    : { angle: Math.abs(degrees), reach: Math.floor(width * Math.tan(radians(Math.abs(degrees)))), width };

/**
 * Least distance along x from the long point of one end to the long point of the next on the same lane; less than
 * nothing where the slants lie over each other. Pieces can be turned and flipped so that both lean the same way. The
 * saw takes kerf / cos of the steeper, across the whole width; of two slants the shorter reach is shared.
 */
export function stepBetween(a: EndKind, b: EndKind, kerf: Length): Length {
  const gap = Math.ceil(kerf / Math.cos(radians(Math.max(a.angle, b.angle))) - 1e-9);
  return a.width === b.width ? gap - Math.min(a.reach, b.reach) : gap;
}

/** What lies in a lane, by its two ends: kinds, as places in a table of steps. */
export type Ended = { readonly ends: readonly [number, number] };
export type Link<T> = { readonly piece: T; readonly reversed: boolean };

/** Above so many states the order of a lane is chosen end by end. Lanes of many unlike mitres only. */
const MOST_STATES = 4_000;

/**
 * The order and turning of pieces in a lane that make it shortest: like ends meet. Exact by dynamic programming over
 * what is left and the end that was last, in which pieces of one and the same kind of end at both ends are taken
 * together; end by end where that grows too large.
 *
 * @param steps least distance between two kinds of end.
 * @returns the links in order and the sum of the steps between them.
 */
export function chainOf<T extends Ended>(
  pieces: readonly T[],
  steps: readonly (readonly number[])[],
): { readonly links: readonly Link<T>[]; readonly steps: number } {
  const byEnds = new Map<string, T[]>();
  for (const piece of pieces) {
    const key = [...piece.ends].sort((a, b) => a - b).join();
    byEnds.set(key, [...(byEnds.get(key) ?? []), piece]);
  }
  const kinds = [...byEnds.values()].map((of) => {
    const [a, b] = [...first(of).ends].sort((x, y) => x - y) as [number, number];
    return { of, a, b, loop: a === b };
  });
  const inner = kinds.reduce((sum, { of, a, loop }) => sum + (loop ? (of.length - 1) * nth(nth(steps, a), a) : 0), 0);
  const count = kinds.map(({ of, loop }) => (loop ? 1 : of.length));
  const states = count.reduce((product, n) => product * (n + 1), 1) * (steps.length + 1);
  const path =
    kinds.length === 1 && first(kinds).loop
      ? [{ kind: 0, first: first(kinds).a }]
      : order(kinds, count, steps, states > MOST_STATES);
  let used = kinds.map(() => 0);
  const links: Link<T>[] = [];
  let sum = inner;
  path.forEach(({ kind, first }, at) => {
    const { of, a, b, loop } = nth(kinds, kind);
    if (at > 0) sum += nth(nth(steps, lastOf(nth(path, at - 1), kinds)), first);
    const taken = loop ? of : [nth(of, nth(used, kind))];
    used = used.map((n, k) => (k === kind ? n + 1 : n));
    for (const piece of taken) links.push({ piece, reversed: piece.ends[0] !== (first === a ? a : b) });
  });
  return { links, steps: sum };
}

type Kind = { readonly a: number; readonly b: number; readonly loop: boolean };
type Step = { readonly kind: number; readonly first: number };
const lastOf = ({ kind, first }: Step, kinds: readonly Kind[]): number =>
  first === nth(kinds, kind).a ? nth(kinds, kind).b : nth(kinds, kind).a;

/** Ways to go on: every kind that is left, either end first. */
const goOn = (kinds: readonly Kind[], left: readonly number[]): readonly Step[] =>
  kinds.flatMap(({ a, b, loop }, kind) =>
    left[kind] === 0
      ? []
      : loop
        ? [{ kind, first: a }]
        : [
            { kind, first: a },
            { kind, first: b },
          ],
  );

function order(
  kinds: readonly Kind[],
  count: readonly number[],
  steps: readonly (readonly number[])[],
  endByEnd: boolean,
): readonly Step[] {
  const less = (left: readonly number[], kind: number) => left.map((n, at) => (at === kind ? n - 1 : n));
  const stepTo = (last: number, { first }: Step) => (last < 0 ? 0 : nth(nth(steps, last), first));
  if (endByEnd) {
    const path: Step[] = [];
    let left = count;
    for (let last = -1; left.some((n) => n > 0); last = lastOf(nth(path, path.length - 1), kinds)) {
      const next = goOn(kinds, left).reduce((best, step) => (stepTo(last, step) < stepTo(last, best) ? step : best));
      path.push(next);
      left = less(left, next.kind);
    }
    return path;
  }
  type Best = { readonly sum: number; readonly step: Step | null };
  const known = new Map<string, Best>();
  const from = (left: readonly number[], last: number): Best => {
    const key = `${left.join()};${last}`;
    const before = known.get(key);
    if (before) return before;
    let best: Best = { sum: left.some((n) => n > 0) ? Infinity : 0, step: null };
    for (const step of goOn(kinds, left)) {
      const sum = stepTo(last, step) + from(less(left, step.kind), lastOf(step, kinds)).sum;
      if (sum < best.sum) best = { sum, step };
    }
    known.set(key, best);
    return best;
  };
  const path: Step[] = [];
  let left = count;
  for (let last = -1; ; last = lastOf(nth(path, path.length - 1), kinds)) {
    const { step } = from(left, last);
    if (step === null) return path;
    path.push(step);
    left = less(left, step.kind);
  }
}
