import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { format } from 'date-fns';
import { applyChanges, type Change, type Entry, isAlike, type Job, sure } from '@sill/core';
import type { Kept } from './kept';
import { rebased, stepsOnTop, type Saved, type Sent } from './rebase';

type Saving = 'saved' | 'waiting' | 'saving' | 'offline' | 'refused';

/** The job on the bench: what it is now, how it was, and how far the server knows. */
export type BenchState = {
  readonly id: string | null;
  readonly job: Job | null;
  /** What the server had when `job` grew from it, and its revision. */
  readonly base: Job | null;
  readonly revision: number;
  /** Saves of which no answer is known. */
  readonly sent: readonly Sent[];
  readonly savedAt: string | null;
  readonly saving: Saving;
  /** False where this browser has no room for changes that the server does not have yet. */
  readonly keptHere: boolean;
  /** What another tab saved was taken in beside what was changed here: so often. */
  readonly joined: number;
  /** Why the server refused a save. */
  readonly refusal: string | null;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
  /** What the last change was to and when, so that typing in one field is one step back. */
  readonly last: { readonly key: string; readonly at: number } | null;
  /** Another tab saved first: what it saved. */
  readonly conflict: Saved | null;
};

const initialState: BenchState = {
  id: null,
  job: null,
  base: null,
  revision: 0,
  sent: [],
  savedAt: null,
  saving: 'saved',
  keptHere: true,
  joined: 0,
  refusal: null,
  past: [],
  future: [],
  last: null,
  conflict: null,
};

const MOST_UNDO = 200;
/** Answers that are waited for at most. */
const MOST_SENT = 20;
/** Changes to one field within this are one step back. */
const TOGETHER_MS = 1500;

/** What is told in the ledger, with the minute it was told at. */
const stamped = (changes: readonly Change[], at: number): readonly Change[] =>
  changes.map((change) => {
    const entry = change.path[0] === 'ledger' ? (change.value as Partial<Entry> | undefined) : undefined;
    return entry?.at === null ? { ...change, value: { ...entry, at: format(at, "yyyy-MM-dd'T'HH:mm") } } : change;
  });

/** A step forward that can be undone. */
const step = (state: BenchState, job: Job, key: string, at: number): BenchState => {
  const together = state.last?.key === key && at - state.last.at < TOGETHER_MS && state.past.length > 0;
  const past = together ? state.past : [...state.past, sure(state.job, 'job that is open')].slice(-MOST_UNDO);
  return { ...state, job, past, future: [], last: { key, at }, saving: 'waiting' };
};

/** A job with its changes on top of what the server has; a conflict where both changed the same. */
function onTop(state: BenchState, saved: Saved): BenchState {
  const { job, base, revision, sent, past, future, joined } = state;
  const found = rebased({ job: sure(job, 'job that is open'), base: base ?? saved.job, revision, sent }, saved);
  if (found.conflict) return { ...state, base: found.base, conflict: saved, saving: 'refused' };
  return {
    ...state,
    job: found.job,
    base: saved.job,
    revision: saved.revision,
    savedAt: saved.savedAt,
    sent: [],
    conflict: null,
    saving: found.unsaved ? 'waiting' : 'saved',
    past: found.joined ? stepsOnTop(past, found.base, saved.job) : past,
    future: found.joined ? [] : future,
    joined: found.joined ? joined + 1 : joined,
  };
}

