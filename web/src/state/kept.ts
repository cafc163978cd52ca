import { readJob, type Job } from '@sill/core';

/** Changes that the server does not have yet, kept in this browser so that closing the tab loses nothing. */
type Kept = { readonly revision: number; readonly job: Job };

const keyOf = (id: string) => `sill-unsaved-${id}`;

export function keep(id: string, kept: Kept): void {
  try {
    localStorage.setItem(keyOf(id), JSON.stringify(kept));
  } catch {
    // A full or forbidden store: the changes are still in memory and are sent when the server answers.
  }
}

export function letGo(id: string): void {
  localStorage.removeItem(keyOf(id));
}

export function kept(id: string): Kept | null {
  try {
    const found = JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as { revision: number; job: unknown } | null;
    // It may have been kept by an older program.
    const result = found && readJob(found.job);
    return result?.ok ? { revision: found!.revision, job: result.value } : null;
  } catch {
    return null;
  }
}
