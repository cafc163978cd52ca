/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { demoJob, fahrenheit, type Job } from '@sill/core';
import type { Ask } from '../../platform/ask';
import { onBench, planOnce } from '../../testing/bench';
import HoursDialog from './HoursDialog';
import { TimeSpan } from './TimeSpan';

afterEach(() => document.body.replaceChildren());

/** What is said here is of no plan. */
const PLAN = planOnce(demoJob());
const dialog = (more: Parameters<typeof onBench>[1] = {}) =>
  onBench(<HoursDialog onClose={() => {}} />, { path: '/jobs/demo/days', plan: PLAN, ...more });
const hoursOf = (job: Job) => job.calendar;
const type = (label: string | HTMLElement, value: string) =>
  fireEvent.change(typeof label === 'string' ? screen.getByLabelText(label) : label, { target: { value } });
/** The part of the dialog under a heading. */
const under = (name: string) => within(screen.getByRole('group', { name }));
/** The demo job with something else in its calendar. */
const jobWith = (calendar: Partial<Job['calendar']>, rest: Partial<Job> = {}): Job => {
  const job = demoJob();
  return { ...job, ...rest, calendar: { ...job.calendar, ...calendar } };
};

describe('every week', () => {
  test('hours are added, and removed by their day', async () => {
    const { user, jobNow } = dialog();
    const count = hoursOf(jobNow()).week.length;
    await user.click(screen.getByRole('button', { name: 'Add hours' }));
    expect(hoursOf(jobNow()).week).toHaveLength(count + 1);
    await user.click(screen.getByRole('button', { name: 'No time on Wednesday any more' }));
    await user.click(screen.getByRole('button', { name: 'No time on Saturday any more' }));
    expect(hoursOf(jobNow()).week.map(({ day }) => day)).not.toContain(6);
  });

  test('a row goes to another day, is loud or quiet, and has so many helpers: the rest of it stays', async () => {
    const { user, jobNow } = dialog();
    const [row] = [...hoursOf(jobNow()).week].sort((a, b) => a.day - b.day);
    const own = () => hoursOf(jobNow()).week.find(({ id }) => id === row!.id)!;
    const first = within(under('Every week').getAllByRole('listitem')[0]!);
    await user.click(first.getByRole('checkbox', { name: 'quiet work only' }));
    expect(own()).toEqual({ ...row!, quiet: !row!.quiet });
    type(first.getByLabelText('Helpers'), '2');
    expect(own()).toEqual({ ...row!, quiet: !row!.quiet, helpers: 2 });
    type(first.getByLabelText('Helpers'), '12');
    expect(first.getByRole('alert').textContent).toBe('A whole number from 0 to 9.');
    expect(own().helpers).toBe(2);
    await user.click(first.getByRole('combobox', { name: 'Day' }));
    await user.click(screen.getByRole('option', { name: 'Friday' }));
    expect(own()).toMatchObject({ day: 5, from: row!.from, to: row!.to });
  });

  test('rows stand in the order of the week, whatever order they were added in', () => {
    const row = (id: string, day: number, from: number) => ({
      id,
      day,
      from,
      to: from + 60,
      quiet: false,
      helpers: 0,
    });
    dialog({ job: jobWith({ week: [row('c', 7, 600), row('b', 2, 1140), row('a', 2, 420)] }) });
    const shown = under('Every week')
      .getAllByLabelText('From')
      .map((field) => (field as HTMLInputElement).value);
    expect(shown).toEqual(['07:00', '19:00', '10:00']);
  });
});

test('a single day more has its date, its hours and its helpers, and goes again', async () => {
  const { user, jobNow } = dialog();
  await user.click(screen.getByRole('button', { name: 'Add a day' }));
  const one = under('On one day more');
  expect(hoursOf(jobNow()).extra).toMatchObject([{ on: '2026-11-24', from: 1140, to: 1260, quiet: true }]);
  type(one.getByLabelText('Day'), '2026-12-02');
  type(one.getByLabelText('From'), '08:30');
  type(one.getByLabelText('Helpers'), '1');
  expect(hoursOf(jobNow()).extra).toMatchObject([{ on: '2026-12-02', from: 510, to: 1260, quiet: true, helpers: 1 }]);
  // A date that is cleared is none: the day stays as it was.
  type(one.getByLabelText('Day'), '');
  expect(hoursOf(jobNow()).extra).toMatchObject([{ on: '2026-12-02' }]);
  await user.click(one.getByRole('button', { name: 'Remove' }));
  expect(hoursOf(jobNow()).extra).toEqual([]);
});

