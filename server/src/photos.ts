import { randomUUID } from 'node:crypto';
import express, { Router } from 'express';
import type { Knex } from 'knex';
import { ApiError, notFound } from './errors';

/** Largest picture that is kept, bytes; the interface makes them smaller than a tenth of it. */
export const MOST_BYTES = 4_000_000;

/** What a picture file begins with, by what it is: the name a browser gives it is not trusted. */
const BEGINS: readonly (readonly [type: string, at: number, bytes: readonly number[]])[] = [
  ['image/jpeg', 0, [0xff, 0xd8, 0xff]],
  ['image/png', 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['image/webp', 8, [0x57, 0x45, 0x42, 0x50]],
];

/** The kind of picture that some bytes are; null where they are none that a browser shows. */
export const pictureType = (data: Uint8Array): string | null =>
  BEGINS.find(([, at, bytes]) => bytes.every((byte, index) => data[at + index] === byte))?.[0] ?? null;

/** A picture is kept so long though no job shows it: the job that it was taken for may not be saved yet. */
const UNSHOWN_MS = 24 * 3_600_000;

/** Lets go of pictures that no job shows, nor any older save of one. How many went. */
export const clearPhotos = (database: Knex, now: number): Promise<number> =>
  database('photos')
    .where('saved_at', '<', new Date(now - UNSHOWN_MS).toISOString())
    .whereNotExists(database('jobs').whereRaw('instr(jobs.data, photos.id) > 0').select(database.raw('1')))
    .whereNotExists(
      database('job_revisions').whereRaw('instr(job_revisions.data, photos.id) > 0').select(database.raw('1')),
    )
    .delete();

/** `/api/photos`: POST the bytes of a picture, get its id; GET it by that id. A picture never changes. */
export function photosRouter(database: Knex): Router {
  const router = Router();

  router.post('/', express.raw({ type: () => true, limit: MOST_BYTES }), async (request, response) => {
    const data = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
    const type = pictureType(data);
    if (!type) throw new ApiError(422, 'invalid', 'This is no picture. Choose a JPEG, PNG or WebP file.');
    const id = randomUUID();
    await database('photos').insert({ id, type, data, saved_at: new Date().toISOString() });
    response.status(201).json({ id });
  });

  router.get('/:id', async (request, response) => {
    const row = await database<{ id: string; type: string; data: Buffer }>('photos')
      .where({ id: request.params.id })
      .first();
    if (!row) throw notFound('photo');
    response.set('Cache-Control', 'private, max-age=31536000, immutable').type(row.type).send(row.data);
  });
  return router;
}
