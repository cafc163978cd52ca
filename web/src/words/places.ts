import { printLength, type Job, type Units } from '@sill/core';
import { dollars } from './money';

/** Fields as they are called on the screens; others by their own names. */
const CALLED: Readonly<Record<string, string>> = {
  size: '',
  where: 'where it goes',
  topChoices: 'top',
  choices: 'base',
  joins: 'joints',
  ledger: 'the ledger',
  alsoAt: 'further yards',
  yard: 'prices',
  locks: 'kept boards',
  done: 'ticks',
  shop: 'my shop',
  measured: 'measured',
  units: 'units',
};
const LENGTHS = new Set(['length', 'width', 'height', 'thickness', 'kerf', 'door', 'overhang', 'spacing']);
const MONEY = new Set(['budget', 'price', 'beat', 'paid']);

/** `pieces`, its id, `size`, `length` is "Glaze table: length". */
export function placeWords(path: readonly string[], jobs: readonly Job[]): string {
  if (path.length === 0) return 'The whole job';
  const [first, id, ...rest] = path;
  const spoken = (names: readonly string[]) =>
    names
      .map((name) => CALLED[name] ?? name.replace(/([A-Z])/g, ' $1').toLowerCase())
      .filter((word) => word !== '')
      .join(', ');
  if (first !== 'pieces' || id === undefined) return spoken(path).replace(/^./, (letter) => letter.toUpperCase());
  const name = jobs.flatMap(({ pieces }) => pieces).find((piece) => piece.id === id)?.name ?? id;
  return rest.length === 0 ? name : `${name}: ${spoken(rest)}`;
}

/** A value at such a place, in a few words. */
export function valueWords(path: readonly string[], value: unknown, units: Units): string {
  const field = path.at(-1) ?? '';
  if (value === undefined) return 'removed';
  if (value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number')
    return LENGTHS.has(field) ? printLength(value, units, true) : MONEY.has(field) ? dollars(value) : String(value);
  if (typeof value === 'string') return value;
  if (Array.isArray(value)) return value.length === 1 ? 'one row' : `${value.length} rows`;
  const { name } = value as { name?: unknown };
  return typeof name === 'string' ? name : 'as set there';
}
