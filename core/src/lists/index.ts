/**
 * What must be there: the first, last and nth of a list that is so long, the one that is so, what a map holds under a
 * key, what is known to be. In: lists and maps whose makers know so; out: the thing itself, or an error that says what
 * was missing instead of a fault somewhere later. And what was worked out once for all that is alike. Used by all.
 */
export { numbered } from './numbered';

/** The first of a list that is not empty. Throws where it is. */
export function first<T>(list: readonly T[]): Exclude<T, undefined> {
  const one = list[0];
  if (one === undefined) throw new RangeError('An empty list has no first');
  return one as Exclude<T, undefined>;
}

/** The last of a list that is not empty. Throws where it is. */
export function last<T>(list: readonly T[]): Exclude<T, undefined> {
  const one = list[list.length - 1];
  if (one === undefined) throw new RangeError('An empty list has no last');
  return one as Exclude<T, undefined>;
}

/** The one at index `k` of a list that reaches so far. Throws where it does not. */
export function nth<T>(list: ArrayLike<T>, k: number): Exclude<T, undefined> {
  const one = list[k];
  if (one === undefined) throw new RangeError(`A list of ${list.length} has nothing at ${k}`);
  return one as Exclude<T, undefined>;
}

/** The first of a list that is so, where one is known to be. Throws where none is. */
export function found<T>(list: readonly T[], isSo: (one: T, k: number) => boolean): Exclude<T, undefined> {
  const one = list.find(isSo);
  if (one === undefined) throw new RangeError('No one of the list is so');
  return one as Exclude<T, undefined>;
}

/** What is known to be there, called by a name; null and nothing are not. Throws where it is not. */
export function sure<T>(one: T | null | undefined, name: string): T & {} {
  if (one === null || one === undefined) throw new RangeError(`There is no ${name}`);
  return one;
}

/** Adds to the number at index `k` of a list that reaches so far. Throws where it does not. */
export function addAt(list: { readonly length: number; [k: number]: number }, k: number, by: number): void {
  list[k] = nth(list, k) + by;
}

/** Each with the next of a list: one less than there are. */
export const pairs = <T>(list: readonly T[]): readonly (readonly [T, T])[] =>
  list.slice(1).map((next, k) => [list[k] as T, next]);

/** What a map holds under a key that was put there. Throws where nothing was. */
export function held<K, V>(map: { get(key: K): V | undefined }, key: K): Exclude<V, undefined> {
  const one = map.get(key);
  if (one === undefined) throw new RangeError(`Nothing is held under ${String(key)}`);
  return one as Exclude<V, undefined>;
}

/**
 * Whether one of a list is so. That one is put first, for a list that is asked many like questions one after the other:
 * the next is often answered by the same one.
 */
export function metFirst<T>(list: T[], isSo: (one: T) => boolean): boolean {
  const at = list.findIndex(isSo);
  if (at > 0) list.unshift(...list.splice(at, 1));
  return at >= 0;
}

/**
 * Remembers what follows wholly from its key, so many at most: then the oldest goes. What is kept must never change.
 */
export function keeping<K, T>(most: number): (key: K, workOut: () => T) => T {
  const kept = new Map<K, T>();
  return (key, workOut) => {
    if (kept.has(key)) return kept.get(key) as T;
    const one = workOut();
    if (kept.size >= most) kept.delete(kept.keys().next().value as K);
    kept.set(key, one);
    return one;
  };
}
