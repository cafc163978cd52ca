import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';
import BetterSqlite3 from 'better-sqlite3';
import { migrationNames } from './migrations';

/** Why a database file can not be used, in words for the person who started the program. */
export class Unusable extends Error {}

const BEGINS = Buffer.from('SQLite format 3\0');

function beginsRight(file: string): boolean {
  const start = Buffer.alloc(BEGINS.length);
  const handle = openSync(file, 'r');
  try {
    readSync(handle, start, 0, start.length, 0);
  } finally {
    closeSync(handle);
  }
  return start.equals(BEGINS);
}

const RESTORE =
  'Put a backup back with `npm run restore -- FILE`; one of each of the last seven days lies beside it in `backups`.';

/**
 * Looks at a database file before it is opened for work.
 *
 * @throws Unusable where it is no database, is damaged, does not go with the `-wal` beside it, holds nothing because it
 * was copied without its `-wal`, or was written by a newer program. A file that is not there yet is fine.
 */
export function examine(file: string): void {
  if (!existsSync(file)) {
    if (existsSync(`${file}-wal`))
      throw new Unusable(
        `${file} is missing, but ${file}-wal is there: the two belong together. Put the file back beside it, or move the -wal away. Nothing was changed.`,
      );
    return;
  }
  if (statSync(file).size === 0) return;
  if (!beginsRight(file))
    throw new Unusable(`${file} is not a database of this program. Nothing was changed. ${RESTORE}`);
  const leftover = existsSync(`${file}-wal`) && statSync(`${file}-wal`).size > 0;
  let connection: BetterSqlite3.Database | null = null;
  try {
    connection = new BetterSqlite3(file, { fileMustExist: true });
    const found = connection.pragma('quick_check(3)', { simple: true });
    if (found !== 'ok') throw new Error(String(found));
    const tables = connection.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[];
    if (!tables.includes('jobs'))
      throw new Unusable(
        `${file} holds no jobs. It was perhaps copied while the program ran, without the -wal beside it, which held them: copy both, or use \`npm run backup\`. Nothing was changed.`,
      );
    if (!tables.includes('knex_migrations'))
      throw new Unusable(`${file} is not a database of this program. Nothing was changed. ${RESTORE}`);
    const known = new Set(migrationNames());
    const newer = (connection.prepare('select name from knex_migrations').pluck().all() as string[]).filter(
      (name) => !known.has(name),
    );
    if (newer.length > 0)
      throw new Unusable(
        `${file} was written by a newer version of Sill Plan (it has ${newer.join(', ')}). Start that version. Nothing was changed.`,
      );
  } catch (error) {
    throw asUnusable(file, error, leftover);
  } finally {
    connection?.close();
  }
}

/** What went wrong with a file, in own words. */
export function asUnusable(file: string, error: unknown, leftover = false): Unusable {
  if (error instanceof Unusable) return error;
  const { code = '', message } = error as { code?: string; message: string };
  if (code === 'SQLITE_FULL' || code === 'ENOSPC')
    return new Unusable(`The disk that ${file} is on is full. Make room and start again.`);
  if (/READONLY|EROFS|EACCES|EPERM|CANTOPEN/.test(code))
    return new Unusable(
      `${file} can not be written: the file or its folder is read-only, or it is another person's. Set SILL_DATABASE to a file that can be.`,
    );
  if (/BUSY|LOCKED/.test(code)) return new Unusable(`${file} is in use by another program. Close that first.`);
  if (code.startsWith('SQLITE') || /malformed|integrity|tree|row|page/i.test(message))
    return new Unusable(
      leftover
        ? `${file} does not go with the ${file}-wal beside it, or is damaged: an older file was perhaps put back while the -wal of another was left. Move the -wal away, or put the file that belongs to it back. ${RESTORE}`
        : `${file} is damaged (${message}). Nothing was changed. ${RESTORE}`,
    );
  return new Unusable(`${file} can not be opened: ${message}`);
}
