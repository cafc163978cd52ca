import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import type { Knex } from 'knex';
import { backupTo, restoreFrom, stampOf } from './backup';
import { ApiError } from './errors';
import { Unusable } from './opening';

/** Largest backup that is read back over HTTP, bytes; larger ones by `npm run restore`. */
const MOST = 2_000_000_000;

/** What goes through, as long as it is no more than a backup may have. */
async function* upTo(most: number, chunks: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
  let sum = 0;
  for await (const chunk of chunks) {
    sum += chunk.length;
    if (sum > most)
      throw new ApiError(
        413,
        'too-large',
        'This backup is too large to be sent. Put it back with `npm run restore -- FILE`.',
      );
    yield chunk;
  }
}

/** `/api/backup`: GET everything as one file; PUT such a file in place of everything. */
export function backupsRouter(database: Knex, file: string, most = MOST): Router {
  const router = Router();

  router.get('/', async (_request, response, next) => {
    const folder = await mkdtemp(join(tmpdir(), 'sill-backup-'));
    const clear = () => void rm(folder, { recursive: true, force: true });
    try {
      const path = join(folder, 'backup.db');
      await backupTo(database, path);
      response.set('Cache-Control', 'no-store').type('application/vnd.sqlite3');
      response.attachment(`sill-plan-${stampOf(new Date())}.db`);
      createReadStream(path).on('error', next).pipe(response);
      response.on('close', clear);
    } catch (error) {
      clear();
      throw error;
    }
  });

  router.put('/', async (request, response) => {
    const folder = await mkdtemp(join(tmpdir(), 'sill-given-'));
    try {
      const path = join(folder, 'given.db');
      await pipeline(upTo(most, request as AsyncIterable<Buffer>), createWriteStream(path));
      const { before, ...held } = await restoreFrom(database, file, path, stampOf(new Date()));
      void before;
      response.json(held);
    } catch (error) {
      if (error instanceof Unusable)
        throw new ApiError(
          422,
          'invalid',
          error.message.replaceAll(folder, '').replace(/\S*(given|backup)\.db/g, 'This file'),
        );
      if (!request.complete && !(error instanceof ApiError))
        throw new ApiError(400, 'bad-request', 'The file did not come whole. Nothing was changed.');
      throw error;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  return router;
}
