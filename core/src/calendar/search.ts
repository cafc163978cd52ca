import { seeded } from '../cutting';
import { nth } from '../lists';
import { asBefore, type Stood } from './as-before';
import { boundOf, daysApart, dueFor, type Bound, type Effort } from './bound';
import { exactly } from './exact';
import { listPass, type Rule } from './list-pass';
import type { Problem } from './problem';
import { isBetter, type WorkLaid } from './work-bench';

export type Found = {
  readonly laid: WorkLaid | null;
  /** The day before which nothing can be ready; null where a year is too short. */
  readonly bound: Bound | null;
  /** No earlier day is possible. */
  readonly proved: boolean;
};

const PATIENCE = [0, 20, 60] as const;
/** Minutes of rank that going on with the same tool is worth: less than an evening. */
const STICK = [60, 0, 600] as const;
/** Minutes of rank that it is worth to keep rare time for what fits no other. */
const THRIFT = [10_000, 0, 40_000] as const;
/** Passes for one day in which what came too late comes sooner in the next, and how much, of what it was late by. */
const MENDS = { quick: 0, full: 200 } as const;
const [MEND, JOLT] = [0.6, 240] as const;
/** Days tried after the bound before what was found stands. */
const MOST_DAYS = { quick: 1, full: 14 } as const;
/** Nodes of the exact search, and the most tasks that it is tried on. */
const NODES = { quick: 0, full: 40_000 } as const;
const FEW = 14;

/** The best of some passes; those that run out of time are none. */
function bestOf(problem: Problem, rules: Iterable<Rule>, until: (laid: WorkLaid) => boolean): WorkLaid | null {
  let best: WorkLaid | null = null;
  for (const rule of rules) {
    const laid = listPass(problem, rule);
    if (laid && (!best || isBetter(laid, best))) best = laid;
    if (best && until(best)) break;
  }
  return best;
}

function* rulesFor(rank: readonly number[], effort: Effort): Generator<Rule> {
  for (const thrift of THRIFT)
    for (const patience of effort === 'full' ? PATIENCE : PATIENCE.slice(0, 1))
      for (const stick of effort === 'full' ? STICK : STICK.slice(0, 1)) yield { rank, patience, stick, thrift };
}

/**
 * Passes for one day, each after what went wrong in the one before: what was over later than it is due ranks higher by
 * that, and a little by chance, so that no two are alike (squeaky wheels are greased).
 *
 * @param begun how tasks rank in the first of them, and now and then anew.
 */
export function mended(
  problem: Problem,
  day: number,
  due: readonly number[],
  begun: readonly number[],
  passes: number,
  random: () => number,
): WorkLaid | null {
  let best: WorkLaid | null = null;
  let rank = [...begun];
  for (let k = 0; k < passes; k++) {
    const thrift = random() * nth(THRIFT, 2);
    const laid = listPass(problem, { rank, patience: nth(PATIENCE, k % 3), stick: nth(STICK, k % 3), thrift });
    if (!laid) return best;
    if (!best || isBetter(laid, best)) best = laid;
    if (laid.day <= day) return best;
    const next = k % 40 === 39 ? [...begun] : [...rank];
    for (const { at, end } of laid.puts) {
      const late = end - nth(due, at);
      next[at] = nth(next, at) - (late > 0 ? MEND * late : 0) - random() * JOLT;
    }
    rank = next;
  }
  return best;
}

