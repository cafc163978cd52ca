import { nth } from '../lists';
import { allOf } from './bound';
import type { Node } from './problem';

/** Of two tasks of which one comes before the other: so many minutes at least from its end to the other's start. */
export type Apart = { readonly first: number; readonly own: number; readonly lag: number };

/**
 * Every two tasks of which one comes before the other, others between them or not. They are as far apart as the longest
 * chain of work and waits between them, and as all work that comes between them takes one pair of hands.
 */
export function apartIn(nodes: readonly Node[]): readonly Apart[] {
  const all: Apart[] = [];
  const above = allOf(nodes, 'before');
  nodes.forEach((_, first) => {
    const lags = new Map<number, number>();
    for (let own = first + 1; own < nodes.length; own++) {
      if (!nth(above, own).has(first)) continue;
      let lag = 0;
      for (const { at, wait } of nth(nodes, own).before) {
        const known = lags.get(at);
        if (at === first) lag = Math.max(lag, wait);
        else if (known !== undefined) lag = Math.max(lag, known + nth(nodes, at).minutes + wait);
      }
      let between = 0;
      for (const at of lags.keys()) if (nth(above, own).has(at)) between += nth(nodes, at).minutes;
      lag = Math.max(lag, between);
      lags.set(own, lag);
      all.push({ first, own, lag });
    }
  });
  return all;
}
