/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { plain, settingName } from '@sill/core';
import { drawAll, onBench } from '../../testing/bench';
import { CutsStage } from './CutsStage';

const open = (view = '') => {
  const shown = onBench(<CutsStage />, { path: `/jobs/demo/cuts${view}` });
  return { ...shown, plan: shown.store.getState().planning.plan! };
};

afterEach(() => document.body.replaceChildren());

test('the head counts the boards and the pieces that are cut from them', () => {
  const { plan } = open();
  const pieces = plan.buying.boards.flatMap((board) => board.pieces).length;
  expect(screen.getByText(`${plan.buying.boards.length} boards · ${pieces} pieces`)).toBeTruthy();
});

test('by board: every setting of the saws in working order; one that is pressed lights its own cuts, once more none', async () => {
  const { plan, user } = open();
  const strip = screen.getByRole('group', { name: 'Saw settings in order' });
  const settings = within(strip).getAllByRole('button');
  expect(settings.map((one) => one.querySelector('strong')!.textContent)).toEqual(
    plan.setups.map((setup) => plain(settingName(setup), 'in')),
  );
  await user.click(settings[0]!);
  expect(settings.map((one) => one.getAttribute('aria-pressed'))).toEqual(
    settings.map((_, at) => (at === 0 ? 'true' : 'false')),
  );
  await user.click(settings[0]!);
  expect(settings.every((one) => one.getAttribute('aria-pressed') === 'false')).toBe(true);
});

test('by saw setup: each in its order with its caution; ticked, it is done in the job and in the strip', async () => {
  const { plan, user, jobNow } = open('?by=setup');
  drawAll();
  expect(
    screen.getByText(/Eye, ear and dust protection; guards stay on; unplug before you change a blade/),
  ).toBeTruthy();
  const boxes = screen.getAllByRole<HTMLInputElement>('checkbox');
  expect(boxes).toHaveLength(plan.setups.length);
  await user.click(boxes[0]!);
  const told = jobNow().ledger.filter(({ what }) => what === 'cut');
  expect(told).toHaveLength(plan.setups[0]!.boards.length);
  await user.click(boxes[0]!);
  expect(boxes[0]!.checked).toBe(false);
  await user.click(boxes[0]!);
  // A board is bought once, however often its cuts are ticked.
  expect(jobNow().ledger.filter(({ what }) => what === 'bought')).toHaveLength(plan.setups[0]!.boards.length);
  await user.click(screen.getByRole('button', { name: 'By board' }));
  const first = within(screen.getByRole('group', { name: 'Saw settings in order' })).getAllByRole('button')[0]!;
  expect(first.textContent).toMatch(/ · done$/);
});

test('a sheet tells every cut: its number, which way, how far from which edge', () => {
  const { plan } = open('?by=setup');
  drawAll();
  const guided = plan.setups.filter(({ kind }) => kind === 'guide').flatMap(({ cuts }) => cuts);
  expect(guided.length).toBeGreaterThan(5);
  const lines = [...document.querySelectorAll('.sheet-cuts li')];
  expect(lines.map((line) => Number(line.querySelector('b')!.textContent))).toEqual(guided);
  for (const [at, number] of guided.entries()) {
    const cut = plan.cuts[number - 1]!;
    expect(lines[at]!.textContent).toContain(cut.kind === 'crosscut' ? 'across' : 'along');
    expect(lines[at]!.textContent).toContain(`from the ${cut.setting!.reference} edge`);
  }
});

test('every offcut says what it is for, and what is kept of it', () => {
  const { plan } = open();
  const rows = within(screen.getByRole('region', { name: 'Offcuts' })).getAllByRole('listitem');
  expect(rows).toHaveLength(plan.offcuts.length);
  for (const [at, { board, jobs, keep }] of plan.offcuts.entries()) {
    expect(rows[at]!.textContent).toMatch(new RegExp(`^Board ${board}, `));
    expect(rows[at]!.textContent!.includes('for the rack')).toBe(keep > 0);
    expect(jobs.length + keep).toBeGreaterThan(0);
  }
});

test('the view is in the address: sent to somebody, it opens the same', async () => {
  const { user, router } = open();
  await user.click(screen.getByRole('button', { name: 'By piece' }));
  expect(router.state.location.search).toContain('by=piece');
  expect(screen.getByRole('button', { name: 'By piece' }).getAttribute('aria-pressed')).toBe('true');
});

