/** @jest-environment jsdom */
import { act, screen, within } from '@testing-library/react';
import {
  applyChanges,
  demoJob,
  inches,
  set,
  standingEntries,
  topCandidates,
  type Job,
  type TopOption,
} from '@sill/core';
import { usePiece } from '../../state/hooks';
import { cleared, failed, halted } from '../../state/planning';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { AddPiece } from './AddPiece';
import { AtTheBench } from './AtTheBench';
import { LeftOnDialog } from './LeftOnDialog';
import { ABOUT_THE_JOB } from './NoteDialog';
import { Notes } from './Notes';
import { SavingRow } from './SavingRow';
import { SizeFields } from './SizeFields';
import { TopOptions } from './TopOptions';
import { useBuilt } from './useBuilt';
import { Waiting } from './Waiting';

afterEach(() => document.body.replaceChildren());

function Probe() {
  const built = useBuilt(usePiece());
  return <output>{`${built?.model.parts.length} ${built?.settled ? 'settled' : 'open'}`}</output>;
}
const said = () => screen.getByRole('status').textContent;

test('a piece is there before its plan, and settled where no plan has to choose its boards', () => {
  const [free] = demoJob().pieces.filter((piece) => topCandidates(piece).length > 1);
  const { store } = onBench(<Probe />, { path: `/jobs/demo/parts?piece=${free!.id}` });
  const planned = said()!;
  expect(planned).toMatch(/^\d{2} settled$/);
  act(() => void store.dispatch(cleared()));
  expect(said()).toMatch(/^\d+ open$/);
});

test('the piece of one choice is built as the plan has it', () => {
  const [free] = demoJob().pieces.filter((piece) => topCandidates(piece).length > 1);
  const nominal = topCandidates(free!)[0]!;
  const job = applyChanges(demoJob(), [set(free!.id, ['topChoices', 'width'], nominal)]);
  const one = job.pieces.find(({ id }) => id === free!.id)!;
  expect(topCandidates(one)).toEqual([nominal]);
  const { store } = onBench(<Probe />, { job, path: `/jobs/demo/parts?piece=${one.id}` });
  const parts = store.getState().planning.plan!.pieces.find(({ piece }) => piece.id === one.id)!.parts.length;
  act(() => void store.dispatch(cleared()));
  expect(said()).toBe(`${parts} settled`);
});

describe('what stands where a plan will be', () => {
  const atParts = (job: Job = demoJob(), wholeJob = false) =>
    onBench(<Waiting wholeJob={wholeJob}>the plan</Waiting>, { job, path: '/jobs/demo/parts?piece=glaze' });

  test('the plan, where there is one; that it is on its way, was stopped or failed, where there is none', async () => {
    const { store, user, jobNow } = atParts();
    expect(screen.getByText('the plan')).toBeTruthy();
    act(() => void store.dispatch(cleared()));
    expect(screen.getByRole('status').textContent).toBe('Working out the plan.');
    act(() => void store.dispatch(halted()));
    expect(screen.getByRole('heading', { name: 'The plan was stopped' })).toBeTruthy();
    act(() => void store.dispatch(failed('The saw has no kerf.')));
    expect(within(screen.getByRole('alert')).getByText('The saw has no kerf.')).toBeTruthy();
    const before = jobNow();
    await user.click(screen.getByRole('button', { name: 'Work it out again' }));
    expect(jobNow()).toBe(before);
    expect(store.getState().planning.failed).toBeNull();
  });

  test('a piece that can not be built says why, and its way out is one click', async () => {
    const job = applyChanges(demoJob(), [set('glaze', ['size', 'width'], inches(4))]);
    const { user, jobNow } = atParts(job);
    const stop = planOnce(job).findings.find(({ piece, level }) => piece === 'glaze' && level === 'stop')!;
    const alert = within(screen.getByRole('alert'));
    expect(alert.getByRole('heading').textContent).toMatch(/can not be built as it stands$/);
    const ways = alert.getAllByRole('button').filter(({ textContent }) => textContent !== 'Back to the shape');
    expect(ways.length).toBeGreaterThanOrEqual(stop.remedies.length);
    await user.click(ways[0]!);
    expect(jobNow()).not.toBe(job);
    expect(jobNow().pieces.find(({ id }) => id === 'glaze')).not.toEqual(job.pieces.find(({ id }) => id === 'glaze'));
  });

  test('a job without a piece asks what is made; the whole job shows what others of it give', () => {
    atParts({ ...demoJob(), pieces: [] });
    expect(screen.getByRole('heading', { name: 'What are you making?' })).toBeTruthy();
    document.body.replaceChildren();
    atParts(applyChanges(demoJob(), [set('glaze', ['size', 'width'], inches(4))]), true);
    expect(screen.getByText('the plan')).toBeTruthy();
  });
});

