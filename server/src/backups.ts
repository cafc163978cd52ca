import { createReadStream } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express, { Router } from 'express';
import type { Knex } from 'knex';
import { backupTo, restoreFrom, stampOf } from './backup';
import { ApiError } from './errors';
import { Unusable } from './opening';

/** Largest backup that is read back over HTTP; larger ones by `npm run restore`. */
const MOST = '500mb';

/** `/api/backup`: GET everything as one file; PUT such a file in place of everything. */
export function backupsRouter(database: Knex, file: string): Router {
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

  router.put('/', express.raw({ type: () => true, limit: MOST }), async (request, response) => {
    const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
    const folder = await mkdtemp(join(tmpdir(), 'sill-given-'));
    try {
      const path = join(folder, 'given.db');
      await writeFile(path, bytes);
      const { before, ...held } = await restoreFrom(database, file, path, stampOf(new Date()));
      void before;
      response.json(held);
    } catch (error) {
      if (error instanceof Unusable) throw new ApiError(422, 'invalid', error.message.replaceAll(folder, '').replace(/\S*(given|backup)\.db/g, 'This file')); // prettier-ignore
      throw error;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  return router;
}
