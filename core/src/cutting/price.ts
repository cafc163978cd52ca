import { addAt, nth, sure } from '../lists';
import { longestAlike } from './fill';
import { singleLane, waysOn } from './ways';
import { laneRoom, laneWeight, type Group } from './group';
import { knapsackTable, type Filling } from './knapsack';
import { stagedFor } from './staged';

/**
 * The filling of a bin that is worth most, and a worth that none exceeds. It may take more of an item than there are.
 */
export type Offer = { readonly counts: readonly number[]; readonly atMost: number };

/** True where `priceOut` can answer for every bin. */
export const canPrice = (group: Group): boolean => {
  const nothing = group.items.map(() => 0);
  return group.bins.every((bin) => singleLane(group, bin) || stagedFor(group, bin, nothing) !== null);
};

/**
 * For every bin the filling worth most at the prices of its items, each run of it filled on its own: what column
 * generation asks. Bins filled end to end are answered exactly with the pieces there are, ripped ones with as many of
 * each as one likes.
 */
export function priceOut(group: Group, prices: readonly number[]): readonly Offer[] {
  const tables = new Map<number, (capacity: number) => Filling>();
  return group.bins.map((bin) => {
    const lengths = bin.runs.map((run) => run.to - run.from);
    const counts = group.items.map(() => 0);
    let atMost = 0;
    if (singleLane(group, bin)) {
      const longest = longestAlike(group, bin);
      const ways = waysOn(group, longest);
      const table =
        tables.get(bin.usableWidth) ??
        knapsackTable(
          ways.map((way) => nth(prices, way.item)),
          ways.map((way) => laneWeight(group, nth(group.items, way.item))),
          ways.map((way) => nth(group.items, way.item).quantity),
          Math.max(0, ...longest.runs.map((run) => laneRoom(group, run.to - run.from))),
        );
      tables.set(bin.usableWidth, table);
      for (const run of lengths) {
        const filling = table(Math.max(0, laneRoom(group, run)));
        atMost += filling.atMost;
        ways.forEach((way, k) => addAt(counts, way.item, nth(filling.counts, k)));
      }
    } else {
      const staged = sure(stagedFor(group, bin, prices), 'staged filling');
      for (const run of lengths) {
        atMost += staged.worth(run);
        staged.counts(run).forEach((count, item) => addAt(counts, item, count));
      }
    }
    return { counts, atMost };
  });
}
