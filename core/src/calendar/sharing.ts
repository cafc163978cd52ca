import type { IntegerSolver } from '../cutting';
import { nth, sure } from '../lists';
import { deadlines, heads } from './bound';
import type { Instant } from './instant';
import { isThere, WorkBench, type Put, type WorkLaid } from './list-pass';
import { oneByOne, putIn, type InWindow } from './one-by-one';
import type { Problem } from './problem';
import { endOfDay } from './windows';

type Column = { readonly cost: number; readonly rows: [number, number][] };
/** A task in a window: its column, the earliest it could end there, and the latest it could be begun. */
type Place = { readonly window: number; readonly column: number; readonly end: Instant; readonly latest: Instant };

/** A place, and how much of it counts. */
type Share = readonly [Place, number];

/** Branches of an integer program. */
const NODES = 4000;
/** Rounds in which parts of tasks may lie in a window each: quick, and most of what is asked shows in them. */
const ROUNDS = 14;
/** Answers for which no order was found at the bench after which none is looked for. */
const TRIES = 6;
/** What is less is nothing. */
const NOTHING = 1e-6;

/** Tasks shared out among windows, as an integer program that is asked more as answers break it. */
type Sharing = {
  readonly problem: Problem;
  /** By task. */
  readonly places: readonly ReadonlyMap<number, Place>[];
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
function newSharing(problem: Problem, day: number): Sharing | null {
  const { nodes, windows } = problem;
  const due = deadlines(problem, endOfDay(problem.zone, day));
  const ends = heads(problem);
  if (!due || ends.some((end) => end === null)) return null;
  const columns: Column[] = [];
  const places = nodes.map((node, at): ReadonlyMap<number, Place> => {
    const own = new Map<number, Place>();
    for (const window of node.open) {
      const span = sure(node.spans[window], 'span');
      const end = Math.max(span.from, sure(nth(ends, at), 'end') - node.minutes) + node.minutes;
      const by = Math.min(span.to, nth(due, at));
      if (end > by) continue;
      own.set(window, { window, column: columns.length, end, latest: by - node.minutes });
      columns.push({ cost: 0, rows: [[at, 1]] });
    }
    return own;
  });
  if (places.some((own) => own.size === 0)) return null;
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
        const place = nth(places, at).get(w);
        return place && (spans === windows || node.spans === spans) ? [[place, -node.minutes]] : [];
      });
      ask(span.from - span.to, inside);
    }
  });
  return { problem, places, columns, need, ask, ordered: new Set() };
}

/**
 * Asks that nothing stands in a window before what it waits for can be over: of each two tasks where an answer breaks
 * that most. Asked of all windows at once each answer takes three times as long.
 *
 * @returns how often that was.
 */
function askForOrder({ problem: { nodes }, places, ask, ordered }: Sharing, x: readonly number[]): number {
  const known = ordered.size;
  const shareOf = (rows: readonly Place[]) => rows.reduce((sum, { column }) => sum + nth(x, column), 0);
  nodes.forEach((node, own) =>
    node.before.forEach(({ at: first, wait }) => {
      const mine = [...nth(places, own).values()];
      const others = [...nth(places, first).values()];
      let [most, worst] = [NOTHING, null as { key: string; after: readonly Place[]; before: readonly Place[] } | null];
      mine.forEach(({ window, latest }, k) => {
        const key = `${own} ${first} ${window}`;
        const after = mine.slice(0, k + 1);
        const before = others.filter((one) => one.window <= window && one.end + wait <= latest);
        const by = shareOf(after) - shareOf(before);
        if (by > most && !ordered.has(key)) [most, worst] = [by, { key, after, before }];
      });
      if (!worst) return;
      const { key, after, before } = worst;
      ordered.add(key);
      ask(0, [...after.map((one): Share => [one, -1]), ...before.map((one): Share => [one, 1])]);
    }),
  );
  return ordered.size - known;
}

const asked = ({ problem, places }: Sharing, at: number, window: number): InWindow | null => {
  const place = nth(places, at).get(window);
  const { minutes } = nth(problem.nodes, at);
  return place ? { at, from: place.end - minutes, to: place.latest + minutes } : null;
};

/** Tasks in each window, by an answer. */
function inWindows({ problem: { nodes, windows }, places }: Sharing, x: readonly number[]): readonly number[][] {
  const rows: number[][] = windows.map(() => []);
  nodes.forEach((_, at) => {
    for (const { window, column } of nth(places, at).values()) if (nth(x, column) > 0.5) nth(rows, window).push(at);
  });
  return rows;
}

/** Asks that tasks for which a window has no order are never all in it, nor in one that is no better for them. */
function askForRoom(sharing: Sharing, x: readonly number[]): number {
  const { problem, places, ask } = sharing;
  const { nodes, windows } = problem;
  let count = 0;
  inWindows(sharing, x).forEach((tasks, w) => {
    let rows = tasks.map((at) => sure(asked(sharing, at, w), 'place'));
    if (rows.length < 2 || oneByOne(nodes, rows) !== null) return;
    for (const one of rows) {
      const without = rows.filter((other) => other !== one);
      if (oneByOne(nodes, without) === null) rows = without;
    }
    count++;
    const { from } = nth(windows, w);
    windows.forEach((window, v) => {
      const isWorse = ({ at, from: begin, to }: InWindow): boolean => {
        const there = asked(sharing, at, v);
        return there !== null && there.from - window.from >= begin - from && there.to - window.from <= to - from;
      };
      if (rows.every(isWorse))
        ask(
          1 - rows.length,
          rows.map(({ at }): Share => [sure(nth(places, at).get(v), 'place'), -1]),
        );
    });
  });
  return count;
}

