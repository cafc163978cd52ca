import { chromium } from '@playwright/test';

/**
 * Takes pictures of views for a person to look at: `npx tsx e2e/look.ts FOLDER PATH[@WIDTHxHEIGHT][=NAME] ...`,
 * against a server that is already running at SILL_URL.
 */
const [folder, ...views] = process.argv.slice(2);
const base = process.env['SILL_URL'] ?? 'http://127.0.0.1:4173';
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--enable-unsafe-swiftshader', '--use-angle=swiftshader'],
});
for (const view of views) {
  const [, path, width = '1280', height = '800', name] = /^(.*?)(?:@(\d+)x(\d+))?(?:=([\w-]+))?$/.exec(view)!;
  const page = await browser.newPage({ viewport: { width: Number(width), height: Number(height) } });
  page.on(
    'console',
    (message) => ['error', 'warning'].includes(message.type()) && process.stderr.write(`${view}: ${message.text()}\n`),
  );
  page.on('pageerror', (error) => process.stderr.write(`${view}: ${error.message}\n`));
  await page.goto(base + path);
  await page.waitForTimeout(2500);
  await page.getByText('Working out the plan').first().waitFor({ state: 'hidden', timeout: 60_000 });
  await page.waitForTimeout(500);
  await page.screenshot({ path: `${folder}/${name ?? path!.replace(/\W+/g, '-')}.png` });
  await page.close();
}
await browser.close();
