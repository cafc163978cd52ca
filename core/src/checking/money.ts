import { first, sure } from '../lists';
import { boardName, offerName, secondTrip, sparesFor } from '../buying';
import { choosesWidth } from '../piece';
import { note, set } from '../job';
import type { Finding } from '../job';
import { hardwareName, type Yard } from '../stock';
import { counted, dim, listOf, say, strong, type Phrase } from '../words';
import { isComplete, type Facts } from './facts';
import { alsoAt, othersThan } from './yards';

/** A chance in words: 4 in 10, 1 in 12. */
const odds = (chance: number): string =>
  chance < 0.01
    ? 'under 1 in 100'
    : chance > 0.95
      ? 'near certain'
      : chance > 0.3
        ? `${Math.round(chance * 10)} in 10`
        : `1 in ${Math.round(1 / chance)}`;

const dollars = (cents: number): string => `$${(cents / 100).toFixed(2)}`;

/** Over or under the budget, and against the bought price. */
function priceNotes({ job, list, buying, pieces }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  const complete = isComplete({ pieces, buying, list });
  if (job.budget !== null && list.total > job.budget) {
    const over = list.total - job.budget;
    const dear = job.pieces.filter(
      (piece) => choosesWidth(piece) && piece.topChoices.width !== undefined && piece.topChoices.width !== 'cheapest',
    );
    const remedies: Finding['remedies'][number][] = [];
    if (dear.length > 0)
      remedies.push({
        label: say`Join every top from its cheapest width`,
        changes: dear.map((piece) => set(piece.id, ['topChoices', 'width'], 'cheapest')),
      });
    if (list.spareCount > 0) remedies.push({ label: say`Buy no spares`, changes: [set(null, ['spares'], 'none')] });
    found.push(
      note(null, 'budget', 'stop', 'stock', {
        title: say`${dollars(over)} over budget`,
        because: say`The list comes to ${dollars(list.total)} with tax, the budget is ${dollars(job.budget)}.`,
        numbers: { overCents: over },
        remedies,
      }),
    );
  } else if (job.budget !== null && complete && list.total > 0)
    found.push(
      note(null, 'budget', 'good', 'stock', {
        title: say`${dollars(job.budget - list.total)} under budget`,
        because: say`${dollars(list.total)} with tax, of ${dollars(job.budget)}.`,
        numbers: { underCents: job.budget - list.total },
      }),
    );

  const bought = job.pieces.reduce((sum, piece) => sum + (piece.boughtPrice ?? 0) * piece.copies, 0);
  const allPriced = job.pieces.length > 0 && job.pieces.every((piece) => piece.boughtPrice !== null);
  if (allPriced && complete)
    found.push(
      note(null, 'bought', list.total < bought ? 'good' : 'care', 'stock', {
        title: list.total < bought ? say`${dollars(bought - list.total)} less than bought` : say`Buying costs less`,
        because: say`The same from a shop costs ${dollars(bought)}; wood and screws come to ${dollars(list.total)}. Tools and your hours are not in it.`,
        numbers: { boughtCents: bought },
      }),
    );
  return found;
}

/** What spares cost, and the odds of a second trip with and without them. */
function spareNotes({ job, list, buying }: Facts): readonly Finding[] {
  if (list.spareCount === 0) return [];
  const spares = sparesFor(job, buying);
  const any = (chances: readonly number[]) => 1 - chances.reduce((none, chance) => none * (1 - chance), 1);
  const trip = any(spares.map(({ secondTrip: chance }) => chance));
  const without = any(spares.map(({ cut }) => secondTrip(cut, 0, job.shop.spoiled / 100)));
  const likely = sparesFor({ ...job, spares: 'likely' }, buying).reduce(
    (sum, { offer, count }) => sum + count * offer.price,
    0,
  );
  return [
    note(null, 'spares', 'care', 'stock', {
      title: say`${list.spareCount} spare ${list.spareCount === 1 ? 'board' : 'boards'}`,
      because:
        job.spares === 'each'
          ? say`One of each size, long enough for its longest piece, in case one splits or is cut wrong: ${dollars(list.spares)} before tax. Without them the odds of a second trip are ${odds(without)}, with them ${odds(trip)}.`
          : say`At ${job.shop.spoiled} spoiled of a hundred it takes these to be nine in ten sure of each size: ${dollars(list.spares)} before tax. Without them the odds of a second trip are ${odds(without)}, with them ${odds(trip)}.`,
      numbers: { sparesCents: list.spares, secondTrip: trip, secondTripWithout: without },
      remedies: [
        ...(likely < list.spares
          ? [{ label: say`Only as many as is likely`, changes: [set(null, ['spares'], 'likely')] }]
          : []),
        { label: say`Buy the exact count`, changes: [set(null, ['spares'], 'none')] },
      ],
    }),
  ];
}

