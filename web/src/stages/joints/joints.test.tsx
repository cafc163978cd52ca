/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { demoJob, waysOfJoint, type Job } from '@sill/core';
import type { Edges } from '../../state/edges';
import { onBench } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { JointsStage } from './JointsStage';

// No worker here: the same work is done at once.
const planner: Edges['planner'] = {
  ...QUIET.planner,
  jointWays: (...asked) => Promise.resolve(waysOfJoint(...asked)),
};

const open = (job: Job = demoJob(), piece = 'glaze') =>
  onBench(<JointsStage />, { job, planner, path: `/jobs/demo/joints?piece=${piece}` });
const ways = async (user: ReturnType<typeof open>['user'], of: string) => {
  await user.click(screen.getByRole('button', { name: `Other ways to join ${of}` }));
  const dialog = screen.getByRole('dialog');
  await within(dialog).findByRole('table');
  return dialog;
};

test('every joint of the piece stands once, under its kind, with how it is set and where', () => {
  const { store } = open();
  const facts = store.getState().planning.plan!.pieces.find(({ piece }) => piece.id === 'glaze')!;
  const shown = [...document.querySelectorAll('.pair')].map((pair) => pair.textContent);
  expect(shown.sort()).toEqual(facts.fastenings.map(({ drilled, into }) => `${drilled.tag}→${into.tag}`).sort());
  const ends = screen.getByRole('region', { name: 'Rail ends' });
  expect(within(ends).getAllByText('Jig and collar').length).toBeGreaterThan(0);
  // The table of fasteners counts as many as the joints have.
  const screws = facts.fastenings.reduce((sum, { positions }) => sum + positions.length, 0);
  expect(screen.getByText(new RegExp(`joints · ${screws} fasteners`))).toBeTruthy();
});

test('a way taken for all alike is kept by kind; one taken for these only by their parts', async () => {
  const { user, jobNow } = open();
  const dialog = await ways(user, 'A1 to L1');
  const usual = within(dialog).getByRole('row', { name: /^Pocket screws/ });
  expect(usual.textContent).toContain('as it is');
  // Each way has a pull, a look, a time and a cost, or says that the yard does not sell it.
  for (const row of within(dialog).getAllByRole('row').slice(1)) {
    const cells = within(row).getAllByRole('cell');
    expect(cells[0]!.textContent).toMatch(/about \d+ lb|only glue/);
    expect(cells[2]!.textContent).toMatch(/^\d+ min$/);
    expect(cells[3]!.textContent).toMatch(/^\$\d+\.\d\d$|not sold here/);
  }
  await user.click(within(dialog).getByRole('button', { name: 'Take Dowels' }));
  const piece = () => jobNow().pieces.find(({ id }) => id === 'glaze')!;
  expect(piece().joins).toEqual({ 'rail end': { by: 'dowels' } });
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());

  const again = await ways(user, 'A1 to L1');
  await user.click(within(again).getByRole('radio', { name: /^only/ }));
  await within(again).findByRole('table');
  await user.click(within(again).getByRole('button', { name: 'Take Loose tenon' }));
  expect(piece().joins['rail end']).toEqual({ by: 'dowels' });
  expect(piece().joins['A1>L1']).toEqual({ by: 'loose tenon' });
});

test('pockets on the other face, and plugged, are kept beside the way', async () => {
  const { user, jobNow } = open();
  const dialog = await ways(user, 'A1 to L1');
  await user.click(within(dialog).getByRole('checkbox', { name: 'pockets on the other face' }));
  await user.click(within(dialog).getByRole('checkbox', { name: 'plug the pockets' }));
  expect(jobNow().pieces.find(({ id }) => id === 'glaze')!.joins['rail end']).toMatchObject({
    flip: true,
    plugs: true,
  });
});

test('a way the shop has no tools for says which it lacks; one that does not work here says why', async () => {
  const job = demoJob();
  const { user } = open({ ...job, shop: { ...job.shop, tools: job.shop.tools.filter((tool) => tool === 'drill') } });
  const dialog = await ways(user, 'A1 to L1');
  expect(within(dialog).getByRole('row', { name: /^Loose tenon/ }).textContent).toMatch(/Your shop lacks a /);
  const halves = within(dialog).queryByRole('row', { name: /^Half lap/ });
  // A lap that can not be cut is not offered at all; what can be cut and finds no place says so.
  if (halves) expect(halves.textContent).toContain('Not here');
});

test('a joint that does not work as it is wished for is marked, and drawn as it lies', () => {
  const job = demoJob();
  const wished = job.pieces.map((piece) =>
    piece.id === 'glaze' ? { ...piece, joins: { 'A1>L1': { by: 'half lap' as const } } } : piece,
  );
  const { store } = open({ ...job, pieces: wished });
  const item = store
    .getState()
    .planning.plan!.pieces.find(({ piece }) => piece.id === 'glaze')!
    .fastenings.find(({ joint }) => joint.id === 'glaze.A1>L1')!;
  const pair = [...document.querySelectorAll('.pair')].find(({ textContent }) => textContent === 'A1→L1')!;
  const group = pair.closest('article')!;
  expect(item.troubles).toEqual(['not possible']);
  expect(group.dataset['short']).toBe('true');
});
