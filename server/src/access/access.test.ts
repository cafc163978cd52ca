import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { request as askByHttps } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import { generate } from 'selfsigned';
import request from 'supertest';
import { ROUTES, type RouteName } from '@sill/core/contract';
import { makeApp } from '../app';
import { backupTo } from '../backup';
import { openDatabase, settle } from '../database';
import { seed } from '../seed';
import { addressesFor, tlsFrom } from '../settings';
import { builtProgram } from '../testing/built-program';
import { deviceOf, setPassphrase, signedInDevices, signIn } from './devices';
import { faultOf, hashed, madePassphrase, matches } from './passphrase';

const ROOT = join(__dirname, '..', '..', '..');
const PASSPHRASE = 'glaze kettle ninety birch';
/** Of a try, where its cost is not what is tested: what is stored says what it was made with. */
const CHEAP = 2 ** 10;
const log = pino({ level: 'silent' });
let folder: string;
let database: Knex;
/** A server of its own for a test: tries are counted in it. */
const open = (secure = false) =>
  makeApp({ database, log, names: ['bench.local'], beyond: { addresses: ['http://bench.local:4173'], secure } });
type Server = ReturnType<typeof open>;

/** A database with the demo and the passphrase, made once; each test has a copy of it. */
const made = mkdtempSync(join(tmpdir(), 'sill-access-'));
beforeAll(async () => {
  const first = await openDatabase(join(made, 'access.db'));
  await seed(first, 'one');
  await setPassphrase(first, PASSPHRASE, CHEAP);
  await settle(first);
  await first.destroy();
});
afterAll(() => rmSync(made, { recursive: true }));
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-access-'));
  copyFileSync(join(made, 'access.db'), join(folder, 'access.db'));
  database = await openDatabase(join(folder, 'access.db'));
});
afterEach(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});

const ask = (server: Server, method: 'get' | 'post' | 'put' | 'delete', path: string, cookie = '') =>
  request(server)[method](path).set('Host', 'bench.local').set('Cookie', cookie);
const enter = (server: Server, passphrase: string, device = 'phone', cookie = '') =>
  ask(server, 'post', '/api/access/session', cookie).send({ passphrase, device });
const cookieOf = (answer: { headers: Record<string, unknown> }) =>
  (answer.headers['set-cookie'] as readonly string[])[0]!.split(';')[0]!;

test('without signing in every address but health, access and the page is refused, whatever it does', async () => {
  const server = open();
  const unguarded: readonly RouteName[] = ['health', 'access', 'signIn'];
  const guarded = (Object.keys(ROUTES) as RouteName[]).filter((name) => !unguarded.includes(name));
  expect(guarded.length).toBeGreaterThan(25);
  for (const name of guarded) {
    const { method: verb, path: way } = ROUTES[name];
    const method = verb.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
    const path = `/api${way.replace(/:\w+/g, 'demo')}`;
    const { status, body } = await ask(server, method, path, 'sill=forged');
    expect([path, status, body.error?.code]).toEqual([path, 401, 'sign-in']);
  }
  expect((await ask(server, 'get', '/api/nothing').expect(401)).body.error.code).toBe('sign-in');
  expect((await ask(server, 'get', '/api/access').expect(200)).body).toEqual({ beyond: true, device: null });
  await ask(server, 'get', '/api/health').expect(200);
});

test('signed in with the passphrase: the cookie is of this site alone, and no script reads it', async () => {
  const server = open();
  expect((await enter(server, `${PASSPHRASE} `).expect(403)).body.error.message).toBe('This is not the passphrase.');
  const answer = await enter(server, PASSPHRASE).expect(204);
  expect(answer.headers['set-cookie']![0]).toMatch(
    /^sill=[\w-]{43}; Max-Age=2592000; Path=\/; .*HttpOnly; SameSite=Strict$/,
  );
  const cookie = cookieOf(answer);
  expect((await ask(server, 'get', '/api/jobs', cookie).expect(200)).headers['cache-control']).toBe('no-store');
  expect((await ask(server, 'get', '/api/access', cookie)).body).toMatchObject({
    device: { name: 'phone' },
    addresses: ['http://bench.local:4173'],
  });
  // Signing in again gives a new token, and the old one is worth nothing.
  const again = cookieOf(await enter(server, PASSPHRASE, 'phone', cookie).expect(204));
  expect(again).not.toBe(cookie);
  await ask(server, 'get', '/api/jobs', cookie).expect(401);
  await ask(server, 'get', '/api/jobs', again).expect(200);
  // Another site's page may have the cookie sent; it is refused all the same.
  await ask(server, 'delete', '/api/jobs/demo', again).set('Origin', 'http://evil.example').expect(403);
  await ask(server, 'delete', '/api/jobs/demo', again).set('Host', 'evil.example').expect(403);
  await ask(server, 'get', '/api/jobs/demo', again).expect(200);
});

