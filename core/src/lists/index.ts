/**
 * What must be there: the first and last of a list that is not empty, what a map holds under a key. In: lists and maps
 * whose makers know so; out: the thing itself, or an error that says what was missing instead of a fault somewhere
 * later. Used by all.
 */

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

/** What a map holds under a key that was put there. Throws where nothing was. */
export function held<K, V>(map: { get(key: K): V | undefined }, key: K): Exclude<V, undefined> {
  const one = map.get(key);
  if (one === undefined) throw new RangeError(`Nothing is held under ${String(key)}`);
  return one as Exclude<V, undefined>;
}
