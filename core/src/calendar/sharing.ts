import { nth, sure } from '../lists';
import { apartIn, type Apart } from './apart';
import { deadlines, heads } from './bound';
import type { Instant } from './instant';
import { holdingOf, WorkBench, type WorkLaid } from './list-pass';
import { orderAfter, putIn, type InWindow } from './one-by-one';
import type { Problem } from './problem';
import { endOfDay } from './windows';

type Column = { readonly cost: number; readonly rows: [number, number][] };
/** A task in a window: its column, the earliest it could end there, and the latest it could be begun. */
export type Place = {
  readonly window: number;
  readonly column: number;
  readonly end: Instant;
  readonly latest: Instant;
};

/** A place, and how much of it counts. */
type Share = readonly [Place, number];

/** Of one task so many rows of its order are asked for at a time: more of them say little that is new. */
const AT_ONCE = 2;
/** What is less is nothing. */
const NOTHING = 1e-4;

/** Tasks shared out among windows, as a program in whole numbers that is asked more as answers break it. */
export type Sharing = {
  readonly problem: Problem;
  /** By task, in the order of the windows. */
  readonly places: readonly (readonly Place[])[];
  readonly apart: readonly Apart[];
  readonly columns: Column[];
  readonly need: number[];
  /** Asks that some places, each with its share, come to no less than so much. */
  readonly ask: (least: number, rows: Iterable<Share>) => void;
  /** What was asked of the order of tasks already. */
  readonly ordered: Set<string>;
};

/**
 * Each task whole in one window, in none before it can be or after it is due, none fuller than it is long, nor than it
 * may be loud. Null where that can not be.
 */
export function newSharing(problem: Problem, day: number): Sharing | null {
  const { nodes, windows } = problem;
  const due = deadlines(problem, endOfDay(problem.zone, day));
  const ends = heads(problem);
  if (!due || ends.some((end) => end === null)) return null;
  const columns: Column[] = [];
  const places = nodes.map((node, at): readonly Place[] =>
    node.open.flatMap((window): Place[] => {
      const span = sure(node.spans[window], 'span');
      const end = Math.max(span.from, sure(nth(ends, at), 'end') - node.minutes) + node.minutes;
      const by = Math.min(span.to, nth(due, at));
      if (end > by) return [];
      columns.push({ cost: 0, rows: [[at, 1]] });
      return [{ window, column: columns.length - 1, end, latest: by - node.minutes }];
    }),
  );
  if (places.some((own) => own.length === 0)) return null;
  const need = nodes.map(() => 1);
  const ask: Sharing['ask'] = (least, rows) => {
    const row = need.push(least) - 1;
    for (const [{ column }, value] of rows) nth(columns, column).rows.push([row, value]);
  };
  const kinds = [windows, ...new Set(nodes.map(({ spans }) => spans))];
  windows.forEach((window, w) => {
    if (window.day > day) return;
    for (const spans of kinds) {
      const span = spans[w];
      if (!span || (spans !== windows && span.from === window.from && span.to === window.to)) continue;
      const inside = nodes.flatMap((node, at): Share[] => {
        const place = placeIn(nth(places, at), w);
        return place && (spans === windows || node.spans === spans) ? [[place, -node.minutes]] : [];
      });
      ask(span.from - span.to, inside);
    }
  });
  return { problem, places, apart: apartIn(nodes), columns, need, ask, ordered: new Set() };
}

const placeIn = (places: readonly Place[], window: number): Place | undefined =>
  places.find((place) => place.window === window);

/** Whether a task may be in a place while one that comes before it by so many minutes is in another. */
export const isAfter = (own: Place, first: Place, lag: number): boolean =>
  first.window <= own.window && first.end + lag <= own.latest;

/**
 * Asks that nothing stands in a window before what comes before it can be over: of each two tasks where an answer
 * breaks that most, those that break it most first.
 *
 * @returns how often that was.
 */
export function askForOrder({ apart, places, ask, ordered }: Sharing, x: readonly number[]): number {
  const sums = places.map((own) => {
    let sum = 0;
    return own.map(({ column }) => (sum += nth(x, column)));
  });
  type Broken = Apart & { readonly by: number; readonly key: string; readonly after: number; readonly before: number };
  const broken = apart.flatMap(({ first, own, lag }): Broken[] => {
    const [mine, others] = [nth(places, own), nth(places, first)];
    let [before, most] = [0, NOTHING];
    let worst: Broken | null = null;
    for (const [k, place] of mine.entries()) {
      while (before < others.length && isAfter(place, nth(others, before), lag)) before++;
      if (before === others.length) break;
      const by = nth(nth(sums, own), k) - (before > 0 ? nth(nth(sums, first), before - 1) : 0);
      const key = `${own} ${first} ${k}`;
      if (by > most && !ordered.has(key)) {
        most = by;
        worst = { first, own, lag, by, key, after: k + 1, before };
      }
    }
    return worst ? [worst] : [];
  });
  const [asAfter, asBefore] = [places.map(() => 0), places.map(() => 0)];
  const known = ordered.size;
  for (const { first, own, key, after, before } of broken.sort((a, b) => b.by - a.by)) {
    if (nth(asAfter, own) >= AT_ONCE || nth(asBefore, first) >= AT_ONCE) continue;
    asAfter[own] = nth(asAfter, own) + 1;
    asBefore[first] = nth(asBefore, first) + 1;
    ordered.add(key);
    ask(0, [
      ...nth(places, own)
        .slice(0, after)
        .map((one): Share => [one, -1]),
      ...nth(places, first)
        .slice(0, before)
        .map((one): Share => [one, 1]),
    ]);
  }
  return ordered.size - known;
}

/** Tasks in each window, with their places, by an answer. */
type Inside = readonly (readonly (readonly [at: number, Place])[])[];
export function insideOf({ problem: { windows }, places }: Sharing, x: readonly number[]): Inside {
  const rows: (readonly [number, Place])[][] = windows.map(() => []);
  places.forEach((own, at) => {
    for (const place of own) if (nth(x, place.column) > 0.5) nth(rows, place.window).push([at, place]);
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
function askNeverIn({ problem: { windows }, problem, places, ask }: Sharing, few: readonly InWindow[], w: number) {
  const { from } = nth(windows, w);
  windows.forEach((window, v) => {
    const there = few.flatMap((one): Share[] => {
      const place = placeIn(nth(places, one.at), v);
      if (!place) return [];
      const asked = askedIn(problem, one.at, place);
      const isWorse = asked.from - window.from >= one.from - from && asked.to - window.from <= one.to - from;
      return isWorse ? [[place, -1]] : [];
    });
    if (there.length === few.length) ask(1 - few.length, there);
  });
}

/**
 * Asks that tasks for which a window has no order, for want of hands, clamps or room, are never all in it, nor in one
 * that is no better for them; where what reaches into it from before takes part in that, not all in it after that.
 *
 * @returns in how many windows that was so.
 */
export function askForRoom(sharing: Sharing, inside: Inside): number {
  const { problem, places, ask } = sharing;
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
    ask(
      1 - few.length - less.length,
      [...then, ...after].map((place): Share => [place, -1]),
    );
  });
  return count;
}

/** Asks for another way to share out than to have all that stands in a window there. */
export function askForOther({ ask }: Sharing, inside: Inside, window: number): void {
  const own = nth(inside, window);
  ask(
    1 - own.length,
    own.map(([, place]): Share => [place, -1]),
  );
}

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
