import type { LinearRow } from '../cutting';
import { nth, sure } from '../lists';
import { apartIn } from './apart';
import { dueFor, heads } from './bound';
import type { Instant } from './instant';
import { orderAfter, putIn, type InWindow } from './one-by-one';
import { orderBroken, orderOf, type Order, type Place } from './order';
import type { Problem } from './problem';
import { holdingOf, WorkBench, type WorkLaid } from './work-bench';

/** Tasks shared out among windows, as a linear program that is asked more as answers break it. */
export type Sharing = {
  readonly problem: Problem;
  /** The day by which all is to be ready, and by when each task must be over for that. */
  readonly day: number;
  readonly due: readonly Instant[];
  /** By task, in the order of the windows. */
  readonly places: readonly (readonly Place[])[];
  readonly order: Order;
  /** The column, after those of all places, of how full the fullest window is, as a share of its time. */
  readonly full: number;
  /** What was asked so far. */
  readonly rows: LinearRow[];
};

/**
 * Each task whole in one window, in none before it can be or after it is due; all windows, and what of them may be loud
 * or is fit for a kind of work, as full as the fullest at most. Null where there is no place for one.
 */
export function newSharing(problem: Problem, day: number): Sharing | null {
  const { nodes, windows } = problem;
  const due = dueFor(problem, day);
  const ends = heads(problem);
  if (!due || ends.some((end) => end === null)) return null;
  let full = 0;
  const places = nodes.map((node, at): readonly Place[] =>
    node.open.flatMap((window): Place[] => {
      const span = sure(node.spans[window], 'span');
      const end = Math.max(span.from, sure(nth(ends, at), 'end') - node.minutes) + node.minutes;
      const by = Math.min(span.to, nth(due, at));
      return end > by ? [] : [{ window, column: full++, end, latest: by - node.minutes }];
    }),
  );
  if (places.some((own) => own.length === 0)) return null;
  const rows: LinearRow[] = [];
  places.forEach((own) => rows.push({ least: 1, most: 1, entries: entriesOf(own, 1) }));
  const kinds = [windows, ...new Set(nodes.map(({ spans }) => spans))];
  windows.forEach((window, w) => {
    if (window.day > day) return;
    for (const spans of kinds) {
      const span = spans[w];
      if (!span || (spans !== windows && span.from === window.from && span.to === window.to)) continue;
      const inside = nodes.flatMap((node, at): LinearRow['entries'] => {
        const place = placeIn(nth(places, at), w);
        return place && (spans === windows || node.spans === spans) ? [[place.column, -node.minutes]] : [];
      });
      rows.push({ least: 0, entries: [...inside, [full, span.to - span.from]] });
    }
  });
  return { ...{ problem, day, due, places, full, rows }, order: orderOf(apartIn(nodes), places) };
}

const entriesOf = (places: readonly Place[], value: number): LinearRow['entries'] =>
  places.map(({ column }) => [column, value]);

const placeIn = (places: readonly Place[], window: number): Place | undefined =>
  places.find((place) => place.window === window);

/** Asks what an answer breaks of the order of tasks; tells how often that was. */
export function askForOrder({ order, rows }: Sharing, x: readonly number[]): number {
  const asked = orderBroken(order, x);
  rows.push(...asked);
  return asked.length;
}

/** Asks that of some places less than so many are taken: than there are. */
const askForLess = ({ rows }: Sharing, places: readonly Place[], than = places.length): number =>
  rows.push({ least: 1 - than, entries: entriesOf(places, -1) });

/** Tasks in each window, with their places, by an answer. */
type Inside = readonly (readonly (readonly [at: number, Place])[])[];
export function insideOf({ problem: { windows }, places }: Sharing, x: readonly number[]): Inside {
  const rows: (readonly [number, Place])[][] = windows.map(() => []);
  places.forEach((own, at) => {
    for (const place of own) if (nth(x, place.column) > 0.5) nth(rows, place.window).push([at, place]);
  });
  return rows;
}

/** The same by the number of each task's place. */
export function insideWindows({ problem: { windows }, places }: Sharing, now: ArrayLike<number>): Inside {
  const rows: (readonly [number, Place])[][] = windows.map(() => []);
  places.forEach((own, at) => {
    const place = nth(own, sure(now[at], 'place'));
    nth(rows, place.window).push([at, place]);
  });
  return rows;
}

