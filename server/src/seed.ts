import type { Knex } from 'knex';
import { DEFAULT_SHOP, SAMPLE_YARDS, demoJob } from '@sill/core';
import { pieceNames } from './migrations';
import { compact } from './revisions';

/** The sample yards and a usual shop, where there are none yet; with `demo` also the demo job, under the id "demo". */
export async function seed(database: Knex, demo: boolean): Promise<void> {
  const saved_at = new Date().toISOString();
  const document = (id: string, value: unknown) => ({ id, revision: 1, data: JSON.stringify(value), saved_at });
  const yards = SAMPLE_YARDS.map((yard) => document(yard.id, yard));
  await database('yards').insert(yards).onConflict('id').ignore();
  await database('shops').insert(document('usual', DEFAULT_SHOP)).onConflict('id').ignore();
  if (!demo || (await database('jobs').where({ id: 'demo' }).first())) return;
  const job = demoJob();
  await database.transaction(async (within) => {
    await within('jobs').insert({ ...document('demo', job), name: job.name, pieces: JSON.stringify(pieceNames(job)) });
    await within('job_revisions').insert({ job_id: 'demo', revision: 1, data: await compact(within, job), saved_at });
  });
}
