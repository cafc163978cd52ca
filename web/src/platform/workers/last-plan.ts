import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Job, Plan } from '@sill/core';

/** What a job came to when it was last open in this browser. */
export type LastPlan = {
  readonly id: string;
  readonly job: Job;
  readonly plan: Plan;
  readonly program: string;
  readonly at: number;
};

interface Shelf extends DBSchema {
  plans: { key: string; value: LastPlan; indexes: { at: number } };
}
/** So many jobs open on what they had. */
const MOST = 6;

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;
const open = () => {
  shelf ??= openDB<Shelf>('sill-plans', 1, {
    upgrade: (database) => void database.createObjectStore('plans', { keyPath: 'id' }).createIndex('at', 'at'),
    terminated: () => (shelf = null),
  });
  shelf.catch(() => (shelf = null));
  return shelf;
};

/** Keeps a plan for the next opening; those of jobs not opened for longest go. A browser without room keeps none. */
export async function keepPlan(of: LastPlan): Promise<void> {
  try {
    const within = (await open()).transaction('plans', 'readwrite');
    await within.store.put(of);
    const keys = await within.store.index('at').getAllKeys();
    for (const key of keys.slice(0, -MOST)) await within.store.delete(key);
    await within.done;
  } catch {
    // It opens a little slower next time.
  }
}

/** The plan a job had last, as this very program made it; null where there is none. */
export async function lastPlan(id: string, program: string): Promise<LastPlan | null> {
  try {
    const found = await (await open()).get('plans', id);
    return found?.program === program ? found : null;
  } catch {
    return null;
  }
}
