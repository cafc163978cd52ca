import { addAt, first, nth } from '../lists';
import { nextPayable, type Dual } from './bound';
import { isMitred, type Group } from './group';
import { fill } from './fill';
import { singleLane, waysOn } from './ways';
import type { Cutting } from './search';

/** Longer lists never finish, and each board adds to the depth of the search. */
const MOST_PIECES = 120;

/** The bins with the least price first: how much of them there is, what each can gain, its room and what goes on it. */
const binsByPrice = (group: Group, gains: readonly number[]) =>
  group.bins
    .map((bin, at) => ({
      at,
      price: bin.price,
      available: bin.available ?? Infinity,
      gain: nth(gains, at),
      room: first(bin.runs).to - first(bin.runs).from + group.gap,
      holds: new Set(waysOn(group, bin).map((way) => way.item)),
    }))
    .sort((a, b) => a.price - b.price);

type Taken = { readonly bin: number; readonly counts: readonly number[] };

/**
 * Complete search for small groups whose bins are filled end to end: the longest piece left goes on some board, every
 * maximal filling of that board is tried, and states met before are not entered twice. What is left costs at least its
 * worth by the dual prices, less what limited boards can still gain, rounded up to a sum of whole boards' prices: that
 * cuts off everything that can not beat the best.
 *
 * @param best the cutting to beat, by cost alone.
 * @param steps the most branches to look at; deterministic where a clock would not be.
 * @returns the best cutting, and `proved` when the search was complete.
 */
export function searchExactly(
  group: Group,
  { prices, gains }: Dual,
  best: Cutting,
  steps: number,
  stopped: () => boolean,
): { readonly cutting: Cutting; readonly proved: boolean } {
  const simple = group.bins.every((bin) => bin.runs.length === 1 && singleLane(group, bin));
  const turning = group.bins.some((bin) => waysOn(group, bin).some((way) => way.turned));
  const pieces = group.items.reduce((sum, item) => sum + item.quantity, 0);
  if (!simple || isMitred(group) || turning || pieces > MOST_PIECES) return { cutting: best, proved: false };

  const bins = binsByPrice(group, gains);
  const limited = bins.filter(({ available }) => available < Infinity).map(({ at }) => at);
  const used = group.bins.map(() => 0);
  /** What limited boards that are not used yet could still gain. */
  const toGain = () =>
    bins.reduce((sum, bin) => (bin.gain > 0 ? sum + (bin.available - nth(used, bin.at)) * bin.gain : sum), 0);
  const order = group.items.map((_, at) => at).sort((a, b) => nth(group.items, b).length - nth(group.items, a).length);
  const weight = group.items.map((item) => item.length + group.gap);
  /** Most worth per length among the items from place k of the order on. */
  const densest = order.map((_, k) => Math.max(...order.slice(k).map((item) => nth(prices, item) / nth(weight, item))));
  const payable = nextPayable(group, best.cost);
  const cheapest = new Map<string, number>();
  const path: Taken[] = [];
  let bestCost = best.cost;
  let bestPath: readonly Taken[] = [];
  let budget = steps;

  const visit = (left: readonly number[], cost: number): void => {
    if (stopped()) budget = 0;
    const first = order.find((item) => nth(left, item) > 0);
    if (first === undefined) {
      if (cost < bestCost) {
        bestCost = cost;
        bestPath = [...path];
      }
      return;
    }
    const worth = left.reduce((sum, count, item) => sum + count * nth(prices, item), 0);
    const back = toGain();
    if (cost + payable(Math.max(0, worth - back)) >= bestCost) return;
    const key = `${left.join()};${limited.map((bin) => used[bin]).join()}`;
    if ((cheapest.get(key) ?? Infinity) <= cost) return;
    cheapest.set(key, cost);

    for (const bin of bins) {
      if (!bin.holds.has(first) || nth(used, bin.at) >= bin.available) continue;
      const counts = left.map(() => 0);
      const fillFrom = (k: number, room: number, value: number): void => {
        if (--budget <= 0) return;
        // Worth that this board can still lack before the rest can not be paid for any more.
        const slack = bestCost - cost - worth + back - bin.gain - (bin.price - value);
        if (slack <= 1e-6 && slack + (k < order.length ? nth(densest, k) * room : 0) <= 1e-6) return;
        if (k === order.length) {
          const full = order.every(
            (item) => !bin.holds.has(item) || counts[item] === left[item] || nth(weight, item) > room,
          );
          if (!full) return;
          path.push({ bin: bin.at, counts: [...counts] });
          addAt(used, bin.at, 1);
          visit(
            left.map((count, item) => count - nth(counts, item)),
            cost + bin.price,
          );
          addAt(used, bin.at, -1);
          path.pop();
          return;
        }
        const item = nth(order, k);
        const most = bin.holds.has(item) ? Math.min(nth(left, item), Math.floor(room / nth(weight, item))) : 0;
        for (let count = most; count >= (item === first ? 1 : 0); count--) {
          counts[item] = count;
          fillFrom(k + 1, room - count * nth(weight, item), value + count * nth(prices, item));
        }
        counts[item] = 0;
      };
      fillFrom(0, bin.room, 0);
    }
  };
  visit(
    group.items.map((item) => item.quantity),
    0,
  );
  const patterns = bestPath.map(({ bin, counts }) =>
    fill(
      group,
      bin,
      counts,
      counts.map(() => 1),
    ),
  );
  const cutting = bestPath.length > 0 ? { patterns, cost: bestCost, missing: 0 } : best;
  return { cutting, proved: budget > 0 };
}
