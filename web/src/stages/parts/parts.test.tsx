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

describe('set by hand', () => {
  const picked = async (which: (facts: ReturnType<typeof open>['facts']) => string) => {
    const shown = open();
    const tag = which(shown.facts);
    await shown.user.click(rows()[shown.facts.parts.findIndex((part) => part.tag === tag)]!);
    const side = within(await screen.findByRole('region', { name: 'Where it is' }));
    const own = () => shown.jobNow().pieces.find(({ id }) => id === 'glaze')!;
    return { ...shown, tag, side, own };
  };
  const aLeg = ({ facts }: { facts: ReturnType<typeof open>['facts'] }) =>
    facts.parts.find(({ role }) => role === 'leg')!.tag;

  test('a length and a count; what is no length is said and nothing changes', async () => {
    const { user, side, own, tag } = await picked((facts) => aLeg({ facts }));
    const length = side.getByRole('textbox', { name: 'length' });
    await user.clear(length);
    await user.type(length, '2 feet or so{Enter}');
    expect(side.getByRole('alert')).toBeTruthy();
    expect(own().overrides).toEqual({});
    await user.clear(length);
    await user.type(length, '20 1/2{Enter}');
    expect(own().overrides[tag]).toEqual({ length: inches(20.5) });
    const count = side.getByLabelText('count, each piece');
    await user.clear(count);
    await user.type(count, '0{Enter}');
    expect(own().overrides[tag]).toEqual({ length: inches(20.5), count: 0 });
  });

  test('made from another board: it is found by its name and kept', async () => {
    const { user, side, own, tag } = await picked((facts) => aLeg({ facts }));
    const field = side.getByRole('combobox', { name: 'made from' });
    await user.clear(field);
    await user.type(field, '2×6');
    await user.click((await screen.findAllByRole('option', { name: '2×6' }))[0]!);
    expect(own().overrides[tag]).toEqual({ material: '2x6' });
  });

  test('a part is added with a tag of its own, changed and taken out again', async () => {
    const { user, own } = await picked((facts) => aLeg({ facts }));
    await user.click(screen.getByRole('button', { name: 'Add a part' }));
    expect(own().loose).toMatchObject([{ tag: 'X1', material: '1x4', length: inches(24), count: 1 }]);
    // The plan that has the first is not there yet: its tag is taken all the same. The part before is no longer shown.
    expect(screen.queryByRole('textbox', { name: 'length' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Add a part' }));
    expect(own().loose.map(({ tag }) => tag)).toEqual(['X1', 'X2']);
  });

  test('what can not be read in a field of one part does not stand in that of the next', async () => {
    const { user, facts, side } = await picked((of) => aLeg({ facts: of }));
    const length = () => side.getByRole<HTMLInputElement>('textbox', { name: 'length' });
    await user.clear(length());
    await user.type(length(), '2 feet or so');
    const other = facts.parts.findIndex(({ role }) => role === 'top');
    await user.click(rows()[other]!);
    expect(side.queryByRole('alert')).toBeNull();
    expect(length().value).not.toContain('feet');
  });
});
