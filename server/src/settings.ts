import { hostname, networkInterfaces } from 'node:os';
import { fileURLToPath } from 'node:url';
import { Unusable } from './opening';

/** Settings come from the environment; the README lists them. */
export const databaseFile = (): string =>
  process.env['SILL_DATABASE'] ?? fileURLToPath(new URL('../../data/sill-plan.db', import.meta.url));

/**
 * The port to listen on.
 *
 * @throws Unusable where what is set is none.
 */
export function portFrom(text: string | undefined): number {
  if (text === undefined || text === '') return 4173;
  const port = Number(text);
  if (!/^\d+$/.test(text) || port > 65_535) throw new Unusable(`SILL_PORT is ${text}; it must be a whole number up to 65535.`); // prettier-ignore
  return port;
}

/**
 * Names and addresses that the server may be asked under: those it listens on and what `SILL_NAMES` adds. A page of
 * another site that points its own name here is refused.
 *
 * @param host what it listens on; an address of this machine to itself, one of its addresses, or all.
 */
export function namesFor(host: string): readonly string[] {
  if (host === '127.0.0.1' || host === 'localhost' || host === '::1') return [];
  const said = (process.env['SILL_NAMES'] ?? '').split(/[\s,]+/).filter((name) => name !== '');
  const bracketed = (address: string) => (address.includes(':') ? `[${address}]` : address);
  const all = Object.values(networkInterfaces()).flatMap((rows) =>
    (rows ?? []).map(({ address }) => bracketed(address)),
  );
  const own = host === '0.0.0.0' || host === '::' ? [...all, hostname(), `${hostname()}.local`] : [bracketed(host)];
  return [...own, ...said];
}
