import type { EntryOf } from '../job';
import { taxOn, type Yard } from '../stock';
import type { Holdings } from './holdings';

/** A purchase that was not taken back. */
export type Purchase = EntryOf<'bought'> | EntryOf<'box'>;

/** What was bought at one yard on one day, the returns taken off. Cents. */
export type Receipt = {
  readonly yard: Pick<Yard, 'id' | 'name' | 'tax'>;
  /** `2026-11-28`; empty where it was not kept. */
  readonly day: string;
  readonly purchases: readonly Purchase[];
  readonly subtotal: number;
  readonly tax: number;
};

export const priceOf = (purchases: readonly Purchase[]): number => purchases.reduce((sum, { price }) => sum + price, 0);

/** All receipts, the earliest first; tax is rounded once on each. */
export function receiptsOf({ bodies, boxes }: Holdings): readonly Receipt[] {
  const wood = [...bodies.values()].flatMap(({ bought, state }) => (bought && state !== 'returned' ? [bought] : []));
  const groups = new Map<string, Purchase[]>();
  for (const purchase of [...wood, ...boxes]) {
    const { at, yard } = purchase;
    const key = JSON.stringify([at?.slice(0, 10) ?? '', yard.id, yard.tax]);
    groups.set(key, [...(groups.get(key) ?? []), purchase]);
  }
  return [...groups]
    .map(([, purchases]): Receipt => {
      const { yard, at } = purchases[0] as Purchase;
      const subtotal = priceOf(purchases);
      return { yard, day: at?.slice(0, 10) ?? '', purchases, subtotal, tax: taxOn(subtotal, yard) };
    })
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
