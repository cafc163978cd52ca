/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import {
  demoJob,
  forecastOf,
  holdingsOf,
  inches,
  offcutForSpacers,
  plain,
  printLength,
  readingsOf,
  roundToTape,
  type Job,
} from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { BuildStage } from './BuildStage';

const open = (step: number, job: Job = demoJob(), piece = 'glaze') => {
  const shown = onBench(<BuildStage />, { job, path: `/jobs/demo/build?piece=${piece}&step=${step}` });
  const plan = shown.store.getState().planning.plan!;
  const facts = plan.pieces.find((one) => one.piece.id === piece)!;
  return { ...shown, plan, facts, step: facts.steps[step - 1]! };
};
const numberOf = (name: string, job: Job = demoJob()) =>
  planOnce(job)
    .pieces.find(({ piece }) => piece.id === 'glaze')!
    .steps.findIndex(({ id }) => id === `glaze.${name}`) + 1;

afterEach(() => document.body.replaceChildren());

/** Ids of the steps that are done. */
const doneIn = (job: Job) => [...holdingsOf(job).done.keys()];

test('the bar has a mark a step; what the step says is what the plan says, in order', () => {
  const { facts, step } = open(2);
  expect(screen.getAllByRole('button', { name: /^Step \d+/ })).toHaveLength(facts.steps.length);
  const said = screen.getByRole('region', { name: 'What to do' });
  expect(within(said).getByRole('heading').textContent).toBe(
    plain(step.title, 'in').replace(/ \d\/\d+/g, (fraction) => fraction),
  );
  expect(within(said).getAllByRole('checkbox')).toHaveLength(step.actions.length);
});

test('actions are ticked one by one; “step done” ticks the rest and goes on', async () => {
  const { user, jobNow, step, facts, router } = open(2);
  const boxes = screen.getAllByRole('checkbox');
  await user.click(boxes[0]!);
  expect(doneIn(jobNow())).toContain(step.actions[0]!.id);
  await user.click(boxes[0]!);
  expect(doneIn(jobNow())).not.toContain(step.actions[0]!.id);
  await user.click(screen.getByRole('button', { name: 'Step done · next' }));
  expect(step.actions.every(({ id }) => doneIn(jobNow()).includes(id))).toBe(true);
  await waitFor(() => expect(router.state.location.search).toContain('step=3'));
  expect(screen.getByRole('button', { name: 'Step 2, done' })).toBeTruthy();
  expect(facts.steps.length).toBeGreaterThan(3);
});

test('top first or base first is the person’s', async () => {
  const { user, jobNow } = open(1);
  await user.click(screen.getByRole('button', { name: 'Base first' }));
  expect(jobNow().pieces.find(({ id }) => id === 'glaze')!.first).toBe('base');
});

test('spacers name the offcut they are cut from, as the offcuts have it', () => {
  const at = numberOf('end-1');
  const { plan, step } = open(at);
  expect(step.spacers.length).toBeGreaterThan(0);
  const lines = [...document.querySelectorAll('.spacers')].map(({ textContent }) => textContent);
  expect(lines).toHaveLength(step.spacers.length);
  step.spacers.forEach(({ thickness }, k) => {
    const use = offcutForSpacers(plan.offcuts, 'glaze', thickness);
    expect(lines[k]).toContain(use ? `offcut of board ${use.board}` : 'any scrap');
  });
});

test('two diagonals that differ say which corner to push; alike they say square', () => {
  const at = numberOf('end-1');
  const { jobNow, step } = open(at);
  const field = (name: string) => screen.getByLabelText(name);
  const type = (name: string, text: string) => {
    fireEvent.change(field(name), { target: { value: text } });
    fireEvent.keyDown(field(name), { key: 'Enter' });
    fireEvent.blur(field(name));
  };
  type('First, near left to far right', '43 3/4');
  expect(readingsOf(jobNow(), 'glaze').diagonals[step.id]![0]).toBe(inches(43.75));
  type('Second, near right to far left', '43 1/4');
  expect(screen.getByText(/The first is longer/).textContent).toContain('until the long side has slid by');
  type('Second, near right to far left', '43 3/4');
  // Alike and square, but not the plan's number: a side is off.
  expect(screen.getByText(/They match, so it is square, but they should read/)).toBeTruthy();
  const should = printLength(roundToTape(step.diagonals![0], 'in'), 'in');
  type('First, near left to far right', should);
  type('Second, near right to far left', should);
  expect(screen.getByText('They match: it is square.')).toBeTruthy();
});

test('a piece too wide for the door says so at its last joints; with a wide one it does not', () => {
  const job = demoJob();
  const shop = { ...job.shop, lift: 500 };
  const narrow = { ...job, shop: { ...shop, door: inches(20) } };
  const at = numberOf('top-on', narrow);
  open(at, narrow);
  expect(screen.getByText(/· where it stays$/)).toBeTruthy();
  document.body.replaceChildren();
  open(at, { ...job, shop: { ...shop, door: inches(60) } });
  expect(screen.queryByText(/· where it stays$/)).toBeNull();
});

test('at the bench: one action at a time, ticked by Space, back without unticking', async () => {
  const { user, jobNow, step } = open(1);
  await user.click(screen.getByRole('button', { name: 'At the bench' }));
  const bench = screen.getByRole('dialog');
  expect(bench.textContent).toContain(`1 of ${step.actions.length}`);
  await user.keyboard(' ');
  expect(doneIn(jobNow())).toContain(step.actions[0]!.id);
  await user.click(within(bench).getByRole('button', { name: 'Back' }));
  expect(doneIn(jobNow())).toContain(step.actions[0]!.id);
  await user.click(within(bench).getByRole('button', { name: 'Leave the bench' }));
  expect(screen.queryByRole('button', { name: 'Leave the bench' })).toBeNull();
});

test('how true it comes out: what shows, within what, and which cut it comes from', async () => {
  const job = demoJob();
  const plan = planOnce(job);
  const facts = plan.pieces.find(({ piece }) => piece.id === 'glaze')!;
  const forecast = forecastOf(facts.parts, facts.fastenings, plan.setups, {});
  const { user } = onBench(<BuildStage />, {
    job,
    path: '/jobs/demo/build?piece=glaze&step=1',
    planner: { ...QUIET.planner, forecastFor: () => Promise.resolve(forecast) },
  });
  await user.click(screen.getByRole('button', { name: 'How true' }));
  const table = await screen.findByRole('table');
  expect(within(table).getAllByRole('row')).toHaveLength(forecast.expected.length + 1);
  const gap = forecast.expected.find(({ kind }) => kind === 'gap')!;
  expect(within(table).getByText(`${gap.joint!.drilled.tag} on ${gap.joint!.into.tag}`)).toBeTruthy();
  expect(screen.getByText(/no length of this piece has been measured/)).toBeTruthy();
});

test('where the forecast fails it is said, and nothing else is lost', async () => {
  const { user } = onBench(<BuildStage />, {
    job: demoJob(),
    path: '/jobs/demo/build?piece=glaze&step=1',
    planner: { ...QUIET.planner, forecastFor: () => Promise.reject(new Error('gone')) },
  });
  await user.click(screen.getByRole('button', { name: 'How true' }));
  expect((await screen.findByRole('alert')).textContent).toMatch(/could not be worked out/);
});
