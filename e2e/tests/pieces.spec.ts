import { copyOfDemo, expect, goWithin, oneOfDemo, saved, test, type Sill } from './server';

type SavedJob = {
  revision: number;
  job: {
    name: string;
    pieces: { id: string; name: string; copies: number }[];
    shop: { clamps: number };
    yard: { tax: number };
  };
};
const read = async (sill: Sill, id: string) => (await (await fetch(`${sill.url}/api/jobs/${id}`)).json()) as SavedJob;

test('pieces are added, copied by count, removed, and brought back', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/brief`);
  // What the piece adds is told against the plan before it.
  await expect(page.getByTestId('tally-spend')).toContainText('$');
  await page.getByRole('button', { name: '+ Add a piece' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /^Desk/ }).click();
  await expect(page.getByRole('tab', { name: 'Desk' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByLabel('long')).toHaveValue('52');

  const spend = page.getByTestId('tally-spend');
  const dollars = async () => Number((await spend.textContent())!.match(/\$([\d.]+)/)![1]);
  await expect(spend).toContainText('+$');
  const one = await dollars();
  await page.getByLabel('Copies').fill('3');
  await expect(page.getByRole('tab', { name: 'Desk ×3' })).toBeVisible();
  await expect.poll(dollars).toBeGreaterThan(one + 50);

  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Remove Desk' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('tab', { name: /Desk/ })).toHaveCount(0);
  await expect.poll(dollars).toBeLessThan(one);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('tab', { name: 'Desk ×3' })).toBeVisible();
  await expect(page.locator('.saved')).toHaveAttribute('data-state', 'saved');
  expect((await read(sill, id)).job.pieces.map((piece) => [piece.name, piece.copies])).toContainEqual(['Desk', 3]);
});

test('the last piece removed leaves an empty job that says what to do', async ({ page, sill }) => {
  const made = await fetch(`${sill.url}/api/jobs/demo`);
  const { job } = (await made.json()) as { job: { pieces: unknown[] } };
  const answer = await fetch(`${sill.url}/api/jobs`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ job: { ...job, name: 'Nothing yet', pieces: [] } }),
  });
  const { id } = (await answer.json()) as { id: string };
  await page.goto('/');
  for (const stage of ['brief', 'shape', 'parts', 'stock', 'cuts', 'joints', 'build', 'finish']) {
    await goWithin(page, `/jobs/${id}/${stage}`);
    await expect(page.getByRole('heading', { name: 'What are you making?' })).toBeVisible();
  }
  await goWithin(page, `/jobs/${id}/packet`);
  await expect(page.getByRole('heading', { name: 'There is nothing to print yet' })).toBeVisible();
  await goWithin(page, `/jobs/${id}/stock`);
  await page.getByRole('button', { name: 'Yards' }).click();
  await expect(page.getByLabel('Price of 2x4x8')).toHaveValue('4.36');
});

test('every tally explains itself; a remedy in the margin is one click; the buying list is saved as CSV that adds up', async ({
  warm: page,
  sill,
}, info) => {
  await goWithin(page, `/jobs/${await copyOfDemo(sill)}/brief`);
  for (const [name, words] of [
    ['Spend', /Tax at 6\.5 %/],
    ['To buy', /of 2×6×12/],
    ['Left over', /saw kerf, squared ends and offcuts/],
    ['Ready', /at the bench for one person/],
    ['Carry', /The heaviest piece/],
  ] as const) {
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await expect(page.getByRole('dialog', { name }).or(page.locator('.explain'))).toContainText(words);
    await page.keyboard.press('Escape');
    await expect(page.locator('.explain')).toHaveCount(0);
  }

  await page.getByRole('link', { name: /^Stock/ }).click();
  await expect(page.getByRole('heading', { name: '8 spare boards' })).toBeVisible();
  await page.getByRole('button', { name: 'Buy the exact count' }).click();
  await expect(page.getByTestId('tally-to-buy')).toContainText('no spares');
  await expect(page.getByRole('heading', { name: /spare boards/ })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('tally-to-buy')).toContainText('+8 spare');
  await saved(page);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const path = info.outputPath('list.csv');
  await file.saveAs(path);
  const { readFileSync } = await import('node:fs');
  const rows = readFileSync(path, 'utf8')
    .trim()
    .split(/\r?\n/)
    .map((line) => line.split(','));
  expect(rows[0]).toEqual(['yard', 'item', 'grade', 'count', 'each', 'total', 'of which spare']);
  const amounts = rows.slice(1, -1).map((row) => Math.round(Number(row[5]) * 100));
  const total = Math.round(Number(rows.at(-1)![5]) * 100);
  expect(amounts.reduce((sum, amount) => sum + amount, 0)).toBe(total);
  for (const row of rows.slice(1, -2))
    expect(Math.round(Number(row[3]) * Number(row[4]) * 100)).toBe(Math.round(Number(row[5]) * 100));
});

test('over budget stops: the stick counts it, the margin says by how much; digits typed in a field go to no stage', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/brief`);
  await page.getByLabel('Budget for everything').fill('100');
  await page.keyboard.press('3');
  await page.getByRole('link', { name: /^Stock, .*open notes?/ }).click();
  const total = Number(await page.getByTestId('list-total').textContent());
  await page.getByRole('link', { name: /^Brief/ }).click();
  await expect(page.getByLabel('Budget for everything')).toHaveValue('1003');
  await page.getByLabel('Budget for everything').fill('100');
  await page.getByRole('link', { name: /^Stock/ }).click();
  await expect(page.getByRole('heading', { name: `$${(total - 100).toFixed(2)} over budget` })).toBeVisible();
  await expect(page.locator('.bar')).toHaveAttribute('data-over', 'true');
});

