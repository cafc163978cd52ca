import { addAt, nth, sure } from '../lists';
import { fillAll, type Pattern } from './fill';
import { freeIn } from './region';
import type { Group } from './group';
import type { Relaxation } from './columns';
import { seeded } from './random';

/** A whole cutting of a group: the patterns used, one a board. `missing` counts pieces that found no stock. */
export type Cutting = { readonly patterns: readonly Pattern[]; readonly cost: number; readonly missing: number };

/** The longest single offcut of a cutting, along or across. */
const longestOffcut = (cutting: Cutting): number =>
  Math.max(
    0,
    ...cutting.patterns.flatMap(({ regions }) =>
      regions.flatMap((region) => freeIn(region).map(({ length, width }) => Math.max(length, width))),
    ),
  );

const boughtBoards = (group: Group, cutting: Cutting): number =>
  cutting.patterns.filter((pattern) => nth(group.bins, pattern.bin).price > 0).length;

/**
 * True where `a` is to be preferred: places more, costs less, buys fewer boards, keeps a longer offcut, in that order.
 */
export function better(group: Group, a: Cutting, b: Cutting | null): boolean {
  if (b === null) return true;
  if (a.missing !== b.missing) return a.missing < b.missing;
  if (a.cost !== b.cost) return a.cost < b.cost;
  const fewer = boughtBoards(group, b) - boughtBoards(group, a);
  return fewer !== 0 ? fewer > 0 : longestOffcut(a) > longestOffcut(b);
}

/** State of a cutting while it is put together. */
class Bench {
  readonly patterns: Pattern[] = [];
  readonly left: number[];
  readonly used: number[];
  constructor(readonly group: Group) {
    this.left = group.items.map((item) => item.quantity);
    this.used = group.bins.map(() => 0);
  }
  canTake(bin: number): boolean {
    const { available } = nth(this.group.bins, bin);
    return available === null || nth(this.used, bin) < available;
  }
  fits(pattern: Pattern): boolean {
    return this.canTake(pattern.bin) && pattern.counts.every((count, item) => count <= nth(this.left, item));
  }
  put(pattern: Pattern): void {
    this.patterns.push(pattern);
    addAt(this.used, pattern.bin, 1);
    pattern.counts.forEach((count, item) => addAt(this.left, item, -count));
  }
  get done(): boolean {
    return this.left.every((count) => count === 0);
  }
  result(): Cutting {
    return {
      patterns: this.patterns,
      cost: this.patterns.reduce((sum, pattern) => sum + nth(this.group.bins, pattern.bin).price, 0),
      missing: this.left.reduce((sum, count) => sum + count, 0),
    };
  }
}

/**
 * Fills boards one at a time, each time the one that gives most value for its price, until all is placed. Where one
 * board can take all that is left, the cheapest such board ends it. Where `leave` says
 * so it is left undone.
 */
function finishGreedily(bench: Bench, values: readonly number[], leave: () => boolean): void {
  const { group } = bench;
  while (!bench.done && !leave()) {
    const open = group.bins.flatMap((_, bin) => (bench.canTake(bin) ? [bin] : []));
    const patterns = fillAll(group, bench.left, values, open);
    const useful = patterns.filter((pattern) => pattern.counts.some((count) => count > 0));
    if (useful.length === 0) return;
    const price = (pattern: Pattern) => nth(group.bins, pattern.bin).price;
    const whole = useful.filter((pattern) => pattern.counts.every((count, item) => count === bench.left[item]));
    if (whole.length > 0) {
      bench.put(whole.reduce((best, pattern) => (price(pattern) < price(best) ? pattern : best)));
      return;
    }
    const worth = (pattern: Pattern) =>
      pattern.counts.reduce((sum, count, item) => sum + count * nth(values, item), 0) / Math.max(price(pattern), 0.01);
    const chosen = useful.reduce((best, pattern) => (worth(pattern) > worth(best) ? pattern : best));
    // With less left to place the others only get worse, so the best stays the best for as long as it fits.
    while (bench.fits(chosen)) bench.put(chosen);
  }
}

/**
 * Whole cuttings from a relaxation: whole uses of its patterns first, the rest greedily by its prices; then again with
 * prices shaken a little, seeded, keeping the best. Ends early when `bound` (cents) is met and a few tries brought
 * nothing better.
 *
 * @param known a cutting that there is already: once stopped, it stands against one that is not done.
 */
export function searchCuttings(
  group: Group,
  relaxation: Relaxation,
  bound: number,
  tries: number,
  stopped: () => boolean,
  known: Cutting | null = null,
): Cutting {
  const random = seeded(1);
  const { pool, use, prices } = relaxation;
  const byLength = group.items.map((item) => item.length * item.width);
  const scale = Math.max(...prices, 1e-6) / Math.max(...byLength);
  const base = prices.map((price, item) => Math.max(price, nth(byLength, item) * scale * 1e-3, 1e-3));
  let best = known;
  let idle = 0;
  for (let attempt = 0; attempt < tries && !(attempt > 0 && stopped()); attempt++) {
    const bench = new Bench(group);
    const shake = attempt < 3 ? 0 : 0.05 + 0.5 * random();
    const values = attempt === 2 ? byLength : base.map((value) => value * (1 + shake * (random() - 0.5)));
    if (attempt % 3 !== 2) {
      // Odd attempts keep a part of the whole uses only, so that the greedy end has more to choose from.
      const keep = attempt % 3 === 0 ? 1 : random();
      pool.forEach((pattern, at) => {
        for (let count = Math.floor(nth(use, at) + 1e-6); count > 0 && bench.fits(pattern); count--)
          if (keep === 1 || random() < keep) bench.put(pattern);
      });
    }
    finishGreedily(bench, values, () => known !== null && stopped());
    const cutting = bench.result();
    idle++;
    if (better(group, cutting, best)) {
      best = cutting;
      idle = 0;
    }
    if (best !== null && best.missing === 0 && best.cost <= bound && idle >= 6) break;
  }
  return sure(best, 'cutting');
}
