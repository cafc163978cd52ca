/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { demoJob, laidOut, say, tonight, type Job, type Sooner } from '@sill/core';
import { daysAsked } from '../../platform/workers/days-asked';
import { laidOutDays } from '../../state/planning';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { blocksOf, blockWords } from '../../words/days';
import { DayBoards } from './DayBoards';
import { DaysStage } from './DaysStage';
import { Sooner as WaysSooner } from './Sooner';
import { TonightDialog } from './TonightDialog';

afterEach(() => document.body.replaceChildren());

const path = '/jobs/demo/days';
const pinsOf = (job: Job) => job.calendar.pins;

test('what is in a piece of a day: each go with its time, how long, and what it waits for', async () => {
  const { user } = onBench(<DaysStage />, { path });
  const plan = planOnce(demoJob());
  const { zone, sessions } = plan.calendar;
  const glued = sessions
    .flatMap(({ placed }) => blocksOf(placed))
    .find(({ placed }) => placed.some(({ task }) => task.clamps !== null && task.wait > 0))!;
  const words = blockWords(glued, 'in');
  await user.click(screen.getAllByRole('button', { name: (name) => name.startsWith(words) })[0]!);
  const opened = within(screen.getByLabelText(words));
  expect(opened.getAllByRole('listitem')).toHaveLength(glued.placed.length);
  expect(opened.getByText(/in clamps .*, until /)).toBeTruthy();
  expect(opened.getByText('The step itself').getAttribute('href')).toMatch(/\/build\?.*piece=\w+.*step=\d+/);
  expect(zone).toBeNull();
});

test('what the saw does leads to its cuts', async () => {
  const { user } = onBench(<DaysStage />, { path });
  await user.click(screen.getAllByRole('button', { name: /^(Cuts \d+ to|Rough cuts)/ })[0]!);
  expect(screen.getByText('The cuts themselves').getAttribute('href')).toMatch(/\/jobs\/demo\/cuts/);
});

test('moved to the day it stands on nothing is wished for; wishes for work that is over are forgotten with the next', async () => {
  const start = demoJob();
  const job: Job = {
    ...start,
    calendar: { ...start.calendar, pins: [{ id: 'old', of: 'work.of.yesterday', on: '2026-11-28' }] },
  };
  const { user, jobNow } = onBench(<DaysStage />, { path, job });
  const pick = async (day: RegExp) => {
    await user.click(screen.getByRole('button', { name: /^The yard/ }));
    await user.click(within(screen.getByLabelText('The yard')).getByRole('combobox', { name: 'On another day' }));
    await user.click(screen.getByRole('option', { name: day }));
  };
  await pick(/^Sat 28 Nov/);
  expect(pinsOf(jobNow())).toEqual(job.calendar.pins);
  await user.keyboard('{Escape}');
  await pick(/^Sat 12 Dec/);
  expect(pinsOf(jobNow()).map(({ of, on }) => [of, on])).toEqual([['yard', '2026-12-12']]);
});

test('moved twice it is one wish', async () => {
  const { user, jobNow } = onBench(<DaysStage />, { path });
  for (const day of [/^Sat 5 Dec/, /^Sat 12 Dec/]) {
    await user.click(screen.getByRole('button', { name: /^The yard/ }));
    await user.click(within(screen.getByLabelText('The yard')).getByRole('combobox', { name: 'On another day' }));
    await user.click(screen.getByRole('option', { name: day }));
  }
  expect(pinsOf(jobNow())).toMatchObject([{ of: 'yard', on: '2026-12-12' }]);
});

