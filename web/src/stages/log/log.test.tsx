/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { finishedJob, jobUnderWay, recordOf, standingEntries, type Entry } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { useClock } from '../../state/useClock';
import { LeftOnDialog } from '../shared/LeftOnDialog';
import { MishapDialog } from '../shared/MishapDialog';
import { ReceiptDialog } from '../shared/ReceiptDialog';
import { LogStage } from './LogStage';

afterEach(() => document.body.replaceChildren());

const under = jobUnderWay('2026-11-24');
const over = finishedJob('2026-11-24');
const open = (job = under) => onBench(<LogStage />, { job, path: '/jobs/demo/log' });
const told = (ledger: readonly Entry[], what: Entry['what']) =>
  standingEntries(ledger).filter((one) => one.what === what);
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });

test('planned stands above the line, real below, and what lies between in one word', () => {
  open(over);
  const { setOut, closed } = recordOf('', over);
  const money = within(screen.getByRole('group', { name: 'Money' }));
  expect(money.getByText(`$${(setOut!.cents / 100).toFixed(2)}`, { exact: false })).toBeTruthy();
  expect(money.getByText(`−$${((setOut!.cents - closed!.cents) / 100).toFixed(2)}`).dataset['off']).toBe('less');
  expect(screen.getByRole('group', { name: 'Hours' }).querySelector('[data-off=more]')).toBeTruthy();
  expect(screen.getByText(/saved/).textContent).toMatch(/The bought one costs \$349\.00/);
});

test('what was written down stands by day, by kind, and is taken back', async () => {
  const { user, jobNow } = open();
  expect(screen.getByText(/Next time: Set the stop with a steel rule/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Money' }));
  expect(screen.getByText(/^Receipt of /)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /^Take back: Receipt of/ }));
  expect(told(jobNow().ledger, 'receipt')).toEqual([]);
});

const write = async (user: ReturnType<typeof open>['user'], what: string) => {
  await user.click(screen.getByRole('button', { name: 'Write down' }));
  await user.click(screen.getByRole('menuitem', { name: what }));
};

test('time is written down afterwards, moisture and what a can gave too', async () => {
  const { user, jobNow } = open();
  await write(user, 'Time worked');
  type('Minutes', '45');
  await user.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(told(jobNow().ledger, 'timed').at(-1)).toMatchObject({ minutes: 45, planned: 0, until: null });
  await write(user, 'Moisture of the wood');
  type('The meter reads', '70');
  expect(screen.getByRole('alert').textContent).toMatch(/from 2 to 60/);
  type('The meter reads', '11.5');
  await user.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(told(jobNow().ledger, 'moisture').at(-1)).toMatchObject({ percent: 11.5 });
});

test('a job is finished with words for the next, and is not after all', async () => {
  const { user, jobNow } = open();
  await user.click(screen.getByRole('button', { name: 'It is finished' }));
  type('Minutes that no clock saw', '30');
  type('Next time I would', 'plane the legs first');
  await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'It is finished' }));
  const [closed] = told(jobNow().ledger, 'closed');
  expect(closed).toMatchObject({ minutes: Math.round(recordOf('', under).minutes) + 30, bought: 21_900 });
  expect(told(jobNow().ledger, 'note').at(-1)).toMatchObject({ next: true, family: 'bench' });
  await user.click(await screen.findByRole('button', { name: 'What it came to' }));
  await user.click(screen.getByRole('button', { name: 'It is not finished after all' }));
  expect(told(jobNow().ledger, 'closed')).toEqual([]);
});

test('a receipt takes prices as paid and what else is on it; another currency is refused with a sentence', async () => {
  const bare = { ...under, ledger: under.ledger.filter(({ what }) => what !== 'receipt') };
  const { user, jobNow } = onBench(<ReceiptDialog onClose={() => {}} />, { job: bare, path: '/jobs/demo/log' });
  const price = screen.getAllByRole<HTMLInputElement>('textbox', { name: /^Paid for/ })[0]!;
  const before = price.value;
  fireEvent.change(price, { target: { value: '€ 21.40' } });
  expect(screen.getByRole('alert').textContent).toMatch(/counts in dollars. Change € 21.40 into dollars/);
  fireEvent.change(price, { target: { value: String(Number(before) + 2) } });
  await user.click(screen.getByRole('button', { name: 'Something that was not on the list' }));
  type('What else', 'Pencils');
  type('Price', '3');
  await user.click(screen.getByRole('button', { name: 'Write it down' }));
  const [receipt] = told(jobNow().ledger, 'receipt');
  expect(receipt).toMatchObject({ extras: [{ name: 'Pencils', price: 300 }] });
  const paid = told(jobNow().ledger, 'paid');
  expect(paid.length).toBeGreaterThan(0);
  const [was, is] = [recordOf('', bare).cents, recordOf('', jobNow()).cents];
  // Two dollars more for each, three for the pencils, and the tax on both.
  expect(is - was).toBeCloseTo((200 * paid.length + 300) * (1 + bare.yard.tax / 100), -1);
});

test('three taps tell of a part that split: it is made anew', async () => {
  const plan = planOnce(under);
  const part = plan.buying.boards.flatMap(({ pieces, state }) => (state === 'cut' ? pieces : []))[0]!.blank.part.id;
  const { user, jobNow } = onBench(
    <MishapDialog plan={plan} piece="porch" of={null} parts={[part]} onClose={() => {}} />,
    { job: under, path: '/jobs/demo/build' },
  );
  await user.click(screen.getByRole('button', { name: part.split('.')[1]! }));
  await user.click(screen.getAllByRole('button', { name: 'Split' })[0]!);
  expect(told(jobNow().ledger, 'mishap').at(-1)).toMatchObject({ how: 'split', part });
  expect(told(jobNow().ledger, 'spoiled')).toHaveLength(1);
});

describe('a clock that was left on for a night', () => {
  const about = { of: 'a', piece: null, work: 'saw', planned: 12 } as const;
  let clock: ReturnType<typeof useClock>;
  function Probe() {
    clock = useClock();
    return <LeftOnDialog of={{ ...about, minutes: 680 }} onClose={() => {}} />;
  }

  test('is not taken for work: it asks, and writes what is answered', async () => {
    const since = Date.now() - 680 * 60_000;
    const running: Entry = { id: 'c', at: '2026-11-23T21:00', what: 'clock', on: true, since };
    const job = { ...under, ledger: [...under.ledger, running] };
    const { user, jobNow } = onBench(<Probe />, { job, path: '/jobs/demo/build' });
    expect(clock.since).toBe(since);
    const { entries, leftOn } = clock.read(about);
    expect(entries.map(({ what }) => what)).toEqual(['clock']);
    // However slow the machine is: no less than the night, and no more than a while on top of it.
    expect(leftOn?.minutes).toBeGreaterThanOrEqual(680);
    expect(leftOn?.minutes).toBeLessThan(700);
    expect(screen.getByText(/It has run 11 h 20/)).toBeTruthy();
    type('Minutes worked', '25');
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(told(jobNow().ledger, 'timed').at(-1)).toMatchObject({ minutes: 25, planned: 12, until: null });
  });
});
