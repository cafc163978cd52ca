// A thousand benches for one plan: indices count tasks and windows of the problem.
/* oxlint-disable typescript/no-non-null-assertion */
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

/** Whether of clamps of a length there are as many as a task and what is held at a time ask for. */
function isEnough(
  clamps: Problem['clamps'],
  holding: readonly Holding[],
  own: NonNullable<Node['task']['clamps']>,
  span: number,
  at: Instant,
): boolean {
  if (own.span < span) return true;
  let others = 0;
  for (const { until, clamps: held } of holding) if (until > at && held && held.span >= span) others += held.count;
  if (others === 0) return true;
  const there = clampsOver({ clamps }, span);
  return there === 0 || others + Math.min(own.count, there) <= there;
}

/**
 * Whether clamps and room are there at a time for one more. What wants more clamps than there are gets all of that
 * length; a long clamp holds a short thing, a short one nothing long.
 */
export function isThere(
  { room, clamps }: Pick<Problem, 'room' | 'clamps'>,
  holding: readonly Holding[],
  task: Node['task'],
  at: Instant,
): boolean {
  if (task.lies && holding.filter(({ until, lies }) => lies && until > at).length >= room) return false;
  const own = task.clamps;
  if (!own) return true;
  for (const { until, clamps: held } of holding)
    if (until > at && held && !isEnough(clamps, holding, own, held.span, at)) return false;
  return isEnough(clamps, holding, own, own.span, at);
}

/** The earliest time from one on at which clamps and room are there. */
export function freeFrom(
  problem: Pick<Problem, 'room' | 'clamps'>,
  holding: readonly Holding[],
  task: Node['task'],
  from: Instant,
): Instant {
  if (isThere(problem, holding, task, from)) return from;
  const times = [from, ...holding.map(({ until }) => until).filter((until) => until > from)].sort((a, b) => a - b);
  return times.find((at) => isThere(problem, holding, task, at)) ?? nth(times, times.length - 1);
}

/** Minutes that a task takes from a start on: longer where what it goes on has hardened. */
export function lateBy(
  fresh: Node['fresh'],
  ends: ArrayLike<Instant>,
  { now }: Pick<Problem, 'now'>,
  start: Instant,
): number {
  if (fresh === null) return 0;
  return start > (fresh.at === null ? now : nth(ends, fresh.at)) + fresh.within ? fresh.extra : 0;
}

/** A problem by numbers, and what a bench of it begins with: kept with it, as it is laid out hundreds of times. */
type Flat = {
  readonly missing: Int32Array;
  readonly ready: Float64Array;
  readonly open: readonly number[];
  readonly minutes: Float64Array;
  readonly scarce: Float64Array;
  /** From when to when it may be done in each window; never where it may not. Tasks of one kind of time share one. */
  readonly from: readonly Float64Array[];
  readonly to: readonly Float64Array[];
  /** Whether it may wait for clamps or room, or take longer where it comes late. */
  readonly isPlain: Uint8Array;
  /** What follows each, from its first row up to that of the next: which, and how long after it. */
  readonly rows: Int32Array;
  readonly next: Int32Array;
  readonly wait: Float64Array;
  /** What it is work on, and with which tool: alike where the number is. */
  readonly of: Int32Array;
  readonly tool: Int32Array;
};
const flats = new WeakMap<Problem, Flat>();
/** Where nothing is. */
export const NOTHING = -1;

function newFlat({ nodes, now }: Problem): Flat {
  const missing = Int32Array.from(nodes, ({ before }) => before.length);
  const bySpans = new Map<Node['spans'], readonly [Float64Array, Float64Array]>();
  const times = nodes.map(({ spans }) => {
    const known = bySpans.get(spans);
    const made = known ?? [
      Float64Array.from(spans, (span) => span?.from ?? Infinity),
      Float64Array.from(spans, (span) => span?.to ?? -Infinity),
    ];
    bySpans.set(spans, made);
    return made;
  });
  const rows = new Int32Array(nodes.length + 1);
  nodes.forEach(({ next }, at) => (rows[at + 1] = rows[at]! + next.length));
  const lags = nodes.flatMap(({ next }) => next);
  const names = new Map<string, number>();
  const numberOf = (name: string): number => {
    const known = names.get(name) ?? names.size;
    names.set(name, known);
    return known;
  };
  return {
    missing,
    ready: Float64Array.from(nodes, ({ release }) => Math.max(now, release)),
    open: nodes.flatMap((_, at) => (missing[at] === 0 ? [at] : [])),
    minutes: Float64Array.from(nodes, ({ minutes }) => minutes),
    scarce: Float64Array.from(nodes, ({ scarce }) => scarce),
    from: times.map(([from]) => from),
    to: times.map(([, to]) => to),
    isPlain: Uint8Array.from(nodes, ({ task, fresh }) => Number(!task.lies && task.clamps === null && fresh === null)),
    ...{ rows, next: Int32Array.from(lags, ({ at }) => at), wait: Float64Array.from(lags, ({ wait }) => wait) },
    of: Int32Array.from(nodes, ({ task }) => numberOf(`of ${task.of}`)),
    tool: Int32Array.from(nodes, ({ task }) => (task.tool === null ? NOTHING : numberOf(`tool ${task.tool}`))),
  };
}

