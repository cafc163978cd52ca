import { expect, goWithin, oneOfDemo, saved, test, violations, type Page } from './server';

/** A radio whose face is its words. */
const choose = (page: Page, name: string) => page.getByRole('radio', { name, exact: true }).click();

test('from “dark and wipeable” to steps, samples and a list in under a minute', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill, 'cart');
  await goWithin(page, `/jobs/${id}/finish`);
  await expect(page.getByRole('heading', { name: 'What should it be?' })).toBeVisible();
  const start = Date.now();
  await choose(page, 'dark');
  await choose(page, 'wiped clean');
  const order = page.getByRole('region', { name: 'Sittings' });
  await expect(order.getByRole('link', { name: 'Stain it' })).toBeVisible();
  await expect(order.getByRole('link', { name: 'Finish, coat 3 of 3' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Recipes' })).toContainText('offcut of board');
  const list = page.getByRole('region', { name: 'Amounts' });
  await expect(list.getByRole('row', { name: /^oil stain dark brown/ })).toBeVisible();
  await expect(list.getByRole('row', { name: /^conditioner/ })).toBeVisible();
  expect(Date.now() - start).toBeLessThan(60_000);
  // Insides of drawers are only sanded.
  await expect(page.getByLabel('Inside takes')).toContainText('sanded');
  await saved(page);

  // A step leads to its page of the build; the packet has the cards.
  await order.getByRole('link', { name: 'Stain it' }).click();
  await expect(page.getByRole('heading', { name: 'Stain it' })).toBeVisible();
  await expect(page.getByText(/Wipe off what is still wet after/).first()).toBeVisible();
  await page.getByRole('button', { name: 'At the bench' }).click();
  for (
    let press = 0;
    press < 4 && (await page.getByRole('button', { name: /It is wet: count/ }).count()) === 0;
    press++
  )
    await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: /It is wet: count 10 min/ }).click();
  await expect(page.getByRole('timer')).toHaveText(/^(10:00|9:5\d)$/);
  await page.getByRole('button', { name: 'Leave the bench' }).click();
  await goWithin(page, `/jobs/${id}/packet`);
  await expect(page.getByRole('heading', { name: 'Sample cards' }).first()).toBeVisible({ timeout: 30_000 });
});

test('a recipe is changed as a copy, one surface takes another, and a warning mends itself', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/finish?piece=glaze`);
  const recipes = page.getByRole('region', { name: 'Recipes' });
  await recipes.getByRole('button', { name: 'Change' }).first().click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Colour it' }).click();
  await dialog.getByRole('button', { name: 'Mix in another tone' }).click();
  await dialog.getByLabel('Name').fill('Nut and honey');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(recipes).toContainText('Nut and honey');
  await expect(recipes).toContainText('oil stain: 1 nut brown, 1 honey');
  // Pine drinks unevenly: the margin says so and puts conditioner first.
  await expect(page.getByText('Stain will blotch')).toBeVisible();
  await page.getByRole('button', { name: 'Conditioner first' }).click();
  await expect(page.getByText('Stain will blotch')).toBeHidden();
  await expect(page.getByRole('row', { name: /^conditioner/ })).toBeVisible();

  await page.getByLabel('Coats on Underside of the top').fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/coated 3 times above, 0 below/)).toBeVisible();
  await page.getByRole('button', { name: 'The same below' }).click();
  await expect(page.getByText(/coated 3 times above/)).toBeHidden();
  await saved(page);

  // Written once: the next job takes it.
  await goWithin(page, `/jobs/${await oneOfDemo(sill, 'bench')}/finish`);
  await page.getByRole('button', { name: 'From another job' }).click();
  const row = page.getByRole('dialog').getByRole('listitem').filter({ hasText: 'Nut and honey' }).first();
  await row.getByRole('button', { name: 'Take it' }).click();
  await expect(row.getByRole('button', { name: 'Is here' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByLabel('Top takes', { exact: true }).click();
  await page.getByRole('option', { name: 'Nut and honey' }).click();
  await expect(recipes).toContainText('Nut and honey');
  await saved(page);
});

test('when it is finished, in one click; and whether a coat may go on now', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/finish?piece=glaze`);
  await page.getByRole('button', { name: 'When to finish' }).click();
  const ways = page.getByRole('dialog');
  await expect(ways.getByRole('region', { name: 'Part by part' })).toContainText('ft', { timeout: 30_000 });
  expect(await violations(page)).toEqual([]);
  await ways.getByRole('region', { name: 'Part by part' }).getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('region', { name: 'Sittings' })).toContainText('Sand it');

  await page.getByRole('button', { name: 'Shop air' }).click();
  const air = page.getByRole('dialog');
  await air.getByLabel('Temperature').fill('-40');
  await expect(air.getByRole('alert')).toContainText('No shop reads so');
  await air.getByLabel('Temperature').fill('48');
  await expect(air.getByText(/warm the shop, the wood and the can/).first()).toBeVisible();
  await air.getByRole('button', { name: 'From the shop' }).click();
  await expect(air.getByText('simulated', { exact: true })).toBeVisible();
  expect(await violations(page)).toEqual([]);
});

test('legs apart, another recipe tried beside, one wins; a can from the rack is not bought', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  const cans = [{ id: 'c1', kind: 'finish', size: 'oil polyurethane', ounces: 200, since: '2026-05-02', note: '' }];
  const racks = await page.request.get('/api/racks');
  const [row] = (await racks.json()) as { revision: number; value: { pieces: unknown[] } }[];
  const kept = await page.request.put('/api/racks/rack', {
    data: { revision: row?.revision ?? 0, value: { pieces: row?.value.pieces ?? [], cans } },
  });
  expect(kept.ok()).toBe(true);

  await goWithin(page, `/jobs/${id}/finish?piece=glaze`);
  const list = page.getByRole('region', { name: 'Amounts' });
  await expect(list.getByRole('row', { name: /^oil polyurethane .* \d x/ })).toBeVisible();
  await page.getByRole('button', { name: 'Split Base, outside' }).click();
  // What is opened stays so while the plan is made anew.
  await page.getByLabel('Coats on Underside of the top').fill('2');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('combobox', { name: 'Base, outside: legs takes' }).click();
  await page.getByRole('option', { name: 'natural, wipeable', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Recipes' })).toContainText('Base, outside: legs');
  const tried = page.getByRole('region', { name: 'Tried beside' });
  await tried.getByRole('combobox', { name: 'Try another beside' }).fill('honey, wipe');
  await page.getByRole('option', { name: 'honey, wipeable', exact: true }).click();
  await expect(tried).toContainText('on the sample');
  await expect(page.getByRole('row', { name: /^oil stain honey/ })).toBeVisible();
  await tried.getByRole('button', { name: 'honey, wipeable wins' }).click();
  await page.getByLabel('Why not that one').fill('too pale by the window');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(tried).toContainText('lost: too pale by the window');
  await expect(page.getByRole('combobox', { name: 'Top takes', exact: true })).toContainText('honey, wipeable');

  await page.getByRole('button', { name: 'Use oil polyurethane here' }).click();
  await expect(list.getByRole('row', { name: /^oil polyurethane, from the rack/ })).toBeVisible();
  await expect(list.getByRole('row', { name: /^oil polyurethane .* \d x/ })).toBeHidden();
  await page.getByRole('button', { name: 'oil polyurethane to the rack' }).click();
  await expect(page.getByRole('list', { name: 'Cans on the rack' })).toContainText('good until May 2027');
  expect(await violations(page)).toEqual([]);
  await saved(page);
});
