/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import { applyChanges, demoJob, topCandidates, set } from '@sill/core';
import { usePiece } from '../../state/hooks';
import { cleared } from '../../state/planning';
import { onBench } from '../../testing/bench';
import { useBuilt } from './useBuilt';

function Probe() {
  const built = useBuilt(usePiece());
  return <output>{`${built?.model.parts.length} ${built?.settled ? 'settled' : 'open'}`}</output>;
}
const said = () => screen.getByRole('status').textContent;

test('a piece is there before its plan, and settled where no plan has to choose its boards', () => {
  const [free] = demoJob().pieces.filter((piece) => topCandidates(piece).length > 1);
  const { store } = onBench(<Probe />, { path: `/jobs/demo/parts?piece=${free!.id}` });
  const planned = said()!;
  expect(planned).toMatch(/^\d{2} settled$/);
  act(() => void store.dispatch(cleared()));
  expect(said()).toMatch(/^\d+ open$/);
});

test('the piece of one choice is built as the plan has it', () => {
  const [free] = demoJob().pieces.filter((piece) => topCandidates(piece).length > 1);
  const nominal = topCandidates(free!)[0]!;
  const job = applyChanges(demoJob(), [set(free!.id, ['topChoices', 'width'], nominal)]);
  const one = job.pieces.find(({ id }) => id === free!.id)!;
  expect(topCandidates(one)).toEqual([nominal]);
  const { store } = onBench(<Probe />, { job, path: `/jobs/demo/parts?piece=${one.id}` });
  const parts = store.getState().planning.plan!.pieces.find(({ piece }) => piece.id === one.id)!.parts.length;
  act(() => void store.dispatch(cleared()));
  expect(said()).toBe(`${parts} settled`);
});
