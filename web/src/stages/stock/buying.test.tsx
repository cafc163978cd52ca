/** @jest-environment jsdom */
import Papa from 'papaparse';
import { screen, within } from '@testing-library/react';
import { applyChanges, demoJob, inches, type Job, set } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { browserFiles } from '../../testing/files';
import { BuyingTable } from './BuyingTable';

const { saved, lastText } = browserFiles();

const money = (text: string | null) => Math.round(Number(/\d+\.\d\d/.exec(text ?? '')![0]) * 100);
const show = (job: Job) => ({
  plan: planOnce(job),
  ...onBench(<BuyingTable plan={planOnce(job)} />, { job, path: '/jobs/demo/stock' }),
});
const totalRow = () => screen.getByTestId('list-total').closest('tr')!;

describe('the list for the store', () => {
  test('its lines and its tax add up to its total, to the cent', () => {
    const { plan } = show(demoJob());
    const { boards, hardware, tax, total } = plan.list;
    expect(money(screen.getByTestId('list-total').textContent)).toBe(total);
    const lines = [...boards, ...hardware].reduce((sum, line) => sum + line.total, 0);
    expect(lines + tax).toBe(total);
    expect(screen.getAllByRole('row').length).toBeGreaterThan(boards.length);
  });

  test('against the budget it says under or over by how much', () => {
    const { plan } = show(demoJob());
    expect(totalRow().textContent).toContain(`$${((70_000 - plan.list.total) / 100).toFixed(2)} under budget`);
    const tight = applyChanges(demoJob(), [set(null, ['budget'], 50_000)]);
    show(tight);
    expect(screen.getAllByText(/over budget/)).toHaveLength(1);
  });

  test('as CSV it has every line with its yard, and reads back to the same sum', async () => {
    const { plan, user } = show(demoJob());
    await user.click(screen.getByRole('button', { name: 'Save as CSV' }));
    expect(saved.map(({ type }) => type)).toEqual(['text/csv']);
    const { data } = Papa.parse<Record<string, string>>(await lastText(), { header: true });
    const priced = data.filter(({ yard }) => yard !== '');
    expect(priced).toHaveLength(plan.list.boards.length + plan.list.hardware.length);
    const sum = priced.reduce((cents, row) => cents + Math.round(Number(row['total']) * 100), 0);
    expect(sum + plan.list.tax).toBe(plan.list.total);
    expect(data.at(-1)).toMatchObject({ item: 'total', total: (plan.list.total / 100).toFixed(2) });
  });

  test('a part of a list says so in the table and in the file, and praises nothing', async () => {
    const [piece] = demoJob().pieces;
    const long = { ...demoJob(), pieces: [{ ...piece!, size: { ...piece!.size, length: inches(200) } }] };
    const { user } = show(long);
    expect(totalRow().textContent).toContain('Incomplete: what is missing stands above');
    expect(totalRow().textContent).not.toContain('under budget');
    expect(within(screen.getByRole('table')).getAllByText(/nothing on sale or on hand gives/)).toHaveLength(3);
    await user.click(screen.getByRole('button', { name: 'Save as CSV' }));
    const text = await lastText();
    expect(text).toContain('total, incomplete');
    expect(text.match(/no yard here/g)).toHaveLength(3);
  });
});
