/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { onBench } from '../testing/bench';
import { useTicks } from './useTicks';

function Probe() {
  const { has, toggle, tick } = useTicks();
  return (
    <>
      <button onClick={() => toggle('stop:1')}>setting</button>
      <button onClick={() => tick(['a', 'stop:1', 'b'])}>step</button>
      <button onClick={() => toggle('a')}>action</button>
      <output>{has('a') ? 'ticked' : 'open'}</output>
    </>
  );
}

test('ticks are kept in the job, one step back each, and never twice', () => {
  const { jobNow, store } = onBench(<Probe />);
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
  press('setting');
  press('step');
  expect(jobNow().done).toEqual(['stop:1', 'a', 'b']);
  expect(screen.getByRole('status').textContent).toBe('ticked');
  const steps = store.getState().bench.past.length;
  press('step');
  expect(store.getState().bench.past.length).toBe(steps);
  press('action');
  expect(jobNow().done).toEqual(['stop:1', 'b']);
  expect(screen.getByRole('status').textContent).toBe('open');
});
