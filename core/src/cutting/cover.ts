import { first, nth } from '../lists';
import { areaBound, stocksNeeded } from './bound';
import { waysOn } from './ways';
import { isMitred, type Bin, type Group } from './group';

/** What some of the bins must hold between them: pieces that lie on no other bin. */
type Demand = {
  /** Bins these pieces lie on, by place. */
  readonly on: readonly boolean[];
  /** So many bins at least. */
  readonly count: number;
  /** Their area, each grown by a kerf. */
  readonly area: number;
};

const MOST_NODES = 100_000;

const roomOf = (bin: Bin, kerf: number): number =>
  bin.runs.reduce((sum, run) => sum + run.to - run.from + kerf, 0) * (bin.usableWidth + kerf);

/**
 * True where nothing is lost by leaving `a` out: `b` is no dearer, without limit, and as long and wide in every run.
 */
const dominated = (a: Bin, b: Bin): boolean =>
  b.available === null &&
  b.kind === a.kind &&
  b.price <= a.price &&
  b.usableWidth >= a.usableWidth &&
  b.runs.length === 1 &&
  first(b.runs).to - first(b.runs).from >= a.runs.reduce((sum, run) => sum + run.to - run.from, 0);

/**
 * A cost in cents below which no stock holds all pieces side by side: the cheapest whole numbers of each bin that have
 * the area for the pieces that lie only on them, and are as many as those pieces need (see `stocksNeeded`). A large
 * piece asks for a large sheet, whatever the small ones cost. Never less than `areaBound`.
 *
 * @param most cents of a known cutting: nothing dearer matters.
 */
export function coverBound(group: Group, most: number): number {
  const least = areaBound(group);
  if (isMitred(group) || least >= most) return Math.min(least, most);
  const { kerf } = group;
  const kept = group.bins
    .map((bin, at) => ({ bin, at }))
    .filter(
      ({ bin, at }) =>
        !group.bins.some((other, k) => k !== at && dominated(bin, other) && (!dominated(other, bin) || k < at)),
    )
    .sort((a, b) => roomOf(b.bin, kerf) - roomOf(a.bin, kerf));
  const bins = kept.map(({ bin }) => bin);
  const lies = group.items.map(() => bins.map(() => false));
  bins.forEach((bin, at) => waysOn(group, bin).forEach((way) => (nth(lies, way.item)[at] = true)));
  const demands = demandsOf({ ...group, bins }, lies);
  const free = bins.map((bin) => (bin.price === 0 ? (bin.available ?? Infinity) : 0));
  let best = most;
  let nodes = 0;
  const rooms = bins.map((bin) => roomOf(bin, kerf));
  // What is still wanted of each demand once the bins before `at` are taken.
  const step = (at: number, cost: number, counts: readonly number[], areas: readonly number[]): void => {
    if (cost >= best || ++nodes > MOST_NODES) return;
    if (counts.every((count) => count <= 0) && areas.every((area) => area <= 0)) {
      best = cost;
      return;
    }
    if (at === bins.length) return;
    const { price, available } = nth(bins, at);
    const useful = demands.reduce(
      (n, { on }, k) => (on[at] ? Math.max(n, nth(counts, k), Math.ceil(nth(areas, k) / nth(rooms, at))) : n),
      0,
    );
    const last = Math.min(useful, available ?? Infinity);
    for (let n = price === 0 ? last : 0; n <= last; n++)
      step(
        at + 1,
        cost + n * price,
        counts.map((count, k) => (nth(demands, k).on[at] ? count - n : count)),
        areas.map((area, k) => (nth(demands, k).on[at] ? area - n * nth(rooms, at) : area)),
      );
  };
  if (free.some((count) => count === Infinity)) return least;
  step(
    0,
    0,
    demands.map(({ count }) => count),
    demands.map(({ area }) => area),
  );
  return nodes > MOST_NODES ? least : Math.max(least, best);
}

/** One demand for every set of bins that some piece is confined to: of all pieces that lie on no bin outside of it. */
function demandsOf(group: Group, lies: readonly (readonly boolean[])[]): readonly Demand[] {
  const sets = new Map(lies.map((on) => [on.join(), on]));
  return [...sets.values()].map((on) => {
    const within = (item: number) => nth(lies, item).every((can, at) => !can || on[at]);
    const items = group.items.filter((_, at) => within(at));
    const bins = group.bins.filter((_, at) => on[at]);
    const area = items.reduce(
      (sum, { quantity, length, width }) => sum + quantity * (length + group.kerf) * (width + group.kerf),
      0,
    );
    return { on, area, count: bins.length === 0 ? 0 : stocksNeeded({ ...group, items, bins }) };
  });
}
