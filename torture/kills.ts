import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import knex from 'knex';
import { demoJob, seeded, type Job } from '../core/src';
import { migrations } from '../server/src/migrations';
import { goesOn, pause, pick, type Ordeal } from './ordeal';
import { bundled, Killable } from './server';

/** A picture of some bytes, each its own. */
const picture = (text: string) =>
  Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), Buffer.from(text)]);
const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});
const named = (name: string): Job => ({ ...demoJob(), name });

/** What the server answered that it has. */
type Known = {
  readonly id: string;
  revision: number;
  readonly names: Map<number, string>;
  readonly photos: Map<string, Buffer>;
  rack: number;
};

/** Everything that was answered is there, and whole. */
async function missing(url: string, known: Known): Promise<readonly string[]> {
  const faults: string[] = [];
  const get = async (path: string) => {
    const answer = await fetch(`${url}${path}`);
    if (answer.status >= 500) faults.push(`${path} answers ${answer.status}`);
    return answer;
  };
  const now = (await (await get(`/api/jobs/${known.id}`)).json()) as { revision: number; job: Job };
  if (now.revision < known.revision)
    faults.push(`save ${known.revision} was answered and is not there: ${now.revision}`);
  else if (now.job.name !== known.names.get(now.revision)) faults.push(`save ${now.revision} is another than was sent`);
  if (now.job.pieces.length !== demoJob().pieces.length) faults.push('the job is not whole');
  // What was cut off and came through all the same is the newest from here on.
  known.revision = Math.max(known.revision, now.revision);
  for (const [id, bytes] of [...known.photos].slice(-5)) {
    const answer = await get(`/api/photos/${id}`);
    if (!answer.ok || !Buffer.from(await answer.arrayBuffer()).equals(bytes))
      faults.push(`photo ${id} is gone or another`);
  }
  const racks = (await (await get('/api/racks')).json()) as readonly { id: string; revision: number }[];
  const rack = racks.find(({ id }) => id === 'rack')?.revision ?? 0;
  if (rack < known.rack) faults.push(`rack ${known.rack} was answered, ${rack} is there`);
  known.rack = rack;
  return faults;
}

/** Saves, photos and the rack at once, until the server is gone. */
async function work(url: string, known: Known, round: number): Promise<void> {
  const saves = async () => {
    for (;;) {
      const next = known.revision + 1;
      const name = `round ${round} save ${next}`;
      known.names.set(next, name);
      const answer = await fetch(
        `${url}/api/jobs/${known.id}`,
        json('PUT', { revision: known.revision, job: named(name), save: name }),
      );
      if (answer.status !== 200) throw new Error(`a save is answered ${answer.status}`);
      known.revision = next;
    }
  };
  const photos = async () => {
    for (let at = 0; ; at++) {
      const bytes = picture(`${round} ${at} ${'x'.repeat(2000)}`);
      const answer = await fetch(`${url}/api/photos`, { method: 'POST', body: bytes });
      known.photos.set(((await answer.json()) as { id: string }).id, bytes);
    }
  };
  const rack = async () => {
    for (;;) {
      const answer = await fetch(`${url}/api/racks/rack`, json('PUT', { revision: known.rack, value: { pieces: [] } }));
      if (answer.ok) known.rack++;
      else await pause(5);
    }
  };
  await Promise.allSettled([saves(), photos(), rack()]);
}

/** A database as the first programs left it, with a job in it. */
async function oldDatabase(file: string): Promise<void> {
  const all = await migrations.getMigrations([]);
  const database = knex({ client: 'better-sqlite3', connection: { filename: file }, useNullAsDefault: true });
  await database.migrate.latest({ migrationSource: { ...migrations, getMigrations: async () => all.slice(0, 3) } });
  const saved_at = '2026-01-01T00:00:00.000Z';
  for (let at = 0; at < 60; at++) {
    const data = JSON.stringify(named(`old ${at}`));
    await database('jobs').insert({ id: `old-${at}`, name: `old ${at}`, revision: 1, data, saved_at });
    await database('job_revisions').insert({ job_id: `old-${at}`, revision: 1, data, saved_at });
  }
  await database.destroy();
}