export const bench = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    /** `kept` is what this browser has of it; without a server that is all there is. */
    opened: (
      _state,
      { payload }: PayloadAction<Saved & { readonly kept?: Kept; readonly offline?: boolean }>,
    ): BenchState => {
      const { kept, offline } = payload;
      const fresh: BenchState = {
        ...initialState,
        id: payload.id,
        job: payload.job,
        base: payload.job,
        revision: payload.revision,
        savedAt: payload.savedAt,
      };
      if (!kept) return fresh;
      const { job, base, revision, sent, past, future, unsaved } = kept;
      if (offline) return { ...fresh, job, base, revision, sent, past, future, saving: unsaved ? 'waiting' : 'saved' };
      // Steps back lead somewhere only from the job they were made on.
      if (!unsaved) return isAlike(job, payload.job) ? { ...fresh, past, future } : fresh;
      return onTop({ ...fresh, job, base, revision, sent, past, future }, payload);
    },
    closed: () => initialState,
    changed: {
      prepare: (changes: readonly Change[]) => {
        const at = Date.now();
        return { payload: stamped(changes, at), meta: { at } };
      },
      reducer: (
        state: BenchState,
        { payload, meta }: PayloadAction<readonly Change[], string, { at: number }>,
      ): BenchState => {
        if (!state.job) return state;
        const key = JSON.stringify(payload.map(({ piece, path }) => [piece, path]));
        return step(state, applyChanges(state.job, payload), key, meta.at);
      },
    },
    /** A whole other job in its place: a piece added or removed, a file read, an older revision taken back. */
    replaced: {
      prepare: (job: Job) => ({ payload: job, meta: { at: Date.now() } }),
      reducer: (state: BenchState, { payload, meta }: PayloadAction<Job, string, { at: number }>): BenchState =>
        state.job ? step(state, payload, '', meta.at) : state,
    },
    undone: (state): BenchState => {
      const job = state.past.at(-1);
      if (!job || !state.job) return state as BenchState;
      return {
        ...state,
        job,
        past: state.past.slice(0, -1),
        future: [state.job, ...state.future],
        last: null,
        saving: 'waiting',
      } as BenchState;
    },
    redone: (state): BenchState => {
      const [job, ...future] = state.future;
      if (!job || !state.job) return state as BenchState;
      return { ...state, job, past: [...state.past, state.job], future, last: null, saving: 'waiting' } as BenchState;
    },
    /** `save` is the id that is sent with it. */
    saveStarted: (state, { payload }: PayloadAction<{ save: string }>): BenchState =>
      ({
        ...state,
        saving: 'saving',
        refusal: null,
        sent: [...state.sent, { save: payload.save, job: sure(state.job, 'job that is open') }].slice(-MOST_SENT),
      }) as BenchState,
    /** `job` is the one that was sent; where it has changed since, there is more to save. */
    saveDone: (state, { payload }: PayloadAction<{ revision: number; savedAt: string; job: Job }>): BenchState =>
      ({
        ...state,
        base: payload.job,
        revision: payload.revision,
        savedAt: payload.savedAt,
        sent: [],
        // A draft is never the object it stands for.
        saving: original(state)?.job === payload.job ? 'saved' : 'waiting',
      }) as BenchState,
    saveFailed: (
      state,
      { payload }: PayloadAction<{ saving: 'offline' | 'refused'; refusal: string | null }>,
    ): BenchState => ({ ...state, ...payload }) as BenchState,
    /** The server has another save than the one this grew from: taken in, or asked about. */
    conflicted: (state, { payload }: PayloadAction<Saved>): BenchState => onTop(original(state) as BenchState, payload),
    /** A person chose where both changed the same; mine as it was can be had back by undo. */
    settled: (state, { payload: job }: PayloadAction<Job>): BenchState => {
      const theirs = state.conflict as Saved | null;
      if (!theirs || !state.job) return state as BenchState;
      return {
        ...state,
        job,
        base: theirs.job,
        revision: theirs.revision,
        savedAt: theirs.savedAt,
        sent: [],
        past: [...stepsOnTop(state.past, state.base ?? theirs.job, theirs.job), state.job],
        future: [],
        conflict: null,
        saving: isAlike(job, theirs.job) ? 'saved' : 'waiting',
      } as BenchState;
    },
    /** Whether this browser could keep what the server does not have. */
    keeping: (state, { payload }: PayloadAction<boolean>): BenchState =>
      ({ ...state, keptHere: payload }) as BenchState,
  },
});

export const {
  opened,
  closed,
  changed,
  replaced,
  undone,
  redone,
  saveStarted,
  saveDone,
  saveFailed,
  conflicted,
  settled,
  keeping,
} = bench.actions;
