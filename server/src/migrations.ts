import type { Knex } from 'knex';

type Migration = { readonly name: string; readonly up: (database: Knex) => Promise<void> };

/** In order; never edit one that has landed, add another. */
const ALL: readonly Migration[] = [
  {
    name: '001-jobs-yards-shops',
    async up(database) {
      await database.schema.createTable('jobs', (table) => {
        table.text('id').primary();
        table.text('name').notNullable();
        table.integer('revision').notNullable();
        table.text('data').notNullable();
        table.text('saved_at').notNullable();
        table.text('removed_at');
      });
      await database.schema.createTable('job_revisions', (table) => {
        table.text('job_id').notNullable().references('jobs.id').onDelete('CASCADE');
        table.integer('revision').notNullable();
        table.text('data').notNullable();
        table.text('saved_at').notNullable();
        table.primary(['job_id', 'revision']);
      });
      for (const name of ['yards', 'shops'])
        await database.schema.createTable(name, (table) => {
          table.text('id').primary();
          table.integer('revision').notNullable();
          table.text('data').notNullable();
          table.text('saved_at').notNullable();
        });
    },
  },
  {
    name: '002-racks',
    async up(database) {
      await database.schema.createTable('racks', (table) => {
        table.text('id').primary();
        table.integer('revision').notNullable();
        table.text('data').notNullable();
        table.text('saved_at').notNullable();
      });
    },
  },
  {
    name: '003-photos',
    async up(database) {
      await database.schema.createTable('photos', (table) => {
        table.text('id').primary();
        table.text('type').notNullable();
        table.binary('data').notNullable();
        table.text('saved_at').notNullable();
      });
    },
  },
  {
    name: '004-saves-and-contents',
    async up(database) {
      await database.schema.alterTable('jobs', (table) => {
        table.text('pieces').notNullable().defaultTo('[]');
        table.text('save_id');
      });
      for (const { id, data } of await database('jobs').select('id', 'data'))
        await database('jobs')
          .where({ id })
          .update({ pieces: JSON.stringify(pieceNames(JSON.parse(data))) });
      await database.schema.alterTable('jobs', (table) => table.index(['removed_at', 'saved_at', 'id']));
      await database.schema.alterTable('job_revisions', (table) => {
        table.text('made_by');
        table.text('changed');
      });
      await database.schema.createTable('contents', (table) => {
        table.text('hash').primary();
        table.text('data').notNullable();
      });
    },
  },
  {
    name: '005-access',
    async up(database) {
      await database.schema.createTable('passphrases', (table) => {
        table.text('hash').notNullable();
        table.text('set_at').notNullable();
      });
      await database.schema.createTable('devices', (table) => {
        table.text('id').primary();
        table.text('token').notNullable().unique();
        table.text('name').notNullable();
        table.text('since').notNullable();
        table.text('seen').notNullable();
      });
    },
  },
  {
    name: '006-memories',
    async up(database) {
      await database.schema.createTable('memories', (table) => {
        table.text('id').primary();
        table.integer('revision').notNullable();
        table.text('data').notNullable();
        table.text('saved_at').notNullable();
      });
    },
  },
];

/** Names of the pieces of a stored job, whatever program stored it. */
export function pieceNames(job: unknown): readonly string[] {
  const { pieces } = (job ?? {}) as { pieces?: unknown };
  const nameOf = (piece: { readonly name?: unknown } | null) => (typeof piece?.name === 'string' ? piece.name : '');
  return Array.isArray(pieces) ? pieces.map(nameOf) : [];
}

/** All that this program knows of. */
export const migrationNames = (): readonly string[] => ALL.map(({ name }) => name);

export const migrations: Knex.MigrationSource<Migration> = {
  getMigrations: async () => [...ALL],
  getMigrationName: ({ name }) => name,
  getMigration: async ({ up }) => ({
    up,
    down: async () => {
      throw new Error('Going back is by restoring a copy of the file.');
    },
  }),
};
