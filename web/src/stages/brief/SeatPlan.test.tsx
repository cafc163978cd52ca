/** @jest-environment jsdom */
import { buildPiece, DEFAULT_SHOP, inches, mm, newPiece, seating, topOf, type Piece } from '@sill/core';
import { onBench } from '../../testing/bench';
import { SeatPlan } from './SeatPlan';

const sized = (piece: Piece, length: number, width: number): Piece => ({
  ...piece,
  size: { ...piece.size, length, width },
});

test.each([
  ['usual', newPiece('t', 'dining')],
  ['a sliver', sized(newPiece('t', 'desk'), mm(1500), mm(28))],
  ['a square', sized(newPiece('t', 'dining'), inches(40), inches(40))],
  ['very long', sized(newPiece('t', 'dining'), inches(200), inches(30))],
  ['round', newPiece('t', 'pedestal')],
  ['octagonal', newPiece('t', 'octagon')],
  ['a bench', newPiece('t', 'bench')],
])('%s: a mark for every place, nothing of less than no size', (_, piece) => {
  const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  const seats = seating(piece, parts, topOf(piece)!.deck);
  const { container } = onBench(<SeatPlan piece={piece} parts={parts} seats={seats} />);
  const rects = [...container.querySelectorAll('rect')];
  for (const rect of rects)
    for (const side of ['width', 'height']) expect(Number(rect.getAttribute(side))).toBeGreaterThanOrEqual(0);
  expect(container.querySelectorAll('.place rect')).toHaveLength(seats.total);
});
