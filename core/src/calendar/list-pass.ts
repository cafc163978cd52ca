// Hundreds of passes for one plan: indices count tasks and windows of the problem.
/* eslint-disable @typescript-eslint/no-non-null-assertion */
import { clampsOver } from '../job';
import { nth } from '../lists';
import type { Instant } from './instant';
import { dayBy, type Node, type Problem } from './problem';

/** One task where it stands: from, to, in which window; `late` minutes were added to sand what had hardened. */
export type Put = {
  readonly at: number;
  readonly window: number;
  readonly start: Instant;
  readonly end: Instant;
  readonly late: number;
};

/** All tasks in the order they are done, and what comes of it. */
export type WorkLaid = {
  readonly puts: readonly Put[];
  /** The day on which the last wait is over. */
  readonly day: number;
  /** Windows that anything is done in. */
  readonly sessions: number;
  /** How often another tool is set up, those that a session begins with among them. */
  readonly changes: number;
};

/** What a way to lay out work is chosen by: the day first, then sessions, then setting up. */
export const isBetter = (a: WorkLaid, b: WorkLaid): boolean =>
  a.day !== b.day ? a.day < b.day : a.sessions !== b.sessions ? a.sessions < b.sessions : a.changes < b.changes;

/** What is held at a time: until when, how many clamps of which span, and a place to lie. */
export type Holding = { readonly until: Instant; readonly clamps: Node['task']['clamps']; readonly lies: boolean };

/** What a task that is over at a time holds from then on; null where that is nothing. */
export const holdingOf = ({ wait, clamps, lies }: Node['task'], end: Instant): Holding | null =>
  wait > 0 && (clamps !== null || lies) ? { until: end + wait, clamps, lies } : null;

/**
 * Whether clamps and room are there at a time for one more. What wants more clamps than there are gets all of that
 * length; a long clamp holds a short thing, a short one nothing long.
 */
export function isThere(
  problem: Pick<Problem, 'room' | 'clamps'>,
  holding: readonly Holding[],
  task: Node['task'],
  at: Instant,
): boolean {
  const held = holding.filter(({ until }) => until > at);
  if (task.lies && held.filter(({ lies }) => lies).length >= problem.room) return false;
  if (!task.clamps) return true;
  const asked = [...held.flatMap(({ clamps }) => (clamps ? [clamps] : [])), task.clamps];
  return asked.every(({ span }) => {
    const there = clampsOver(problem, span);
    const own = task.clamps && task.clamps.span >= span ? Math.min(task.clamps.count, there) : 0;
    if (own === 0) return true;
    const others = asked.slice(0, -1).reduce((sum, one) => sum + (one.span >= span ? one.count : 0), 0);
    return others === 0 || others + own <= there;
  });
}

/** The earliest time from one on at which clamps and room are there. */
export function freeFrom(
  problem: Pick<Problem, 'room' | 'clamps'>,
  holding: readonly Holding[],
  { task }: Node,
  from: Instant,
): Instant {
  if (!task.lies && !task.clamps) return from;
  const times = [from, ...holding.map(({ until }) => until).filter((until) => until > from)].sort((a, b) => a - b);
  return times.find((at) => isThere(problem, holding, task, at)) ?? nth(times, times.length - 1);
}

/** Minutes that a task takes from a start on: longer where what it goes on has hardened. */
export function lateBy(
  { fresh }: Pick<Node, 'fresh'>,
  ends: ArrayLike<Instant>,
  { now }: Pick<Problem, 'now'>,
  start: Instant,
): number {
  if (fresh === null) return 0;
  return start > (fresh.at === null ? now : nth(ends, fresh.at)) + fresh.within ? fresh.extra : 0;
}

/** What a bench begins with: kept with its problem, which is laid out hundreds of times. */
type Begun = { readonly missing: Int32Array; readonly ready: Float64Array; readonly open: readonly number[] };
const begun = new WeakMap<Problem, Begun>();
function begunFor(problem: Problem): Begun {
  const known = begun.get(problem);
  if (known) return known;
  const { nodes, now } = problem;
  const missing = Int32Array.from(nodes, ({ before }) => before.length);
  const made: Begun = {
    missing,
    ready: Float64Array.from(nodes, ({ release }) => Math.max(now, release)),
    open: nodes.flatMap((_, at) => (missing[at] === 0 ? [at] : [])),
  };
  begun.set(problem, made);
  return made;
}

/** Where no time fits. */
const NOWHERE = -1;

/** Work as it is laid out bit by bit: what is done, held and open. */
export class WorkBench {
  readonly puts: Put[] = [];
  readonly ends: Float64Array;
  private readonly missing: Int32Array;
  private readonly ready: Float64Array;
  private holding: Holding[] = [];
  private readonly open: Set<number>;

  constructor(readonly problem: Problem) {
    const { missing, ready, open } = begunFor(problem);
    this.ends = new Float64Array(missing.length);
    this.missing = missing.slice();
    this.ready = ready.slice();
    this.open = new Set(open);
  }

  /** Tasks that everything before is done of, if not yet over. */
  opened(): ReadonlySet<number> {
    return this.open;
  }

