import { seeded, type IntegerSolver, type LinearProgram } from '../cutting';
import { nth } from '../lists';
import { drawIn, type Left } from './order';
import type { Problem } from './problem';
import { mended } from './search';
import { askForOrder, askForOther, askForRoom, insideOf, laidAs, newSharing, type Sharing } from './sharing';
import type { WorkLaid } from './work-bench';

/** Branches after which it stays open. */
const BRANCHES = 3000;
/** Rounds in which an answer in parts of tasks is asked for their order: at the beginning, and at each branch. */
const [ROUNDS, AGAIN] = [25, 4] as const;
/** Splits that are looked at before one is chosen. */
const LOOKS = 4;
/** Answers for which no order was found at the bench after which none is looked for. */
const TRIES = 6;
/** What is less than this off whole is whole. */
const WHOLE = 1e-4;
/** No window is fuller than it is long: a minute more would be more than this. */
const FULL = 1 + 1e-4;
/** Less than this is no gain. */
const LEAST_GAIN = 1e-4;
/** Loud work has few hours: what becomes of it decides most. */
const LOUD = 3;
/** What is split is told by its minutes and so many more. */
const SMALL = 20;
/** Ways to read an answer in parts as an order of tasks, at the beginning, and passes by each. */
const WAYS = Array.from({ length: 32 }, (_, k) => (k + 1) / 32);
const PASSES = 8;

type Answer = 'refuted' | 'open' | WorkLaid;

/** An answer in parts of tasks, and how full the fullest window is by it: no way to share out has it less full. */
type Parts = { readonly x: readonly number[]; readonly full: number };

/** A branch: what is left to each task, how full it is at least, and how often its order is asked for. */
type Branch = { readonly left: Left; readonly full: number; readonly rounds: number };

/** Answers in parts of tasks, each from where the last was found; null where there is none. */
function partsBy({ places, full, rows }: Sharing, program: LinearProgram): (left: Left) => Parts | null | 'open' {
  let asked = 0;
  return ({ low, high }) => {
    program.add(rows.slice(asked));
    asked = rows.length;
    const most = new Float64Array(full + 1);
    places.forEach((own, at) =>
      own.forEach(({ column }, k) => (most[column] = Number(nth(low, at) <= k && k <= nth(high, at)))),
    );
    most[full] = FULL;
    program.limit(most);
    const x = program.solve();
    return x === null || x === 'open' ? x : { x, full: nth(x, full) };
  };
}

/** Where an answer splits a task: after which of its places, and how much of it stands up to there. */
type Split = { readonly own: number; readonly after: number; readonly share: number; readonly value: number };

/** Splits of an answer, each of another task, those that decide most first. */
function splitsOf({ problem: { nodes }, places }: Sharing, { low, high }: Left, { x }: Parts): readonly Split[] {
  return places
    .flatMap((mine, own): Split[] => {
      const { task, minutes } = nth(nodes, own);
      let share = 0;
      let most: Split | null = null;
      for (let after = nth(low, own); after < nth(high, own); after++) {
        share += nth(x, nth(mine, after).column);
        const by = Math.min(share, 1 - share);
        const value = by * (SMALL + minutes) * (task.loud ? LOUD : 1);
        if (by > WHOLE && value > (most?.value ?? 0)) most = { own, after, share, value };
      }
      return most ? [most] : [];
    })
    .sort((a, b) => b.value - a.value);
}

/** Both sides of a split: a task up to a place, or after it. */
const sidesOf = ({ low, high }: Left, { own, after }: Split): readonly Left[] => [
  { low: low.slice(), high: high.with(own, after) },
  { low: low.with(own, after + 1), high: high.slice() },
];

/**
 * Passes in the order in which an answer in parts has tasks, each told by when such a part of it is over (alpha points,
 * Phillips, Stein and Wein 1998); null where none is ready in time.
 */
function passedBy({ problem, day, due, places }: Sharing, { x }: Parts, ways: readonly number[], random: () => number) {
  for (const way of ways) {
    const rank = places.map((own) => {
      let share = 0;
      const place = own.find(({ column }) => (share += nth(x, column)) >= way - WHOLE) ?? nth(own, own.length - 1);
      return place.end;
    });
    const laid = mended(problem, day, due, rank, PASSES, random);
    if (laid && laid.day <= day) return laid;
  }
  return null;
}

