/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { holdingsOf } from '@sill/core';
import { onBench } from '../testing/bench';
import { useDone, useTell } from './useLedger';

const [A, B] = [
  { id: 'a', as: 'one' },
  { id: 'b', as: 'two' },
];

function Probe() {
  const { has, toggle, tick } = useDone();
  const tell = useTell();
  return (
    <>
      <button onClick={() => tick([A, B])}>step</button>
      <button onClick={() => toggle(A)}>action</button>
      <button onClick={() => tell([{ id: 'r1', at: null, what: 'returned', of: 'nothing' }])}>return</button>
      <output>{[has(A), has({ ...A, as: 'other work' })].join()}</output>
    </>
  );
}

test('work is told once, with the minute, taken back by a correction, and other work under its name is not done', () => {
  const { jobNow, store } = onBench(<Probe />);
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
  press('action');
  press('step');
  const { ledger } = jobNow();
  expect(ledger.map((entry) => (entry.what === 'done' ? entry.of : entry.what))).toEqual(['set out', 'a', 'b']);
  expect(ledger.every(({ at }) => /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(at ?? ''))).toBe(true);
  expect(screen.getByRole('status').textContent).toBe('true,false');
  const steps = store.getState().bench.past.length;
  press('step');
  expect(store.getState().bench.past.length).toBe(steps);
  press('action');
  expect(jobNow().ledger).toHaveLength(4);
  expect([...holdingsOf(jobNow()).done.keys()]).toEqual(['b']);
  expect(screen.getByRole('status').textContent).toBe('false,false');
});

test('what can not be so is refused with a sentence, and nothing is changed', () => {
  const { jobNow, store } = onBench(<Probe />);
  const before = jobNow();
  fireEvent.click(screen.getByRole('button', { name: 'return' }));
  expect(jobNow()).toBe(before);
  expect(store.getState().view.message?.text).toMatch(
    /^A return can not be so: it is about something that was never bought/,
  );
});