/** With windows left out one by one, those with least in them first, where it is ready as soon all the same. */
export function fewerSessions(problem: Problem, laid: WorkLaid): WorkLaid {
  const rank = dueFor(problem, laid.day);
  if (!rank) return laid;
  const used = new Map<number, number>();
  laid.puts.forEach(({ window, start, end }) => used.set(window, (used.get(window) ?? 0) + end - start));
  const shut = new Set<number>();
  problem.windows.forEach((window, at) => {
    if (!used.has(at) && window.day <= laid.day) shut.add(at);
  });
  let best = laid;
  for (const [window] of [...used].sort((a, b) => a[1] - b[1])) {
    const without = new Set([...shut, window]);
    const rules = THRIFT.map((thrift): Rule => ({ rank, patience: 0, stick: STICK[0], thrift, shut: without }));
    const next = bestOf(problem, rules, (one) => one.day <= best.day);
    if (!next || next.day > best.day) continue;
    shut.add(window);
    if (isBetter(next, best)) best = next;
  }
  const tidy = STICK.map((stick): Rule => ({ rank, patience: 0, stick: 4 * stick, thrift: THRIFT[0], shut }));
  const tidier = bestOf(problem, tidy, () => false);
  return tidier && isBetter(tidier, best) ? tidier : best;
}

/** Tasks as they are listed, or, where time runs out so, by what is due first; null where it does either way. */
function asListed(problem: Problem): WorkLaid | null {
  const listed: Rule = { rank: problem.nodes.map((_, at) => 10 * at), patience: 0, stick: 0, thrift: 0 };
  const laid = listPass(problem, listed);
  if (laid) return laid;
  const rank = dueFor(problem, (problem.windows.at(-1)?.day ?? 0) + 1);
  return rank && listPass(problem, { ...listed, rank });
}

/** What passes for one day after the other come to: from one that nothing speaks against up to before another. */
function soonest(problem: Problem, effort: Effort, begun: WorkLaid, from: number, before: number): WorkLaid {
  const random = seeded(problem.nodes.length);
  let best = begun;
  for (const { day, due } of daysApart(problem, from, Math.min(begun.day, before, from + MOST_DAYS[effort]))) {
    if (day >= best.day) break;
    const found = bestOf(problem, rulesFor(due, effort), (laid) => laid.day <= day);
    if (found && isBetter(found, best)) best = found;
    const again = best.day > day ? mended(problem, day, due, due, MENDS[effort], random) : null;
    if (again && isBetter(again, best)) best = again;
  }
  return best;
}

/** All ways there are, where tasks are few; null where they are not, or none are to be gone through. */
const ofFew = (problem: Problem, effort: Effort, laid: WorkLaid, from: number) =>
  problem.nodes.length <= FEW && NODES[effort] > 0 ? exactly(problem, laid, from, NODES[effort]) : null;

/**
 * A day before another on which all can be ready, the earliest that is found; null where there is none. Where the bound
 * says so nothing is searched.
 */
export function searchBefore(problem: Problem, effort: Effort, before: number): number | null {
  const bound = boundOf(problem, before, effort);
  const first = bound && bound.day < before ? asListed(problem) : null;
  if (!bound || !first) return null;
  const laid = soonest(problem, effort, first, bound.day, before);
  const { day } = (ofFew(problem, effort, laid, bound.day) ?? { laid }).laid;
  return day < before ? day : null;
}

/**
 * The earliest day on which all is ready, then the fewest sessions, then the least setting up: passes that take what is
 * due first, for the earliest day that nothing speaks against and the days after it; of few tasks all ways there are;
 * and as it stood before.
 */
export function search(problem: Problem, effort: Effort, stood: Stood | null = null): Found {
  const first = asListed(problem);
  if (!first) return { laid: null, bound: null, proved: false };
  const bound = boundOf(problem, first.day, effort);
  if (!bound) return { laid: first, bound: null, proved: false };
  let best = soonest(problem, effort, first, bound.day, Infinity);
  const before = stood && asBefore(problem, stood);
  if (before && isBetter(before, best)) best = before;
  if (effort === 'full') {
    const due = dueFor(problem, best.day);
    const again = due && bestOf(problem, rulesFor(due, effort), () => false);
    if (again && isBetter(again, best)) best = again;
    best = fewerSessions(problem, best);
  }
  const isOpen = best.day > bound.day;
  const exact = ofFew(problem, effort, best, bound.day);
  if (exact) return { laid: exact.laid, bound, proved: exact.laid.day <= bound.day || exact.isAll };
  return { laid: best, bound, proved: !isOpen };
}
