import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { isAlike, JOB_FORMAT, readJob, type Job } from '@sill/core';
import type { Sent } from './rebase';
import { openTabs, TAB } from './tab';

/** What a tab knows of a job, kept in this browser with every change: nothing is lost when it is closed. */
export type Kept = {
  /** The job's id and the tab's. */
  readonly key: string;
  readonly id: string;
  readonly tab: string;
  readonly job: Job;
  /** What the server had when the job grew from it. */
  readonly base: Job;
  readonly revision: number;
  readonly savedAt: string;
  /** Saves of which no answer is known. */
  readonly sent: readonly Sent[];
  /** False where the server has it all: then only the steps back are worth keeping. */
  readonly unsaved: boolean;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
  readonly at: number;
};

interface Shelf extends DBSchema {
  kept: { key: string; value: Kept; indexes: { id: string } };
}

/** Steps back and forth that are kept over a reload. */
const MOST_STEPS = 60;
/** What is saved is let go after so long. */
const STALE_MS = 7 * 24 * 3_600_000;

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;
const open = (): Promise<IDBPDatabase<Shelf>> => {
  shelf ??= openDB<Shelf>('sill-plan', 1, {
    upgrade: (database) => void database.createObjectStore('kept', { keyPath: 'key' }).createIndex('id', 'id'),
    terminated: () => (shelf = null),
  });
  // Asked again after it could not be opened.
  shelf.catch(() => (shelf = null));
  return shelf;
};

const keyOf = (id: string, tab: string) => `${id} ${tab}`;
/** Written at once when the page is left, where the other store may be too slow. */
const LEAVING = 'sill-leaving';

/** What a tab knows of its job, to be kept. */
export type Keeping = Omit<Kept, 'key' | 'tab' | 'at'>;
const recordOf = (of: Keeping): Kept => ({
  ...of,
  key: keyOf(of.id, TAB),
  tab: TAB,
  past: of.past.slice(-MOST_STEPS),
  future: of.future.slice(0, MOST_STEPS),
  at: Date.now(),
});

/** Keeps what this tab knows of a job. False where the browser has no room for it or forbids it. */
export async function keep(of: Keeping): Promise<boolean> {
  try {
    await (await open()).put('kept', recordOf(of));
    return true;
  } catch {
    return false;
  }
}

/** The same at the last moment, when nothing can be waited for. */
export function keepLeaving(of: Keeping): void {
  try {
    localStorage.setItem(LEAVING, JSON.stringify(recordOf({ ...of, past: [], future: [] })));
  } catch {
    // It is in the other store, less what was typed in the last moment.
  }
}

async function takeLeft(): Promise<void> {
  const text = globalThis.localStorage?.getItem(LEAVING);
  if (!text) return;
  const left = JSON.parse(text) as Kept;
  const known = await (await open()).get('kept', left.key);
  // What was typed last is a step of its own.
  const past = !known ? [left.base] : isAlike(known.job, left.job) ? known.past : [...known.past, known.job];
  if (!known || known.at <= left.at) await (await open()).put('kept', { ...left, past, future: [] });
  localStorage.removeItem(LEAVING);
}

/** Kept by an older program it is brought up to date; null where that can not be. */
function read(kept: Kept): Kept | null {
  const [job, base] = [readJob(kept.job), readJob(kept.base)];
  const isToday = (one: Job) => one.format === JOB_FORMAT;
  return job.ok && base.ok
    ? {
        ...kept,
        job: job.value,
        base: base.value,
        sent: kept.sent.filter((sent) => typeof sent === 'object' && isToday(sent.job)),
        past: kept.past.filter(isToday),
        future: kept.future.filter(isToday),
      }
    : null;
}

/**
 * What there is of a job that the server may not have: this tab's own from before a reload, else the newest of a tab
 * that was closed with changes of its own. That of other open tabs is theirs.
 */
export async function keptOf(id: string): Promise<Kept | null> {
  try {
    await takeLeft();
    const rows = await (await open()).getAllFromIndex('kept', 'id', id);
    const own = rows.find(({ tab }) => tab === TAB);
    if (own?.unsaved) return read(own);
    const others = rows.filter(({ tab }) => tab !== TAB).sort((a, b) => b.at - a.at);
    for (const { key, unsaved, at } of others) if (!unsaved && Date.now() - at > STALE_MS) await letGo(key);
    const unsaved = others.filter((other) => other.unsaved);
    // Which of them are closed is asked only where it matters.
    const alive = unsaved.length > 0 ? await openTabs() : new Set<string>();
    const found = unsaved.find(({ tab }) => !alive.has(tab)) ?? own;
    return found ? read(found) : null;
  } catch {
    return null;
  }
}

/** Lets go of what was kept under a key: it is in other hands now. */
export async function letGo(key: string): Promise<void> {
  await (await open()).delete('kept', key);
}
