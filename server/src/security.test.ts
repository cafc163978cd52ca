import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { demoJob } from '@sill/core';
import { setPassphrase } from './access/devices';
import { makeApp } from './app';
import { openDatabase } from './database';
import { seed } from './seed';

const PASSPHRASE = 'glaze kettle ninety birch';
let folder: string;
let database: Knex;
let logged: string;
const log = pino({ level: 'trace' }, { write: (line: string) => (logged += line) });

beforeEach(async () => {
  logged = '';
  folder = mkdtempSync(join(tmpdir(), 'sill-security-'));
  database = await openDatabase(join(folder, 'jobs.db'));
  await seed(database, 'one');
});
afterEach(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});
const ask = (server: ReturnType<typeof makeApp>, method: 'get' | 'post' | 'put' | 'delete' | 'patch', path: string) =>
  request(server)[method](path).set('Host', 'localhost');

test('every row of docs/security.md names a test that there is', () => {
  const root = join(__dirname, '..', '..');
  const text = readFileSync(join(root, 'docs/security.md'), 'utf8');
  const rows = text.split('\n').filter((line) => /^\| \d+\.\d+\.\d+/.test(line));
  expect(rows.length).toBeGreaterThan(40);
  for (const row of rows) {
    const [, file, title] = /`([^`]+)`: (.+?) \|$/.exec(row) ?? [row, '', ''];
    expect([row, existsSync(join(root, file!))]).toEqual([row, true]);
    expect([row, readFileSync(join(root, file!), 'utf8').includes(title!)]).toEqual([row, true]);
  }
});

test('every answer says what it is, and that nothing else is to be made of it', async () => {
  const server = makeApp({ database, log });
  for (const [method, path] of [
    ['get', '/api/jobs'],
    ['get', '/api/jobs/none'],
    ['post', '/api/jobs'],
    ['get', '/api/nothing'],
    ['delete', '/api/jobs/none'],
  ] as const) {
    const { headers } = await ask(server, method, path);
    expect(headers['content-type']).toBe('application/json; charset=utf-8');
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['referrer-policy']).toBe('no-referrer');
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(headers['content-security-policy']).toContain("default-src 'none'");
    expect(headers['x-powered-by']).toBeUndefined();
    expect(headers['access-control-allow-origin']).toBeUndefined();
  }
});

test('methods that an address does not have do nothing', async () => {
  const server = makeApp({ database, log });
  await ask(server, 'patch', '/api/jobs/demo').send({ name: 'x' }).expect(404);
  await ask(server, 'delete', '/api/yards/kiln').expect(404);
  await ask(server, 'post', '/api/jobs/demo').send({}).expect(404);
  expect((await ask(server, 'get', '/api/jobs/demo').expect(200)).body.revision).toBe(1);
});

test('what is asked is never taken for a command: quotes, dots, other types, keys of every object', async () => {
  const server = makeApp({ database, log });
  for (const id of ["' OR 1=1 --", "demo'; DROP TABLE jobs; --", '..%2f..%2fetc%2fpasswd', '__proto__', 'constructor'])
    await ask(server, 'get', `/api/jobs/${encodeURIComponent(id)}`).expect(404);
  for (const query of ['removed[]=1', 'removed[a]=1', "before=x'%20y", 'limit=0', 'limit=1;drop'])
    expect([query, (await ask(server, 'get', `/api/jobs?${query}`)).status < 500]).toEqual([query, true]);
  const body = '{"job":{"__proto__":{"polluted":1},"constructor":{"prototype":{"polluted":1}}}}';
  await ask(server, 'post', '/api/jobs').set('Content-Type', 'application/json').send(body).expect(422);
  expect(({} as { polluted?: number }).polluted).toBeUndefined();
  // Fields that are not of a job are not stored with it.
  const made = await ask(server, 'post', '/api/jobs')
    .send({ job: { ...demoJob(), role: 'admin' } })
    .expect(201);
  expect(JSON.stringify(made.body)).not.toContain('admin');
  expect(await database('jobs').count({ n: '*' }).first()).toEqual({ n: 2 });
});

test('forms and other kinds of body are not read as requests', async () => {
  const server = makeApp({ database, log });
  const before = (await database('jobs').count({ n: '*' }).first())!;
  for (const type of ['application/x-www-form-urlencoded', 'text/plain', 'multipart/form-data; boundary=x'])
    await ask(server, 'post', '/api/jobs')
      .set('Content-Type', type)
      .send(JSON.stringify({ job: demoJob() }))
      .expect(422);
  expect(await database('jobs').count({ n: '*' }).first()).toEqual(before);
});

test('neither passphrases nor tokens are logged', async () => {
  await setPassphrase(database, PASSPHRASE, 2 ** 10);
  const server = makeApp({ database, log, beyond: { addresses: [], secure: false } });
  const enter = (passphrase: string) =>
    ask(server, 'post', '/api/access/session').send({ passphrase, device: 'phone in the apron' });
  await enter('a wrong passphrase').expect(403);
  const { headers } = await enter(PASSPHRASE).expect(204);
  const cookie = (headers['set-cookie'] as unknown as string[])[0]!.split(';')[0]!;
  await database.schema.renameTable('jobs', 'gone');
  await ask(server, 'get', '/api/jobs/demo').set('Cookie', cookie).expect(500);
  expect(logged).toContain('SQLITE_ERROR');
  for (const secret of [PASSPHRASE, 'a wrong passphrase', cookie.split('=')[1]!, 'phone in the apron'])
    expect(logged).not.toContain(secret);
});
