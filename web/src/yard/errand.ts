import {
  bareId,
  boxBought,
  purchaseOf,
  set,
  soldAt,
  type Board,
  type BoardLine,
  type Change,
  type Entry,
  type HardwareLine,
  type Job,
  type Length,
  type Stamp,
} from '@sill/core';

/** How many of a line are in the cart or at home, what is spoiled left out. */
export const taken = ({ owned, lost }: Pick<BoardLine, 'owned' | 'lost'>): number => owned - lost;

/** A board of a line is taken, for the pieces of `board` where one is chosen. */
export const keep = (job: Job, { offer }: BoardLine, board: Board | null, stamp: Stamp): readonly Entry[] => [
  purchaseOf(job, offer, board?.pieces.map(({ blank }) => blank.part.id) ?? [], stamp),
];

export const reject = ({ offer }: BoardLine, stamp: Stamp): readonly Entry[] => [
  { id: stamp.id(), at: stamp.at, what: 'rejected', offer: offer.id },
];

/**
 * Taken, but to be cut round a stretch: the plan takes it as it is, and buys what is then still lacking.
 *
 * @param note kept with the board: where the stretch was read, if not by eye.
 */
export function keepWithStretch(
  job: Job,
  { offer }: BoardLine,
  bad: readonly { readonly from: Length; readonly to: Length }[],
  stamp: Stamp,
  note = 'kept with a bad stretch',
): readonly Entry[] {
  const bought = purchaseOf(job, offer, [], stamp);
  return [bought, { id: stamp.id(), at: stamp.at, what: 'marked', of: bought.id, bad, note }];
}

/** All boxes of a line that are still to be bought are taken. */
export const boxesTaken = (job: Job, { offer, count }: HardwareLine, stamp: Stamp): readonly Entry[] =>
  Array.from({ length: count }, () => boxBought(job, offer, stamp));

/** No more of this size to be had: it is out of the price list; what was bought of it stays. */
export function noneLeft(job: Job, { offer }: BoardLine): readonly Change[] {
  const kind = 'sheet' in offer ? 'sheets' : 'boards';
  const yard = soldAt(job, offer);
  const path = yard === job.yard ? (['yard'] as const) : (['alsoAt', yard.id] as const);
  return [set(null, [...path, kind, bareId(job, offer), 'inStock'], false)];
}
