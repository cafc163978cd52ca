import * as v from 'valibot';
import type { Stocked } from '../stock';
import type { SurfaceKey } from './finish';
import { JobSchema, PieceSchema } from './schema';

type Named = { readonly id: string } | { readonly tag: string };
/** Whether fields go by more names than the compiler can take one by one: any text, every board, every surface. */
type IsRecord<T> = string extends keyof T
  ? true
  : Stocked extends keyof T
    ? true
    : SurfaceKey extends keyof T
      ? true
      : false;
type Inside<T, Key> = readonly [Key] | readonly [Key, ...PathIn<NonNullable<T>>];

/** All ways to a value in `T`: names of fields, keys of records, ids of rows, words of lists. */
export type PathIn<T> = T extends readonly (infer Row)[]
  ? Row extends string
    ? readonly [string]
    : Row extends Named
      ? Inside<Row, string>
      : never
  : T extends object
    ? IsRecord<T> extends true
      ? Inside<T[keyof T], keyof T & string>
      : { [Key in keyof T & string]: Inside<T[Key], Key> }[keyof T & string]
    : never;

/** What may be set at a path of `T`; rows and what a record holds may be taken out. */
export type ValueIn<T, P> = P extends readonly [infer Key, ...infer Rest]
  ? T extends readonly (infer Row)[]
    ? Rest extends readonly []
      ? Row | undefined
      : ValueIn<Row, Rest>
    : Key extends keyof T
      ? Rest extends readonly []
        ? T[Key] | (IsRecord<T> extends true ? undefined : never)
        : ValueIn<NonNullable<T[Key]>, Rest>
      : never
  : never;

type AnySchema = v.GenericSchema & {
  readonly entries?: Readonly<Record<string, AnySchema>>;
  readonly item?: AnySchema;
  readonly key?: AnySchema;
  readonly value?: AnySchema;
  readonly wrapped?: AnySchema;
};

/** The schema of what stands at a path; undefined where there is none. */
function schemaAt(schema: AnySchema | undefined, [key, ...rest]: readonly string[]): AnySchema | undefined {
  if (!schema || key === undefined) return schema;
  if (schema.wrapped) return schemaAt(schema.wrapped, [key, ...rest]);
  if (schema.item) return schemaAt(schema.item, rest);
  if (schema.key) return v.is(schema.key, key) ? schemaAt(schema.value, rest) : undefined;
  // What every object has is no field.
  return schema.entries && Object.hasOwn(schema.entries, key) ? schemaAt(schema.entries[key], rest) : undefined;
}

/** Whether a job, or a piece of it, can hold something at the path. */
export const hasPath = ({
  piece,
  path,
}: {
  readonly piece: string | null;
  readonly path: readonly string[];
}): boolean => schemaAt((piece === null ? JobSchema : PieceSchema) as AnySchema, path) !== undefined;