/**
 * Asks that tasks of a window that each hold clamps and room till the others must be begun, and what holds them past
 * all of it, are never more than there is for.
 *
 * @returns whether an answer broke that where a task of it had nothing left.
 */
function askForHands(sharing: Sharing, at: number, window: number, x: readonly number[]): boolean {
  const { problem, places, ask } = sharing;
  const taskOf = (one: number) => nth(problem.nodes, one).task;
  const placeOf = (one: number, w: number): Place => sure(nth(places, one).get(w), 'place');
  const isHolding = ({ wait, clamps, lies }: ReturnType<typeof taskOf>) => wait > 0 && (clamps !== null || lies);
  const areTogether = (group: readonly number[], w: number): boolean =>
    group.every((one) => nth(places, one).has(w)) &&
    group.every((a) => group.every((b) => a === b || placeOf(a, w).end + taskOf(a).wait > placeOf(b, w).latest));
  /** Where a task of an earlier window holds what it holds till the last of a group must be begun. */
  const holds = (first: number, group: readonly number[], w: number): readonly Place[] => {
    const until = Math.max(...group.map((one) => placeOf(one, w).latest));
    return [...nth(places, first).values()].filter(
      (place) => place.window < w && place.end + taskOf(first).wait > until,
    );
  };
  const isCrowded = (group: readonly number[], held: readonly number[]): boolean =>
    group.every((last) => {
      const others = [...group, ...held]
        .filter((one) => one !== last)
        .map((one) => ({ ...taskOf(one), until: Infinity }));
      return !isThere(problem, others, taskOf(last), 0);
    });
  const isThen = ({ column }: Place): boolean => nth(x, column) > 0.5;
  let group: readonly number[] = nth(inWindows(sharing, x), window)
    .filter((one) => one !== at && isHolding(taskOf(one)))
    .reduce((rows: readonly number[], one) => (areTogether([...rows, one], window) ? [...rows, one] : rows), [at]);
  let held: readonly number[] = problem.nodes.flatMap(({ task }, one) =>
    !group.includes(one) && isHolding(task) && holds(one, group, window).some(isThen) ? [one] : [],
  );
  if (!isCrowded(group, held)) return false;
  for (const one of [...group, ...held]) {
    const [fewer, less] = [group, held].map((rows) => rows.filter((other) => other !== one)) as [number[], number[]];
    if (fewer.length > 0 && isCrowded(fewer, less)) [group, held] = [fewer, less];
  }
  for (const w of nth(places, nth(group, 0)).keys())
    if (areTogether(group, w))
      ask(
        1 - group.length - held.length,
        [...group.map((one) => placeOf(one, w)), ...held.flatMap((one) => holds(one, group, w))].map((place): Share => [
          place,
          -1,
        ]),
      );
  return true;
}

/** What an answer comes to at the bench, window by window; or the window in which there was no time, clamps or room. */
function laidAs(sharing: Sharing, x: readonly number[]): WorkLaid | number {
  const { problem } = sharing;
  let puts: readonly Put[] = [];
  for (const [window, tasks] of inWindows(sharing, x).entries()) {
    const found = putIn(problem, puts, window, tasks);
    if (!found) return window;
    puts = found;
  }
  const bench = new WorkBench(problem);
  puts.forEach((put) => bench.put(put));
  return bench.laid();
}

/**
 * Whether work can be shared out among windows so that all is ready by a day. An integer program shares it out; what
 * an answer does not keep of the order of tasks, of a window's length gone through one by one, of clamps and room, is
 * asked of the next (logic-based Benders decomposition, Hooker and Ottosson 2003). What is asked holds for every plan,
 * so a no is a proof.
 *
 * @returns `refuted` where it can not; the work laid out where it can; `open` where neither was found out.
 */
export function sharedOut(
  problem: Problem,
  day: number,
  integer: IntegerSolver,
  stopped: () => boolean,
): 'refuted' | 'open' | WorkLaid {
  const sharing = newSharing(problem, day);
  if (!sharing) return 'refuted';
  const { columns, need, places, ask } = sharing;
  const answer = (nodes: number) => integer({ columns, need, exact: problem.nodes.length, below: 1, nodes }, stopped);
  for (let round = 0; round < ROUNDS; round++) {
    const { x, complete } = answer(0);
    if (!x) return complete ? 'refuted' : 'open';
    if (askForOrder(sharing, x) === 0) break;
  }
  let tried = 0;
  while (!stopped() && tried < TRIES) {
    const { x, complete } = answer(NODES);
    if (!x) return complete && tried === 0 ? 'refuted' : 'open';
    if (askForOrder(sharing, x) > 0 || askForRoom(sharing, x) > 0) continue;
    const laid = laidAs(sharing, x);
    if (typeof laid !== 'number') return laid.day <= day ? laid : 'open';
    const tasks = nth(inWindows(sharing, x), laid);
    if (tasks.some((at) => askForHands(sharing, at, laid, x))) continue;
    // Another way to share out may do; from here on a no proves nothing.
    tried++;
    ask(
      1 - tasks.length,
      tasks.map((at): Share => [sure(nth(places, at).get(laid), 'place'), -1]),
    );
  }
  return 'open';
}
