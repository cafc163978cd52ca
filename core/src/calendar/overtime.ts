// Changed a million times a second: tasks, places, pairs and rows are told by numbers.
/* oxlint-disable typescript/no-non-null-assertion */
import type { Left, Order } from './order';
import type { Sharing } from './sharing';

/** What a set of tasks costs that has no order in its window, as minutes of overtime. */
const NO_ORDER = 10;

/**
 * A task and one that follows it: by place of the first the least place that is left to the other, and by place of the
 * other the last that is left to the first.
 */
type Pair = { readonly first: number; readonly own: number; readonly least: Int32Array; readonly last: Int32Array };

/** All pairs but those that two others keep already. */
function pairsOf({ first, own, at, counts }: Order, { low, high }: Left): readonly Pair[] {
  const all = Array.from(first, (one, k): Pair => {
    const other = own[k]!;
    const last = Int32Array.from({ length: high[other]! + 1 }, (_, place) => counts[at[k]! + place]! - 1);
    let after = 0;
    const least = Int32Array.from({ length: high[one]! + 1 }, (_, place) => {
      while (after <= high[other]! && last[after]! < place) after++;
      return after;
    });
    return { first: one, own: other, least, last };
  });
  const from = Array.from(low, (): Pair[] => []);
  all.forEach((pair) => from[pair.first]!.push(pair));
  const isKept = ({ first: one, own: other, least }: Pair): boolean =>
    from[one]!.some((there) => {
      const on = there.own < other && from[there.own]!.find((pair) => pair.own === other);
      if (!on) return false;
      for (let place = low[one]!; place <= high[one]!; place++) {
        const middle = Math.max(there.least[place]!, low[there.own]!);
        if (middle <= high[there.own]! && on.least[middle]! < least[place]! && least[place]! > low[other]!)
          return false;
      }
      return true;
    });
  return all.filter((pair) => !isKept(pair));
}

/** Rows by column: where those of each column begin, and by entry its row and what it takes of the row's room. */
type Columns = { readonly begins: Int32Array; readonly row: Int32Array; readonly takes: Float64Array };

/**
 * What of a program is about windows: how many minutes each has room for, and sets of tasks that have no order in one.
 *
 * @returns room by row, and columns that take of it.
 */
function roomOf({ full, rows }: Sharing) {
  const own = rows.filter(({ most }) => most === undefined);
  const hours = own.map(({ entries }) => entries.find(([column]) => column === full)?.[1]);
  const by = Array.from({ length: full }, (): (readonly [number, number])[] => []);
  own.forEach(({ entries }, row) => {
    const weight = hours[row] === undefined ? NO_ORDER : 1;
    for (const [column, value] of entries) if (column < full) by[column]!.push([row, -value * weight]);
  });
  const begins = new Int32Array(full + 1);
  by.forEach((some, column) => (begins[column + 1] = begins[column]! + some.length));
  const flat = by.flat();
  return {
    room: Float64Array.from(own, ({ least }, row) => hours[row] ?? -NO_ORDER * (least ?? 0)),
    columns: {
      begins,
      row: Int32Array.from(flat, ([row]) => row),
      takes: Float64Array.from(flat, ([, takes]) => takes),
    },
  };
}

/**
 * Tasks in places that keep their order, however full that makes windows: the minutes by which those run over are its
 * cost. A change is tried, told by what it costs more, and kept or taken back.
 */
export class Overtime {
  /** The place of each task. */
  readonly now: Int32Array;
  cost = 0;
  private room = new Float64Array(0);
  private columns: Columns = { begins: new Int32Array(1), row: new Int32Array(0), takes: new Float64Array(0) };
  private readonly next: readonly (readonly Pair[])[];
  private readonly before: readonly (readonly Pair[])[];
  private readonly begins: Int32Array;
  /** By column its window; by task and window the place, or none. */
  private readonly windowOf: Int32Array;
  private readonly placeIn: Int32Array;
  private readonly windows: number;
  /** Tasks and the places they came from since what was kept last. */
  private readonly moved: number[] = [];
  private readonly isOpen: Uint8Array;

  /** @param left what the order leaves to each task, as `drawIn` says; all begin as early as that allows. */
  constructor(
    private readonly sharing: Sharing,
    readonly left: Left,
  ) {
    const { order, places, problem, full } = sharing;
    const pairs = pairsOf(order, left);
    const count = places.length;
    const listOf = (by: (pair: Pair) => number) => {
      const list = Array.from({ length: count }, (): Pair[] => []);
      pairs.forEach((pair) => list[by(pair)]!.push(pair));
      return list;
    };
    [this.next, this.before] = [listOf(({ first }) => first), listOf(({ own }) => own)];
    this.begins = order.begins;
    this.windows = problem.windows.length;
    this.windowOf = new Int32Array(full);
    this.placeIn = new Int32Array(count * this.windows).fill(-1);
    places.forEach((own, task) =>
      own.forEach(({ column, window }, place) => {
        this.windowOf[column] = window;
        this.placeIn[task * this.windows + window] = place;
      }),
    );
    this.now = left.low.slice();
    this.isOpen = new Uint8Array(count);
    this.askAgain();
  }

