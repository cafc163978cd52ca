/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { demoJob, familyOf, inches, topOf } from '@sill/core';
import { onBench } from '../../testing/bench';
import { usePiece } from '../../state/hooks';
import { Choices } from './Choices';
import { Wood } from './Wood';

function Chosen() {
  return <Choices piece={usePiece()!} topNominal={null} />;
}
function Finished() {
  return <Wood piece={usePiece()!} />;
}

afterEach(() => document.body.replaceChildren());

test('every choice of the family and the top is in view, what is taken is marked', () => {
  const piece = demoJob().pieces.find(({ id }) => id === 'glaze')!;
  onBench(<Chosen />, { path: '/jobs/demo/shape?piece=glaze' });
  const groups = screen.getAllByRole('group').filter((one) => within(one).queryAllByRole('radio').length > 0);
  const told = [familyOf(piece).choices, topOf(piece)!.choices].flatMap((specs) =>
    Object.values(specs).filter((spec) => 'options' in spec),
  );
  expect(groups.length).toBeGreaterThanOrEqual(told.length);
  for (const one of groups)
    expect(
      within(one)
        .getAllByRole<HTMLInputElement>('radio')
        .filter(({ checked }) => checked),
    ).toHaveLength(1);
});

test('another choice changes that one thing of the piece, and nothing else', async () => {
  const { user, jobNow } = onBench(<Chosen />, { path: '/jobs/demo/shape?piece=glaze' });
  const before = jobNow().pieces.find(({ id }) => id === 'glaze')!;
  const free = screen
    .getAllByRole<HTMLInputElement>('radio')
    .find(({ checked, disabled, name }) => !checked && !disabled && name !== '')!;
  await user.click(free);
  const after = jobNow().pieces.find(({ id }) => id === 'glaze')!;
  const differ = (a: object, b: object) =>
    Object.keys({ ...a, ...b }).filter((key) => a[key as never] !== b[key as never]);
  expect(differ(before.choices, after.choices).length + differ(before.topChoices, after.topChoices).length).toBe(1);
  expect({ ...after, choices: 0, topChoices: 0 }).toEqual({ ...before, choices: 0, topChoices: 0 });
  expect(jobNow().pieces.filter(({ id }) => id !== 'glaze')).toEqual(
    demoJob().pieces.filter(({ id }) => id !== 'glaze'),
  );
});

test('wood is chosen by its name; the job follows', async () => {
  const { user, jobNow } = onBench(<Finished />, { path: '/jobs/demo/shape?piece=glaze' });
  const box = screen.getByRole('combobox', { name: 'Made of' });
  await user.click(box);
  const options = screen.getAllByRole('option');
  const other = options.find(
    (one) => one.getAttribute('aria-selected') !== 'true' && !one.getAttribute('aria-disabled'),
  )!;
  await user.click(other);
  expect(jobNow().pieces.find(({ id }) => id === 'glaze')!.wood).not.toBe(
    demoJob().pieces.find(({ id }) => id === 'glaze')!.wood,
  );
});

test('boards may be planed for the top alone; it is asked only once some are', async () => {
  const { user, jobNow } = onBench(<Finished />, { path: '/jobs/demo/shape?piece=glaze' });
  const glaze = () => jobNow().pieces.find(({ id }) => id === 'glaze')!;
  expect(screen.queryByRole('radio', { name: 'those of the top' })).toBeNull();
  const field = screen.getByLabelText('Planed off each face');
  await user.clear(field);
  await user.type(field, '1/16{Enter}');
  await user.click(screen.getByRole('radio', { name: 'those of the top' }));
  expect([glaze().planed, glaze().planedFor]).toEqual([inches(1 / 16), 'top']);
});
