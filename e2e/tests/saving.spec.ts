import { readFileSync, writeFileSync } from 'node:fs';
import { copyOfDemo, expect, goWithin, oneOfDemo, saved, test } from './server';

const jobOf = async (url: string, id: string) =>
  (await (await fetch(`${url}/api/jobs/${id}`)).json()) as {
    revision: number;
    job: { name: string; pieces: { name: string; where: string; size: { width: number } }[] };
  };

test('two tabs: what is not the same place is joined, what is, is asked about', async ({ page, context, sill }) => {
  const id = await oneOfDemo(sill);
  const other = await context.newPage();
  await page.goto(`/jobs/${id}/brief`);
  await other.goto(`/jobs/${id}/brief`);
  await expect(other.getByLabel('Name of the piece')).toHaveValue('Glaze table');
  await page.getByLabel('Name of the piece').fill('Left table');
  await saved(page);
  await expect.poll(async () => (await jobOf(sill.url, id)).revision).toBe(2);

  // Another field: both are in, and nobody is asked.
  await other.getByLabel('Where it goes').fill('By the kiln');
  await expect(other.getByLabel('Name of the piece')).toHaveValue('Left table');
  await saved(other);
  await expect
    .poll(async () => (await jobOf(sill.url, id)).job.pieces[0])
    .toMatchObject({ name: 'Left table', where: 'By the kiln' });

  // The same field: the first tab is asked, takes the other, and undo still has its own.
  await other.getByLabel('Name of the piece').fill('Right table');
  await saved(other);
  await expect.poll(async () => (await jobOf(sill.url, id)).job.pieces[0]!.name).toBe('Right table');
  await page.getByLabel('Name of the piece').fill('Left again');
  const dialog = page.getByRole('dialog', { name: 'Changed in another tab' });
  await expect(dialog).toContainText('Left again');
  await expect(dialog).toContainText('Right table');
  // Not chosen yet, and the page is loaded again: mine is still there, and it asks again.
  await page.reload();
  await expect(dialog).toContainText('Left again');
  await dialog.getByRole('radio', { name: /the other$/ }).check();
  await dialog.getByRole('button', { name: 'Keep these' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Right table');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Right table');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Left again');
});

test('two tabs offline: both are closed, and both come in when the server is there', async ({
  page,
  context,
  sill,
}) => {
  const id = await oneOfDemo(sill);
  const other = await context.newPage();
  for (const tab of [page, other]) {
    await tab.goto(`/jobs/${id}/brief`);
    await expect(tab.getByLabel('Where it goes')).toBeVisible();
  }
  await sill.kill();
  await page.getByLabel('Where it goes').fill('In the loft');
  await other.getByLabel('Name of the piece').fill('Loft table');
  for (const tab of [page, other]) await expect(tab.locator('.saved')).toContainText('Offline');
  await page.close();
  await other.close();
  await sill.start();
  for (const round of [1, 2]) {
    const again = await context.newPage();
    await again.goto(`/jobs/${id}/brief`);
    await expect(again.getByLabel('Where it goes'), `round ${round}`).toBeVisible();
    await saved(again);
    await again.close();
  }
  expect((await jobOf(sill.url, id)).job.pieces[0]).toMatchObject({ name: 'Loft table', where: 'In the loft' });
});

test('a length typed and not left is saved though the page is left; steps back survive', async ({ page, sill }) => {
  const id = await oneOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  await page.getByLabel('wide').fill('27');
  await page.reload();
  await expect(page.getByLabel('wide')).toHaveValue('27');
  await saved(page);
  await expect.poll(async () => (await jobOf(sill.url, id)).job.pieces[0]!.size.width).toBe(27 * 8128);
  await page.reload();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('wide')).toHaveValue('30 ½');
});

