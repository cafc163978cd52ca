import * as v from 'valibot';
import type { RackBoard } from '../buying';
import { CutProblemSchema, type Chosen, type Solved } from '../cutting';
import { readJob, readShop, readYard } from '../formats';
import { isDay, readRack, type Job, type Rack, type ReadResult, type Shop } from '../job';
import { LONGEST } from '../length';
import { readMemory, type JobRecord, type Memory } from '../record';
import type { DayPrice, Yard } from '../stock';
import { BYTES, FILE, NOTHING, type Route } from './route';

const text = (most: number) => v.pipe(v.string('must be text'), v.maxLength(most, 'is too long'));
const label = (most: number) => v.nullish(text(most), null);
const count = v.pipe(v.number('must be a number'), v.integer('must be a whole number'), v.minValue(0));
/** A whole number as it stands in a query. */
const digits = (least: number, most: number, what: string) =>
  v.pipe(
    v.string(what),
    v.transform(Number),
    v.integer(what),
    v.minValue(least, `must be at least ${least}`),
    v.maxValue(most, `must be at most ${most}`),
  );
const time = v.string();
const day = v.pipe(
  v.string('must be a day such as 2026-11-24'),
  v.check(isDay, 'must be a day that there is, such as 2026-11-24'),
);

/**
 * A document that has a reader of its own, which names its fields and brings older formats up: it is read after this.
 */
const unread = <T>() => v.unknown() as unknown as v.GenericSchema<T, unknown>;
/** Such a document in an answer. */
const document = <T>(reader: (input: unknown) => ReadResult<T>) => v.custom<T>((input) => reader(input).ok);

const SavedJobSchema = v.object({
  id: v.string(),
  /** Goes up by one with every save. */
  revision: count,
  savedAt: time,
  /** The id that its last save came with, so that a browser whose answer was lost knows its own. */
  save: v.nullable(v.string()),
  job: document<Job>(readJob),
});
export type SavedJob = v.InferOutput<typeof SavedJobSchema>;

const JobSummarySchema = v.object({
  id: v.string(),
  name: v.string(),
  revision: count,
  savedAt: time,
  pieces: v.array(v.string()),
});
export type JobSummary = v.InferOutput<typeof JobSummarySchema>;

const RevisionSchema = v.object({
  revision: count,
  savedAt: time,
  /** Bytes, without the price lists. */
  size: count,
  /** Which browser saved it, and what it changed; null in saves of older programs. */
  by: v.nullable(v.string()),
  changed: v.nullable(v.object({ count, first: v.array(v.array(v.string())) })),
});
export type Revision = v.InferOutput<typeof RevisionSchema>;

const DeviceSchema = v.object({ id: v.string(), name: v.string(), since: time, seen: time });
/** A device that is signed in. */
export type Device = v.InferOutput<typeof DeviceSchema>;

const AccessSchema = v.variant('beyond', [
  v.object({ beyond: v.literal(false) }),
  v.object({
    beyond: v.literal(true),
    /** Null until it signs in; what follows is told only then. */
    device: v.nullable(DeviceSchema),
    /** Addresses under which other devices reach it, the likeliest first. */
    addresses: v.optional(v.array(v.string())),
    /** Whether by HTTPS. */
    secure: v.optional(v.boolean()),
  }),
]);

const written = v.object({ id: v.string(), revision: count, savedAt: time });
const made = v.object({ id: v.string() });

/**
 * Small documents by id, kept alike: all of a kind, one of them, and one saved on top of the revision it was made from.
 */
const listed = <T, const Path extends string>(path: Path, reader: (input: unknown) => ReadResult<T>) => {
  const one = v.object({ id: v.string(), revision: count, savedAt: time, value: document(reader) });
  return {
    all: { method: 'GET', path, answer: v.array(one) },
    one: { method: 'GET', path: `${path}/:id`, answer: one },
    save: {
      method: 'PUT',
      path: `${path}/:id`,
      /** Revision 0 makes one. */
      body: v.object({ revision: count, value: unread<T>() }),
      answer: written,
    },
  } as const;
};
const yards = listed<Yard, '/yards'>('/yards', readYard);
const shops = listed<Shop, '/shops'>('/shops', readShop);
const racks = listed<Rack, '/racks'>('/racks', readRack);
const memories = listed<Memory, '/memories'>('/memories', readMemory);

/** So many jobs are listed at once unless told. */
export const JOBS_PAGE = 60;

/**
 * Everything that can be asked of the server, read on both sides of the wire. What each means stands in docs/http.md.
 */
