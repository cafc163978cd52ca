/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { jobUnderWay, standingEntries, sure, type EntryOf } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { MoistureDialog, UsedDialog } from './readings';
import { TimeDialog } from './TimeDialog';

afterEach(() => document.body.replaceChildren());

const job = jobUnderWay('2026-11-24');
const plan = planOnce(job);
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
function open(what: React.ReactNode) {
  const page = onBench(what, { job, path: '/jobs/demo/log' });
  const before = new Set(job.ledger.map(({ id }) => id));
  return {
    ...page,
    write: () => page.user.click(screen.getByRole('button', { name: 'Write it down' })),
    canWrite: () => !(screen.getByRole('button', { name: 'Write it down' }) as HTMLButtonElement).disabled,
    /** What stands in the ledger since. */
    written: () => standingEntries(page.jobNow().ledger).filter(({ id }) => !before.has(id)),
  };
}

describe('time worked, written down afterwards', () => {
  const dialog = () => open(<TimeDialog plan={plan} onClose={() => {}} />);

  test('on a step it is parted over what is done in it, as that was planned; all of it comes to what was said', async () => {
    const { user, write, written } = dialog();
    const { step } = sure(
      plan.pieces
        .flatMap(({ steps }) => steps.map((one) => ({ step: one })))
        .find(({ step: one }) => one.actions.length > 2),
      'step',
    );
    await user.click(screen.getByRole('combobox', { name: 'At what' }));
    await user.click(
      sure(
        screen.getAllByRole('option').find((one) => one.dataset['value'] === step.id),
        'its row',
      ),
    );
    type('Minutes', '90');
    await write();
    const rows = written() as readonly EntryOf<'timed'>[];
    expect(rows.length).toBeGreaterThan(1);
    expect(rows.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(90, 0);
    const [one] = rows;
    rows.forEach(({ minutes, planned, of }) => {
      expect(step.actions.map(({ id }) => id)).toContain(of);
      expect(minutes / planned).toBeCloseTo(one!.minutes / one!.planned, 1);
    });
  });

  test('on a kind of work it stands by itself, on the day that was said', async () => {
    const { user, write, written, canWrite } = dialog();
    expect(canWrite()).toBe(false);
    await user.click(screen.getByRole('combobox', { name: 'At what' }));
    await user.click(screen.getByRole('option', { name: 'sanding' }));
    type('On', '2026-11-21');
    type('Minutes', '35');
    await write();
    expect(written()).toMatchObject([
      {
        what: 'timed',
        of: '',
        piece: null,
        work: 'sand',
        planned: 0,
        minutes: 35,
        at: '2026-11-21T18:00',
        until: null,
      },
    ]);
  });

  test('more than a day, and nothing at all, is not written', () => {
    const { canWrite } = dialog();
    type('Minutes', '1500');
    expect(screen.getByRole('alert').textContent).toContain('from 1 to 1440');
    expect(canWrite()).toBe(false);
  });
});

describe('readings', () => {
  test('moisture is that of the wood of the job, never a simulated one', async () => {
    const { write, written, canWrite } = open(<MoistureDialog onClose={() => {}} />);
    type('The meter reads', '1');
    expect(canWrite()).toBe(false);
    type('The meter reads', '13.5');
    await write();
    expect(written()).toMatchObject([{ what: 'moisture', of: null, percent: 13.5, simulated: false }]);
  });

  test('what a can gave is set against what was planned of it', async () => {
    const { write, written } = open(<UsedDialog plan={plan} onClose={() => {}} />);
    type('Really used', '6.5');
    await write();
    const [used] = written() as readonly EntryOf<'used'>[];
    const need = sure(
      plan.needs.find(({ kind, size }) => kind === used!.kind && size === used!.size),
      'need',
    );
    expect(used).toMatchObject({ ounces: 6.5, planned: Math.round(10 * need.count) / 10 });
  });

  test('of a job without a can it is said so', () => {
    open(<UsedDialog plan={{ ...plan, needs: [] }} onClose={() => {}} />);
    expect(screen.getByText('This job takes nothing out of a can.')).toBeTruthy();
  });
});
