import { Router } from 'express';
import type { Knex } from 'knex';
import { readMemory, readRack, readShop, readYard, type Yard } from '@sill/core';
import { ROUTES } from '@sill/core/contract';
import { serve } from './serve';
import { accepted, ApiError, notFound } from './errors';

type Row = { id: string; revision: number; data: string; saved_at: string };

/** What is kept so, each with its own reader and its routes. */
const KINDS = {
  yards: { what: 'price list', read: readYard, all: ROUTES.yards, one: ROUTES.yard, save: ROUTES.saveYard },
  shops: { what: 'shop', read: readShop, all: ROUTES.shops, one: ROUTES.shop, save: ROUTES.saveShop },
  racks: { what: 'rack', read: readRack, all: ROUTES.racks, one: ROUTES.rack, save: ROUTES.saveRack },
  memories: { what: 'record', read: readMemory, all: ROUTES.memories, one: ROUTES.memory, save: ROUTES.saveMemory },
} as const;

/**
 * `/api/yards`, `/api/shops`, `/api/racks`, `/api/memories`: small documents by id, each checked by its own reader. PUT
 * with `revision: 0` makes one; otherwise it must carry the revision it was made from.
 */
export function listsRouter(database: Knex, table: keyof typeof KINDS): Router {
  const router = Router();
  const { what, read: readValue, all, one, save } = KINDS[table];
  const at = all.path;
  /** What is stored, brought up to today's format; as it is where that can not be. */
  const show = (row: Row) => {
    const data = JSON.parse(row.data) as unknown;
    const result = readValue(data);
    const value = result.ok ? result.value : data;
    // The contract names one type for each of them; which it is, the table says.
    return { id: row.id, revision: row.revision, savedAt: row.saved_at, value } as never;
  };

  serve(router, at, all, async () => (await database<Row>(table).orderBy('id')).map(show));

  serve(router, at, one, async ({ params: { id } }) => {
    const row = await database<Row>(table).where({ id }).first();
    if (!row) throw notFound(what);
    return show(row);
  });

  serve(router, at, save, async ({ params: { id }, body }) => {
    const based = body.revision;
    if (!/^[A-Za-z0-9][\w.-]{0,63}$/.test(id)) throw new ApiError(422, 'invalid', `A ${what} needs a short plain id.`);
    const value = accepted<unknown>(readValue(body.value));
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
    return { id, revision: next.revision, savedAt: next.saved_at };
  });

  return router;
}

/** A price list as it stands in the books; null where there is none of this id. */
export async function storedYard(database: Knex, id: string): Promise<Yard | null> {
  const row = await database<Row>('yards').where({ id }).first();
  const result = row && readYard(JSON.parse(row.data));
  return result?.ok ? result.value : null;
}
