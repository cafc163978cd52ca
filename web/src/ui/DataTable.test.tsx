/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { onBench } from '../testing/bench';
import { DataTable, type TableColumn } from './DataTable';

type Row = { readonly id: string; readonly name: string; readonly size: number };
const rows: readonly Row[] = [
  { id: 'glaze.A1', name: 'long apron', size: 51 },
  { id: 'glaze.E1', name: 'end apron', size: 20.5 },
  { id: 'glaze.T1', name: 'top board', size: 100 },
];
const columns: readonly TableColumn<Row>[] = [
  { key: 'name', head: 'Part', value: (row) => row.name },
  {
    key: 'size',
    head: 'Long',
    number: true,
    value: (row) => row.size,
    csv: (row) => `${row.size} in`,
    cell: (row) => <b>{row.size}</b>,
  },
];
const shown = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]!.textContent);

test('sorts numbers as numbers, both ways', async () => {
  const { user } = onBench(<DataTable name="Parts" rows={rows} columns={columns} rowId={(row) => row.id} />);
  expect(shown()).toEqual(['long apron', 'end apron', 'top board']);
  await user.click(screen.getByRole('button', { name: 'Long' }));
  const once = shown();
  await user.click(screen.getByRole('button', { name: 'Long' }));
  expect(shown()).toEqual([...once].reverse());
  expect([once, shown()]).toContainEqual(['end apron', 'long apron', 'top board']);
});

test('filters, and says when nothing is left', async () => {
  const { user } = onBench(<DataTable name="Parts" rows={rows} columns={columns} rowId={(row) => row.id} />);
  await user.type(screen.getByLabelText('Find in parts'), 'apron');
  expect(shown()).toEqual(['long apron', 'end apron']);
  await user.type(screen.getByLabelText('Find in parts'), 'x');
  expect(screen.getByText(/No row has/)).toBeTruthy();
});

test('copies what is shown as CSV, in words where a column has them; says when it may not', async () => {
  const { user, store } = onBench(<DataTable name="Parts" rows={rows} columns={columns} rowId={(row) => row.id} />);
  await user.type(screen.getByLabelText('Find in parts'), 'end');
  await user.click(screen.getByRole('button', { name: 'Copy as CSV' }));
  expect(await navigator.clipboard.readText()).toBe('Part,Long\r\nend apron,20.5 in');
  expect(store.getState().view.message).toEqual({ text: 'Parts copied as CSV, 1 rows.', bad: false });
  jest.spyOn(navigator.clipboard, 'writeText').mockRejectedValueOnce(new Error('no'));
  await user.click(screen.getByRole('button', { name: 'Copy as CSV' }));
  expect(store.getState().view.message?.bad).toBe(true);
});

test('a row marks its part while the pointer is over it', async () => {
  const { user, store } = onBench(
    <DataTable name="Parts" rows={rows} columns={columns} rowId={(row) => row.id} partOf={(row) => row.id} />,
  );
  await user.hover(screen.getByText('end apron'));
  expect(store.getState().view.marked).toBe('glaze.E1');
  await user.unhover(screen.getByText('end apron'));
  expect(store.getState().view.marked).toBeNull();
});
