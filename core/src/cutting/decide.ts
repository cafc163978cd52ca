import { nth } from '../lists';
import { faceOf, paid, relaxWithin, tightIn, type Branched, type Pool, type Tight } from './branch';
import type { Group } from './group';
import type { Packed } from './branch';
import { canPrice } from './price';
import type { Cutting } from './search';

/**
 * What every numbers of bins must satisfy that hold all pieces: worth of each bin at some prices, and of the pieces.
 */
type Cut = { readonly worth: readonly number[]; readonly need: number };

const MOST_ROUNDS = 400;
/** Numbers tried for one answer; beyond, it is not decided. */
const MOST_TRIED = 400_000;
/** Cuts are this much looser than they are computed, for rounding. */
const ROUNDING = 1e-4;

/**
 * The cheapest numbers of bins below a cost that satisfy every cut and are not all within numbers that are known not to
 * do: bin after bin, the dearest first, given up where what may still be spent can not make up what a cut lacks.
 *
 * @returns null numbers where there are none, null where it was given up.
 */
function cheapest(
  { bins, items }: Group,
  cuts: readonly Cut[],
  failed: readonly (readonly number[])[],
  below: number,
): { readonly counts: readonly number[] | null } | null {
  const pieces = items.reduce((sum, { quantity }) => sum + quantity, 0);
  const order = bins.map((_, at) => at).sort((a, b) => nth(bins, b).price - nth(bins, a).price);
  const price = order.map((bin) => nth(bins, bin).price);
  const limit = order.map((bin) => nth(bins, bin).available ?? pieces);
  const worth = cuts.map((cut) => order.map((bin) => nth(cut.worth, bin)));
  // From a bin on: the most worth that a cent buys, and what bins without a price give.
  const rate = worth.map((row) =>
    suffix(row, (most, w, at) => (nth(price, at) > 0 ? Math.max(most, w / nth(price, at)) : most)),
  );
  const gift = worth.map((row) => suffix(row, (sum, w, at) => (nth(price, at) > 0 ? sum : sum + w * nth(limit, at))));
  const counts = order.map(() => 0);
  let best: { readonly counts: readonly number[]; readonly cost: number } | null = null;
  let tried = 0;
  const within = (): boolean => failed.some((row) => order.every((bin, at) => nth(counts, at) <= nth(row, bin)));
  const visit = (at: number, cost: number, lacks: readonly number[]): void => {
    const left = (best?.cost ?? below) - 1 - cost;
    if (left < 0 || ++tried > MOST_TRIED) return;
    if (lacks.some((lack, k) => lack > left * nth(nth(rate, k), at) + nth(nth(gift, k), at))) return;
    if (at === order.length) {
      if (!within()) best = { cost, counts: [...counts] };
      return;
    }
    const most = nth(price, at) > 0 ? Math.min(nth(limit, at), Math.floor(left / nth(price, at))) : nth(limit, at);
    // What costs nothing is taken first; of the others few are tried before many.
    for (let step = 0; step <= most; step++) {
      const n = nth(price, at) > 0 ? step : most - step;
      counts[at] = n;
      visit(
        at + 1,
        cost + n * nth(price, at),
        n === 0 ? lacks : lacks.map((lack, k) => lack - n * nth(nth(worth, k), at)),
      );
      if (price[at] === 0 && failed.length === 0) break;
    }
    counts[at] = 0;
  };
  visit(
    0,
    0,
    cuts.map(({ need }) => need - ROUNDING * (1 + Math.abs(need))),
  );
  if (tried > MOST_TRIED) return null;
  const found = best as { readonly counts: readonly number[] } | null;
  return { counts: found && bins.map((_, bin) => nth(found.counts, order.indexOf(bin))) };
}

/** What a fold over a row from its end has come to at every place; nothing past the end. */
function suffix(row: readonly number[], step: (sum: number, value: number, at: number) => number): readonly number[] {
  const sums = new Array<number>(row.length + 1).fill(0);
  for (let at = row.length - 1; at >= 0; at--) sums[at] = step(nth(sums, at + 1), nth(row, at), at);
  return sums;
}

/**
 * Decides which numbers of bins are cheapest, from below (logic-based Benders decomposition, Hooker and Ottosson 2003):
 * the cheapest numbers that nothing speaks against are looked at; where the relaxation shows that all pieces do not go
 * in, its prices speak against them and all like them; else they are packed, or shown not to hold all, and then some
 * bin is used more. The first that are packed are the cheapest there are.
 *
 * @param best a whole cutting to beat.
 * @param pack looks for a packing into so many of each bin, or shows that there is none.
 */
export function decideCounts(
  group: Group,
  best: Cutting,
  pack: (counts: readonly number[], tight: Tight) => Packed,
  stopped: () => boolean,
): Branched | null {
  if (best.missing > 0 || !canPrice(group)) return null;
  const pool = (): Pool =>
    new Map(best.patterns.map(({ bin, counts }) => [`${bin}:${counts.join()}`, { bin, counts }] as const));
  const pieces = group.items.reduce((sum, { quantity }) => sum + quantity, 0);
  const penalty = 10 * Math.max(1, ...group.bins.map(({ price }) => price)) + 1000;
  const free = {
    least: group.bins.map(() => 0),
    most: group.bins.map(({ available }) => available ?? pieces),
  };
  const root = relaxWithin(group, free, pool(), penalty);
  const cuts: Cut[] = [{ worth: root.atMost, need: paid(group, root.prices) }];
  const failed: (readonly number[])[] = [];
  const byFace = faceOf(group);
  const facePool = pool();
  let bound = 0;
  for (let round = 0; round < MOST_ROUNDS && !stopped(); round++) {
    const next = cheapest(group, cuts, failed, best.cost);
    if (next === null) break;
    const { counts } = next;
    if (counts === null) return { cutting: best, bound: best.cost };
    bound = counts.reduce((sum, count, bin) => sum + count * nth(group.bins, bin).price, 0);
    const tight = tightIn(byFace, counts, facePool);
    const cut = { worth: tight.atMost, need: paid(byFace, tight.prices) };
    const held = counts.reduce((sum, count, bin) => sum + count * nth(cut.worth, bin), 0);
    if (held < cut.need - 2 * ROUNDING * (1 + Math.abs(cut.need))) {
      cuts.push(cut);
      continue;
    }
    const packed = pack(counts, tight);
    if (packed.cutting) return { cutting: packed.cutting, bound: packed.cutting.cost };
    if (!packed.complete) break;
    failed.push(counts);
  }
  return { cutting: best, bound };
}
