/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { buildPiece, DEFAULT_SHOP, inches, mm, newPiece, seating, topOf, type Piece } from '@sill/core';
import { onBench } from '../../testing/bench';
import { BriefStage } from './BriefStage';
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

test('what it must carry: drawers are asked about where there are any; where a load lies only once there is one', async () => {
  const { user, jobNow } = onBench(<BriefStage />, { path: '/jobs/demo/brief?piece=cart' });
  const carries = () => jobNow().pieces.find(({ id }) => id === 'cart')!.carries;
  expect(screen.queryByRole('radio', { name: 'in its middle' })).toBeNull();
  await user.type(screen.getByLabelText('In each drawer, lb'), '40{Enter}');
  await user.type(screen.getByLabelText('Must carry for years, lb'), '150{Enter}');
  expect(carries()).toMatchObject({ top: 150, lies: 'spread', drawer: 40 });
  await user.click(screen.getByRole('radio', { name: 'in its middle' }));
  expect(carries().lies).toBe('middle');
});

test('a table without drawers or shelves is asked about its top alone', () => {
  onBench(<BriefStage />, { path: '/jobs/demo/brief?piece=bench' });
  expect(screen.getByLabelText('Must carry for years, lb')).toBeTruthy();
  expect(screen.queryByLabelText('In each drawer, lb')).toBeNull();
  expect(screen.queryByLabelText('On a foot of shelf, lb')).toBeNull();
});