  /** To be called where more was asked of the sharing: what that costs counts from here on. */
  askAgain(): void {
    const { room, columns } = roomOf(this.sharing);
    [this.room, this.columns] = [room, columns];
    this.now.forEach((place, task) => this.take(this.begins[task]! + place, 1));
    this.cost = room.reduce((sum, left) => sum - Math.min(0, left), 0);
  }

  window(task: number): number {
    return this.windowOf[this.begins[task]! + this.now[task]!]!;
  }

  /** The place of a task in a window, -1 where it has none there. */
  placeFor(task: number, window: number): number {
    return this.placeIn[task * this.windows + window]!;
  }

  /** Minutes over more where a task stands in a column, or no longer does; how it is from here on. */
  private take(column: number, times: 1 | -1): number {
    const { begins, row, takes } = this.columns;
    let more = 0;
    for (let at = begins[column]!; at < begins[column + 1]!; at++) {
      const was = this.room[row[at]!]!;
      const is = was - times * takes[at]!;
      this.room[row[at]!] = is;
      if (was < 0) more += was;
      if (is < 0) more -= is;
    }
    return more;
  }

  /** The same where it only would. */
  wouldTake(task: number, place: number, times: 1 | -1): number {
    const { begins, row, takes } = this.columns;
    const column = this.begins[task]! + place;
    let more = 0;
    for (let at = begins[column]!; at < begins[column + 1]!; at++) {
      const was = this.room[row[at]!]!;
      const is = was - times * takes[at]!;
      if (was < 0) more += was;
      if (is < 0) more -= is;
    }
    return more;
  }

  /** The first place that those before a task leave it as they are now, and the last that those after it leave. */
  lowest(task: number): number {
    let low = this.left.low[task]!;
    for (const { first, least } of this.before[task]!) low = Math.max(low, least[this.now[first]!]!);
    return low;
  }
  highest(task: number): number {
    let high = this.left.high[task]!;
    for (const { own, last } of this.next[task]!) high = Math.min(high, last[this.now[own]!]!);
    return high;
  }

  /** Puts a task in a place, whatever is before and after it; minutes over more. */
  put(task: number, place: number): number {
    this.moved.push(task, this.now[task]!);
    const more = this.take(this.begins[task]! + this.now[task]!, -1);
    this.now[task] = place;
    return more + this.take(this.begins[task]! + place, 1);
  }

  /**
   * Puts a task in a place, and all that must make room where they are left one, the nearest.
   *
   * @returns minutes over more; infinite where one has no place, or where on the way that was more than so many.
   */
  push(task: number, to: number, most: number): number {
    const { low, high } = this.left;
    if (to < low[task]! || to > high[task]!) return Infinity;
    const isLater = to > this.now[task]!;
    const step = isLater ? 1 : -1;
    let more = this.put(task, to);
    // In the order of tasks each is handed on once, after all that push it.
    let end = task;
    this.isOpen[task] = 1;
    for (let one = task; isLater ? one <= end : one >= end; one += step) {
      if (this.isOpen[one] === 0) continue;
      this.isOpen[one] = 0;
      for (const pair of isLater ? this.next[one]! : this.before[one]!) {
        const other = isLater ? pair.own : pair.first;
        const place = isLater ? pair.least[this.now[one]!]! : pair.last[this.now[one]!]!;
        if (isLater ? place <= this.now[other]! : place >= this.now[other]!) continue;
        more = (isLater ? place > high[other]! : place < low[other]!) ? Infinity : more + this.put(other, place);
        if (more > most) {
          this.isOpen.fill(0);
          return Infinity;
        }
        this.isOpen[other] = 1;
        end = isLater ? Math.max(end, other) : Math.min(end, other);
      }
    }
    return more;
  }

  keep(more: number): void {
    this.cost += more;
    this.moved.length = 0;
  }
  takeBack(): void {
    while (this.moved.length > 0) {
      const place = this.moved.pop()!;
      const task = this.moved.pop()!;
      this.take(this.begins[task]! + this.now[task]!, -1);
      this.now[task] = place;
      this.take(this.begins[task]! + place, 1);
    }
  }
}
