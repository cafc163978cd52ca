import type { Entry, EntryOf, Job } from '../job';
import { sizesOf, type BoardOffer, type HardwareOffer, type SheetOffer } from '../stock';
import type { Board } from './board';
import { laidOf } from './locks';
import { soldAt } from './market';
import { offerMaterial, offerWidth } from './offers';

/** What entries are signed with: ids that no other has, and when it is. */
export type Stamp = { readonly id: () => string; readonly at: string | null };

const signed = ({ id, at }: Stamp) => ({ id: id(), at });
const yardOf = (job: Job, offer: { readonly id: string }) => {
  const { id, name, tax } = soldAt(job, offer);
  return { id, name, tax };
};

/** A board or sheet bought today at its price on the list. `parts` are those it is bought for. */
export const purchaseOf = (
  job: Job,
  offer: BoardOffer | SheetOffer,
  parts: readonly string[],
  stamp: Stamp,
): EntryOf<'bought'> => ({
  ...signed(stamp),
  what: 'bought',
  offer: offer.id,
  material: offerMaterial(offer),
  length: offer.length,
  width: offerWidth(offer, sizesOf(job.measured)),
  grade: 'grade' in offer ? offer.grade : '',
  price: offer.price,
  yard: yardOf(job, offer),
  parts,
});

/** A box, bottle or pack bought today at its price on the list. */
export const boxBought = (job: Job, { id, kind, size, count, price }: HardwareOffer, stamp: Stamp): EntryOf<'box'> => ({
  ...signed(stamp),
  what: 'box',
  offer: id,
  ...{ kind, size, count, price, yard: yardOf(job, { id }) },
});

/** A board of the plan as something that is owned: what it is, and its purchase where it was still to be bought. */
function owning(job: Job, board: Board, stamp: Stamp): { readonly of: string; readonly bought: readonly Entry[] } {
  if (board.body !== null) return { of: board.body, bought: [] };
  const bought = purchaseOf(
    job,
    board.offer,
    board.pieces.map(({ blank }) => blank.part.id),
    stamp,
  );
  return { of: bought.id, bought: [bought] };
}

/** A board of the plan is bought: nothing where it is owned. */
export const boughtAs = (job: Job, board: Board, stamp: Stamp): readonly Entry[] => owning(job, board, stamp).bought;

/** A board of the plan is cut as it lies: at one setting of the saw, or wholly (null). */
export function cutAs(job: Job, board: Board, by: string | null, stamp: Stamp): readonly Entry[] {
  const { of, bought } = owning(job, board, stamp);
  const { material, length, width } = board;
  return [...bought, { ...signed(stamp), what: 'cut', of, material, length, width, ...laidOf(board), by }];
}

/** A board of the plan is spoiled: its pieces need another. */
export function spoiledAs(job: Job, board: Board, stamp: Stamp): readonly Entry[] {
  const { of, bought } = owning(job, board, stamp);
  return [...bought, { ...signed(stamp), what: 'spoiled', of }];
}
