import { expect, goWithin, oneOfDemo, saved, test } from './server';

test('a newcomer has a priced buying list in under two minutes and no more than twelve inputs', async ({ page }) => {
  const start = Date.now();
  let inputs = 0;
  const click = async (name: RegExp | string, role: 'button' | 'link' = 'button') => {
    inputs++;
    await page.getByRole(role, { name }).first().click();
  };
  const type = async (label: string, value: string) => {
    inputs++;
    await page.getByLabel(label, { exact: true }).fill(value);
    await page.keyboard.press('Enter');
  };

  await page.goto('/');
  await click('New job');
  await type('Name of the job', 'Potting shed');
  await expect(page.getByRole('heading', { name: 'What are you making?' })).toBeVisible();
  await click(/^Standing work table/);
  await type('long', '5\' 4"');
  await type('wide', '2 ft 6 1/2');
  await type('high', '36 - 1/2');
  await type('Budget for everything', '240');
  await click(/^Stock/, 'link');

  const total = page.getByTestId('list-total');
  await expect(total).toHaveText(/^\d+\.\d\d$/);
  const amount = Number(await total.textContent());
  expect(amount).toBeGreaterThan(50);
  await expect(page.getByTestId('tally-spend')).toContainText(`$${amount.toFixed(2)}`);
  await expect(page.getByTestId('tally-spend')).toContainText('of $240');
  expect(inputs).toBeLessThanOrEqual(12);
  expect(Date.now() - start).toBeLessThan(120_000);
  await saved(page);

  // The rest of the way: every stage has something to say about this table.
  await page.getByRole('link', { name: /^Parts/ }).click();
  await expect(page.getByRole('row', { name: /T1 top board/ })).toContainText('64');
  await page.getByRole('link', { name: /^Cuts/ }).click();
  await expect(page.locator('svg.board').first()).toBeVisible();
  await page.getByRole('link', { name: /^Joints/ }).click();
  await expect(page.getByRole('heading', { name: 'Rail ends' })).toBeVisible();
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(page.getByRole('heading', { name: 'Glue up the legs L1 to L4' })).toBeVisible();
  await page.getByRole('button', { name: 'Print shop packet' }).click();
  await expect(page.getByRole('heading', { name: 'Buying list' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Buying list' })).toBeVisible();
});

test('bad sizes are told and the last good one stays; a changed one moves the tallies, undo brings them back', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/brief`);
  const long = page.getByLabel('long');
  for (const [typed, message] of [
    ['0', 'It must be more than 0.'],
    ['-4', 'It must be more than 0.'],
    ['wide', 'is not a length'],
    ['9999999', 'longer than 100 m'],
    ['12 14', 'two lengths side by side'],
  ] as const) {
    await long.fill(typed);
    await expect(page.getByRole('alert')).toContainText(message);
    await page.keyboard.press('Enter');
    await expect(long).toHaveAttribute('data-length', String(64 * 8128));
  }
  await page.keyboard.press('Escape');
  await expect(long).toHaveValue('64');

  const spend = page.getByTestId('tally-spend');
  await expect(spend).toContainText('$');
  const before = (await spend.textContent())!.match(/\$[\d.]+/)![0];
  await long.fill('84');
  await page.keyboard.press('Enter');
  await expect(spend).toContainText(/\+\$\d+\.\d\d/);
  const after = (await spend.textContent())!.match(/\$[\d.]+/)![0];
  const moved = (await spend.textContent())!.match(/\+\$([\d.]+)/)![1]!;
  expect(Number(after.slice(1)) - Number(before.slice(1))).toBeCloseTo(Number(moved), 2);
  await long.blur();
  await page.keyboard.press('Control+z');
  await expect(spend).toContainText(before);
  await expect(long).toHaveValue('64');
  await page.keyboard.press('Control+y');
  await expect(long).toHaveValue('84');
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
});

test('a top option costs what it said; what is out of stock is not on the list', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/stock`);
  const row = page.getByRole('row', { name: /of 2×4 at/ });
  const told = Number((await row.getByRole('cell').nth(2).textContent())!);
  await row.getByRole('button').click();
  await expect(row).toContainText('chosen');
  await expect(page.getByTestId('list-total')).toHaveText(told.toFixed(2));
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('row', { name: /of 2×6 at/ })).toContainText('chosen');

  const total = async () => Number(await page.getByTestId('list-total').textContent());
  const before = await total();
  await page.getByRole('button', { name: 'Yards' }).click();
  await page.getByLabel('2x6x12 in stock', { exact: true }).uncheck();
  await page.getByRole('button', { name: 'To buy', exact: true }).click();
  await expect(page.getByTestId('buying-list')).not.toContainText('2×6×12');
  expect(await total()).toBeGreaterThanOrEqual(before);
  await saved(page);
});

test('notes offer the fix: an impossible height is told and put right in one click', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill, 'bench')}/shape`);
  await page.getByLabel('high').fill('1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Lower than its top is thick');
  await page
    .getByRole('alert')
    .getByRole('button', { name: /^Make it/ })
    .click();
  await expect(page.getByText('Lower than its top is thick')).toHaveCount(0);
  // So low, its stretcher is among the aprons: the next way out.
  await page
    .getByRole('alert')
    .getByRole('button', { name: /^(Put it at|Make it)/ })
    .first()
    .click();
  await expect(page.locator('.model')).toBeVisible();
  for (let back = 0; back < 3; back++) await page.keyboard.press('Control+z');
  await expect(page.getByLabel('high')).toHaveValue('18');
  await saved(page);
});
