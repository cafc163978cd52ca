// Gone through a thousand times a second: tasks, places, pairs, rows and columns are told by numbers.
/* oxlint-disable typescript/no-non-null-assertion */
import type { LinearRow } from '../cutting';
import type { Apart } from './apart';
import type { Instant } from './instant';

/** A task in a window: its column, the earliest it could end there, and the latest it could be begun. */
export type Place = {
  readonly window: number;
  readonly column: number;
  readonly end: Instant;
  readonly latest: Instant;
};

/** The places that are left to each task: the first and the last of them. */
export type Left = { readonly low: Int32Array; readonly high: Int32Array };

/** What the order of tasks says of their places. Columns of a task follow each other. */
export type Order = {
  /** The first column of each task, and at the end how many there are. */
  readonly begins: Int32Array;
  /** By pair: the task that comes first, the one that follows, and where its counts begin. */
  readonly first: Int32Array;
  readonly own: Int32Array;
  readonly at: Int32Array;
  /** By place of the one that follows, how many of the first places of the other leave it time. */
  readonly counts: Int32Array;
  /** Pairs as what they leave is handed on, to those that follow and to those that come first. */
  readonly forward: Int32Array;
  readonly backward: Int32Array;
  /** By row: its pair; none of the one that follows is up to a column before the other is up to another, or none. */
  readonly pair: Int32Array;
  readonly upTo: Int32Array;
  readonly by: Int32Array;
  /** Rows that were asked for. */
  readonly isAsked: Uint8Array;
};

const NONE = -1;
/** Of one task so many rows are asked for at a time: more of them say little that is new. */
const AT_ONCE = 2;
/** What is less is nothing. */
const NOTHING = 1e-4;

/** Whether a task may be in a place while one that comes before it by so many minutes is in another. */
const isAfter = (own: Place, first: Place, lag: number): boolean =>
  first.window <= own.window && first.end + lag <= own.latest;

/** The order of tasks that are so far apart, by their places. What all places keep is left out. */
export function orderOf(apart: readonly Apart[], places: readonly (readonly Place[])[]): Order {
  const begins = [0];
  places.forEach((own) => begins.push(begins.at(-1)! + own.length));
  const pairs: Apart[] = [];
  const [at, counts, pair, upTo, by]: [number[], number[], number[], number[], number[]] = [[], [], [], [], []];
  for (const one of apart) {
    const [mine, others] = [places[one.own]!, places[one.first]!];
    let before = 0;
    const all = mine.map((place) => {
      while (before < others.length && isAfter(place, others[before]!, one.lag)) before++;
      return before;
    });
    if (all[0] === others.length) continue;
    all.forEach((count, k) => {
      // Of places that leave the other as many, the last says it for all.
      if (count === others.length || all[k + 1] === count) return;
      pair.push(pairs.length);
      upTo.push(begins[one.own]! + k);
      by.push(count === 0 ? NONE : begins[one.first]! + count - 1);
    });
    at.push(counts.length);
    counts.push(...all);
    pairs.push(one);
  }
  const numbers = pairs.map((_, k) => k);
  const handedOn = (rank: (one: Apart) => number) =>
    Int32Array.from(numbers.toSorted((a, b) => rank(pairs[a]!) - rank(pairs[b]!)));
  const plain = Int32Array.from.bind(Int32Array);
  return {
    ...{ begins: plain(begins), first: plain(pairs, ({ first }) => first), own: plain(pairs, ({ own }) => own) },
    ...{ at: plain(at), counts: plain(counts), pair: plain(pair), upTo: plain(upTo), by: plain(by) },
    forward: handedOn(({ own }) => own),
    backward: handedOn(({ first }) => -first),
    isAsked: new Uint8Array(pair.length),
  };
}

/** Leaves to each task the places that those before and after it leave; false where one has none. */
export function drawIn({ first, own, at, counts, forward, backward }: Order, { low, high }: Left): boolean {
  for (let k = 0; k < forward.length; k++) {
    const pair = forward[k]!;
    const [from, one] = [low[first[pair]!]!, own[pair]!];
    let begin = low[one]!;
    while (begin <= high[one]! && counts[at[pair]! + begin]! <= from) begin++;
    if (begin > high[one]!) return false;
    low[one] = begin;
  }
  for (let k = 0; k < backward.length; k++) {
    const pair = backward[k]!;
    const one = first[pair]!;
    const end = Math.min(high[one]!, counts[at[pair]! + high[own[pair]!]!]! - 1);
    if (end < low[one]!) return false;
    high[one] = end;
  }
  return true;
}

/** Rows that an answer breaks and that were not asked for: of each pair the one it breaks most, the worst first. */
function broken({ begins, pair, upTo, by, isAsked }: Order, x: ArrayLike<number>): readonly number[] {
  const sums = new Float64Array(begins.at(-1)!);
  for (let task = 0; task + 1 < begins.length; task++) {
    let sum = 0;
    for (let column = begins[task]!; column < begins[task + 1]!; column++) sums[column] = sum += x[column]!;
  }
  const rows: { readonly row: number; readonly value: number }[] = [];
  let [worst, most] = [NONE as number, NOTHING as number];
  for (let row = 0; row < pair.length; row++) {
    const value = sums[upTo[row]!]! - (by[row] === NONE ? 0 : sums[by[row]!]!);
    if (value > most && isAsked[row] === 0) [worst, most] = [row, value];
    if (pair[row + 1] === pair[row]) continue;
    if (worst !== NONE) rows.push({ row: worst, value: most });
    [worst, most] = [NONE, NOTHING];
  }
  return rows.sort((a, b) => b.value - a.value).map(({ row }) => row);
}

/**
 * What an answer breaks of the order of tasks, as rows to ask for: that nothing stands in a window before what comes
 * before it can be over.
 */
export function orderBroken(order: Order, x: ArrayLike<number>): readonly LinearRow[] {
  const { begins, first, own, pair, upTo, by, isAsked } = order;
  const [after, before] = [new Int32Array(begins.length), new Int32Array(begins.length)];
  const shares = (task: number, last: number, value: number) =>
    Array.from({ length: Math.max(0, last - begins[task]! + 1) }, (_, k) => [begins[task]! + k, value] as const);
  return broken(order, x).flatMap((row): LinearRow[] => {
    const [one, other] = [own[pair[row]!]!, first[pair[row]!]!];
    if (after[one]! >= AT_ONCE || before[other]! >= AT_ONCE) return [];
    after[one]!++;
    before[other]!++;
    isAsked[row] = 1;
    return [{ least: 0, entries: [...shares(one, upTo[row]!, -1), ...shares(other, by[row]!, 1)] }];
  });
}
