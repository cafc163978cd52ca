/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { FinishWay } from '@sill/core';
import { onBench } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { FinishStage } from './FinishStage';

afterEach(() => document.body.replaceChildren());

const open = (edges: Partial<typeof QUIET> = {}) =>
  onBench(<FinishStage />, { path: '/jobs/demo/finish?piece=glaze', ...edges });
const glaze = (job: ReturnType<ReturnType<typeof open>['jobNow']>) => job.pieces.find(({ id }) => id === 'glaze')!;

test('a look gives every surface of the piece its recipe; of the top alone only its three', async () => {
  const { user, jobNow } = open();
  await user.click(screen.getByRole('radio', { name: 'dark' }));
  expect(glaze(jobNow()).finish.on.top).toEqual({ recipe: 'dark.wipeable', coats: null });
  expect(glaze(jobNow()).finish.on.base).toEqual({ recipe: 'dark.wipeable', coats: null });
  await user.click(screen.getByRole('button', { name: 'The top' }));
  await user.click(screen.getByRole('radio', { name: 'painted white' }));
  expect(glaze(jobNow()).finish.on.top?.recipe).toBe('painted.wipeable');
  expect(glaze(jobNow()).finish.on.underside?.recipe).toBe('painted.wipeable');
  expect(glaze(jobNow()).finish.on.base?.recipe).toBe('dark.wipeable');
});

test('surfaces are told with their area, recipe and coats; fewer coats below are kept', async () => {
  const { user, jobNow } = open();
  const table = screen.getByRole('table', { name: 'What each surface takes' });
  // 64 by 30 1/2 in is 13.56 square feet.
  expect(within(table).getByRole('row', { name: /^Top/ }).textContent).toContain('14');
  const coats = screen.getByLabelText('Coats on Underside of the top');
  await user.clear(coats);
  await user.type(coats, '1');
  expect(glaze(jobNow()).finish.on.underside).toEqual({ recipe: 'natural.wipeable', coats: 1 });
  fireEvent.change(coats, { target: { value: '40' } });
  expect(screen.getByRole('alert').textContent).toContain('from 0 to 12');
  expect(glaze(jobNow()).finish.on.underside?.coats).toBe(1);
});

test('the order of sittings leads to the build; the list says ounces and cans, and what is there is not bought', async () => {
  const { user, jobNow } = open();
  const order = screen.getByRole('region', { name: 'Sittings' });
  expect(within(order).getByRole('link', { name: 'Finish, coat 1 of 3' }).getAttribute('href')).toMatch(
    /build\?.*step=\d+/,
  );
  expect(within(order).getAllByRole('link')[0]!.textContent).toBe('Make samples');
  const list = screen.getByRole('region', { name: 'Amounts' });
  expect(within(list).getByRole('row', { name: /^oil polyurethane/ }).textContent).toMatch(/\d+ fl oz\d x \d+/);
  await user.click(within(list).getByRole('checkbox', { name: 'Brushes' }));
  expect(jobNow().shop.kit).toEqual(['brushes']);
});

test('a recipe that is ready is kept as a copy under a name of its own', async () => {
  const { user, jobNow } = open();
  await user.click(screen.getAllByRole('button', { name: 'Change' })[0]!);
  const dialog = screen.getByRole('dialog');
  await user.click(within(dialog).getByRole('button', { name: 'Colour it' }));
  const name = within(dialog).getByLabelText('Name');
  await user.clear(name);
  await user.type(name, 'Nut');
  await user.click(within(dialog).getByRole('button', { name: 'Keep it' }));
  expect(jobNow().recipes.map(({ name: words, colours }) => [words, colours[0]?.product])).toEqual([
    ['Nut', 'oil stain'],
  ]);
  expect(glaze(jobNow()).finish.on.top?.recipe).toBe('own-1');
  expect(glaze(jobNow()).finish.on.base?.recipe).toBe('natural.wipeable.rest');
});

test('three ways to time it, each with its days; one click takes one', async () => {
  const way = (when: FinishWay['when'], ready: string): FinishWay => ({
    when,
    ready,
    minutes: 300,
    byHand: 4,
    tape: 0,
    sittings: 3,
    adds: when === 'parts' ? 400 : 0,
  });
  const ways = [way('assembled', '2026-12-20'), way('parts', '2026-12-27'), way('site', '2026-12-20')];
  const { user, jobNow } = open({
    ...QUIET,
    planner: { ...QUIET.planner, finishWaysFor: () => Promise.resolve(ways) },
  });
  await user.click(screen.getByRole('button', { name: 'When to finish' }));
  const parts = await screen.findByRole('region', { name: 'Part by part' });
  expect(parts.textContent).toContain('27 December');
  expect(parts.textContent).toContain('+$4.00');
  await user.click(within(parts).getByRole('button', { name: 'Take it' }));
  expect(glaze(jobNow()).finish.when).toBe('parts');
});

test('the shop’s air: typed readings are judged for what the piece takes; impossible ones are refused', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Shop air' }));
  const dialog = screen.getByRole('dialog');
  const temperature = within(dialog).getByLabelText('Temperature');
  expect(within(dialog).getByRole('list', { name: 'What may go on' }).textContent).toContain(
    'oil polyurethane may go on',
  );
  await user.clear(temperature);
  await user.type(temperature, '200');
  expect(within(dialog).getByRole('alert').textContent).toContain('No shop reads so');
  await user.clear(temperature);
  await user.type(temperature, '48');
  expect(dialog.textContent).toContain('warm the shop, the wood and the can to 55');
  await act(async () => {});
});

test('what a sample said is kept with the recipe', async () => {
  const { user, jobNow } = open();
  await user.click(screen.getAllByRole('button', { name: 'Change' })[0]!);
  const dialog = screen.getByRole('dialog');
  fireEvent.change(within(dialog).getByLabelText('What its sample said'), {
    target: { value: 'Two coats were enough' },
  });
  await user.click(within(dialog).getByRole('button', { name: 'Keep it' }));
  expect(jobNow().recipes[0]?.note).toBe('Two coats were enough');
});
