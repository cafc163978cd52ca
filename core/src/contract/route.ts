import { sure } from '../lists';
import * as v from 'valibot';

/** One thing that can be asked of the server: where, with what, and what it answers. */
export type Route = {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Under `/api`; what begins with a colon is a name of the thing that is asked about. */
  readonly path: string;
  /** What stands behind the question mark: texts. */
  readonly query?: v.GenericSchema;
  readonly body?: v.GenericSchema;
  /** `NOTHING` where it answers 204, `BYTES` where a file comes. */
  readonly answer: v.GenericSchema;
  /** 200 unless it says otherwise: 201 where it made something. */
  readonly status?: 201;
};

/** An answer without a body. */
export const NOTHING = v.undefined();
/** A file as it is. */
export const BYTES = v.instance(Uint8Array<ArrayBuffer>);
/** A file that is sent. */
export const FILE = v.unknown() as unknown as v.GenericSchema<Blob, unknown>;

type Names<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Names<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never;

type Without<T, Key extends string> = [T] extends [never] ? object : { readonly [K in Key]: T };
type Input<S> = S extends v.GenericSchema ? v.InferInput<S> : never;

/** The names in a route's path, with what they stand for. */
export type Params<R extends Route> = { readonly [Name in Names<R['path']>]: string | number };
/** What is sent with a question: names in the path, query, body, each where the route has them. */
export type Asked<R extends Route> = ([Names<R['path']>] extends [never] ? object : { readonly params: Params<R> }) &
  Without<Input<R['query']>, 'query'> &
  Without<Input<R['body']>, 'body'>;
export type Answered<R extends Route> = v.InferOutput<R['answer']>;

/** The address of a question, names and query filled in. */
export function addressOf(
  { path }: Route,
  { params = {}, query = {} }: { readonly params?: object; readonly query?: object },
): string {
  const names = params as Readonly<Record<string, string | number>>;
  const filled = path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(sure(names[name], `name ${name} for the path`)),
  );
  const asked = Object.entries(query).filter(([, value]) => value !== undefined) as [string, string][];
  return `/api${filled}${asked.length > 0 ? `?${new URLSearchParams(asked).toString()}` : ''}`;
}
