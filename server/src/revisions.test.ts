import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { demoJob, type Job } from '@sill/core';
import { makeApp } from './app';
import { openDatabase } from './database';
import { clearContents, spent, thin } from './revisions';
import { seed } from './seed';

let folder: string;
let database: Knex;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-'));
  database = await openDatabase(join(folder, 'test.db'));
  await seed(database, 'one');
});
afterEach(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});
const app = () => makeApp({ database, log: pino({ level: 'silent' }) });
const get = (path: string) => request(app()).get(path).set('Host', 'localhost');
const put = (revision: number, job: Job, more: object = {}) =>
  request(app())
    .put('/api/jobs/demo')
    .set('Host', 'localhost')
    .send({ revision, job, ...more });

test('a save tells who made it and what it changed; its own id comes back with the job', async () => {
  const job = { ...demoJob(), name: 'Mine', budget: 5 };
  await put(1, job, { save: 'abc', by: 'Chrome on Linux' }).expect(200);
  expect((await get('/api/jobs/demo')).body).toMatchObject({ revision: 2, save: 'abc' });
  const [row] = (await get('/api/jobs/demo/revisions')).body;
  expect(row).toMatchObject({
    revision: 2,
    by: 'Chrome on Linux',
    changed: { count: 2, first: [['name'], ['budget']] },
  });
  const stale = await put(1, job, { save: 'other' }).expect(409);
  expect(stale.body.error.current.save).toBe('abc');
});

test('a price list is stored once, and an older save is whole all the same', async () => {
  for (let revision = 1; revision <= 20; revision++)
    await put(revision, { ...demoJob(), name: `n${revision}` }).expect(200);
  expect(await database('contents').count('* as n')).toEqual([{ n: 1 }]);
  expect((await get('/api/jobs/demo/revisions/5')).body.job).toEqual({ ...demoJob(), name: 'n4' });
  const [{ bytes }] = await database.raw('select sum(length(data)) as bytes from job_revisions');
  expect(bytes).toBeLessThan(21 * JSON.stringify(demoJob()).length * 0.7);
});

test('contents go when no save refers to them any more', async () => {
  const other = demoJob();
  await put(1, { ...other, yard: { ...other.yard, name: 'Another yard' } }).expect(200);
  expect(await clearContents(database)).toBe(0);
  await database('job_revisions').where({ revision: 2 }).delete();
  expect(await clearContents(database)).toBe(1);
  expect((await get('/api/jobs/demo/revisions/1')).body.job).toEqual(demoJob());
});

test('a save of an older program, with its prices inside, still opens', async () => {
  await database('job_revisions')
    .where({ job_id: 'demo', revision: 1 })
    .update({ data: JSON.stringify(demoJob()), changed: null });
  expect((await get('/api/jobs/demo/revisions/1')).body.job).toEqual(demoJob());
});

const HOUR = 3_600_000;
const now = Date.parse('2026-11-27T12:00:00Z');
const at = (hours: number, revision: number) => ({ revision, saved_at: new Date(now - hours * HOUR).toISOString() });

test('older saves thin out: all of a day, one an hour for a week, one a day; first and newest stay', () => {
  const rows = [
    at(2000, 1),
    at(500.3, 2),
    at(500.2, 3),
    at(500.1, 4),
    at(50.2, 5),
    at(50.1, 6),
    at(49.4, 7),
    at(3.2, 8),
    at(3.1, 9),
    at(0, 10),
  ];
  expect([...spent(rows, now)].sort((a, b) => a - b)).toEqual([2, 3, 5]);
  expect(spent([], now)).toEqual([]);
});

test('thinning lets go of exactly those', async () => {
  for (let revision = 1; revision <= 4; revision++) await put(revision, { ...demoJob(), name: `n${revision}` });
  await database('job_revisions')
    .whereIn('revision', [2, 3])
    .update({ saved_at: new Date(now - 500 * HOUR).toISOString() });
  expect(await thin(database, 'demo', now)).toBe(1);
  expect(
    (await database('job_revisions').orderBy('revision').select('revision')).map(({ revision }) => revision),
  ).toEqual([1, 3, 4, 5]);
});

test('the list comes in pages, each job once, the newest first; removed ones have their own', async () => {
  const row = { name: 'n', revision: 1, data: JSON.stringify(demoJob()), pieces: '["One"]', removed_at: null };
  await database('jobs').insert(
    Array.from({ length: 130 }, (_, n) => ({
      ...row,
      id: `j${n}`,
      saved_at: new Date(now - (n % 50) * HOUR).toISOString(),
    })),
  );
  const seen: string[] = [];
  for (let before = ''; ;) {
    const page = (await get(`/api/jobs?limit=40${before}`).expect(200)).body as { id: string; savedAt: string }[];
    if (page.length === 0) break;
    seen.push(...page.map(({ id }) => id));
    before = `&before=${encodeURIComponent(`${page.at(-1)!.savedAt} ${page.at(-1)!.id}`)}`;
  }
  expect(seen).toHaveLength(131);
  expect(new Set(seen).size).toBe(131);
  expect((await get('/api/jobs?removed=1')).body).toEqual([]);
  await database('jobs')
    .where({ id: 'j5' })
    .update({ removed_at: new Date(now).toISOString() });
  expect((await get('/api/jobs?removed=1')).body).toMatchObject([{ id: 'j5', pieces: ['One'] }]);
  await get('/api/jobs?limit=0').expect(400);
  await get('/api/jobs?before=x').expect(400);
});

test('a number that can not be read back is refused, not stored', async () => {
  const text = JSON.stringify({ revision: 1, job: { ...demoJob(), budget: 77_777 } }).replace('77777', '1e999');
  const answer = await request(app())
    .put('/api/jobs/demo')
    .set('Host', 'localhost')
    .set('Content-Type', 'application/json')
    .send(text);
  expect(answer.status).toBe(422);
  expect(answer.body.error.message).toContain('budget');
  expect((await get('/api/jobs/demo')).body.revision).toBe(1);
});
