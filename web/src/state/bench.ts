import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { applyChanges, type Change, type Job } from '@sill/core';
import type { SavedJob } from '../api';

export type Saving = 'saved' | 'waiting' | 'saving' | 'offline' | 'refused';

/** The job on the bench: what it is now, how it was, and how far the server knows. */
export type BenchState = {
  readonly id: string | null;
  readonly job: Job | null;
  /** Revision on the server that `job` grew from. */
  readonly revision: number;
  readonly savedAt: string | null;
  readonly saving: Saving;
  /** Why the server refused a save. */
  readonly refusal: string | null;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
  /** What the last change was to and when, so that typing in one field is one step back. */
  readonly last: { readonly key: string; readonly at: number } | null;
  /** Another tab saved first: what it saved. */
  readonly conflict: SavedJob | null;
};

const initialState: BenchState = {
  id: null,
  job: null,
  revision: 0,
  savedAt: null,
  saving: 'saved',
  refusal: null,
  past: [],
  future: [],
  last: null,
  conflict: null,
};

const MOST_UNDO = 200;
/** Changes to one field within this are one step back. */
const TOGETHER_MS = 1500;

/** A step forward that can be undone. */
const step = (state: BenchState, job: Job, key: string, at: number): BenchState => {
  const together = state.last?.key === key && at - state.last.at < TOGETHER_MS && state.past.length > 0;
  const past = together ? state.past : [...state.past, state.job!].slice(-MOST_UNDO);
  return { ...state, job, past, future: [], last: { key, at }, saving: 'waiting' };
};

export const bench = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    opened: (_state, { payload }: PayloadAction<SavedJob & { readonly kept?: Job }>): BenchState => ({
      ...initialState,
      id: payload.id,
      job: payload.kept ?? payload.job,
      revision: payload.revision,
      savedAt: payload.savedAt,
      saving: payload.kept ? 'waiting' : 'saved',
    }),
    closed: () => initialState,
    changed: {
      prepare: (changes: readonly Change[]) => ({ payload: changes, meta: { at: Date.now() } }),
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
    saveStarted: (state): BenchState => ({ ...state, saving: 'saving', refusal: null }) as BenchState,
    /** `job` is the one that was sent; where it has changed since, there is more to save. */
    saveDone: (state, { payload }: PayloadAction<{ revision: number; savedAt: string; job: Job }>): BenchState =>
      ({
        ...state,
        revision: payload.revision,
        savedAt: payload.savedAt,
        // A draft is never the object it stands for.
        saving: original(state)?.job === payload.job ? 'saved' : 'waiting',
      }) as BenchState,
    saveFailed: (
      state,
      { payload }: PayloadAction<{ saving: 'offline' | 'refused'; refusal: string | null }>,
    ): BenchState => ({ ...state, ...payload }) as BenchState,
    conflicted: (state, { payload }: PayloadAction<SavedJob>): BenchState =>
      ({ ...state, conflict: payload, saving: 'refused' }) as BenchState,
    /** Mine over theirs: theirs stays as an older revision. */
    keptMine: (state): BenchState =>
      ({
        ...state,
        revision: state.conflict?.revision ?? state.revision,
        conflict: null,
        saving: 'waiting',
      }) as BenchState,
    /** Theirs: mine can still be had by undo. */
    tookTheirs: (state): BenchState => {
      const theirs = state.conflict;
      if (!theirs || !state.job) return state as BenchState;
      return {
        ...state,
        job: theirs.job,
        revision: theirs.revision,
        savedAt: theirs.savedAt,
        past: [...state.past, state.job],
        future: [],
        conflict: null,
        saving: 'saved',
      } as BenchState;
    },
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
  keptMine,
  tookTheirs,
} = bench.actions;
