/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import { dateOf, dayOf, laidOut, say, set, strong, tonight, type Job, type Sooner } from '@sill/core';
import { Stopped } from '../../platform/workers/asking';
import { daysAsked, type DaysOf } from '../../platform/workers/days-asked';
import { onBench } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { DaysStage } from './DaysStage';

afterEach(() => document.body.replaceChildren());

/** The worker's answers, worked out here. */
const days = {
  ...QUIET.days,
  layOut: (about: DaysOf) => {
    const { tasks, job, now } = daysAsked(about);
    return Promise.resolve(laidOut(tasks, job, now, 'quick'));
  },
  tonightIn: (about: DaysOf, spare: Parameters<typeof QUIET.days.tonightIn>[1], chain: readonly string[]) => {
    const { tasks, job, now } = daysAsked(about);
    return Promise.resolve(tonight(tasks, job.calendar, job.shop.clamps, now, spare, new Set(chain)));
  },
};
/** A way that was tried elsewhere: a helper on Tuesdays. */
const way: Sooner = {
  id: 'helper',
  label: say`Someone to help on ${strong('Tuesdays')}`,
  but: say`Only lifts need it.`,
  ready: '2027-01-02',
  days: 7,
  adds: null,
  changes: [set(null, ['calendar', 'week', 'tue', 'helpers'], 1)],
};
const open = (edges: Parameters<typeof onBench>[1] = {}) =>
  onBench(<DaysStage />, { path: '/jobs/demo/days', days, ...edges });
const hoursOf = (job: Job) => job.calendar;

test('each day is a board with its work; what decides the day is said, waits stand below it', () => {
  const { container } = open();
  expect(screen.getByText('Sat 28 Nov')).toBeTruthy();
  const yard = screen.getByRole('button', { name: /^The yard: 9:00, 1 h 30, decides the day/ });
  // An hour and a half, before four and a half that are free.
  const track = [...yard.parentElement!.children].map((one) => Number((one as HTMLElement).style.flexGrow));
  expect(track).toEqual([90, 270]);
  expect(screen.getByRole('button', { name: /^Cuts \d+ to \d+, \d+ settings: 9:00/ })).toBeTruthy();
  expect(container.querySelector('.day-words')?.textContent).toMatch(/^(in clamps|sets|dries|dust)/);
});

test('work is moved to another day from its own menu, marked there, and let go again', async () => {
  const { user, jobNow } = open();
  await user.click(screen.getByRole('button', { name: /^The yard/ }));
  const menu = within(screen.getByLabelText('The yard'));
  await user.click(menu.getByRole('combobox', { name: 'On another day' }));
  await user.click(screen.getByRole('option', { name: /^Sat 5 Dec/ }));
  expect(hoursOf(jobNow()).pins).toMatchObject([{ of: 'yard', on: '2026-12-05' }]);
  await user.click(screen.getByRole('button', { name: /^The yard.*moved here/ }));
  await user.click(screen.getByRole('button', { name: 'Back to where it is soonest' }));
  expect(hoursOf(jobNow()).pins).toEqual([]);
});

test('as a list: the same sessions with their times; free time can be shown', async () => {
  const { user } = open();
  const boards = screen.getAllByText(/^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d+ \w+$/).length;
  await user.click(screen.getByRole('checkbox', { name: /Show free time too/ }));
  expect(screen.getAllByText('free').length).toBeGreaterThan(0);
  await user.click(screen.getByRole('button', { name: 'As a list' }));
  expect(screen.getAllByRole('heading', { level: 2, name: /\d+:\d\d–/ })).toHaveLength(boards);
});

test('in a while: what is quiet and fits; before the wood is there it says what is next', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'I have a while' }));
  const dialog = screen.getByRole('dialog');
  await within(dialog).findByText(/Next is Sat 28 Nov: The yard/);
});

test('what would bring it forward is tried, and taken with one click', async () => {
  const { user, jobNow } = open({ days: { ...days, soonerFor: () => Promise.resolve([way]) } });
  const region = within(screen.getByRole('region', { name: 'What would bring it forward' }));
  expect(region.getByRole('status').textContent).toMatch(/Trying/);
  await user.click(await region.findByText('Take it'));
  expect(hoursOf(jobNow()).week.find(({ id }) => id === 'tue')?.helpers).toBe(1);
});

