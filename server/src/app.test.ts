import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Express } from 'express';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { SAMPLE_YARD, SAMPLE_YARDS, applyChanges, demoJob, set } from '@sill/core';
import { makeApp } from './app';
import { openDatabase } from './database';
import { seed } from './seed';

let folder: string;
let database: Knex;
let app: Express;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-'));
  database = await openDatabase(join(folder, 'test.db'));
  await seed(database, 'one');
  app = makeApp({ database, log: pino({ level: 'silent' }) });
});
afterEach(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});

const get = (path: string) => request(app).get(path).set('Host', 'localhost');
const send = (method: 'post' | 'put' | 'delete', path: string) => request(app)[method](path).set('Host', 'localhost');

describe('the database', () => {
  test('runs in WAL with foreign keys, and migrates once', async () => {
    expect(await database.raw('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(await database.raw('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    await database.destroy();
    database = await openDatabase(join(folder, 'test.db'));
    expect(await database('jobs').where({ id: 'demo' }).first()).toBeDefined();
  });

  test('seeding again changes nothing that a person changed', async () => {
    await send('put', '/api/jobs/demo')
      .send({ revision: 1, job: { ...demoJob(), name: 'Mine' } })
      .expect(200);
    await seed(database, 'one');
    expect((await get('/api/jobs/demo')).body.job.name).toBe('Mine');
  });
});

describe('jobs', () => {
  test('make, list, read, save, go back', async () => {
    const made = (await send('post', '/api/jobs').send({ job: demoJob() }).expect(201)).body;
    expect(made).toMatchObject({ revision: 1, job: { name: 'Kiln Lane pottery room' } });
    const listed = (await get('/api/jobs').expect(200)).body;
    expect(listed).toHaveLength(2);
    expect(listed[0]).toMatchObject({
      name: 'Kiln Lane pottery room',
      pieces: ['Glaze table', 'Ware shelf', 'Window bench', 'Drawer cart'],
    });

    const job = applyChanges(demoJob(), [set(null, ['name'], 'Shelf')]);
    const answer = (await send('put', `/api/jobs/${made.id}`).send({ revision: 1, job }).expect(200)).body;
    expect(answer).toMatchObject({ id: made.id, revision: 2 });
    expect((await get(`/api/jobs/${made.id}`)).body).toMatchObject({ revision: 2, job });

    const revisions = (await get(`/api/jobs/${made.id}/revisions`).expect(200)).body;
    expect(revisions.map((row: { revision: number }) => row.revision)).toEqual([2, 1]);
    expect((await get(`/api/jobs/${made.id}/revisions/1`).expect(200)).body.job.name).toBe('Kiln Lane pottery room');
    await get(`/api/jobs/${made.id}/revisions/9`).expect(404);
  });

  test('two tabs saving at once: one is saved, the other is told and given both', async () => {
    const save = (name: string) => send('put', '/api/jobs/demo').send({ revision: 1, job: { ...demoJob(), name } });
    const answers = await Promise.all([save('left'), save('right')]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409]);
    const [saved, told] = answers[0]!.status === 200 ? answers : [answers[1]!, answers[0]!];
    expect(told.body.error).toMatchObject({ code: 'stale', current: { revision: 2 } });
    const now = (await get('/api/jobs/demo')).body;
    expect(now.revision).toBe(saved.body.revision);
    expect(told.body.error.current.job.name).toBe(now.job.name);
  });

  test('copy, remove, bring back', async () => {
    const copy = (await send('post', '/api/jobs/demo/copy').expect(201)).body;
    expect(copy.job.name).toBe('Kiln Lane pottery room (copy)');
    await send('delete', `/api/jobs/${copy.id}`).expect(204);
    await get(`/api/jobs/${copy.id}`).expect(404);
    await send('put', `/api/jobs/${copy.id}`).send({ revision: 1, job: demoJob() }).expect(404);
    expect((await get('/api/jobs')).body).toHaveLength(1);
    await send('post', `/api/jobs/${copy.id}/restore`).expect(200);
    expect((await get(`/api/jobs/${copy.id}`)).body.job.name).toBe('Kiln Lane pottery room (copy)');
    await send('post', '/api/jobs/none/restore').expect(404);
  });
});

describe('bad input: one error shape, nothing changed', () => {
  const before = async () => JSON.stringify((await get('/api/jobs/demo')).body);

  test.each([
    [
      'a size of zero',
      (job: ReturnType<typeof demoJob>) => applyChanges(job, [set('glaze', ['size', 'length'], 0)]),
      'pieces 1, size, length',
      'at least 1',
    ],
    [
      'a negative size',
      (job: ReturnType<typeof demoJob>) => applyChanges(job, [set('bench', ['size', 'width'], -5)]),
      'pieces 3, size, width',
      'at least 1',
    ],
    [
      'a huge size',
      (job: ReturnType<typeof demoJob>) => applyChanges(job, [set('bench', ['size', 'height'], 1e12)]),
      'pieces 3, size, height',
      'at most',
    ],
    [
      'letters',
      (job: ReturnType<typeof demoJob>) => applyChanges(job, [set('bench', ['size', 'height'], 'tall' as never)]),
      'pieces 3, size, height',
      'must be a number',
    ],
    ['no name', (job: ReturnType<typeof demoJob>) => ({ ...job, name: '' }), 'name', 'must not be empty'],
    [
      'a newer version',
      (job: ReturnType<typeof demoJob>) => ({ ...job, format: 'sill-plan/job@13' }),
      'format',
      'must be sill-plan/job@12',
    ],
    ['another kind of file', () => ({ format: 'something/else@1' }), 'format', 'must be sill-plan/job@12'],
    ['nothing', () => null, 'format', 'must be sill-plan/job@12'],
  ])('%s', async (_, spoil, field, message) => {
    const was = await before();
    const answer = await send('put', '/api/jobs/demo').send({ revision: 1, job: spoil(demoJob()) });
    expect(answer.status).toBe(422);
    expect(answer.body.error).toMatchObject({ code: 'invalid', message: expect.any(String) });
    expect(answer.body.error.fields[0].field).toBe(field);
    expect(answer.body.error.fields[0].message).toContain(message);
    expect(await before()).toBe(was);
  });

  test('a body of 50 MB', async () => {
    const was = await before();
    const answer = await send('put', '/api/jobs/demo')
      .set('Content-Type', 'application/json')
      .send(`{"revision":1,"job":"${'x'.repeat(50 * 1024 * 1024)}"}`);
    expect(answer.status).toBe(413);
    expect(answer.body.error).toMatchObject({ code: 'too-large' });
    expect(await before()).toBe(was);
  });

  test('half a body', async () => {
    const answer = await send('put', '/api/jobs/demo').set('Content-Type', 'application/json').send('{"revision":1,');
    expect(answer.status).toBe(400);
    expect(answer.body.error).toMatchObject({ code: 'not-json', fields: [] });
  });

  test('an unknown address, another site, another host name', async () => {
    expect((await get('/api/nothing').expect(404)).body.error.code).toBe('not-found');
    expect((await get('/api/jobs').set('Origin', 'http://elsewhere.example').expect(403)).body.error.code).toBe(
      'forbidden',
    );
    await request(app).get('/api/jobs').set('Host', 'elsewhere.example').expect(403);
  });

  test('too many requests', async () => {
    app = makeApp({ database, log: pino({ level: 'silent' }), perMinute: 2 });
    await get('/api/health').expect(200);
    await get('/api/health').expect(200);
    expect((await get('/api/health').expect(429)).body.error.code).toBe('too-many');
  });

  test('what was not foreseen is told without its inside', async () => {
    await database.schema.dropTable('job_revisions');
    const answer = await send('put', '/api/jobs/demo').send({ revision: 1, job: { ...demoJob(), name: 'x' } });
    expect(answer.status).toBe(500);
    expect(JSON.stringify(answer.body)).not.toMatch(/sqlite|table|job_revisions/i);
    expect((await get('/api/jobs/demo')).body.job.name).toBe('Kiln Lane pottery room');
  });
});

describe('yards and shops', () => {
  test('read, save, refuse a stale save, make another', async () => {
    const rows = (await get('/api/yards').expect(200)).body as { id: string }[];
    expect(rows.map(({ id }) => id)).toEqual(SAMPLE_YARDS.map(({ id }) => id).sort());
    const row = rows.find(({ id }) => id === SAMPLE_YARD.id)!;
    expect(row).toMatchObject({ id: SAMPLE_YARD.id, revision: 1, value: { name: SAMPLE_YARD.name } });
    const value = { ...SAMPLE_YARD, tax: 7 };
    await send('put', `/api/yards/${row.id}`).send({ revision: 1, value }).expect(200);
    expect((await get(`/api/yards/${row.id}`)).body).toMatchObject({ revision: 2, value: { tax: 7 } });
    const stale = await send('put', `/api/yards/${row.id}`).send({ revision: 1, value });
    expect(stale.body.error).toMatchObject({ code: 'stale', current: { revision: 2 } });
    await send('put', '/api/yards/other').send({ revision: 0, value }).expect(200);
    const ids = (await get('/api/yards').expect(200)).body.map(({ id }: { id: string }) => id);
    expect(ids).toEqual(['other', ...SAMPLE_YARDS.map(({ id }) => id)].sort());
    expect((await get('/api/shops').expect(200)).body).toHaveLength(1);
  });

  test('the shop sensor that ships says that its readings are invented, and reads as a shop does', async () => {
    const { body } = await get('/api/shop-air?day=2026-01-24&press=3').expect(200);
    expect(body).toMatchObject({ simulated: true });
    expect(body.temperature).toBeGreaterThan(35);
    expect(body.humidity).toBeLessThanOrEqual(100);
    expect((await get('/api/shop-air?day=2026-01-24&press=3')).body).toEqual(body);
    await get('/api/shop-air?day=tomorrow').expect(400);
  });

  test('the tape that ships says that its readings are invented', async () => {
    const { body } = await get('/api/tape?about=243840&press=3').expect(200);
    expect(body).toEqual({ length: expect.any(Number), simulated: true });
    // Up to 1/16 in off what it is held at, on a mark of 1/64.
    expect(Math.abs(body.length - 243840)).toBeLessThanOrEqual(508);
    expect(body.length % 127).toBe(0);
  });

  test('the rack is kept, and a piece without a length is refused by name', async () => {
    const piece = {
      id: 'h1',
      material: '2x4',
      length: 8128 * 41,
      width: 28448,
      count: 2,
      squared: true,
      bad: [{ from: 0, to: 8128 }],
      where: 'under the stairs',
      note: '',
    };
    expect((await get('/api/racks').expect(200)).body).toEqual([]);
    await send('put', '/api/racks/rack')
      .send({ revision: 0, value: { pieces: [piece] } })
      .expect(200);
    expect((await get('/api/racks').expect(200)).body[0].value).toEqual({ pieces: [piece], cans: [] });
    const bad = await send('put', '/api/racks/rack').send({
      revision: 1,
      value: { pieces: [piece, { ...piece, id: 'h2', length: undefined }] },
    });
    expect(bad.status).toBe(422);
    expect(bad.body.error.fields).toEqual([{ field: 'pieces 2, length', message: 'is missing' }]);
  });

  test('a bad price names its row', async () => {
    const boards = SAMPLE_YARD.boards.map((offer, at) => (at === 2 ? { ...offer, price: -1 } : offer));
    const answer = await send('put', `/api/yards/${SAMPLE_YARD.id}`).send({
      revision: 1,
      value: { ...SAMPLE_YARD, boards },
    });
    expect(answer.status).toBe(422);
    expect(answer.body.error.fields).toEqual([{ field: 'boards 3, price', message: 'must be at least 0' }]);
    await send('put', '/api/yards/..%2f').send({ revision: 0, value: SAMPLE_YARD }).expect(422);
    await get('/api/yards/none').expect(404);
  });
});

test('a strict content policy on every answer', async () => {
  const { headers } = await get('/api/health').expect(200);
  const policy = headers['content-security-policy']!;
  expect(policy).toContain("default-src 'none'");
  // Only what WebAssembly needs.
  expect(policy.replace("'wasm-unsafe-eval'", '')).not.toMatch(/unsafe|https?:|\*/);
  expect(headers['x-content-type-options']).toBe('nosniff');
});
