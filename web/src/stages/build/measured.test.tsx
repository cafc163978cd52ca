/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { demoJob, inches, readingsOf, type Step } from '@sill/core';
import type { Ask } from '../../platform/ask';
import { onBench, planOnce } from '../../testing/bench';
import { AsBuilt, Diagonals } from './Measured';

const job = demoJob();
const plan = planOnce(job);
const facts = plan.pieces[0]!;
const framed = facts.steps.find(({ diagonals, adds }) => diagonals && adds.includes('glaze.L1'))!;
const path = '/jobs/demo/build?piece=glaze';
const glaze = (jobNow: () => typeof job) => readingsOf(jobNow(), 'glaze');
/** What was told, the last of each thing, and whether a simulated tape made it up. */
const told = (jobNow: () => typeof job) =>
  glaze(jobNow).from.flatMap((entry) => (entry.what === 'fitted' ? [] : [[entry.what, entry.simulated] as const]));
const type = (label: string | RegExp, value: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
};
/** A server that knows the tape alone. */
const tape = (length: number, simulated: boolean) => (() => Promise.resolve({ length, simulated })) as unknown as Ask;

describe('diagonals as read', () => {
  const show = (ask?: Ask, step: Step = framed) =>
    onBench(<Diagonals step={step} />, { job, path, ...(ask ? { ask } : {}) });

  test('typed: both alike is square, and nothing is called simulated', () => {
    const { jobNow } = show();
    const [should] = framed.diagonals!;
    for (const label of [/^First/, /^Second/]) type(label, String(should / inches(1) + 1 / 16));
    expect(screen.getByRole('status').textContent).toContain('it is square');
    expect(told(jobNow)).toEqual([
      ['diagonal', false],
      ['diagonal', false],
    ]);
    expect(screen.queryByText('simulated')).toBeNull();
  });

  test('both as planned is worth saying too, and so is what a simulated tape said before', async () => {
    const [should] = framed.diagonals!;
    const { jobNow, user } = show(tape(should, true));
    await user.click(screen.getAllByRole('button', { name: 'From the tape' })[0]!);
    await screen.findByText('simulated');
    for (const label of [/^First/, /^Second/]) {
      const field = screen.getByLabelText<HTMLInputElement>(label);
      for (let time = 0; time < 2; time++) fireEvent.keyDown(field, { key: 'Enter' });
    }
    expect(told(jobNow)).toEqual([
      ['diagonal', true],
      ['diagonal', false],
      ['diagonal', false],
    ]);
    expect(screen.getByRole('status').textContent).not.toContain('longer');
    expect(screen.queryByText('simulated')).toBeNull();
  });

  test('unlike: the longer one is pushed together', () => {
    show();
    const [should] = framed.diagonals!;
    type(/^First/, String(should / inches(1) + 1));
    expect(screen.getByRole('status').textContent).toContain('The first is longer');
  });

  test('from the simulated tape: marked on the page and in the job, until it is typed', async () => {
    const { jobNow, user } = show(tape(framed.diagonals![0] + inches(1 / 4), true));
    await user.click(screen.getAllByRole('button', { name: 'From the tape' })[0]!);
    expect(await screen.findByText('simulated')).toBeTruthy();
    expect(told(jobNow)).toEqual([['diagonal', true]]);
    type(/^First/, '43 1/2');
    expect(told(jobNow).at(-1)).toEqual(['diagonal', false]);
    expect(glaze(jobNow).diagonals[framed.id]![0]).toBe(inches(43.5));
    expect(screen.queryByText('simulated')).toBeNull();
  });

  test('from a real tape there is no mark', async () => {
    const { jobNow, user } = show(tape(framed.diagonals![0], false));
    await user.click(screen.getAllByRole('button', { name: 'From the tape' })[1]!);
    await screen.findByRole('status');
    expect(glaze(jobNow).diagonals[framed.id]).toEqual([null, framed.diagonals![0]]);
    expect(told(jobNow)).toEqual([['diagonal', false]]);
  });
});

describe('sizes as built', () => {
  test('a simulated size is marked beside it; forgotten, the mark goes too', async () => {
    const ask = tape(inches(34.5), true);
    const { jobNow, user } = onBench(<AsBuilt facts={facts} step={framed} />, { job, path, ask });
    await user.click(screen.getByRole('button', { name: 'From the tape' }));
    expect(await screen.findByText('simulated')).toBeTruthy();
    const [tag] = Object.keys(glaze(jobNow).asBuilt);
    expect(told(jobNow)).toEqual([['measured', true]]);
    fireEvent.change(screen.getByLabelText('Reads'), { target: { value: '34' } });
    fireEvent.keyDown(screen.getByLabelText('Reads'), { key: 'Enter' });
    expect(screen.queryByText('simulated')).toBeNull();
    await user.click(screen.getByRole('button', { name: `Forget what ${tag} measures` }));
    expect(glaze(jobNow)).toEqual({ asBuilt: {}, diagonals: {}, from: [] });
    // The ledger keeps what was told, and that it was taken back.
    expect(jobNow().ledger.map(({ what }) => what)).toEqual(['measured', 'measured', 'corrected', 'corrected']);
  });
});
