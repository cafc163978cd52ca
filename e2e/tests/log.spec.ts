import { readFileSync } from 'node:fs';
import { newJob, newPiece, standingEntries, type Entry, type Job } from '@sill/core';
import { expect, goWithin, made, saved, test, violations, type Page, type Sill } from './server';

/** A small bench of its own, made over HTTP. Returns its id. */
const smallJob = (sill: Sill): Promise<string> =>
  made(sill, { ...newJob('Kiln Lane stool'), pieces: [newPiece('stool', 'bench', 'Low stool')] });
const ledgerOf = async (sill: Sill, id: string): Promise<readonly Entry[]> => {
  const { job } = (await (await fetch(`${sill.url}/api/jobs/${id}`)).json()) as { job: Job };
  return standingEntries(job.ledger);
};
const of = <What extends Entry['what']>(entries: readonly Entry[], what: What) =>
  entries.filter((entry): entry is Extract<Entry, { what: What }> => entry.what === what);

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  /** Works at the bench to its end, or for so many taps: one tap a thing. Returns the taps. */
  async function worked(page: Page, most = 400): Promise<number> {
    const done = page.getByRole('button', { name: /^Done/ });
    let taps = 0;
    while (taps < most && (await done.isVisible())) {
      await page.clock.fastForward('02:00');
      await done.tap();
      taps++;
    }
    return taps;
  }

  test('a whole Saturday: one tap a step and its time is known, three for a mistake, without a signal too', async ({
    page,
    sill,
    context,
  }) => {
    const id = await smallJob(sill);
    await page.clock.install();
    await page.goto(`/jobs/${id}/cuts`);
    await page.getByRole('button', { name: 'At the bench' }).tap();
    const passes = await worked(page);
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect.poll(async () => of(await ledgerOf(sill, id), 'done').length, { timeout: 20_000 }).toBe(passes);
    let ledger = await ledgerOf(sill, id);
    expect(passes).toBeGreaterThan(4);
    expect(of(ledger, 'done')).toHaveLength(passes);
    const atSaw = of(ledger, 'timed');
    expect(atSaw).toHaveLength(passes);
    expect(of(ledger, 'set out')).toHaveLength(1);
    for (const { minutes, work } of atSaw) {
      expect(work).toBe('saw');
      expect(minutes).toBeGreaterThanOrEqual(2);
      expect(minutes).toBeLessThan(3.5);
    }

    await goWithin(page, `/jobs/${id}/build`);
    await expect(page.getByRole('heading', { name: 'Build' })).toBeVisible();
    await page.getByRole('button', { name: 'At the bench' }).tap();
    const before = await worked(page, 6);
    expect(before).toBe(6);
    // Three taps for a mistake: that there was one, which part, what.
    await page.getByRole('button', { name: 'Went wrong' }).tap();
    await page.locator('.thumbs button').first().tap();
    await page.getByRole('button', { name: 'Split' }).first().tap();
    await expect(page.getByText(/^Written down\./)).toBeVisible();

    await context.setOffline(true);
    await worked(page, 5);
    await page.getByRole('button', { name: 'Leave the bench' }).tap();
    await expect(page.getByText(/^Offline\./)).toBeVisible({ timeout: 20_000 });
    await context.setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect
      .poll(async () => of(await ledgerOf(sill, id), 'done').length, { timeout: 30_000 })
      .toBeGreaterThan(passes);
    await saved(page);
    ledger = await ledgerOf(sill, id);
    const [mishap] = of(ledger, 'mishap');
    expect(mishap).toMatchObject({ how: 'split', family: 'bench' });
    expect(mishap!.part).not.toBe('');
    expect(of(ledger, 'timed').filter(({ work }) => work !== 'saw')).toHaveLength(11);
    // Its wood is lost, so another is to be made: the plan is mended around it.
    expect(of(ledger, 'spoiled')).toHaveLength(1);

    await goWithin(page, `/jobs/${id}/log`);
    await expect(page.getByText(/^Went wrong: split/)).toBeVisible();
    await expect(page.getByRole('group', { name: 'Hours' })).toContainText('planned');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await violations(page)).toEqual([]);
  });

  test('a clock that was left on for a night asks how long it was, and counts no night', async ({ page, sill }) => {
    const id = await smallJob(sill);
    await page.clock.install();
    await page.goto(`/jobs/${id}/cuts`);
    await page.getByRole('button', { name: 'At the bench' }).tap();
    await page.clock.fastForward('11:20:00');
    await page.getByRole('button', { name: /^Done/ }).tap();
    await expect(page.getByText(/It has run 11 h 20/)).toBeVisible();
    await page.getByLabel('Minutes worked').fill('9');
    await page.getByRole('button', { name: 'Write it down' }).tap();
    await page.clock.fastForward('03:00');
    await page.getByRole('button', { name: /^Done/ }).tap();
    await expect.poll(async () => of(await ledgerOf(sill, id), 'timed').length, { timeout: 20_000 }).toBe(2);
    const minutes = of(await ledgerOf(sill, id), 'timed').map((one) => one.minutes);
    expect(minutes).toHaveLength(2);
    expect(minutes[0]).toBe(9);
    expect(minutes[1]).toBeLessThan(4);
  });
});