test('devices are listed, signed out one by one or all, and after thirty days', async () => {
  const server = open();
  const phone = cookieOf(await enter(server, PASSPHRASE, 'phone'));
  const tablet = cookieOf(await enter(server, PASSPHRASE, 'tablet'));
  const { body } = await ask(server, 'get', '/api/access/devices', phone).expect(200);
  expect((body as { name: string }[]).map(({ name }) => name).sort()).toEqual(['phone', 'tablet']);
  expect(JSON.stringify(body)).not.toContain('token');
  const other = (body as { id: string; name: string }[]).find(({ name }) => name === 'tablet')!;
  await ask(server, 'delete', `/api/access/devices/${other.id}`, phone).expect(204);
  await ask(server, 'delete', `/api/access/devices/${other.id}`, phone).expect(404);
  await ask(server, 'get', '/api/jobs', tablet).expect(401);
  await ask(server, 'delete', '/api/access/session', phone).expect(204);
  await ask(server, 'get', '/api/jobs', phone).expect(401);
  const [one, two] = [cookieOf(await enter(server, PASSPHRASE)), cookieOf(await enter(server, PASSPHRASE))];
  await ask(server, 'delete', '/api/access/devices', one).expect(204);
  for (const cookie of [one, two]) await ask(server, 'get', '/api/jobs', cookie).expect(401);

  const token = await signIn(database, 'old phone', new Date('2026-01-01T12:00:00Z'));
  expect(await deviceOf(database, token, new Date('2026-01-31T11:00:00Z'))).toMatchObject({ name: 'old phone' });
  expect(await deviceOf(database, token, new Date('2026-01-31T13:00:00Z'))).toBeNull();
});

test('wrong tries are slowed, then refused; those that are signed in go on', async () => {
  const server = open();
  const inside = cookieOf(await enter(server, PASSPHRASE));
  const took: number[] = [];
  for (let tried = 0; tried < 4; tried++) {
    const start = performance.now();
    await enter(server, 'not this one at all').expect(403);
    took.push(performance.now() - start);
  }
  expect(took[3]! - took[1]!).toBeGreaterThan(600);
  // The rest at once: each waits its own time, and those past the tenth are not looked at.
  const all = await Promise.all(Array.from({ length: 8 }, () => enter(server, 'not this one at all')));
  expect(all.map(({ status }) => status).sort()).toEqual([403, 403, 403, 403, 403, 403, 429, 429]);
  expect((await enter(server, PASSPHRASE)).body.error.message).toMatch(/^Too many wrong passphrases/);
  await ask(server, 'get', '/api/jobs', inside).expect(200);
}, 60_000);

test('the passphrase is changed with the one that was, and all others sign in again', async () => {
  const server = open();
  const here = cookieOf(await enter(server, PASSPHRASE, 'here'));
  const there = cookieOf(await enter(server, PASSPHRASE, 'there'));
  const change = (current: string, next: string) =>
    ask(server, 'put', '/api/access/passphrase', here).send({ current, next });
  await change('not the one', 'violet anvil seven lakes').expect(403);
  expect((await change(PASSPHRASE, 'too short').expect(422)).body.error.message).toMatch(/at least 12 letters/);
  const renewed = cookieOf(await change(PASSPHRASE, 'violet anvil seven lakes').expect(204));
  for (const cookie of [here, there]) await ask(server, 'get', '/api/jobs', cookie).expect(401);
  await ask(server, 'get', '/api/jobs', renewed).expect(200);
  await enter(server, PASSPHRASE).expect(403);
  await enter(server, 'violet anvil seven lakes').expect(204);
}, 60_000);

test('what is stored signs nobody in; a backup holds none of it', async () => {
  await setPassphrase(database, PASSPHRASE);
  const token = await signIn(database, 'phone', new Date());
  const to = join(folder, 'copy.db');
  await backupTo(database, to);
  const kept = (await database('passphrases').first()) as { hash: string };
  expect(kept.hash).toMatch(/^scrypt\$131072\$8\$1\$/);
  expect(JSON.stringify(await database('devices'))).not.toContain(token);
  const bytes = readFileSync(to, 'latin1');
  for (const secret of [kept.hash.split('$')[5]!, token, PASSPHRASE]) expect(bytes).not.toContain(secret);
  expect(bytes).toContain('Kiln Lane pottery room');
  // And here all is as it was.
  expect(await signedInDevices(database)).toHaveLength(1);
});

