import type { IntegerSolver } from '../cutting';
import { nth } from '../lists';
import type { WorkLaid } from './list-pass';
import type { Problem } from './problem';
import { askForOrder, askForOther, askForRoom, insideOf, isAfter, laidAs, newSharing, type Sharing } from './sharing';

/** Rounds in which an answer in parts of tasks is asked for their order: at the beginning, and at each branch. */
const [ROUNDS, AGAIN] = [25, 4] as const;
/** Branches gone through one by one; then the solver goes on by itself, with so many of its own. */
const [BRANCHES, NODES] = [40, 4000] as const;
/** A solver that found nothing the third time it is asked whether it shall go on does not find it quickly. */
const CHECKS = 3;
/** Answers for which no order was found at the bench after which none is looked for. */
const TRIES = 6;
/** What is less than this off whole is whole. */
const WHOLE = 1e-4;
/** Loud work has few hours: what becomes of it decides most. */
const LOUD = 3;
/** What is split is told by its minutes and so many more. */
const SMALL = 20;

type Answer = 'refuted' | 'open' | WorkLaid;

/** The places that are left to each task: the first and the last of them. */
type Left = { readonly low: number[]; readonly high: number[] };

/** Leaves to each task the places that those before and after it leave; false where one has none. */
function drawn({ places, apart }: Sharing, { low, high }: Left): boolean {
  for (let isAgain = true; isAgain;) {
    isAgain = false;
    for (const { first, own, lag } of apart) {
      const [mine, others] = [nth(places, own), nth(places, first)];
      const [from, to] = [nth(low, own), nth(high, first)];
      let [begin, end] = [from, to];
      while (begin <= nth(high, own) && !isAfter(nth(mine, begin), nth(others, nth(low, first)), lag)) begin++;
      if (begin > nth(high, own)) return false;
      while (end >= nth(low, first) && !isAfter(nth(mine, nth(high, own)), nth(others, end), lag)) end--;
      if (end < nth(low, first)) return false;
      isAgain ||= begin > from || end < to;
      [low[own], high[first]] = [begin, end];
    }
  }
  return true;
}

/** Where an answer splits a task most: after which of its places, and how much of it stands up to there. */
type Split = { readonly own: number; readonly after: number; readonly share: number };
function mostSplit({ problem: { nodes }, places }: Sharing, { low, high }: Left, x: readonly number[]): Split | null {
  let [most, split] = [0, null as Split | null];
  places.forEach((mine, own) => {
    const { task, minutes } = nth(nodes, own);
    let share = 0;
    for (let after = nth(low, own); after < nth(high, own); after++) {
      share += nth(x, nth(mine, after).column);
      const by = Math.min(share, 1 - share);
      const value = by * (SMALL + minutes) * (task.loud ? LOUD : 1);
      if (by > WHOLE && value > most) [most, split] = [value, { own, after, share }];
    }
  });
  return split;
}

/** An answer of the solver in so many branches; in parts of tasks where that is none. */
const answered = (
  { problem, columns, need }: Sharing,
  integer: IntegerSolver,
  nodes: number,
  stopped: () => boolean,
  own: Sharing['columns'] = columns,
) => integer({ columns: own, need, exact: problem.nodes.length, below: 1, nodes }, stopped);

/** Asks answers in parts of tasks for their order, as long as they break it; or so often. */
function inOrder(sharing: Sharing, integer: IntegerSolver, stopped: () => boolean): 'refuted' | 'open' {
  for (let round = 0; round < ROUNDS; round++) {
    const { x, complete } = answered(sharing, integer, 0, stopped);
    if (!x) return complete ? 'refuted' : 'open';
    if (askForOrder(sharing, x) === 0) break;
  }
  return 'open';
}

