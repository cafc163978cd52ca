import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { migrations } from './migrations';

/**
 * Opens the SQLite file, makes it where it is missing, and brings it to the newest shape. WAL, so that a reader never
 * waits and a killed server loses nothing that was answered; foreign keys on.
 */
export async function openDatabase(file: string): Promise<Knex> {
  mkdirSync(dirname(file), { recursive: true });
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
  await database.migrate.latest({ migrationSource: migrations });
  return database;
}
