import { hasPath, type PathIn, type ValueIn } from './paths';
import { nameOf } from './rows';
import type { Job, Piece } from './schema';

/**
 * One change to a job as data: what a field, a choice or a remedy does. `piece` null means the job itself; `path` leads
 * to the value inside it, rows of a list by their id, so that it acts on whatever the job is by then. No value at all
 * takes a row or an optional field out. A remedy that the interface applies with one click is a list of these.
 */
export type Change = (
  | { readonly piece: null; readonly path: PathIn<Job> }
  | { readonly piece: string; readonly path: PathIn<Piece> }
) & { readonly value: unknown };

/**
 * A change that sets one value of the job (`piece` null) or of a piece, by its id: `set('bench', ['finish', 'coats'],
 * 3)`. A row that is not in its list yet is added at the end; `undefined` takes a row or an optional field out. The
 * compiler knows the paths from the schema, and what may stand there.
 */
export function set<const P extends PathIn<Job>>(piece: null, path: P, value: ValueIn<Job, P>): Change;
export function set<const P extends PathIn<Piece>>(piece: string, path: P, value: ValueIn<Piece, P>): Change;
export function set(piece: string | null, path: readonly string[], value: unknown): Change {
  return { piece, path, value } as Change;
}

function putInList(list: readonly unknown[], name: string, change: (row: unknown) => unknown): readonly unknown[] {
  const next = list.map((row) => (nameOf(row) === name ? change(row) : row));
  if (!list.some((row) => nameOf(row) === name)) next.push(change(undefined));
  return next.filter((row) => row !== undefined);
}

function put(target: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  // A change to a row that is gone does nothing; one that is whole brings it.
  const inner = (was: unknown) => (was === undefined && rest.length > 0 ? undefined : put(was, rest, value));
  if (Array.isArray(target)) return putInList(target, key, inner);
  const { [key]: was, ...others } = (target ?? {}) as Record<string, unknown>;
  const next = put(was, rest, value);
  return next === undefined ? others : { ...(target as object), [key]: next };
}

/**
 * The job with the changes made; the one given stays as it was. A change to a piece or a row that is gone does nothing.
 *
 * @throws Error where a path leads to nothing that a job can hold: a fault of the program, not of the person.
 */
export const applyChanges = (job: Job, changes: readonly Change[]): Job =>
  changes.reduce((current, change) => {
    const { piece, path, value } = change;
    if (!hasPath(change)) throw new Error(`A job has no ${path.join(', ')}`);
    return piece === null
      ? (put(current, path, value) as Job)
      : {
          ...current,
          pieces: current.pieces.map((item) => (item.id === piece ? (put(item, path, value) as Piece) : item)),
        };
  }, job);
