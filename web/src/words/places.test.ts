import { demoJob, inches } from '@sill/core';
import { placeWords, valueWords } from './places';

const job = demoJob();

test('places are told as the screens call them', () => {
  expect(placeWords(['pieces', 'glaze', 'size', 'length'], [job])).toBe('Glaze table: length');
  expect(placeWords(['pieces', 'glaze'], [job])).toBe('Glaze table');
  expect(placeWords(['pieces', 'glaze', 'topChoices', 'edgeBoards'], [job])).toBe('Glaze table: top, edge boards');
  expect(placeWords(['budget'], [job])).toBe('Budget');
  expect(placeWords(['ledger', 'h1'], [job])).toBe('The ledger, h1');
  expect(placeWords([], [job])).toBe('The whole job');
});

test('values are told in the units of the job and in money', () => {
  expect(valueWords(['pieces', 'glaze', 'size', 'length'], inches(66.5), 'in')).toBe('66 1/2"');
  expect(valueWords(['pieces', 'glaze', 'size', 'length'], 320 * 20, 'mm')).toContain('20');
  expect(valueWords(['budget'], 12_300, 'in')).toBe('$123.00');
  expect(valueWords(['budget'], null, 'in')).toBe('nothing');
  expect(valueWords(['pieces', 'glaze'], undefined, 'in')).toBe('removed');
  expect(valueWords(['pieces', 'glaze'], job.pieces[0], 'in')).toBe('Glaze table');
  expect(valueWords(['shop', 'tools'], [1, 2], 'in')).toBe('2 rows');
});