/** @returns the same for the same problem. */
export function flatOf(problem: Problem): Flat {
  const flat = flats.get(problem) ?? newFlat(problem);
  flats.set(problem, flat);
  return flat;
}

/** Where no time fits. */
const NOWHERE = -1;

/** Work as it is laid out bit by bit: what is done, held and open. */
export class WorkBench {
  readonly puts: Put[] = [];
  readonly ends: Float64Array;
  private readonly flat: Flat;
  private readonly missing: Int32Array;
  private readonly ready: Float64Array;
  private readonly open: number[];
  private holding: Holding[] = [];

  constructor(readonly problem: Problem) {
    this.flat = flatOf(problem);
    const { missing, ready, open } = this.flat;
    this.ends = new Float64Array(missing.length);
    this.missing = missing.slice();
    this.ready = ready.slice();
    this.open = open.slice();
  }

  /** Tasks that everything before is done of, if not yet over; the same list all along, as it changes. */
  opened(): readonly number[] {
    return this.open;
  }

  isDone(): boolean {
    return this.puts.length === this.missing.length;
  }

  /** When a task could start in a window from a time on; less than 0 where it does not fit. */
  startIn(at: number, window: number, from: Instant): Instant {
    const { minutes, from: begins, to: ends, isPlain } = this.flat;
    const to = ends[at]![window]!;
    const early = Math.max(from, this.ready[at]!, begins[at]![window]!);
    if (!(early + minutes[at]! <= to)) return NOWHERE;
    if (isPlain[at] === 1) return early;
    const start = freeFrom(this.problem, this.holding, this.problem.nodes[at]!.task, early);
    return start + this.lasts(at, start) > to ? NOWHERE : start;
  }

  /** Minutes that a task takes from a start on. */
  private lasts(at: number, start: Instant): number {
    const { fresh, minutes, over } = this.problem.nodes[at]!;
    // What runs over the longest time there is has no room to be sanded in: it only takes longer.
    return minutes + (over > 0 ? 0 : lateBy(fresh, this.ends, this.problem, start));
  }

  /** A task put in a window at a start that fits. */
  putAt(at: number, window: number, start: Instant): Put {
    const late = lateBy(this.problem.nodes[at]!.fresh, this.ends, this.problem, start);
    return { at, window, start, end: start + this.lasts(at, start), late };
  }

  /** Where a task could be put in a window from a time on; null where it does not fit. */
  fit(at: number, window: number, from: Instant): Put | null {
    const start = this.startIn(at, window, from);
    return start < 0 ? null : this.putAt(at, window, start);
  }

  /** Puts a task that is open where it fits. */
  put(one: Put): void {
    const { at, start, end } = one;
    const { rows, next, wait } = this.flat;
    this.puts.push(one);
    this.open.splice(this.open.indexOf(at), 1);
    this.ends[at] = end;
    for (let row = rows[at]!; row < rows[at + 1]!; row++) {
      const then = next[row]!;
      const from = end + wait[row]!;
      if (from > this.ready[then]!) this.ready[then] = from;
      if (--this.missing[then]! === 0) this.open.push(then);
    }
    const holding = holdingOf(this.problem.nodes[at]!.task, end);
    if (holding) this.holding = [...this.holding.filter(({ until }) => until > start), holding];
  }

  laid(): WorkLaid {
    return laidOf(this.problem, this.puts);
  }
}

/** What comes of tasks where they stand. */
function laidOf(problem: Problem, puts: readonly Put[]): WorkLaid {
  const { tool } = flatOf(problem);
  let [changes, end, sessions, window, last] = [0, problem.now + 1, 0, NOTHING, NOTHING];
  for (const put of puts) {
    end = Math.max(end, put.end + problem.nodes[put.at]!.task.wait);
    if (put.window !== window) [sessions, window, last] = [sessions + 1, put.window, NOTHING];
    const own = tool[put.at]!;
    if (own !== NOTHING && own !== last) changes++;
    last = own;
  }
  return { puts, day: dayBy(problem.zone, end), sessions, changes };
}
