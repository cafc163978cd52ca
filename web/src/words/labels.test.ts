import { demoJob, marksOf, newJob, newPiece } from '@sill/core';
import { runs } from './labels';

test('runs of tags are drawn together', () => {
  expect(runs(['L1', 'L2', 'L3', 'L4', 'E1', 'T2', 'T3', 'L1'])).toBe('E1, L1–L4, T2, T3');
  expect(runs(['G-T1', 'G-T2', 'G-T3', 'W-T3'])).toBe('G-T1–T3, W-T3');
  expect(runs(['W1A', 'W1C', 'W1B', 'W2F', 'H10', 'H2'])).toBe('H2, H10, W1A–W1C, W2F');
  expect(runs([])).toBe('');
});

test('pieces are told apart by as few letters as it takes', () => {
  expect([...marksOf(demoJob()).values()]).toEqual(['G', 'WA', 'WI', 'D']);
  const named = (...names: string[]) => ({
    ...newJob('j'),
    pieces: names.map((name, at) => newPiece(`p${at}`, 'desk', name)),
  });
  expect([...marksOf(named('Shelf', 'Shed table')).values()]).toEqual(['SHE', 'SHE2']);
  expect([...marksOf(named('Desk')).values()]).toEqual(['']);
  expect(new Set(marksOf(named('Desk', 'Desk', 'Desk')).values()).size).toBe(3);
});
