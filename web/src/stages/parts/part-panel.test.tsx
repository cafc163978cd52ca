/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import {
  angled,
  applyChanges,
  demoJob,
  inches,
  newJob,
  newPiece,
  set,
  shortLength,
  workOn,
  type Job,
  type Part,
} from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { PartPanel } from './PartPanel';

const jobOf = (start: string): Job => ({ ...newJob('j'), pieces: [newPiece('p', start)] });
/** The panel of a part of the first piece of a job. */
function open(job: Job, which: (part: Part) => boolean) {
  const plan = planOnce(job);
  const facts = plan.pieces[0]!;
  const part = facts.parts.find(which)!;
  const shown = onBench(<PartPanel part={part} piece={facts.piece} />, { job, plan, path: '/jobs/demo/parts' });
  const fact = (name: string) => screen.queryByText(name, { selector: 'dt' })?.nextElementSibling?.textContent ?? null;
  return { ...shown, plan, facts, part, fact, own: () => shown.jobNow().pieces[0]! };
}

afterEach(() => document.body.replaceChildren());

test('a slanted part: long point to long point, between the short points, and its ends', () => {
  const { part, fact } = open(jobOf('splayed'), angled);
  expect(fact('Size')).toMatch(/long point to long point; .+ between the short points$/);
  expect(shortLength(part)).toBeLessThan(part.length);
  expect(fact('Ends')).not.toBeNull();
});

test('a square one says no more than its size', () => {
  const { fact } = open(jobOf('bookcase'), (part) => !angled(part) && part.cuts.length === 0 && part.fit === null);
  expect([fact('Ends'), fact('Cut out'), fact('Fit')]).toEqual([null, null, null]);
  expect(fact('Size')).not.toContain('point');
});

test('what is cut to fit says what to measure', () => {
  const { fact, part } = open(demoJob(), ({ fit }) => fit !== null);
  expect(fact('Fit')).toMatch(/^measure ./);
  for (const other of part.dependsOn) expect(fact('Fit')).toContain(other);
});

test('from board to part: the settings that it goes through, then all that is done to it, in that order', () => {
  const { plan, part, facts } = open(demoJob(), ({ role }) => role === 'leg');
  const rows = within(
    screen.getByRole('heading', { name: 'From board to part' }).nextElementSibling as HTMLElement,
  ).getAllByRole('listitem');
  const settings = plan.setups.filter(({ parts }) => parts.some(({ id }) => id === part.id));
  expect(rows).toHaveLength(settings.length + workOn(facts.steps, part.id).length);
  for (const row of rows.slice(0, settings.length)) expect(row.textContent).toMatch(/^.+: .+/);
});

test('what is bought as it is has no template and no size to set', () => {
  const { part } = open(jobOf('hairpin'), ({ bought }) => bought !== null);
  expect(part.bought).not.toBeNull();
  expect(screen.queryByRole('group', { name: 'Full-size template' })).toBeNull();
  expect(screen.queryByLabelText('length')).toBeNull();
});

test('set by hand it says what was worked out, and is had back with one click', async () => {
  const leg = planOnce(demoJob()).pieces[0]!.parts.find(({ role }) => role === 'leg')!;
  const job = applyChanges(demoJob(), [set('glaze', ['overrides', leg.tag, 'length'], inches(20))]);
  const { user, own } = open(job, ({ tag }) => tag === leg.tag);
  const told = screen.getByText(/^Worked out:/);
  expect(told.textContent).toContain('length');
  await user.click(within(told).getByRole('button', { name: 'Take back' }));
  expect(own().overrides).toEqual({});
});

test('one that was added by hand is changed and taken out', async () => {
  const [piece] = demoJob().pieces;
  const loose = { tag: 'X1', name: 'cleat', material: '1x4', length: inches(24), width: inches(3.5), count: 1 };
  const job: Job = { ...demoJob(), pieces: [{ ...piece!, loose: [loose as never] }] };
  const { user, own } = open(job, ({ tag }) => tag === 'X1');
  const count = screen.getByLabelText('count');
  await user.clear(count);
  await user.type(count, '3{Enter}');
  expect(own().loose[0]!.count).toBe(3);
  await user.click(screen.getByRole('button', { name: 'Remove it' }));
  expect(own().loose).toEqual([]);
});
