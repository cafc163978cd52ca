/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { holdingsOf, inches, standingEntries, sure, type Entry, type Job, type RackBoard } from '@sill/core';
import { fewOfDemo } from '../../../core/src/testing/planning';
import { Offline, type Ask } from '../platform/ask';
import { onBench, planOnce } from '../testing/bench';
import { QUIET } from '../testing/edges';
import { Active } from './Active';

afterEach(() => document.body.replaceChildren());

const job: Job = { ...fewOfDemo(1), ledger: [] };
const plan = planOnce(job);
const line = sure(
  plan.list.boards.find(({ offer, count }) => !('sheet' in offer) && count > 1),
  'line',
);
const straight: RackBoard = {
  ...{ number: 7, crook: 0, bow: 0, twist: 0, cup: 0 },
  ...{ split: 0, looseKnot: null, moisture: 11 },
};

type Rack = { readonly boards: readonly RackBoard[]; readonly simulated: boolean } | 'no signal';
function open(rack: Rack, more: Partial<Parameters<typeof onBench>[1]> = {}) {
  const ask = (() =>
    rack === 'no signal'
      ? Promise.reject(new Offline('The server does not answer.'))
      : Promise.resolve(rack)) as unknown as Ask;
  const done: string[] = [];
  const page = onBench(<Active line={line} plan={plan} onDone={() => done.push('done')} />, {
    job,
    path: '/jobs/demo/yard',
    ask,
    ...more,
  });
  const click = (name: string | RegExp) => page.user.click(screen.getByRole('button', { name }));
  const told = (what: Entry['what']) => standingEntries(page.jobNow().ledger).filter((one) => one.what === what);
  return { ...page, done, click, told };
}
const RACK: Rack = { boards: [straight, { ...straight, number: 8, moisture: 24 }], simulated: true };

test('what must come out of the board stands on it, as long as it is', async () => {
  const { container } = open(RACK);
  const board = sure(
    plan.buying.boards.find(({ offer, hand }) => hand === null && offer.id === line.offer.id),
    'board',
  );
  const pieces = [...container.querySelectorAll<HTMLElement>('.yard-strip span')].filter(({ style }) => style.width);
  expect(pieces).toHaveLength(board.pieces.length);
  pieces.forEach(({ style }, at) => {
    const { x, length } = board.pieces[at]!;
    expect(Number.parseFloat(style.left)).toBeCloseTo((100 * x) / board.length, 4);
    expect(Number.parseFloat(style.width)).toBeCloseTo((100 * length) / board.length, 4);
  });
  expect(await screen.findByText('Simulated reading.')).toBeTruthy();
  expect(screen.getByRole('status').textContent).toContain('Board 7 in the rack.');
});

test('kept, it is bought at its price for what the plan cuts from it; put back, the next in the rack is looked at', async () => {
  const { click, told, jobNow } = open(RACK);
  await screen.findByText(/Board 7 in the rack/);
  await click('Reject');
  expect(told('rejected')).toMatchObject([{ offer: line.offer.id }]);
  expect(await screen.findByText(/Board 8 in the rack/)).toBeTruthy();
  await click('Keep');
  const [bought] = told('bought');
  expect(bought).toMatchObject({ offer: line.offer.id, price: line.offer.price, length: line.offer.length });
  expect((bought as { parts: readonly string[] }).parts.length).toBeGreaterThan(0);
  expect([...holdingsOf(jobNow()).bodies.values()].filter(({ bought: own }) => own !== null)).toHaveLength(1);
});

test('a bad stretch is said from where to where; backwards it can not be kept, back changes nothing', async () => {
  const { click, told } = open(RACK);
  await click('Bad stretch');
  const set = (label: string, value: string) => {
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
    fireEvent.blur(screen.getByLabelText(label));
  };
  set('Bad from', '40');
  set('to', '33');
  expect((screen.getByRole('button', { name: 'Keep it so' }) as HTMLButtonElement).disabled).toBe(true);
  await click('Back');
  expect([told('bought'), told('marked')]).toEqual([[], []]);
  await click('Bad stretch');
  set('Bad from', '30');
  set('to', '33');
  await click('Keep it so');
  const [bought] = told('bought');
  expect(told('marked')).toMatchObject([
    { of: bought!.id, bad: [{ from: inches(30), to: inches(33) }], note: expect.stringContaining('simulated') },
  ]);
});

test('without a signal it is judged by eye, and what is ticked is kept', async () => {
  const { click, told } = open('no signal');
  expect(await screen.findByText(/No signal: judge by eye/)).toBeTruthy();
  expect(screen.queryByText(/in the rack/)).toBeNull();
  expect(screen.getByRole('list', { name: 'How to sight a board' }).textContent).toContain('under');
  await click('Keep');
  expect(told('bought')).toHaveLength(1);
});

describe('none left', () => {
  const answering = (planQuickly: typeof QUIET.planner.planQuickly) =>
    open(RACK, { planner: { ...QUIET.planner, planQuickly } });

  test('what it costs otherwise is asked first; taken, the size is out of stock', async () => {
    const asked: Job[] = [];
    const { click, jobNow } = answering((about) => {
      asked.push(about);
      return Promise.resolve({ ...plan, list: { ...plan.list, total: plan.list.total + 250 } });
    });
    await click('None left');
    await screen.findByText('+$2.50');
    expect(asked.at(-1)!.yard.boards.find(({ id }) => id === line.offer.id)!.inStock).toBe(false);
    expect(jobNow()).toEqual(job);
    await click(/^Take the best from what is there/);
    expect(jobNow().yard.boards.find(({ id }) => id === line.offer.id)!.inStock).toBe(false);
  });

  test('where nothing else will do it is said, and all stays as it is', async () => {
    const { click, store, jobNow } = answering(() =>
      Promise.resolve({
        ...plan,
        buying: { ...plan.buying, unplaced: [{ because: 'no board is so long' }] as never },
      }),
    );
    await click('None left');
    expect(store.getState().view.message).toEqual({
      text: 'Nothing else in stock will do: no board is so long. Try another yard.',
      bad: true,
    });
    expect(jobNow()).toEqual(job);
    expect(screen.queryByText(/Take the best/)).toBeNull();
  });

  test('a planner that fails is told too', async () => {
    const { click, store } = answering(() => Promise.reject(new Error('It stopped.')));
    await click('None left');
    expect(store.getState().view.message).toEqual({ text: 'It stopped.', bad: true });
  });
});
