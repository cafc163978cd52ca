import { nth } from '../lists';
import type { Instant } from './instant';
import { WorkBench, type Put } from './list-pass';
import type { Node, Problem } from './problem';

/** A task that is to be done within a window: from when on it can be begun there, and by when it must be over. */
export type InWindow = { readonly at: number; readonly from: Instant; readonly to: Instant };

/** Steps after which an order counts as possible: few tasks of a window ask for a hundred. */
const STEPS = 20_000;

/**
 * An order in which one pair of hands does tasks between their times, with the waits between those that follow each
 * other; all orders are gone through, each task as soon as it can be.
 *
 * @returns the tasks in that order; null where there is none; `unknown` where that was not found out.
 */
export function oneByOne(nodes: readonly Node[], asked: readonly InWindow[]): readonly number[] | null | 'unknown' {
  const own = new Map(asked.map(({ at }, k) => [at, k]));
  const before = asked.map(({ at }) =>
    nth(nodes, at).before.flatMap((lag) => {
      const k = own.get(lag.at);
      return k === undefined ? [] : [{ k, wait: lag.wait }];
    }),
  );
  const ends: (Instant | null)[] = asked.map(() => null);
  const order: number[] = [];
  let left = STEPS;
  /** When each that is left could be begun after a time; null where one of them would be over too late. */
  const open = (now: Instant) => {
    const rows: { readonly k: number; readonly start: Instant }[] = [];
    for (const [k, { at, from, to }] of asked.entries()) {
      if (ends[k] !== null) continue;
      const waits = nth(before, k).map(({ k: first, wait }) => {
        const end: Instant | null = nth(ends, first);
        return end === null ? null : end + wait;
      });
      const start = Math.max(now, from, ...waits.map((wait) => wait ?? -Infinity));
      if (start + nth(nodes, at).minutes > to) return null;
      if (!waits.includes(null)) rows.push({ k, start });
    }
    return rows.sort((a, b) => a.start - b.start);
  };
  const goOn = (now: Instant): boolean => {
    if (order.length === asked.length || left-- <= 0) return true;
    for (const { k, start } of open(now) ?? []) {
      const { at } = nth(asked, k);
      const end = start + nth(nodes, at).minutes;
      ends[k] = end;
      order.push(at);
      if (goOn(end)) return true;
      ends[k] = null;
      order.pop();
    }
    return false;
  };
  if (!goOn(-Infinity)) return null;
  return order.length === asked.length ? order : 'unknown';
}

/** Orders of a window's tasks that are gone through at the bench: each is laid out anew. */
const ORDERS = 400;

/** Tasks of a window put after what was put before, each as soon as it can be; null where no order was found. */
export function putIn(
  problem: Problem,
  before: readonly Put[],
  window: number,
  tasks: readonly number[],
): readonly Put[] | null {
  let left = ORDERS;
  const goOn = (puts: readonly Put[], rest: readonly number[]): readonly Put[] | null => {
    if (rest.length === 0) return puts;
    if (left-- <= 0) return null;
    const bench = new WorkBench(problem);
    puts.forEach((put) => bench.put(put));
    const open = new Set(bench.opened());
    const last = puts.at(-1);
    const now = last?.window === window ? last.end : nth(problem.windows, window).from;
    const fits = rest.map((at) => (open.has(at) ? bench.fit(at, window, now) : null));
    // One that can not even be next, though all before it is done, can not be later either.
    if (rest.some((at, k) => open.has(at) && fits[k] === null)) return null;
    for (const put of fits.filter((one) => one !== null).sort((a, b) => a.start - b.start)) {
      const found = goOn(
        [...puts, put],
        rest.filter((at) => at !== put.at),
      );
      if (found) return found;
    }
    return null;
  };
  return goOn(before, tasks);
}
