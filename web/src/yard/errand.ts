import {
  offerMaterial,
  marketOf,
  offerWidth,
  sizesOf,
  soldAt,
  bareId,
  type BoardLine,
  type BoardOffer,
  type Change,
  type Job,
  type Length,
  type OnHand,
  type SheetOffer,
  set,
} from '@sill/core';

/** How many of a line are in the cart, and how many were put back. */
export const inCart = (job: Job, offer: string) => job.cart[offer] ?? { kept: 0, rejected: 0 };

const cartWith = (job: Job, offer: string, add: { readonly kept?: number; readonly rejected?: number }): Change => {
  const now = inCart(job, offer);
  const then = { kept: now.kept + (add.kept ?? 0), rejected: now.rejected + (add.rejected ?? 0) };
  return set(null, ['cart', offer], then);
};

/** Boards that are taken, as a piece on hand that was paid for. */
const taken = (job: Job, offer: BoardOffer | SheetOffer, count: number, bad: OnHand['bad'], id: string): OnHand => ({
  id,
  material: offerMaterial(offer),
  length: offer.length,
  width: offerWidth(offer, sizesOf(job.measured)),
  count,
  squared: false,
  bad,
  price: offer.price,
  where: 'in the cart',
  note: bad.length > 0 ? 'kept with a bad stretch' : '',
});

export const keep = (job: Job, { offer }: BoardLine): readonly Change[] => [cartWith(job, offer.id, { kept: 1 })];

export const reject = (job: Job, { offer }: BoardLine): readonly Change[] => [cartWith(job, offer.id, { rejected: 1 })];

/**
 * Before the rest is planned anew: all that is in the cart is on hand now, so that the new plan is made from it too.
 *
 * @param more boards taken just now.
 */
function settleCart(job: Job, more: readonly OnHand[], newId: () => string): readonly Change[] {
  const { boards, sheets } = marketOf(job);
  const offers: readonly (BoardOffer | SheetOffer)[] = [...boards, ...sheets];
  const inIt = Object.entries(job.cart).flatMap(([id, { kept }]) => {
    const offer = kept > 0 ? offers.find((row) => row.id === id) : undefined;
    return offer ? [taken(job, offer, kept, [], newId())] : [];
  });
  return [...[...inIt, ...more].map((hand) => set(null, ['onHand', hand.id], hand)), set(null, ['cart'], {})];
}

/**
 * Kept, but cut round a stretch: the plan takes it as it is, and buys what is then still lacking.
 *
 * @param note kept with the board: where the stretch was read, if not by eye.
 */
export const keepWithStretch = (
  job: Job,
  { offer }: BoardLine,
  bad: readonly { readonly from: Length; readonly to: Length }[],
  newId: () => string,
  note = '',
): readonly Change[] => {
  const board = taken(job, offer, 1, bad, newId());
  return settleCart(job, [note === '' ? board : { ...board, note }], newId);
};

/** No more of this size to be had: it is out of the price list, and the rest is planned from what is there. */
export function noneLeft(job: Job, { offer }: BoardLine, newId: () => string): readonly Change[] {
  const kind = 'sheet' in offer ? 'sheets' : 'boards';
  const yard = soldAt(job, offer);
  const path = yard === job.yard ? (['yard'] as const) : (['alsoAt', yard.id] as const);
  const out = set(null, [...path, kind, bareId(job, offer), 'inStock'], false);
  return [out, ...settleCart(job, [], newId)];
}
