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
