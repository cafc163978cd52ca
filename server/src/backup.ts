import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { copyFile, mkdtemp, rename, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import BetterSqlite3 from 'better-sqlite3';
import type { Knex } from 'knex';
import { openDatabase } from './database';
import { Unusable } from './opening';

/** Everything a person has in here, in an order in which each table's rows find those they refer to. */
const TABLES = ['jobs', 'contents', 'job_revisions', 'yards', 'shops', 'racks', 'memories', 'photos'] as const;

/** What lets people in here: it is neither in a backup, which may be given away, nor changed when one is put back. */
const ACCESS = ['passphrases', 'devices'] as const;

/** Daily backups that are kept. */
const DAYS = 7;
const DAILY = /^day-\d{4}-\d{2}-\d{2}\.db$/;
/** `20261127-143012` of an instant, for names of files. */
export const stampOf = (now: Date): string => now.toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15);

const backupsOf = (file: string): string => join(dirname(file), 'backups');

/**
 * Writes everything to one file while the program runs, by the database's own online backup. The file is whole when it
 * has its name; a leftover from a backup that was cut off never has.
 */
export async function backupTo(database: Knex, to: string): Promise<void> {
  mkdirSync(dirname(to), { recursive: true });
  const begun = `${to}.begun`;
  const client = database.client as {
    acquireConnection(): Promise<BetterSqlite3.Database>;
    releaseConnection(connection: unknown): Promise<void>;
  };
  const connection = await client.acquireConnection();
  try {
    await connection.backup(begun);
  } finally {
    await client.releaseConnection(connection);
  }
  withoutAccess(begun);
  await rename(begun, to);
}

function withoutAccess(file: string): void {
  const copy = new BetterSqlite3(file);
  try {
    // What is deleted is overwritten; and all is in this one file, nothing beside it.
    copy.pragma('secure_delete = ON');
    copy.pragma('journal_mode = DELETE');
    for (const table of ACCESS) copy.exec(`DELETE FROM ${table}`);
  } finally {
    copy.close();
  }
}

/** Makes the backup of a day where there is none yet, and lets go of all but the last seven days. */
export async function backupOfDay(database: Knex, file: string, day: string): Promise<void> {
  const folder = backupsOf(file);
  const to = join(folder, `day-${day}.db`);
  if (!existsSync(to)) await backupTo(database, to);
  const days = readdirSync(folder)
    .filter((name) => DAILY.test(name))
    .sort();
  for (const old of days.slice(0, -DAYS)) rmSync(join(folder, old));
}

/** What is in a backup, to be told before or after it is put back. */
export type Held = { readonly jobs: number; readonly saves: number; readonly photos: number };
const heldIn = async (database: Knex): Promise<Held> => {
  const count = async (table: string) => Number((await database(table).count({ n: '*' }).first())?.n ?? 0);
  return { jobs: await count('jobs'), saves: await count('job_revisions'), photos: await count('photos') };
};

/**
 * Puts a backup back in place of all there is, while the program runs: it is checked first and brought to today's shape
 * in a copy; what was there is kept as a backup of its own; then all tables change in one transaction, or none.
 *
 * @throws Unusable where the file is no whole backup. Nothing is changed then.
 */
export async function restoreFrom(
  database: Knex,
  file: string,
  backup: string,
  stamp: string,
): Promise<Held & { readonly before: string }> {
  if (!existsSync(backup)) throw new Unusable(`There is no file ${backup}. Nothing was changed.`);
  // As a database of its own a file of no bytes is a new one; as a backup it would empty everything.
  if (statSync(backup).size === 0) throw new Unusable(`${backup} is empty. Nothing was changed.`);
  const folder = await mkdtemp(join(tmpdir(), 'sill-restore-'));
  const copy = join(folder, 'backup.db');
  try {
    await copyFile(backup, copy);
    const theirs = await openDatabase(copy);
    let held: Held;
    try {
      held = await heldIn(theirs);
    } finally {
      await theirs.destroy();
    }
    const before = join(backupsOf(file), `before-restore-${stamp}.db`);
    await backupTo(database, before);
    await database.raw('ATTACH DATABASE ? AS restored', [copy]);
    try {
      await database.transaction(async (within) => {
        await within.raw('PRAGMA defer_foreign_keys = ON');
        for (const table of [...TABLES].reverse()) await within.raw(`DELETE FROM main.${table}`);
        for (const table of TABLES) {
          const names = ((await within.raw(`PRAGMA main.table_info(${table})`)) as { name: string }[])
            .map(({ name }) => `"${name}"`)
            .join(', ');
          await within.raw(`INSERT INTO main.${table} (${names}) SELECT ${names} FROM restored.${table}`);
        }
      });
    } finally {
      await database.raw('DETACH DATABASE restored');
    }
    return { ...held, before };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
