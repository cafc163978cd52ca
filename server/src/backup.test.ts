import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import express from 'express';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { demoJob } from '@sill/core';
import { makeApp } from './app';
import { backupsRouter } from './backups';
import { errorHandler } from './errors';
import { backupOfDay, backupTo, restoreFrom } from './backup';
import { openDatabase, settle } from './database';
import { examine, Unusable } from './opening';
import { portFrom } from './settings';
import { clearPhotos } from './photos';
import { seed } from './seed';
import { builtProgram } from './testing/built-program';

const ROOT = join(__dirname, '..', '..');

let folder: string;
let file: string;
let database: Knex;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-'));
  file = join(folder, 'here.db');
  database = await openDatabase(file);
  await seed(database, 'one');
});
afterEach(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});
const named = (name: string) =>
  database('jobs')
    .where({ id: 'demo' })
    .update({ name, data: JSON.stringify({ ...demoJob(), name }) });
const nameNow = async () => (await database('jobs').where({ id: 'demo' }).first()).name as string;
const picture = (id: string, saved_at = '2026-01-01T00:00:00Z') => ({
  id,
  type: 'image/png',
  data: Buffer.from([1, 2]),
  saved_at,
});

describe('a backup', () => {
  test('holds everything, comes back on another machine, and what was there is kept', async () => {
    await database('photos').insert(picture('p1'));
    const backup = join(folder, 'out', 'all.db');
    await named('Before');
    await backupTo(database, backup);
    await named('After');
    await database('photos').delete();
    // Another machine: another file with other things in it.
    const other = join(folder, 'other.db');
    const there = await openDatabase(other);
    await there('shops').insert({ id: 'old', revision: 1, data: '{}', saved_at: '' });
    const held = await restoreFrom(there, other, backup, 'stamp');
    expect(held).toMatchObject({ jobs: 1, saves: 1, photos: 1 });
    expect((await there('jobs').first()).name).toBe('Before');
    expect((await there('photos').first()).data).toEqual(Buffer.from([1, 2]));
    expect(await there('shops').where({ id: 'old' })).toEqual([]);
    const kept = new BetterSqlite3(held.before, { readonly: true });
    expect(kept.prepare("select count(*) from shops where id = 'old'").pluck().get()).toBe(1);
    kept.close();
    await there.destroy();
    expect(await nameNow()).toBe('After');
  });

  test('what is none is refused and nothing changes', async () => {
    const bad = join(folder, 'bad.db');
    writeFileSync(bad, 'not a database at all, but long enough to look');
    await expect(restoreFrom(database, file, bad, 's')).rejects.toThrow(/is not a database of this program/);
    await expect(restoreFrom(database, file, join(folder, 'none.db'), 's')).rejects.toThrow(/There is no file/);
    const empty = join(folder, 'empty.db');
    writeFileSync(empty, '');
    await expect(restoreFrom(database, file, empty, 's')).rejects.toThrow(/is empty/);
    const damaged = join(folder, 'damaged.db');
    await backupTo(database, damaged);
    const bytes = readFileSync(damaged);
    bytes.fill(0x5a, 4096, bytes.length - 4096);
    writeFileSync(damaged, bytes);
    await expect(restoreFrom(database, file, damaged, 's')).rejects.toBeInstanceOf(Unusable);
    expect(await nameNow()).toBe('Kiln Lane pottery room');
  });

  test('one a day, the last seven', async () => {
    for (let day = 10; day < 20; day++) await backupOfDay(database, file, `2026-11-${day}`);
    await backupOfDay(database, file, '2026-11-19');
    expect(readdirSync(join(folder, 'backups')).sort()).toEqual(
      [13, 14, 15, 16, 17, 18, 19].map((day) => `day-2026-11-${day}.db`),
    );
  });

  test('over HTTP: the file comes, goes back, and a wrong one is a sentence', async () => {
    const app = makeApp({ database, file, log: pino({ level: 'silent' }) });
    const ask = (method: 'get' | 'put') => request(app)[method]('/api/backup').set('Host', 'localhost');
    const got = await ask('get')
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => done(null, Buffer.concat(parts)));
      });
    expect(got.headers['content-disposition']).toMatch(/sill-plan-\d{8}-\d{6}\.db/);
    await named('Changed since');
    const back = await ask('put')
      .set('Content-Type', 'application/octet-stream')
      .send(got.body as Buffer)
      .expect(200);
    expect(back.body).toEqual({ jobs: 1, saves: 1, photos: 0 });
    expect(await nameNow()).toBe('Kiln Lane pottery room');
    const wrong = await ask('put')
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from('hello'))
      .expect(422);
    expect(wrong.body.error.message).toMatch(/^This file is not a database/);
    expect(wrong.body.error.message).not.toContain(tmpdir());
  });

  test('over HTTP it goes to the disk as it comes, and no further than its limit', async () => {
    const server = express()
      .use('/', backupsRouter(database, file, 100_000))
      .use(errorHandler(pino({ level: 'silent' })));
    const { body } = await request(server).put('/').send(Buffer.alloc(300_000)).expect(413);
    expect(body.error.message).toMatch(/npm run restore/);
    expect(await nameNow()).toBe('Kiln Lane pottery room');
  });

  test('by one command, while the program has the file open; without a file it is code 2 and a sentence', async () => {
    const out = join(folder, 'by-command.db');
    const program = builtProgram(ROOT, 'backup-command.ts', 'backup-test.mjs');
    const run = (...args: string[]) =>
      spawnSync(process.execPath, [program, ...args], {
        cwd: ROOT,
        encoding: 'utf8',
        env: { ...process.env, SILL_DATABASE: file },
      });
    expect(run('backup', out)).toMatchObject({ status: 0, stdout: expect.stringContaining(out) });
    await named('Changed since');
    expect(run('restore', out)).toMatchObject({ status: 0, stdout: expect.stringContaining('1 jobs') });
    expect(await nameNow()).toBe('Kiln Lane pottery room');
    expect(run('restore', join(folder, 'none.db'))).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('There is no file'),
    });
    expect(run('backup')).toMatchObject({ status: 2, stdout: '' });
  }, 60_000);
});

