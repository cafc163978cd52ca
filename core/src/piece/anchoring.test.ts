import { first } from '../lists';
import { inches } from '../length';
import { DEFAULT_SHOP } from '../job';
import { anchored, buildPiece, newPiece, tipsOpen, topCandidates, weightOf, type Choices, type Part } from './index';

const made = (start: string, choices: Choices = {}) => {
  const base = newPiece('p', start);
  const piece = { ...base, choices: { ...base.choices, ...choices } };
  return { piece, model: buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in') };
};

/** A box of a given weight from front to back, its foot on the floor or not. */
const block = (id: string, [y0, y1]: readonly [number, number], z: number, pounds: number): Part => ({
  ...made('desk').model.parts[0]!,
  id,
  tag: id,
  role: 'side',
  material: 'bought',
  bought: { kind: 'top', size: '', pounds },
  cuts: [],
  outline: null,
  length: inches(10),
  width: inches(y1 - y0),
  thickness: inches(1),
  frame: { at: [0, inches(y0), inches(z)], u: [1, 0, 0], v: [0, 1, 0] },
});

test('by hand: 60 lb of body 9 behind its feet against a drawer of 20 lb that comes 15 out', () => {
  const body = block('A', [2, 20], 0, 60);
  const drawer = block('W', [0, 16], 12, 20);
  const slide = {
    id: 'd',
    name: 'drawer 1',
    parts: ['W'],
    how: { kind: 'slide', along: [0, -1, 0], travel: inches(15) },
  };
  // Feet at 2: the body is 9 behind them, the open drawer's middle 9 before, its front 17 before.
  expect(tipsOpen([body, drawer], [slide as never])!.pounds).toBeCloseTo((60 * 9 - 20 * 9) / 17, 6);
  // Twice the body holds a child of 60 lb.
  expect(tipsOpen([block('A', [2, 20], 0, 180), drawer], [slide as never])).toBeNull();
});

test('a front that drops reaches as far as it is high; doors swing beside the feet and tip nothing', () => {
  const { model } = made('cupboard', { front: 'drop front' });
  const tips = tipsOpen(model.parts, model.motions)!;
  expect([tips.what, tips.part.tag]).toEqual(['drop front', 'D1A']);
  expect(tips.pounds).toBeLessThan(model.parts.reduce((sum, part) => sum + weightOf(part), 0));
  const doors = made('cupboard');
  expect(tipsOpen(doors.model.parts, doors.model.motions)).toBeNull();
  expect(anchored(doors.piece, doors.model)).toBe('tall');
});

test('a table with no drawer is not fixed to a wall', () => {
  const { piece, model } = made('standing');
  expect(anchored(piece, model)).toBeNull();
});
