/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { laidOut, say, set, strong, tonight, type Job, type Sooner } from '@sill/core';
import type { Ask } from '../../platform/ask';
import { onBench } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { DaysStage } from './DaysStage';
import HoursDialog from './HoursDialog';
import { TimeSpan } from './TimeSpan';

afterEach(() => document.body.replaceChildren());

/** The worker's answers, worked out here. */
const days = {
  ...QUIET.days,
  layOut: ({ tasks, job, now }: Parameters<typeof QUIET.days.layOut>[0]) =>
    Promise.resolve(laidOut(tasks, job, now, 'quick')),
  tonightIn: (
    { tasks, job, now }: Parameters<typeof QUIET.days.layOut>[0],
    spare: Parameters<typeof QUIET.days.tonightIn>[1],
    chain: readonly string[],
  ) => Promise.resolve(tonight(tasks, job.calendar, job.shop.clamps, now, spare, new Set(chain))),
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

describe('when there is time', () => {
  const dialog = () => onBench(<HoursDialog onClose={() => {}} />, { path: '/jobs/demo/days' });

  test('hours are added, made quiet, given a helper and removed', async () => {
    const { user, jobNow } = dialog();
    const count = hoursOf(jobNow()).week.length;
    await user.click(screen.getByRole('button', { name: 'Add hours' }));
    expect(hoursOf(jobNow()).week).toHaveLength(count + 1);
    await user.click(screen.getByRole('button', { name: 'No time on Wednesday any more' }));
    await user.click(screen.getByRole('button', { name: 'No time on Saturday any more' }));
    expect(hoursOf(jobNow()).week.map(({ day }) => day)).not.toContain(6);
  });

  test('a time that ends before it begins is said and not taken', () => {
    const taken: unknown[] = [];
    onBench(<TimeSpan from={540} to={900} onChange={(next) => taken.push(next)} />);
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '08:00' } });
    expect(screen.getByRole('alert').textContent).toBe('It must end after it begins.');
    expect(taken).toEqual([]);
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '16:30' } });
    expect(taken).toEqual([{ from: 540, to: 990 }]);
  });

  test('a day it must be ready by, days off in order, and the hours of the yard', async () => {
    const { user, jobNow } = dialog();
    fireEvent.change(screen.getByLabelText('Must be ready by'), { target: { value: '2027-02-01' } });
    expect(hoursOf(jobNow()).due).toBe('2027-02-01');
    await user.click(screen.getByRole('button', { name: 'Add days off' }));
    fireEvent.change(screen.getByLabelText('First day'), { target: { value: '2026-12-24' } });
    expect(hoursOf(jobNow()).off).toMatchObject([{ from: '2026-12-24', to: '2026-12-24' }]);
    await user.click(screen.getByRole('button', { name: 'Show its hours' }));
    await user.click(screen.getByRole('checkbox', { name: 'Sunday' }));
    expect(hoursOf(jobNow()).store.map(({ day }) => day)).toEqual([1, 2, 3, 4, 5, 6]);
  });

  test('readings are typed, or asked of the shop for two weeks, and forgotten', async () => {
    const ask = (() => Promise.resolve({ temperature: 52, humidity: 60, simulated: true })) as unknown as Ask;
    const { user, jobNow } = onBench(<HoursDialog onClose={() => {}} />, { path: '/jobs/demo/days', ask });
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(hoursOf(jobNow()).air).toMatchObject([{ on: '2026-11-24', temperature: 65, simulated: false }]);
    await user.click(screen.getByRole('button', { name: 'Two weeks from the shop' }));
    await waitFor(() => expect(hoursOf(jobNow()).air).toHaveLength(14));
    expect(hoursOf(jobNow()).air.every(({ temperature, simulated }) => temperature === 52 && simulated)).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Forget Tue 24 Nov' }));
    expect(hoursOf(jobNow()).air).toHaveLength(13);
  });
});
