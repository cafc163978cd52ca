/** @jest-environment jsdom */
import { STAGE_NAMES } from '@sill/core';
import { stageOf, STAGES } from './registry';

test('every stage of the core is there once, in the order people work, and leads on by a button of its own', () => {
  expect(STAGES.map(({ name }) => name)).toEqual(STAGE_NAMES);
  for (const of of ['label', 'next'] as const)
    expect(new Set(STAGES.map((stage) => stage[of])).size).toBe(STAGES.length);
  expect(stageOf('cuts')?.label).toBe('Cuts');
  for (const none of [undefined, '', 'Cuts', 'toString']) expect(stageOf(none)).toBeUndefined();
});
