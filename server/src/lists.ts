import { Router } from 'express';
import type { Knex } from 'knex';
import { readYard, type ReadResult, type Yard } from '@sill/core';
import { accepted, ApiError, notFound } from './errors';

type Row = { id: string; revision: number; data: string; saved_at: string };
type Listed = { readonly id: string; readonly revision: number; readonly savedAt: string; readonly value: unknown };

const listed = (row: Row, value: unknown): Listed => ({
  id: row.id,
  revision: row.revision,
  savedAt: row.saved_at,
  value,
});

const WHAT = { yards: 'price list', shops: 'shop', racks: 'rack' } as const;

/**
 * `/api/yards`, `/api/shops` and `/api/racks`: small documents by id, each checked by its own reader. PUT with `revision: 0` makes
 * one; otherwise it must carry the revision it was made from.
 */
export function listsRouter(
  database: Knex,
  table: 'yards' | 'shops' | 'racks',
  readValue: (input: unknown) => ReadResult<unknown>,
): Router {
  const router = Router();
  const what = WHAT[table];
  /** What is stored, brought up to today's format; as it is where that can not be. */
  const show = (row: Row): Listed => {
    const data = JSON.parse(row.data) as unknown;
    const result = readValue(data);
    return listed(row, result.ok ? result.value : data);
  };

  router.get('/', async (_request, response) => {
    response.json((await database<Row>(table).orderBy('id')).map(show));
  });

  router.get('/:id', async (request, response) => {
    const row = await database<Row>(table).where({ id: request.params.id }).first();
    if (!row) throw notFound(what);
    response.json(show(row));
  });

  router.put('/:id', async (request, response) => {
    const { id } = request.params;
    const body = request.body as { revision?: unknown; value?: unknown } | undefined;
    const based = Number(body?.revision);
    if (!/^[A-Za-z0-9][\w.-]{0,63}$/.test(id) || !Number.isInteger(based) || based < 0)
      throw new ApiError(422, 'invalid', `A ${what} needs a short plain id and the revision it was made from.`);
    const value = accepted(readValue(body?.value));
    const next = { revision: based + 1, data: JSON.stringify(value), saved_at: new Date().toISOString() };
    const written =
      based === 0
        ? (
            await database(table)
              .insert({ id, ...next })
              .onConflict('id')
              .ignore()
              .returning('id')
          ).length
        : await database(table).where({ id, revision: based }).update(next);
    if (written === 0) {
      const row = await database<Row>(table).where({ id }).first();
      if (!row) throw notFound(what);
      throw new ApiError(
        409,
        'stale',
        `This ${what} was changed elsewhere since you opened it. Nothing was saved.`,
        [],
        show(row),
      );
    }
    response.json({ id, revision: next.revision, savedAt: next.saved_at });
  });

  return router;
}

/** A price list as it stands in the books; null where there is none of this id. */
export async function storedYard(database: Knex, id: string): Promise<Yard | null> {
  const row = await database<Row>('yards').where({ id }).first();
  const result = row && readYard(JSON.parse(row.data));
  return result?.ok ? result.value : null;
}
