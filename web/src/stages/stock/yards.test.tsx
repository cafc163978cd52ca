/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { demoJob, SAMPLE_YARD, SECOND_YARD, type Job, type Yard } from '@sill/core';
import { Offline, type Ask } from '../../platform/ask';
import { startJob } from '../../../../core/src/testing/planning';
import { onBench, planOnce } from '../../testing/bench';
import { Yards } from './Yards';

/** Lists of a few rows: what is looked at is not how many there are. */
const small = (yard: Yard): Yard => ({
  ...yard,
  boards: yard.boards.slice(0, 3),
  sheets: yard.sheets.slice(0, 2),
  hardware: yard.hardware.slice(0, 2),
});
const [HERE, THERE] = [small(SAMPLE_YARD), small(SECOND_YARD)];
const job: Job = { ...demoJob(), yard: HERE, alsoAt: [] };
/** Any: nothing of it is shown. */
const plan = planOnce(startJob('top'));
const kept = (value: Yard) => ({ id: value.id, revision: 4, savedAt: '', value });

function open(change: Partial<Job> = {}, answers: Readonly<Record<string, unknown>> = {}) {
  const asked: (readonly [string, unknown])[] = [];
  const ask = ((name: string, sent: unknown) => {
    asked.push([name, sent]);
    if (name === 'yards') return Promise.resolve([HERE, THERE].map(kept));
    const answer = answers[name];
    return answer instanceof Error ? Promise.reject(answer) : answer ? Promise.resolve(answer) : new Promise(() => {});
  }) as unknown as Ask;
  return {
    asked,
    ...onBench(<Yards />, { job: { ...job, ...change }, plan, path: '/jobs/demo/stock?tab=yards', ask }),
  };
}
const message = ({ store }: ReturnType<typeof onBench>) => store.getState().view.message?.text;

test('its name and its tax are the job’s own; a tax that no state has is refused, and the last one stays', () => {
  const { jobNow } = open();
  const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
  type('Its name', 'Corner yard');
  type('Sales tax', '8.25');
  expect(jobNow().yard).toMatchObject({ id: HERE.id, name: 'Corner yard', tax: 8.25 });
  type('Sales tax', '51');
  expect(screen.getByRole('alert').textContent).toContain('from 0 to 50');
  type('Its name', '');
  expect(jobNow().yard).toMatchObject({ name: 'Corner yard', tax: 8.25 });
});

test('another yard besides: its list is shown, and it is left out again', async () => {
  const { user, jobNow } = open();
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: 'And at another yard' }));
  await user.click(await screen.findByRole('option', { name: THERE.name }));
  expect(jobNow().alsoAt.map(({ id }) => id)).toEqual([THERE.id]);
  expect(screen.getByLabelText<HTMLInputElement>('Its name').value).toBe(THERE.name);
  await user.click(screen.getByRole('button', { name: 'Do not buy there' }));
  expect(jobNow().alsoAt).toEqual([]);
  expect(screen.getByLabelText<HTMLInputElement>('Its name').value).toBe(HERE.name);
});

test('of two yards the one whose list is shown is changed', async () => {
  const { user, jobNow } = open({ alsoAt: [THERE] });
  const which = screen.getByRole('group', { name: 'Yard whose list is shown' });
  await user.click(within(which).getByRole('button', { name: THERE.name }));
  fireEvent.change(screen.getByLabelText('Sales tax'), { target: { value: '3' } });
  expect([jobNow().yard.tax, jobNow().alsoAt[0]!.tax]).toEqual([HERE.tax, 3]);
});

test('today’s prices are taken, with how many sizes are out; undone they are as before', async () => {
  const now = { ...HERE, boards: HERE.boards.map((row, at) => ({ ...row, price: row.price + 10, inStock: at > 0 })) };
  const shown = open({}, { prices: { yard: now } });
  await shown.user.click(screen.getByRole('button', { name: 'Today’s prices' }));
  await waitFor(() => expect(shown.jobNow().yard).toEqual(now));
  expect(message(shown)).toBe(`Prices of 24 November taken from ${HERE.name}. 1 size of board is not in stock.`);
  expect(shown.asked).toContainEqual(['prices', { params: { yard: HERE.id }, query: { day: '2026-11-24' } }]);
});

test('kept in the yard on top of the list that is there; without a server it is said, and nothing is lost', async () => {
  const shown = open({}, { saveYard: { id: HERE.id, revision: 5, savedAt: '' } });
  await shown.user.click(screen.getByRole('button', { name: 'Keep these in the yard' }));
  await waitFor(() => expect(message(shown)).toBe(`Kept in ${HERE.name}. New jobs can take these prices.`));
  expect(shown.asked).toContainEqual(['saveYard', { params: { id: HERE.id }, body: { revision: 4, value: HERE } }]);
  shown.unmount();
  const alone = open({}, { prices: new Offline('The server does not answer.') });
  await alone.user.click(screen.getByRole('button', { name: 'Today’s prices' }));
  await waitFor(() => expect(message(alone)).toContain('The server does not answer.'));
  expect(alone.jobNow().yard).toEqual(HERE);
});
