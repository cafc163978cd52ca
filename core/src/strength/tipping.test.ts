import { inches } from '../length';
import { weightOf, type Part } from '../piece';
import { board, boxAt } from '../piece/kit';
import { tipsAt } from './index';

const part = (
  tag: string,
  role: Part['role'],
  at: readonly [number, number, number],
  size: readonly [number, number, number],
) =>
  board(
    'p',
    { tag, role, name: tag, material: '2x4' },
    boxAt(
      at.map((one) => inches(one)) as unknown as [number, number, number],
      size.map((one) => inches(one)) as unknown as [number, number, number],
    ),
    0,
    1,
  );
/** A top 60 by 30, 28 up, on four posts that stand `ends` in from its ends and `sides` from its sides. */
const table = (ends: number, sides: number): readonly Part[] => [
  part('T', 'top', [0, 0, 28], [60, 30, 1.5]),
  ...[ends, 60 - ends - 3].flatMap((x) =>
    [sides, 30 - sides - 3].map((y) => part(`L${x}.${y}`, 'leg', [x, y, 0], [3, 3, 28])),
  ),
];
const weight = (parts: readonly Part[]) => parts.reduce((sum, one) => sum + weightOf(one), 0);

test('by hand: what it weighs, its middle to the feet, over what hangs out', () => {
  const parts = table(6, 0);
  // The middle is 30 from the end, the feet 6: 24 in of lever against 6.
  expect(tipsAt(parts).edge).toBe('end');
  expect(tipsAt(parts).pounds).toBeCloseTo((weight(parts) * 24) / 6, 6);
});

test('the less favourable edge is told', () => {
  const parts = table(6, 5);
  // Over the side 15 - 5 = 10 against 5, twice its weight; over the end four times.
  expect(tipsAt(parts)).toEqual({ edge: 'side', pounds: expect.closeTo(weight(parts) * 2, 6) });
});

test('where the feet stand as far out as the top nothing tips it', () => {
  expect(tipsAt(table(0, 0)).pounds).toBe(Infinity);
});

test('a heavier piece of the same shape takes as much more; what is loose on the list weighs but holds nothing up', () => {
  const parts = table(6, 0);
  const loose = { ...part('X', 'loose', [-20, -20, 0], [100, 100, 1]), loose: true };
  expect(tipsAt([...parts, loose]).pounds).toBeGreaterThan(tipsAt(parts).pounds);
  expect(tipsAt([...parts, loose]).edge).toBe('end');
});
