import { dayNotes } from '../checking';
import { doingOf } from '../building';
import { finishedWith, newJob, set, applyChanges, type Job } from '../job';
import { doneAs, holdingsOf } from '../ledger';
import { nth } from '../lists';
import { newPiece } from '../piece';
import { withDays } from '../plan';
import { USUAL_PACE } from '../record';
import { fasterCoats } from '../coat-ways';
import { rehearse } from '../rehearsal';
import { inDaysOrder } from '../testing/in-days-order';
import { faultsOf } from '../testing/days-checker';
import { plain } from '../words';
import { daysOf, nowOf, soonerBy, tasksOf, timeOf, tonight } from '.';
import { planning } from '../testing/planning';

const NOW = '2026-11-24T20:00';
const jobOf = (...starts: readonly string[]): Job => ({
  ...newJob('Shed'),
  pieces: starts.map((start, at) => ({
    ...newPiece(`p${at}`, start),
    finish: finishedWith('natural.wipeable', 'natural.bare.rest'),
  })),
});
const planned = planning(NOW);
const tasksFor = (job: Job) => tasksOf(planned(job), job, holdingsOf(job), nowOf(job.calendar, NOW), USUAL_PACE);

describe.each([[['bench', 'end-table']], [['dining', 'shelf-unit']]])('%s', (starts) => {
  const job = jobOf(...starts);
  const plan = planned(job);
  const tasks = tasksFor(job);

  test('every minute of the work order is laid out where there is time for it, by an independent checker', () => {
    expect(faultsOf(tasks, job.calendar, job.shop.clamps, plan.calendar)).toEqual([]);
    for (const { steps } of plan.pieces)
      for (const step of steps) {
        const own = tasks.filter(({ of }) => of === step.id);
        expect([step.id, own.reduce((sum, { minutes }) => sum + minutes, 0)]).toEqual([step.id, step.work]);
      }
    const sawn = tasks.filter(({ kind }) => kind === 'saw').map(({ of }) => of);
    expect(sawn).toEqual(plan.setups.filter(({ tool }) => tool).map(({ id }) => `saw.${id}`));
  });

  test('the order of the days can be worked in, and its reverse can not', () => {
    expect(rehearse(inDaysOrder(plan), job).faults).toEqual([]);
    const reversed = plan.pieces.map((facts) => ({ ...facts, steps: [...facts.steps].reverse() }));
    expect(rehearse({ ...plan, pieces: reversed }, job).stopped).not.toBeNull();
  });

  test('saws and sanders wait for Saturday; boards lie a week before they are cut; what needs help has it', () => {
    const placed = plan.calendar.sessions.flatMap(({ date, window, placed: own }) =>
      own.map((one) => ({ ...one, date, window })),
    );
    expect(new Set(placed.filter(({ task }) => task.loud).map(({ window }) => window.quiet))).toEqual(new Set([false]));
    const lastCut = Math.max(...placed.filter(({ task }) => task.kind === 'saw').map(({ end }) => end));
    for (const { task, start } of placed)
      if (task.of.endsWith('.samples')) expect(start).toBeGreaterThanOrEqual(lastCut);
    const yard = placed.find(({ task }) => task.errand)!;
    const cut = placed.find(({ task }) => task.kind === 'saw')!;
    expect(timeOf(null, yard.start)).toBe('2026-11-28T09:00');
    expect(cut.date).toBe('2026-12-05');
  });
});

test('what is ticked is done: less is left, what it left to dry is waited for, and the day comes no later', () => {
  const job = jobOf('bench');
  const plan = planned(job);
  const facts = nth(plan.pieces, 0);
  const step = facts.steps.find(({ wait }) => wait > 600)!;
  const told = step.actions.map((action, at) =>
    doneAs(doingOf(step, action, facts.parts), { id: `done-${at}`, at: NOW }),
  );
  const later = { ...job, ledger: told };
  const [before, after] = [tasksFor(job), tasksFor(later)];
  expect(after.some(({ of }) => of === step.id)).toBe(false);
  expect(after.length).toBeLessThan(before.length);
  expect(Math.max(...after.map(({ release }) => release))).toBe(step.wait);
  expect(planned(later).calendar.ready! <= plan.calendar.ready!).toBe(true);
});

test('copies are each built; a finished job has no days', () => {
  const job = jobOf('end-table');
  const twice = { ...job, pieces: job.pieces.map((piece) => ({ ...piece, copies: 2 })) };
  const own = tasksFor(twice).filter(({ of }) => of.includes('#2'));
  expect(own.length).toBe(tasksFor(job).filter(({ piece }) => piece !== null).length);
  expect(planned(newJob('none')).calendar).toMatchObject({ ready: null, sessions: [] });
});

