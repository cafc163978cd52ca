import { untilSignedIn } from './gate';
import type { DayPrice, FieldError, Job, Rack, RackBoard, Shop, Yard } from '@sill/core';

export type SavedJob = {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  /** The id that its last save came with. */
  readonly save?: string | null;
  readonly job: Job;
};
export type JobSummary = {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly pieces: readonly string[];
};
export type Revision = {
  readonly revision: number;
  readonly savedAt: string;
  /** Bytes, without the price lists. */
  readonly size: number;
  /** Which browser saved it, and what it changed; null in saves of older programs. */
  readonly by: string | null;
  readonly changed: { readonly count: number; readonly first: readonly (readonly string[])[] } | null;
};
/** A device that is signed in. */
export type Device = { readonly id: string; readonly name: string; readonly since: string; readonly seen: string };
/** Whether others than this machine reach the server, and how. */
export type Access =
  | { readonly beyond: false }
  | { readonly beyond: true; readonly device: Device; readonly addresses: readonly string[]; readonly secure: boolean };
export type Listed<T> = { readonly id: string; readonly revision: number; readonly savedAt: string; readonly value: T };

/** What the server answered when it refused. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields: readonly FieldError[],
    readonly current: unknown,
  ) {
    super(message);
  }
}
/** The server could not be reached at all. */
export class Offline extends Error {}

const readOf = (answer: Response): Promise<unknown> =>
  answer.json().catch(() => {
    throw new Offline('The server does not answer as it should.');
  });

/** An answer that does not come within this never will: the way to the server broke without a word. Files take longer. */
const PATIENCE_MS = 20_000;

/** What the server answered; where it wants a sign-in first, after that. What it refused is thrown. */
async function answerTo(method: string, path: string, body?: unknown): Promise<Response> {
  const json = body !== undefined && { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const sent = body instanceof Blob ? { body } : { ...json, signal: AbortSignal.timeout(PATIENCE_MS) };
  let answer: Response;
  try {
    answer = await fetch(`/api${path}`, { method, ...sent });
  } catch {
    throw new Offline('The server does not answer.');
  }
  if (answer.ok) return answer;
  const { error } = (await readOf(answer)) as {
    error: { code: string; message: string; fields: FieldError[]; current?: unknown };
  };
  if (error.code === 'sign-in') {
    await untilSignedIn();
    return answerTo(method, path, body);
  }
  throw new Refused(answer.status, error.code, error.message, error.fields, error.current);
}

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  const answer = await answerTo(method, path, body);
  return (answer.status === 204 ? undefined : await readOf(answer)) as T;
}

/** Price lists and shops are kept alike: all of a kind, and one saved on top of the revision it was made from. */
const lists = <T>(kind: 'yards' | 'shops' | 'racks') => ({
  all: () => ask<readonly Listed<T>[]>('GET', `/${kind}`),
  save: (id: string, revision: number, value: T) =>
    ask<Omit<Listed<T>, 'value'>>('PUT', `/${kind}/${id}`, { revision, value }),
});

/** The rack that all jobs share, and the shop that new ones start with. */
export const RACK = 'rack';
export const USUAL_SHOP = 'usual';

/** So many jobs are asked for at once. */
export const JOBS_PAGE = 60;

export const api = {
  /** What the digital tape reads where a length is about so much; `press` counts the readings. */
  tape: (about: number, press: number) =>
    ask<{ readonly length: number; readonly simulated: boolean }>('GET', `/tape?about=${about}&press=${press}`),
  /** A page of the jobs, or of those that were removed: those saved before the last one of the page before. */
  jobs: (removed = false, after?: JobSummary) =>
    ask<readonly JobSummary[]>(
      'GET',
      `/jobs?limit=${JOBS_PAGE}&removed=${removed ? 1 : 0}${after ? `&before=${encodeURIComponent(`${after.savedAt} ${after.id}`)}` : ''}`,
    ),
  make: (job: Job) => ask<SavedJob>('POST', '/jobs', { job }),
  job: (id: string) => ask<SavedJob>('GET', `/jobs/${id}`),
  /** `save` is an id made up for it, `by` says which browser it is. */
  save: (
    id: string,
    body: { readonly revision: number; readonly job: Job; readonly save: string; readonly by: string },
  ) => ask<{ readonly id: string; readonly revision: number; readonly savedAt: string }>('PUT', `/jobs/${id}`, body),
  copy: (id: string) => ask<SavedJob>('POST', `/jobs/${id}/copy`),
  remove: (id: string) => ask<void>('DELETE', `/jobs/${id}`),
  restore: (id: string) => ask<SavedJob>('POST', `/jobs/${id}/restore`),
  revisions: (id: string) => ask<readonly Revision[]>('GET', `/jobs/${id}/revisions`),
  revision: (id: string, revision: number) => ask<SavedJob>('GET', `/jobs/${id}/revisions/${revision}`),
  yards: lists<Yard>('yards'),
  prices: (yard: string, day: string) =>
    ask<{ readonly day: string; readonly yard: Yard }>('GET', `/prices/${yard}?day=${day}`),
  history: (yard: string, offer: string, day: string) =>
    ask<readonly DayPrice[]>('GET', `/prices/${yard}/history/${offer}?day=${day}`),
  rack: (yard: string, offer: string, day: string) =>
    ask<{ readonly boards: readonly RackBoard[]; readonly simulated: boolean }>(
      'GET',
      `/prices/${yard}/rack/${offer}?day=${day}`,
    ),
  /** Keeps a picture; its id. */
  keepPhoto: (picture: Blob) => ask<{ readonly id: string }>('POST', '/photos', picture),
  /** The bytes of a picture; null where it is gone. */
  photo: async (id: string): Promise<Uint8Array | null> => {
    try {
      return new Uint8Array(await (await answerTo('GET', `/photos/${id}`)).arrayBuffer());
    } catch (error) {
      if (error instanceof Refused && error.status === 404) return null;
      throw error;
    }
  },
  photoAddress: (id: string): string => `/api/photos/${id}`,
  /** Everything as one file; and such a file in place of everything. */
  backupAddress: '/api/backup',
  restoreBackup: (file: Blob) =>
    ask<{ readonly jobs: number; readonly saves: number; readonly photos: number }>('PUT', '/backup', file),
  shops: lists<Shop>('shops'),
  access: {
    /** Asks to sign in where that is needed. */
    now: async (): Promise<Access> => {
      const access = await ask<Access | { readonly beyond: true; readonly device: null }>('GET', '/access');
      if (!access.beyond || access.device) return access;
      await untilSignedIn();
      return api.access.now();
    },
    signIn: (passphrase: string, device: string) => ask<void>('POST', '/access/session', { passphrase, device }),
    /** Signs this device out. */
    leave: () => ask<void>('DELETE', '/access/session'),
    devices: () => ask<readonly Device[]>('GET', '/access/devices'),
    signOut: (id: string) => ask<void>('DELETE', `/access/devices/${id}`),
    signOutAll: () => ask<void>('DELETE', '/access/devices'),
    change: (current: string, next: string) => ask<void>('PUT', '/access/passphrase', { current, next }),
  },
  racks: lists<Rack>('racks'),
};
