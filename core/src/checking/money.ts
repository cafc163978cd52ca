import { boardName, offerLength, offerName } from '../buying';
import { choosesWidth } from '../piece';
import type { Finding } from '../job';
import { hardwareName } from '../stock';
import { dim, listOf, say, strong, type Phrase } from '../words';
import { note, type Facts } from './facts';

const dollars = (cents: number): string => `$${(cents / 100).toFixed(2)}`;

/** Budget, the bought price, spares, what the yard lacks and what fits the car. */
export function moneyNotes({ job, list, buying, pieces }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  const complete = buying.unplaced.length === 0 && pieces.every(({ parts }) => parts.length > 0);
  if (job.budget !== null && list.total > job.budget) {
    const over = list.total - job.budget;
    const dear = job.pieces.filter(
      (piece) => choosesWidth(piece) && piece.topChoices.width !== undefined && piece.topChoices.width !== 'cheapest',
    );
    const remedies: Finding['remedies'][number][] = [];
    if (dear.length > 0)
      remedies.push({
        label: say`Join every top from its cheapest width`,
        changes: dear.map((piece) => ({ piece: piece.id, path: ['topChoices', 'width'], value: 'cheapest' })),
      });
    if (list.spareCount > 0)
      remedies.push({ label: say`Buy no spares`, changes: [{ piece: null, path: ['spares'], value: 'none' }] });
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

  if (list.spareCount > 0)
    found.push(
      note(null, 'spares', 'care', 'stock', {
        title: say`${list.spareCount} spare ${list.spareCount === 1 ? 'board' : 'boards'}`,
        because: say`One of each size, long enough for its longest piece, in case one splits or is cut wrong: ${dollars(list.spares)} before tax.`,
        numbers: { sparesCents: list.spares },
        remedies: [{ label: say`Buy the exact count`, changes: [{ piece: null, path: ['spares'], value: 'none' }] }],
      }),
    );

  for (const need of list.notSold)
    found.push(
      note(null, `not-sold-${need.kind}-${need.size.replace(/\W/g, '-')}`, 'stop', 'stock', {
        title: say`No ${hardwareName(need.kind, need.size)} at this yard`,
        because: say`${strong(need.count)} are needed and the price list has none. The total leaves them out; add a row under Prices.`,
      }),
    );

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
          ])}${there.length > 4 ? `; and ${there.length - 4} more` : ''}.${there.some(({ hand }) => hand!.bad.length > 0) ? ' What is bad is left out.' : ''}`,
        numbers: { pieces: there.length },
      }),
    );

  const long = list.boards.filter(({ offer }) => offerLength(offer) > job.shop.car);
  if (long.length > 0)
    found.push(
      note(null, 'car', 'care', 'stock', {
        title: say`Longer than the car`,
        because: say`${long.map(({ offer, count }) => `${count} of ${offerName(offer, job.units)}`).join(', ')}; the car takes ${dim(job.shop.car)}. Have the store cut them where the cut sheet has a cut.`,
      }),
    );
  return found;
}