test('an answer that is lost on the way is no conflict', async ({ page, sill }) => {
  const id = await oneOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  await expect(page.getByLabel('Where it goes')).toBeVisible();
  // The server saves, and the answer never comes.
  let lost = 0;
  await page.route(`**/api/jobs/${id}`, async (route) => {
    if (route.request().method() !== 'PUT' || lost++ > 0) return route.continue();
    await route.fetch();
    await route.abort('connectionreset');
  });
  await page.getByLabel('Where it goes').fill('By the sink');
  await expect.poll(() => lost).toBe(1);
  await page.getByLabel('Name of the piece').fill('Sink table');
  await saved(page);
  await expect
    .poll(async () => (await jobOf(sill.url, id)).job.pieces[0])
    .toMatchObject({ name: 'Sink table', where: 'By the sink' });
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('works through a server restart: says so, keeps the changes, sends them after', async ({ page, sill }) => {
  const id = await oneOfDemo(sill);
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
  const id = await oneOfDemo(sill);
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

test('a job file goes out and comes back; bad files change nothing', async ({ warm: page, sill }, info) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/brief`);
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
  expect(job.format).toBe('sill-plan/job@12');

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
  await give('newer.json', JSON.stringify({ ...job, format: 'sill-plan/job@13' }));
  await expect(message).toContainText('saved by a newer version');
  await give('damaged.json', JSON.stringify(job).slice(0, 400));
  await expect(message).toContainText('damaged');
  await expect(page.getByLabel('Name of the job')).toHaveValue('Kiln Lane pottery room');
  await give('good.json', JSON.stringify({ ...job, name: 'Read back' }));
  await expect(page.getByLabel('Name of the job')).toHaveValue('Read back');
  await saved(page);
});

test('older saves can be taken back; jobs are copied, removed and brought back', async ({ page, sill }) => {
  const id = await oneOfDemo(sill);
  await page.goto(`/jobs/${id}/brief`);
  await page.getByLabel('Name of the job').fill('Second name');
  await saved(page);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Go back to an older save' }).click();
  await page.getByRole('button', { name: /save 1/ }).click();
  await expect(page.getByLabel('Name of the job')).toHaveValue('Kiln Lane pottery room');
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
  await page.getByRole('button', { name: 'Remove To be removed', exact: true }).click();
  await expect(page.getByRole('status')).toContainText('Removed “To be removed”');
  await page.reload();
  await page.getByRole('button', { name: 'Removed jobs' }).click();
  await page
    .getByRole('list', { name: 'Removed jobs' })
    .getByRole('listitem')
    .filter({ hasText: 'To be removed' })
    .getByRole('button')
    .first()
    .click();
  await expect(page.getByRole('link', { name: /^To be removed Glaze/ })).toBeVisible();
});

test('a size above what a job file may hold never reaches the server', async ({ warm: page, sill }) => {
  const id = await oneOfDemo(sill);
  await goWithin(page, `/jobs/${id}/stock`);
  await page.getByRole('button', { name: 'My shop' }).click();
  await page.getByLabel('Width of the saw’s cut').fill('2');
  await expect(page.getByRole('alert')).toContainText('at most');
  await page.getByLabel('Width of the saw’s cut').fill('3/32');
  await page.keyboard.press('Enter');
  await saved(page);
});

test('everything is backed up with one click and put back', async ({ page, sill }, info) => {
  const id = await copyOfDemo(sill);
  await page.goto('/');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Back up everything' }).click(),
  ]);
  const path = info.outputPath('all.db');
  await file.saveAs(path);
  await fetch(`${sill.url}/api/jobs/${id}`, { method: 'DELETE' });
  const give = async (given: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Put a backup back' }).click(),
    ]);
    await chooser.setFiles(given);
    await page.getByRole('button', { name: 'Put it back' }).click();
  };
  const letter = info.outputPath('letter.db');
  writeFileSync(letter, 'hello, this is a letter to you');
  await give(letter);
  await expect(page.getByRole('alert')).toContainText('not a database of this program');
  expect((await fetch(`${sill.url}/api/jobs/${id}`)).status).toBe(404);
  await give(path);
  await expect(page.getByText('Back again')).toBeVisible();
  expect((await fetch(`${sill.url}/api/jobs/${id}`)).status).toBe(200);
});

test('jobs go to another machine as one file, with their photos and the rack', async ({ page, sill }, info) => {
  const id = await copyOfDemo(sill);
  const picture = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  const photo = (
    (await (await fetch(`${sill.url}/api/photos`, { method: 'POST', body: picture })).json()) as { id: string }
  ).id;
  const { revision, job } = await jobOf(sill.url, id);
  const hand = {
    id: 'h7',
    material: '2x4',
    length: 300_000,
    width: 28_448,
    count: 1,
    squared: false,
    bad: [],
    where: '',
    note: '',
    photo,
  };
  const put = await fetch(`${sill.url}/api/jobs/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      revision,
      job: { ...job, name: 'Goes along', ledger: [{ id: 'f1', at: null, what: 'found', hand }] },
    }),
  });
  expect(await put.text()).toContain('"revision":2');
  await page.goto('/');
  await page.getByRole('button', { name: 'Take jobs along' }).click();
  await page.getByRole('checkbox', { name: 'Goes along' }).check();
  await page.getByLabel('The rack comes along').check();
  const file = info.outputPath('jobs.zip');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the file' }).click(),
  ]);
  await download.saveAs(file);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Read a job file' }).click(),
  ]);
  await chooser.setFiles(file);
  await expect(page.getByText('1 job came in, with 1 photo, 0 rows put on the rack.')).toBeVisible();
  const listed = (await (await fetch(`${sill.url}/api/jobs`)).json()) as { id: string; name: string }[];
  const there = listed.filter(({ name }) => name === 'Goes along');
  expect(there).toHaveLength(2);
  const came = (await jobOf(sill.url, there.find((row) => row.id !== id)!.id)) as unknown as {
    job: { ledger: { hand: { photo: string } }[] };
  };
  expect(came.job.ledger[0]!.hand.photo).not.toBe(photo);
  const back = await fetch(`${sill.url}/api/photos/${came.job.ledger[0]!.hand.photo}`);
  expect(Buffer.from(await back.arrayBuffer()).equals(picture)).toBe(true);
});
