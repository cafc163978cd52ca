import { copyOfDemo, expect, goWithin, holdOver, oneOfDemo, test, violations } from './server';

const STAGES = ['Brief', 'Shape', 'Parts', 'Stock', 'Cuts', 'Joints', 'Build', 'Finish', 'Days', 'Log'];
/** Every view of a job in three walks of about the same length, each with what is on it alone. */
const WALKS: readonly (readonly (readonly [view: string, has: string])[])[] = [
  [
    ['brief', '[aria-label="Room at the table"]'],
    ['shape', 'tr:has-text("of 2×6 at")'],
    ['parts', '.parts-side'],
    ['stock', 'tr:has-text("of 2×6 at")'],
    ['stock?tab=hand', '[aria-label="On the rack"]'],
    ['days', 'label:has-text("Show free time too")'],
  ],
  [
    ['stock?tab=yards', '[aria-label="Price list"] tr'],
    ['stock?tab=shop', '[aria-label="My shop"]'],
    ['cuts', '.setups'],
    ['cuts?by=setup', '.setup-block'],
    ['cuts?by=piece', 'td'],
  ],
  [
    ['joints', '[aria-label="Fasteners"]'],
    ['build', '[aria-label="What to do"]'],
    ['finish', '[aria-label="What each surface takes"]'],
    ['yard', '.yard-active'],
    ['packet', '.page'],
    ['labels', '.piece-label'],
  ],
];
/** What is like what stands before it: pages of one kind, rows of a long list. */
const ALIKE: Readonly<Record<string, string>> = {
  packet: '.page:nth-of-type(n + 14)',
  'stock?tab=yards': '[aria-label="Price list"] tr:nth-of-type(n + 12)',
};
/** On paper each piece has the same pages: one is enough. */
const OF_ONE = ['packet', 'labels'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
];

for (const walk of WALKS) {
  test(`${walk.map(([view]) => view).join(', ')}: nothing that axe finds, nothing that scrolls sideways, wide and narrow`, async ({
    warm: page,
    sill,
  }) => {
    test.setTimeout(180_000);
    const one = await oneOfDemo(sill);
    for (const [view, has] of walk)
      await test.step(view, async () => {
        await page.setViewportSize(SIZES[0]!);
        await goWithin(page, `/jobs/${OF_ONE.includes(view) ? one : 'demo'}/${view}`);
        await expect(page.locator(has).first()).toBeVisible();
        for (const [at, size] of SIZES.entries()) {
          await page.setViewportSize(size);
          expect(await violations(page, { except: ALIKE[view], contrast: at === 0 ? 'too' : 'not' })).toEqual([]);
          const wider = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
          expect([size.width, wider <= 0]).toEqual([size.width, true]);
        }
      });
  });
}

test('the workshop look keeps its contrast', async ({ page, sill }) => {
  const id = await oneOfDemo(sill);
  await page.goto(`/jobs/${id}/stock`);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: /Workshop look/ }).click();
  for (const [stage, has] of [
    ['stock', 'tr:has-text("of 2×6 at")'],
    ['cuts', '.setups'],
    ['build', '[aria-label="What to do"]'],
    ['finish', '[aria-label="What each surface takes"]'],
  ]) {
    await goWithin(page, `/jobs/${id}/${stage}`);
    await expect(page.locator(has!).first()).toBeVisible();
    expect(await violations(page, { contrast: 'alone' })).toEqual([]);
  }
});

