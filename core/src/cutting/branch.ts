import { addAt, nth } from '../lists';
import type { Group } from './group';

import { canPrice, priceOut } from './price';
import type { Cutting } from './search';
import { leastCost } from './simplex';

/** How many of each bin are used at least and at most. */
type Limits = { readonly least: readonly number[]; readonly most: readonly number[] };
type Node = Limits & { readonly bound: number };

/** A linear relaxation within limits: how much of each bin it uses, what it proves, and the prices that prove it. */
export type Relaxed = {
  readonly bound: number;
  readonly used: readonly number[];
  readonly prices: readonly number[];
  /** What each bin costs at its limits' prices. */
  readonly charges: readonly number[];
  /** No filling of a bin is worth more at these prices. */
  readonly atMost: readonly number[];
};

type Known = { readonly bin: number; readonly counts: readonly number[] };
/** Fillings known so far, each once. */
export type Pool = Map<string, Known>;

const MOST_ROUNDS = 150;
/** After so many numbers of bins that could not be decided the search ends: more would not raise the bound. */
const MOST_UNKNOWN = 5;
/** A bin's use this close to a whole number is whole. */
const WHOLE = 1e-6;

/**
 * Column generation within limits on the bins. The bound holds however it ends: what a filling could still gain is
 * taken off it as often as the bin may be used.
 *
 * @param pool fillings known so far; new ones are added.
 */
export function relaxWithin(group: Group, { least, most }: Limits, pool: Pool, penalty: number): Relaxed {
  const { items, bins } = group;
  const need = items.map(({ quantity }) => quantity);
  const pieces = need.reduce((sum, n) => sum + n, 0);
  // Only limits that can bind get a row: no more than pieces are ever used, no less than none.
  const rowOf = (limits: readonly number[], binds: (n: number) => boolean, sign: number) =>
    limits.map((n) => (binds(n) ? need.push(sign * n) - 1 : -1));
  const mostRow = rowOf(most, (n) => n > 0 && n < pieces, -1);
  const leastRow = rowOf(least, (n) => n > 0, 1);
  const program = leastCost(need, penalty);
  const columns: Known[] = [];
  const add = (known: Known) => {
    if (most[known.bin] === 0) return;
    const rows = known.counts.flatMap((count, item) => (count > 0 ? [[item, count] as const] : []));
    if (nth(mostRow, known.bin) >= 0) rows.push([nth(mostRow, known.bin), -1]);
    if (nth(leastRow, known.bin) >= 0) rows.push([nth(leastRow, known.bin), 1]);
    program.add({ cost: nth(bins, known.bin).price, rows });
    columns.push(known);
  };
  for (const known of pool.values()) add(known);
  for (let round = 0; ; round++) {
    const { x, duals } = program.solve();
    const prices = duals.slice(0, items.length);
    const charges = bins.map(
      ({ price }, at) => price + (duals[nth(mostRow, at)] ?? 0) - (duals[nth(leastRow, at)] ?? 0),
    );
    const offers = priceOut(group, prices);
    let grew = false;
    if (round < MOST_ROUNDS)
      offers.forEach(({ counts, atMost }, bin) => {
        if (most[bin] === 0 || atMost <= nth(charges, bin) + 1e-6) return;
        const key = `${bin}:${counts.join()}`;
        if (pool.has(key)) return;
        pool.set(key, { bin, counts });
        add({ bin, counts });
        grew = true;
      });
    if (grew) continue;
    const bound =
      need.reduce((sum, n, row) => sum + n * nth(duals, row), 0) -
      offers.reduce((sum, { atMost }, bin) => sum + nth(most, bin) * Math.max(0, atMost - nth(charges, bin)), 0);
    const used = bins.map(() => 0);
    x.forEach((share, at) => addAt(used, nth(columns, at).bin, share));
    // Never below what a filling is worth, so that they prove what they say even where the rounds ran out.
    const atMost = offers.map((offer) => offer.atMost);
    return { bound, used, prices, atMost, charges: charges.map((charge, bin) => Math.max(charge, nth(atMost, bin))) };
  }
}

/** A packing, if one was found, and whether there is none where it was not. */
export type Packed = { readonly cutting: Cutting | null; readonly complete: boolean };

/** A relaxation that spends as little face of boards as it can, and what that leaves in given numbers of bins. */
export type Tight = Pick<Relaxed, 'prices' | 'charges' | 'atMost'> & { readonly slack: number };

/**
 * What given numbers of bins hold, measured in face of board rather than money: prices that tell fillings apart even
 * where money does not, since every bin is paid for already.
 *
 * @param byFace the group with the face of each bin, in square inches, for a price.
 */
