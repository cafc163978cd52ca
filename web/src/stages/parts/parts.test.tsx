/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { applyChanges, demoJob, inches, set, type Job } from '@sill/core';
import { drawAll, onBench } from '../../testing/bench';
import { PartsStage } from './PartsStage';

const open = (job: Job = demoJob(), search = '?piece=glaze') => {
  const shown = onBench(<PartsStage />, { job, path: `/jobs/demo/parts${search}` });
  const plan = shown.store.getState().planning.plan!;
  return { ...shown, plan, facts: plan.pieces.find(({ piece }) => piece.id === 'glaze')! };
};
const rows = () => {
  drawAll();
  return within(screen.getByRole('table', { name: 'Parts' }))
    .getAllByRole('row')
    .slice(1);
};

afterEach(() => document.body.replaceChildren());

test('a row a part of the piece in view; for the whole job a row a part of all, with whose it is', async () => {
  const { plan, facts, user } = open();
  expect(rows()).toHaveLength(facts.parts.length);
  await user.click(screen.getByRole('button', { name: 'Whole job' }));
  expect(rows()).toHaveLength(plan.pieces.reduce((sum, { parts }) => sum + parts.length, 0));
  expect(screen.getByRole('columnheader', { name: 'Piece' })).toBeTruthy();
});

test('what is cut late says so, and what to measure for it', () => {
  const { facts } = open();
  const late = facts.parts.filter(({ fit }) => fit !== null);
  expect(late.length).toBeGreaterThan(0);
  expect(screen.getByRole('heading', { name: 'Cut these to fit' })).toBeTruthy();
  const told = [...document.querySelectorAll('.fit-list li')].map((one) => one.textContent!);
  expect(told).toHaveLength(Math.min(12, late.length));
  for (const one of told) expect(one).toMatch(/: measure ./);
});

test('a row that is picked shows the part, the way from board to part, and goes into the address', async () => {
  const { facts, user, router, plan } = open();
  const leg = facts.parts.find(({ role }) => role === 'leg')!;
  await user.click(rows()[facts.parts.indexOf(leg)]!);
  await waitFor(() => expect(router.state.location.search).toContain(`part=${leg.tag}`));
  const side = screen.getByRole('region', { name: 'Where it is' });
  expect(within(side).getByRole('heading', { name: new RegExp(`^${leg.tag} `) })).toBeTruthy();
  const settings = plan.setups.filter(({ parts }) => parts.some(({ id }) => id === leg.id));
  expect(settings.length).toBeGreaterThan(0);
  expect(side.querySelectorAll('.milling li').length).toBeGreaterThanOrEqual(settings.length);
  expect(within(side).getByRole('button', { name: 'Print full size' })).toBeTruthy();
});

test('a size set by hand stands in its row, marked as changed', () => {
  const before = open().facts.parts.find(({ role }) => role === 'shelf' || role === 'leg')!;
  document.body.replaceChildren();
  const job = applyChanges(demoJob(), [set('glaze', ['overrides', before.tag, 'length'], before.length - inches(1))]);
  const { facts } = open(job);
  const after = facts.parts.find(({ tag }) => tag === before.tag)!;
  expect(after.length).toBe(before.length - inches(1));
  expect(rows()[facts.parts.indexOf(after)]!.querySelector('.changed')).not.toBeNull();
});
