/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { demoJob, inches, type CostPoint } from '@sill/core';
import { onBench } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import { InchChart } from './InchChart';

/** What the glaze table, 64 long, would cost at other lengths: a board runs out past 64; 61 can not be built. */
const COSTS: readonly (readonly [number, number | null])[] = [
  [61, null],
  [62, 60000],
  [63, 62000],
  [64, 64948],
  [65, 69000],
  [66, 69000],
];

function open() {
  const asked: string[] = [];
  let tell: (point: CostPoint) => void = () => {};
  let end = () => {};
  const explorer = {
    ...QUIET.explorer,
    exploreCosts: (_job: unknown, _piece: string, side: string, told: typeof tell) => {
      asked.push(side);
      tell = told;
      return { stop: () => {}, done: new Promise<void>((done) => (end = done)) };
    },
  };
  const shown = onBench(<InchChart piece={demoJob().pieces[0]!} />, { explorer });
  const tellAll = () =>
    act(() => {
      for (const [at, total] of COSTS) tell({ at: inches(at), total, because: total === null ? 'too short' : null });
      end();
      return Promise.resolve();
    });
  return { ...shown, asked, tellAll };
}

test('what an inch costs: the sizes near by that cost less, any other by the arrow keys, taken in a click', async () => {
  const { asked, tellAll, user, jobNow } = open();
  await waitFor(() => expect(asked).toEqual(['length']));
  await tellAll();
  // 64 costs 649.48; 63 is the nearest that costs less, none above does.
  const cheaper = await screen.findByRole('button', { name: /63.*−\$29\.48/ });
  expect(screen.queryByRole('button', { name: /65/ })).toBeNull();
  const slider = screen.getByRole('slider');
  fireEvent.keyDown(slider, { key: 'ArrowRight' });
  expect(screen.getByRole('button', { name: /Make it 65.*\+\$40\.52/ })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /Back to 64/ }));
  await user.click(await screen.findByRole('button', { name: /63.*−\$29\.48/ }));
  expect(cheaper).toBeTruthy();
  expect(jobNow().pieces[0]!.size.length).toBe(inches(63));
});

test('another side is asked for by itself, and nothing of the first is shown for it', async () => {
  const { asked, tellAll, user } = open();
  await waitFor(() => expect(asked).toEqual(['length']));
  await tellAll();
  await screen.findByRole('slider');
  await user.click(screen.getByRole('button', { name: 'width' }));
  expect(screen.queryByRole('slider')).toBeNull();
  await waitFor(() => expect(asked).toEqual(['length', 'width']));
});
