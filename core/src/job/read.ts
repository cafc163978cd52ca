import { nth } from '../lists';
import * as v from 'valibot';
import { CanSchema, OnHandSchema, type Can, type OnHand } from './ledger';

/** One thing wrong with input: where, in words, and what would be right. */
export type FieldError = { readonly field: string; readonly message: string };
export type ReadResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly message: string; readonly fields: readonly FieldError[] };

/** "pieces 2, size, length" from a Valibot path: counted from one, as people count. */
const inWords = (path: readonly { key: unknown }[] | undefined): string =>
  (path ?? [])
    .map(({ key }) => (typeof key === 'number' ? `${key + 1}` : String(key)))
    .join(', ')
    .replace(/, (\d+)/g, ' $1') || 'the file';

/** The way to a number that JSON can not hold again, such as 1e999; null where there is none. */
function endless(input: unknown): readonly { key: unknown }[] | null {
  if (typeof input === 'number') return Number.isFinite(input) ? null : [];
  if (typeof input !== 'object' || input === null) return null;
  for (const [name, value] of Object.entries(input)) {
    const found = endless(value);
    if (found) return [{ key: Array.isArray(input) ? Number(name) : name }, ...found];
  }
  return null;
}

/** Checks `input` against a schema; errors name the field and what would be right. At most 20 are told. */
export function read<T>(schema: v.GenericSchema<unknown, T>, input: unknown, what: string): ReadResult<T> {
  const result = v.safeParse(schema, input);
  const beyond = endless(input);
  if (beyond) {
    const field = inWords(beyond);
    return {
      ok: false,
      message: `This ${what} can not be read: ${field} must be a number that can be written out.`,
      fields: [{ field, message: 'must be a number that can be written out' }],
    };
  }
  if (result.success) return { ok: true, value: result.output };
  const fields = result.issues.slice(0, 20).map((issue) => ({
    field: inWords(issue.path as readonly { key: unknown }[] | undefined),
    message: issue.received === 'undefined' && issue.type !== 'check' ? 'is missing' : issue.message,
  }));
  const first = nth(fields, 0);
  return { ok: false, message: `This ${what} can not be read: ${first.field} ${first.message}.`, fields };
}

/** The rack: what lies there for any job to use. */
const RackSchema = v.object({
  pieces: v.pipe(v.array(OnHandSchema), v.maxLength(300, 'must be at most 300 rows')),
  cans: v.optional(v.pipe(v.array(CanSchema), v.maxLength(300, 'must be at most 300 rows')), []),
});
export type Rack = { readonly pieces: readonly OnHand[]; readonly cans: readonly Can[] };
export const readRack = (input: unknown): ReadResult<Rack> => read<Rack>(RackSchema, input, 'rack');
