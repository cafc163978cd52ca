import { copyOfDemo, expect, goWithin, oneOfDemo, saved, test, type Page } from './server';

const spend = async (page: Page) =>
  Number((await page.getByTestId('tally-spend').textContent())!.match(/\$([\d.]+)/)![1]);

/** Takes an option of a field that opens a list. */
async function pick(page: Page, field: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: field }).first().click();
  await page.getByRole('option', { name: option }).click();
}

test('another wood: its boards on the list, its options in its sizes, planed thinner, and back', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/shape`);
  const before = await spend(page);
  await pick(page, 'Made of', 'Poplar boards');
  await page.getByRole('radio', { name: '1× boards' }).check();
  await page.getByRole('radio', { name: 'four 1×4, glued' }).check();
  await expect.poll(() => spend(page)).not.toBe(before);
  await page.getByLabel('Planed off each face').fill('1/16');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Nothing here planes boards')).toHaveCount(0);
  await page.getByRole('link', { name: /^Stock/ }).click();
  await expect(page.getByText('Nothing here planes boards')).toBeVisible();
  await page.getByRole('link', { name: /^Parts/ }).click();
  await expect(page.getByRole('table').first()).toContainText('1×6 poplar');
  await page.getByRole('link', { name: /^Shape/ }).click();
  await pick(page, 'Made of', /^Dressed pine, Australia/);
  await expect(page.getByText('four 90×19, glued')).toBeVisible();
  await expect(page.getByText('two 90×45, glued')).toBeVisible();
  await saved(page);
});

test('a second yard, metric: each board where it is sold, each yard with its own tax', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await copyOfDemo(sill)}/shape`);
  const bench = page.getByRole('tab', { name: 'Window bench' });
  await bench.click();
  // Until it is chosen the fields are those of the piece before, and a list that opens closes with them.
  await expect(bench).toHaveAttribute('aria-selected', 'true');
  await pick(page, 'Made of', 'Dressed pine, Australia and New Zealand');
  await page.getByRole('link', { name: /^Stock/ }).click();
  await expect(page.getByText('No yard of yours sells these boards')).toBeVisible();
  await page.getByRole('button', { name: 'Yards' }).click();
  await pick(page, 'And at another yard', /Fern Gully/);
  await expect(page.getByLabel('Also buy at')).toBeVisible();
  await page.getByRole('button', { name: 'To buy', exact: true }).click();
  const list = page.getByTestId('buying-list');
  await expect(list.getByRole('rowheader')).toHaveText([/Tansy Lane/, /Fern Gully/]);
  await expect(list).toContainText(/×45×\d(\.\d)? m pine/);
  await expect(list).toContainText('tax at 6.5 % and 10 %');
  await page.getByRole('button', { name: 'Yards' }).click();
  await page.getByRole('button', { name: /Fern Gully/ }).click();

  const form = page.getByRole('form', { name: 'Add a row' });
  await form.getByLabel('Board').fill('140x45 pine');
  await form.getByLabel('Length').fill('far');
  await form.getByLabel('Price').fill('20');
  await form.getByRole('button', { name: 'Add' }).click();
  await expect(form.getByRole('alert')).toContainText('Write metres');
  await form.getByLabel('Length').fill('2.7');
  await form.getByRole('button', { name: 'Add' }).click();
  await page.getByLabel('Find in boards').fill('2.7 m');
  await expect(page.getByLabel('Price of anz-2x6x2.7')).toHaveValue('20');
  await page.getByRole('button', { name: 'Do not buy there' }).click();
  await page.getByRole('button', { name: 'To buy', exact: true }).click();
  await expect(list.getByRole('rowheader')).toHaveCount(0);
});

test('boards measured today: parts follow, and go back to what is sold', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/stock?tab=hand`);
  const wide = page.getByLabel('2×4 is wide');
  await wide.fill('3 7/16');
  await page.keyboard.press('Tab');
  await page.getByRole('link', { name: /^Parts/ }).click();
  await expect(page.getByRole('row', { name: /^A1/ })).toContainText('3 7/16');
  await page.getByRole('link', { name: /^Stock/ }).click();
  await page.getByRole('button', { name: 'On hand' }).click();
  await page.getByRole('button', { name: 'As sold' }).click();
  await expect(wide).toHaveValue('3 ½');
});

test('a shop without a clamp that opens over the top is told what to do', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/shape`);
  await page.getByRole('radio', { name: 'glue alone' }).check();
  await page.getByRole('link', { name: /^Stock/ }).click();
  await page.getByRole('button', { name: 'My shop' }).click();
  await page.getByRole('button', { name: 'Take row 2 of clamps away' }).click();
  await expect(page.getByLabel('Clamps, row 2')).toHaveCount(0);
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(page.getByText(/No clamp opens/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Hold it by pocket screws' }).click();
  await expect(page.getByText(/No clamp opens/)).toHaveCount(0);
});
