import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import type { Knex } from 'knex';
import { readJob, type Job } from '@sill/core';
import { ROUTES, type JobSummary, type SavedJob } from '@sill/core/contract';
import { accepted, ApiError, notFound } from './errors';
import { pieceNames } from './migrations';
import { serve, type Question } from './serve';
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

const AT = '/jobs';
/** Revisions listed at once; older ones stay in the file and open by number. */
const LISTED = 100;
/** Saves of a job after which its older ones are thinned out. */
const THINNED_EVERY = 50;

const now = () => new Date().toISOString();

/** A job that is there; 404 where none is or it was removed. */
async function find(database: Knex, id: string): Promise<JobRow> {
  const row = await database<JobRow>('jobs').where({ id }).whereNull('removed_at').first();
  if (!row) throw notFound('job');
  return row;
}

async function insert(database: Knex, job: Job): Promise<SavedJob> {
  const row: JobRow = {
    id: randomUUID(),
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
    await within('job_revisions').insert({ job_id: row.id, revision: 1, data, saved_at: row.saved_at });
  });
  return saved(row);
}

/** A page of jobs, the newest save first; `before` is the last of the page before: its time and id. */
async function page(
  database: Knex,
  removed: boolean,
  before: string | undefined,
  limit: number,
): Promise<JobSummary[]> {
  const rows = await database<JobRow>('jobs')
    .select('id', 'name', 'revision', 'saved_at', 'pieces')
    .where((query) => void (removed ? query.whereNotNull('removed_at') : query.whereNull('removed_at')))
    .where((query) => {
      if (before === undefined) return;
      const [at, id] = before.split(' ') as [string, string];
      void query.where('saved_at', '<', at).orWhere((same) => void same.where({ saved_at: at }).where('id', '<', id));
    })
    .orderBy([
      { column: 'saved_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(limit);
  return rows.map(({ id, name, revision, saved_at, pieces }) => ({
    id,
    revision,
    savedAt: saved_at,
    name,
    pieces: JSON.parse(pieces) as string[],
  }));
}

type Save = Question<typeof ROUTES.saveJob>['body'];

/** Writes a save made from revision `revision`; 409 with what is saved now where another came between. */
async function write(database: Knex, id: string, { save, by, revision: based, ...sent }: Save) {
  const job = accepted(readJob(sent.job));
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
    const current = saved(await find(database, id));
    const message =
      'This job was changed in another tab since you opened it. Nothing of yours was lost; choose which to keep.';
    throw new ApiError(409, 'stale', message, [], current);
  }
  return { id, revision, savedAt: next.saved_at };
}

/** The last saves of a job, the newest first, without what is in them. */
async function lastSaves(database: Knex, id: string) {
  const rows = await database('job_revisions')
    .where({ job_id: id })
    .orderBy('revision', 'desc')
    .limit(LISTED)
    .select('revision', 'saved_at', 'made_by', 'changed', database.raw('length(data) as size'));
  return rows.map((row: RevisionRow & { size: number }) => ({
    revision: row.revision,
    savedAt: row.saved_at,
    size: row.size,
    ...noteOf(row),
  }));
}

/**
 * `/api/jobs`: list by pages, make, read, save, copy, remove and bring back. A save must carry the revision it was made
 * from; where another came between, it is answered 409 with what is saved now, and nothing is overwritten.
 */
export function jobsRouter(database: Knex): Router {
  const router = Router();
  const jobs = () => database<JobRow>('jobs');

  serve(router, AT, ROUTES.jobs, ({ query: { removed, before, limit } }) =>
    page(database, removed === '1', before, limit),
  );

  serve(router, AT, ROUTES.makeJob, async ({ body }) => insert(database, accepted(readJob(body.job))));

  serve(router, AT, ROUTES.job, async ({ params: { id } }) => saved(await find(database, id)));

  serve(router, AT, ROUTES.saveJob, ({ params: { id }, body }) => write(database, id, body));

  serve(router, AT, ROUTES.copyJob, async ({ params: { id } }) => {
    const { job } = saved(await find(database, id));
    return insert(database, { ...job, name: `${job.name.slice(0, 110)} (copy)` });
  });

  serve(router, AT, ROUTES.removeJob, async ({ params: { id } }) => {
    await find(database, id);
    await jobs().where({ id }).update({ removed_at: now() });
  });

  serve(router, AT, ROUTES.restoreJob, async ({ params: { id } }) => {
    const count = await jobs().where({ id }).update({ removed_at: null });
    if (count === 0) throw notFound('job');
    return saved(await find(database, id));
  });

  serve(router, AT, ROUTES.revisions, async ({ params: { id } }) => {
    await find(database, id);
    return lastSaves(database, id);
  });

  serve(router, AT, ROUTES.revision, async ({ params: { id, revision } }) => {
    await find(database, id);
    const row = await database<RevisionRow>('job_revisions')
      .where({ job_id: id, revision: Number(revision) })
      .first();
    if (!row) throw notFound('revision of this job');
    const job = stored(await whole(database, row.data));
    return { id, revision: row.revision, savedAt: row.saved_at, save: null, job };
  });

  return router;
}
