/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
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

const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

test('the job: its name, its money and its day; a name that is cleared stays, a budget can be none', () => {
  const { jobNow } = onBench(<BriefStage />, { path: '/jobs/demo/brief' });
  type('Name of the job', 'Clay studio');
  type('Name of the job', '');
  expect(screen.getByText('A name is needed.')).toBeTruthy();
  type('Budget for everything', '412.50');
  type('Ready by', '2027-03-01');
  expect(jobNow()).toMatchObject({ name: 'Clay studio', budget: 41_250, calendar: { due: '2027-03-01' } });
  type('Budget for everything', '');
  type('Ready by', '');
  expect(jobNow()).toMatchObject({ budget: null, calendar: { due: null } });
  type('Budget for everything', '-5');
  expect(screen.getByRole('alert').textContent).toContain('An amount from 0');
  expect(jobNow().budget).toBeNull();
});

test('the piece: where it goes and stands, what it is used as, how often; only that piece changes', async () => {
  const { user, jobNow } = onBench(<BriefStage />, { path: '/jobs/demo/brief?piece=bench' });
  const before = jobNow();
  const bench = () => jobNow().pieces.find(({ id }) => id === 'bench')!;
  type('Name of the piece', 'Long bench');
  type('Where it goes', 'Under the window');
  type('Copies', '2');
  type('Seats wanted', '3');
  type('Price of the bought one, each', '249');
  await user.click(screen.getByRole('radio', { name: 'outside, in the weather' }));
  expect(bench()).toMatchObject({
    name: 'Long bench',
    where: 'Under the window',
    copies: 2,
    seats: 3,
    boughtPrice: 24_900,
    outside: true,
  });
  type('Seats wanted', '');
  type('Copies', '0');
  expect(screen.getByRole('alert').textContent).toContain('from 1 to 20');
  expect(bench()).toMatchObject({ seats: null, copies: 2 });
  await user.click(screen.getByRole('radio', { name: 'desk' }));
  expect(bench().use).toBe('desk');
  expect(jobNow().pieces.filter(({ id }) => id !== 'bench')).toEqual(before.pieces.filter(({ id }) => id !== 'bench'));
});
