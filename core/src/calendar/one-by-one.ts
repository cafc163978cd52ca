import { nth } from '../lists';
import type { Instant } from './instant';
import type { Node, Problem } from './problem';
import { freeFrom, holdingOf, type Holding, type Put, type WorkBench } from './work-bench';

/** A task that is to be done within a window: from when on it can be begun there, and by when it must be over. */
export type InWindow = { readonly at: number; readonly from: Instant; readonly to: Instant };

/** Steps after which an order counts as possible. */
const STEPS = 4000;
/** More tasks than a number has bits to tell them by are not gone through. */
const MOST = 50;

type Lag = { readonly k: number; readonly wait: number };
/** A task among those of its window, by numbers; `last`: the longest that anything waits for it, or that it holds. */
type Row = InWindow & {
  readonly minutes: number;
  readonly task: Node['task'];
  readonly isHolding: boolean;
  readonly last: number;
  readonly before: readonly Lag[];
};

/** Tasks with the times that what comes before and after them in the same window leaves them. */
function rowsOf({ nodes }: Pick<Problem, 'nodes'>, asked: readonly InWindow[]): readonly Row[] {
  const sorted = [...asked].sort((a, b) => a.at - b.at);
  const own = new Map(sorted.map(({ at }, k) => [at, k]));
  const lags = sorted.map(({ at }) =>
    nth(nodes, at).before.flatMap(({ at: first, wait }): Lag[] => {
      const k = own.get(first);
      return k === undefined ? [] : [{ k, wait }];
    }),
  );
  const minutesOf = (k: number) => nth(nodes, nth(sorted, k).at).minutes;
  const from = sorted.map((one) => one.from);
  const to = sorted.map((one) => one.to);
  const last = sorted.map(() => 0);
  lags.forEach((rows, k) =>
    rows.forEach((lag) => {
      from[k] = Math.max(nth(from, k), nth(from, lag.k) + minutesOf(lag.k) + lag.wait);
      last[lag.k] = Math.max(nth(last, lag.k), lag.wait);
    }),
  );
  for (let k = sorted.length - 1; k >= 0; k--)
    for (const lag of nth(lags, k)) to[lag.k] = Math.min(nth(to, lag.k), nth(to, k) - minutesOf(k) - lag.wait);
  return sorted.map(({ at }, k): Row => {
    const { minutes, task } = nth(nodes, at);
    const isHolding = holdingOf(task, 0) !== null;
    return {
      ...{ at, minutes, task, isHolding, before: nth(lags, k), from: nth(from, k), to: nth(to, k) },
      last: Math.max(nth(last, k), isHolding ? task.wait : 0),
    };
  });
}

/** What was done when, where nothing came of going on from there. */
type DeadEnd = { readonly now: Instant; readonly ends: Float64Array };

/**
 * An order in which one pair of hands does tasks between their times, with the waits between those that follow each
 * other, clamps and room for each; all orders are gone through, each task as soon as it can be. Where the same were
 * done before, no later, and nothing came of it, nothing comes of it again (dynamic programming over sets, Held and
 * Karp 1962).
 *
 * @param held clamps and room that are taken as it begins.
 * @returns the tasks in that order; null where there is none; `unknown` where that was not found out.
 */