test('keys 1 to 9, and 0, go to the stages; by keyboard alone: a stage settled, a choice, a step', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/brief`);
  await expect(page.getByRole('heading', { name: 'Brief', exact: true })).toBeVisible();
  // The address changes at once, what is shown comes after it: the foot belongs to what is shown.
  const press = async (key: string, stage: string) => {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(new RegExp(`/${stage.toLowerCase()}`));
    await expect(page.getByRole('heading', { name: stage, exact: true })).toBeVisible();
  };
  for (const [at, stage] of STAGES.entries()) await press(String((at + 1) % 10), stage);
  await press('2', 'Shape');
  await page.getByRole('button', { name: 'Settle the shape' }).click();
  await expect(page).toHaveURL(/parts/);
  await expect(page.getByRole('link', { name: /^Shape, settled/ })).toBeVisible();

  await page.getByRole('link', { name: /^Shape/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: '2×6' }).first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: '2×8', exact: true })).toBeChecked();
  await page.getByRole('link', { name: /^Build/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/build/);
  await page.getByRole('checkbox').first().focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox').first()).toBeChecked();
  await page.getByRole('button', { name: 'Step done · next' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Step 2 of/)).toBeVisible();
});

test('parts: pointing at one marks it; the table sorts, filters, copies as CSV; units change and back', async ({
  warm: page,
  sill,
}) => {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/parts`);
  await page.getByRole('row', { name: /^E1/ }).hover();
  await expect(page.locator('.part-picture .marked').first()).toBeVisible();
  await expect(page.getByRole('img', { name: 'Where E1 is' })).toBeVisible();

  await expect(page.getByRole('row', { name: /^A1/ })).toContainText('51');
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(page.getByRole('row', { name: /^A1/ })).toContainText('1295.5 mm');
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(page.getByRole('row', { name: /^A1/ })).toContainText('51');

  await page.getByLabel('Find in parts').fill('apron');
  await expect(page.getByRole('row')).toHaveCount(5);
  await page.getByRole('button', { name: 'Long' }).click();
  await page.getByRole('button', { name: 'Copy as CSV' }).click();
  await expect(page.locator('.MuiSnackbar-root')).toContainText('4 rows');
  const csv = await page.evaluate(() => navigator.clipboard.readText());
  expect(csv.split(/\r?\n/)[0]).toBe('Tag,Part,Count,Long,Wide,Thick,Cut out,Made from');
  expect(csv).toContain('E1,end apron,1,20 1/2,3 1/2,1 1/2,,2×4');
});

test('cuts: a saw setting lights its own cuts; ticks are kept', async ({ page, sill }) => {
  const id = await oneOfDemo(sill);
  await page.goto(`/jobs/${id}/cuts`);
  const rough = page.getByRole('button', { name: /^Rough \d+ crosscuts/ });
  await rough.click();
  await expect(page.locator('.cut.dimmed').first()).toBeVisible();
  const count = Number((await rough.textContent())!.match(/(\d+) crosscuts/)![1]);
  expect(count).toBeGreaterThan(1);
  await expect(page.locator('.cut:not(.dimmed)')).toHaveCount(count);
  await page.getByRole('button', { name: 'By saw setup' }).click();
  await page.getByRole('checkbox').first().check();
  await expect(page.locator('.saved')).toHaveAttribute('data-state', 'saved');
  await page.reload();
  await expect(page.getByRole('checkbox').first()).toBeChecked();
});

