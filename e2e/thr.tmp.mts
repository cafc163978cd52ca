import { chromium } from 'playwright';
import { readdirSync, readFileSync } from 'node:fs';
const path = process.argv[2] ?? '/jobs/demo/joints';
const wait = Number(process.argv[3] ?? 12000);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--enable-unsafe-swiftshader', ...(process.argv[4] ? [process.argv[4]] : [])] });
const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
const t0 = Date.now();
const all = () => { const f = readFileSync('/proc/stat','utf8').split('\n')[0]!.split(/\s+/); return (Number(f[1])+Number(f[3]))*10; };
const c0 = all();
const dump = (label: string) => {
  const by: Record<string, number> = {};
  for (const pid of readdirSync('/proc').filter((p) => /^\d+$/.test(p))) {
    try {
      const cmd = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
      if (!/headless-shell|headless_shell|main.ts/.test(cmd)) continue;
      const type = /--type=([a-z-]+)/.exec(cmd)?.[1] ?? (/(main.ts)/.test(cmd) ? 'server' : 'browser');
      for (const tid of readdirSync(`/proc/${pid}/task`)) {
        const stat = readFileSync(`/proc/${pid}/task/${tid}/stat`, 'utf8');
        const name = /\((.*)\)/.exec(stat)![1]!;
        const rest = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
        const ms = (Number(rest[11]) + Number(rest[12])) * 10;
        by[`${type}/${name}`] = (by[`${type}/${name}`] ?? 0) + ms;
      }
    } catch { /* gone */ }
  }
  console.log(label, Date.now() - t0, 'ms', 'all', all()-c0, Object.entries(by).filter(([, v]) => v > 60).sort((a, b) => b[1] - a[1]).map(([k, v]) => `${k}=${v}`).join(' '));
};
dump('start');
await page.goto('http://127.0.0.1:4300' + path);
await page.getByRole('heading').first().waitFor();
dump('heading');
await page.waitForTimeout(wait);
dump('settled');
await b.close();
