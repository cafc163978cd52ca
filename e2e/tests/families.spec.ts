import { readFileSync } from 'node:fs';
import { newJob, newPiece } from '@sill/core';
import { expect, goWithin, made, oneOfDemo, saved, test, violations, type Page } from './server';

const download = async (page: Page, name: string) => {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name, exact: true }).click(),
  ]);
  return { name: file.suggestedFilename(), text: readFileSync((await file.path())!) };
};

test('the gallery has every kind drawn; any of them becomes a piece with parts, boards and steps', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/shape`);
  await page.getByRole('button', { name: '+ Add a piece' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('.card')).toHaveCount(23);
  for (const card of await dialog.locator('.card').all())
    await expect(card.locator('path.face').first()).toBeAttached();
  expect(await violations(page)).toEqual([]);
  await dialog.getByRole('button', { name: /^Round pedestal table/ }).click();
  await expect(page.getByRole('tab', { name: 'Round pedestal table' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByText('Pedestal · round, from boards')).toBeVisible();
  await page.getByRole('group', { name: 'Top boards' }).getByRole('radio', { name: '2×6', exact: true }).check();
  await expect(page.getByRole('heading', { name: 'Round saves 42 of board' })).toBeVisible();
  await page.getByRole('link', { name: /^Parts/ }).click();
  await expect(page.getByRole('row', { name: /^T1 / })).toContainText('27 25/32');
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(page.getByRole('heading', { name: /Glue up the posts/ })).toBeVisible();
  await saved(page);
});

test('another family, another top: choices that both have stay, what can not be says why', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/shape`);
  await page.getByLabel('Overhang, ends').fill('7');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Change family' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^X frame/ })
    .click();
  await expect(page.getByText('X frame · joined boards')).toBeVisible();
  await expect(page.getByLabel('Overhang, ends')).toHaveValue('7');
  await page.getByRole('button', { name: 'Change top' }).click();
  const dialog = page.getByRole('dialog');
  expect(await violations(page)).toEqual([]);
  await dialog.getByRole('button', { name: /^Planks over plywood/ }).click();
  await expect(page.getByLabel('Plank length')).toBeVisible();
  await page.getByRole('button', { name: 'Change family' }).click();
  const hopeless = dialog.getByRole('button', { name: /^Pedestal/ });
  await expect(hopeless).toBeDisabled();
  await expect(hopeless).toContainText('too long for its width');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Four legs and aprons · joined boards')).toBeVisible();
  await saved(page);
});

test('the model: keys turn it and step through its parts; cut open, seen through, tagged, opened; saved as PNG and glTF', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill, 'cart')}/shape`);
  const space = page.getByRole('group', { name: /Drawer cart in space/ });
  await expect(space.locator('canvas')).toBeVisible();
  const picture = async () => (await space.locator('canvas').screenshot()).toString('base64');
  const differs = async (act: () => Promise<void>) => {
    const before = await picture();
    await act();
    await expect.poll(picture).not.toBe(before);
  };
  await page.waitForTimeout(500);
  await space.focus();
  await differs(() => page.keyboard.press('ArrowRight'));
  await differs(() => page.keyboard.press('+'));
  await page.keyboard.press(']');
  await expect(space.locator('.picked')).toContainText('left side');
  await page.keyboard.press('[');
  await page.keyboard.press('Escape');
  await expect(space.locator('.picked')).toHaveCount(0);
  await differs(() => page.getByRole('button', { name: 'cut across' }).click());
  await expect(page.getByRole('slider', { name: 'where' })).toBeVisible();
  await differs(() => page.getByRole('button', { name: 'whole' }).click());
  await differs(() => page.getByRole('button', { name: 'see through' }).click());
  await page.getByRole('button', { name: 'tags' }).click();
  await expect(space.locator('.model-tag', { hasText: /^W4F$/ })).toBeVisible();
  await differs(() => page.getByRole('slider', { name: 'open' }).press('End'));
  await differs(() => page.getByRole('slider', { name: 'apart' }).press('End'));
  const png = await download(page, 'PNG');
  expect(png.name).toBe('Drawer cart.png');
  expect(png.text.subarray(1, 4).toString()).toBe('PNG');
  const gltf = JSON.parse((await download(page, 'glTF')).text.toString()) as { nodes: { name: string }[] };
  expect(gltf.nodes.map((node) => node.name)).toContain('W1A');

  // An impossible wish says why, keeps what was typed, and is put right in one click.
  await page.getByLabel('wide').fill('8');
  await page.keyboard.press('Enter');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('Not enough room from front to back');
  await expect(page.getByLabel('wide')).toHaveValue('8');
  await alert.getByRole('button', { name: /^Make it/ }).click();
  await expect(page.locator('.model')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a click on the model picks the part and shows its sizes', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/shape`);
  const canvas = page.locator('.model canvas');
  await expect(canvas).toBeVisible();
  // The canvas is there before it has its size and before what is drawn in it.
  await expect(async () => {
    const box = (await canvas.boundingBox())!;
    await page.mouse.click(box.x + box.width * 0.5, box.y + box.height * 0.3);
    await expect(page.locator('.picked')).toContainText(/T\d top board: 64 × 5/, { timeout: 1500 });
  }).toPass();
});

