/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import { demoJob, DEFAULT_SHOP, handsThere, inches, type Job, type OnHand, set, type Shop } from '@sill/core';
import { Offline, type Ask } from '../../platform/ask';
import { onBench } from '../../testing/bench';
import { serving, type Kept } from '../../testing/serving';
import { changed, redone, undone } from '../../state/bench';
import { OnHandTab } from './OnHand';
import { ShopForm } from './ShopForm';

const message = (store: ReturnType<typeof onBench>['store']) => store.getState().view.message;

describe('the rack', () => {
  const plank: OnHand = {
    id: 'plank',
    material: '2x6',
    length: inches(40),
    width: inches(5.5),
    count: 1,
    squared: false,
    bad: [],
    where: 'loft',
    note: '',
  };
  const job: Job = {
    ...demoJob(),
    ledger: [plank, { ...plank, id: 'other', length: inches(30) }].map((hand) => ({
      ...{ id: `found.${hand.id}`, at: null, what: 'found' as const, hand },
    })),
  };
  const there = ({ ledger }: Job) => handsThere({ ledger });
  const since = ({ ledger }: Job) => ledger.slice(job.ledger.length).map(({ what }) => what);
  const path = '/jobs/demo/stock';

  test('a board goes to the rack and leaves the job; taken from it, it comes under a name of its own', async () => {
    const racks = [{ id: 'rack', revision: 1, value: { pieces: [] as OnHand[], cans: [] } }];
    const { ask } = serving({ racks });
    const { user, jobNow } = onBench(<OnHandTab plan={null} />, { job, path, ask });
    const mine = within(screen.getByRole('table', { name: 'On hand for this job' }));
    await waitFor(() =>
      expect(mine.getAllByRole('button', { name: 'To the rack' })[0]).toHaveProperty('disabled', false),
    );
    await user.click(mine.getAllByRole('button', { name: 'To the rack' })[0]!);
    await waitFor(() => expect(racks[0]).toMatchObject({ revision: 2 }));
    const [{ id: row }] = racks[0]!.value.pieces as [OnHand];
    expect(row).not.toBe('plank');
    await waitFor(() => expect(mine.getAllByRole('row')).toHaveLength(2));
    await user.click(await screen.findByRole('button', { name: 'Use it here' }));
    await waitFor(() => expect(since(jobNow())).toEqual(['racked', 'fetched']));
    const came = there(jobNow()).at(-1)!;
    expect(came).toMatchObject({ length: inches(40), where: 'loft' });
    expect(['plank', row]).not.toContain(came.id);
    await waitFor(() => expect(racks[0]).toMatchObject({ revision: 3, value: { pieces: [] } }));
  });

  const onRack = (pieces: readonly OnHand[]) => [{ id: 'rack', revision: 1, value: { pieces, cans: [] } }];
  const rackButtons = (name: string) =>
    waitFor(() => expect(screen.getAllByRole('button', { name })[0]).toHaveProperty('disabled', false));

  test('a move is undone and done again on both sides: the board is in one place only', async () => {
    const racks = onRack([{ ...plank, id: 'old' }]);
    const { user, store, jobNow } = onBench(<OnHandTab plan={null} />, { job, path, ask: serving({ racks }).ask });
    const onTheRack = () => (racks[0]!.value.pieces as OnHand[]).map(({ id }) => id);
    await rackButtons('To the rack');
    await user.click(screen.getAllByRole('button', { name: 'To the rack' })[0]!);
    await waitFor(() => expect(onTheRack()).toHaveLength(2));
    const [, moved] = onTheRack();
    await waitFor(() => expect(since(jobNow())).toEqual(['racked']));
    act(() => void store.dispatch(undone()));
    await waitFor(() => expect(onTheRack()).toEqual(['old']));
    expect(since(jobNow())).toEqual([]);
    act(() => void store.dispatch(redone()));
    await waitFor(() => expect(onTheRack()).toEqual(['old', moved]));
    act(() => void store.dispatch(undone()));
    await waitFor(() => expect(onTheRack()).toEqual(['old']));
    await user.click(await screen.findByRole('button', { name: 'Use it here' }));
    await waitFor(() => expect(there(jobNow())).toHaveLength(3));
    await waitFor(() => expect(onTheRack()).toEqual([]));
    act(() => void store.dispatch(undone()));
    await waitFor(() => expect(onTheRack()).toHaveLength(1));
    expect(there(jobNow())).toHaveLength(2);
  });

  test('a move that was a mistake is taken back on both sides; a mistake in that brings it again', async () => {
    const racks = onRack([]);
    const { user, store, jobNow } = onBench(<OnHandTab plan={null} />, { job, path, ask: serving({ racks }).ask });
    const onTheRack = () => (racks[0]!.value.pieces as OnHand[]).map(({ id, where }) => [id, where]);
    await rackButtons('To the rack');
    await user.click(screen.getAllByRole('button', { name: 'To the rack' })[0]!);
    await waitFor(() => expect(since(jobNow())).toEqual(['racked']));
    const moved = onTheRack();
    const correct = (id: string, of: string) =>
      act(() => void store.dispatch(changed([set(null, ['ledger', id], { id, at: null, what: 'corrected', of })])));
    correct('x1', jobNow().ledger.at(-1)!.id);
    await waitFor(() => expect(onTheRack()).toEqual([]));
    expect(there(jobNow())).toHaveLength(2);
    correct('x2', 'x1');
    await waitFor(() => expect(onTheRack()).toEqual(moved));
    expect(there(jobNow())).toHaveLength(1);
  });

  test('what another job has taken from the rack is not had back by undo, and it is said', async () => {
    const racks = onRack([]);
    const { user, store, jobNow } = onBench(<OnHandTab plan={null} />, { job, path, ask: serving({ racks }).ask });
    await rackButtons('To the rack');
    await user.click(screen.getAllByRole('button', { name: 'To the rack' })[0]!);
    await waitFor(() => expect(since(jobNow())).toEqual(['racked']));
    racks[0] = { id: 'rack', revision: 7, value: { pieces: [], cans: [] } };
    act(() => void store.dispatch(undone()));
    await waitFor(() => expect(message(store)?.text).toContain('another job has it'));
    expect(since(jobNow())).toEqual(['racked']);
    expect(racks[0].value.pieces).toEqual([]);
  });

  test('without a server the rack says so, and what is on hand can still be entered', async () => {
    const away = (() => Promise.reject(new Offline('The server does not answer.'))) as unknown as Ask;
    const { user, jobNow } = onBench(<OnHandTab plan={null} />, { job, path, ask: away });
    expect(await screen.findByText(/kept by the server, which does not answer/)).toBeTruthy();
    await user.type(screen.getByLabelText('What lies there'), '1x4 20 x2{Enter}');
    expect(there(jobNow()).at(-1)).toMatchObject({ material: '1x4', length: inches(20), count: 2 });
    await user.click(screen.getAllByRole('button', { name: 'Remove' })[0]!);
    expect(there(jobNow()).map(({ id }) => id)).not.toContain('plank');
    expect(since(jobNow())).toEqual(['found', 'corrected']);
  });
});

