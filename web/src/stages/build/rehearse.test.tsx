/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { demoJob, type Rehearsal } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { BenchMode } from './BenchMode';
import { fastenedBy, momentsOf } from './frames';
import { Rehearse } from './Rehearse';

const job = demoJob();
const plan = planOnce(job);
const facts = plan.pieces.find(({ piece }) => piece.id === 'glaze')!;
const moments = momentsOf(facts, plan.setups, fastenedBy);
const left = jest.fn();

beforeEach(() => {
  left.mockClear();
  // A browser without 3D: the work is drawn.
  jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null);
});
afterAll(() => jest.restoreAllMocks());
afterEach(() => document.body.replaceChildren());

describe('rehearsed', () => {
  const open = (rehearsed: () => Promise<Rehearsal>, start: string | null = null) =>
    onBench(<Rehearse facts={facts} start={start} onClose={left} />, {
      job,
      plan,
      path: '/jobs/demo/build?piece=glaze',
      planner: { ...QUIET.planner, rehearsed },
    });
  const never = () => new Promise<Rehearsal>(() => {});
  const count = () => document.querySelector('.rehearse-count')!.textContent;
  const at = (k: number) => `${k} / ${moments.length}`;

  test('keys go through it from end to end and never beyond', () => {
    open(never);
    const press = (key: string) => fireEvent.keyDown(screen.getByRole('dialog'), { key });
    expect(count()).toBe(at(1));
    press('ArrowLeft');
    expect(count()).toBe(at(1));
    press('ArrowRight');
    press('PageDown');
    expect(count()).toBe(at(3));
    press('End');
    press('ArrowRight');
    expect(count()).toBe(at(moments.length));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Next' }).disabled).toBe(true);
    press('PageUp');
    press('Home');
    expect(count()).toBe(at(1));
  });

  test('drawn along the stick it stands there; a notch where a step or a setting begins', () => {
    open(never);
    fireEvent.change(screen.getByRole('slider', { name: 'Where in the work' }), { target: { value: '7' } });
    expect(count()).toBe(at(8));
    const notches = new Set(moments.map(({ notch }) => notch));
    expect(document.querySelectorAll('.flat-notches i')).toHaveLength(notches.size);
  });

  test('begun at a step it opens there, in its words', () => {
    const there = moments.findIndex(({ id }) => id === facts.steps[4]!.operations[0]!.id);
    open(never, moments[there]!.id);
    expect(count()).toBe(at(there + 1));
  });

  test.each<readonly [string, () => Promise<Rehearsal>, RegExp]>([
    ['while it runs', never, /^Carrying it out/],
    ['all of it done', () => Promise.resolve({ stopped: null, operations: 212 } as Rehearsal), /^All 212 operations/],
    ['it fails', () => Promise.reject(new Error('gone')), /fault of the program/],
  ])('%s: said so', async (_name, rehearsed, says) => {
    open(rehearsed);
    expect((await screen.findByText(says)).getAttribute('role')).toBe('status');
  });

  test('left by its button', async () => {
    const { user } = open(never);
    await user.click(screen.getByRole('button', { name: 'Leave' }));
    expect(left).toHaveBeenCalledTimes(1);
  });
});

describe('a clock at the bench', () => {
  const startOf = (isIt: (operation: (typeof facts.steps)[number]['operations'][number]) => boolean) => {
    const step = facts.steps.findIndex(({ operations }) => operations.some(isIt));
    return { step, at: facts.steps[step]!.operations.findIndex(isIt) };
  };
  const goTo = async ({ step, at }: { readonly step: number; readonly at: number }) => {
    const shown = onBench(<BenchMode facts={facts} start={step} onClose={left} />, {
      job,
      plan,
      path: '/jobs/demo/build?piece=glaze',
    });
    for (let k = 0; k < at; k++) await shown.user.click(screen.getByRole('button', { name: 'Done, next' }));
    return within(screen.getByRole('dialog'));
  };

  test('where clamps must stay on it counts their minutes', async () => {
    const waits = startOf(({ kind }) => kind === 'wait');
    const bench = await goTo(waits);
    const { wait } = facts.steps[waits.step]!.operations[waits.at] as { readonly wait: number };
    expect(bench.getByRole('button', { name: /^The clamps are on/ }).textContent).toContain(`count ${wait} min`);
  });

  test('where nothing waits there is none', async () => {
    const bench = await goTo(startOf(({ kind }) => kind === 'sample'));
    expect(bench.queryByRole('button', { name: /: count \d+ min$/ })).toBeNull();
  });
});