test('while a piece is held the days stand as they were: what is found meanwhile is seen once it is let go', async () => {
  const { container, store, jobNow } = onBench(<DaysStage />, { path });
  const worked = () => container.querySelectorAll('.day[data-free=false]').length;
  const { calendar } = planOnce(demoJob());
  expect(worked()).toBe(calendar.sessions.length);
  const yard = screen.getByRole('button', { name: /^The yard/ });
  fireEvent.mouseDown(yard, { clientX: 10, clientY: 10, button: 0 });
  fireEvent.mouseMove(document, { clientX: 60, clientY: 40 });
  await waitFor(() => expect(container.querySelector('.held-block')?.textContent).toBe('The yard'));
  const found = { ...calendar, sessions: calendar.sessions.slice(0, -2) };
  act(() => void store.dispatch(laidOutDays({ job: jobNow(), calendar: found })));
  expect(worked()).toBe(calendar.sessions.length);
  fireEvent.mouseUp(document);
  await waitFor(() => expect(worked()).toBe(found.sessions.length));
});

test('boards are as long as their hours, all work of the calendar stands on them once, and now is marked', () => {
  const job = demoJob();
  const { calendar } = planOnce(job);
  const [first] = calendar.sessions;
  const within10 = { ...calendar, now: first!.window.from + 10 };
  const { container } = onBench(<DayBoards calendar={within10} all={false} />, { path });
  const tracks = [...container.querySelectorAll<HTMLElement>('.day-track')];
  expect(tracks).toHaveLength(calendar.sessions.length);
  const longs = calendar.sessions.map(({ window }) => window.to - window.from);
  // Free time before it is ready counts for the scale too.
  const widths = tracks.map(({ style }) => Number.parseFloat(style.width));
  widths.forEach((width, at) => expect(width / longs[at]!).toBeCloseTo(widths[0]! / longs[0]!, 6));
  const blocks = calendar.sessions.flatMap(({ placed }) => blocksOf(placed));
  expect(container.querySelectorAll('.day-piece')).toHaveLength(blocks.length);
  expect(blocks.flatMap(({ placed }) => placed)).toHaveLength(calendar.sessions.flatMap((one) => one.placed).length);
  const now = screen.getAllByLabelText('Now');
  expect(now).toHaveLength(1);
  expect(Number.parseFloat(now[0]!.style.left)).toBeCloseTo((100 * 10) / longs[0]!, 6);
});

test('free time is shown up to the day it is ready, never work twice', () => {
  const { calendar } = planOnce(demoJob());
  const { container } = onBench(<DayBoards calendar={calendar} all />, { path });
  const rows = [...container.querySelectorAll<HTMLElement>('.day')];
  const free = rows.filter(({ dataset }) => dataset['free'] === 'true');
  expect(rows.length - free.length).toBe(calendar.sessions.length);
  expect(free.length).toBeGreaterThan(0);
  free.forEach((row) => expect(row.querySelector('.day-piece')).toBeNull());
});

test('with no time for it, and with nothing to do, the stage says which', () => {
  const start = demoJob();
  const job: Job = { ...start, calendar: { ...start.calendar, week: [] } };
  onBench(<DaysStage />, { path, job });
  expect(screen.getByText(/There is no time for all of it/)).toBeTruthy();
  expect(screen.queryByRole('region', { name: 'What would bring it forward' })).toBeNull();
});

