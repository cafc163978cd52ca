import type { Length } from '../length';
import type { Job } from '../job';
import type { Body } from '../ledger';
import type { BoardKey, BoardOffer, SheetOffer } from '../stock';
import type { Boards } from './boards';
import { offersOf } from './offers';
import { marketOf, worthOf } from './market';

/** How sure the spares of a nominal size shall be that no second trip is needed. */
const SURE = 0.9;

/** Chance that more than `spares` of `count` boards are spoiled, each with a chance of its own: the binomial tail. */
export function secondTrip(count: number, spares: number, spoiled: number): number {
  let exactly = (1 - spoiled) ** count;
  let enough = 0;
  for (let bad = 0; bad <= spares; bad++) {
    enough += exactly;
    exactly *= ((count - bad) / (bad + 1)) * (spoiled / (1 - spoiled));
  }
  return Math.max(0, 1 - enough);
}

/** The fewest spares of so many boards with which no second trip is needed, as surely as `SURE`. */
export function sparesNeeded(count: number, spoiled: number): number {
  let spares = 0;
  while (spares < count && secondTrip(count, spares, spoiled) > 1 - SURE) spares++;
  return spares;
}

/** Spare boards by nominal size: how many are cut, how many are bought besides, and from which offer. */
export type Spares = {
  readonly material: BoardKey;
  readonly cut: number;
  readonly offer: BoardOffer | SheetOffer;
  readonly count: number;
  /** Bought already, and the plan needs them for nothing else. */
  readonly own: readonly Body[];
  /** Chance that more are spoiled than there are spares. */
  readonly secondTrip: number;
};

/**
 * Spares by the job's policy, of the cheapest board that can replace the longest blank of its size: none, one of each
 * size, or as many as it takes to be sure. Sheets are dear and seldom spoiled whole: a spare is of boards.
 */
export function sparesFor(job: Job, boards: Boards): readonly Spares[] {
  const sizes = new Map<BoardKey, { longest: Length; cut: number }>();
  for (const { offer, material, pieces, state } of boards.boards) {
    // What is cut can not turn out spoiled at the saw any more.
    if ('sheet' in offer || state === 'cut') continue;
    const before = sizes.get(material as BoardKey) ?? { longest: 0, cut: 0 };
    const longest = Math.max(before.longest, ...pieces.map(({ length }) => length));
    sizes.set(material as BoardKey, { longest, cut: before.cut + 1 });
  }
  const spoiled = job.shop.spoiled / 100;
  const market = marketOf(job);
  const worth = worthOf(job);
  return [...sizes].flatMap(([material, { longest, cut }]): Spares[] => {
    const wanted = job.spares === 'none' ? 0 : job.spares === 'each' ? 1 : sparesNeeded(cut, spoiled);
    const offer = offersOf(material, market)
      .filter((row) => row.length - 2 * job.shop.squareEnds >= longest)
      .sort((a, b) => worth(a) - worth(b) || a.length - b.length)[0];
    if (!offer) return [];
    // What is bought already and lies idle is a spare: no other is bought for it.
    const own = boards.idle
      .filter((body) => body.material === material && body.state === 'whole' && body.length >= offer.length)
      .slice(0, wanted);
    const count = wanted - own.length;
    return [{ material, cut, offer, count, own, secondTrip: secondTrip(cut, wanted, spoiled) }];
  });
}
