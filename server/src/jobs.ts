import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import type { Knex } from 'knex';
import * as v from 'valibot';
import { read, readJob, type Job } from '@sill/core';
import { accepted, ApiError, notFound } from './errors';
import { pieceNames } from './migrations';
import { changedFrom, compact, noteOf, thin, whole, type RevisionRow } from './revisions';

type JobRow = {
  id: string;
  name: string;
  revision: number;
  data: string;
  saved_at: string;
  removed_at: string | null;
  /** Names of its pieces, for the list. */
  pieces: string;
  /** The id that the last save came with. */
  save_id: string | null;
};

/**
 * A job as the API gives it: `revision` goes up by one with every save, `save` is the id that the last one came with, so
 * that a browser whose answer was lost knows its own.
 */
export type SavedJob = {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly save: string | null;
  readonly job: Job;
};

const saved = (row: JobRow): SavedJob => ({
  id: row.id,
  revision: row.revision,
  savedAt: row.saved_at,
  save: row.save_id,
  job: stored(JSON.parse(row.data)),
});

/** A job as it was stored, brought up to today's format where an older program stored it. */
function stored(data: unknown): Job {
  const result = readJob(data);
  if (!result.ok) throw new ApiError(500, 'unreadable', result.message, result.fields);
  return result.value;
}

/** A job in a body, or the error that names its field. */
function jobIn(body: unknown): Job {
  return accepted(readJob((body as { job?: unknown } | undefined)?.job));
}

const label = (most: number) => v.nullish(v.pipe(v.string(), v.maxLength(most)), null);
const SaveSchema = v.object({
  revision: v.pipe(v.number(), v.integer(), v.minValue(1)),
  /** Made up by the browser for each save. */
  save: label(64),
  /** Which browser it is. */
  by: label(80),
});
/** A page of the list: so many, those saved before the last of the page before. */
const PageSchema = v.object({
  removed: v.optional(v.picklist(['0', '1'])),
  before: v.optional(v.pipe(v.string(), v.maxLength(120), v.regex(/^\S+ \S+$/, 'must be a time and an id'))),
  limit: v.optional(v.pipe(v.string(), v.regex(/^[1-9]\d{0,2}$/, 'must be 1 to 999'))),
});
const PAGE = 60;

/** Revisions listed at once; older ones stay in the file and open by number. */
const LISTED = 100;
/** Saves of a job after which its older ones are thinned out. */
const THINNED_EVERY = 50;

/**
 * `/api/jobs`: list by pages, make, read, save, copy, remove and bring back. A save must carry the revision it was made
 * from; where another came between, it is answered 409 with what is saved now, and nothing is overwritten.
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
      pieces: JSON.stringify(pieceNames(job)),
      save_id: null,
    };
    await database.transaction(async (within) => {
      await within('jobs').insert(row);
      const data = await compact(within, job);
      await within('job_revisions').insert({ job_id: id, revision: 1, data, saved_at: row.saved_at });
    });
    return saved(row);
  };

  router.get('/', async (request, response) => {
    const asked = read(PageSchema, request.query, 'request');
    if (!asked.ok) throw new ApiError(400, 'bad-request', asked.message, asked.fields);
    const { removed, before, limit } = asked.value;
    const rows = await jobs()
      .select('id', 'name', 'revision', 'saved_at', 'pieces')
      .where((query) => void (removed === '1' ? query.whereNotNull('removed_at') : query.whereNull('removed_at')))
      .where((query) => {
        if (before === undefined) return;
        const [at, id] = before.split(' ') as [string, string];
        void query.where('saved_at', '<', at).orWhere((same) => void same.where({ saved_at: at }).where('id', '<', id));
      })
      .orderBy([
        { column: 'saved_at', order: 'desc' },
        { column: 'id', order: 'desc' },
      ])
      .limit(Number(limit ?? PAGE));
    response.json(
      rows.map(({ id, name, revision, saved_at, pieces }) => ({
        id,
        revision,
        savedAt: saved_at,
        name,
        pieces: JSON.parse(pieces) as readonly string[],
      })),
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
    const { save, by, revision: based } = accepted(read(SaveSchema, request.body, 'save'));
    const job = jobIn(request.body);
    const revision = based + 1;
    const next = {
      name: job.name,
      revision,
      data: JSON.stringify(job),
      saved_at: now(),
      pieces: JSON.stringify(pieceNames(job)),
      save_id: save,
    };
    const written = await database.transaction(async (within) => {
      const row = await within<JobRow>('jobs').where({ id, revision: based }).whereNull('removed_at').first();
      if (!row) return false;
      await within('jobs').where({ id }).update(next);
      await within<RevisionRow>('job_revisions').insert({
        job_id: id,
        revision,
        data: await compact(within, job),
        saved_at: next.saved_at,
        made_by: by,
        changed: changedFrom(JSON.parse(row.data), job),
      });
      if (revision % THINNED_EVERY === 0) await thin(within, id, Date.now());
      return true;
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
      .select('revision', 'saved_at', 'made_by', 'changed', database.raw('length(data) as size'));
    response.json(
      rows.map((row: RevisionRow & { size: number }) => ({
        revision: row.revision,
        savedAt: row.saved_at,
        size: row.size,
        ...noteOf(row),
      })),
    );
  });

  router.get('/:id/revisions/:revision', async (request, response) => {
    const { id } = request.params;
    await find(id);
    const row = await database<RevisionRow>('job_revisions')
      .where({ job_id: id, revision: Number(request.params.revision) })
      .first();
    if (!row) throw notFound('revision of this job');
    const job = stored(await whole(database, row.data));
    response.json({ id, revision: row.revision, savedAt: row.saved_at, save: null, job });
  });

  return router;
}
