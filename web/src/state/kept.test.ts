import 'fake-indexeddb/auto';
import { demoJob } from '@sill/core';
import { keep, keptOf, letGo, type Kept } from './kept';
import { TAB } from './tab';

const job = demoJob();
const about = { id: 'a', job, base: job, revision: 1, savedAt: '', sent: [], unsaved: true, past: [], future: [] };

/** As another tab would have left it. */
const leftBy = async (tab: string, of: Partial<Kept>) =>
  new Promise<void>((done, fail) => {
    const asked = indexedDB.open('sill-plan', 1);
    asked.onsuccess = () => {
      const within = asked.result.transaction('kept', 'readwrite');
      within.objectStore('kept').put({ ...about, key: `a ${tab}`, tab, at: 1, ...of });
      within.oncomplete = () => {
        asked.result.close();
        done();
      };
      within.onerror = () => fail(within.error!);
    };
  });

afterEach(async () => {
  for (const tab of [TAB, 'one', 'two']) await letGo(`a ${tab}`);
});

test('what this tab knows comes back as it was, steps and all', async () => {
  const mine = { ...job, name: 'Mine' };
  expect(await keep({ ...about, job: mine, past: [job], sent: [{ save: 's', job: mine }] })).toBe(true);
  expect(await keptOf('a')).toMatchObject({
    tab: TAB,
    unsaved: true,
    sent: [{ save: 's', job: mine }],
    job: { name: 'Mine' },
    past: [{ name: job.name }],
  });
  expect(await keptOf('b')).toBeNull();
});

test('two tabs keep side by side; what a closed one had not saved is found, the newest first, and stays till it is let go', async () => {
  await keep({ ...about, unsaved: false });
  await leftBy('one', { job: { ...job, name: 'One' }, at: 5 });
  await leftBy('two', { job: { ...job, name: 'Two' }, at: 9 });
  expect(await keptOf('a')).toMatchObject({ tab: 'two', job: { name: 'Two' } });
  expect(await keptOf('a')).toMatchObject({ tab: 'two' });
  await letGo('a two');
  expect(await keptOf('a')).toMatchObject({ tab: 'one', job: { name: 'One' } });
  // Its own unsaved changes go first.
  await keep({ ...about, job: { ...job, name: 'Own' } });
  expect(await keptOf('a')).toMatchObject({ tab: TAB, job: { name: 'Own' } });
});

test('what a program of another day kept and nobody can read is passed over', async () => {
  await leftBy('one', { job: { format: 'sill-plan/job@99' } as unknown as Kept['job'] });
  expect(await keptOf('a')).toBeNull();
});

test('where the browser has no room it is said, not hidden', async () => {
  const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  expect(await keep(about)).toBe(false);
  put.mockRestore();
  expect(await keep(about)).toBe(true);
});
