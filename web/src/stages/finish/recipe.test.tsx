/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { applyChanges, demoJob, READY, sure, type Change, type Job, type Recipe } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { RecipeDialog } from './RecipeDialog';

afterEach(() => document.body.replaceChildren());

const demo = demoJob();
const piece = sure(demo.pieces[0], 'piece');
const ready = (id: string): Recipe =>
  sure(
    READY.find((one) => one.id === id),
    id,
  );

/** The dialog of a recipe: what it keeps, and the recipe that the job has after. */
function open(recipe: Recipe, job: Job = demo) {
  const kept: Change[] = [];
  const page = onBench(
    <RecipeDialog
      job={job}
      piece={piece}
      recipe={recipe}
      onKeep={(changes) => kept.push(...changes)}
      onClose={() => {}}
    />,
    { plan: planOnce(demo) },
  );
  const click = (name: string | RegExp) => page.user.click(screen.getByRole('button', { name }));
  const pick = async (label: string, option: string, at = 0) => {
    await page.user.click(screen.getAllByRole('combobox', { name: label })[at]!);
    await page.user.click(screen.getByRole('option', { name: option }));
  };
  const type = (label: string, value: string, at = 0) =>
    fireEvent.change(screen.getAllByLabelText(label)[at]!, { target: { value } });
  const result = async (): Promise<Recipe> => {
    await click('Keep it');
    return sure(applyChanges(job, kept).recipes.at(-1), 'recipe');
  };
  return { ...page, kept, click, pick, type, result };
}

test('colours are mixed of tones in parts, one over another, and left out again', async () => {
  const { click, pick, type, result } = open(ready('natural.wipeable'));
  await click('Colour it');
  await click('Mix in another tone');
  await pick('Tone', 'dark brown', 1);
  type('Parts', '3', 1);
  await click('Another colour over it');
  type('Wiped after', '25', 1);
  expect((await result()).colours).toEqual([
    {
      product: 'oil stain',
      leave: 10,
      mix: [
        { tone: 'nut brown', parts: 1 },
        { tone: 'dark brown', parts: 3 },
      ],
    },
    {
      product: 'oil stain',
      leave: 25,
      mix: [
        { tone: 'nut brown', parts: 1 },
        { tone: 'dark brown', parts: 3 },
      ],
    },
  ]);
});

test('no more than three colours, no more than four tones; numbers out of range are told and not kept', async () => {
  const { user, click, type, result } = open(ready('natural.wipeable'));
  for (const name of ['Colour it', 'Another colour over it', 'Another colour over it']) await click(name);
  expect(screen.queryByRole('button', { name: /Another colour/ })).toBeNull();
  for (let more = 0; more < 2; more++) await user.click(screen.getAllByRole('button', { name: 'Leave it out' })[0]!);
  for (let tones = 1; tones < 4; tones++) await click('Mix in another tone');
  expect(screen.queryByRole('button', { name: 'Mix in another tone' })).toBeNull();
  type('Parts', '21');
  expect(screen.getByRole('alert').textContent).toContain('from 1 to 20');
  const { colours } = await result();
  expect(colours.map(({ mix }) => mix.map(({ parts }) => parts))).toEqual([[1, 1, 1, 1]]);
});

test('without a cover there are no coats; another cover brings its own count and what it is put on with', async () => {
  const { pick, result } = open(ready('natural.wipeable'));
  await pick('Covered with', 'nothing');
  expect(screen.queryByLabelText('Coats')).toBeNull();
  await pick('Covered with', 'enamel');
  await pick('Put on with', 'roller');
  await pick('Tone', 'white');
  const { coat, coats, by, tone } = await result();
  expect({ coat, by, tone }).toEqual({ coat: 'enamel', by: 'roller', tone: 'white' });
  expect(coats).toBeGreaterThan(0);
});

test('one that is ready is kept as a copy; one of the job’s own is changed where it stands', async () => {
  const first = open(ready('dark.wipeable'));
  expect(screen.getByText(/the one that is ready stays as it is/)).toBeTruthy();
  first.type('What its sample said', 'a shade too red');
  const own = await first.result();
  expect(own).toMatchObject({ note: 'a shade too red', colours: ready('dark.wipeable').colours });
  expect(READY.some(({ id }) => id === own.id)).toBe(false);
  first.unmount();

  const job = { ...demo, recipes: [own] };
  const second = open(own, job);
  expect(screen.getByText('It changes wherever this job takes it.')).toBeTruthy();
  await second.user.click(screen.getByRole('checkbox', { name: /^Edges rubbed through/ }));
  await second.click('Keep it');
  const { recipes } = applyChanges(job, second.kept);
  expect(recipes).toEqual([{ ...own, rubbed: true }]);
});

test('left, nothing is kept; a name that is cleared is asked for, and the last one stays', async () => {
  const first = open(ready('natural.wipeable'));
  first.type('Name', '');
  expect(screen.getByText('A name is needed.')).toBeTruthy();
  await first.click('Leave it');
  expect(first.kept).toEqual([]);
  first.unmount();

  const second = open(ready('natural.wipeable'));
  second.type('Name', 'Clear');
  second.type('Name', ' ');
  expect((await second.result()).name).toBe('Clear');
});
