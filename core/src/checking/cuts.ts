import { inches, type Length } from '../length';
import { marketOf, offersOf } from '../buying';
import { alongOf } from '../piece';
import type { Finding } from '../job';
import { isSheet, printMaterial } from '../stock';
import { dim, listOf, say, tag, type Phrase } from '../words';
import { note, type Facts } from './facts';

/** Under this a piece is held with a block, never by hand. */
export const SHORT_PIECE: Length = inches(6);

/** What found no board, what was proved, and pieces that are dangerous to hold. */
export function cutNotes({ job, buying }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  for (const { blank, because } of buying.unplaced) {
    const { part } = blank;
    const offers = offersOf(blank.material, marketOf(job));
    const longest =
      Math.max(0, ...offers.map((offer) => offer.length)) - (isSheet(blank.material) ? 0 : 2 * job.shop.squareEnds);
    const excess = blank.length - longest;
    const piece = job.pieces.find((item) => item.id === part.piece)!;
    const along = alongOf(part);
    const side = along === 0 ? 'length' : along === 1 ? 'width' : 'height';
    const shorter = piece.size[side] - excess;
    const fits = !part.loose && offers.length > 0 && excess > 0 && shorter > 0;
    found.push(
      note(part.piece, `unplaced-${part.tag}`, 'stop', 'cuts', {
        about: [part.id],
        title: say`No board for ${tag(part.tag)}`,
        because: fits
          ? say`It needs ${dim(blank.length)}; the longest ${printMaterial(blank.material)} sold gives ${dim(longest)} with its ends squared.`
          : offers.length === 0
            ? say`This yard has no ${printMaterial(blank.material)} in stock.`
            : say`It is ${because}.`,
        numbers: {},
        remedies: fits
          ? [
              {
                label: say`Make the table ${dim(shorter)} ${side === 'length' ? 'long' : side === 'width' ? 'wide' : 'high'}`,
                changes: [{ piece: part.piece, path: ['size', side], value: shorter }],
              },
            ]
          : [],
      }),
    );
  }
  if (buying.boards.length > 0 && buying.unplaced.length === 0) {
    const gap = buying.cost - buying.lowerBound;
    found.push(
      gap === 0
        ? note(null, 'proved', 'good', 'cuts', {
            title: say`Cheapest possible`,
            because: say`No other mix of boards on this price list makes these pieces for less. Proved, kerf and squared ends counted.`,
            numbers: { cents: buying.cost },
          })
        : note(null, 'proved', 'care', 'cuts', {
            title: say`Within $${(gap / 100).toFixed(2)} of the least`,
            because: say`These boards cost $${(buying.cost / 100).toFixed(2)}. No mix can cost less than $${(buying.lowerBound / 100).toFixed(2)}; whether one is in between is not proved.`,
            numbers: { cents: buying.cost, boundCents: buying.lowerBound },
          }),
    );
  }
  const short = [
    ...new Set(
      buying.boards
        .flatMap((board) => board.pieces)
        .filter((piece) => piece.length < SHORT_PIECE)
        .map((piece) => piece.blank.part),
    ),
  ];
  if (short.length > 0)
    found.push(
      note(null, 'short', 'care', 'cuts', {
        about: short.map((part) => part.id),
        title: say`Short pieces near the blade`,
        because: say`${listOf(short.map((part): Phrase[number] => tag(part.tag)))} are under ${dim(SHORT_PIECE)}. Hold them with a clamp block, never by hand.`,
      }),
    );
  return found;
}
