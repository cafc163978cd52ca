/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import { demoJob, say, set, type SavingsProgress } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { Savings } from './Savings';

type Saving = SavingsProgress['found'][number];
const SPARES: Saving = {
  id: 'spares',
  label: say`Buy no spares`,
  changes: [set(null, ['spares'], 'none')],
  saves: 3890,
  total: 61058,
  but: null,
};
const OIL: Saving = {
  id: 'oil',
  label: say`Oil it`,
  changes: [set(null, ['name'], 'oiled')],
  saves: 1200,
  total: 63748,
  but: say`it stays soft`,
};

/** The savings before an explorer that tells what it is told to tell; how often it was begun and stopped. */
function open() {
  const errand = { begun: 0, stopped: 0 };
  let tell: (so: SavingsProgress) => void = () => {};
  let end: (failed?: boolean) => void = () => {};
  const explorer = {
    ...QUIET.explorer,
    exploreSavings: (_asked: unknown, told: typeof tell) => {
      errand.begun++;
      tell = told;
      const done = new Promise<void>(
        (settle, fail) => (end = (failed) => (failed ? fail(new Error('gone')) : settle())),
      );
      return { stop: () => void errand.stopped++, done };
    },
  };
  const shown = onBench(<Savings plan={planOnce(demoJob())} />, { explorer });
  return {
    ...shown,
    errand,
    tell: (so: SavingsProgress) => act(() => tell(so)),
    end: (failed?: boolean) => act(() => Promise.resolve(end(failed))),
  };
}

test('savings come one after the other, with how far it is; one is taken in a click', async () => {
  const { errand, tell, end, user, jobNow } = open();
  expect(screen.getByText('Worked out when the plan is settled.')).toBeTruthy();
  await waitFor(() => expect(errand.begun).toBe(1));
  tell({ done: 1, of: 4, found: [SPARES] });
  const bar = await screen.findByRole('progressbar', { name: 'Trying one change after the other, 1 of 4' });
  expect(bar.getAttribute('aria-valuenow')).toBe('25');
  tell({ done: 4, of: 4, found: [SPARES, OIL] });
  await end();
  expect(await screen.findByText(/Each is worked out for the whole job/)).toBeTruthy();
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Buy no spares−$38.90',
    'Oil it but: it stays soft−$12.00',
  ]);
  await user.click(screen.getByRole('button', { name: '−$38.90' }));
  expect(jobNow().spares).toBe('none');
});

test('nothing cheaper is said, not left empty; a worker that dies is said too; what is left behind is stopped', async () => {
  const first = open();
  await waitFor(() => expect(first.errand.begun).toBe(1));
  first.tell({ done: 4, of: 4, found: [] });
  await first.end();
  expect(await screen.findByText('No single change makes it cheaper.')).toBeTruthy();
  first.unmount();
  expect(first.errand.stopped).toBe(1);
  const second = open();
  await waitFor(() => expect(second.errand.begun).toBe(1));
  await second.end(true);
  expect(await screen.findByText('This could not be worked out.')).toBeTruthy();
});
