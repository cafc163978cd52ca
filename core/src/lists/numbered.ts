/** With more than this they are forgotten and numbered anew, from where the numbers stood. */
const MOST = 5000;

/**
 * Things that never change by something they have in common: those for which `of` gives the same have the same number,
 * which is kept with the thing and makes a short key. A number is never given twice.
 */
export function numbered<T extends object>(of: (thing: T) => unknown): (thing: T) => number {
  const numbers = new Map<string, number>();
  const known = new WeakMap<T, number>();
  let next = 0;
  return (thing) => {
    const before = known.get(thing);
    if (before !== undefined) return before;
    const text = JSON.stringify(of(thing));
    const number = numbers.get(text) ?? next++;
    if (numbers.size >= MOST) numbers.clear();
    numbers.set(text, number);
    known.set(thing, number);
    return number;
  };
}