test('where the days are looked at, a nearer bound is looked for and told', async () => {
  const proveDays: typeof QUIET.days.proveDays = (_about, found) => Promise.resolve({ ...found, proved: true });
  const { store } = open({ days: { ...QUIET.days, proveDays } });
  expect(store.getState().planning.plan?.calendar.proved).toBe(false);
  await waitFor(() => expect(store.getState().planning.plan?.calendar.proved).toBe(true));
  expect(store.getState().planning.plan?.findings.find(({ kind }) => kind === 'earliest')?.level).toBe('good');
});

test('days that are found ready sooner on the way to a proof are shown, and said once', async () => {
  const proveDays: typeof QUIET.days.proveDays = (_about, found) =>
    Promise.resolve({ ...found, ready: dateOf(dayOf(found.ready!) - 2), proved: true });
  const { store } = open({ days: { ...QUIET.days, proveDays } });
  const before = store.getState().planning.plan!.calendar.ready!;
  await waitFor(() => expect(store.getState().view.message?.text).toMatch(/^Ready .*: 2 days sooner\.$/));
  expect(dayOf(store.getState().planning.plan!.calendar.ready!)).toBe(dayOf(before) - 2);
});

describe('looking for longer', () => {
  /** Days that are open for so long, of which nothing was proved, and what is answered to who looks. */
  const looking = (lookOn: typeof QUIET.days.lookOn, stopDays = QUIET.days.stopDays) => {
    const proveDays: typeof QUIET.days.proveDays = (_about, found) =>
      Promise.resolve({ ...found, bound: { date: dateOf(dayOf(found.ready!) - 6), by: 'hours' }, proved: false });
    return open({ days: { ...QUIET.days, proveDays, lookOn, stopDays } });
  };
  const asked = () => screen.findByRole('button', { name: 'Look for a minute' }, { timeout: 5000 });

  test('is offered where days are open once a proof was tried; what is found takes their place and is said', async () => {
    const seeds: number[] = [];
    const { user, store } = looking((_about, found, seed) => {
      seeds.push(seed);
      return Promise.resolve(seeds.length < 2 ? found : { ...found, ready: dateOf(dayOf(found.ready!) - 2) });
    });
    const before = store.getState().planning.plan!.calendar.ready!;
    expect(screen.queryByRole('button', { name: /^Look for/ })).toBeNull();
    await user.click(await asked());
    expect(
      screen.getByText(/^None found in that time, which rules out nothing\. Up to 6 days are open\.$/),
    ).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Look for another minute' }));
    // It looked elsewhere than before.
    expect(new Set(seeds).size).toBe(2);
    expect(store.getState().view.message?.text).toMatch(/^Ready .*: 2 days sooner\.$/);
    expect(dayOf(store.getState().planning.plan!.calendar.ready!)).toBe(dayOf(before) - 2);
  });

  test('while it looks it can be stopped, and what was found is taken; a worker that is gone is told', async () => {
    let end: (error: Error) => void = () => {};
    let hear: Parameters<typeof QUIET.days.lookOn>[3] = () => {};
    const { user, store } = looking((_about, _found, _seed, heard) => {
      hear = heard;
      return new Promise((_, refused) => (end = refused));
    });
    await user.click(await asked());
    expect(screen.getByText(/for a minute at most/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Stop looking' }));
    end(new Stopped());
    await user.click(await asked());
    end(new Error('gone'));
    expect(await screen.findByText(/^It could not be looked for\./)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Look for another minute' }));
    const { calendar } = store.getState().planning.plan!;
    const sooner = dateOf(dayOf(calendar.ready!) - 3);
    act(() => hear({ ...calendar, ready: sooner }));
    expect(screen.getByText(/^Found: ready .*\. Looking for still sooner ones\.$/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take these' }));
    expect(store.getState().planning.plan!.calendar.ready).toBe(sooner);
    expect(store.getState().view.message?.text).toMatch(/3 days sooner/);
  });

  test('who goes to another page meanwhile keeps what was found, and no worker goes on', async () => {
    let hear: Parameters<typeof QUIET.days.lookOn>[3] = () => {};
    let stops = 0;
    const { user, store, unmount } = looking(
      (_about, _found, _seed, heard) => {
        hear = heard;
        return new Promise(() => {});
      },
      () => stops++,
    );
    await user.click(await asked());
    const { calendar } = store.getState().planning.plan!;
    const sooner = dateOf(dayOf(calendar.ready!) - 1);
    act(() => hear({ ...calendar, ready: sooner }));
    const before = stops;
    unmount();
    expect(stops).toBe(before + 1);
    expect(store.getState().planning.plan!.calendar.ready).toBe(sooner);
  });
});
