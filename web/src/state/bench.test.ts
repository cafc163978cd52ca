import { applyChanges, demoJob, type Job, set } from '@sill/core';
import type { Kept } from './kept';
import {
  bench,
  changed,
  conflicted,
  opened,
  redone,
  replaced,
  saveDone,
  saveFailed,
  saveStarted,
  settled,
  undone,
  type BenchState,
} from './bench';

const job = demoJob();
const savedJob = { id: 'a', revision: 3, savedAt: '2026-11-24T10:00:00Z', job };
const start = bench.reducer(undefined, opened(savedJob));
const run = (state: BenchState, ...actions: Parameters<typeof bench.reducer>[1][]) =>
  actions.reduce(bench.reducer, state);

const keptOf = (of: Partial<Kept>): Kept => ({
  key: 'a t',
  id: 'a',
  tab: 't',
  job,
  base: job,
  revision: 3,
  savedAt: '',
  sent: [],
  unsaved: true,
  past: [],
  future: [],
  at: 0,
  ...of,
});
const renamed = (name: string, at: number) => ({
  ...changed([set(null, ['name'], name)]),
  meta: { at },
});
const name = (state: BenchState) => state.job!.name;

test('opening gives the job as saved; what was kept here goes before it and is waiting to be sent', () => {
  expect(start).toMatchObject({ id: 'a', revision: 3, saving: 'saved', past: [], conflict: null });
  const mine: Job = { ...job, name: 'Mine' };
  const state = bench.reducer(undefined, opened({ ...savedJob, kept: keptOf({ job: mine }) }));
  expect(state).toMatchObject({ revision: 3, saving: 'waiting' });
  expect(name(state)).toBe('Mine');
});

test('what was kept on an older save goes on top of the newer one, or is asked about', () => {
  const theirs = { ...savedJob, revision: 5, job: { ...job, budget: 12_300 } };
  const mine = keptOf({ job: { ...job, name: 'Mine' } });
  const state = bench.reducer(undefined, opened({ ...theirs, kept: mine }));
  expect(state).toMatchObject({ revision: 5, saving: 'waiting', conflict: null, joined: 1 });
  expect(state.job).toMatchObject({ name: 'Mine', budget: 12_300 });
  const both = bench.reducer(undefined, opened({ ...theirs, job: { ...job, name: 'Theirs' }, kept: mine }));
  expect(both.conflict!.job.name).toBe('Theirs');
  expect(name(both)).toBe('Mine');
});

test('steps back survive a reload, while they lead somewhere', () => {
  const back = [{ ...job, name: 'Before' }];
  const kept = keptOf({ past: back, unsaved: false });
  expect(name(run(bench.reducer(undefined, opened({ ...savedJob, kept })), undone()))).toBe('Before');
  const other = bench.reducer(undefined, opened({ ...savedJob, revision: 9, job: { ...job, budget: 5 }, kept }));
  expect(other).toMatchObject({ past: [], revision: 9, saving: 'saved' });
});

test('typing in one field is one step back, a pause or another field begins a new one', () => {
  const state = run(start, renamed('P', 0), renamed('Po', 400), renamed('Pot', 800), renamed('Pots', 9000));
  expect(state.past.map((before) => before.name)).toEqual(['Kiln Lane pottery room', 'Pot']);
  const other = { ...changed([set(null, ['budget'], 1)]), meta: { at: 9001 } };
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
  const sent = run(start, renamed('One', 0), saveStarted({ save: 's1' }));
  const done = saveDone({ revision: 4, savedAt: 'x', job: sent.job! });
  expect(run(sent, done)).toMatchObject({ revision: 4, saving: 'saved' });
  expect(run(sent, renamed('Two', 5000), done)).toMatchObject({ revision: 4, saving: 'waiting' });
});

test('a failed save says why and loses nothing', () => {
  const state = run(
    start,
    renamed('One', 0),
    saveStarted({ save: 's1' }),
    saveFailed({ saving: 'refused', refusal: 'too large' }),
  );
  expect(state).toMatchObject({ saving: 'refused', refusal: 'too large', revision: 3 });
  expect(name(state)).toBe('One');
  expect(run(state, renamed('Two', 5000)).saving).toBe('waiting');
});

