import { demoJob, set, type Plan } from '@sill/core';
import { planned as planOf } from '../../../core/src/testing/planning';
import { QUIET } from '../testing/edges';
import { changed, opened } from './bench';
import { endProof, STANDS_MS } from './replanning';
import { makeStore } from './store';

const job = { ...demoJob(), pieces: demoJob().pieces.slice(0, 1) };
/** A plan that is not proved to be the least. */
const found: Plan = (() => {
  const plan = planOf(job, '2026-11-24');
  return { ...plan, buying: { ...plan.buying, status: 'feasible', aim: null } };
})();

/** A job just opened, whose plans come at once; what is searched for longer is counted and ends when it is told to. */
function bench() {
  const sought: string[] = [];
  const ends: (() => void)[] = [];
  const planner: typeof QUIET.planner = {
    ...QUIET.planner,
    planQuickly: () => Promise.resolve(found),
    prove: (_id, { name }) => {
      sought.push(name);
      return new Promise((done) => ends.push(() => done({ ...found, list: { ...found.list, total: 1 } })));
    },
  };
  const store = makeStore({ ...QUIET, planner });
  store.dispatch(opened({ id: 'a', revision: 1, savedAt: 'then', job }));
  const turn = (ms: number) => jest.advanceTimersByTimeAsync(ms);
  return { store, sought, ends, turn, planning: () => store.getState().planning };
}
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('a plan that is not proved is searched for longer once it stood a moment; what is better takes its place', async () => {
  const { sought, ends, turn, planning } = bench();
  await turn(STANDS_MS - 1);
  expect(planning()).toMatchObject({ proving: true, working: false });
  expect(sought).toHaveLength(0);
  await turn(1);
  expect(sought).toEqual([job.name]);
  ends.forEach((end) => end());
  await turn(0);
  expect(planning()).toMatchObject({ proving: false, plan: { list: { total: 1 } } });
});

test('while one change follows the other only the last is searched for, and none that was stopped before', async () => {
  const { store, sought, turn, planning } = bench();
  for (const name of ['One', 'Two', 'Three']) {
    await turn(STANDS_MS / 2);
    store.dispatch(changed([set(null, ['name'], name)]));
  }
  await turn(STANDS_MS);
  expect(sought).toEqual(['Three']);
  store.dispatch(changed([set(null, ['name'], 'Four')]));
  await turn(STANDS_MS / 2);
  store.dispatch(endProof());
  await turn(STANDS_MS);
  expect(sought).toEqual(['Three']);
  expect(planning()).toMatchObject({ proving: false, failed: null });
});
