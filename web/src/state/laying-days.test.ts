import { demoJob, newJob, set, type BenchCalendar } from '@sill/core';
import { planned as planOf } from '../../../core/src/testing/planning';
import { Stopped } from '../platform/workers/asking';
import { daysAsked } from '../platform/workers/days-asked';
import { QUIET } from '../testing/edges';
import { changed, opened } from './bench';
import { laidOutDays, planned } from './planning';
import { STANDS_MS } from './laying-days';
import { makeStore } from './store';
import { said } from './view';

const job = demoJob();
const none = planOf(newJob('none'), '2026-11-24');
const plan = planOf(job, '2026-11-24');
const until = async (isSo: () => boolean) => {
  for (let k = 0; k < 200 && !isSo(); k++) await new Promise((go) => setTimeout(go, 20));
  expect(isSo()).toBe(true);
};
const ready = (day: string, proved = false): BenchCalendar => ({ ...plan.calendar, ready: day, proved });

function storeWith(answers: readonly (() => Promise<BenchCalendar>)[]) {
  const left = [...answers];
  const asked: number[] = [];
  const stood: (string | null | undefined)[] = [];
  const layOut: typeof QUIET.days.layOut = (about, before) => {
    asked.push(daysAsked(about).tasks.length);
    stood.push(before?.ready);
    return left.shift()?.() ?? new Promise(() => {});
  };
  const store = makeStore({
    ...QUIET,
    days: { ...QUIET.days, layOut },
    planner: { ...QUIET.planner, planQuickly: (of) => Promise.resolve(of.pieces.length === 0 ? none : plan) },
  });
  store.dispatch(opened({ id: 'demo', revision: 1, savedAt: '', job }));
  store.dispatch(planned({ job, plan, proving: false }));
  return { store, asked, stood };
}

test('days laid out for long take the place of those of the plan, with what is said of them', async () => {
  const { store, asked } = storeWith([() => Promise.resolve(ready('2027-01-09', true))]);
  expect(store.getState().planning.laying).toBe(true);
  await until(() => store.getState().planning.plan?.calendar.ready === '2027-01-09');
  expect(store.getState().planning.laying).toBe(false);
  const { findings } = store.getState().planning.plan!;
  expect(findings.filter(({ kind }) => kind === 'earliest').map(({ level }) => level)).toEqual(['good']);
  expect(findings.length).toBe(plan.findings.length);
  expect(asked[0]).toBeGreaterThan(50);
});

test('a change of hours says what it does to the day; a change of the piece does not', async () => {
  const later = [ready('2027-01-09'), ready('2027-01-16'), ready('2027-02-01')].map(
    (one) => () => Promise.resolve(one),
  );
  const { store } = storeWith(later);
  const now = () => store.getState().planning.plan?.calendar.ready;
  await until(() => now() === '2027-01-09');
  store.dispatch(changed([set(null, ['calendar', 'rest'], 14)]));
  await until(() => store.getState().view.message !== null);
  expect(store.getState().view.message?.text).toBe('Ready Sat 16 Jan: 7 days later.');
  store.dispatch(changed([set(null, ['budget'], 1)]));
  await until(() => now() === '2027-02-01');
  expect(store.getState().view.message?.text).toBe('Ready Sat 16 Jan: 7 days later.');
});

test('days that were found stand: those laid out next are told of them, those of another job are not', async () => {
  const { store, stood } = storeWith(
    [ready('2027-01-16'), ready('2027-01-09'), ready('2027-01-09')].map((one) => () => Promise.resolve(one)),
  );
  const now = () => store.getState().planning.plan?.calendar.ready;
  await until(() => now() === '2027-01-16');
  // Looked for longer, and found.
  store.dispatch(laidOutDays({ job: store.getState().bench.job!, calendar: ready('2027-01-09') }));
  store.dispatch(changed([set(null, ['budget'], 1)]));
  await until(() => stood.length === 2);
  store.dispatch(opened({ id: 'another', revision: 1, savedAt: '', job }));
  store.dispatch(planned({ job, plan, proving: false }));
  await until(() => stood.length === 3);
  expect(stood).toEqual([undefined, '2027-01-09', undefined]);
});

test('what went wrong stands until it is read: what comes about by itself is not said over it', async () => {
  const { store } = storeWith([ready('2027-01-09'), ready('2027-01-16')].map((one) => () => Promise.resolve(one)));
  const now = () => store.getState().planning.plan?.calendar.ready;
  await until(() => now() === '2027-01-09');
  store.dispatch(said({ text: 'This is not a calendar file.', bad: true }));
  store.dispatch(changed([set(null, ['calendar', 'rest'], 14)]));
  await until(() => now() === '2027-01-16');
  expect(store.getState().view.message?.text).toBe('This is not a calendar file.');
});

test('a search that was stopped is no failure; one that fails leaves the days there are, and says so', async () => {
  const { store, asked } = storeWith([
    () => Promise.reject(new Stopped('Stopped.')),
    () => Promise.reject(new Error('gone')),
  ]);
  await until(() => asked.length === 1);
  await Promise.resolve();
  expect(store.getState().view.message).toBeNull();
  store.dispatch(planned({ job, plan, proving: false }));
  await until(() => store.getState().view.message !== null);
  expect(store.getState().view.message).toMatchObject({
    bad: true,
    text: expect.stringMatching(/may be ready sooner/),
  });
  expect(store.getState().planning).toMatchObject({
    plan: { calendar: { ready: plan.calendar.ready } },
    laying: false,
  });
});

test('of an empty job nothing is asked', async () => {
  const { store, asked } = storeWith([]);
  const empty = newJob('none');
  store.dispatch(opened({ id: 'none', revision: 1, savedAt: '', job: empty }));
  store.dispatch(planned({ job: empty, plan: none, proving: false }));
  await new Promise((go) => setTimeout(go, STANDS_MS + 200));
  expect(asked).toEqual([]);
  expect(store.getState().planning.laying).toBe(false);
});