describe('a board by itself', () => {
  const menuOf = async (number: number) => {
    const shown = open();
    drawAll();
    await shown.user.click(screen.getByRole('button', { name: `Board ${number}: keep, bought, cut, spoiled` }));
    const choose = (name: RegExp | string) => shown.user.click(screen.getByRole('menuitem', { name }));
    return { ...shown, choose, board: shown.plan.buying.boards.find((one) => one.number === number)! };
  };
  const again = async (user: Awaited<ReturnType<typeof menuOf>>['user'], number: number) =>
    user.click(screen.getByRole('button', { name: `Board ${number}: keep, bought, cut, spoiled` }));

  test('kept as it is, and let change again', async () => {
    const { choose, jobNow, board } = await menuOf(1);
    await choose('Keep it as it is');
    expect(jobNow().locks).toMatchObject([{ from: board.offer.id }]);
    expect(jobNow().locks[0]!.pieces.map(({ part }) => part)).toEqual(board.pieces.map(({ blank }) => blank.part.id));
  });

  test('bought for its pieces, and not bought after all', async () => {
    const { choose, jobNow, board, user } = await menuOf(1);
    await choose('It is bought, for these pieces');
    expect(jobNow().ledger.at(-1)).toMatchObject({ what: 'bought', offer: board.offer.id, price: board.offer.price });
    await again(user, 1);
    await choose('It is not bought after all');
    expect(jobNow().ledger.at(-1)!.what).toBe('corrected');
  });

  test('cut it is bought too; one of its pieces may be spoiled by itself', async () => {
    const { choose, jobNow, board, user } = await menuOf(1);
    await choose('It is cut');
    expect(jobNow().ledger.map(({ what }) => what)).toEqual(expect.arrayContaining(['bought', 'cut']));
    const cut = jobNow().ledger.findLast(({ what }) => what === 'cut') as { pieces: readonly unknown[] };
    expect(cut.pieces).toHaveLength(board.pieces.length);
    await again(user, 1);
    expect(screen.queryByRole('menuitem', { name: 'Keep it as it is' })).toBeNull();
    await user.click(screen.getAllByRole('menuitem', { name: /is spoiled: cut it anew$/ })[0]!);
    expect(jobNow().ledger.at(-1)!.what).toBe('spoiled');
  });
});

test('at the saw: one pass after the other; what is done is ticked, back unticks nothing', async () => {
  const { plan, user, jobNow } = open();
  await user.click(screen.getByRole('button', { name: 'At the bench' }));
  const bench = within(await screen.findByRole('dialog'));
  expect(bench.getByText(/^Setting 1 of /).textContent).toMatch(
    new RegExp(`^Setting 1 of ${plan.setups.length} · 1 of `),
  );
  const before = bench.getByText(/^Setting \d+ of /).textContent;
  await user.click(bench.getByRole('button', { name: 'Done, next' }));
  expect(bench.getByText(/^Setting \d+ of /).textContent).not.toBe(before);
  const ticked = jobNow().ledger.length;
  expect(ticked).toBeGreaterThan(0);
  await user.click(bench.getByRole('button', { name: 'Back' }));
  expect(bench.getByText(/^Setting \d+ of /).textContent).toBe(before);
  expect(jobNow().ledger).toHaveLength(ticked);
  await user.click(bench.getByRole('button', { name: 'Leave the bench' }));
});

test('files for other programs, labels and the tape are in one menu; a wish for boards too', async () => {
  const { user, router, jobNow } = open();
  const menu = () => user.click(screen.getByRole('button', { name: 'Tape, files' }));
  await menu();
  await user.click(screen.getByRole('menuitemradio', { name: 'Hooked once' }));
  expect(router.state.location.search).toContain('tape=hooked');
  await menu();
  expect(screen.getByRole('menuitemradio', { name: 'Hooked once' }).getAttribute('aria-checked')).toBe('true');
  await user.click(screen.getByRole('menuitem', { name: 'What boards are chosen for' }));
  const dialog = within(await screen.findByRole('dialog'));
  await user.click(dialog.getByRole('radio', { name: /least left over/i }));
  expect(jobNow().aim.for).toBe('waste');
});