/** Goes through branches: each answer in parts of tasks either is whole, or splits one that then stands on a side. */
function branched(
  sharing: Sharing,
  integer: IntegerSolver,
  tryOut: (x: readonly number[]) => WorkLaid | 'other',
  stopped: () => boolean,
): Answer {
  const { places, columns } = sharing;
  let left = BRANCHES;
  /** An answer with what is left to each task; its columns are those of all. */
  const inParts = ({ low, high }: Left) => {
    const own = places.flatMap((mine, at) => mine.slice(nth(low, at), nth(high, at) + 1).map(({ column }) => column));
    const mine = own.map((column) => nth(columns, column));
    const { x, complete } = answered(sharing, integer, 0, stopped, mine);
    if (!x) return { x, complete };
    const all = columns.map(() => 0);
    own.forEach((column, k) => (all[column] = nth(x, k)));
    return { x: all, complete };
  };
  const visit = (range: Left): Answer => {
    if (left-- <= 0) return 'open';
    let rounds: number = AGAIN;
    for (;;) {
      if (stopped()) return 'open';
      if (!drawn(sharing, range)) return 'refuted';
      const { x, complete } = inParts(range);
      if (!x) return complete ? 'refuted' : 'open';
      const asked = askForOrder(sharing, x);
      if (asked > 0 && rounds-- > 0) continue;
      const split = mostSplit(sharing, range, x);
      if (split) return parted(range, split);
      if (asked > 0) continue;
      const laid = tryOut(x.map(Math.round));
      if (laid !== 'other') return laid;
    }
  };
  const parted = ({ low, high }: Left, { own, after, share }: Split): Answer => {
    const sooner = { low: [...low], high: high.map((k, at) => (at === own ? after : k)) };
    const later = { low: low.map((k, at) => (at === own ? after + 1 : k)), high: [...high] };
    let isOpen = false;
    for (const side of share > 0.5 ? [sooner, later] : [later, sooner]) {
      const found = visit(side);
      if (typeof found !== 'string') return found;
      isOpen ||= found === 'open';
      if (left <= 0 && isOpen) break;
    }
    return isOpen ? 'open' : 'refuted';
  };
  return visit({ low: places.map(() => 0), high: places.map((mine) => mine.length - 1) });
}

/**
 * Whether work can be shared out among windows so that all is ready by a day. A program in whole numbers shares it out;
 * what an answer does not keep of the order of tasks, and of a window's hands, clamps and room gone through one by one,
 * is asked of the next (logic-based Benders decomposition, Hooker and Ottosson 2003). What is asked holds for every
 * plan, so a no is a proof. Where the solver has no answer quickly, branches are gone through here: what is between two
 * tasks tells more of them than the solver knows (branch and cut).
 *
 * @returns `refuted` where it can not; the work laid out where it can; `open` where neither was found out.
 */
export function sharedOut(problem: Problem, day: number, integer: IntegerSolver, stopped: () => boolean): Answer {
  const sharing = newSharing(problem, day);
  if (!sharing) return 'refuted';
  let tried = 0;
  /** A whole answer at the bench; where it is none, what it breaks is asked of the next. */
  const tryOut = (x: readonly number[]): WorkLaid | 'other' => {
    if (askForOrder(sharing, x) > 0) return 'other';
    const inside = insideOf(sharing, x);
    if (askForRoom(sharing, inside) > 0) return 'other';
    const laid = laidAs(sharing, inside);
    if (typeof laid !== 'number') return laid;
    // Another way to share out may do; from here on a no proves nothing.
    tried++;
    askForOther(sharing, inside, laid);
    return 'other';
  };
  const kept = (answer: Answer): Answer => {
    const isNone = typeof answer === 'string' ? answer === 'refuted' && tried > 0 : answer.day > day;
    return isNone ? 'open' : answer;
  };
  /** Answers of the solver, one after the other, while it has any. */
  const solved = (isQuick: boolean): Answer => {
    while (!stopped() && tried < TRIES) {
      let checks = 0;
      const { x, complete } = answered(sharing, integer, NODES, () => (isQuick && ++checks >= CHECKS) || stopped());
      if (!x) return complete ? 'refuted' : 'open';
      const laid = tryOut(x);
      if (laid !== 'other') return laid;
    }
    return 'open';
  };
  if (inOrder(sharing, integer, stopped) === 'refuted') return 'refuted';
  for (const go of [() => solved(true), () => branched(sharing, integer, tryOut, stopped), () => solved(false)]) {
    const answer = kept(go());
    if (answer !== 'open' || stopped()) return answer;
  }
  return 'open';
}
