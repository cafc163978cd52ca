import { expect, goWithin, jobWith, oneOfDemo, test } from './server';

test.describe('nothing takes the pages down', () => {
  test('a planner that can not be loaded says so, claims nothing, and comes back on asking', async ({ page, sill }) => {
    const job = await oneOfDemo(sill);
    await page.route(/plan\.worker/, (route) => route.abort());
    await page.goto(`/jobs/${job}/cuts`);
    const trouble = page.getByRole('alert').filter({ hasText: 'The plan could not be worked out' });
    await expect(trouble.first()).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save the job as a file' })).toBeVisible();
    await expect(page.getByTestId('tally-spend')).toHaveCount(0);
    // What other jobs teach has come: from here on nothing but a person asks for a plan.
    await page.waitForLoadState('networkidle');
    await page.unroute(/plan\.worker/);
    await page.getByRole('button', { name: 'Work it out again' }).first().click();
    await expect(page.getByTestId('tally-spend')).toContainText('$');
    await expect(trouble).toHaveCount(0);
  });

  test('a page that is gone from the server is told apart, and leads back', async ({ page, sill, troubles }) => {
    const job = await oneOfDemo(sill);
    await page.route(/assets\/Packet-/, (route) => route.abort());
    await page.goto(`/jobs/${job}/packet`);
    await expect(page.getByRole('heading', { name: 'This page could not be loaded' })).toBeVisible();
    await page.getByRole('link', { name: 'To the brief' }).click();
    await expect(page.getByTestId('tally-spend')).toContainText('$');
    // That the file was missing is what this is about: the browser says it too.
    troubles.length = 0;
  });

  test('what can not be bought or built is incomplete wherever a total stands, and named', async ({
    warm: page,
    sill,
  }) => {
    const job = await jobWith(sill, () => ({ size: { length: 200 * 8128, width: 247904, height: 276352 } }));
    await goWithin(page, `/jobs/${job}/stock`);
    await expect(page.getByTestId('tally-spend')).toContainText('incomplete');
    await expect(page.getByTestId('tally-to-buy')).toContainText('incomplete');
    await expect(page.getByText('Incomplete: what is missing stands above')).toBeVisible();
    await expect(page.getByText('nothing on sale or on hand gives them').first()).toBeVisible();
    await expect(page.getByText('under budget')).toHaveCount(0);
    await goWithin(page, `/jobs/${job}/yard`);
    await expect(page.getByText('Spend, incomplete')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Not to be had here' })).toBeVisible();
    await goWithin(page, `/jobs/${job}/packet`);
    await expect(page.getByText('Total, incomplete').first()).toBeVisible();
  });

  test('a split sheet on hand: the stages go on, also after loading anew', async ({ page, sill }) => {
    const job = await oneOfDemo(sill, 'cart');
    await page.goto(`/jobs/${job}/stock`);
    await page.getByRole('button', { name: 'On hand' }).click();
    await page.getByLabel('What lies there').fill('3/4 plywood 96 x 48, split last 3');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('table', { name: 'On hand for this job' })).toContainText('3/4 plywood');
    for (const go of [(path: string) => goWithin(page, path), (path: string) => page.goto(path)]) {
      await go(`/jobs/${job}/cuts`);
      await expect(page.getByTestId('tally-spend')).toContainText('$');
      await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
      await expect(page.getByRole('alert')).toHaveCount(0);
    }
  });
});