export function oneByOne(
  problem: Pick<Problem, 'nodes' | 'clamps' | 'room'>,
  asked: readonly InWindow[],
  held: readonly Holding[] = [],
): readonly number[] | null | 'unknown' {
  const rows = rowsOf(problem, asked);
  if (rows.some(({ from, minutes, to }) => from + minutes > to)) return null;
  if (rows.length > MOST) return 'unknown';
  const due = rows.map((_, k) => k).sort((a, b) => nth(rows, a).to - nth(rows, b).to);
  const ends = new Float64Array(rows.length).fill(NaN);
  const isDone = (k: number) => !Number.isNaN(nth(ends, k));
  const deadEnds = new Map<number, DeadEnd[]>();
  const order: number[] = [];
  let left = STEPS;
  /** Whether what is left could all be over in time if nothing but hands were short. */
  const mayBe = (now: Instant): boolean => {
    let sum = now;
    for (const k of due) {
      if (isDone(k)) continue;
      const { from, minutes, to } = nth(rows, k);
      sum += minutes;
      if (sum > to || Math.max(now, from) + minutes > to) return false;
    }
    return true;
  };
  /** Whether nothing came of it where all was done no later: what is over and waited for no more is all the same. */
  const isKnown = (now: Instant, set: number): boolean =>
    (deadEnds.get(set) ?? []).some(
      (other) =>
        other.now <= now &&
        rows.every(
          ({ last }, k) => !isDone(k) || last === 0 || nth(other.ends, k) <= Math.max(nth(ends, k), now - last),
        ),
    );
  /** What could be begun next, when; null where one of them would be over too late. */
  const open = (now: Instant) => {
    const own = rows.map(({ task }, k) => (isDone(k) ? holdingOf(task, nth(ends, k)) : null));
    const holding = [...held, ...own].filter((one): one is Holding => one !== null && one.until > now);
    const next: { readonly k: number; readonly start: Instant }[] = [];
    for (const [k, { at, before, from, minutes, to }] of rows.entries()) {
      if (isDone(k) || before.some((lag) => !isDone(lag.k))) continue;
      const ready = before.reduce((latest, lag) => Math.max(latest, nth(ends, lag.k) + lag.wait), Math.max(now, from));
      const start = freeFrom(problem, holding, nth(problem.nodes, at).task, ready);
      if (start + minutes > to) return null;
      next.push({ k, start });
    }
    // What holds nothing and is over before another begins is done first: it is in nobody's way.
    const until = Math.min(
      ...next.map(({ k, start }) => (nth(rows, k).isHolding ? Infinity : start + nth(rows, k).minutes)),
    );
    return next
      .filter(({ start }) => start < until)
      .sort((a, b) => a.start - b.start || nth(rows, a.k).to - nth(rows, b.k).to);
  };
  const goOn = (now: Instant, set: number): boolean => {
    if (order.length === rows.length || left-- <= 0) return true;
    if (!mayBe(now) || isKnown(now, set)) return false;
    for (const { k, start } of open(now) ?? []) {
      const { at, minutes } = nth(rows, k);
      ends[k] = start + minutes;
      order.push(at);
      if (goOn(start + minutes, set + 2 ** k)) return true;
      ends[k] = NaN;
      order.pop();
    }
    deadEnds.set(set, [...(deadEnds.get(set) ?? []), { now, ends: ends.slice() }]);
    return false;
  };
  if (!goOn(-Infinity, 0)) return null;
  return order.length === rows.length ? order : 'unknown';
}

/** The same after tasks that are over at some time: those that are waited for, and what they hold. */
export function orderAfter(
  problem: Pick<Problem, 'nodes' | 'clamps' | 'room'>,
  asked: readonly InWindow[],
  done: readonly Pick<Put, 'at' | 'end'>[],
): ReturnType<typeof oneByOne> {
  const { nodes } = problem;
  const ends = new Map(done.map(({ at, end }) => [at, end]));
  const readyFrom = ({ at, from }: InWindow): Instant =>
    nth(nodes, at).before.reduce((late, lag) => Math.max(late, (ends.get(lag.at) ?? -Infinity) + lag.wait), from);
  const begins = Math.min(...asked.map(({ from }) => from));
  const held = done.flatMap(({ at, end }): Holding[] => {
    const holding = holdingOf(nth(nodes, at).task, end);
    return holding && holding.until > begins ? [holding] : [];
  });
  return oneByOne(
    problem,
    asked.map((one) => ({ ...one, from: readyFrom(one) })),
    held,
  );
}

/**
 * Puts tasks of a window after what is on the bench already, each as soon as it can be.
 *
 * @returns whether there was an order for them; where there was none, what is on the bench is of no use.
 */
export function putIn(bench: WorkBench, window: number, tasks: readonly InWindow[]): boolean {
  const { problem } = bench;
  const order = orderAfter(problem, tasks, bench.puts);
  if (order === null || order === 'unknown') return false;
  let now = nth(problem.windows, window).from;
  for (const at of order) {
    const put = bench.opened().includes(at) ? bench.fit(at, window, now) : null;
    if (!put) return false;
    bench.put(put);
    now = put.end;
  }
  return true;
}
