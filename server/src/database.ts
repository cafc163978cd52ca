import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { migrations } from './migrations';
import { asUnusable, examine } from './opening';

/**
 * Opens the SQLite file, makes it where it is missing, and brings it to the newest shape. WAL, so that a reader never
 * waits and a killed server loses nothing that was answered; foreign keys on.
 *
 * @throws Unusable with a sentence where the file can not be worked with.
 */
export async function openDatabase(file: string): Promise<Knex> {
  try {
    mkdirSync(dirname(file), { recursive: true });
    examine(file);
    return await opened(file);
  } catch (error) {
    throw asUnusable(file, error);
  }
}

async function opened(file: string): Promise<Knex> {
  const database = knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (connection: { pragma(text: string): unknown }, done: (error: Error | null) => void) => {
        connection.pragma('journal_mode = WAL');
        connection.pragma('synchronous = FULL');
        connection.pragma('foreign_keys = ON');
        connection.pragma('busy_timeout = 5000');
        done(null);
      },
    },
  });
  try {
    await database.migrate.latest({ migrationSource: migrations });
    return database;
  } catch (error) {
    await database.destroy();
    throw error;
  }
}

/** Moves what was saved from the file beside it into the file itself, so that a plain copy of it is nearly all. */
export const settle = (database: Knex): Promise<unknown> => database.raw('PRAGMA wal_checkpoint(TRUNCATE)');