test('passphrases: chosen ones that would be guessed are refused, made ones are good and never the same', async () => {
  expect(faultOf('kiln')).toMatch(/at least 12 letters; this one has 4/);
  expect(faultOf('a'.repeat(129))).toMatch(/at most 128/);
  for (const weak of [
    'passwordpassword',
    '123456789012',
    'qwertyuiopas',
    'aaaaaaaaaaaaaaa',
    'letmeinletmein',
    'sillplansillplan',
  ])
    expect([weak, faultOf(weak)]).toEqual([weak, expect.stringMatching(/easily guessed/)]);
  for (const good of [
    PASSPHRASE,
    'Ofen-Gasse 17, Töpferei',
    '窯の道の陶芸室の合言葉の長い',
    'x'.repeat(5) + ' quilted otter 71 ramp',
  ])
    expect([good, faultOf(good)]).toEqual([good, null]);
  const made = Array.from({ length: 50 }, madePassphrase);
  expect(new Set(made).size).toBe(50);
  for (const one of made) expect(faultOf(one)).toBeNull();
  const stored = await hashed('Töpferei am Ofen');
  expect(await hashed('Töpferei am Ofen')).not.toBe(stored);
  // The same letters, put together otherwise by another keyboard.
  expect(await matches('Töpferei am Ofen'.normalize('NFD'), stored)).toBe(true);
  expect(await matches('Topferei am Ofen', stored)).toBe(false);
});

test('with a certificate of one’s own the cookie goes over HTTPS alone, and browsers stay with it', async () => {
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'bench.local' }]);
  const server = createServer({ cert, key }, open(true)).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const { port } = server.address() as AddressInfo;
  const body = JSON.stringify({ passphrase: PASSPHRASE, device: 'phone' });
  const headers = await new Promise<Record<string, unknown>>((done, fail) =>
    askByHttps(
      {
        host: '127.0.0.1',
        port,
        path: '/api/access/session',
        method: 'POST',
        ca: cert,
        servername: 'bench.local',
        checkServerIdentity: () => undefined,
        headers: { Host: 'bench.local', 'Content-Type': 'application/json', Origin: 'https://bench.local' },
      },
      (answer) => {
        answer.resume();
        done(answer.headers);
      },
    )
      .on('error', fail)
      .end(body),
  );
  server.close();
  server.closeAllConnections();
  expect((headers['set-cookie'] as string[])[0]).toMatch(/^__Host-sill=.*; HttpOnly; Secure; SameSite=Strict$/);
  expect(headers['strict-transport-security']).toBe('max-age=15768000');
});

test('certificate and key: both or none, readable, and they belong together', async () => {
  expect(tlsFrom(undefined, '')).toBeNull();
  expect(() => tlsFrom('a.pem', undefined)).toThrow(/HTTPS needs both/);
  expect(() => tlsFrom(join(folder, 'gone.pem'), join(folder, 'gone.key'))).toThrow(
    /gone\.pem can not be read\. Set SILL_CERT/,
  );
  expect(() => tlsFrom(join(folder, 'access.db'), join(folder, 'access.db'))).toThrow(/can not be used/);
});

test('addresses that other devices are told are never those of this machine to itself', () => {
  expect(addressesFor('192.168.7.2', 4173, false)).toEqual(['http://192.168.7.2:4173']);
  for (const address of addressesFor('0.0.0.0', 4173, true)) {
    expect(address).toMatch(/^https:\/\/.+:4173$/);
    expect(address).not.toMatch(/127\.0\.0\.1|localhost|::1\]|fe80/);
  }
});

test('open to other machines without a passphrase it does not start; the command sets one, or makes one and shows it', () => {
  const file = join(folder, 'fresh.db');
  const run = (program: string, input: string, env: object = {}) =>
    spawnSync(process.execPath, [program], {
      cwd: ROOT,
      encoding: 'utf8',
      input,
      timeout: 30_000,
      env: { ...process.env, SILL_DATABASE: file, ...env },
    });
  const start = run(builtProgram(ROOT, 'main.ts', 'main-access-test.mjs'), '', { SILL_HOST: '0.0.0.0' });
  expect(start).toMatchObject({ status: 1, stdout: '' });
  expect(start.stderr).toMatch(/^SILL_HOST is 0\.0\.0\.0: .*`npm run passphrase`, then start again\.\n$/);
  const command = builtProgram(ROOT, 'access/command.ts', 'access-test.mjs');
  const set = (passphrase: string) => run(command, `${passphrase}\n`);
  expect(set('kiln')).toMatchObject({ status: 2, stdout: '', stderr: expect.stringContaining('Nothing was changed.') });
  expect(set(PASSPHRASE)).toMatchObject({ status: 0, stdout: expect.not.stringContaining(PASSPHRASE) });
  expect(set('').stdout).toMatch(/^The passphrase is (\w{4}-){3}\w{4}\nIt is shown this once/);
}, 90_000);