describe('days off', () => {
  test('never end before they begin, whichever is set last', async () => {
    const { user, jobNow } = dialog();
    await user.click(screen.getByRole('button', { name: 'Add days off' }));
    type('First day', '2026-12-24');
    expect(hoursOf(jobNow()).off).toMatchObject([{ from: '2026-12-24', to: '2026-12-24' }]);
    type('Last day', '2026-12-31');
    expect(hoursOf(jobNow()).off).toMatchObject([{ from: '2026-12-24', to: '2026-12-31' }]);
    type('Last day', '2026-12-20');
    expect(hoursOf(jobNow()).off).toMatchObject([{ from: '2026-12-20', to: '2026-12-20' }]);
    await user.click(under('Days off, and busy times').getByRole('button', { name: 'Remove' }));
    expect(hoursOf(jobNow()).off).toEqual([]);
  });

  test('busy times of a file are counted, and forgotten at once', async () => {
    const busy = [1, 2, 3].map((k) => ({
      id: `b${k}`,
      from: `2026-12-0${k}T18:00`,
      to: `2026-12-0${k}T21:00`,
      name: 'Choir',
    }));
    const { user, jobNow } = dialog({ job: jobWith({ busy }) });
    expect(screen.getByText('3 busy times from a calendar file are kept free.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Forget them' }));
    expect(hoursOf(jobNow()).busy).toEqual([]);
    expect(screen.getByText('Busy times are read under Calendar file.')).toBeTruthy();
  });
});

test('a day it must be ready by is set and taken back', () => {
  const { jobNow } = dialog();
  type('Must be ready by', '2027-02-01');
  expect(hoursOf(jobNow()).due).toBe('2027-02-01');
  type('Must be ready by', '');
  expect(hoursOf(jobNow()).due).toBeNull();
});

test('times are of this device’s zone, of that which the job has, or of a clock that is never changed', async () => {
  const { user, jobNow } = dialog({ job: jobWith({ zone: 'Europe/Lisbon' }), zoneHere: () => 'America/Denver' });
  const choose = async (name: string) => {
    await user.click(screen.getByRole('combobox', { name: 'Times are of' }));
    const offered = screen.getAllByRole('option').map(({ textContent }) => textContent);
    await user.click(screen.getByRole('option', { name }));
    return offered;
  };
  expect(await choose('America/Denver, as this device')).toEqual([
    'a clock that is never changed',
    'America/Denver, as this device',
    'Europe/Lisbon',
  ]);
  expect(hoursOf(jobNow()).zone).toBe('America/Denver');
  await choose('a clock that is never changed');
  expect(hoursOf(jobNow()).zone).toBeNull();
});

test('noise, the trip, the rest of the boards and the room are kept; what can not be is said and not kept', () => {
  const { jobNow } = dialog();
  const rules = under('Noise, room and waiting');
  type(rules.getByLabelText('To'), '19:45');
  type('A trip to the yard', '75');
  type('Boards lie before milling', '9');
  type('Room for glue-ups and wet pieces', '3');
  expect(hoursOf(jobNow())).toMatchObject({ loud: { to: 1185 }, trip: 75, rest: 9, room: 3 });
  type('Room for glue-ups and wet pieces', '0');
  expect(rules.getByRole('alert').textContent).toBe('A whole number from 1 to 50.');
  type('A trip to the yard', '');
  expect(hoursOf(jobNow())).toMatchObject({ trip: 75, room: 3 });
});

