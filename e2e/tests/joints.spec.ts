import type { Page } from '@playwright/test';
import { expect, goWithin, jobWith, oneOfDemo, saved, test } from './server';

/** Goes through the steps from the first until one has such a heading; its place. */
async function toStep(page: Page, heading: RegExp): Promise<number> {
  const marks = page.getByRole('group', { name: 'Steps' }).getByRole('button');
  await expect(marks.first()).toBeVisible();
  for (let at = 0; at < (await marks.count()); at++) {
    await marks.nth(at).click();
    await expect(marks.nth(at)).toHaveAttribute('aria-current', 'step');
    if (await page.getByRole('heading', { name: heading }).isVisible()) return at;
  }
  throw new Error(`no step is called ${heading.source}`);
}

test('another way to join is compared, taken for all rail ends, bought, and undone; a tenon lengthens its rail', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/joints`);
  await page.getByRole('button', { name: 'Other ways to join A1 to L1' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /^Pocket screws/ })).toContainText('as it is');
  await expect(dialog.getByRole('row', { name: /^Mortise and tenon/ })).toContainText('nothing shows');
  await expect(dialog.getByRole('row', { name: /^Biscuits/ })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Take Dowels' }).click();
  await expect(dialog).toBeHidden();
  await expect(
    page
      .getByRole('article')
      .filter({ hasText: 'A1→L1' })
      .getByText(/Dowels/),
  ).toBeVisible();
  await expect(page.getByRole('row', { name: /dowel pins 1\/2 x 2/ })).toBeVisible();
  await page.getByRole('link', { name: /^Stock/ }).click();
  // Screws and the like are folded together until asked for.
  await page
    .getByRole('row', { name: /^Screws, hardware, glue and finish/ })
    .getByRole('button')
    .click();
  await expect(page.getByRole('row', { name: /dowel pins 1\/2 x 2/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /dowel pins/ })).toHaveCount(0);

  await page.getByRole('link', { name: /^Parts/ }).click();
  const rail = page.getByRole('row', { name: /A1.*long apron/ }).first();
  await expect(rail).toContainText('51');
  await page.getByRole('link', { name: /^Joints/ }).click();
  await page.getByRole('button', { name: 'Other ways to join A1 to L1' }).click();
  await page.getByRole('dialog').getByLabel('pockets on the other face').check();
  await saved(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Take Mortise and tenon' }).click();
  await saved(page);
  await page.getByRole('link', { name: /^Parts/ }).click();
  await expect(page.getByRole('row', { name: /A1.*long apron/ }).first()).not.toContainText(/\b51 in|\b51\b$/);
  await expect(page.getByRole('row', { name: /A1.*long apron/ }).first()).toContainText('53');
});

test('diagonals say which corner to push, a measured part changes what depends on it, the tape sends sizes', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/build`);
  await toStep(page, /^Join the left end frame/);
  await page.getByLabel('First, near left to far right').fill('43 3/4');
  await page.keyboard.press('Enter');
  await page.getByLabel('Second, near right to far left').fill('43 1/4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/The first is longer/)).toContainText('until the long side has slid by');
  await page.getByLabel('Second, near right to far left').fill('43 3/4');
  await page.keyboard.press('Enter');
  // Alike, but another number than the plan's: square, and a side is off.
  await expect(page.getByText(/^They match, so it is square, but they should read/)).toBeVisible();

  await page.getByText('Measured as built').click();
  await page.getByLabel('Part', { exact: true }).click();
  await page.getByRole('option', { name: /^L1/ }).click();
  await page.getByLabel('Side', { exact: true }).click();
  await page.getByRole('option', { name: 'thickness' }).click();
  const reads = page.getByLabel('Reads');
  const planned = await reads.inputValue();
  await reads.fill(`${planned} + 1/16`);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/L1 is .* over in thickness/)).toBeVisible();
  await page.locator('details').getByRole('button', { name: 'From the tape' }).click();
  await expect(page.getByText('The simulated tape sent an invented reading.')).toBeVisible();
  // It stands beside the reading and in what is saved, until a person types what is true.
  const mark = page.locator('details').getByText('simulated', { exact: true });
  await expect(mark).toBeVisible();
  await reads.fill(`${planned} + 1/16`);
  await page.keyboard.press('Enter');
  await expect(mark).toHaveCount(0);
  await page.getByRole('button', { name: 'Forget what L1 measures' }).click();
  await expect(page.getByText(/L1 is .* over in thickness/)).toHaveCount(0);

  // Base first puts the frames before the panels of the top are joined.
  const places = async () =>
    [await toStep(page, /^Join the left end frame/), await toStep(page, /^Join the panels/)] as const;
  const top = await places();
  expect(top[0]).toBeGreaterThan(top[1]);
  await page.getByRole('button', { name: 'Base first' }).click();
  await expect
    .poll(
      async () => {
        const [frame, panel] = await places();
        return frame < panel;
      },
      { timeout: 30_000 },
    )
    .toBe(true);
});

