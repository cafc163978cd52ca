import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import type { Knex } from 'knex';
import * as v from 'valibot';
import { read, readJob, type Job } from '@sill/core';
import { ApiError, notFound } from './errors';

type JobRow = { id: string; name: string; revision: number; data: string; saved_at: string; removed_at: string | null };

/** A job as the API gives it: `revision` goes up by one with every save. */
export type SavedJob = { readonly id: string; readonly revision: number; readonly savedAt: string; readonly job: Job };

const saved = (row: JobRow): SavedJob => ({
  id: row.id,
  revision: row.revision,
  savedAt: row.saved_at,
  job: stored(row.data),
});

/** A job as it was stored, brought up to today's format where an older program stored it. */
function stored(data: string): Job {
  const result = readJob(JSON.parse(data));
  if (!result.ok) throw new ApiError(500, 'unreadable', result.message, result.fields);
  return result.value;
}

/** A job in a body, or the error that names its field. */
function jobIn(body: unknown): Job {
  const result = readJob((body as { job?: unknown } | undefined)?.job);
  if (!result.ok) throw new ApiError(422, 'invalid', result.message, result.fields);
  return result.value;
}

const RevisionSchema = v.object({ revision: v.pipe(v.number(), v.integer(), v.minValue(1)) });

/** Revisions listed at once; older ones stay in the file and open by number. */
const LISTED = 100;

/**
 * `/api/jobs`: list, make, read, save, copy, remove and bring back. A save must carry the revision it was made from;
 * where another came between, it is answered 409 with what is saved now, and nothing is overwritten.
 */
export function jobsRouter(database: Knex): Router {
  const router = Router();
  const jobs = () => database<JobRow>('jobs');
  const now = () => new Date().toISOString();

  const find = async (id: string): Promise<JobRow> => {
    const row = await jobs().where({ id }).whereNull('removed_at').first();
    if (!row) throw notFound('job');
    return row;
  };

  const insert = async (job: Job, id: string = randomUUID()): Promise<SavedJob> => {
    const row: JobRow = {
      id,
      name: job.name,
      revision: 1,
      data: JSON.stringify(job),
      saved_at: now(),
      removed_at: null,
    };
    await database.transaction(async (within) => {
      await within('jobs').insert(row);
      await within('job_revisions').insert({ job_id: id, revision: 1, data: row.data, saved_at: row.saved_at });
    });
    return saved(row);
  };

  router.get('/', async (_request, response) => {
    const rows = await jobs().whereNull('removed_at').orderBy('saved_at', 'desc');
    response.json(
      rows.map((row) => {
        const { pieces } = JSON.parse(row.data) as { pieces: readonly { name: string }[] };
        return {
          id: row.id,
          revision: row.revision,
          savedAt: row.saved_at,
          name: row.name,
          pieces: pieces.map((piece) => piece.name),
        };
      }),
    );
  });

  router.post('/', async (request, response) => {
    response.status(201).json(await insert(jobIn(request.body)));
  });

  router.get('/:id', async (request, response) => {
    response.json(saved(await find(request.params.id)));
  });

  router.put('/:id', async (request, response) => {
    const { id } = request.params;
    const based = read(RevisionSchema, request.body, 'save');
    if (!based.ok) throw new ApiError(422, 'invalid', based.message, based.fields);
    const job = jobIn(request.body);
    const revision = based.value.revision + 1;
    const next = { name: job.name, revision, data: JSON.stringify(job), saved_at: now() };
    const written = await database.transaction(async (within) => {
      const count = await within('jobs')
        .where({ id, revision: based.value.revision })
        .whereNull('removed_at')
        .update(next);
      if (count === 1)
        await within('job_revisions').insert({ job_id: id, revision, data: next.data, saved_at: next.saved_at });
      return count === 1;
    });
    if (!written) {
      const current = saved(await find(id));
      const message =
        'This job was changed in another tab since you opened it. Nothing of yours was lost; choose which to keep.';
      throw new ApiError(409, 'stale', message, [], current);
    }
    response.json({ id, revision, savedAt: next.saved_at });
  });

  router.post('/:id/copy', async (request, response) => {
    const { job } = saved(await find(request.params.id));
    response.status(201).json(await insert({ ...job, name: `${job.name.slice(0, 110)} (copy)` }));
  });

  router.delete('/:id', async (request, response) => {
    await find(request.params.id);
    await jobs().where({ id: request.params.id }).update({ removed_at: now() });
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    const count = await jobs().where({ id: request.params.id }).update({ removed_at: null });
    if (count === 0) throw notFound('job');
    response.json(saved(await find(request.params.id)));
  });

  router.get('/:id/revisions', async (request, response) => {
    await find(request.params.id);
    const rows = await database('job_revisions')
      .where({ job_id: request.params.id })
      .orderBy('revision', 'desc')
      .limit(LISTED)
      .select('revision', 'saved_at');
    response.json(rows.map((row: JobRow) => ({ revision: row.revision, savedAt: row.saved_at })));
  });

  router.get('/:id/revisions/:revision', async (request, response) => {
    const { id } = request.params;
    await find(id);
    const row = await database('job_revisions').where({ job_id: id, revision: request.params.revision }).first();
    if (!row) throw notFound('revision of this job');
    response.json(saved({ ...row, id }));
  });

  return router;
}