export function tightIn(byFace: Group, counts: readonly number[], pool: Pool): Tight {
  const penalty = 100 * Math.max(...byFace.bins.map((bin) => bin.price));
  const { prices, charges, atMost } = relaxWithin(byFace, { least: counts.map(() => 0), most: counts }, pool, penalty);
  const held = counts.reduce((sum, n, bin) => sum + n * nth(charges, bin), 0);
  return { prices, charges, atMost, slack: held - paid(byFace, prices) };
}

/** Square units of length in a square inch. */
const SQUARE_INCH = 8128 ** 2;
/** A group with the face of each bin, in square inches, for a price. */
export const faceOf = (group: Group): Group => ({
  ...group,
  bins: group.bins.map((bin) => ({
    ...bin,
    price: bin.runs.reduce((sum, run) => sum + ((run.to - run.from) * bin.usableWidth) / SQUARE_INCH, 0),
  })),
});

export type Branched = { readonly cutting: Cutting; readonly bound: number };

/**
 * Branches on how many of each bin are bought, the least bound first (as in branch and price for several stock
 * lengths). Where the relaxation uses whole numbers of every bin, pieces are packed into just those: found, it can not
 * be bettered there; impossible, some bin must be used more; not known, the bound stays at what it is.
 *
 * @param best a whole cutting to beat; @param payable rounds a bound up to a cost that can be paid.
 * @param pack looks for a packing into so many of each bin, or shows that there is none; it is told the relaxation by
 *   money and, if it asks, by face of board.
 */
export function searchByCounts(
  group: Group,
  best: Cutting,
  payable: (bound: number) => number,
  nodes: number,
  pack: (counts: readonly number[], relaxed: Tight, tight: () => Tight) => Packed,
  stopped: () => boolean,
): Branched | null {
  if (best.missing > 0 || !canPrice(group)) return null;
  const pieces = group.items.reduce((sum, { quantity }) => sum + quantity, 0);
  const pool: Pool = new Map(
    best.patterns.map(({ bin, counts }) => [`${bin}:${counts.join()}`, { bin, counts }] as const),
  );
  const penalty = 10 * Math.max(1, ...group.bins.map((bin) => bin.price)) + 1000;
  let cutting = best;
  const byFace = faceOf(group);
  const facePool: Pool = new Map(pool);
  /** The least bound of what was left undecided. */
  let undecided = Infinity;
  let budget = nodes;
  let unknown = 0;
  const open: Node[] = [
    { least: group.bins.map(() => 0), most: group.bins.map(({ available }) => available ?? pieces), bound: 0 },
  ];
  while (open.length > 0) {
    const next = open.reduce((a, b) => (b.bound < a.bound ? b : a));
    if (payable(next.bound) >= cutting.cost) break;
    if (stopped() || budget-- <= 0) return { cutting, bound: Math.min(undecided, payable(next.bound)) };
    open.splice(open.indexOf(next), 1);
    const relaxed = relaxWithin(group, next, pool, penalty);
    const bound = Math.max(next.bound, relaxed.bound);
    if (payable(bound) >= cutting.cost) continue;
    const off = relaxed.used.map((use) => Math.abs(use - Math.round(use)));
    if (Math.max(...off) > WHOLE) {
      const price = (bin: number) => nth(off, bin) * Math.max(1, nth(group.bins, bin).price);
      const bin = off.reduce((most, _, at) => (price(at) > price(most) ? at : most), 0);
      const whole = Math.floor(nth(relaxed.used, bin));
      const set = (row: readonly number[], to: number) => row.map((n, at) => (at === bin ? to : n));
      open.push({ ...next, most: set(next.most, whole), bound }, { ...next, least: set(next.least, whole + 1), bound });
      continue;
    }
    const counts = relaxed.used.map(Math.round);
    const slack = counts.reduce((sum, n, bin) => sum + n * nth(relaxed.charges, bin), 0) - paid(group, relaxed.prices);
    const tight = () => tightIn(byFace, counts, facePool);
    const { cutting: found, complete } = pack(counts, { ...relaxed, slack }, tight);
    if (found && found.cost < cutting.cost) cutting = found;
    if (found && found.cost <= payable(bound)) continue;
    if (!complete && !found) {
      undecided = Math.min(undecided, payable(bound));
      if (++unknown >= MOST_UNKNOWN) budget = 0;
    }
    // Some bin must be used more than now; those looked at before it, no more.
    counts.forEach((n, bin) => {
      if (n >= nth(next.most, bin)) return;
      const most = next.most.map((limit, at) => (at < bin ? Math.min(limit, nth(counts, at)) : limit));
      const least = next.least.map((limit, at) => (at === bin ? n + 1 : limit));
      if (least.every((limit, at) => limit <= nth(most, at))) open.push({ least, most, bound });
    });
  }
  return { cutting, bound: Math.min(undecided, cutting.cost) };
}

/** What all pieces are worth at some prices. */
export const paid = ({ items }: Group, prices: readonly number[]): number =>
  items.reduce((sum, { quantity }, item) => sum + quantity * nth(prices, item), 0);