const askedIn = ({ nodes }: Problem, at: number, { end, latest }: Place): InWindow => {
  const { minutes } = nth(nodes, at);
  return { at, from: end - minutes, to: latest + minutes };
};

/** Whether a window has no order for tasks, after others of earlier windows that end there no sooner than so. */
const isCrowded = (problem: Problem, rows: readonly InWindow[], early: Inside[number]): boolean =>
  orderAfter(
    problem,
    rows,
    early.map(([at, { end }]) => ({ at, end })),
  ) === null;

/** As few of a list as it takes: each is left out where without it something still is so. */
function fewest<T>(all: readonly T[], isSo: (some: readonly T[]) => boolean): readonly T[] {
  return all.reduce((kept, one) => {
    const without = kept.filter((other) => other !== one);
    return isSo(without) ? without : kept;
  }, all);
}

/** Asks that tasks are never all in one window where none has an order for them that is no better than this one. */
function askNeverIn(sharing: Sharing, few: readonly InWindow[], w: number) {
  const { problem, places } = sharing;
  const { from } = nth(problem.windows, w);
  problem.windows.forEach((window, v) => {
    const there = few.flatMap((one): Place[] => {
      const place = placeIn(nth(places, one.at), v);
      if (!place) return [];
      const asked = askedIn(problem, one.at, place);
      const isWorse = asked.from - window.from >= one.from - from && asked.to - window.from <= one.to - from;
      return isWorse ? [place] : [];
    });
    if (there.length === few.length) askForLess(sharing, there);
  });
}

/**
 * Asks that tasks for which a window has no order, for want of hands, clamps or room, are never all in it, nor in one
 * that is no better for them; where what reaches into it from before takes part in that, not all in it after that.
 *
 * @returns in how many windows that was so.
 */
export function askForRoom(sharing: Sharing, inside: Inside): number {
  const { problem, places } = sharing;
  const { nodes, windows } = problem;
  const holdingFrom = (at: number, end: Instant) => holdingOf(nth(nodes, at).task, end);
  // What is in nobody's way is left out first.
  const rank = (at: number): number => (holdingFrom(at, 0) ? 1e6 : 0) + nth(nodes, at).minutes;
  let count = 0;
  inside.forEach((own, w) => {
    if (own.length === 0) return;
    const rows = own.map(([at, place]) => askedIn(problem, at, place)).sort((a, b) => rank(a.at) - rank(b.at));
    if (isCrowded(problem, rows, [])) {
      count++;
      askNeverIn(
        sharing,
        fewest(rows, (some) => isCrowded(problem, some, [])),
        w,
      );
      return;
    }
    const { from } = nth(windows, w);
    const here = new Set(own.map(([at]) => at));
    const early = inside.slice(0, w).flatMap((before) =>
      before.filter(([at, { end }]) => {
        const isHeld = (holdingFrom(at, end)?.until ?? end) > from;
        return isHeld || nth(nodes, at).next.some((next) => here.has(next.at) && end + next.wait > from);
      }),
    );
    if (early.length === 0 || !isCrowded(problem, rows, early)) return;
    count++;
    const less = fewest(early, (some) => isCrowded(problem, rows, some));
    const few = fewest(rows, (some) => isCrowded(problem, some, less));
    const after = less.flatMap(([at, { end }]) => nth(places, at).filter((one) => one.window < w && one.end >= end));
    const then = few.map(({ at }) => sure(placeIn(nth(places, at), w), 'place'));
    askForLess(sharing, [...then, ...after], few.length + less.length);
  });
  return count;
}

/** Asks for another way to share out than to have all that stands in a window there. */
export const askForOther = (sharing: Sharing, inside: Inside, window: number): number =>
  askForLess(
    sharing,
    nth(inside, window).map(([, place]) => place),
  );

/** What an answer comes to at the bench, window by window; or the window in which there was no time, clamps or room. */
export function laidAs({ problem }: Sharing, inside: Inside): WorkLaid | number {
  const bench = new WorkBench(problem);
  const failed = inside.findIndex(
    (own, window) =>
      own.length > 0 &&
      !putIn(
        bench,
        window,
        own.map(([at, place]) => askedIn(problem, at, place)),
      ),
  );
  return failed < 0 ? bench.laid() : failed;
}
