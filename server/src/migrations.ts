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
];

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
