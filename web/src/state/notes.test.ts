import { demoJob } from '@sill/core';
import { planned } from '../../../core/src/testing/planning';
import { notesOf } from './notes';

const plan = planned(demoJob(), '2026-11-24');

test('a stage of one piece shows its notes only, a stage of the job shows all', () => {
  const glaze = notesOf(plan, 'shape', 'glaze');
  expect(glaze.length).toBeGreaterThan(0);
  expect(glaze.every((note) => note.piece === 'glaze')).toBe(true);
  expect(notesOf(plan, 'shape', 'tea')).not.toEqual(glaze);
  expect(notesOf(plan, 'stock', 'glaze')).toEqual(notesOf(plan, 'stock', null));
  expect(notesOf(null, 'shape', 'glaze')).toEqual([]);
});

test('what stops comes first, good news last', () => {
  const order = { stop: 0, care: 1, good: 2 };
  for (const stage of ['brief', 'shape', 'stock', 'cuts', 'joints', 'build'] as const) {
    const ranks = notesOf(plan, stage, 'tea').map((note) => order[note.level]);
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  }
});
