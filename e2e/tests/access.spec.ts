import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newJob, newPiece } from '@sill/core';
import { freePort } from '../../server/src/testing/free-port';

import { expect, goWithin, made, saved, Sill, test as base } from './server';

const PASSPHRASE = 'glaze kettle ninety birch';
const test = base.extend<{ open: Sill }>({
  open: async ({ program }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'sill-e2e-'));
    const sill = new Sill(program, folder, await freePort(), '0.0.0.0', false);
    sill.passphrase(PASSPHRASE);
    await sill.start();
    await use(sill);
    await sill.kill();
    rmSync(folder, { recursive: true });
  },
});

test('a phone signs in, works, and is signed out: what it typed meanwhile is not lost', async ({ browser, open }) => {
  // A server of its own, two devices, and a passphrase takes long to check on purpose.
  test.setTimeout(240_000);
  const session = await fetch(`${open.url}/api/access/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ passphrase: PASSPHRASE, device: 'desk' }),
  });
  const cookie = session.headers.get('set-cookie')!.split(';')[0]!;
  const job = { ...newJob('Kiln Lane'), pieces: [newPiece('glaze', 'standing', 'Glaze table')] };
  const id = await made(open, job, { cookie });
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(`${open.url}/jobs/${id}/brief`);
  const dialog = phone.getByRole('dialog', { name: 'Sign in to this shop' });
  await dialog.getByLabel('Passphrase').fill('not this one');
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog).toContainText('This is not the passphrase.');
  await expect(dialog.getByLabel('Passphrase')).toHaveAttribute('autocomplete', 'current-password');
  await dialog.getByLabel('Passphrase').fill(PASSPHRASE);
  await dialog.getByRole('button', { name: 'Show' }).click();
  await expect(dialog.getByLabel('Passphrase')).toHaveAttribute('type', 'text');
  await dialog.getByLabel('Name of this device').fill('Phone in the apron');
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(phone.getByLabel('Name of the piece')).toHaveValue('Glaze table');
  await expect(dialog).toBeHidden();

  // Another device sees it in the list, and signs all out.
  const desk = await (await browser.newContext()).newPage();
  await desk.goto(open.url);
  await desk.getByLabel('Passphrase').fill(PASSPHRASE);
  await desk.getByRole('button', { name: 'Sign in' }).click();
  await desk.getByRole('button', { name: 'Other devices' }).click();
  const devices = desk.getByRole('dialog', { name: 'Other devices' });
  await expect(devices.getByRole('img', { name: /^The address http.* as a code/ })).toBeVisible();
  await expect(devices.getByRole('list', { name: 'Devices that are signed in' })).toContainText('Phone in the apron');
  await devices.getByRole('button', { name: 'Sign out all devices' }).click();
  await expect(desk.getByRole('dialog', { name: 'Sign in to this shop' })).toBeVisible();
  await desk.context().close();

  // On the phone a change waits for the passphrase, and is saved with it.
  await phone.getByLabel('Where it goes').fill('By the wheel');
  await expect(dialog).toBeVisible();
  await dialog.getByLabel('Passphrase').fill(PASSPHRASE);
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog).toBeHidden();
  await saved(phone);
  await phone.reload();
  await expect(phone.getByLabel('Where it goes')).toHaveValue('By the wheel');
  // Else it would go on asking a server that is gone, until the last test is over.
  await phone.context().close();
});

test('on one machine nothing is asked, and the page says how to let a phone in', async ({ page, sill }) => {
  await page.goto(sill.url);
  await page.getByRole('button', { name: 'Other devices' }).click();
  await expect(page.getByRole('dialog', { name: 'Other devices' })).toContainText('npm run passphrase');
});

test('names with markup stay text on every page', async ({ page, sill }) => {
  test.setTimeout(180_000);
  const { job } = (await (await fetch(`${sill.url}/api/jobs/demo`)).json()) as { job: { pieces: object[] } };
  const evil = '<img src=x onerror="window.ran=1"><script>window.ran=1</script>';
  const [piece, ...rest] = job.pieces;
  const answer = await fetch(`${sill.url}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ job: { ...job, name: evil, pieces: [{ ...piece, name: evil, where: evil }, ...rest] } }),
  });
  const { id } = (await answer.json()) as { id: string };
  const stages = ['brief', 'shape', 'parts', 'stock', 'cuts', 'joints', 'build', 'finish', 'packet', 'yard', 'labels'];
  await page.goto(sill.url);
  for (const path of ['/', ...stages.map((stage) => `/jobs/${id}/${stage}`)]) {
    await goWithin(page, path);
    // The list at the yard and the labels name no job.
    const shown = /yard|labels/.test(path) ? page.getByText('2×4').first() : page.getByText(/<img src=x/).first();
    await expect(shown).toBeAttached();
    expect(await page.evaluate(() => 'ran' in window)).toBe(false);
  }
});