export const ROUTES = {
  health: { method: 'GET', path: '/health', answer: v.object({ ok: v.literal(true) }) },

  access: { method: 'GET', path: '/access', answer: AccessSchema },
  signIn: {
    method: 'POST',
    path: '/access/session',
    body: v.object({ passphrase: text(1000), device: v.optional(text(80)) }),
    answer: NOTHING,
  },
  signOutHere: { method: 'DELETE', path: '/access/session', answer: NOTHING },
  devices: { method: 'GET', path: '/access/devices', answer: v.array(DeviceSchema) },
  signOut: { method: 'DELETE', path: '/access/devices/:id', answer: NOTHING },
  signOutAll: { method: 'DELETE', path: '/access/devices', answer: NOTHING },
  changePassphrase: {
    method: 'PUT',
    path: '/access/passphrase',
    body: v.object({ current: text(1000), next: text(1000) }),
    answer: NOTHING,
  },

  jobs: {
    method: 'GET',
    path: '/jobs',
    query: v.object({
      removed: v.optional(v.picklist(['0', '1'])),
      /** Those saved before the last of the page before: its time and id. */
      before: v.optional(v.pipe(text(120), v.regex(/^\S+ \S+$/, 'must be a time and an id'))),
      limit: v.optional(digits(1, 999, 'must be 1 to 999'), String(JOBS_PAGE)),
    }),
    answer: v.array(JobSummarySchema),
  },
  makeJob: {
    method: 'POST',
    path: '/jobs',
    body: v.object({ job: unread<Job>() }),
    answer: SavedJobSchema,
    status: 201,
  },
  job: { method: 'GET', path: '/jobs/:id', answer: SavedJobSchema },
  saveJob: {
    method: 'PUT',
    path: '/jobs/:id',
    body: v.object({
      revision: v.pipe(count, v.minValue(1, 'must be at least 1')),
      job: unread<Job>(),
      /** Made up by the browser for each save. */
      save: label(64),
      /** Which browser it is. */
      by: label(80),
    }),
    answer: written,
  },
  copyJob: { method: 'POST', path: '/jobs/:id/copy', answer: SavedJobSchema, status: 201 },
  removeJob: { method: 'DELETE', path: '/jobs/:id', answer: NOTHING },
  restoreJob: { method: 'POST', path: '/jobs/:id/restore', answer: SavedJobSchema },
  revisions: { method: 'GET', path: '/jobs/:id/revisions', answer: v.array(RevisionSchema) },
  revision: { method: 'GET', path: '/jobs/:id/revisions/:revision', answer: SavedJobSchema },

  yards: yards.all,
  yard: yards.one,
  saveYard: yards.save,
  shops: shops.all,
  shop: shops.one,
  saveShop: shops.save,
  racks: racks.all,
  rack: racks.one,
  saveRack: racks.save,
  memories: memories.all,
  memory: memories.one,
  saveMemory: memories.save,

  records: {
    method: 'GET',
    path: '/records',
    answer: v.array(v.custom<JobRecord>((row) => typeof (row as JobRecord).minutes === 'number')),
  },

  prices: {
    method: 'GET',
    path: '/prices/:yard',
    query: v.object({ day }),
    answer: v.object({ day: v.string(), yard: document<Yard>(readYard) }),
  },
  priceHistory: {
    method: 'GET',
    path: '/prices/:yard/history/:offer',
    query: v.object({ day, days: v.optional(digits(2, 400, 'must be a whole number'), '180') }),
    answer: v.array(v.custom<DayPrice>((row) => typeof (row as DayPrice).price === 'number')),
  },
  rackBoards: {
    method: 'GET',
    path: '/prices/:yard/rack/:offer',
    query: v.object({ day }),
    answer: v.object({
      boards: v.array(v.custom<RackBoard>((row) => typeof (row as RackBoard).number === 'number')),
      /** What lies there is invented. */
      simulated: v.boolean(),
    }),
  },
  tape: {
    method: 'GET',
    path: '/tape',
    query: v.object({
      /** Where it is held. */
      about: digits(0, LONGEST, 'must be a length, in whole units of 1/320 mm'),
      /** Counts the readings. */
      press: v.optional(digits(0, 1_000_000, 'must be a whole number'), '0'),
    }),
    answer: v.object({ length: count, simulated: v.boolean() }),
  },
  shopAir: {
    method: 'GET',
    path: '/shop-air',
    query: v.object({
      day,
      /** Counts the readings. */
      press: v.optional(digits(0, 1_000_000, 'must be a whole number'), '0'),
    }),
    answer: v.object({
      /** Degrees F, percent. */
      temperature: v.number('must be a number'),
      humidity: v.number('must be a number'),
      /** They are invented. */
      simulated: v.boolean(),
    }),
  },
  solve: {
    method: 'POST',
    path: '/solve',
    body: v.object({ problem: CutProblemSchema }),
    answer: v.object({ solved: v.custom<Solved | Chosen>((found) => Array.isArray((found as Solved).layouts)) }),
  },

  keepPhoto: { method: 'POST', path: '/photos', body: FILE, answer: made, status: 201 },
  photo: { method: 'GET', path: '/photos/:id', answer: BYTES },
  backup: { method: 'GET', path: '/backup', answer: BYTES },
  restoreBackup: {
    method: 'PUT',
    path: '/backup',
    body: FILE,
    answer: v.object({ jobs: count, saves: count, photos: count }),
  },
} as const satisfies Readonly<Record<string, Route>>;

export type Routes = typeof ROUTES;
export type RouteName = keyof Routes;

/** What every request that failed is answered. */
export const FailureSchema = v.object({
  error: v.object({
    code: v.string(),
    message: v.string(),
    fields: v.array(v.object({ field: v.string(), message: v.string() })),
    /** For `stale`: what is saved now, so that the person can choose. */
    current: v.optional(v.unknown()),
  }),
});
export type Failure = v.InferOutput<typeof FailureSchema>;
