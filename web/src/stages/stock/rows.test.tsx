/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { demoJob, inches, SAMPLE_YARDS, type DayPrice, type Yard } from '@sill/core';
import type { Ask } from '../../platform/ask';
import { onBench, planOnce } from '../../testing/bench';
import { ABOUT_THE_JOB } from '../shared/NoteDialog';
import { AddRow } from './AddRow';
import { LedgerTab } from './LedgerTab';
import { MeasuredToday } from './MeasuredToday';
import { PriceHistory } from './PriceHistory';

const job = demoJob();
const plan = planOnce(job);
const path = '/jobs/demo/stock';

afterEach(() => document.body.replaceChildren());

describe('one more row of a price list', () => {
  const [yard] = SAMPLE_YARDS as readonly [Yard];
  const taken = jest.fn<void, [Yard]>();
  const open = (kind: 'boards' | 'sheets' | 'hardware') =>
    onBench(<AddRow kind={kind} yard={yard} onTake={taken} />, { job, plan, path });
  const fill = async (user: ReturnType<typeof open>['user'], fields: Readonly<Record<string, string>>) => {
    for (const [label, text] of Object.entries(fields)) await user.type(screen.getByLabelText(label), text);
    await user.click(screen.getByRole('button', { name: 'Add' }));
  };
  beforeEach(() => taken.mockClear());

  test.each<readonly ['boards' | 'sheets' | 'hardware', Readonly<Record<string, string>>, number]>([
    ['boards', { Board: '1x6 red oak', Length: '7 ft', Grade: 'S4S', Price: '54.90' }, 5490],
    ['sheets', { Sheet: '3/4 plywood', Length: '96', Width: '48', Price: '51.25' }, 5125],
    ['hardware', { Kind: 'pocket-screw', Size: '1 1/4', 'In a box': '137', Price: '6.48' }, 648],
  ])('of %s: read as a row of a file is, and the fields are empty again', async (kind, fields, price) => {
    const { user } = open(kind);
    await fill(user, fields);
    const [[after]] = taken.mock.calls as [[Yard]];
    const all = (of: Yard) => [...of.boards, ...of.sheets, ...of.hardware] as readonly { readonly price: number }[];
    const before = new Set(all(yard).map((row) => JSON.stringify(row)));
    const fresh = all(after).filter((row) => !before.has(JSON.stringify(row)));
    expect(fresh.map((row) => row.price)).toEqual([price]);
    for (const label of Object.keys(fields)) expect(screen.getByLabelText<HTMLInputElement>(label).value).toBe('');
  });

  test('what can not be read is said, what was typed stays, and typing on ends the complaint', async () => {
    const { user } = open('boards');
    await fill(user, { Board: 'plank of something', Length: '8 ft', Price: '3' });
    expect(screen.getByRole('alert').textContent).not.toBe('');
    expect(taken).not.toHaveBeenCalled();
    expect(screen.getByLabelText<HTMLInputElement>('Board').value).toBe('plank of something');
    await user.type(screen.getByLabelText('Board'), '.');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('what today’s boards measure', () => {
  const used = [...new Set(plan.buying.boards.map(({ material }) => material))];

  test('a row each, sheets without a width; what is measured is the job’s', async () => {
    const { user, jobNow } = onBench(<MeasuredToday plan={plan} />, { job, plan, path });
    const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
    expect(rows).toHaveLength(used.length);
    const field = screen.getByLabelText('2×4 is wide');
    await user.clear(field);
    await user.type(field, '3 7/16{Enter}');
    expect(jobNow().measured).toEqual({ '2x4': { width: inches(3 + 7 / 16) } });
  });

  test('one that was measured stays in view when nothing is bought of it, and is as sold again with one click', async () => {
    const of = { ...job, measured: { '2x12': { thickness: inches(1.375) } } };
    const { user, jobNow } = onBench(<MeasuredToday plan={null} />, { job: of, plan, path });
    expect(within(screen.getByRole('table')).getAllByRole('row')).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'As sold' }));
    expect(jobNow().measured).toEqual({});
  });
});

describe('what happened', () => {
  const note = (id: string, at: string, text: string) => ({
    ...{ id, at, what: 'note' as const, ...ABOUT_THE_JOB, next: false, text, photo: null },
  });

  test('nothing yet is said, not left empty', () => {
    onBench(<LedgerTab plan={plan} />, { job: { ...job, ledger: [] }, plan, path });
    expect(screen.queryByRole('table')).toBeNull();
    expect(document.body.textContent).toContain('Nothing yet.');
  });

  test('the newest first; a mistake stays in view as taken back, and its money goes', async () => {
    const of = {
      ...job,
      ledger: [note('n1', '2026-11-21T10:00', 'the first'), note('n2', '2026-11-22T10:00', 'the second')],
    };
    const { user, jobNow } = onBench(<LedgerTab plan={plan} />, { job: of, plan, path });
    const rows = () => within(screen.getByRole('table')).getAllByRole('row').slice(1);
    expect(rows().map((row) => /the (first|second)/.exec(row.textContent)![1])).toEqual(['second', 'first']);
    await user.click(within(rows()[0]!).getByRole('button', { name: 'A mistake' }));
    expect(jobNow().ledger.at(-1)).toMatchObject({ what: 'corrected' });
    expect(rows()[0]!.textContent).toContain('taken back');
    expect(rows()[0]!.className).toContain('taken-back');
  });
});

describe('what an offer has cost', () => {
  const days: readonly DayPrice[] = [
    { day: '2026-06-01', price: 410, inStock: true },
    { day: '2026-08-01', price: 389, inStock: false },
    { day: '2026-11-24', price: 436, inStock: true },
  ];
  const open = (ask: () => Promise<unknown>) =>
    onBench(<PriceHistory yard="y" offer="2x4x8" name="2x4 8 ft" />, { job, plan, path, ask: ask as unknown as Ask });

  test('now, from the least to the most, the cheapest day and the days it was not there', async () => {
    open(() => Promise.resolve(days));
    const chart = await screen.findByRole('img');
    expect(chart.getAttribute('aria-label')).toBe('Now $4.36; from $3.89 to $4.36 in half a year.');
    expect(document.body.textContent).toContain('Cheapest on 1 Aug. Not to be had on 1 of 3 days');
    expect(chart.querySelectorAll('line.out')).toHaveLength(1);
  });

  test('a yard that keeps none says so', async () => {
    open(() => Promise.reject(new Error('This yard is not known.')));
    expect((await screen.findByText(/keeps no history of this/)).textContent).toContain('This yard is not known.');
  });
});