describe('adding a piece', () => {
  const open = () => {
    const added: string[] = [];
    const shown = onBench(<AddPiece open onClose={() => {}} onAdded={(id) => added.push(id)} />);
    return { ...shown, added, last: () => shown.jobNow().pieces.at(-1)! };
  };

  test('from a kind: at its usual size, under a name and an id that are free', async () => {
    const { user, added, jobNow, last } = open();
    const count = jobNow().pieces.length;
    await user.click(screen.getByRole('button', { name: /^Coffee table Low/ }));
    await user.click(screen.getByRole('button', { name: /^Coffee table Low/ }));
    expect(jobNow().pieces).toHaveLength(count + 2);
    expect(last().name).toBe('Coffee table 2');
    expect(last().size.length).toBe(inches(44));
    expect(new Set(jobNow().pieces.map(({ id }) => id)).size).toBe(count + 2);
    expect(added).toEqual(
      jobNow()
        .pieces.slice(-2)
        .map(({ id }) => id),
    );
  });

  test('from a top that is there: what it can become, at its size, and why not the others', async () => {
    const { user, last } = open();
    await user.click(screen.getByRole('button', { name: 'Start from a top or board I have' }));
    expect(screen.getByRole('heading', { name: 'It can become' })).toBeTruthy();
    const not = screen.getAllByRole('listitem').map(({ textContent }) => textContent!);
    expect(not.find((words) => words.startsWith('Dining table'))).toMatch(/is too narrow; it wants 28/);
    await user.click(screen.getByRole('button', { name: /^Coffee table 47/ }));
    expect(last()).toMatchObject({ top: 'found', size: { length: inches(47.375), width: inches(19.75) } });
    expect(last().topChoices).toEqual({ thick: inches(1) });
  });

  test('measured anew, what it can become follows', async () => {
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'Start from a top or board I have' }));
    expect(screen.queryByRole('button', { name: /^Dining table/ })).toBeNull();
    const field = (name: string) => screen.getByRole('textbox', { name });
    await user.clear(field('long'));
    await user.type(field('long'), '66{Enter}');
    await user.clear(field('wide'));
    await user.type(field('wide'), '32{Enter}');
    expect(screen.getByRole('button', { name: /^Dining table/ })).toBeTruthy();
  });
});

describe('the same top from other boards', () => {
  const row = (nominal: TopOption['nominal'], more: Partial<TopOption>): TopOption => ({
    ...{ nominal, boards: 5, ripTo: inches(5.25), ripped: 5, glueLines: 4, total: 20_000, difference: 0 },
    ...{ leftShare: 0.2, chosen: false, not: null, ...more },
  });
  const shown = (rows: Promise<readonly TopOption[]>) => {
    const job = demoJob();
    const piece = job.pieces.find(({ id }) => id === 'glaze')!;
    const planner = { ...QUIET.planner, topOptions: () => rows };
    return onBench(<TopOptions piece={piece} plan={planOnce(job)} />, { job, planner });
  };

  test('each way with what it costs; one is chosen, one can not be, the third is taken with one click', async () => {
    const { user, jobNow } = shown(
      Promise.resolve([
        row('2x6', { chosen: true }),
        row('2x8', { difference: -420, total: 19_580 }),
        row('2x12', { not: 'longer than any sold' }),
      ]),
    );
    expect(await screen.findByRole('heading', { name: 'The same top, three ways' })).toBeTruthy();
    expect(screen.getByText('chosen')).toBeTruthy();
    expect(screen.getByText('longer than any sold')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Take 5 of 2x8/ }));
    expect(jobNow().pieces.find(({ id }) => id === 'glaze')!.topChoices.width).toBe('8');
  });

  test('where they could not be worked out it says so, and the plan stands', async () => {
    shown(Promise.reject(new Error('gone')));
    expect(await screen.findByText(/could not be worked out; the plan itself stands/)).toBeTruthy();
  });
});

