import type { Part } from './part';

/** With more than this they are forgotten and numbered anew, from where the numbers stood. */
const MOST = 5000;

/**
 * Parts by something they have in common: those for which `of` gives the same have the same number, which is kept with
 * the part and makes a short key. A number is never given twice.
 */
export function numbered(of: (part: Part) => unknown): (part: Part) => number {
  const numbers = new Map<string, number>();
  const known = new WeakMap<Part, number>();
  let next = 0;
  return (part) => {
    const before = known.get(part);
    if (before !== undefined) return before;
    const text = JSON.stringify(of(part));
    const number = numbers.get(text) ?? next++;
    if (numbers.size >= MOST) numbers.clear();
    numbers.set(text, number);
    known.set(part, number);
    return number;
  };
}
