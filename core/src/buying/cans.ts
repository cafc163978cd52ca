import type { Can, Job } from '../job';
import { holdingsOf } from '../ledger';
import { isPoured } from '../stock';
import type { BuyingList } from './list';

/** What a job leaves over of one product. */
export type LeftInCans = Pick<Can, 'kind' | 'size' | 'ounces'> & {
  /** All of it is bought or was there: it can be put on the rack. */
  readonly isHere: boolean;
};

/** Less than this is not worth a lid, fluid ounces. */
const KEPT = 4;

/**
 * What bottles, cans and tubes of a job hold beyond what it needs, rounded down to whole fluid ounces: bought, still to
 * be bought and taken from the rack; less what was put there already.
 */
export function leftInCans({ list }: { readonly list: BuyingList }, job: Pick<Job, 'ledger'>): readonly LeftInCans[] {
  const { cans, cansRacked } = holdingsOf(job);
  const rows = new Map<string, { kind: Can['kind']; size: string; have: number; need: number; toBuy: number }>();
  const row = (kind: Can['kind'], size: string) => {
    const key = `${kind} ${size}`;
    const before = rows.get(key) ?? { kind, size, have: 0, need: 0, toBuy: 0 };
    rows.set(key, before);
    return before;
  };
  // Lines of one need stand in boxes of more than one size: what they are for counts once.
  for (const need of new Set([...list.hardware.map((line) => line.need), ...list.there]))
    if (isPoured(need.kind)) row(need.kind, need.size).need += need.count;
  for (const { offer, count, owned } of list.hardware)
    if (isPoured(offer.kind)) {
      const own = row(offer.kind, offer.size);
      own.have += (count + owned) * offer.count;
      own.toBuy += count;
    }
  for (const { kind, size, ounces } of cans) row(kind, size).have += ounces;
  for (const { kind, size, ounces } of cansRacked) row(kind, size).have -= ounces;
  return [...rows.values()]
    .map(({ kind, size, have, need, toBuy }) => ({ kind, size, ounces: Math.floor(have - need), isHere: toBuy === 0 }))
    .filter(({ ounces }) => ounces >= KEPT);
}