  isDone(): boolean {
    return this.puts.length === this.problem.nodes.length;
  }

  /** When a task could start in a window from a time on; less than 0 where it does not fit. */
  startIn(at: number, window: number, from: Instant): Instant {
    const node = this.problem.nodes[at]!;
    const span = node.spans[window];
    if (!span) return NOWHERE;
    const early = Math.max(from, this.ready[at]!, span.from);
    if (early + node.minutes > span.to) return NOWHERE;
    const start = freeFrom(this.problem, this.holding, node, early);
    return start + this.lasts(at, start) > span.to ? NOWHERE : start;
  }

  /** Minutes that a task takes from a start on. */
  private lasts(at: number, start: Instant): number {
    const node = this.problem.nodes[at]!;
    // What runs over the longest time there is has no room to be sanded in: it only takes longer.
    return node.minutes + (node.over > 0 ? 0 : lateBy(node, this.ends, this.problem, start));
  }

  /** A task put in a window at a start that fits. */
  putAt(at: number, window: number, start: Instant): Put {
    const late = lateBy(nth(this.problem.nodes, at), this.ends, this.problem, start);
    return { at, window, start, end: start + this.lasts(at, start), late };
  }

  /** Where a task could be put in a window from a time on; null where it does not fit. */
  fit(at: number, window: number, from: Instant): Put | null {
    const start = this.startIn(at, window, from);
    return start < 0 ? null : this.putAt(at, window, start);
  }

  put(one: Put): void {
    const { at, start, end } = one;
    const { task, next } = nth(this.problem.nodes, at);
    this.puts.push(one);
    this.open.delete(at);
    this.ends[at] = end;
    for (const row of next) {
      this.ready[row.at] = Math.max(nth(this.ready, row.at), end + row.wait);
      const left = nth(this.missing, row.at) - 1;
      this.missing[row.at] = left;
      if (left === 0) this.open.add(row.at);
    }
    const holding = holdingOf(task, end);
    if (holding) this.holding = [...this.holding.filter(({ until }) => until > start), holding];
  }

  laid(): WorkLaid {
    return laidOf(this.problem, this.puts);
  }
}

/** What comes of tasks where they stand. */
function laidOf(problem: Problem, puts: readonly Put[]): WorkLaid {
  let [changes, end] = [0, problem.now + 1];
  puts.forEach((put, k) => {
    const before = puts[k - 1];
    const { task } = nth(problem.nodes, put.at);
    end = Math.max(end, put.end + task.wait);
    const tool = before?.window === put.window ? nth(problem.nodes, before.at).task.tool : null;
    if (task.tool !== null && task.tool !== tool) changes += 1;
  });
  return {
    puts,
    day: dayBy(problem.zone, end),
    sessions: new Set(puts.map(({ window }) => window)).size,
    changes,
  };
}

export type Rule = {
  /** What is done sooner, by task: less comes first. */
  readonly rank: ArrayLike<number>;
  /** Minutes that a person would sit idle for what ranks higher. */
  readonly patience: number;
  /** Minutes of rank that it is worth to go on with the same tool, and the same thing. */
  readonly stick: number;
  /** Minutes of rank that it is worth to use rare time, as for saws, for what can be done in no other. */
  readonly thrift: number;
  /** Windows that nothing is done in. */
  readonly shut?: ReadonlySet<number>;
};

/** Tasks laid out as time passes: whatever can be begun soonest, and of that what ranks first. Null where time ends. */
export function listPass(problem: Problem, { rank, patience, stick, thrift, shut }: Rule): WorkLaid | null {
  const bench = new WorkBench(problem);
  // What fits next and when, written over at each step.
  const [fits, starts] = [new Int32Array(problem.nodes.length), new Float64Array(problem.nodes.length)];
  for (let window = 0; window < problem.windows.length && !bench.isDone(); window++) {
    if (shut?.has(window)) continue;
    let now = nth(problem.windows, window).from;
    for (;;) {
      let [count, soonest] = [0, Infinity];
      for (const at of bench.opened()) {
        const start = bench.startIn(at, window, now);
        if (start < 0) continue;
        fits[count] = at;
        starts[count++] = start;
        if (start < soonest) soonest = start;
      }
      if (count === 0) break;
      const last = bench.puts[bench.puts.length - 1];
      const before = last && last.window === window ? problem.nodes[last.at]!.task : null;
      let [best, least] = [-1, Infinity];
      for (let k = 0; k < count; k++) {
        const start = starts[k]!;
        if (start > soonest + patience) continue;
        const { task, scarce } = problem.nodes[fits[k]!]!;
        const same = !before ? 0 : task.of === before.of ? 2 : task.tool !== null && task.tool === before.tool ? 1 : 0;
        const value = rank[fits[k]!]! - same * stick - scarce * thrift + (start - soonest);
        if (value < least) [best, least] = [k, value];
      }
      const put = bench.putAt(nth(fits, best), window, nth(starts, best));
      bench.put(put);
      now = put.end;
    }
  }
  return bench.isDone() ? bench.laid() : null;
}