test('in a while without noise only what is quiet is done, to its end, and what decides the day first', () => {
  const job = jobOf('bench');
  // All is bought and cut: only steps are left.
  const steps = tasksFor(job)
    .filter(({ piece }) => piece !== null)
    .map((task) => ({ ...task, after: task.after.filter(({ task: id }) => id !== 'yard' && !id.startsWith('saw.')) }));
  const now = nowOf(job.calendar, NOW);
  const ask = (minutes: number, quiet: boolean, chain: readonly string[] = []) =>
    tonight(steps, job.calendar, job.shop.clamps, now, { minutes, quiet, helpers: 0 }, new Set(chain));
  const found = ask(45, true);
  expect(found.placed.length).toBeGreaterThan(0);
  expect(found.placed.every(({ task, end }) => !task.loud && end <= now + 45)).toBe(true);
  expect(found.left).toBe(45 - found.placed.reduce((sum, { start, end }) => sum + end - start, 0));
  // Every order of two that could be begun now fills no more of it.
  const open = steps.filter(({ after, loud, minutes }) => after.length === 0 && !loud && minutes <= 45);
  const most = Math.max(...open.map(({ minutes }) => minutes));
  expect(45 - found.left).toBeGreaterThanOrEqual(most);
  const short = open.reduce((a, b) => (a.minutes <= b.minutes ? a : b));
  expect(ask(short.minutes, true, [short.id]).placed.map(({ task }) => task.id)).toEqual([short.id]);
  expect(ask(5, true).placed.every(({ task }) => task.minutes <= 5)).toBe(true);
});

test('each change that brings it forward does so when it is taken, by as much as it said', () => {
  const job = jobOf('dining', 'bench');
  const now = nowOf(job.calendar, NOW);
  const quick = daysOf(planned(job), job, NOW, 'quick', USUAL_PACE);
  const ways = soonerBy(tasksFor(job), job, now, quick.ready!, 'quick');
  expect(ways.length).toBeGreaterThan(1);
  for (const way of ways.filter(({ changes }) => changes.length > 0)) {
    const next = applyChanges(job, way.changes);
    expect([way.id, planned(next).calendar.ready]).toEqual([way.id, way.ready]);
    expect(way.days).toBeGreaterThan(0);
  }
  expect(ways.filter(({ id }) => id.startsWith('evening-')).length).toBeLessThan(2);
});

test('a slow coat swapped for a quick one is ready when it says, for what it says', () => {
  const job = jobOf('end-table');
  const plan = planned(job);
  const [way] = fasterCoats(job, plan, plan.calendar.ready!, { today: NOW, effort: 'quick' });
  expect(plain(way!.label, 'in')).toBe('water polyurethane instead of oil polyurethane');
  const then = planned(applyChanges(job, way!.changes));
  expect([then.calendar.ready, then.list.total - plan.list.total]).toEqual([way!.ready, way!.adds]);
});

describe('what the days say', () => {
  const job = jobOf('dining');
  const plan = planned(job);
  const kinds = (changed: Job) =>
    planned(changed)
      .findings.filter(({ stage }) => stage === 'days')
      .map(({ kind, level, title }) => `${kind} ${level}: ${plain(title, 'in')}`);

  test('that a day is kept or missed, by how much; that a day that is over is too late', () => {
    const due = (day: string) => kinds(applyChanges(job, [set(null, ['calendar', 'due'], day)])).join('\n');
    expect(due('2027-12-24')).toMatch(/due good: In time for Fri 24 Dec/);
    expect(due('2026-11-01')).toMatch(/due care: \d+ days too late/);
  });

  test('that there is no time: for what is loud, for anything', () => {
    const none = applyChanges(job, [set(null, ['calendar', 'week'], [])]);
    expect(kinds(none)).toEqual(['no-time stop: There is no time for it']);
    const evenings = job.calendar.week.map((row) => ({ ...row, quiet: true }));
    const quiet = planned(applyChanges(job, [set(null, ['calendar', 'week'], evenings)]));
    expect(plain(quiet.findings.find(({ kind }) => kind === 'no-time')!.because, 'in')).toMatch(/it is loud/);
  });

  test('that a wish is lost, with the way to forget it', () => {
    const step = nth(plan.pieces[0]!.steps, plan.pieces[0]!.steps.length - 1);
    const wish = applyChanges(job, [set(null, ['calendar', 'pins', 'a'], { id: 'a', of: step.id, on: '2026-11-28' })]);
    const note = planned(wish).findings.find(({ kind }) => kind === 'lost-wish')!;
    expect(plain(note.title, 'in')).toBe('Not on Sat 28 Nov');
    expect(applyChanges(wish, note.remedies[0]!.changes).calendar.pins).toEqual([]);
  });

  test('cold days, and days laid out anew replace what was said of those before', () => {
    const air = { id: 'a', on: '2026-12-05', temperature: 40, humidity: 50, simulated: false };
    expect(kinds(applyChanges(job, [set(null, ['calendar', 'air', 'a'], air)])).join('\n')).toMatch(/cold-days care/);
    const none = { ...plan.calendar, sessions: [], ready: null, chain: [] };
    expect(withDays(plan, job, none).findings.filter(({ stage }) => stage === 'days')).toEqual(
      dayNotes({ calendar: none, job, pace: USUAL_PACE }),
    );
  });
});
