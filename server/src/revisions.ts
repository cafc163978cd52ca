import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { differences, type Job } from '@sill/core';
import type { Revision } from '@sill/core/contract';

/** Who made a save, and what it changed. */
type Note = Pick<Revision, 'by' | 'changed'>;
export type RevisionRow = {
  job_id: string;
  revision: number;
  data: string;
  saved_at: string;
  made_by: string | null;
  changed: string | null;
};

/** Price lists are the bulk of a job and hardly change: a save refers to their content, which is stored once. */
type Reference = { readonly content: string };
const isReference = (value: unknown): value is Reference => typeof (value as Reference | null)?.content === 'string';

async function stored(within: Knex, value: unknown): Promise<Reference> {
  const data = JSON.stringify(value);
  const hash = createHash('sha256').update(data).digest('hex');
  await within('contents').insert({ hash, data }).onConflict('hash').ignore();
  return { content: hash };
}

/** A job as an older save keeps it: its price lists by reference. */
export async function compact(within: Knex, job: Job): Promise<string> {
  const alsoAt = await Promise.all(job.alsoAt.map((yard) => stored(within, yard)));
  return JSON.stringify({ ...job, yard: await stored(within, job.yard), alsoAt });
}

/** What `compact` made, whole again. Saves of older programs hold their price lists themselves. */
export async function whole(database: Knex, data: string): Promise<unknown> {
  const job = JSON.parse(data) as { yard: unknown; alsoAt?: unknown };
  const full = async (value: unknown): Promise<unknown> => {
    if (!isReference(value)) return value;
    const row = await database<{ hash: string; data: string }>('contents').where({ hash: value.content }).first();
    return row ? (JSON.parse(row.data) as unknown) : value;
  };
  const { alsoAt } = job;
  return {
    ...job,
    yard: await full(job.yard),
    ...(Array.isArray(alsoAt) ? { alsoAt: await Promise.all(alsoAt.map(full)) } : {}),
  };
}

/** Places told of what a save changed. */
const MOST_TOLD = 6;

/** What a save changed, as it is kept with it. */
export function changedFrom(before: unknown, job: Job): string {
  const all = differences(before, job).map(({ path }) => path);
  return JSON.stringify({ count: all.length, first: all.slice(0, MOST_TOLD) });
}

export const noteOf = ({ made_by, changed }: RevisionRow): Note => ({
  by: made_by,
  changed: changed === null ? null : (JSON.parse(changed) as Note['changed']),
});

/** Lets go of contents that no save refers to any more. How many went. */
export const clearContents = (database: Knex): Promise<number> =>
  database('contents')
    .whereNotExists(
      database('job_revisions').whereRaw('instr(job_revisions.data, contents.hash) > 0').select(database.raw('1')),
    )
    .delete();

const HOUR = 3_600_000;
/** Every save of the last day is kept, then the last of each hour for a week, then the last of each day. */
const bucketOf = (age: number, at: number): string =>
  age < 24 * HOUR
    ? 'all'
    : age < 7 * 24 * HOUR
      ? `hour ${Math.floor(at / HOUR)}`
      : `day ${Math.floor(at / (24 * HOUR))}`;

/**
 * Revisions that may go, by age; the first and the newest never do.
 *
 * @param now milliseconds since 1970, as in `saved_at`.
 */
export function spent(rows: readonly Pick<RevisionRow, 'revision' | 'saved_at'>[], now: number): readonly number[] {
  const sorted = [...rows].sort((a, b) => b.revision - a.revision);
  const seen = new Set<string>();
  return sorted.flatMap(({ revision, saved_at }, index) => {
    const at = Date.parse(saved_at);
    const bucket = bucketOf(now - at, at);
    const isLast = !seen.has(bucket);
    seen.add(bucket);
    return isLast || bucket === 'all' || index === 0 || index === sorted.length - 1 ? [] : [revision];
  });
}

/** Lets go of older saves of a job that are spent. */
export async function thin(database: Knex, job_id: string, now: number): Promise<number> {
  const rows = await database<RevisionRow>('job_revisions').where({ job_id }).select('revision', 'saved_at');
  const gone = spent(rows, now);
  for (let at = 0; at < gone.length; at += 500)
    await database('job_revisions')
      .where({ job_id })
      .whereIn('revision', gone.slice(at, at + 500))
      .delete();
  return gone.length;
}
