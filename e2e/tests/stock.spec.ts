import { copyOfDemo, expect, goWithin, oneOfDemo, saved, test, type Page } from './server';

const spend = async (page: Page) =>
  Number((await page.getByTestId('tally-spend').textContent())!.match(/\$([\d.]+)/)![1]);
const signed = (text: string) =>
  Number(
    text
      .replace('−', '-')
      .match(/[-+]\$?[\d.]+/)![0]
      .replace('$', ''),
  );

test('what an inch costs: sizes are tried with the arrow keys, taken, and cost what it said', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/shape`);
  const chart = page.getByRole('slider', { name: 'Try another length' });
  await expect(page.getByText(/Working out other sizes/)).toHaveCount(0, { timeout: 40_000 });
  await expect(chart).toHaveAttribute('aria-valuetext', /^64: \$/);
  const before = await spend(page);
  await chart.focus();
  for (let at = 0; at < 5; at++) await page.keyboard.press('ArrowLeft');
  const take = page.getByRole('button', { name: /^Make it/ });
  const told = signed((await take.textContent())!);
  expect(told).toBeLessThan(0);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('long')).not.toHaveValue('64');
  await expect.poll(async () => Number((await spend(page)).toFixed(2))).toBe(Number((before + told).toFixed(2)));
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('long')).toHaveValue('64');
});

test('what would save most: one click, exactly what it said, undo', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/stock`);
  const savings = page.getByRole('region', { name: 'What would save most' });
  await expect(savings).toContainText('Undo takes it back', { timeout: 50_000 });
  const before = await spend(page);
  const best = savings.getByRole('listitem').first();
  const told = signed((await best.getByRole('button').textContent())!);
  await best.getByRole('button').click();
  await expect.poll(async () => Number((await spend(page)).toFixed(2))).toBe(Number((before + told).toFixed(2)));
  await page.keyboard.press('Control+z');
  await expect.poll(() => spend(page)).toBe(before);
});

test('yards: another list, today’s prices, history, and a file with bad rows that names each', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/stock`);
  const before = await spend(page);
  await page.getByRole('button', { name: 'Yards' }).click();
  await page.getByLabel('Buy at').click();
  await page.getByRole('option', { name: /Weir Street/ }).click();
  await expect.poll(() => spend(page)).not.toBe(before);
  await page.getByRole('button', { name: 'Today’s prices' }).click();
  await expect(page.locator('.MuiSnackbar-root')).toContainText(/Prices of .* taken from Weir Street/);
  await page.getByLabel('Find in boards').fill('2×6×12');
  await page.getByRole('button', { name: '2×6×12', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Price history' })).toContainText(/in half a year/);

  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import CSV' }).click(),
  ]);
  const rows = [
    'kind,size,length,width,price,per,in stock',
    'board,2x6,12,,1.00,board foot,yes',
    'board,2x7,12,,9.00,,yes',
    'sheet,3/4 plywood,96,48,cheap,,yes',
  ];
  await chooser.setFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('1 row is right, 2 not');
  await expect(dialog).toContainText('Row 3. “2x7” is no board');
  await expect(dialog).toContainText('Row 4. The price “cheap”');
  await expect(page.getByLabel('Price of 2x6x12', { exact: true })).not.toHaveValue('12');
  await dialog.getByRole('button', { name: 'Take 1 row' }).click();
  // A new grade, so a row of its own: 2 x 6 x 12 / 12 = 12 board feet at a dollar.
  await expect(page.getByLabel('Price of 2x6x12-2', { exact: true })).toHaveValue('12');
  await saved(page);
});

test('on hand: entered in a line, used first, put on the rack and taken by another job', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await copyOfDemo(sill)}/stock`);
  const before = await spend(page);
  await page.getByRole('button', { name: 'On hand' }).click();
  const entry = page.getByLabel('What lies there');
  await entry.fill('two by four 41');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('no board or sheet');
  await entry.fill('2x4 61, split last 3, under the stairs');
  await page.keyboard.press('Enter');
  const row = page.getByRole('table', { name: 'On hand for this job' }).getByRole('row', { name: /^2×4 61/ });
  await expect(row).toContainText('58 to 61');
  await expect(row).toContainText(/G-|WI-/);
  await expect.poll(() => spend(page)).toBeLessThan(before);
  await expect(page.getByText('On hand goes first')).toBeVisible();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    row.getByRole('button', { name: 'Photo' }).click(),
  ]);
  const pixel = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';
  await chooser.setFiles({ name: 'board.png', mimeType: 'image/png', buffer: Buffer.from(pixel, 'base64') });
  const photo = row.getByRole('img', { name: /^How 2×4 61/ });
  await expect(photo).toBeVisible();
  expect(await photo.evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth))).toBe(1);
  await row.getByRole('button', { name: 'To the rack' }).click();
  await expect(page.locator('.MuiSnackbar-root')).toContainText('lies on the rack now');
  await expect.poll(() => spend(page)).toBe(before);
  await saved(page);

  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/stock`);
  await page.getByRole('button', { name: 'On hand' }).click();
  await page.getByRole('table', { name: 'On the rack' }).getByRole('button', { name: 'Use it here' }).click();
  await expect(page.getByRole('table', { name: 'On hand for this job' })).toContainText('2×4 61');
  await expect(page.getByText('Empty. What a job leaves over')).toBeVisible();
});

test.describe('at the yard, with one thumb', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('keep, reject, a bad stretch, none left; ticks outlive the signal', async ({ page, sill }) => {
    const id = await oneOfDemo(sill);
    await page.goto(`/jobs/${id}/stock`);
    await page.getByRole('button', { name: 'Go to the yard' }).tap();
    const active = page.locator('.yard-active');
    await expect(active).toContainText(/Simulated reading\. Board \d+ in the rack/);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const cart = page.getByTestId('in-cart');
    await expect(cart).toHaveText(/^0 of/);
    await active.getByRole('button', { name: 'Reject' }).tap();
    await active.getByRole('button', { name: 'Keep' }).tap();
    await expect(cart).toHaveText(/^1 of/);

    await active.getByRole('button', { name: 'Bad stretch' }).tap();
    await active.getByLabel('Bad from').fill('30');
    await active.getByLabel('to', { exact: true }).fill('33');
    await active.getByRole('button', { name: 'Keep it so' }).tap();
    await expect(page.getByText('in the cart, with a bad stretch')).toBeVisible();
    await expect(cart).toHaveText(/^2 of/);

    const spent = page.locator('.yard-sill');
    // What is promised is told from the plan with the bad stretch in it.
    await expect(spent).toHaveAttribute('aria-busy', 'false');
    const before = Number((await spent.textContent())!.match(/\$([\d.]+)/)![1]);
    await active.getByRole('button', { name: 'None left' }).tap();
    const instead = active.getByRole('button', { name: /Take the best/ });
    const words = (await instead.textContent())!;
    const told = before + signed(words);
    await instead.tap();
    // What was promised is what it comes to, or, where a search was still under way, the most.
    const now = async () => Number((await spent.textContent())!.match(/\$([\d.]+)/)![1]);
    if (words.includes('at most')) await expect.poll(now).toBeLessThanOrEqual(told + 0.005);
    else await expect.poll(now).toBeCloseTo(told, 2);

    await sill.kill();
    await active.getByRole('button', { name: 'Keep' }).tap();
    await expect(page.getByText('no signal · ticks kept')).toBeVisible();
    await expect(cart).toHaveText(/^3 of/);
    await sill.start();
    await page.reload();
    await expect(page.getByTestId('in-cart')).toHaveText(/^3 of/);
  });
});
