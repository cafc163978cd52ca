import 'fake-indexeddb/auto';
import { demoJob } from '@sill/core';
import { Offline, Refused, type Ask } from '../platform/ask';
import { QUIET } from '../testing/edges';
import { openJob } from './opening';
import { keep, keptOf, letGo } from './kept';
import { makeStore } from './store';

const saved = { id: 'a', revision: 3, savedAt: 'then', save: null, job: demoJob() };
const kept = {
  ...saved,
  job: { ...saved.job, name: 'Mine' },
  base: saved.job,
  sent: [],
  past: [],
  future: [],
  unsaved: true,
};

/** Opens job `a` where the server answers so. */
async function open(answer: () => Promise<unknown>, signal = new AbortController().signal) {
  const store = makeStore({ ...QUIET, ask: (() => answer()) as unknown as Ask });
  return { problem: await store.dispatch(openJob('a', signal)), bench: store.getState().bench };
}
afterEach(async () => {
  const left = await keptOf('a');
  if (left) await letGo(left.key);
});

test('what the server has is opened; what this browser kept goes before it', async () => {
  expect(await open(() => Promise.resolve(saved))).toMatchObject({ problem: null, bench: { id: 'a', revision: 3 } });
  await keep(kept);
  expect((await open(() => Promise.resolve(saved))).bench).toMatchObject({ job: { name: 'Mine' }, saving: 'waiting' });
});

test('without a server it opens on what was kept, and says so where nothing was', async () => {
  const away = () => Promise.reject(new Offline('The server does not answer.'));
  expect((await open(away)).problem).toBe('The server does not answer. It may be starting.');
  await keep(kept);
  expect(await open(away)).toMatchObject({ problem: null, bench: { job: { name: 'Mine' }, saving: 'waiting' } });
});

test('a job that is gone is told apart, and nothing is opened once nobody waits for it', async () => {
  const gone = () => Promise.reject(new Refused(404, 'not-found', 'There is no such job.', [], undefined));
  expect((await open(gone)).problem).toBe('There is no such job. It may have been removed.');
  const left = new AbortController();
  left.abort();
  expect(await open(() => Promise.resolve(saved), left.signal)).toMatchObject({ problem: null, bench: { id: null } });
});
