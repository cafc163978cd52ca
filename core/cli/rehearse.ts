/**
 * `npm run rehearse -- --count N --seed S`: random jobs of every family and top, built as their plans say; prints what
 * fails. With `--days` the steps are done in the order of the days.
 */
import { first, nth } from '../src/lists';
import fc from 'fast-check';
import { planJob, rehearse } from '../src';
import { inDaysOrder } from '../src/testing/in-days-order';
import { jobsOf, KINDS } from '../src/testing/jobs';
import { numberOf } from './arguments';

const [count, seed] = [numberOf('--count', 200, 'whole'), numberOf('--seed', 1, 'whole')];
const kinds = new Map<string, number>();
let [done, operations, failed, refused, unsold, troubled] = [0, 0, 0, 0, 0, 0];
// All of a job comes from its own seed, so that `--count 1 --seed S` builds the one that failed again.
for (let own = seed; done + refused < count; own++) {
  const [, family, top] = nth(KINDS, own % KINDS.length);
  const units = own % 3 === 2 ? ('mm' as const) : ('in' as const);
  const [job] = fc.sample(jobsOf(family, top, units), { numRuns: 1, seed: own });
  if (!job) {
    refused++;
    continue;
  }
  done++;
  const name = `${family.id}${top ? ` under ${top.id}` : ''}, ${units}, seed ${own}, ${JSON.stringify(first(job.pieces).joins)}`;
  try {
    const plan = planJob(job, { today: '2026-01-31', effort: 'quick' });
    const found = rehearse(process.argv.includes('--days') ? inDaysOrder(plan) : plan, job);
    operations += found.operations;
    // What the margin already says can not be made, or not reached, is not held against the work order.
    const told = plan.pieces.some(
      ({ fastenings, steps }) =>
        fastenings.some(({ troubles }) => troubles.length > 0) || steps.some(({ noRoom }) => noRoom.length > 0),
    );
    if (plan.buying.unplaced.length > 0) unsold++;
    else if (told) troubled++;
    if (!found.stopped || told || plan.buying.unplaced.length > 0) continue;
    failed++;
    for (const { kind } of found.faults) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
    console.log(
      `${name}\n  ${found.stopped.operation ?? 'at the end'}: ${found.stopped.kind}: ${found.stopped.why} (${found.faults.length} in all)`,
    );
  } catch (error) {
    failed++;
    console.log(`${name}\n  ${error instanceof Error ? error.message : String(error)}`);
  }
}
console.log(
  `${done} jobs rehearsed, ${operations} operations, ${refused} wishes that can not be built, ${unsold} with boards that no yard sells, ${troubled} with joints that the margin calls impossible or out of reach, ${failed} failed`,
);
for (const [kind, times] of [...kinds].sort((a, b) => b[1] - a[1])) console.log(`  ${kind}: ${times}`);
process.exit(failed > 0 ? 1 : 0);