test('cuts at the saw: one pass at a time, ticked off by Space; a setting is done with its last pass', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/cuts`);
  await page.getByRole('button', { name: 'At the bench' }).click();
  const bench = page.getByRole('dialog');
  await expect(bench).toContainText('Setting 1 of');
  await expect(bench.locator('.bench-action')).toContainText('On the line, cut');
  const second = bench.getByText(/Setting 2 of/);
  for (let pass = 0; pass < 20 && !(await second.isVisible()); pass++) await page.keyboard.press('Space');
  await expect(second).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('.setup').first()).toContainText('done');
});

test('cuts: a piece is dragged to another board, the wish has a price, undo takes it back; a spoiled board is paid again', async ({
  warm: page,
  sill,
}) => {
  const id = await copyOfDemo(sill);
  await goWithin(page, `/jobs/${id}/cuts`);
  const row = (number: number) => page.locator('.board-row').nth(number - 1);
  const piece = row(6).locator('.piece', { hasText: 'WI-S1' });
  await expect(piece).toBeVisible();
  await row(8).scrollIntoViewIfNeeded();
  const from = (await piece.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 40, { steps: 4 });
  await holdOver(page, row(8).locator('.drop-place'));
  await page.mouse.up();
  await expect(row(8)).toContainText('kept');
  await expect(row(8)).toContainText('WI-S1');
  await expect(page.getByText('Kept boards cost $2.88')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Kept boards cost')).toHaveCount(0);
  await expect(row(6)).toContainText('WI-S1');
  const spend = page.locator('.tally').first();
  const before = await spend.textContent();
  await page.getByRole('button', { name: 'Board 6: keep, bought, cut, spoiled' }).click();
  await page.getByRole('menuitem', { name: /It is spoiled/ }).click();
  await expect(spend).not.toHaveText(before!);
  // It is said what that makes of the plan, and what would cost less; in the ledger it can be taken back.
  const alert = page.getByRole('alert').filter({ hasText: /\$\d+\.\d\d more in all\./ });
  await expect(alert).toBeVisible();
  await expect(alert).toContainText(/Looking for what would cost less|each worked out for the whole job/);
  await alert.getByRole('button', { name: 'Close' }).click();
  await goWithin(page, `/jobs/${id}/stock?tab=ledger`);
  const spoiled = page.getByRole('table', { name: 'What happened' }).getByRole('row', { name: /Spoiled 2×4/ });
  await spoiled.getByRole('button', { name: 'A mistake' }).click();
  await expect(spoiled).toContainText('taken back');
  await expect(spend).toContainText(/\$\d+\.\d\d/.exec(before!)![0]);
  await expect(page.locator('.saved')).toHaveAttribute('data-state', 'saved');
});

test('cuts: boards chosen for fewest boards, back to the cheapest in one click; tape readings, a file, labels', async ({
  warm: page,
  sill,
}) => {
  const id = await copyOfDemo(sill);
  await goWithin(page, `/jobs/${id}/cuts`);
  await page.getByRole('button', { name: 'Tape, files' }).click();
  await page.getByRole('menuitem', { name: 'What boards are chosen for' }).click();
  await page.getByRole('radio', { name: /Fewest boards/ }).check();
  await page.getByLabel('At most so much dearer than the cheapest').fill('40');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('Chosen for fewest boards')).toBeVisible();
  const boards = async () =>
    Number(/(\d+) boards/.exec((await page.locator('.stage-head').textContent()) ?? '')?.[1] ?? 0);
  await expect.poll(boards).toBeGreaterThan(0);
  const fewest = await boards();
  await page.getByRole('button', { name: 'Choose the cheapest' }).click();
  // The demo's cheapest cutting takes more boards than its fewest.
  await expect.poll(boards, { timeout: 20_000 }).toBeGreaterThan(fewest);

  const menu = page.getByRole('button', { name: 'Tape, files' });
  await menu.click();
  await page.getByRole('menuitemradio', { name: 'Hooked once' }).click();
  await expect(page.locator('.tape-line').nth(1)).toContainText('130');
  await menu.click();
  const saving = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save the pieces as CSV' }).click();
  const stream = await (await saving).createReadStream();
  let csv = '';
  for await (const chunk of stream) csv += chunk;
  const rows = csv.trim().split(/\r?\n/);
  expect(rows[0]).toContain('board,from,bought,piece,part,length');
  const pieces = Number(/(\d+) pieces/.exec((await page.locator('.stage-head').textContent())!)![1]);
  expect(rows).toHaveLength(pieces + 1);
  await menu.click();
  await page.getByRole('menuitem', { name: 'Print labels for the pieces' }).click();
  await expect(page.locator('.piece-label')).toHaveCount(pieces);
  await expect(page.locator('.piece-label').first()).toContainText('this face up');
});

test('build: actions are ticked, at the bench one at a time by Space', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/build?step=1`);
  const frame = page.getByRole('heading', { name: /Join the left end frame/ });
  const steps = page.getByRole('group', { name: 'Steps' }).getByRole('button');
  await expect(steps.first()).toBeVisible();
  for (let at = 1; !(await frame.isVisible()) && at < (await steps.count()); at++) {
    await steps.nth(at).click();
    await expect(steps.nth(at)).toHaveAttribute('aria-current', 'step');
  }
  await expect(frame).toBeVisible();
  await page.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'At the bench' }).click();
  const action = page.locator('.bench-action');
  await expect(action).toContainText('thick under E1');
  await page.keyboard.press('Space');
  await expect(action).toContainText('thick under S1');
  await page.keyboard.press('PageUp');
  await expect(action).toContainText('thick under E1');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('checkbox').nth(1)).toBeChecked();
  await page.getByRole('button', { name: 'Step done · next' }).click();
  await expect(page.getByRole('heading', { name: /Join the right end frame/ })).toBeVisible();
});

test('without WebGL the piece is drawn on paper instead', async ({ page, sill }) => {
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null;
  });
  await page.goto(`/jobs/${await oneOfDemo(sill)}/shape`);
  await expect(page.locator('.model .part-picture')).toBeVisible();
});

test('the packet prints on Letter and A4, every page numbered', async ({ warm: page, sill }) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/packet`);
  await expect(page.locator('.packet')).toHaveAttribute('aria-busy', 'false');
  const count = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)!.length;
  const letter = await page.locator('.page').count();
  await expect(page.locator('.page').last()).toContainText(`${letter} / ${letter}`);
  expect(count(await page.pdf({ preferCSSPageSize: true }))).toBe(letter);
  await page.getByRole('button', { name: 'A4' }).click();
  await expect(page.locator('.packet')).toHaveAttribute('aria-busy', 'false');
  const onA4 = await page.locator('.page').count();
  const pdf = await page.pdf({ preferCSSPageSize: true });
  expect(count(pdf)).toBe(onA4);
  expect(pdf.toString('latin1')).toMatch(/MediaBox\s*\[0 0 59[45]/);
});
