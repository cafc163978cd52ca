/**
 * `npm run torture -- --minutes N --seed S [--only kills,requests,jobs,files,sessions] [--lanes 1]`: what breaks
 * programs, on purpose. Each ordeal has its share of the time. Prints what was tried, what failed and how to repeat it;
 * ends with code 1 where anything did. Jobs and sessions go in two lanes; with one, how long a page was blocked is a
 * measure of the page and not of its neighbour.
 */
import { numberOf } from '../core/cli/arguments';
import { files } from './files';
import { jobs } from './jobs';
import { kills } from './kills';
import type { Ordeal } from './ordeal';
import { requests } from './requests';
import { sessions } from './sessions';

/** Share of the time, and how many are enough. */
const ORDEALS: Readonly<Record<string, { readonly run: Ordeal; readonly share: number; readonly most: number }>> = {
  kills: { run: kills, share: 2, most: 1000 },
  requests: { run: requests, share: 1, most: 20_000 },
  jobs: { run: jobs, share: 3, most: 10_000 },
  files: { run: files, share: 1, most: 2000 },
  sessions: { run: sessions, share: 3, most: 500 },
};

const at = process.argv.indexOf('--only');
const wanted = at < 0 ? Object.keys(ORDEALS) : (process.argv[at + 1] ?? '').split(',');
const unknown = wanted.filter((name) => !(name in ORDEALS));
if (unknown.length > 0) {
  console.error(`--only must name some of ${Object.keys(ORDEALS).join(', ')}`);
  process.exit(2);
}
const minutes = numberOf('--minutes', 5, 'any');
const seed = numberOf('--seed', 1, 'any');
const lanes = numberOf('--lanes', 2, 'whole');
const shares = wanted.reduce((sum, name) => sum + ORDEALS[name]!.share, 0);
let failed = 0;
for (const name of wanted) {
  const { run, share, most } = ORDEALS[name]!;
  const start = performance.now();
  const until = start + (minutes * 60_000 * share) / shares;
  const { tried, faults, said } = await run({ until, seed, most, lanes });
  failed += faults.length;
  console.log(
    `${name}: ${tried} in ${Math.round((performance.now() - start) / 1000)} s, ${faults.length} failed. ${said}`,
  );
  for (const fault of faults.slice(0, 20)) console.log(`  ${fault}`);
  if (faults.length > 20) console.log(`  and ${faults.length - 20} more`);
}
process.exit(failed > 0 ? 1 : 0);
