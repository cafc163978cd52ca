import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'] });
for (const [w,h,n] of [[1280,800,'w'],[390,844,'p']] as const) {
  const p = await b.newPage({ viewport: { width: w, height: h } });
  await p.goto('http://127.0.0.1:4300/jobs/demo/build?piece=cart');
  await p.getByRole('button', { name: 'How true' }).click({timeout:60000});
  await p.getByRole('table').waitFor({timeout:60000});
  await p.waitForTimeout(500);
  await p.screenshot({ path: `/tmp/true-${n}.png` });
}
await b.close();