test('the shop: fewer clamps change the steps; the usual shop is kept for new jobs', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/stock`);
  await page.getByRole('button', { name: 'My shop' }).click();
  await page.getByRole('button', { name: 'Take row 2 of clamps away' }).click();
  await page.getByLabel('Row 1 opens to').fill('30');
  await page.getByRole('button', { name: 'Keep as my usual shop' }).click();
  await expect(page.locator('.MuiSnackbar-root')).toContainText('New jobs start with it');
  await page.getByRole('link', { name: /^Build/ }).click();
  // The first step is samples: then legs are glued up.
  await page.getByRole('button', { name: 'Step 2', exact: true }).click();
  await expect(page.getByText(/1 at a time, 4 rounds/)).toBeVisible();

  await goWithin(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByLabel('Name of the job').fill('With my clamps');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page).toHaveURL(/\/brief/);
  const made = page.url().match(/jobs\/([^/]+)/)![1]!;
  expect((await read(sill, made)).job.shop.clamps).toEqual([{ length: 30 * 8128, count: 4 }]);
});

test('prices are kept in the yard and taken from it', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  const other = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/stock`);
  await page.getByRole('button', { name: 'Yards' }).click();
  await page.getByLabel('Sales tax').fill('7.25');
  await page.getByRole('button', { name: 'Keep these in the yard' }).click();
  await expect(page.locator('.MuiSnackbar-root')).toContainText('Kept in');
  await goWithin(page, `/jobs/${other}/stock`);
  await page.getByRole('button', { name: 'Yards' }).click();
  await expect(page.getByLabel('Sales tax')).toHaveValue('6.5');
  await page.getByRole('button', { name: 'Take the yard’s prices' }).click();
  await expect(page.getByLabel('Sales tax')).toHaveValue('7.25');
  await page.getByLabel('Price of 2x4x8').fill('lots');
  await expect(page.getByRole('alert').first()).toContainText('An amount from 0');
});

test.describe('with one thumb', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('notes come in a drawer, stages from the strip, bench mode by tapping; the sill follows a size', async ({
    page,
    sill,
  }) => {
    const id = await oneOfDemo(sill);
    await page.goto(`/jobs/${id}/stock`);
    await page.getByRole('button', { name: 'Notes' }).tap();
    await expect(page.getByRole('heading', { name: /^\d+ spare boards$/ })).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).tap();
    await page.getByRole('link', { name: /^Build/ }).tap();
    await page.getByRole('button', { name: 'At the bench' }).tap();
    const action = page.locator('.bench-action');
    const first = await action.textContent();
    await page.getByRole('button', { name: 'Done, next' }).tap();
    await expect(action).not.toHaveText(first!);
    await page.getByRole('button', { name: 'Leave the bench' }).tap();
    await expect(page.getByRole('checkbox').first()).toBeChecked();
    await page.getByRole('link', { name: /^Brief/ }).tap();
    await expect(page.getByTestId('tally-spend')).toContainText('$');
    await page.getByLabel('long').fill('80');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('tally-spend')).toContainText('+$');
  });
});

test('an address that is not there leads somewhere that is', async ({ page }) => {
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'Sill Plan' })).toBeVisible();
  await page.goto('/jobs/not-a-job/brief');
  await expect(page.getByRole('alert')).toContainText('There is no such job');
  await page.goto('/jobs/demo/sideways');
  await expect(page).toHaveURL(/brief/);
});
