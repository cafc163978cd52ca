/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { demoJob, recordOf, reckoned, type JobRecord } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { dollars } from '../../words/money';
import { Balance } from './Balance';

const job = { ...demoJob(), ledger: [], done: [], bought: null };
const plan = planOnce(job);
const nothing = recordOf('', job);
const set = reckoned(plan);
const show = (record: JobRecord, of = job) => onBench(<Balance plan={plan} record={record} />, { job: of, plan });
const column = (name: string) => screen.getByRole('group', { name });

test('before anything happened there is the plan alone, and what will begin it', () => {
  show(nothing);
  expect(screen.getByText(/^Nothing of it is recorded yet/)).toBeTruthy();
  expect(column('Money').textContent).toBe(`Money${dollars(set.cents)} planned`);
  expect(document.querySelector('.balance-real')).toBeNull();
});

test('of a job begun before plans were kept it says that, with what is known', () => {
  show({ ...nothing, from: '2026-11-20', cents: 4200, minutes: 95.4 });
  expect(screen.getByText(/begun before this was kept.*\$42\.00 are paid and 1 h 35 timed/)).toBeTruthy();
});

test('a closed one sets each figure against the plan: more, less or as planned', () => {
  const real = { ...set, cents: set.cents + 1250, minutes: set.minutes - 90, left: set.left + 0.02 };
  show({ ...nothing, setOut: set, closed: { ...real, bought: set.cents + 250 } } as JobRecord);
  const off = (name: string) => {
    const word = column(name).querySelector<HTMLElement>('.balance-off')!;
    return [word.dataset['off'], word.textContent];
  };
  expect(off('Money')).toEqual(['more', '+$12.50']);
  expect(off('Hours')).toEqual(['less', '−1 h 30']);
  expect(off('Left over')).toEqual(['more', '+2.0 %']);
  for (const name of ['Boards', 'Ready']) expect(off(name)).toEqual(['none', 'as planned']);
  // It came dearer than the bought one: no hour earned anything.
  expect(screen.getByText(/The bought one costs/).textContent).toMatch(/\$10\.00 less than this\.$/);
  expect(within(column('Money')).getByText('real')).toBeTruthy();
});
