import { demoJob, type Job } from '@sill/core';
import {
  bench,
  changed,
  conflicted,
  keptMine,
  opened,
  redone,
  replaced,
  saveDone,
  saveFailed,
  saveStarted,
  tookTheirs,
  undone,
  type BenchState,
} from './bench';

const job = demoJob();
const savedJob = { id: 'a', revision: 3, savedAt: '2026-11-24T10:00:00Z', job };
const start = bench.reducer(undefined, opened(savedJob));
const run = (state: BenchState, ...actions: Parameters<typeof bench.reducer>[1][]) =>
  actions.reduce(bench.reducer, state);

const renamed = (name: string, at: number) => ({
  ...changed([{ piece: null, path: ['name'], value: name }]),
  meta: { at },
});
const name = (state: BenchState) => state.job!.name;

test('opening gives the job as saved; what was kept here goes before it and is waiting to be sent', () => {
  expect(start).toMatchObject({ id: 'a', revision: 3, saving: 'saved', past: [], conflict: null });
  const mine: Job = { ...job, name: 'Mine' };
  const state = bench.reducer(undefined, opened({ ...savedJob, revision: 2, kept: mine }));
  expect(state).toMatchObject({ revision: 2, saving: 'waiting' });
  expect(name(state)).toBe('Mine');
});

test('typing in one field is one step back, a pause or another field begins a new one', () => {
  const state = run(start, renamed('P', 0), renamed('Po', 400), renamed('Pot', 800), renamed('Pots', 9000));
  expect(state.past.map((before) => before.name)).toEqual(['Kiln Lane pottery room', 'Pot']);
  const other = { ...changed([{ piece: null, path: ['budget'], value: 1 }]), meta: { at: 9001 } };
  expect(run(state, other).past).toHaveLength(3);
});

test('undo and redo walk back and forth; a change after undo forgets what was undone', () => {
  const two = run(start, renamed('One', 0), renamed('Two', 5000));
  const back = run(two, undone());
  expect(name(back)).toBe('One');
  expect(back.saving).toBe('waiting');
  expect(name(run(back, undone()))).toBe('Kiln Lane pottery room');
  expect(name(run(back, redone()))).toBe('Two');
  expect(name(run(back, undone(), undone(), undone()))).toBe('Kiln Lane pottery room');
  expect(run(back, renamed('Three', 9000)).future).toEqual([]);
  // The first step after undo never melts into one from before it.
  expect(run(back, renamed('Four', 5100)).past.map((before) => before.name)).toEqual(['Kiln Lane pottery room', 'One']);
});

test('a save that ends while more was typed leaves more to send', () => {
  const sent = run(start, renamed('One', 0), saveStarted());
  const done = saveDone({ revision: 4, savedAt: 'x', job: sent.job! });
  expect(run(sent, done)).toMatchObject({ revision: 4, saving: 'saved' });
  expect(run(sent, renamed('Two', 5000), done)).toMatchObject({ revision: 4, saving: 'waiting' });
});

test('a failed save says why and loses nothing', () => {
  const state = run(start, renamed('One', 0), saveStarted(), saveFailed({ saving: 'refused', refusal: 'too large' }));
  expect(state).toMatchObject({ saving: 'refused', refusal: 'too large', revision: 3 });
  expect(name(state)).toBe('One');
  expect(run(state, renamed('Two', 5000)).saving).toBe('waiting');
});

describe('another tab saved first', () => {
  const theirs = { ...savedJob, revision: 4, job: { ...job, name: 'Theirs' } };
  const told = run(start, renamed('Mine', 0), saveStarted(), conflicted(theirs));

  test('both are there', () => {
    expect(name(told)).toBe('Mine');
    expect(told.conflict!.job.name).toBe('Theirs');
  });

  test('keeping mine goes on top of their revision', () => {
    expect(run(told, keptMine())).toMatchObject({ revision: 4, saving: 'waiting', conflict: null });
    expect(name(run(told, keptMine()))).toBe('Mine');
  });

  test('taking theirs keeps mine one undo away', () => {
    const state = run(told, tookTheirs());
    expect(state).toMatchObject({ revision: 4, saving: 'saved', conflict: null });
    expect(name(state)).toBe('Theirs');
    expect(name(run(state, undone()))).toBe('Mine');
  });
});

test('a whole other job is one step back', () => {
  const state = run(start, { ...replaced({ ...job, name: 'From a file' }), meta: { at: 0 } });
  expect(name(state)).toBe('From a file');
  expect(name(run(state, undone()))).toBe('Kiln Lane pottery room');
});

test('history is kept to a length that memory bears', () => {
  const many = Array.from({ length: 300 }, (_, at) => renamed(`n${at}`, at * 10_000));
  expect(run(start, ...many).past).toHaveLength(200);
});
