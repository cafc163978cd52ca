import { readFileSync, writeFileSync } from 'node:fs';
import { copyOfDemo, expect, saved, test } from './server';

test('two tabs: the second is told and offered both', async ({ page, context, sill }) => {
  const id = await copyOfDemo(sill);
  const other = await context.newPage();
  await page.goto(`/jobs/${id}/brief`);
  await other.goto(`/jobs/${id}/brief`);
  await expect(other.getByLabel('Name of the piece')).toHaveValue('Glaze table');
  await page.getByLabel('Name of the piece').fill('Left table');
  await saved(page);
  await expect.poll(async () => (await (await fetch(`${sill.url}/api/jobs/${id}`)).json()).revision).toBe(2);

  await other.getByLabel('Name of the piece').fill('Right table');
  const dialog = other.getByRole('dialog', { name: 'Changed in another tab' });
  await expect(dialog).toContainText('Left table');
  await expect(dialog).toContainText('Right table');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await saved(other);
  const job = (await (await fetch(`${sill.url}/api/jobs/${id}`)).json()) as {
    revision: number;
    job: { pieces: { name: string }[] };
  };
  expect(job.job.pieces[0]!.name).toBe('Right table');
  const older = (await (await fetch(`${sill.url}/api/jobs/${id}/revisions/2`)).json()) as typeof job;
  expect(older.job.pieces[0]!.name).toBe('Left table');

  await page.getByLabel('Name of the piece').fill('Left again');
  await page.getByRole('dialog').getByRole('button', { name: 'Take the other' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Right table');
  await page.getByRole('heading', { name: 'Brief' }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Left again');
});

test('works through a server restart: says so, keeps the changes, sends them after', async ({ page, sill }) => {
  const id = await copyOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  await expect(page.getByLabel('Where it goes')).toBeVisible();
  await sill.kill();
  await page.getByLabel('Where it goes').fill('By the back door');
  await expect(page.locator('.saved')).toContainText('Offline');
  await page.getByLabel('wide').fill('28');
  await page.keyboard.press('Enter');
  await sill.start();
  await saved(page);
  const { job } = (await (await fetch(`${sill.url}/api/jobs/${id}`)).json()) as {
    job: { pieces: { where: string; size: { width: number } }[] };
  };
  expect(job.pieces[0]).toMatchObject({ where: 'By the back door', size: { width: 28 * 8128 } });
});

test('changes made offline survive closing the tab', async ({ page, context, sill }) => {
  const id = await copyOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  await expect(page.getByLabel('Where it goes')).toBeVisible();
  await sill.kill();
  await page.getByLabel('Where it goes').fill('In the loft');
  await expect(page.locator('.saved')).toContainText('Offline');
  await page.close();
  await sill.start();
  const again = await context.newPage();
  await again.goto(`/jobs/${id}/brief`);
  await expect(again.getByLabel('Where it goes')).toHaveValue('In the loft');
  await saved(again);
});

test('a job file goes out and comes back; bad files change nothing', async ({ page, sill }, info) => {
  const id = await copyOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: 'More' })
      .click()
      .then(() => page.getByRole('menuitem', { name: 'Save job as a file' }).click()),
  ]);
  const path = info.outputPath('job.json');
  await file.saveAs(path);
  const job = JSON.parse(readFileSync(path, 'utf8')) as { format: string; name: string };
  expect(job.format).toBe('sill-plan/job@3');

  const give = async (name: string, text: string) => {
    const given = info.outputPath(name);
    writeFileSync(given, text);
    await page.getByRole('button', { name: 'More' }).click();
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('menuitem', { name: /^Read a job file/ }).click(),
    ]);
    await chooser.setFiles(given);
  };
  const message = page.locator('.MuiSnackbar-root');
  await give('other.json', '{"hello": 1}');
  await expect(message).toContainText('This is not a job file');
  await give('newer.json', JSON.stringify({ ...job, format: 'sill-plan/job@7' }));
  await expect(message).toContainText('saved by a newer version');
  await give('damaged.json', JSON.stringify(job).slice(0, 400));
  await expect(message).toContainText('damaged');
  await expect(page.getByLabel('Name of the job')).toHaveValue('Kiln Lane pottery room (copy)');
  await give('good.json', JSON.stringify({ ...job, name: 'Read back' }));
  await expect(page.getByLabel('Name of the job')).toHaveValue('Read back');
  await saved(page);
});

test('older saves can be taken back; jobs are copied, removed and brought back', async ({ page, sill }) => {
  const id = await copyOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  await page.getByLabel('Name of the job').fill('Second name');
  await saved(page);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Go back to an older save' }).click();
  await page.getByRole('button', { name: /save 1/ }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Kiln Lane pottery room (copy)');
  await page.getByLabel('Name of the job').fill('To be removed');
  await saved(page);
  await expect(page.locator('.saved')).toHaveAttribute('data-state', 'saved');

  await page.goto('/');
  await page.getByRole('button', { name: 'Copy To be removed' }).click();
  await expect(page.getByText('To be removed (copy)')).toBeVisible();
  await page.getByRole('button', { name: 'Remove To be removed', exact: true }).click();
  await expect(page.getByRole('status')).toContainText('Removed “To be removed”');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^To be removed Glaze/ })).toBeVisible();
});

test('a size above what a job file may hold never reaches the server', async ({ page, sill }) => {
  const id = await copyOfDemo(sill);
  await page.goto(`/jobs/${id}/stock`);
  await page.getByRole('button', { name: 'My shop' }).click();
  await page.getByLabel('Width of the saw’s cut').fill('2');
  await expect(page.getByRole('alert')).toContainText('at most');
  await page.getByLabel('Width of the saw’s cut').fill('3/32');
  await page.keyboard.press('Enter');
  await saved(page);
});
