import { sure } from '@sill/core';
import cookieParser from 'cookie-parser';
import { Router, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import { slowDown } from 'express-slow-down';
import type { Knex } from 'knex';
import { ROUTES, type Device } from '@sill/core/contract';
import { ApiError, notFound } from '../errors';
import { serve } from '../serve';
import { DAYS, deviceOf, isPassphrase, setPassphrase, signedInDevices, signIn, signOut } from './devices';
import { faultOf } from './passphrase';

/** How the server stands open to other devices. */
export type Beyond = {
  /** Addresses under which other devices reach it, the likeliest first. */
  readonly addresses: readonly string[];
  /** Whether by HTTPS: cookies go over nothing else then. */
  readonly secure: boolean;
};

/** Wrong tries: of one address in a quarter of an hour, and of all together in an hour. */
const TRIES = {
  each: 10,
  eachMs: 15 * 60_000,
  all: 100,
  allMs: 60 * 60_000,
  slowAfter: 2,
  slowerBy: 500,
  slowest: 5_000,
} as const;

const AT = '/access';
const WRONG = 'This is not the passphrase.';
const tooMany = (): never => {
  throw new ApiError(429, 'too-many', 'Too many wrong passphrases. Wait a quarter of an hour and try again.');
};

/** Lets a passphrase be tried so often only, each wrong try slower than the one before. */
function limitedTries(): readonly RequestHandler[] {
  const wrong = {
    skipSuccessfulRequests: true,
    standardHeaders: true,
    legacyHeaders: false,
    handler: tooMany,
  } as const;
  return [
    rateLimit({ ...wrong, windowMs: TRIES.allMs, limit: TRIES.all, keyGenerator: () => 'all' }),
    rateLimit({ ...wrong, windowMs: TRIES.eachMs, limit: TRIES.each }),
    slowDown({
      windowMs: TRIES.eachMs,
      delayAfter: TRIES.slowAfter,
      delayMs: (hits) => (hits - TRIES.slowAfter) * TRIES.slowerBy,
      maxDelayMs: TRIES.slowest,
      skipSuccessfulRequests: true,
    }),
  ];
}

/**
 * `/api/access`: signing in, the devices that are, and the passphrase; and the guard before everything else of the API.
 * Left without `beyond` the server answers its own machine only: nothing is asked of it.
 */
export function access(
  database: Knex,
  beyond: Beyond | null,
): { readonly router: Router; readonly guard: readonly RequestHandler[] } {
  const router = Router();
  if (!beyond) {
    serve(router, AT, ROUTES.access, () => Promise.resolve({ beyond: false }));
    return { router, guard: [] };
  }
  // A browser lets only HTTPS set or send a cookie whose name begins so.
  const COOKIE = beyond.secure ? '__Host-sill' : 'sill';
  const attributes = { httpOnly: true, sameSite: 'strict', secure: beyond.secure, path: '/' } as const;
  const cookies = cookieParser();
  const findDevice: RequestHandler = async (request, response, next) => {
    const token = (request.cookies as Record<string, unknown>)[COOKIE];
    response.locals['device'] = typeof token === 'string' ? await deviceOf(database, token, new Date()) : null;
    next();
  };
  const deviceHere = (response: Response) => response.locals['device'] as Device | null;
  const known: RequestHandler = (_request, response, next) => {
    if (!deviceHere(response)) throw new ApiError(401, 'sign-in', 'Sign in with the passphrase of this shop.');
    next();
  };
  const give = async (response: Response, name: string) =>
    response.cookie(COOKIE, await signIn(database, name || 'a device', new Date()), {
      ...attributes,
      maxAge: DAYS * 86_400_000,
    });
  const tries = limitedTries();

  router.use(cookies, findDevice);
  serve(router, AT, ROUTES.access, ({ response }) => {
    const device = deviceHere(response);
    return Promise.resolve({
      beyond: true,
      device,
      ...(device ? { secure: beyond.secure, addresses: [...beyond.addresses] } : {}),
    });
  });
  serve(
    router,
    AT,
    ROUTES.signIn,
    async ({ body: { passphrase, device }, response }) => {
      if (!(await isPassphrase(database, passphrase))) throw new ApiError(403, 'wrong', WRONG);
      // A new token with each sign-in; the one that was there before is worth nothing from here on.
      const before = deviceHere(response);
      if (before) await signOut(database, before.id);
      await give(response, device?.trim() ?? '');
    },
    ...tries,
  );
  serve(
    router,
    AT,
    ROUTES.signOutHere,
    async ({ response }) => {
      await signOut(database, sure(deviceHere(response), 'device that is signed in').id);
      response.clearCookie(COOKIE, attributes);
    },
    known,
  );
  serve(router, AT, ROUTES.devices, async () => [...(await signedInDevices(database))], known);
  serve(
    router,
    AT,
    ROUTES.signOutAll,
    async ({ response }) => {
      await signOut(database);
      response.clearCookie(COOKIE, attributes);
    },
    known,
  );
  serve(
    router,
    AT,
    ROUTES.signOut,
    async ({ params: { id } }) => {
      if ((await signOut(database, id)) === 0) throw notFound('device');
    },
    known,
  );
  serve(
    router,
    AT,
    ROUTES.changePassphrase,
    async ({ body: { current, next }, response }) => {
      if (!(await isPassphrase(database, current))) throw new ApiError(403, 'wrong', WRONG);
      const fault = faultOf(next);
      if (fault) throw new ApiError(422, 'invalid', fault, [{ field: 'next', message: fault }]);
      await setPassphrase(database, next);
      // Everyone else signs in again with the new one.
      await give(response, sure(deviceHere(response), 'device that is signed in').name);
    },
    known,
    ...tries,
  );

  return { router, guard: [cookies, findDevice, known] };
}
