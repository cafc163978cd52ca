import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import type { Device } from '@sill/core/contract';
import { hashed, matches } from './passphrase';

/** A device is asked for the passphrase again after so long. */
export const DAYS = 30;
const DAY_MS = 86_400_000;
/** How exactly "seen" is kept. */
const SEEN_MS = 60_000;

type DeviceRow = { id: string; token: string; name: string; since: string; seen: string };

/** Of a token only this is stored: a copy of the file signs nobody in. */
const trace = (token: string): string => createHash('sha256').update(token).digest('base64url');

const oldest = (now: Date): string => new Date(now.getTime() - DAYS * DAY_MS).toISOString();

const devices = (database: Knex) => database<DeviceRow>('devices');

export const hasPassphrase = async (database: Knex): Promise<boolean> =>
  (await database('passphrases').first()) !== undefined;

/** Takes the place of the one before; every device is signed out. `cost` is that of one try, if not the usual. */
export async function setPassphrase(database: Knex, passphrase: string, cost?: number): Promise<void> {
  const hash = await hashed(passphrase, cost);
  await database.transaction(async (within) => {
    await within('passphrases').delete();
    await within('passphrases').insert({ hash, set_at: new Date().toISOString() });
    await within('devices').delete();
  });
}

export async function isPassphrase(database: Knex, given: string): Promise<boolean> {
  const row = await database<{ hash: string }>('passphrases').first();
  return row !== undefined && (await matches(given, row.hash));
}

/** Signs a device in; its token, which only it has from here on. */
export async function signIn(database: Knex, name: string, now: Date): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const at = now.toISOString();
  await devices(database).where('since', '<', oldest(now)).delete();
  await devices(database).insert({ id: randomUUID(), token: trace(token), name, since: at, seen: at });
  return token;
}

/** The device that a token belongs to; null where it was signed out, or signed in too long ago. */
export async function deviceOf(database: Knex, token: string, now: Date): Promise<Device | null> {
  const row = await devices(database)
    .where({ token: trace(token) })
    .where('since', '>=', oldest(now))
    .first();
  if (!row) return null;
  const { id, name, since } = row;
  const seen = now.toISOString();
  if (now.getTime() - Date.parse(row.seen) > SEEN_MS) await devices(database).where({ id }).update({ seen });
  return { id, name, since, seen };
}

export const signedInDevices = (database: Knex): Promise<readonly Device[]> =>
  devices(database).select('id', 'name', 'since', 'seen').orderBy('seen', 'desc');

/** Signs one device out, or all of them; how many there were. */
export const signOut = (database: Knex, id?: string): Promise<number> =>
  devices(database)
    .where((query) => void (id === undefined ? query : query.where({ id })))
    .delete();
