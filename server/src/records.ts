import { Router } from 'express';
import type { Knex } from 'knex';
import { JOB_FORMAT, readJob, recordOf, type Job, type JobRecord } from '@sill/core';
import { ROUTES } from '@sill/core/contract';
import { serve } from './serve';

type Row = { readonly id: string; readonly revision: number };

/** A stored job; null where it can not be read. What is in today's format was read when it came in. */
function jobOf(data: unknown): Job | null {
  if ((data as { format?: unknown } | null)?.format === JOB_FORMAT) return data as Job;
  const read = readJob(data);
  return read.ok ? read.value : null;
}

/**
 * `/api/records`: what each job says of its builder, the newest save first. Read once for a save; a job that can not be
 * read says nothing.
 */
export function recordsRouter(database: Knex): Router {
  const router = Router();
  const known = new Map<string, { readonly revision: number; readonly record: JobRecord | null }>();

  serve(router, '/records', ROUTES.records, async () => {
    const rows = await database<Row>('jobs')
      .select('id', 'revision')
      .whereNull('removed_at')
      .orderBy('saved_at', 'desc');
    const there = new Set(rows.map(({ id }) => id));
    for (const id of known.keys()) if (!there.has(id)) known.delete(id);
    const records: JobRecord[] = [];
    for (const { id, revision } of rows) {
      let entry = known.get(id);
      if (entry?.revision !== revision) {
        const row = await database('jobs').select('data').where({ id }).first();
        const job = row && jobOf(JSON.parse(row.data as string));
        entry = { revision, record: job ? recordOf(id, job) : null };
        known.set(id, entry);
      }
      if (entry.record) records.push(entry.record);
    }
    return records;
  });

  return router;
}
