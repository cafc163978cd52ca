import { chromium } from '@playwright/test';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--enable-unsafe-swiftshader','--use-angle=swiftshader'] });
const shots = JSON.parse(process.argv[2]!);
for (const s of shots) {
  const page = await browser.newPage({ viewport: { width: s.w ?? 1280, height: s.h ?? 800 } });
  page.on('pageerror', (e) => console.log('ERR', e.message));
  page.on('console', (m) => m.type()==='error' && console.log('CON', m.text()));
  await page.goto('http://127.0.0.1:4300'+s.path); await page.waitForTimeout(2500);
  await page.getByRole('button', { name: 'Rehearse' }).click(); await page.waitForTimeout(2500);
  const slider = page.getByRole('slider', { name: 'Where in the work' });
  await slider.fill(String(s.at)); await page.waitForTimeout(2500);
  await page.screenshot({ path: `/tmp/pics/${s.name}.png` });
  await page.close();
}
await browser.close();