describe('the yard', () => {
  test('a day is ticked open as its sign says, and shut again', async () => {
    const { user, jobNow } = dialog();
    await user.click(screen.getByRole('button', { name: 'Show its hours' }));
    await user.click(screen.getByRole('checkbox', { name: 'Sunday' }));
    expect(hoursOf(jobNow()).store.map(({ day }) => day)).toEqual([1, 2, 3, 4, 5, 6]);
    await user.click(screen.getByRole('checkbox', { name: 'Sunday' }));
    expect(hoursOf(jobNow()).store.find(({ day }) => day === 7)).toMatchObject({ from: 480, to: 1080 });
    const sunday = within(screen.getByRole('checkbox', { name: 'Sunday' }).closest('li')!);
    type(sunday.getByLabelText('To'), '13:00');
    expect(hoursOf(jobNow()).store.find(({ day }) => day === 7)).toMatchObject({ from: 480, to: 780 });
  });

  test('one that is never open is said so', () => {
    dialog({ job: jobWith({ store: [] }) });
    expect(screen.getByText('On no day.')).toBeTruthy();
  });
});

describe('how warm and damp it is', () => {
  test('readings are typed, or asked of the shop for two weeks, and forgotten', async () => {
    const ask = (() => Promise.resolve({ temperature: 52, humidity: 60, simulated: true })) as unknown as Ask;
    const { user, jobNow } = dialog({ ask });
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(hoursOf(jobNow()).air).toMatchObject([{ on: '2026-11-24', temperature: 65, simulated: false }]);
    await user.click(screen.getByRole('button', { name: 'Two weeks from the shop' }));
    await waitFor(() => expect(hoursOf(jobNow()).air).toHaveLength(14));
    expect(hoursOf(jobNow()).air.every(({ temperature, simulated }) => temperature === 52 && simulated)).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Forget Tue 24 Nov' }));
    expect(hoursOf(jobNow()).air).toHaveLength(13);
  });

  test('a second reading of a day takes the place of the first; no day, no reading', async () => {
    const { user, jobNow } = dialog();
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    type('Temperature', '58');
    type('Humidity', '71');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(hoursOf(jobNow()).air).toMatchObject([{ on: '2026-11-24', temperature: 58, humidity: 71 }]);
    type('On', '');
    expect((screen.getByRole('button', { name: 'Keep it' }) as HTMLButtonElement).disabled).toBe(true);
  });

  test('in metric it is read and typed in degrees Celsius', async () => {
    const { user, jobNow } = dialog({ job: jobWith({}, { units: 'mm' }) });
    expect((screen.getByLabelText('Temperature') as HTMLInputElement).value).toBe('18');
    type('Temperature', '12');
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(hoursOf(jobNow()).air).toMatchObject([{ temperature: fahrenheit(12) }]);
    expect(screen.getByText(/^Tue 24 Nov: 12 °C, 50 %/)).toBeTruthy();
  });

  test('a thermometer that does not answer changes nothing', async () => {
    const { user, jobNow } = dialog({ ask: () => Promise.reject(new Error('The server does not answer.')) });
    const before = jobNow();
    const button = screen.getByRole('button', { name: 'Two weeks from the shop' });
    await user.click(button);
    await waitFor(() => expect((button as HTMLButtonElement).disabled).toBe(false));
    expect(jobNow()).toBe(before);
  });
});

describe('from one time to another', () => {
  const span = (from: number, to: number) => {
    const taken: unknown[] = [];
    onBench(<TimeSpan from={from} to={to} onChange={(next) => taken.push(next)} />, { plan: PLAN });
    return taken;
  };

  test('one that ends before it begins is said and not taken', () => {
    const taken = span(540, 900);
    type('To', '08:00');
    expect(screen.getByRole('alert').textContent).toBe('It must end after it begins.');
    expect(taken).toEqual([]);
    type('To', '16:30');
    expect(taken).toEqual([{ from: 540, to: 990 }]);
  });

  test('midnight is the end of the day, not its beginning', () => {
    const taken = span(1140, 1260);
    type('To', '00:00');
    expect(taken).toEqual([{ from: 1140, to: 1440 }]);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('a time that is cleared is asked for, and what was stays', () => {
    const taken = span(540, 900);
    type('From', '');
    expect(screen.getByRole('alert').textContent).toBe('A time such as 19:00.');
    fireEvent.blur(screen.getByLabelText('From'));
    expect((screen.getByLabelText('From') as HTMLInputElement).value).toBe('');
    expect(taken).toEqual([]);
  });
});
