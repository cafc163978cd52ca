import type { Job } from '../job';
import type { BoardOffer, HardwareOffer, SheetOffer, Yard } from '../stock';

type Yards = Pick<Job, 'yard' | 'alsoAt'>;
type Offer = BoardOffer | SheetOffer | HardwareOffer;

const elsewhere = (yard: Yard, id: string): string => `${yard.id}.${id}`;

/**
 * Everything that can be bought for a job, from all of its yards. What the further yards sell goes by `yard.offer`, so
 * that the same size at two yards is two offers.
 */
export function marketOf({ yard, alsoAt }: Yards): Yard {
  if (alsoAt.length === 0) return yard;
  const marked = <Row extends Offer>(from: Yard, rows: readonly Row[]): readonly Row[] =>
    rows.map((row) => ({ ...row, id: elsewhere(from, row.id) }));
  return {
    ...yard,
    boards: [...yard.boards, ...alsoAt.flatMap((other) => marked(other, other.boards))],
    sheets: [...yard.sheets, ...alsoAt.flatMap((other) => marked(other, other.sheets))],
    hardware: [...yard.hardware, ...alsoAt.flatMap((other) => marked(other, other.hardware))],
  };
}

const sells = (yard: Yard, id: string): boolean =>
  [yard.boards, yard.sheets, yard.hardware].some((rows) => rows.some((row) => row.id === id));

/** The yard of a job that an offer of its market is bought at. One id may begin with another: `a` and `a.b`. */
export function soldAt({ yard, alsoAt }: Yards, offer: Pick<Offer, 'id'>): Yard {
  const [first, ...more] = alsoAt.filter((other) => offer.id.startsWith(elsewhere(other, '')));
  if (!first || more.length === 0) return first ?? yard;
  return [first, ...more].find((other) => sells(other, offer.id.slice(elsewhere(other, '').length))) ?? first;
}

/** Lines of the list by the yard they are bought at, in the job's order; yards where nothing is bought left out. */
export const byYard = <Row extends { readonly offer: { readonly id: string } }>(
  yards: Yards,
  rows: readonly Row[],
): readonly { readonly yard: Yard; readonly lines: readonly Row[] }[] =>
  [yards.yard, ...yards.alsoAt]
    .map((yard) => ({ yard, lines: rows.filter(({ offer }) => soldAt(yards, offer) === yard) }))
    .filter(({ lines }) => lines.length > 0);

/** The id that the offer has in its own yard's list. */
export const bareId = (yards: Yards, offer: Pick<Offer, 'id'>): string => {
  const yard = soldAt(yards, offer);
  return yards.alsoAt.includes(yard) ? offer.id.slice(elsewhere(yard, '').length) : offer.id;
};

/**
 * What a price at one yard is worth beside those of the first: cents, the difference of their taxes in it. Equal to the
 * price where the tax is the same.
 */
export const worthOf =
  (yards: Yards) =>
  (offer: Offer): number =>
    (offer.price * (100 + soldAt(yards, offer).tax)) / (100 + yards.yard.tax);
