import { nth, sure } from '../lists';
import type { HardwareNeed, HardwareOffer } from '../stock';

/** So many boxes of one offer. */
export type Boxes = { readonly offer: HardwareOffer; readonly count: number };

/**
 * The cheapest mix of boxes that holds `need` pieces, by dynamic programming over the pieces still lacking; among
 * equals the fewest boxes. Null where none is sold.
 *
 * @param worth what an offer's price counts for, where taxes differ.
 */
export function boxesFor(
  need: HardwareNeed,
  offers: readonly HardwareOffer[],
  worth: (offer: HardwareOffer) => number = ({ price }) => price,
): readonly Boxes[] | null {
  const sold = offers.filter((offer) => offer.kind === need.kind && offer.size === need.size);
  if (sold.length === 0) return null;
  type State = { readonly price: number; readonly boxes: number; readonly offer: HardwareOffer | null };
  const best: State[] = [{ price: 0, boxes: 0, offer: null }];
  for (let lacking = 1; lacking <= need.count; lacking++) {
    let state: State | null = null;
    for (const offer of sold) {
      const rest = nth(best, Math.max(0, lacking - offer.count));
      const price = rest.price + worth(offer);
      const boxes = rest.boxes + 1;
      if (!state || price < state.price || (price === state.price && boxes < state.boxes))
        state = { price, boxes, offer };
    }
    best.push(sure(state, 'offer that fills it'));
  }
  const counts = new Map<HardwareOffer, number>();
  for (let lacking = need.count; lacking > 0;) {
    const offer = sure(nth(best, lacking).offer, 'offer that fills it');
    counts.set(offer, (counts.get(offer) ?? 0) + 1);
    lacking -= offer.count;
  }
  return [...counts].map(([offer, count]) => ({ offer, count }));
}
