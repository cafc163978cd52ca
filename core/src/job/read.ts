import * as v from 'valibot';
import { JOB_FORMAT, JobSchema, ShopSchema, YardSchema, type Job, type Shop } from './schema';
import type { Yard } from '../stock';

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

/**
 * Reads a job from parsed JSON. A file of another kind, a damaged one or one from a newer version of the program comes
 * back as a message; nothing is guessed.
 */
export function readJob(input: unknown): ReadResult<Job> {
  const format = typeof input === 'object' && input !== null ? (input as { format?: unknown }).format : undefined;
  const version = typeof format === 'string' ? /^sill-plan\/job@(\d+)$/.exec(format) : null;
  if (!version)
    return {
      ok: false,
      message: 'This is not a job file. A job file says “sill-plan/job” in its first lines.',
      fields: [{ field: 'format', message: `must be ${JOB_FORMAT}` }],
    };
  if (Number(version[1]) > 1)
    return {
      ok: false,
      message: `This job was saved by a newer version (${format}). This program reads up to ${JOB_FORMAT}; update it first.`,
      fields: [{ field: 'format', message: `must be ${JOB_FORMAT}` }],
    };
  return read(JobSchema, input, 'job');
}

/** Reads a job from the text of a file. */
export function readJobText(text: string): ReadResult<Job> {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return {
      ok: false,
      message: 'This file is damaged or of another kind: it is not JSON from end to end.',
      fields: [{ field: 'the file', message: 'must be JSON' }],
    };
  }
  return readJob(input);
}

export const readYard = (input: unknown): ReadResult<Yard> => read(YardSchema, input, 'price list');
export const readShop = (input: unknown): ReadResult<Shop> => read(ShopSchema, input, 'shop');
