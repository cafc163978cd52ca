import { readFileSync, writeFileSync } from 'node:fs';
import { expect, goWithin, holdOver, oneOfDemo, saved, test, violations, type Page } from './server';

const opened = async (page: Page, id: string) => {
  await goWithin(page, `/jobs/${id}/days`);
  await expect(page.getByRole('button', { name: /^The yard: / })).toBeVisible();
};
const ready = (page: Page) => page.getByTestId('tally-ready');

test('a piece is dragged to another day: it stands there, the foot says what that does, undo takes it back', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  await opened(page, id);
  // Laid out for long: what a move does is told against that.
  await expect(page.getByText(/most likely/).first()).toBeVisible({ timeout: 40_000 });
  await page.getByRole('checkbox', { name: /Show free time too/ }).check();
  const yard = page.getByRole('button', { name: /^The yard: / });
  await yard.hover({ position: { x: 20, y: 20 } });
  await page.mouse.down();
  const { x, y } = (await yard.boundingBox())!;
  await page.mouse.move(x + 60, y + 40, { steps: 4 });
  await expect(page.locator('.held-block')).toHaveText('The yard');
  // From here on nothing moves under it, whatever is found meanwhile.
  const days = page.locator('.day');
  const names = await days.locator('.day-name b').allTextContents();
  const at = await days.evaluateAll((all) => all.findIndex((one) => one.querySelector('.day-piece')));
  // The next Saturday after the one it stands on: a week on, on another track of six hours.
  const next = names.findIndex((name, k) => k > at && name.startsWith('Sat') && name !== names[at]);
  const track = days.nth(next).locator('.day-track');
  await holdOver(page, track);
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^The yard: .*moved here/ })).toBeVisible();
  await expect(page.getByText(/^Ready \w{3} \d+ \w{3}: \d+ days? later\.$/)).toBeVisible({ timeout: 30_000 });
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^The yard: .*moved here/ })).toHaveCount(0);
});

test('calendar files: the days are written out, busy times are read, another kind of file is refused and nothing lost', async ({
  warm: page,
  sill,
}, info) => {
  const id = await oneOfDemo(sill);
  await opened(page, id);
  const file = async (what: string) => {
    await page.getByRole('button', { name: 'Calendar file' }).click();
    await page.getByRole('menuitem', { name: what, exact: true }).click();
  };
  const download = page.waitForEvent('download');
  await file('Save these days, with calls for coats and clamps');
  const written = readFileSync(await (await download).path(), 'utf8');
  expect(written).toContain('BEGIN:VALARM');
  expect(written.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(20);

  const give = async (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    const chooser = page.waitForEvent('filechooser');
    await file('Read when I am busy');
    await (await chooser).setFiles(path);
  };
  await give('people.ics', 'BEGIN:VCARD\nEND:VCARD\n');
  await expect(page.getByText(/This is not a calendar file/)).toBeVisible();
  await give('choir.ics', written.slice(0, written.length / 2));
  await expect(page.getByText(/The file is cut short/)).toBeVisible();
  // The days as they were written are busy by themselves: what was planned for them moves on.
  const before = await ready(page).textContent();
  await give('own.ics', written);
  await expect(page.getByText(/\d+ busy times of the coming year kept free/)).toBeVisible();
  await expect(ready(page)).not.toHaveText(before!);
  await saved(page);
});

test('hours are said once: a day more brings it forward, no hours at all are a note, and all can be undone', async ({
  warm: page,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  await opened(page, id);
  await page.getByRole('button', { name: 'When I have time' }).click();
  const dialog = page.getByRole('dialog', { name: 'When I have time' });
  await expect(dialog).toBeVisible();
  expect(await violations(page)).toEqual([]);
  for (const day of ['Tuesday', 'Thursday', 'Saturday', 'Sunday'])
    await dialog.getByRole('button', { name: `No time on ${day} any more` }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('There is no time for it')).toBeVisible();
  await expect(ready(page)).toContainText('No day');
  for (let k = 0; k < 4; k++) await page.keyboard.press('Control+z');
  await expect(page.getByText('There is no time for it')).toBeHidden();
});

test('on a phone it is a list; on paper it hangs on the wall', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  await page.setViewportSize({ width: 390, height: 844 });
  await goWithin(page, `/jobs/${id}/days`);
  await expect(page.locator('.day-list > li').first()).toContainText('The yard');
  await page.getByRole('button', { name: 'I have a while' }).click();
  await expect(page.getByRole('dialog')).toContainText(/Next is|Done by/);
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 1280, height: 800 });
  await goWithin(page, `/jobs/${id}/packet`);
  await expect(page.getByRole('heading', { name: 'Days', level: 1 }).first()).toBeVisible({ timeout: 30_000 });
});
