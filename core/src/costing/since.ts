import { offerName, type BoardLine } from '../buying';
import type { Units } from '../length';
import type { Plan } from '../plan';
import { counted } from '../words';

const dollars = (cents: number): string => `$${(Math.abs(cents) / 100).toFixed(2)}`;
const isWhole = ({ buying }: Plan): number => buying.idle.filter(({ state }) => state === 'whole').length;

/** Boards to buy that one plan has more of than another: `2 2×6×10`. */
function moreIn(one: readonly BoardLine[], than: readonly BoardLine[], units: Units): readonly string[] {
  const counts = new Map(than.map(({ offer, count }) => [offer.id, count]));
  return one.flatMap(({ offer, count }) => {
    const more = count - (counts.get(offer.id) ?? 0);
    return more > 0 ? [`${more} ${offerName(offer, units)}`] : [];
  });
}

/**
 * What a fact made of a plan, in a sentence: what is to be bought now and was not, what no more, what was paid and is
 * lost, what lies idle, and what that makes of the total; null where the plan was only carried out. A board that is
 * bought is no change: it is off what is to buy, and its price with it.
 */
export function sinceWords(before: Plan, after: Plan, units: Units): string | null {
  const dearer = after.list.total - before.list.total;
  const more = moreIn(after.list.boards, before.list.boards, units);
  const bought = after.list.boards.reduce((sum, { owned }) => sum + owned, 0);
  const had = before.list.boards.reduce((sum, { owned }) => sum + owned, 0);
  const fewer = bought > had ? [] : moreIn(before.list.boards, after.list.boards, units);
  const idle = isWhole(after) - isWhole(before);
  const unfit = after.buying.unfit.length - before.buying.unfit.length;
  const lost = after.list.sums.lost - before.list.sums.lost;
  const unplaced = after.buying.unplaced.length - before.buying.unplaced.length;
  const told = [
    more.length > 0 ? `To buy now: ${more.join(', ')}` : '',
    fewer.length > 0 ? `no more to buy: ${fewer.join(', ')}` : '',
    lost > 0 ? `${dollars(lost)} of wood is spoiled or gone` : '',
    idle > 0 ? `${counted(idle, 'bought board')} ${idle === 1 ? 'is' : 'are'} not needed now` : '',
    unfit > 0 ? `${counted(unfit, 'cut piece')} ${unfit === 1 ? 'is' : 'are'} no part now` : '',
    unplaced > 0 ? 'not all parts have a board now: the notes say the way out' : '',
    dearer !== 0 ? `${dollars(dearer)} ${dearer > 0 ? 'more' : 'less'} in all` : '',
  ].filter((words) => words !== '');
  if (told.length === 0) return null;
  const sentence = told.join('; ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
}
