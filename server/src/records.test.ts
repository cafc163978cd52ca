import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { newJob, type Entry, type JobRecord } from '@sill/core';
import { makeApp } from './app';
import { openDatabase } from './database';

let folder: string;
let database: Knex;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-records-'));
  database = await openDatabase(join(folder, 'records.db'));
});
afterAll(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});

const timed = (id: string, minutes: number): Entry => ({
  ...{ id, at: '2026-10-03T14:00', what: 'timed', of: '', piece: null, work: 'saw', planned: 10, minutes, until: null },
});

test('each job says what was recorded in it: anew after a save, no more once it is removed, nothing where unreadable', async () => {
  const app = makeApp({ database, log: pino({ level: 'silent' }) });
  const records = async () => ((await request(app).get('/api/records').expect(200)).body as JobRecord[]) ?? [];
  expect(await records()).toEqual([]);
  const job = { ...newJob('Shed'), ledger: [timed('a', 12)] };
  const { id } = (await request(app).post('/api/jobs').send({ job }).expect(201)).body as { id: string };
  expect((await records()).map(({ id: of, minutes }) => [of, minutes])).toEqual([[id, 12]]);
  const more = { ...job, ledger: [...job.ledger, timed('b', 30)] };
  await request(app).put(`/api/jobs/${id}`).send({ revision: 1, job: more }).expect(200);
  expect((await records())[0]).toMatchObject({ minutes: 42, times: { saw: { count: 2, planned: 20 } } });
  await database('jobs').insert({
    ...{ id: 'odd', name: 'Odd', revision: 1, data: '{"format":"sill-plan/job@99"}', saved_at: '2026-01-01T00:00:00Z' },
    pieces: '[]',
  });
  expect((await records()).map(({ id: of }) => of)).toEqual([id]);
  await request(app).delete(`/api/jobs/${id}`).expect(204);
  expect(await records()).toEqual([]);
});