describe('my shop', () => {
  const path = '/jobs/demo/stock';

  test('kept as the usual one the first time, and taken again', async () => {
    const shops: Kept[] = [];
    const { ask, told } = serving({ shops });
    const { user, store } = onBench(<ShopForm />, { path, ask });
    await user.click(screen.getByRole('button', { name: 'Take my usual shop' }));
    await waitFor(() => expect(message(store)).toMatchObject({ bad: true }));
    expect(message(store)!.text).toContain('no usual shop yet');
    await user.click(screen.getByRole('button', { name: 'Keep as my usual shop' }));
    await waitFor(() => expect(told.map(({ name }) => name)).toEqual(['saveShop']));
    expect(shops[0]).toMatchObject({ id: 'usual', revision: 1 });
  });

  test('what was kept elsewhere meanwhile is what is taken', async () => {
    const value: Shop = { ...DEFAULT_SHOP, lift: 77, tools: ['hand saw'] };
    const { user, jobNow } = onBench(<ShopForm />, {
      path,
      ask: serving({ shops: [{ id: 'usual', revision: 4, value }] }).ask,
    });
    await user.click(screen.getByRole('button', { name: 'Take my usual shop' }));
    await waitFor(() => expect(jobNow().shop).toEqual(value));
  });

  test('each field changes its own, and clamps are rows that come and go', async () => {
    const { user, jobNow } = onBench(<ShopForm />, { path });
    const before = jobNow().shop;
    await user.click(screen.getByRole('button', { name: 'Add clamps' }));
    expect(jobNow().shop.clamps).toHaveLength(before.clamps.length + 1);
    await user.click(screen.getByRole('button', { name: 'Take row 1 of clamps away' }));
    expect(jobNow().shop.clamps).toEqual([...before.clamps.slice(1), { length: inches(36), count: 2 }]);
    const lift = screen.getByLabelText(/One person carries/);
    await user.clear(lift);
    await user.type(lift, '60{Enter}');
    expect(jobNow().shop).toEqual({ ...before, clamps: jobNow().shop.clamps, lift: 60 });
  });
});

