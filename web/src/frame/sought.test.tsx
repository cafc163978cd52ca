/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import { demoJob, isSought, say, set, sure, type Help } from '@sill/core';
import { onBench, planOnce } from '../testing/bench';
import { QUIET } from '../testing/edges';
import { SoughtWays } from './SoughtWays';

const note = () => sure(planOnce(demoJob()).findings.find(isSought), 'note whose ways out are looked for');

/** The ways out of a note before an explorer that answers when it is told to. */
function open() {
  const asked: string[] = [];
  let tell: (helps: readonly Help[]) => void = () => {};
  let fail: (why: Error) => void = () => {};
  const explorer = {
    ...QUIET.explorer,
    exploreHelps: (_: unknown, finding: string, told: typeof tell) => {
      asked.push(finding);
      tell = told;
      return { stop: () => {}, done: new Promise<void>((_settle, refuse) => (fail = refuse)) };
    },
  };
  const shown = onBench(<SoughtWays note={note()} />, { explorer });
  return {
    ...shown,
    asked,
    tell: (helps: readonly Help[]) => act(() => tell(helps)),
    fail: () => act(() => Promise.resolve(fail(new Error('gone')))),
  };
}

test('nothing is tried before it is asked for; then each way stands with its price and is taken in a click', async () => {
  const { asked, tell, user, jobNow } = open();
  expect(asked).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'What would help' }));
  expect(screen.getByText(/Trying changes on the whole piece/)).toBeTruthy();
  await waitFor(() => expect(asked).toEqual([note().id]));
  tell([
    { label: say`On a plinth`, changes: [set(null, ['name'], 'on a plinth')], adds: 342 },
    { label: say`Glued`, changes: [set(null, ['name'], 'glued')], adds: 0 },
  ]);
  const found = within(await screen.findByRole('status'));
  expect(found.getByRole('button', { name: 'Glued (the same price)' })).toBeTruthy();
  await user.click(found.getByRole('button', { name: 'On a plinth (+$3.42)' }));
  expect(jobNow().name).toBe('on a plinth');
  // The job is another one now: it is asked anew.
  expect(screen.getByRole('button', { name: 'What would help' })).toBeTruthy();
});

test('where nothing helps, or the worker dies, it says so', async () => {
  const { tell, fail, user, asked } = open();
  await user.click(screen.getByRole('button', { name: 'What would help' }));
  await waitFor(() => expect(asked).toHaveLength(1));
  tell([]);
  expect(await screen.findByText('No single change of those tried is enough.')).toBeTruthy();
  await fail();
  expect(await screen.findByText('It could not be worked out.')).toBeTruthy();
});
