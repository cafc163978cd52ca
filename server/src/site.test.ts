import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { makeApp } from './app';
import { openDatabase } from './database';

let folder: string;
let database: Knex;
const app = (onlyHere = true) =>
  makeApp({ database, log: pino({ level: 'silent' }), site: join(folder, 'site'), onlyHere });

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-site-'));
  mkdirSync(join(folder, 'site/assets'), { recursive: true });
  writeFileSync(
    join(folder, 'site/index.html'),
    '<meta nonce="__NONCE__"><script nonce="__NONCE__" src="/assets/a.js"></script>',
  );
  writeFileSync(join(folder, 'site/assets/a.js'), '1');
  writeFileSync(join(folder, 'site/icon.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
  database = await openDatabase(join(folder, 'site.db'));
});
afterAll(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});

const get = (path: string, onlyHere = true) => request(app(onlyHere)).get(path).set('Host', 'localhost:4173');

test('every address of the interface gives the page, under a nonce that is new each time', async () => {
  const pages = [await get('/').expect(200), await get('/jobs/demo/cuts').expect(200)];
  const nonces = pages.map(({ text, headers }) => {
    const nonce = /nonce="([^"]+)"/.exec(text)![1]!;
    expect(text).not.toContain('__NONCE__');
    expect(headers['content-security-policy']).toContain(`script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'`);
    expect(headers['cache-control']).toBe('no-cache');
    return nonce;
  });
  expect(new Set(nonces).size).toBe(2);
});

test('built files are kept for good, missing ones are not the page', async () => {
  const { headers } = await get('/assets/a.js').expect(200);
  expect(headers['cache-control']).toContain('immutable');
  await get('/icon.svg').expect(200);
  await get('/assets/gone.js').expect(404);
  expect((await get('/api/gone').expect(404)).body.error.code).toBe('not-found');
});

test('nothing outside the site is served', async () => {
  const { text } = await get('/assets/..%2f..%2fsite.db');
  expect(text).not.toContain('SQLite');
});

test('open to other machines only where it was told so', async () => {
  await request(app(true)).get('/api/health').set('Host', 'bench.local').expect(403);
  await request(app(false)).get('/api/health').set('Host', 'bench.local').expect(200);
});
