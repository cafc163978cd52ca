import { sure } from '@sill/core';
import { resolve } from 'node:path';
import { backupTo, restoreFrom, stampOf } from './backup';
import { openDatabase } from './database';
import { databaseFile } from './settings';
import { asUnusable, Unusable } from './opening';

/**
 * `npm run backup -- FILE` writes everything to one file, also while the program runs; `npm run restore -- FILE` puts
 * such a file back. Code 2 and a sentence where that can not be.
 */
const [what, given] = process.argv.slice(2);
const fail = (text: string): never => {
  process.stderr.write(`${text}\n`);
  process.exit(2);
};
if ((what !== 'backup' && what !== 'restore') || given === undefined)
  fail('Say a file: `npm run backup -- FILE` or `npm run restore -- FILE`.');
const path = resolve(process.env['INIT_CWD'] ?? '.', sure(given, 'file'));
const file = databaseFile();
try {
  const database = await openDatabase(file);
  try {
    if (what === 'backup') {
      await backupTo(database, path);
      process.stdout.write(`Everything is in ${path}.\n`);
    } else {
      const { jobs, saves, photos, before } = await restoreFrom(database, file, path, stampOf(new Date()));
      process.stdout.write(
        `${jobs} jobs with ${saves} saves and ${photos} photos are back. What was there before is in ${before}.\n`,
      );
    }
  } finally {
    await database.destroy();
  }
} catch (error) {
  fail((error instanceof Unusable ? error : asUnusable(what === 'backup' ? path : file, error)).message);
}
