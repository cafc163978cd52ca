import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { makeApp } from './app';
import { openDatabase } from './database';
import { namesFor } from './settings';

let folder: string;
let database: Knex;
const app = (names: readonly string[] = []) =>
  makeApp({ database, log: pino({ level: 'silent' }), site: join(folder, 'site'), names });

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

const get = (path: string, names: readonly string[] = []) =>
  request(app(names)).get(path).set('Host', 'localhost:4173');

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

test('built anew under a running server, the new page is served', async () => {
  const server = app();
  const page = () => request(server).get('/').set('Host', 'localhost');
  const before = readFileSync(join(folder, 'site/index.html'), 'utf8');
  expect((await page()).text).toContain('/assets/a.js');
  writeFileSync(join(folder, 'site/index.html'), before.replace('a.js', 'b.js'));
  expect((await page()).text).toContain('/assets/b.js');
  writeFileSync(join(folder, 'site/index.html'), before);
});

test('nothing outside the site is served', async () => {
  const { text } = await get('/assets/..%2f..%2fsite.db');
  expect(text).not.toContain('SQLite');
});

test('answers under its own names only, whatever else is pointed here', async () => {
  const ask = (names: readonly string[], host: string) => request(app(names)).get('/api/health').set('Host', host);
  await ask([], 'bench.local').expect(403);
  await ask(['bench.local', '192.168.7.2'], 'Bench.local:4173').expect(200);
  await ask(['bench.local', '192.168.7.2'], '192.168.7.2:4173').expect(200);
  await ask(['bench.local'], 'evil.example').expect(403);
  // Of another site nothing is deleted either.
  await request(app(['bench.local']))
    .delete('/api/jobs/demo')
    .set('Host', 'evil.example')
    .expect(403);
});

test('names of a server that is open to other machines', () => {
  expect(namesFor('127.0.0.1')).toEqual([]);
  expect(namesFor('192.168.7.2')).toEqual(['192.168.7.2']);
  expect(namesFor('0.0.0.0')).toContain('127.0.0.1');
  process.env['SILL_NAMES'] = 'shop.home, shed';
  expect(namesFor('192.168.7.2')).toEqual(['192.168.7.2', 'shop.home', 'shed']);
  delete process.env['SILL_NAMES'];
});
