import { first, nth, sure } from '../lists';
import type { Instant } from './instant';
import { dayBy, earliestIn, latestIn, type Node, type Problem } from './problem';
import { countFirst, endOfDay, type Span } from './windows';

/** How long is looked: one pass or two while something is typed, many where the calendar itself is looked at. */
export type Effort = 'quick' | 'full';

/** Minutes of spans that are past at an instant, and when so many of them are past: at the earliest, at the latest. */
type Gauge = {
  readonly at: (instant: Instant) => number;
  readonly earliest: (minutes: number) => Instant;
  readonly latest: (minutes: number) => Instant;
};

function newGauge(spans: readonly (Span | null)[]): Gauge {
  const rows = spans.filter((span) => span !== null);
  const before: number[] = [];
  const total = rows.reduce((sum, { from, to }) => (before.push(sum), sum + to - from), 0);
  const count = (isSo: (k: number) => boolean): number => countFirst(rows.length, isSo);
  const at = (instant: Instant): number => {
    const begun = count((k) => nth(rows, k).from < instant);
    if (begun === 0) return 0;
    const { from, to } = nth(rows, begun - 1);
    return nth(before, begun - 1) + Math.min(instant, to) - from;
  };
  const earliest = (minutes: number): Instant => {
    if (minutes <= 0) return -Infinity;
    if (minutes > total) return Infinity;
    const row = count((k) => nth(before, k) < minutes) - 1;
    return nth(rows, row).from + minutes - nth(before, row);
  };
  const latest = (minutes: number): Instant => {
    if (minutes < 0) return -Infinity;
    if (minutes >= total) return Infinity;
    const row = count((k) => nth(before, k) <= minutes) - 1;
    return nth(rows, row).from + minutes - nth(before, row);
  };
  return { at, earliest, latest };
}

const isWithin = (inner: readonly (Span | null)[], outer: readonly (Span | null)[]): boolean =>
  inner.every((span, at) => {
    const around = outer[at];
    return (
      span === null || (around !== null && around !== undefined && around.from <= span.from && span.to <= around.to)
    );
  });

/** Work that shares its time: a class for each kind of time there is, and one for all. */
type Class = { readonly members: readonly number[]; readonly gauge: Gauge };

function classesOf({ nodes, windows }: Problem): readonly Class[] {
  const kinds = [...new Set<readonly (Span | null)[]>([windows, ...nodes.map(({ spans }) => spans)])];
  return kinds.map((spans) => {
    const inside = new Map(kinds.map((other) => [other, isWithin(other, spans)]));
    return {
      members: nodes.flatMap((node, at) => (inside.get(node.spans) ? [at] : [])),
      gauge: newGauge(spans),
    };
  });
}

/** By task, all that must be done before it; or after it. */
export function allOf(nodes: readonly Node[], way: 'before' | 'next'): readonly ReadonlySet<number>[] {
  const all: Set<number>[] = nodes.map(() => new Set());
  const order = way === 'before' ? nodes.map((_, at) => at) : nodes.map((_, at) => nodes.length - 1 - at);
  for (const at of order)
    for (const row of nth(nodes, at)[way]) {
      nth(all, at).add(row.at);
      nth(all, row.at).forEach((one) => nth(all, at).add(one));
    }
  return all;
}

/** What the bounds of one problem are worked out from, once. Quickly: classes alone, nothing between its members. */
type Known = {
  readonly classes: readonly Class[];
  /** By class and task, the members that must come before it and after it. */
  readonly before: readonly (readonly (readonly number[])[])[];
  readonly after: readonly (readonly (readonly number[])[])[];
};

function knownOf(problem: Problem, effort: Effort): Known {
  const classes = classesOf(problem);
  if (effort === 'quick') return { classes, before: [], after: [] };
  const within = (all: readonly ReadonlySet<number>[]) =>
    classes.map(({ members }) => all.map((own) => members.filter((at) => own.has(at))));
  return { classes, before: within(allOf(problem.nodes, 'before')), after: within(allOf(problem.nodes, 'next')) };
}

/**
 * When each could end at the earliest, if nobody else wanted a hand than what comes before it; null where the year is
 * over before. All that comes before must have been done in its kind of time, however it is shared out.
 */
export function heads({ nodes, windows, now }: Problem, known: Known | null = null): readonly (Instant | null)[] {
  const ends: (Instant | null)[] = [];
  const starts: number[] = [];
  nodes.forEach((node, own) => {
    let from: Instant | null = Math.max(now, node.release);
    for (const { at, wait } of node.before) {
      const end: Instant | null = nth(ends, at);
      from = from === null || end === null ? null : Math.max(from, end + wait);
    }
    known?.classes.forEach(({ gauge }, k) => {
      const rows = [...(known.before[k]?.[own] ?? [])].sort((a, b) => nth(starts, b) - nth(starts, a));
      let sum = 0;
      for (const at of rows) {
        sum += nth(nodes, at).minutes;
        if (from !== null) from = Math.max(from, gauge.earliest(gauge.at(nth(starts, at)) + sum));
      }
    });
    const found = from === null || from === Infinity ? null : earliestIn(node, windows, from, node.minutes);
    ends.push(found && found.start + node.minutes);
    starts.push(found ? found.start : Infinity);
  });
  return ends;
}