test('a cupboard: hinges and pins say where they go; a narrow turn on the way leaves joints for the room', async ({
  warm: page,
  sill,
}) => {
  const inch = 8128;
  const id = await jobWith(sill, () => ({
    family: 'case',
    name: 'Glaze cupboard',
    copies: 1,
    seats: null,
    use: 'storage',
    size: { length: 30 * inch, width: 15 * inch, height: 84 * inch },
    choices: { front: 'doors', shelfKind: 'loose' },
    topChoices: {},
    overrides: {},
    loose: [],
    joins: {},
  }));
  await goWithin(page, `/jobs/${id}/joints`);
  const hinges = page.getByRole('region', { name: 'Hinges' });
  await expect(hinges.getByText('4 each, 8 in all')).toBeVisible();
  await expect(hinges.getByText(/from the top edge/)).toBeVisible();
  await page.getByRole('link', { name: /^Build/ }).click();
  await toStep(page, /^Hang the doors/);
  await expect(page.getByText(/Mark the middles of the hinges/)).toBeVisible();
  await toStep(page, /^Drill holes/);
  await expect(page.getByText(/holes for shelf pins/)).toContainText('no deeper');

  await page.getByRole('link', { name: /^Stock/ }).click();
  await page.getByRole('button', { name: 'My shop' }).click();
  await page.getByLabel('a turn, as of stairs').check();
  await page.getByLabel('Width before the turn').fill('20');
  await page.keyboard.press('Enter');
  await page.getByLabel('Width after the turn').fill('20');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(page.getByText('The last joints are made where it stays')).toBeVisible();
  await expect(page.getByText(/the turn on the way lets/).first()).toBeVisible();
});

test('rehearse: carried out without a stop, stepped with the keys, scrubbed, run by itself and held', async ({
  warm: page,
  sill,
}) => {
  await goWithin(page, `/jobs/${await oneOfDemo(sill)}/build`);
  await page.getByRole('button', { name: 'Rehearse' }).click();
  const dialog = page.getByRole('dialog', { name: 'Rehearse Glaze table' });
  await expect(dialog.getByText(/^All \d+ operations were carried out/)).toBeVisible();
  const stick = dialog.getByRole('slider', { name: 'Where in the work' });
  await stick.fill('0');
  await expect(dialog.getByRole('button', { name: 'Before' })).toBeDisabled();
  await dialog.getByRole('heading', { name: 'Rehearse Glaze table' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(dialog.locator('.rehearse-count')).toHaveText(/^2 \/ \d+$/);
  await page.keyboard.press('End');
  await expect(dialog.getByRole('button', { name: 'Next' })).toBeDisabled();
  await page.keyboard.press('Home');
  await dialog.getByRole('button', { name: 'Go on by itself' }).click();
  await expect(dialog.locator('.rehearse-count')).not.toHaveText(/^1 \//);
  await dialog.getByRole('button', { name: 'Hold' }).click();
  await dialog.getByRole('button', { name: 'Leave' }).click();
  await expect(dialog).toBeHidden();
});
