/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import { boxOf, demoJob, leanOn, sure, type Lean, type Leaned } from '@sill/core';
import { onBench, planOnce } from '../testing/bench';
import { firstLean, middleOn, timesDrawn, useLeaning, type LeanOn } from './leaning';
import { LeanSwitch, LeanTools } from './LeanTools';

const table = () => sure(planOnce(demoJob()).pieces[0], 'piece');

/** The tools of a lean as they stand under the picture, before what `ask` answers. */
function Tools({ ask }: { readonly ask: LeanOn }) {
  const { parts } = table();
  const { leaning, result, times, setLeaning } = useLeaning(parts, ask);
  return (
    <>
      <LeanSwitch on={leaning !== null} onChange={(on) => setLeaning(on ? firstLean(parts) : null)} />
      {leaning && (
        <LeanTools
          leaning={leaning}
          result={result}
          times={times}
          set={(change) => setLeaning({ ...leaning, ...change })}
        />
      )}
    </>
  );
}

const really: LeanOn = (lean) => Promise.resolve(leanOn(table().parts, table().fastenings, lean));

test('a load on the top: what gives, whether it stands, which joint is asked most; the last way out is to take it off', async () => {
  const asked: Lean[] = [];
  const { user } = onBench(
    <Tools
      ask={(lean) => {
        asked.push(lean);
        return really(lean);
      }}
    />,
  );
  await user.click(screen.getByRole('button', { name: 'lean on it' }));
  const word = await screen.findByText(/The place gives/);
  expect(word.textContent).toMatch(/drawn \d+ times as far/);
  expect(word.textContent).toContain('All feet stay down.');
  expect(word.textContent).toMatch(/the joint of A\d and L\d: \d+ % of what it may bear/);
  expect(word.textContent).toContain('An estimate for home use, not a rating.');
  expect(asked.at(-1)!.force).toEqual([0, 0, -250]);
  // From the side a person pushes less, unless the pounds were said.
  await user.click(screen.getByRole('button', { name: 'across it' }));
  expect(asked.at(-1)!.force).toEqual([0, 40, 0]);
  const pounds = screen.getByLabelText('How hard');
  await user.clear(pounds);
  await user.type(pounds, '300{Enter}');
  await user.click(screen.getByRole('button', { name: 'along it' }));
  expect(asked.at(-1)!.force).toEqual([300, 0, 0]);
  expect((await screen.findByText(/The place gives/)).textContent).toMatch(/lifts off|tips over/);
  await user.clear(pounds);
  await user.type(pounds, '100000{Enter}');
  expect(screen.getByText(/from 1 to 1000/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'lean on it' }));
  expect(screen.queryByRole('status')).toBeNull();
});

test('the answer to an older load that comes late is not shown; what can not be worked out says so', async () => {
  const settle: ((of: Leaned | null) => void)[] = [];
  const { user } = onBench(<Tools ask={() => new Promise((done) => void settle.push(done))} />);
  await user.click(screen.getByRole('button', { name: 'lean on it' }));
  expect(screen.getByText('Working it out…')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'across it' }));
  const firm: Leaned = { moves: 0.5, stands: 'firm', weakest: null, edges: [] };
  await act(() => Promise.resolve(settle[0]!(firm)));
  expect(screen.getByText('Working it out…')).toBeTruthy();
  await act(() => Promise.resolve(settle[1]!(null)));
  expect(screen.getByText(/hangs on something else/)).toBeTruthy();
});

test('a worker that fails, and what nothing holds', async () => {
  const { user, rerender } = onBench(<Tools ask={() => Promise.reject(new Error('gone'))} />);
  await user.click(screen.getByRole('button', { name: 'lean on it' }));
  expect(await screen.findByText('It could not be worked out.')).toBeTruthy();
  rerender(<p />);
  const away: Leaned = { moves: Infinity, stands: 'tips', weakest: null, edges: [] };
  const second = onBench(<Tools ask={() => Promise.resolve(away)} />);
  await second.user.click(second.getByRole('button', { name: 'lean on it' }));
  expect(await screen.findByText('Nothing holds it there: it comes away.')).toBeTruthy();
});

test('a bend is drawn a tenth of the piece far at most, in round numbers; one that is far already as it is', () => {
  const { parts } = table();
  const lean = firstLean(parts)!;
  expect(boxOf(parts.find(({ id }) => id === lean.part)!).max[2]).toBe(
    Math.max(...parts.map((one) => boxOf(one).max[2])),
  );
  expect(middleOn(parts[0]!).at[2]).toBe(boxOf(parts[0]!).max[2]);
  const edges = (far: number): Leaned['edges'] => [
    {
      points: [
        [0, 0, 0],
        [8128 * 60, 0, 0],
      ],
      by: [
        [0, 0, 0],
        [0, 0, -far],
      ],
    },
  ];
  // 60 in long: 6 in at most.
  expect(timesDrawn(edges(0.05))).toBe(100);
  expect(timesDrawn(edges(1))).toBe(5);
  expect(timesDrawn(edges(20))).toBe(1);
  expect(timesDrawn([])).toBe(1);
});