test('the demo has a job under way and one finished; the record says what they teach, and forgets; the finished one on paper and as files', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByText(/^under way since Sat/).first()).toBeVisible();
  await expect(page.getByText(/^finished .* saved$/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Your record' }).click();
  await expect(page.getByText(/^From \d+ timings in \d+ jobs\./)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Hours and money by month\. / })).toBeVisible();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Forget how long you take' }).click();
  await expect(page.getByText(/^No time is recorded, so every range is wide/)).toBeVisible();
  await page.getByRole('button', { name: 'Remember how long you take' }).click();
  await expect(page.getByText(/^From \d+ timings/)).toBeVisible();
  const lesson = page.getByRole('button', { name: /^Forget: Thin the first coat/ });
  await lesson.click();
  await expect(lesson).toHaveCount(0);
  await page.getByRole('button', { name: 'Remember again' }).click();
  await expect(lesson).toBeVisible();

  await goWithin(page, '/jobs/demo-finished/log');
  await expect(page.getByText(/The bought one costs/)).toBeVisible();
  expect(await violations(page)).toEqual([]);
  const file = async (what: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Write down' }).click();
    await page.getByRole('menuitem', { name: what }).click();
    return readFileSync(await (await download).path(), 'utf8');
  };
  const csv = await file('Save the log as CSV');
  expect(csv.split('\n')[0]!.trim()).toBe('day,time,what,words,minutes,minutes planned,dollars');
  expect(csv).toContain('Next time: Thin the first coat; it dragged.');
  const json = JSON.parse(await file('Save the log as JSON')) as {
    format: string;
    entries: Entry[];
    record: { minutes: number };
  };
  expect(json.format).toBe('sill-plan/log@1');
  expect(of(json.entries, 'timed').reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(json.record.minutes, 6);
  await page.getByRole('link', { name: 'Build record' }).click();
  await expect(page.getByRole('heading', { name: 'Hand wheel stand' })).toBeVisible();
  await expect(page.getByLabel('To stick underneath')).toContainText('Finish:');
  expect(await violations(page)).toEqual([]);
});

test('words of an old job come back in the margin of a new one, and the days say between which it is ready', async ({
  warm: page,
  sill,
}) => {
  const id = await smallJob(sill);
  await goWithin(page, `/jobs/${id}/days`);
  await expect(page.getByText(/ to .*, most likely /)).toBeVisible({ timeout: 30_000 });
  await goWithin(page, `/jobs/${id}/cuts`);
  await expect(
    page.getByText('“Set the stop with a steel rule, not with the tape.”', { exact: false }).first(),
  ).toBeVisible();
});