describe('what the shop has', () => {
  const shop = () => onBench(<ShopForm />, { path: '/jobs/demo/stock' });
  const own = (shown: ReturnType<typeof shop>): Shop => shown.jobNow().shop;
  const type = async (shown: ReturnType<typeof shop>, name: string, text: string) => {
    const field = screen.getByRole('textbox', { name });
    await shown.user.clear(field);
    await shown.user.type(field, `${text}{Enter}`);
  };

  test('tools are ticked one by one, or a whole kit at once', async () => {
    const shown = shop();
    const planer = within(screen.getByRole('group', { name: 'Tools' })).getByRole('checkbox', { name: /planer/i });
    const had = own(shown).tools.includes('planer');
    await shown.user.click(planer);
    expect(own(shown).tools.includes('planer')).toBe(!had);
    await shown.user.click(planer);
    expect(own(shown).tools.includes('planer')).toBe(had);
  });

  test('clamps in rows: added, told, taken away', async () => {
    const shown = shop();
    const count = own(shown).clamps.length;
    await shown.user.click(screen.getByRole('button', { name: 'Add clamps' }));
    expect(own(shown).clamps).toHaveLength(count + 1);
    await type(shown, `Row ${count + 1} opens to`, '50');
    expect(own(shown).clamps.at(-1)).toEqual({ length: inches(50), count: 2 });
    await shown.user.click(screen.getByRole('button', { name: `Take row ${count + 1} of clamps away` }));
    expect(own(shown).clamps).toHaveLength(count);
  });

  test('a saw that cuts half an inch wide is refused in words; a quarter is taken', async () => {
    const shown = shop();
    const before = own(shown).kerf;
    await type(shown, 'Width of the saw’s cut', '1/2');
    expect(screen.getByRole('alert').textContent).toMatch(/\d/);
    expect(own(shown).kerf).toBe(before);
    await type(shown, 'Width of the saw’s cut', '3/32');
    expect(own(shown).kerf).toBe(inches(3 / 32));
  });

  test('the way out: a turn and a car are asked about once they are there', async () => {
    const shown = shop();
    const { turn } = own(shown);
    const box = screen.getByRole('checkbox', { name: 'a turn, as of stairs' });
    if (turn !== null) await shown.user.click(box);
    expect(screen.queryByRole('textbox', { name: 'Width before the turn' })).toBeNull();
    await shown.user.click(box);
    await type(shown, 'Width before the turn', '32');
    expect(own(shown).turn).toEqual({ before: inches(32), after: inches(36) });
  });

  test('spares: the exact count, one of each, or as many as is likely', async () => {
    const shown = shop();
    await shown.user.click(screen.getByRole('radio', { name: 'as many as is likely' }));
    expect(shown.jobNow().spares).toBe('likely');
    await shown.user.click(screen.getByRole('radio', { name: 'the exact count' }));
    expect(shown.jobNow().spares).toBe('none');
  });
});