/** What the yard lacks, and what is on hand. */
function supplyNotes({ job, list, buying }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  if (list.notSold.length > 0) {
    const named = list.notSold.map(
      ({ kind, size, count }): Phrase => say`${strong(count)} ${hardwareName(kind, size)}`,
    );
    const sells = (yard: Yard) =>
      list.notSold.every((need) => yard.hardware.some(({ kind, size }) => kind === need.kind && size === need.size));
    found.push(
      note(null, 'not-sold', 'stop', 'stock', {
        title:
          named.length === 1
            ? say`No ${hardwareName(first(list.notSold).kind, first(list.notSold).size)} at this yard`
            : say`${strong(named.length)} things are not sold here`,
        because: say`${listOf(named)}: needed, and the price list has none. The total leaves them out; add rows under Prices.`,
        remedies: alsoAt(othersThan(job).filter(sells)),
      }),
    );
  }

  const there = buying.boards.filter(({ hand }) => hand !== null);
  if (there.length > 0)
    found.push(
      note(null, 'on-hand', 'good', 'stock', {
        about: there.flatMap(({ pieces: cut }) => cut.map(({ blank }) => blank.part.id)),
        title: say`On hand goes first`,
        because: say`${there
          .slice(0, 4)
          .flatMap((board, at): Phrase => [
            at === 0 ? '' : '; ',
            `${boardName(board, job.units)} becomes `,
            ...listOf(board.pieces.map(({ blank }): Phrase[number] => ({ tag: blank.part.tag }))),
          ])}${there.length > 4 ? `; and ${there.length - 4} more` : ''}.${there.some(({ hand }) => sure(hand, 'board on hand').bad.length > 0) ? ' What is bad is left out.' : ''}`,
        numbers: { pieces: there.length },
      }),
    );
  return found;
}

/** What is longer than the car. */
function carNotes({ job, list }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  const cuts = list.boards.flatMap(({ offer, storeCuts }) => storeCuts.map((at) => ({ offer, at })));
  const able = cuts.flatMap(({ offer, at }) => (at === null ? [] : [{ offer, at }]));
  if (able.length > 0)
    found.push(
      note(null, 'car', 'care', 'stock', {
        title: say`Longer than the car`,
        because: say`The car takes ${dim(job.shop.car)}. Have the store cut ${able
          .slice(0, 6)
          .flatMap(({ offer, at }, k): Phrase => [
            k === 0 ? '' : '; ',
            `one ${offerName(offer, job.units)} at `,
            ...listOf(at.map(dim)),
          ])}${able.length > 6 ? `; and ${able.length - 6} more` : ''}: the plan cuts there anyway. The cut sheet shows it.`,
        numbers: { boards: able.length },
      }),
    );
  if (cuts.length > able.length)
    found.push(
      note(null, 'car-too-short', 'care', 'stock', {
        title: say`Not in this car`,
        because: say`${counted(cuts.length - able.length, 'board')} must stay longer than the ${dim(job.shop.car)} that the car takes: a piece of it is. Have it delivered, or borrow a longer one.`,
        numbers: { boards: cuts.length - able.length },
      }),
    );
  return found;
}

/** Budget, the bought price, spares, what the yard lacks and what fits the car. */
export const moneyNotes = (facts: Facts): readonly Finding[] =>
  [priceNotes, spareNotes, supplyNotes, carNotes].flatMap((notes) => notes(facts));
