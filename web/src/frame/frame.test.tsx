/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { applyChanges, demoJob, inches, set } from '@sill/core';
import { onBench } from '../testing/bench';
import { ConflictDialog } from './ConflictDialog';
import { NoteFor } from '../stages/shared/NoteFor';
import { Margin } from './Margin';
import { Stick } from './Stick';
import { settledMark } from '../state/useSettle';
import { changed, conflicted } from '../state/bench';

// The sill and the header reach for workers and files; the browser tests go through them.

describe('the stick', () => {
  test('has every stage in order, keeps the piece in view, marks where you are', () => {
    onBench(<Stick />, { path: '/jobs/demo/shape?piece=bench' });
    const links = screen.getAllByRole<HTMLAnchorElement>('link');
    expect(links.map((link) => link.textContent!.replace(/\d.*$/, ''))).toEqual([
      'Brief',
      'Shape',
      'Parts',
      'Stock',
      'Cuts',
      'Joints',
      'Build',
      'Finish',
      'Days',
      'Log',
    ]);
    expect(links[3]!.getAttribute('href')).toBe('/jobs/demo/stock?piece=bench');
    expect(links[1]!.closest('li')!.dataset['here']).toBe('true');
  });

  test('tells settled stages and open notes in words', () => {
    const job = { ...demoJob(), done: [settledMark('brief')] };
    onBench(<Stick />, { job });
    expect(screen.getByRole('link', { name: 'Brief, settled' })).toBeTruthy();
    expect(screen.getByRole('link', { name: /^Stock, 2 open notes$/ })).toBeTruthy();
  });
});

describe('the margin', () => {
  test('notes are numbered, those that stop first, each with its reason', () => {
    const job = applyChanges(demoJob(), [set(null, ['budget'], 5000)]);
    onBench(<Margin />, { job, path: '/jobs/demo/stock' });
    const notes = screen.getAllByRole('listitem');
    expect(within(notes[0]!).getByRole('img').getAttribute('aria-label')).toBe('note 1, stop');
    expect(within(notes[0]!).getByRole('heading').textContent).toMatch(/over budget$/);
    expect(notes.map((note) => within(note).getByRole('img').textContent)).toEqual(
      notes.map((_, at) => String(at + 1)),
    );
  });

  test('a remedy changes the job by one click', () => {
    const { jobNow } = onBench(<Margin />, { path: '/jobs/demo/stock' });
    fireEvent.click(screen.getByRole('button', { name: 'Buy the exact count' }));
    expect(jobNow().spares).toBe('none');
  });

  test('where there is nothing it says so, and the last word stands under all', () => {
    onBench(<Margin />, { path: '/jobs/demo/parts' });
    expect(screen.getByText('Nothing to note here.')).toBeTruthy();
    expect(screen.getByText(/Local codes, the tool’s manual and the product’s label come first/)).toBeTruthy();
  });

  test('a note’s number stands beside what it is about, and nowhere without one', () => {
    const { container } = onBench(
      <>
        <NoteFor kind="movement" />
        <NoteFor kind="treated" />
      </>,
    );
    expect(container.querySelectorAll('.note-mark')).toHaveLength(1);
  });
});

describe('changed in another tab', () => {
  const theirs = {
    id: 'demo',
    revision: 7,
    savedAt: '2026-11-24T12:00:00Z',
    job: applyChanges(demoJob(), [
      set('glaze', ['size', 'length'], inches(72)),
      set('glaze', ['size', 'width'], inches(31)),
    ]),
  };
  /** Here the length was made 66 and the job renamed; there the length 72 and the width 31. */
  const told = () => {
    const bench = onBench(<ConflictDialog />);
    act(() => {
      bench.store.dispatch(changed([set('glaze', ['size', 'length'], inches(66)), set(null, ['name'], 'Mine')]));
      bench.store.dispatch(conflicted(theirs));
    });
    return bench;
  };

  test('shows the one place that both changed, with both values', async () => {
    told();
    const dialog = await screen.findByRole('dialog');
    const rows = within(dialog).getAllByRole('row').slice(1);
    expect(rows.map((row) => row.textContent)).toEqual(['Glaze table: length66"72"']);
    expect(dialog.textContent).toContain('one thing is not the same');
  });

  test('the chosen value is taken, and all else of both', async () => {
    const first = told();
    fireEvent.click(await screen.findByRole('radio', { name: 'Glaze table: length: the other' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep these' }));
    expect(first.jobNow().pieces[0]!.size).toMatchObject({ length: inches(72), width: inches(31) });
    expect(first.jobNow().name).toBe('Mine');
    expect(first.store.getState().bench).toMatchObject({ revision: 7, conflict: null, saving: 'waiting' });
    first.unmount();
    const second = told();
    fireEvent.click(await screen.findByRole('button', { name: 'Keep these' }));
    expect(second.jobNow().pieces[0]!.size).toMatchObject({ length: inches(66), width: inches(31) });
  });
});