describe('in a while', () => {
  const plan = planOnce(demoJob());
  type Asked = Parameters<typeof QUIET.days.tonightIn>;
  const open = (tonightIn: typeof QUIET.days.tonightIn) =>
    onBench(<TonightDialog plan={plan} onClose={() => {}} />, { path, days: { ...QUIET.days, tonightIn } });

  test('what is asked is what was said: how long, quiet or not, with help or without', async () => {
    const asked: Asked[1][] = [];
    const { user } = open((_about, spare) => {
      asked.push(spare);
      return new Promise(() => {});
    });
    expect(screen.getByRole('status').textContent).toBe('Looking what fits.');
    await user.click(screen.getByRole('button', { name: '1 h 30' }));
    await user.click(screen.getByRole('checkbox', { name: /^Quiet/ }));
    await user.click(screen.getByRole('checkbox', { name: /^Someone helps/ }));
    expect(asked).toEqual([
      { minutes: 45, quiet: true, helpers: 0 },
      { minutes: 90, quiet: true, helpers: 0 },
      { minutes: 90, quiet: false, helpers: 0 },
      { minutes: 90, quiet: false, helpers: 1 },
    ]);
  });

  test('what fits is listed with how long it takes, and by when all is done', async () => {
    // The wood is there: what is left is work in the shop.
    const there = plan.calendar.sessions.flatMap(({ placed }) => placed.map(({ task }) => task)).slice(3);
    const known = new Set(there.map(({ id }) => id));
    const tasks = there.map((task) => ({
      ...task,
      release: 0,
      after: task.after.filter((one) => known.has(one.task)),
    }));
    open((about, spare, chain) => {
      const { job, now } = daysAsked(about);
      const quiet = { ...spare, quiet: false };
      return Promise.resolve(tonight(tasks, job.calendar, job.shop.clamps, now, quiet, new Set(chain)));
    });
    const fits = await screen.findByRole('list');
    const lines = within(fits).getAllByRole('listitem');
    expect(lines.length).toBeGreaterThan(0);
    // An answer of 45 minutes from eight on is over by a quarter to nine.
    expect(screen.getByText(/^Done by 20:[0-4]\d/)).toBeTruthy();
  });

  test('a worker that dies is told, and an answer that comes late is of no question any more', async () => {
    const { user } = open((_about, spare) =>
      spare.minutes === 45 ? Promise.reject(new Error('gone')) : new Promise(() => {}),
    );
    expect((await screen.findByRole('alert')).textContent).toMatch(/could not be worked out/);
    await user.click(screen.getByRole('button', { name: '20 min' }));
    expect(screen.getByRole('status').textContent).toBe('Looking what fits.');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('what would bring it forward', () => {
  const plan = planOnce(demoJob());
  const way = (id: string, days: number, more: Partial<Sooner> = {}): Sooner => ({
    id,
    label: say`Way ${id}`,
    but: say`It asks for something.`,
    ready: '2027-01-02',
    days,
    adds: null,
    changes: [],
    ...more,
  });
  const shown = (ways: readonly Sooner[], coats: 'none' | 'fails' | readonly Sooner[]) =>
    onBench(<WaysSooner plan={plan} isProofOver={false} />, {
      path,
      days: { ...QUIET.days, soonerFor: () => Promise.resolve(ways) },
      explorer: {
        ...QUIET.explorer,
        exploreCoats: (_job, _ready, told) => {
          if (coats !== 'none' && coats !== 'fails') told(coats);
          return { stop: () => {}, done: coats === 'fails' ? Promise.reject(new Error('gone')) : Promise.resolve() };
        },
      },
    });

  test('the one that brings most comes first, with what it adds; what is agreed on elsewhere has no button', async () => {
    shown([way('a', 1), way('b', 9, { adds: 0 })], [way('c', 4, { adds: 1250 })]);
    await screen.findByText(/^Each was tried on its own/);
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      '9 days soonerWay b: Sat 2 Jan, for the same money.It asks for something.',
      '4 days soonerWay c: Sat 2 Jan, +$12.50.It asks for something.',
      'a day soonerWay a: Sat 2 Jan.It asks for something.',
    ]);
    expect(screen.queryByRole('button', { name: 'Take it' })).toBeNull();
  });

  test('where none does, and where not all could be tried, it says so', async () => {
    shown([], 'none');
    await screen.findByText(/^No single change/);
    document.body.replaceChildren();
    shown([], 'fails');
    await screen.findByText('Not all could be tried.');
  });
});

test('days laid out for long take the place of the quick ones and are told as a range', async () => {
  const { store } = onBench(<DaysStage />, {
    path,
    days: {
      ...QUIET.days,
      proveDays: (about) => {
        const { tasks, job, now } = daysAsked(about);
        const between = { from: '2027-01-09', to: '2027-02-13' };
        return Promise.resolve({ ...laidOut(tasks, job, now, 'quick'), between });
      },
    },
  });
  await waitFor(() => expect(store.getState().planning.plan?.calendar.between).not.toBeNull());
  expect(screen.getByText(/Sat 9 Jan to Sat 13 Feb, most likely/)).toBeTruthy();
});
