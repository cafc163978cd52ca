import { readFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { createSecureContext } from 'node:tls';
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
  if (!/^\d+$/.test(text) || port > 65_535)
    throw new Unusable(`SILL_PORT is ${text}; it must be a whole number up to 65535.`);
  return port;
}

/** Whether other machines can not reach what listens on `host`. */
export const onlyHere = (host: string): boolean => host === '127.0.0.1' || host === 'localhost' || host === '::1';

/** Certificate and key of the person's own for HTTPS. */
export type Tls = { readonly cert: Buffer; readonly key: Buffer };

/**
 * What `SILL_CERT` and `SILL_KEY` name, both files in PEM; null where neither is set.
 *
 * @throws Unusable where one is missing or can not be read.
 */
export function tlsFrom(cert: string | undefined, key: string | undefined): Tls | null {
  if (!cert && !key) return null;
  if (!cert || !key)
    throw new Unusable(
      'HTTPS needs both: set SILL_CERT to the file of the certificate and SILL_KEY to the file of its key.',
    );
  const read = (name: string, file: string) => {
    try {
      return readFileSync(file);
    } catch {
      throw new Unusable(`${file} can not be read. Set ${name} to a file in PEM.`);
    }
  };
  const files = { cert: read('SILL_CERT', cert), key: read('SILL_KEY', key) };
  try {
    createSecureContext(files);
  } catch (error) {
    throw new Unusable(`The certificate ${cert} and the key ${key} can not be used: ${(error as Error).message}.`);
  }
  return files;
}

/** Where other devices find it: its addresses and names but for those that only this machine knows. */
export function addressesFor(host: string, port: number, secure: boolean): readonly string[] {
  const outside = namesFor(host).filter((name) => !/^(127\.|localhost$|\[::1\]|\[fe80:)/.test(name));
  const likely = (name: string) => (/^\d+(\.\d+){3}$/.test(name) ? 0 : name.startsWith('[') ? 2 : 1);
  const told = [...new Set(outside)].sort((a, b) => likely(a) - likely(b));
  return told.map((name) => `${secure ? 'https' : 'http'}://${name}:${port}`);
}

/**
 * Names and addresses that the server may be asked under: those it listens on and what `SILL_NAMES` adds. A page of
 * another site that points its own name here is refused.
 *
 * @param host what it listens on; an address of this machine to itself, one of its addresses, or all.
 */
export function namesFor(host: string): readonly string[] {
  if (onlyHere(host)) return [];
  const said = (process.env['SILL_NAMES'] ?? '').split(/[\s,]+/).filter((name) => name !== '');
  const bracketed = (address: string) => (address.includes(':') ? `[${address}]` : address);
  const all = Object.values(networkInterfaces()).flatMap((rows) =>
    (rows ?? []).map(({ address }) => bracketed(address)),
  );
  const own = host === '0.0.0.0' || host === '::' ? [...all, hostname(), `${hostname()}.local`] : [bracketed(host)];
  return [...own, ...said];
}
