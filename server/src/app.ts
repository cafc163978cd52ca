import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Knex } from 'knex';
import type { Logger } from 'pino';
import { access, type Beyond } from './access/router';
import { backupsRouter } from './backups';
import { ApiError, apiNotFound, errorHandler } from './errors';
import { jobsRouter } from './jobs';
import { listsRouter, storedYard } from './lists';
import { photosRouter } from './photos';
import { pricesRouter, type PriceService } from './prices';
import { simulatedYard } from './simulated-yard';
import { recordsRouter } from './records';
import { solvingRouter, type Solver } from './solving';
import { shopAirRouter, simulatedSensor, type ShopSensor } from './shop-air';
import { simulatedTape, tapeRouter, type Tape } from './tape';

export type AppOptions = {
  readonly database: Knex;
  /** The database's file: backups lie beside it. Left out, there are none over HTTP. */
  readonly file?: string;
  readonly log: Logger;
  /** Folder of the built interface; left out in tests of the API alone. */
  readonly site?: string;
  /** Names and addresses that it may be asked under, besides those of this machine to itself; others are refused. */
  readonly names?: readonly string[];
  /** How other devices reach it; they sign in then. Left out, it answers this machine and asks nothing. */
  readonly beyond?: Beyond;
  /** Where today's prices come from; the simulated yard where nothing else is given. */
  readonly prices?: PriceService;
  /** The digital tape; a simulated one where nothing else is given. */
  readonly tape?: Tape;
  /** Thermometer and hygrometer; simulated ones where nothing else is given. */
  readonly sensor?: ShopSensor;
  /** Solves long cut lists; left out, the interface solves them itself. */
  readonly solver?: Solver;
  /** Requests a minute from one address. */
  readonly perMinute?: number;
};

const HERE = ['localhost', '127.0.0.1', '[::1]'];

/** Refuses pages of other sites: their Origin, and names that were pointed at this machine. */
const sameSite =
  (names: ReadonlySet<string>): RequestHandler =>
  (request, _response, next) => {
    const host = request.headers.host ?? '';
    const origin = request.headers.origin;
    if (!names.has(host.replace(/:\d+$/, '').toLowerCase()))
      throw new ApiError(
        403,
        'forbidden',
        'This server does not answer under this name. Set SILL_NAMES to the names it has.',
      );
    if (origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`)
      throw new ApiError(403, 'forbidden', 'Requests from other sites are not answered.');
    next();
  };

/** Half a year: a browser that was here by HTTPS does not come back without. */
const HSTS = { maxAge: 15_768_000, includeSubDomains: false } as const;

/** Strict content policy: own files only; styles and scripts by a nonce that is new with every page. */
const policy =
  (secure: boolean): RequestHandler =>
  (request, response, next) => {
    const nonce = randomBytes(16).toString('base64');
    response.locals['nonce'] = nonce;
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          // The integer solver is WebAssembly.
          scriptSrc: ["'self'", `'nonce-${nonce}'`, "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", `'nonce-${nonce}'`],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
          baseUri: ["'none'"],
        },
      },
      strictTransportSecurity: secure ? HSTS : false,
    })(request, response, next);
  };

/** The whole HTTP application. Holds no state of its own; the database does. */
export function makeApp({
  database,
  file,
  log,
  site,
  names = [],
  beyond,
  perMinute = 1200,
  solver,
  tape = simulatedTape,
  sensor = simulatedSensor,
  prices = simulatedYard((id) => storedYard(database, id)),
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(policy(beyond?.secure ?? false), sameSite(new Set([...HERE, ...names].map((name) => name.toLowerCase()))));
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit: perMinute,
      legacyHeaders: false,
      standardHeaders: true,
      handler: () => {
        throw new ApiError(429, 'too-many', 'Too many requests in a minute. Wait a little and try again.');
      },
    }),
  );
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  const { router: accessRouter, guard } = access(database, beyond ?? null);
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api/access', express.json({ limit: '10kb' }), accessRouter);
  for (const handler of guard) app.use('/api', handler);
  app.use('/api/photos', photosRouter(database));
  if (file !== undefined) app.use('/api/backup', backupsRouter(database, file));
  app.use('/api', express.json({ limit: '2mb' }));
  app.use('/api/jobs', jobsRouter(database));
  app.use('/api/yards', listsRouter(database, 'yards'));
  app.use('/api/shops', listsRouter(database, 'shops'));
  app.use('/api/racks', listsRouter(database, 'racks'));
  app.use('/api/memories', listsRouter(database, 'memories'));
  app.use('/api/records', recordsRouter(database));
  app.use('/api/prices', pricesRouter(prices));
  app.use('/api/tape', tapeRouter(tape));
  app.use('/api/shop-air', shopAirRouter(sensor));
  if (solver) app.use('/api/solve', solvingRouter(solver));
  app.use('/api', apiNotFound);
  if (site !== undefined && existsSync(join(site, 'index.html'))) {
    app.use('/assets', express.static(join(site, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
    app.use(express.static(site, { index: false }));
    app.get('/{*path}', async (_request, response) => {
      // Read each time: it may be built anew under a server that runs, and names other files then.
      const page = await readFile(join(site, 'index.html'), 'utf8');
      response
        .set('Cache-Control', 'no-cache')
        .type('html')
        .send(page.replaceAll('__NONCE__', response.locals['nonce'] as string));
    });
  }
  app.use(errorHandler(log));
  return app;
}