/** What is being done to the server when it is killed, and what is known of it; faults are added to `faults`. */
function workCutOff(server: Killable, folder: string, known: Known, roll: () => number, faults: string[]) {
  const { server: program, backup: backupProgram } = bundled();
  return {
    async saves(round: number) {
      const busy = work(server.url, known, round);
      await pause(roll() * 250);
      await server.kill();
      await busy;
    },
    /** A backup over HTTP and one by the command, both cut off: what has its name is whole. */
    async backup() {
      const to = join(folder, 'by-command.db');
      const child = spawn(process.execPath, [backupProgram, 'backup', to], {
        stdio: 'ignore',
        env: { ...process.env, SILL_DATABASE: server.file },
      });
      const over = fetch(`${server.url}/api/backup`)
        .then((answer) => answer.arrayBuffer())
        .catch(() => null);
      await pause(roll() * 700);
      child.kill('SIGKILL');
      await server.kill();
      await over;
      const whole = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) =>
        /(by-command|day-[\d-]+)\.db$/.test(name),
      );
      for (const name of whole) {
        const copy = new BetterSqlite3(join(folder, name), { readonly: true });
        if (copy.pragma('integrity_check', { simple: true }) !== 'ok') faults.push(`${name} is not whole`);
        copy.close();
      }
      for (const name of readdirSync(folder)) if (name.startsWith('by-command')) rmSync(join(folder, name));
    },
    /** All is as in the backup, or all as it was. */
    async restore() {
      const bytes = Buffer.from(await (await fetch(`${server.url}/api/backup`)).arrayBuffer());
      const then = known.revision;
      const rack = known.rack;
      const next = then + 1;
      const name = `after the backup ${next}`;
      const saved = await fetch(
        `${server.url}/api/jobs/${known.id}`,
        json('PUT', { revision: then, job: named(name), save: name }),
      );
      if (saved.status !== 200) throw new Error(`a save is answered ${saved.status}`);
      let answered = false;
      const busy = fetch(`${server.url}/api/backup`, { method: 'PUT', body: bytes })
        .then((answer) => (answered = answer.ok))
        .catch(() => null);
      await pause(roll() * 500);
      await server.kill();
      await busy;
      const at = new BetterSqlite3(server.file, { readonly: true });
      const { revision } = at.prepare('select revision from jobs where id = ?').get(known.id) as { revision: number };
      const saves = at
        .prepare('select count(*) from job_revisions where job_id = ? and revision = ?')
        .pluck()
        .get(known.id, next) as number;
      at.close();
      if (answered && revision !== then) faults.push('a restore was answered and is not there');
      if (revision !== then && revision !== next) faults.push(`after a restore cut off there is save ${revision}`);
      if ((revision === next) !== (saves === 1)) faults.push('a restore cut off is half there');
      known.names.set(next, name);
      known.revision = revision;
      if (revision === then) known.rack = Math.min(known.rack, rack);
    },
    async migration(round: number) {
      const file = join(folder, `old-${round}.db`);
      await oldDatabase(file);
      const own = new Killable(program, file);
      await own.begin();
      await pause(200 + roll() * 700);
      await own.kill();
      try {
        await own.start();
        const rows = (await (await fetch(`${own.url}/api/jobs?limit=999`)).json()) as {
          name: string;
          pieces: readonly string[];
        }[];
        const old = rows.filter(({ name }) => name.startsWith('old '));
        if (old.length !== 60 || old.some(({ pieces }) => pieces.length !== 4))
          faults.push(`after a migration cut off ${old.length} of 60 jobs are whole`);
      } finally {
        await own.kill();
        for (const name of readdirSync(folder)) if (name.startsWith(`old-${round}.db`)) rmSync(join(folder, name));
      }
    },
  } as const;
}

/**
 * The server is killed with -9 in the middle of saves, photos, backups, restores and migrations, and started again:
 * what it answered is there, what it did not answer is there or not, nothing is half there.
 */
export const kills: Ordeal = async ({ until, seed, most }) => {
  const { server: program } = bundled();
  const roll = seeded(seed);
  const folder = mkdtempSync(join(tmpdir(), 'sill-kills-'));
  const server = new Killable(program, join(folder, 'jobs.db'));
  const faults: string[] = [];
  const counts: Record<string, number> = {};
  await server.start();
  const made = (await (await fetch(`${server.url}/api/jobs`, json('POST', { job: named('first') }))).json()) as {
    id: string;
  };
  const known: Known = { id: made.id, revision: 1, names: new Map([[1, 'first']]), photos: new Map(), rack: 0 };
  const kinds = workCutOff(server, folder, known, roll, faults);
  let tried = 0;
  try {
    for (; goesOn({ until, most }, tried); tried++) {
      const kind = pick(roll, ['saves', 'saves', 'saves', 'backup', 'restore', 'migration'] as const);
      counts[kind] = (counts[kind] ?? 0) + 1;
      try {
        await kinds[kind](tried);
        if (kind !== 'migration') await server.start();
        faults.push(
          ...(await missing(server.url, known)).map((text) => `${kind}, seed ${seed}, kill ${tried}: ${text}`),
        );
      } catch (error) {
        faults.push(`${kind}, seed ${seed}, kill ${tried}: ${(error as Error).message}`);
        await server.kill();
        await server.start();
      }
    }
  } finally {
    await server.kill();
    if (existsSync(folder)) rmSync(folder, { recursive: true });
  }
  const each = Object.entries(counts)
    .map(([kind, count]) => `${kind} ${count}`)
    .join(', ');
  return { tried, faults, said: `killed in ${each}; ${known.revision} saves and ${known.photos.size} photos answered` };
};
