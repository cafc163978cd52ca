import * as v from 'valibot';
import { OnHandSchema, type OnHand } from './schema';

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

/** Checks `input` against a schema; errors name the field and what would be right. At most 20 are told. */
export function read<T>(schema: v.GenericSchema<unknown, T>, input: unknown, what: string): ReadResult<T> {
  const result = v.safeParse(schema, input);
  if (result.success) return { ok: true, value: result.output };
  const fields = result.issues.slice(0, 20).map((issue) => ({
    field: inWords(issue.path as readonly { key: unknown }[] | undefined),
    message: issue.received === 'undefined' && issue.type !== 'check' ? 'is missing' : issue.message,
  }));
  const first = fields[0]!;
  return { ok: false, message: `This ${what} can not be read: ${first.field} ${first.message}.`, fields };
}

/** The rack: what lies there for any job to use. */
export const RackSchema = v.object({
  pieces: v.pipe(v.array(OnHandSchema), v.maxLength(300, 'must be at most 300 rows')),
});
export type Rack = { readonly pieces: readonly OnHand[] };
export const readRack = (input: unknown): ReadResult<Rack> => read<Rack>(RackSchema, input, 'rack');