/** By when each must end, so that all is ready by an instant; null where that can not be. */
function deadlines({ nodes, windows }: Problem, by: Instant, known: Known | null = null): readonly Instant[] | null {
  const ends = nodes.map(({ task }) => by - task.wait);
  const starts = nodes.map(() => 0);
  for (let own = nodes.length - 1; own >= 0; own--) {
    const node = nth(nodes, own);
    let end = nth(ends, own);
    for (const next of node.next) end = Math.min(end, nth(starts, next.at) - next.wait);
    known?.classes.forEach(({ gauge }, k) => {
      const rows = [...(known.after[k]?.[own] ?? [])].sort((a, b) => nth(ends, a) - nth(ends, b));
      let sum = 0;
      for (const at of rows) {
        sum += nth(nodes, at).minutes;
        end = Math.min(end, gauge.latest(gauge.at(nth(ends, at)) - sum));
      }
    });
    const start = end === -Infinity ? null : latestIn(node, windows, end);
    if (start === null) return null;
    starts[own] = start;
    ends[own] = start + node.minutes;
  }
  return ends;
}

/** By when each must end, so that all is ready by the end of a day; null where that can not be. */
export const dueFor = (problem: Problem, day: number): readonly Instant[] | null =>
  deadlines(problem, endOfDay(problem.zone, day));

/** A day by which all is to be ready, and by when each task must end for that. */
type DueBy = { readonly day: number; readonly due: readonly Instant[] };

/**
 * Days from one up to before another by which all may be ready. Of days that leave the same time only the last: what is
 * ready by it is ready by them.
 */
export function daysApart(problem: Problem, from: number, until: number): readonly DueBy[] {
  const days: DueBy[] = [];
  for (let day = from; day < until; day++) {
    const due = dueFor(problem, day);
    if (!due) continue;
    if (days.at(-1)?.due.every((by, at) => by === due[at])) days.pop();
    days.push({ day, due });
  }
  return days;
}

type Due = { readonly from: number; readonly by: number; left: number };

/** Whether work fits into time without gaps, put down and taken up at will: what is due first first (Jackson). */
function fitsPreempted(all: readonly Due[]): boolean {
  const rest = [...all].sort((a, b) => a.from - b.from);
  const open: Due[] = [];
  let [now, coming] = [0, 0];
  while (coming < rest.length || open.length > 0) {
    if (open.length === 0) now = Math.max(now, nth(rest, coming).from);
    while (coming < rest.length && nth(rest, coming).from <= now) open.push(nth(rest, coming++));
    const soonest = open.reduce((a, b) => (b.by < a.by ? b : a), first(open));
    const until = coming < rest.length ? nth(rest, coming).from : Infinity;
    const done = Math.min(soonest.left, until - now);
    soonest.left -= done;
    now += done;
    if (soonest.left > 0) continue;
    if (now > soonest.by) return false;
    open.splice(open.indexOf(soonest), 1);
  }
  return true;
}

/** Whether nothing speaks against all being ready by an instant: chains of waits, and hours of each kind of time. */
function mayBe(problem: Problem, known: Known, ends: readonly Instant[], by: Instant): boolean {
  const due = deadlines(problem, by, known);
  if (!due) return false;
  if (due.some((end, at) => nth(ends, at) > end)) return false;
  return known.classes.every(({ members, gauge }) =>
    fitsPreempted(
      members.map((at) => {
        const { minutes } = nth(problem.nodes, at);
        return { from: gauge.at(nth(ends, at) - minutes), by: gauge.at(nth(due, at)), left: minutes };
      }),
    ),
  );
}

/** The day before which it can not be ready, whatever is done, and whether waits alone forbid it. */
export type Bound = { readonly day: number; readonly by: 'waits' | 'hours' };

const readyBy = (problem: Problem, ends: readonly (Instant | null)[]): number =>
  Math.max(
    dayBy(problem.zone, problem.now + 1),
    ...problem.nodes.map(({ task }, at) => dayBy(problem.zone, sure(nth(ends, at), 'end') + task.wait)),
  );

/**
 * The earliest day on which everything could be ready if work could be put down and taken up at will, clamps and room
 * were endless, and what hardened never had to be sanded: no plan is ready before.
 *
 * @param latest a day on which it is ready by a plan that holds.
 * @returns null where a year is too short.
 */
export function boundOf(problem: Problem, latest: number, effort: Effort): Bound | null {
  const alone = heads(problem);
  if (alone.some((end) => end === null)) return null;
  const known = knownOf(problem, effort);
  // Quickly nothing is known beyond the chains: they are as they were.
  const ends = effort === 'quick' ? alone : heads(problem, known);
  if (ends.some((end) => end === null)) return null;
  const sooner = readyBy(problem, alone);
  let [low, high] = [readyBy(problem, ends), Math.max(readyBy(problem, ends), latest)];
  const all = ends.map((end) => sure(end, 'end'));
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (mayBe(problem, known, all, endOfDay(problem.zone, middle))) high = middle;
    else low = middle + 1;
  }
  return { day: low, by: low === sooner ? 'waits' : 'hours' };
}
