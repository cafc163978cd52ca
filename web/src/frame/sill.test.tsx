/** @jest-environment jsdom */
import { act, screen, within } from '@testing-library/react';
import { demoJob, type Job } from '@sill/core';
import { failed, halted, planned, searching, started } from '../state/planning';
import { onBench, planOnce } from '../testing/bench';
import { cents, dollars } from '../words/money';
import { Sill } from './Sill';

const plan = planOnce(demoJob());
const open = (job: Job = demoJob()) => onBench(<Sill />, { job, plan: planOnce(job), path: '/jobs/demo/cuts' });
const figure = (name: string) => screen.getByTestId(`tally-${name}`).textContent ?? '';
/** What a tally says of itself when it is pressed. */
async function explained(user: ReturnType<typeof open>['user'], name: string): Promise<string> {
  await user.click(screen.getByTestId(`tally-${name}`));
  const text = document.querySelector('.explain p')!.textContent!;
  await user.keyboard('{Escape}');
  return text;
}

describe('what the whole plan rests on', () => {
  test('stands in five figures, each of the plan in view', () => {
    open();
    const { list, carry, calendar } = plan;
    expect(figure('spend')).toBe(`${dollars(list.total)} of $${demoJob().budget! / 100}`);
    expect(figure('to-buy')).toContain(`${list.boardCount} boards`);
    expect(figure('left-over')).toContain(`${(list.leftShare * 100).toFixed(1)}%`);
    expect(figure('carry')).toContain(`${Math.round(carry.pounds)} lb`);
    expect(figure('ready')).toContain(`${calendar.sessions.length} sessions`);
  });

  test('is explained where it is pressed: the sums of the list, each board by name, the day and what bounds it', async () => {
    const { user } = open();
    const { list, calendar } = plan;
    const spend = await explained(user, 'spend');
    const boards = list.boards.reduce((sum, line) => sum + line.total + line.paid, 0);
    for (const sum of [boards, list.spares, list.subtotal - boards, list.tax]) expect(spend).toContain(cents(sum));
    expect(await explained(user, 'to-buy')).toMatch(/\d+ of 2×4×8.*, \d+ of/);
    expect(await explained(user, 'ready')).toMatch(
      calendar.proved ? /No earlier day is possible/ : /no sooner than .*, whatever is done/,
    );
    expect(await explained(user, 'carry')).toMatch(/The heaviest piece, .*\. One person carries \d+ lb in this shop\./);
  });

  test('without a budget it says so, and draws no bar against one', () => {
    const { container } = open({ ...demoJob(), budget: null });
    expect(figure('spend')).toContain('no budget set');
    expect(container.querySelector('.bar')).toBeNull();
  });
});

describe('while something is under way', () => {
  const status = () => screen.queryByRole('status')?.textContent ?? null;

  test('it is told what, and each can be stopped or begun again', async () => {
    const { user, store } = open();
    const job = store.getState().bench.job!;
    expect(status()).toBeNull();
    act(() => void store.dispatch(started()));
    expect(status()).toMatch(/^Working out the plan/);
    await user.click(within(screen.getByRole('status')).getByRole('button', { name: 'Stop' }));
    expect(status()).toMatch(/^Stopped: this is the plan before the last change/);
    act(() => void store.dispatch(planned({ job, plan, proving: true })));
    act(() => void store.dispatch(searching(0.4)));
    expect(status()).toMatch(/^Looking for cheaper boards, 40 %/);
    await user.click(within(screen.getByRole('status')).getByRole('button', { name: 'Stop' }));
    expect(status()).toBeNull();
    act(() => void store.dispatch(halted()));
    await user.click(screen.getByRole('button', { name: 'Work it out' }));
    expect(store.getState().planning).toMatchObject({ working: true, halted: false });
  });

  test('a plan that could not be worked out is an alert with a way on; the figures stay those there were', async () => {
    const { user, store } = open();
    const before = figure('spend');
    act(() => void store.dispatch(failed('The worker died.')));
    expect(screen.getByRole('alert').getAttribute('title')).toBe('The worker died.');
    expect(figure('spend')).toBe(before);
    await user.click(screen.getByRole('button', { name: 'Work it out again' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
