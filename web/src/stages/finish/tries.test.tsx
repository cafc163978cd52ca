/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import { demoJob, type Can, type Job } from '@sill/core';
import { undone } from '../../state/bench';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { serving } from '../../testing/serving';
import { Cans } from './Cans';
import { FinishStage } from './FinishStage';

afterEach(() => document.body.replaceChildren());

const open = () => onBench(<FinishStage />, { path: '/jobs/demo/finish?piece=glaze' });
const glaze = (job: Job) => job.pieces.find(({ id }) => id === 'glaze')!;

test('a surface is split by its parts: one takes another recipe, the rest stays, and all are joined again', async () => {
  const { user, jobNow } = open();
  expect(screen.queryByRole('row', { name: /^Legs/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Split Base, outside' }));
  const legs = screen.getByRole('row', { name: /^Legs/ });
  // Four legs of 3 by 3 1/2, 34 1/2 long, and their two ends, less what lies on them.
  expect(legs.textContent).toMatch(/1[12]/);
  expect(within(legs).getByRole('combobox').textContent).toBe('as the rest');
  await user.click(within(legs).getByRole('combobox'));
  await user.click(screen.getByRole('option', { name: 'natural, wipeable' }));
  expect(glaze(jobNow()).finish.on['base/leg']).toEqual({ recipe: 'natural.wipeable', coats: null });
  expect(glaze(jobNow()).finish.on.base).toEqual({ recipe: 'natural.wipeable.rest', coats: null });
  await user.click(screen.getByRole('button', { name: 'Join Base, outside' }));
  expect(glaze(jobNow()).finish.on['base/leg']).toBeUndefined();
  expect(screen.queryByRole('row', { name: /^Legs/ })).toBeNull();
});

test('a look for all of it takes what was split off with it', async () => {
  const { user, jobNow } = open();
  await user.click(screen.getByRole('button', { name: 'Split Base, outside' }));
  await user.click(within(screen.getByRole('row', { name: /^Legs/ })).getByRole('combobox'));
  await user.click(screen.getByRole('option', { name: 'natural, wipeable' }));
  await user.click(screen.getByRole('radio', { name: 'dark' }));
  expect(Object.keys(glaze(jobNow()).finish.on)).not.toContain('base/leg');
  expect(glaze(jobNow()).finish.on.base?.recipe).toBe('dark.wipeable');
});

test('a recipe is tried beside, wins, and the one it won over is kept with the reason; one is forgotten', async () => {
  const { user, jobNow } = open();
  const tried = screen.getByRole('region', { name: 'Tried beside' });
  for (const name of ['honey, wipeable', 'dark, wipeable']) {
    await user.type(within(tried).getByRole('combobox', { name: 'Try another beside' }), name);
    await user.click(screen.getByRole('option', { name }));
  }
  expect(glaze(jobNow()).finish.tries.map(({ id }) => id)).toEqual(['honey.wipeable', 'dark.wipeable']);
  await user.click(within(tried).getByRole('button', { name: 'honey, wipeable wins' }));
  const dialog = screen.getByRole('dialog');
  await user.type(within(dialog).getByLabelText('Why not that one'), 'too pale');
  await user.click(within(dialog).getByRole('button', { name: 'Take it' }));
  expect(glaze(jobNow()).finish.on.top?.recipe).toBe('honey.wipeable');
  expect(glaze(jobNow()).finish.tries).toEqual([
    { id: 'dark.wipeable', lost: false, why: '' },
    { id: 'natural.wipeable', lost: true, why: 'too pale' },
  ]);
  expect(tried.textContent).toContain('lost: too pale');
  await user.click(within(tried).getByRole('button', { name: 'Forget dark, wipeable' }));
  expect(glaze(jobNow()).finish.tries.map(({ id }) => id)).toEqual(['natural.wipeable']);
});

describe('cans on the rack', () => {
  const can = (id: string, size: string, since: string | null): Can => ({
    ...{ id, kind: 'finish', size, ounces: 9, since, note: '' },
  });
  const old = can('old', 'hard-wax oil', '2020-01-15');
  const oil = can('oil', 'oil polyurethane', '2026-03-14');
  const shown = (cans: readonly Can[], job = demoJob()) => {
    const racks = [{ id: 'rack', revision: 1, value: { pieces: [], cans } }];
    const edges = { ...QUIET, ask: serving({ racks }).ask, today: () => '2026-11-24' };
    const path = '/jobs/demo/finish?piece=glaze';
    return { racks, ...onBench(<Cans plan={planOnce(job)} />, { job, path, ...edges }) };
  };
  const since = (job: Job) => job.ledger.slice(demoJob().ledger.length).map(({ what }) => what);

  test('say until when they are good; what the job needs stands first; taken, it is for this job', async () => {
    const { user, racks, jobNow, store } = shown([old, can('who', 'enamel white', null), oil]);
    const list = await screen.findByRole('list', { name: 'Cans on the rack' });
    const says = within(list)
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent);
    expect(says.findIndex((words) => words.includes('oil polyurethane'))).toBeLessThan(2);
    expect(list.textContent).toContain('9 fl oz of oil polyurethane good until Mar 2027');
    expect(list.textContent).toContain('past its time since');
    expect(list.textContent).toContain('opened nobody knows when');
    await user.click(screen.getByRole('button', { name: 'Use oil polyurethane here' }));
    await waitFor(() => expect(racks[0]!.value.cans.map(({ id }) => id)).toEqual(['old', 'who']));
    await waitFor(() => expect(since(jobNow())).toEqual(['can fetched']));
    expect(screen.getByText(/For this job from the rack: 9 fl oz of oil polyurethane/)).toBeTruthy();
    act(() => void store.dispatch(undone()));
    await waitFor(() => expect(racks[0]!.value.cans.map(({ id }) => id)).toEqual(['old', 'who', 'oil']));
    expect(since(jobNow())).toEqual([]);
  });

  test('what is left of one goes back with its day; an empty one is off the rack', async () => {
    const job: Job = {
      ...demoJob(),
      ledger: [
        ...demoJob().ledger,
        { id: 'f1', at: null, what: 'can fetched', can: { ...oil, size: 'exterior urethane', ounces: 20 } },
      ],
    };
    const { user, racks, jobNow } = shown([old], job);
    await user.click(await screen.findByRole('button', { name: 'exterior urethane to the rack' }));
    await waitFor(() => expect(racks[0]!.value.cans).toHaveLength(2));
    expect(racks[0]!.value.cans[1]).toMatchObject({ size: 'exterior urethane', ounces: 20, since: '2026-03-14' });
    await waitFor(() => expect(since(jobNow())).toEqual(['can fetched', 'can racked']));
    await user.click(screen.getByRole('button', { name: 'hard-wax oil is used up or dried out' }));
    await waitFor(() => expect(racks[0]!.value.cans.map(({ size }) => size)).toEqual(['exterior urethane']));
  });
});
