import type { Knex } from 'knex';
import { DEFAULT_SHOP, SAMPLE_YARDS, demoJob, finishedJob, jobUnderWay, type Job } from '@sill/core';
import { pieceNames } from './migrations';
import { compact } from './revisions';

const PLANNED = ['demo', demoJob()] as const;

/** The demo's jobs by their ids, the one that is shown first the last: one to plan, one under way, one finished. */
const demoJobs = (today: string): readonly (readonly [string, Job])[] => [
  ['demo-finished', finishedJob(today)],
  ['demo-under-way', jobUnderWay(today)],
  PLANNED,
];

/** The sample yards and a usual shop, where there are none yet; and the demo's jobs: all, or the one to plan alone. */
export async function seed(database: Knex, demo: 'none' | 'one' | 'all'): Promise<void> {
  const begun = Date.now();
  const document = (id: string, value: unknown, saved_at = new Date(begun).toISOString()) => ({
    ...{ id, revision: 1, data: JSON.stringify(value), saved_at },
  });
  const yards = SAMPLE_YARDS.map((yard) => document(yard.id, yard));
  await database('yards').insert(yards).onConflict('id').ignore();
  await database('shops').insert(document('usual', DEFAULT_SHOP)).onConflict('id').ignore();
  if (demo === 'none' || (await database('jobs').where({ id: 'demo' }).first())) return;
  const jobs = demo === 'one' ? [PLANNED] : demoJobs(new Date(begun).toISOString().slice(0, 10));
  for (const [at, [id, job]] of jobs.entries()) {
    // The list shows the last saved first.
    const row = document(id, job, new Date(begun - 60_000 * (jobs.length - 1 - at)).toISOString());
    await database.transaction(async (within) => {
      await within('jobs').insert({ ...row, name: job.name, pieces: JSON.stringify(pieceNames(job)) });
      const data = await compact(within, job);
      await within('job_revisions').insert({ job_id: id, revision: 1, data, saved_at: row.saved_at });
    });
  }
}
