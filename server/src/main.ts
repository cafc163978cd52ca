import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { makeApp } from './app';
import { openDatabase } from './database';
import { seed } from './seed';
import { processSolver } from './process-solver';

/** Settings come from the environment; the README lists them. */
const host = process.env['SILL_HOST'] ?? '127.0.0.1';
const port = Number(process.env['SILL_PORT'] ?? 4173);
const file = process.env['SILL_DATABASE'] ?? fileURLToPath(new URL('../../data/sill-plan.db', import.meta.url));
const site = fileURLToPath(new URL('../../web/dist', import.meta.url));
const log = pino({ level: process.env['SILL_LOG'] ?? 'warn' });

const database = await openDatabase(file);
await seed(database, process.env['SILL_DEMO'] === '1');
const onlyHere = host === '127.0.0.1' || host === 'localhost' || host === '::1';
const server = makeApp({ database, log, site, onlyHere, solver: processSolver }).listen(port, host, (error) => {
  if (error) {
    process.stderr.write(`Port ${port} on ${host} can not be used: ${error.message}. Set SILL_PORT to another.\n`);
    process.exit(1);
  }
  if (!existsSync(site))
    process.stdout.write('The interface is not built yet: run `npm run build`, then start again.\n');
  process.stdout.write(`Sill Plan is at http://${host}:${port}\n`);
});

/** Finish what is being answered, close the file, go. */
const stop = () => {
  server.close(() => void database.destroy().then(() => process.exit(0)));
  server.closeIdleConnections();
};
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
