/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { boughtAs, demoJob, nth, type Entry, type EntryOf, type Job } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { MishapDialog } from './MishapDialog';
import { ABOUT_THE_JOB, NoteDialog } from './NoteDialog';
import { ReceiptDialog } from './ReceiptDialog';

const told = <W extends Entry['what']>({ ledger }: Job, what: W) =>
  ledger.filter((entry): entry is EntryOf<W> => entry.what === what);
const written = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Write it down' });
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const job = { ...demoJob(), ledger: [], done: [] };
const plan = planOnce(job);

describe('words on something', () => {
  test('nothing is written without words; for next time they are kept as such, with what they are about', async () => {
    const about = { ...ABOUT_THE_JOB, piece: 'glaze', family: 'aprons', tool: 'circular saw' } as const;
    const closed: string[] = [];
    const { user, jobNow } = onBench(<NoteDialog title="On it" about={about} onClose={() => closed.push('note')} />, {
      job,
      plan,
    });
    type('Words', '   ');
    expect(written().disabled).toBe(true);
    type('Words', '  Clamp the guide twice. ');
    await user.click(screen.getByRole('checkbox', { name: /For next time/ }));
    await user.click(written());
    expect(told(jobNow(), 'note')).toMatchObject([
      { ...about, text: 'Clamp the guide twice.', next: true, photo: null },
    ]);
    expect(closed).toEqual(['note']);
  });
});

describe('a receipt', () => {
  /** Two boards of the demo bought, alike or not. */
  const bought = (() => {
    let ids = 0;
    const stamp = { id: () => `b${++ids}`, at: null };
    return plan.buying.boards
      .slice(0, 2)
      .reduce((so: Job, board) => ({ ...so, ledger: [...so.ledger, ...boughtAs(so, board, stamp)] }), job);
  })();

  test('what its total and its rows do not share is said, and kept as typed', async () => {
    const { user, jobNow } = onBench(<ReceiptDialog onClose={() => {}} />, { job: bought, plan });
    const status = () => screen.getByRole('status').textContent;
    expect(status()).toMatch(/before tax, .*against the list\.$/);
    const [tax, total] = ['Tax on it', 'Total paid'].map((name) => screen.getByLabelText<HTMLInputElement>(name).value);
    expect(Number(total)).toBeGreaterThan(Number(tax));
    type('Total paid', String(Number(total) + 5));
    expect(status()).toMatch(/\$5(\.00)? of the total is in no row/);
    type('Total paid', String(Number(total) - 5));
    expect(status()).toMatch(/\$5(\.00)? of the total is too little for its rows/);
    await user.click(written());
    const [receipt] = told(jobNow(), 'receipt');
    expect(receipt!.of).toHaveLength(2);
    expect(receipt!.total).toBe(Math.round((Number(total) - 5) * 100));
    expect(told(jobNow(), 'paid')).toEqual([]);
  });

  test('where all is on one already it says so; an empty one is not written, one for a pencil is', async () => {
    const { user, jobNow } = onBench(<ReceiptDialog onClose={() => {}} />, { job, plan });
    expect(screen.getByText(/All that was bought is on a receipt/)).toBeTruthy();
    expect(written().disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Something that was not on the list' }));
    type('Price', '2');
    // Without a name it is no row.
    expect(written().disabled).toBe(true);
    type('What else', 'Pencil');
    await user.click(written());
    expect(told(jobNow(), 'receipt')).toMatchObject([{ extras: [{ name: 'Pencil', price: 200 }], of: [] }]);
  });
});

describe('something went wrong', () => {
  const { part } = nth(nth(plan.buying.boards, 0).pieces, 0).blank;
  const open = (parts: readonly string[]) =>
    onBench(<MishapDialog plan={plan} piece="glaze" of={null} parts={parts} onClose={() => {}} />, { job, plan });

  test('a part of which no cut is ticked is still to be made: it is written down, nothing is taken back', async () => {
    const { user, jobNow, store } = open([part.id]);
    await user.click(nth(screen.getAllByRole('button'), 0));
    await user.click(nth(screen.getAllByRole('button', { name: 'Cut wrong' }), 0));
    expect(told(jobNow(), 'mishap')).toMatchObject([{ how: 'cut wrong', part: part.id }]);
    expect(told(jobNow(), 'spoiled')).toEqual([]);
    expect(store.getState().view.message?.text).toMatch(/^Written down. No cut of .* was ticked, so the plan still/);
  });

  test('of no part it asks at once what went wrong, and keeps a word on it', async () => {
    const { user, jobNow, store } = open([]);
    expect(screen.queryByText('It is made anew')).toBeNull();
    await user.click(screen.getByText('A word on it, first'));
    type('What happened', 'The glue froze');
    await user.click(screen.getByRole('button', { name: 'Something else' }));
    expect(told(jobNow(), 'mishap')).toMatchObject([{ how: 'other', part: '', note: 'The glue froze' }]);
    expect(store.getState().view.message?.text).toBe('Written down in the Log.');
  });
});
