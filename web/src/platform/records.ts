import type { JobRecord } from '@sill/core';

/** Another program reads its own: what a record holds may change with it. */
const KEY = `sill-records-${__PROGRAM__}`;
const PREFIX = 'sill-records-';

/** What all jobs said of the builder when the server was last reached; nothing where that is not known. */
export function recordsKept(): readonly JobRecord[] {
  try {
    return JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '[]') as readonly JobRecord[];
  } catch {
    return [];
  }
}

/** Kept for plans without a server; a browser without room keeps none. */
export function keepRecords(records: readonly JobRecord[]): void {
  try {
    const old = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX) && key !== KEY);
    old.forEach((key) => localStorage.removeItem(key));
    localStorage.setItem(KEY, JSON.stringify(records));
  } catch {
    // Plans then rest on the usual until the server answers.
  }
}