/**
 * Goes through branches, the least full first: each answer in parts of tasks either is whole, or splits one that then
 * stands on a side. Of some splits that is taken after which both sides are fullest (strong branching, Applegate and
 * others 1995).
 */
function branched(
  sharing: Sharing,
  partsIn: (left: Left) => Parts | null | 'open',
  tryOut: (x: readonly number[]) => WorkLaid | 'other',
  stopped: () => boolean,
): Answer {
  const { order, places } = sharing;
  const random = seeded(places.length);
  /** Both sides of the split that says most; the only one where a side of any has no answer, none where neither has. */
  const partedBy = (left: Left, { full }: Parts, splits: readonly Split[]): readonly Branch[] => {
    let [most, best] = [0, [] as readonly Branch[]];
    for (const split of splits.slice(0, LOOKS)) {
      const sides = sidesOf(left, split).flatMap((side): Branch[] => {
        const parts = drawIn(order, side) ? partsIn(side) : null;
        if (parts === null) return [];
        return [{ left: side, full: parts === 'open' ? full : parts.full, rounds: AGAIN }];
      });
      if (sides.length < 2) return sides;
      const gain = sides.reduce((product, side) => product * Math.max(LEAST_GAIN, side.full - full), 1);
      if (gain > most) [most, best] = [gain, sides];
    }
    return best;
  };
  /** What a branch comes to: branches of its own, none where it has no answer. */
  const visit = ({ left, rounds }: Branch, ways: readonly number[]): 'open' | WorkLaid | readonly Branch[] => {
    for (let round = 0; ; round++) {
      if (stopped()) return 'open';
      const parts = partsIn(left);
      if (parts === null) return [];
      if (parts === 'open') return 'open';
      const isAsked = askForOrder(sharing, parts.x) > 0;
      if (isAsked && round < rounds) continue;
      const splits = splitsOf(sharing, left, parts);
      if (splits.length > 0) return passedBy(sharing, parts, ways, random) ?? partedBy(left, parts, splits);
      const laid = isAsked ? 'other' : tryOut(parts.x);
      if (laid !== 'other') return laid;
    }
  };
  const all: Left = { low: new Int32Array(places.length), high: Int32Array.from(places, (own) => own.length - 1) };
  let open: readonly Branch[] = drawIn(order, all) ? [{ left: all, full: 0, rounds: ROUNDS }] : [];
  for (let count = 0; count < BRANCHES && open.length > 0; count++) {
    const next = open.reduce((a, b) => (b.full < a.full ? b : a), nth(open, 0));
    const found = visit(next, count === 0 ? WAYS : [random()]);
    if (found === 'open' || 'puts' in found) return found;
    open = [...open.filter((one) => one !== next), ...found];
  }
  return open.length === 0 ? 'refuted' : 'open';
}

/**
 * Whether work can be shared out among windows so that all is ready by a day. A linear program shares it out, in parts
 * of tasks and with the fullest window as empty as can be; what an answer does not keep of the order of tasks, and of a
 * window's hands, clamps and room gone through one by one, is asked of the next (branch and cut; logic-based Benders
 * decomposition, Hooker and Ottosson 2003). What is asked holds for every plan, so a no is a proof. On the way answers
 * are read as an order of tasks, which may be ready in time.
 *
 * @returns `refuted` where it can not; the work laid out where it can; `open` where neither was found out.
 */
export function sharedOut(problem: Problem, day: number, integer: IntegerSolver, stopped: () => boolean): Answer {
  const sharing = newSharing(problem, day);
  if (!sharing) return 'refuted';
  let tried = 0;
  /** A whole answer at the bench; where it is none, what it breaks is asked of the next. */
  const tryOut = (x: readonly number[]): WorkLaid | 'other' => {
    const inside = insideOf(sharing, x);
    if (askForRoom(sharing, inside) > 0) return 'other';
    const laid = laidAs(sharing, inside);
    if (typeof laid !== 'number') return laid;
    // Another way to share out may do; from here on a no proves nothing.
    tried++;
    askForOther(sharing, inside, laid);
    return 'other';
  };
  const costs = Array.from({ length: sharing.full + 1 }, (_, column) => Number(column === sharing.full));
  const program = integer.linear(costs, FULL);
  try {
    const answer = branched(sharing, partsBy(sharing, program), tryOut, () => stopped() || tried >= TRIES);
    const isNone = typeof answer === 'string' ? answer === 'refuted' && tried > 0 : answer.day > day;
    return isNone ? 'open' : answer;
  } finally {
    program.end();
  }
}