test('a part is set by hand and taken back; others are added, read from CSV with bad rows named, bought, saved again', async ({
  page,
  sill,
}) => {
  await page.goto(`/jobs/${await oneOfDemo(sill)}/parts`);
  const spend = page.getByTestId('tally-spend');
  await expect(spend).toContainText('$');
  await page.getByRole('row', { name: /^A1 / }).click();
  await page.getByLabel('length', { exact: true }).fill('97 1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^A1 / })).toContainText('97 1/2');
  await expect(page.getByText(/Worked out:\s*length 51/)).toBeVisible();
  await expect(page.getByRole('heading', { name: '1 part is set by hand' })).toBeVisible();
  await expect(spend).toContainText(/\+\$/);
  await page.getByLabel('width', { exact: true }).fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'A1 is wider than its board' })).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByRole('row', { name: /^A1 / })).toContainText('51');
  await expect(page.getByRole('heading', { name: /set by hand/ })).toHaveCount(0);
  await saved(page);

  // However slow the machine: as soon as a part is in the list, its own sizes are what one types into.
  const machine = await page.context().newCDPSession(page);
  await machine.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.getByRole('button', { name: 'Add a part' }).click();
  await expect(page.getByRole('row', { name: /^X1 extra part/ })).toContainText('24');
  await page.getByLabel('length', { exact: true }).fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^X1 extra part/ })).toContainText('30');
  await machine.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import CSV' }).click(),
  ]);
  await chooser.setFiles({
    name: 'list.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'part,material,length,width,count\ncleat,1x2,11 1/2,,4\ndoor,glass,20,20,1\nkick,3/4 plywood,30,4,2\n',
    ),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('2 parts read');
  await expect(dialog).toContainText('Row 3. “glass” is no material');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('row', { name: /^X2 cleat 4/ })).toContainText('11 1/2');
  const csv = (await download(page, 'Save CSV')).text.toString();
  expect(csv.split(/\r?\n/)[0]).toBe('tag,part,count,length,width,thickness,material,left end,right end,cut-outs');
  expect(csv).toContain('X3,kick,2,30,4,23/32,ply 3/4');
  await page.getByRole('link', { name: /^Stock/ }).click();
  await expect(page.getByTestId('buying-list')).toContainText('1×2');
  await saved(page);
});

test('a part’s template: SVG, DXF, and full-size pages that say how to check them', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/parts?part=H1`);
  await expect(page.getByText(/^notches, .*for L1 .*; for L4 /).first()).toBeVisible();
  const svg = await download(page, 'SVG');
  // 56 1/2 in is 1435.1 mm, and 14 mm of air on both sides.
  expect(svg.text.toString()).toContain('width="1463.1mm"');
  expect((await download(page, 'DXF')).text.toString()).toContain('LWPOLYLINE');
  await page.getByRole('button', { name: 'Print full size' }).click();
  await expect(page).toHaveURL(/templates/);
  const pages = page.locator('.template-page');
  // 1435.1 mm over pages of 180 with 10 shared is nine across; 635 mm over 240 is three down. And the edge, nine.
  await expect(pages).toHaveCount(9 * 3 + 9);
  await expect(pages.first().locator('svg')).toHaveAttribute('width', '180mm');
  await expect(pages.first()).toContainText('page A1 of 9 across, 3 down');
  expect(await violations(page)).toEqual([]);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)!.length).toBe(36);
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('row', { name: /^H1 / })).toBeVisible();
});

test('from a top that is there: what it can become, and why not the others', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/brief`);
  await page.getByRole('button', { name: '+ Add a piece' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Start from a top or board I have' }).click();
  await dialog.getByLabel('long').fill('47 3/8');
  await dialog.getByLabel('wide').fill('19 3/4');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(/Dining table\. 19 3\/4 is too narrow/)).toBeVisible();
  expect(await violations(page)).toEqual([]);
  await dialog.getByRole('button', { name: /^Coffee table 47/ }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByLabel('long')).toHaveValue('47 ⅜');
  await page.getByRole('link', { name: /^Parts/ }).click();
  await expect(page.getByRole('row', { name: /^T1 found top/ })).toContainText('bought');
  await saved(page);
});

test('a pedestal without head braces gives: what would help is tried, priced and taken; then it is leaned on', async ({
  warm: page,
  sill,
}) => {
  const round = { ...newJob('Round'), pieces: [newPiece('round', 'pedestal')] };
  await goWithin(page, `/jobs/${await made(sill, round)}/shape`);
  const margin = page.getByRole('complementary', { name: 'Margin notes' });
  await expect(margin.getByRole('heading', { name: 'The joints hold' })).toBeVisible();
  await page.getByRole('radio', { name: 'four, at the foot' }).check();
  await expect(margin.getByRole('heading', { name: /^The joint of K\d on P1 gives$/ })).toBeVisible();
  await margin.getByRole('button', { name: 'What would help' }).click();
  await margin
    .getByRole('button', { name: /^Diagonal braces: eight, foot and head \((the same price|[+−]\$)/ })
    .click();
  await expect(margin.getByRole('heading', { name: 'The joints hold' })).toBeVisible();
  await page.getByRole('button', { name: 'lean on it' }).click();
  await expect(page.getByText(/The place gives/)).toBeVisible();
  await page.getByRole('button', { name: 'across it' }).click();
  await expect(page.getByText(/The place gives .* of what it may bear for a short while/)).toBeVisible();
  expect(await violations(page)).toEqual([]);
  await saved(page);
});