describe('small things that many stages share', () => {
  test('sizes are typed as people write them; what is no length is said and changes nothing', async () => {
    const piece = demoJob().pieces.find(({ id }) => id === 'glaze')!;
    const { user, jobNow } = onBench(<SizeFields piece={piece} />);
    const field = screen.getByRole('textbox', { name: 'high' });
    await user.clear(field);
    await user.type(field, '36 - 1 1/2{Enter}');
    expect(jobNow().pieces.find(({ id }) => id === 'glaze')!.size.height).toBe(inches(34.5));
    await user.clear(field);
    await user.type(field, 'tall{Enter}');
    expect(screen.getByRole('alert')).toBeTruthy();
    expect(jobNow().pieces.find(({ id }) => id === 'glaze')!.size.height).toBe(inches(34.5));
  });

  test('a saving says what speaks against it, and is taken with one click', async () => {
    const taken: string[] = [];
    const saving = {
      ...{ id: 'none', label: ['Buy no spares'], but: ['a second trip'], saves: 1250 },
      changes: [set(null, ['spares'], 'none')],
    };
    const { user, jobNow } = onBench(<SavingRow saving={saving as never} onTake={() => taken.push('none')} />);
    expect(screen.getByText(/but: a second trip/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /12\.50/ }));
    expect([jobNow().spares, taken]).toEqual(['none', ['none']]);
  });

  test('a note on a part stands there from then on; one for next time says so', async () => {
    const about = { ...ABOUT_THE_JOB, piece: 'glaze', part: 'glaze.T1' };
    const { user, jobNow } = onBench(<Notes about={about} />);
    await user.click(screen.getByRole('button', { name: 'Note or photo' }));
    expect((screen.getByRole('button', { name: 'Write it down' }) as HTMLButtonElement).disabled).toBe(true);
    await user.type(screen.getByLabelText('Words'), ' knot near the left end ');
    await user.click(screen.getByRole('checkbox', { name: /For next time/ }));
    await user.click(screen.getByRole('button', { name: 'Write it down' }));
    const last = standingEntries(jobNow().ledger).at(-1);
    expect(last).toMatchObject({ what: 'note', part: 'glaze.T1', text: 'knot near the left end', next: true });
    expect(screen.getByText(/knot near the left end/).textContent).toBe('Next time: knot near the left end');
  });

  test('a clock that was left on asks how long it took: written as said, or left out', async () => {
    const closed: string[] = [];
    const of = {
      piece: 'glaze',
      of: 'glaze.step',
      kind: 'drive',
      work: 'drive',
      minutes: 700,
      planned: 12.4,
      at: null,
    };
    const { user, jobNow } = onBench(<LeftOnDialog of={of as never} onClose={() => closed.push('closed')} />);
    const before = jobNow().ledger.length;
    expect((screen.getByLabelText('Minutes worked') as HTMLInputElement).value).toBe('12');
    await user.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect([closed, jobNow().ledger.length]).toEqual([['closed'], before]);
  });

  test('at the bench: the clock, what went wrong and a note, each with one tap', async () => {
    const plan = planOnce(demoJob());
    const parts = plan.pieces[0]!.parts.slice(0, 2).map(({ id }) => id);
    const about = { piece: 'glaze', family: 'aprons', of: 'glaze.step', work: null, tool: null };
    const { user } = onBench(<AtTheBench plan={plan} planned={30} about={about} parts={parts} />);
    expect(screen.getByText(/Clock stands/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Went wrong' }));
    expect(within(screen.getByRole('dialog')).getAllByRole('button').length).toBeGreaterThanOrEqual(parts.length + 1);
    await user.click(screen.getByRole('button', { name: 'Nothing happened' }));
    await user.click(screen.getByRole('button', { name: 'Note' }));
    expect(await screen.findByRole('dialog', { name: 'A note on this' })).toBeTruthy();
  });
});
