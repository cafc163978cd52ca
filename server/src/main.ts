import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { toString as qrCode } from 'qrcode';
import { hasPassphrase } from './access/devices';
import { makeApp } from './app';
import { backupOfDay } from './backup';
import { openDatabase, settle } from './database';
import { asUnusable } from './opening';
import { clearPhotos } from './photos';
import { processSolver } from './process-solver';
import { clearContents } from './revisions';
import { seed } from './seed';
import { addressesFor, databaseFile, namesFor, onlyHere, portFrom, tlsFrom } from './settings';

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
const { port, tls } = await Promise.resolve(process.env)
  .then(({ SILL_PORT, SILL_CERT, SILL_KEY }) => ({ port: portFrom(SILL_PORT), tls: tlsFrom(SILL_CERT, SILL_KEY) }))
  .catch(orGiveUp);
const database = await openDatabase(file).catch(orGiveUp);
const here = onlyHere(host);
if (!here && !(await hasPassphrase(database)))
  giveUp(
    `SILL_HOST is ${host}: other devices could open this server, and it has no passphrase. Set one with \`npm run passphrase\`, then start again.`,
  );
await seed(database, process.env['SILL_DEMO'] === '1' ? 'all' : 'none').catch((error: unknown) =>
  orGiveUp(asUnusable(file, error)),
);
const addresses = here ? [] : addressesFor(host, port, tls !== null);
const beyond = here ? {} : { beyond: { addresses, secure: tls !== null } };
const app = makeApp({ database, file, log, site, names: namesFor(host), solver: processSolver, ...beyond });
const server = tls ? createSecureServer(tls, app) : createServer(app);
server.once('error', (error) =>
  giveUp(`Port ${port} on ${host} can not be used: ${error.message}. Set SILL_PORT to another.`),
);
server.listen(port, host, () => {
  if (!existsSync(site))
    process.stdout.write('The interface is not built yet: run `npm run build`, then start again.\n');
  process.stdout.write(`Sill Plan is at ${tls ? 'https' : 'http'}://${host}:${port}\n`);
  void tellDevices(addresses);
});

/** Where other devices go, with a picture that a phone's camera reads. */
async function tellDevices([likeliest, ...others]: readonly string[]): Promise<void> {
  if (likeliest === undefined) return;
  const picture = await qrCode(likeliest, { type: 'terminal', small: true });
  process.stdout.write(`${picture}\nOther devices: ${[likeliest, ...others].join(', ')}\n`);
  if (!tls)
    process.stdout.write(
      'What they send is not encrypted: use this in your own network only, or set SILL_CERT and SILL_KEY.\n',
    );
}

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
