import type { Job } from './schema';

/**
 * One change to a job as data: what a field, a choice or a remedy does. `piece` null means the job itself; `path` leads
 * to the value inside it. A remedy that the interface applies with one click is a list of these.
 */
export type Change = {
  readonly piece: string | null;
  readonly path: readonly (string | number)[];
  readonly value: unknown;
};

function put<T>(target: T, path: readonly (string | number)[], value: unknown): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (Array.isArray(target)) return target.map((item, at) => (at === key ? put(item, rest, value) : item)) as T;
  return { ...target, [key]: put((target as Record<string | number, unknown>)[key], rest, value) };
}

/** The job with the changes made; the one given stays as it was. A change to a piece that is gone does nothing. */
export const applyChanges = (job: Job, changes: readonly Change[]): Job =>
  changes.reduce(
    (current, { piece, path, value }) =>
      piece === null
        ? put(current, path, value)
        : {
            ...current,
            pieces: current.pieces.map((item) => (item.id === piece ? put(item, path, value) : item)),
          },
    job,
  );
