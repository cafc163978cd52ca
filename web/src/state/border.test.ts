import { demoJob, set } from '@sill/core';
import { QUIET } from '../testing/edges';
import { changed, opened, replaced } from './bench';
import { makeStore } from './store';

function open() {
  const store = makeStore(QUIET);
  store.dispatch(opened({ id: 'a', revision: 1, savedAt: 'then', job: demoJob() }));
  return store;
}

test('what can not be saved is refused at the change, by name, and nothing is lost', () => {
  const store = open();
  const before = store.getState().bench.job!;
  const [piece] = before.pieces;
  const many = Array.from({ length: 31 }, (_, at) => ({ ...piece!, id: `p${at}` }));
  store.dispatch(replaced({ ...before, pieces: many }));
  expect(store.getState().bench).toMatchObject({ job: before, past: [], saving: 'saved' });
  expect(store.getState().view.message).toMatchObject({ bad: true });
  expect(store.getState().view.message!.text).toMatch(/^That can not be kept: pieces .*30/);
  store.dispatch(changed([set(piece!.id, ['size', 'length'], 1.5)]));
  expect(store.getState().bench.job).toBe(before);
  // The next change that can be kept goes through as ever.
  store.dispatch(changed([set(null, ['name'], 'Another room')]));
  expect(store.getState().bench).toMatchObject({ job: { name: 'Another room' }, saving: 'waiting' });
});
