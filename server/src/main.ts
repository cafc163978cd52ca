import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { makeApp } from './app';
import { backupOfDay } from './backup';
import { openDatabase, settle } from './database';
import { asUnusable } from './opening';
import { clearPhotos } from './photos';
import { processSolver } from './process-solver';
import { clearContents } from './revisions';
import { seed } from './seed';
import { databaseFile, namesFor, portFrom } from './settings';

const host = process.env['SILL_HOST'] ?? '127.0.0.1';
const site = fileURLToPath(new URL('../../web/dist', import.meta.url));
const log = pino({ level: process.env['SILL_LOG'] ?? 'warn' });

/** Why it does not start, and goes. */
const giveUp = (text: string): never => {
  process.stderr.write(`${text}\n`);
  process.exit(1);
};
const orGiveUp = (error: unknown): never => giveUp((error as Error).message);

const file = databaseFile();
const port = await Promise.resolve(process.env['SILL_PORT']).then(portFrom).catch(orGiveUp);
const database = await openDatabase(file).catch(orGiveUp);
await seed(database, process.env['SILL_DEMO'] === '1').catch((error: unknown) => orGiveUp(asUnusable(file, error)));
const server = makeApp({ database, file, log, site, names: namesFor(host), solver: processSolver }).listen(
  port,
  host,
  (error) => {
    if (error) giveUp(`Port ${port} on ${host} can not be used: ${error.message}. Set SILL_PORT to another.`);
    if (!existsSync(site))
      process.stdout.write('The interface is not built yet: run `npm run build`, then start again.\n');
    process.stdout.write(`Sill Plan is at http://${host}:${port}\n`);
  },
);

/** Each hour: the backup of the day, pictures and contents that nothing refers to, and the file itself made whole. */
const upkeep = async () => {
  await backupOfDay(database, file, new Date().toISOString().slice(0, 10));
  await clearPhotos(database, Date.now());
  await clearContents(database);
  await settle(database);
};
const keepUp = () => void upkeep().catch((error: unknown) => log.error(error, 'upkeep'));
keepUp();
setInterval(keepUp, 3_600_000).unref();
setInterval(() => void settle(database).catch((error: unknown) => log.error(error, 'settle')), 60_000).unref();

/** Finish what is being answered, close the file, go. */
const stop = () => {
  server.close(() => void database.destroy().then(() => process.exit(0)));
  server.closeIdleConnections();
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
