/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { demoJob, offcutsInWords } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { CutsMenu } from './CutsMenu';
import { Offcuts } from './Offcuts';

const plan = planOnce(demoJob());

test('every offcut is told by its board, with its jobs in turn and what the rack gets', () => {
  onBench(<Offcuts plan={plan} />, { path: '/jobs/demo/cuts' });
  const rows = within(screen.getByRole('region', { name: 'Offcuts' })).getAllByRole('listitem');
  expect(rows).toHaveLength(plan.offcuts.length);
  plan.offcuts.forEach(({ board, keep, jobs }, at) => {
    const text = rows[at]!.textContent!;
    expect(text).toMatch(new RegExp(`^Board ${board}, `));
    expect([board, /keep .* for the rack/.test(text)]).toEqual([board, keep > 0]);
    expect(text.split(', then ').length).toBeGreaterThanOrEqual(jobs.length);
  });
  expect(screen.getByRole('heading').textContent).toContain(offcutsInWords(plan.offcuts));
});

test('where nothing is left nothing is said', () => {
  const { container } = onBench(<Offcuts plan={{ ...plan, offcuts: [] }} />, { path: '/jobs/demo/cuts' });
  expect(container.textContent).toBe('');
});

test('the menu: what is chosen of a view is checked, and another is asked for by its key', async () => {
  const asked: string[] = [];
  const views = [
    {
      name: 'Tape',
      options: { none: 'no readings', tape: 'readings' },
      value: 'none',
      onChange: (key: string) => asked.push(key),
    },
  ];
  const { user, router } = onBench(<CutsMenu plan={plan} views={views} />, { path: '/jobs/demo/cuts' });
  await user.click(screen.getByRole('button', { name: 'Tape, files' }));
  const radios = screen.getAllByRole('menuitemradio');
  expect(radios.map((one) => one.getAttribute('aria-checked'))).toEqual(['true', 'false']);
  await user.click(radios[1]!);
  expect(asked).toEqual(['tape']);
  await user.click(screen.getByRole('button', { name: 'Tape, files' }));
  await user.click(screen.getByRole('menuitem', { name: 'Print labels for the pieces' }));
  expect(router.state.location.pathname).toBe('/jobs/demo/labels');
});