describe('a file is looked at before it is used', () => {
  const says = (path: string) => {
    try {
      examine(path);
      return 'fine';
    } catch (error) {
      return (error as Error).message;
    }
  };

  test('copied without the -wal beside it, it holds nothing, and that is said', async () => {
    const fresh = join(folder, 'fresh.db');
    const work = await openDatabase(fresh);
    await seed(work, 'one');
    const copy = join(folder, 'copy.db');
    copyFileSync(fresh, copy);
    const both = join(folder, 'both.db');
    copyFileSync(fresh, both);
    copyFileSync(`${fresh}-wal`, `${both}-wal`);
    expect(says(copy)).toMatch(/holds no jobs.*copied while the program ran/);
    expect(says(both)).toBe('fine');
    // Once settled, a plain copy is all of it.
    await settle(work);
    const settled = join(folder, 'settled.db');
    copyFileSync(fresh, settled);
    expect(says(settled)).toBe('fine');
    await work.destroy();
  });

  test('an older file beside the -wal of a newer one', async () => {
    const old = join(folder, 'old.db');
    const fresh = join(folder, 'fresh.db');
    const work = await openDatabase(fresh);
    await settle(work);
    copyFileSync(fresh, old);
    await seed(work, 'one');
    for (let n = 0; n < 40; n++) await work('photos').insert({ ...picture(`p${n}`), data: Buffer.alloc(9000, n) });
    await settle(work);
    for (let n = 0; n < 40; n++) await work('photos').insert({ ...picture(`q${n}`), data: Buffer.alloc(9000, n) });
    copyFileSync(`${fresh}-wal`, `${old}-wal`);
    await work.destroy();
    expect(says(old)).toMatch(/does not go with the .*-wal beside it, or is damaged/);
  });

  test('missing beside its -wal, no database, of a newer program', async () => {
    writeFileSync(join(folder, 'gone.db-wal'), 'x');
    expect(says(join(folder, 'gone.db'))).toMatch(/is missing, but .*-wal is there/);
    expect(says(join(folder, 'never.db'))).toBe('fine');
    writeFileSync(join(folder, 'text.db'), 'hello, this is a letter to you');
    expect(says(join(folder, 'text.db'))).toMatch(/not a database of this program/);
    await database('knex_migrations').insert({ name: '999-of-tomorrow', batch: 9 });
    expect(says(file)).toMatch(/written by a newer version.*999-of-tomorrow/);
    await expect(openDatabase(file)).rejects.toThrow(/newer version/);
  });

  test('ports that are none', () => {
    expect(portFrom(undefined)).toBe(4173);
    expect(portFrom('80')).toBe(80);
    for (const bad of ['x', '70000', '-1', '4.5']) expect(() => portFrom(bad)).toThrow(/SILL_PORT is .*whole number/);
  });

  test('the program says why and goes, with code 1 and no stack', () => {
    const bad = join(folder, 'text.db');
    writeFileSync(bad, 'hello, this is a letter to you');
    const program = builtProgram(ROOT, 'main.ts', 'main-test.mjs');
    const start = (env: object) =>
      spawnSync(process.execPath, [program], {
        cwd: ROOT,
        encoding: 'utf8',
        timeout: 30_000,
        env: { ...process.env, SILL_DATABASE: file, ...env },
      });
    for (const [env, said] of [
      [{ SILL_DATABASE: bad }, 'is not a database of this program'],
      [{ SILL_DATABASE: join(bad, 'in', 'a-file.db') }, 'can not be opened'],
      [{ SILL_PORT: 'many' }, 'SILL_PORT is many'],
    ] as const) {
      const run = start(env);
      expect(run.status).toBe(1);
      expect(run.stderr).toContain(said);
      expect(run.stderr).not.toMatch(/\n\s+at /);
    }
  }, 60_000);
});

test('pictures that no job shows go after a day; those of jobs and older saves stay', async () => {
  const now = Date.parse('2026-11-27T12:00:00Z');
  await database('photos').insert([
    picture('shown'),
    picture('once'),
    picture('never'),
    picture('fresh', '2026-11-27T11:00:00Z'),
  ]);
  await database('jobs')
    .where({ id: 'demo' })
    .update({ data: JSON.stringify({ photo: 'shown' }) });
  await database('job_revisions').update({ data: JSON.stringify({ photo: 'once' }) });
  expect(await clearPhotos(database, now)).toBe(1);
  expect(await database('photos').orderBy('id').pluck('id')).toEqual(['fresh', 'once', 'shown']);
});