describe('another tab saved first', () => {
  const theirs = { ...savedJob, revision: 4, job: { ...job, name: 'Theirs' } };
  const told = run(start, renamed('Mine', 0), saveStarted({ save: 's1' }), conflicted(theirs));

  test('both are there', () => {
    expect(name(told)).toBe('Mine');
    expect(told.conflict!.job.name).toBe('Theirs');
  });

  test('keeping mine goes on top of their revision', () => {
    expect(run(told, settled(told.job!))).toMatchObject({ revision: 4, saving: 'waiting', conflict: null });
    expect(name(run(told, settled(told.job!)))).toBe('Mine');
  });

  test('taking theirs keeps mine one undo away', () => {
    const state = run(told, settled(theirs.job));
    expect(state).toMatchObject({ revision: 4, saving: 'saved', conflict: null });
    expect(name(state)).toBe('Theirs');
    expect(name(run(state, undone()))).toBe('Mine');
  });

  test('what is not the same place is joined without asking, and undo takes back mine only', () => {
    const wide = {
      ...savedJob,
      revision: 4,
      job: applyChanges(job, [set('glaze', ['size', 'width'], 8128 * 31)]),
    };
    const state = run(start, renamed('Mine', 0), saveStarted({ save: 's1' }), conflicted(wide));
    expect(state).toMatchObject({ revision: 4, saving: 'waiting', conflict: null, joined: 1 });
    expect(name(state)).toBe('Mine');
    expect(state.job!.pieces[0]!.size.width).toBe(8128 * 31);
    const back = run(state, undone());
    expect(name(back)).toBe('Kiln Lane pottery room');
    expect(back.job!.pieces[0]!.size.width).toBe(8128 * 31);
  });

  test('its own save, whose answer was lost, is no conflict', () => {
    const sent = run(start, renamed('One', 0), saveStarted({ save: 's1' }), renamed('Two', 5000));
    const state = run(sent, conflicted({ ...savedJob, revision: 4, save: 's1', job: { ...job, name: 'One' } }));
    expect(state).toMatchObject({ revision: 4, saving: 'waiting', conflict: null, joined: 0 });
    expect(name(state)).toBe('Two');
    const through = run(
      start,
      renamed('One', 0),
      saveStarted({ save: 's1' }),
      conflicted({ ...savedJob, revision: 4, save: 's1', job: { ...job, name: 'One' } }),
    );
    expect(through).toMatchObject({ saving: 'saved', revision: 4 });
  });

  test('nor is it where another tab saved on top of it: one is not asked about what one typed oneself', () => {
    const sent = run(start, renamed('One', 0), saveStarted({ save: 's1' }), renamed('Two', 5000));
    const [first, ...rest] = job.pieces;
    const ontop = { ...job, name: 'One', pieces: [{ ...first!, where: 'by the kiln' }, ...rest] };
    const state = run(sent, conflicted({ ...savedJob, revision: 5, save: 'other', job: ontop }));
    expect(state).toMatchObject({ revision: 5, saving: 'waiting', conflict: null, joined: 1 });
    expect(name(state)).toBe('Two');
    expect(state.job!.pieces[0]!.where).toBe('by the kiln');
    // Undo takes back one's own and leaves the other's.
    const back = run(state, undone());
    expect(name(back)).toBe('One');
    expect(name(run(back, undone()))).toBe('Kiln Lane pottery room');
    expect(run(back, undone()).job!.pieces[0]!.where).toBe('by the kiln');
    // Where the other tab wrote something else in the same place, a person says which.
    const clash = run(sent, conflicted({ ...savedJob, revision: 5, save: 'other', job: { ...ontop, name: 'Theirs' } }));
    expect(clash).toMatchObject({ saving: 'refused', base: { name: job.name } });
    expect(name(clash)).toBe('Two');
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
