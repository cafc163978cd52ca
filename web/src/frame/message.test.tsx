/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import { say, set, type SavingsProgress } from '@sill/core';
import { onBench } from '../testing/bench';
import { QUIET } from '../testing/edges';
import { closed } from '../state/bench';
import { said } from '../state/view';
import { Message } from './Message';

const SHORTER: SavingsProgress['found'][number] = {
  id: 'shorter',
  label: say`Glaze table: half an inch shorter`,
  changes: [set(null, ['name'], 'shorter')],
  saves: 748,
  total: 60_000,
  but: null,
};

/** The message before an explorer that finds what it is given. */
function open(found: SavingsProgress['found']) {
  const asked: { readonly small: boolean }[] = [];
  const explorer = {
    ...QUIET.explorer,
    exploreSavings: (so: { readonly small: boolean }, told: (so: SavingsProgress) => void) => {
      asked.push(so);
      told({ done: 1, of: 1, found });
      return { stop: () => {}, done: Promise.resolve() };
    },
  };
  return { ...onBench(<Message />, { explorer }), asked };
}

test('what makes it dearer stays, with small changes that make it cheaper; one is taken in a click', async () => {
  const { store, user, jobNow, asked } = open([SHORTER]);
  act(() => void store.dispatch(said({ text: '$7.48 more in all.', bad: false, dearer: true })));
  const take = await screen.findByRole('button', { name: /7\.48/ });
  expect(asked).toMatchObject([{ small: true }]);
  await user.click(take);
  expect(jobNow().name).toBe('shorter');
  expect(store.getState().view.message).toBeNull();
});

test('where nothing small helps it says so; once the job is closed the message goes', async () => {
  const { store } = open([]);
  act(() => void store.dispatch(said({ text: '$7.48 more in all.', bad: false, dearer: true })));
  expect(await screen.findByText('No small change makes it cheaper.')).toBeTruthy();
  act(() => void store.dispatch(closed()));
  await waitFor(() => expect(store.getState().view.message).toBeNull());
});

test('what was only done is said with nothing beside it, and stays when a job is closed', () => {
  const { store, asked } = open([SHORTER]);
  act(() => void store.dispatch(said({ text: 'Saved.', bad: false })));
  expect(screen.getByRole('alert').textContent).toContain('Saved.');
  expect(asked).toEqual([]);
  act(() => void store.dispatch(closed()));
  expect(store.getState().view.message?.text).toBe('Saved.');
});
