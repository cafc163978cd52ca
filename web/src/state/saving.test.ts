import 'fake-indexeddb/auto';
import { demoJob, type Job, set } from '@sill/core';
import type { Asked, Answered, Routes } from '@sill/core/contract';
import { Offline, Refused, type Ask } from '../platform/ask';
import { QUIET } from '../testing/edges';
import { changed, opened, settled } from './bench';
import { keep, keptOf, letGo } from './kept';
import { makeStore } from './store';

type Save = (
  id: string,
  body: { readonly revision: number; readonly job: Job },
) => Promise<Answered<Routes['saveJob']>>;
let answers: (() => ReturnType<Save>)[];
let sent: { revision: number; name: string }[];

/** The real listener on a real store; only the wire is played. */
function open(save?: Save) {
  sent = [];
  answers = [];
  const played: Save = (id, body) => {
    sent.push({ revision: body.revision, name: body.job.name });
    return save
      ? save(id, body)
      : (answers.shift() ?? (() => Promise.resolve({ id, revision: body.revision + 1, savedAt: 'now' })))();
  };
  const ask = ((_name: string, { params, body }: Asked<Routes['saveJob']>) =>
    played(String(params.id), body)) as unknown as Ask;
  const store = makeStore({ ...QUIET, keep, letGo, ask });
  store.dispatch(opened({ id: 'a', revision: 1, savedAt: 'then', job: demoJob() }));
  return store;
}
const rename = (name: string) => changed([set(null, ['name'], name)]);

// The store of the browser answers by real ticks.
beforeEach(() => jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] }));
afterEach(async () => {
  jest.useRealTimers();
  const left = await keptOf('a');
  if (left) await letGo(left.key);
});
const pass = async (ms: number) => {
  for (let left = ms; left >= 0; left -= 100) {
    await jest.advanceTimersByTimeAsync(Math.min(100, left));
    for (let tick = 0; tick < 30; tick++) await new Promise((done) => setImmediate(done));
  }
};

test('a server with a fault, or overrun, is asked again with growing pauses, and it is said', async () => {
  const store = open();
  const busy = (status: number) => () => Promise.reject(new Refused(status, 'fault', 'It is busy.', [], null));
  answers.push(busy(500), busy(429), busy(503));
  store.dispatch(rename('Kept'));
  await pass(600);
  expect(sent).toHaveLength(1);
  expect(store.getState().bench).toMatchObject({ saving: 'offline', refusal: 'It is busy.' });
  expect(await keptOf('a')).toMatchObject({ unsaved: true, job: { name: 'Kept' } });
  for (const [after, count] of [
    [1800, 1],
    [200, 2],
    [3800, 2],
    [200, 3],
    [7800, 3],
    [200, 4],
  ] as const) {
    await pass(after);
    expect(sent).toHaveLength(count);
  }
  expect(store.getState().bench).toMatchObject({ saving: 'saved' });
});

test('a pause in typing sends once, the last of it; until then it is kept here', async () => {
  const store = open();
  store.dispatch(rename('One'));
  await pass(300);
  store.dispatch(rename('Two'));
  await pass(0);
  expect(await keptOf('a')).toMatchObject({ unsaved: true, revision: 1, job: { name: 'Two' } });
  expect(sent).toEqual([]);
  await pass(600);
  expect(sent).toEqual([{ revision: 1, name: 'Two' }]);
  expect(store.getState().bench).toMatchObject({ saving: 'saved', revision: 2 });
  expect(await keptOf('a')).toMatchObject({ unsaved: false, revision: 2 });
});

test('a slow save is waited for: the next goes on top of it, never beside it', async () => {
  const slow: Save = (id, { revision }) =>
    new Promise((done) => setTimeout(() => done({ id, revision: revision + 1, savedAt: 'x' }), 3000));
  const store = open(slow);
  store.dispatch(rename('One'));
  await pass(700);
  store.dispatch(rename('Two'));
  await pass(2000);
  expect(sent).toEqual([{ revision: 1, name: 'One' }]);
  await pass(5000);
  expect(sent).toEqual([
    { revision: 1, name: 'One' },
    { revision: 2, name: 'Two' },
  ]);
  expect(store.getState().bench).toMatchObject({ saving: 'saved', revision: 3 });
});

test('without a server it says so, keeps the change and tries again until it is through', async () => {
  const store = open();
  answers.push(
    () => Promise.reject(new Offline('gone')),
    () => Promise.reject(new Offline('gone')),
  );
  store.dispatch(rename('One'));
  await pass(600);
  expect(store.getState().bench.saving).toBe('offline');
  expect(await keptOf('a')).toMatchObject({ unsaved: true, job: { name: 'One' } });
  await pass(4500);
  expect(sent).toHaveLength(3);
  expect(store.getState().bench.saving).toBe('saved');
});

test('a stale save is never forced: it asks, and goes through when mine is kept', async () => {
  const store = open();
  const theirs: Job = { ...demoJob(), name: 'Theirs' };
  answers.push(() =>
    Promise.reject(
      new Refused(409, 'stale', 'changed elsewhere', [], { id: 'a', revision: 5, savedAt: 'y', job: theirs }),
    ),
  );
  store.dispatch(rename('Mine'));
  await pass(600);
  expect(store.getState().bench.conflict).toMatchObject({ revision: 5, job: { name: 'Theirs' } });
  store.dispatch(rename('Mine still'));
  await pass(5000);
  expect(sent).toHaveLength(1);
  store.dispatch(settled(store.getState().bench.job!));
  await pass(600);
  expect(sent[1]).toEqual({ revision: 5, name: 'Mine still' });
  expect(store.getState().bench).toMatchObject({ saving: 'saved', revision: 6, conflict: null });
});

test('a refused save gives the reason and waits for the next change', async () => {
  const store = open();
  answers.push(() => Promise.reject(new Refused(422, 'invalid', 'name must not be empty', [], undefined)));
  store.dispatch(rename('Bad'));
  await pass(3000);
  expect(store.getState().bench).toMatchObject({ saving: 'refused', refusal: 'name must not be empty' });
  expect(sent).toHaveLength(1);
  store.dispatch(rename('Good'));
  await pass(600);
  expect(store.getState().bench.saving).toBe('saved');
});
