import { boxOf, buildPiece, DEFAULT_SHOP, newPiece, type Box } from '@sill/core';
import { backToFront, facesOf, project, USUAL_VIEW, viewTowards } from './iso';

const box = (min: Box['min'], max: Box['max']): Box => ({ min, max });

test('up is up, and nearer is lower on the page', () => {
  const [, low] = project([0, 0, 0], USUAL_VIEW);
  expect(project([0, 0, 10], USUAL_VIEW)[1]).toBeLessThan(low);
  expect(project([10, 10, 0], USUAL_VIEW)[1]).toBeGreaterThan(low);
});

test('what lies on top, in front or beside is painted later', () => {
  const under = { name: 'under', box: box([0, 0, 0], [10, 10, 5]) };
  const over = { name: 'over', box: box([0, 0, 5], [10, 10, 8]) };
  const front = { name: 'front', box: box([2, 10, 0], [8, 14, 20]) };
  const order = backToFront([front, over, under], USUAL_VIEW).map(({ name }) => name);
  expect(order.indexOf('under')).toBeLessThan(order.indexOf('over'));
  expect(order.indexOf('over')).toBeLessThan(order.indexOf('front'));
  const mirrored = backToFront([front, over, under], { ...USUAL_VIEW, flipY: true }).map(({ name }) => name);
  expect(mirrored[0]).toBe('front');
});

test('a whole table is in an order that no nearer part breaks', () => {
  const { parts } = buildPiece(newPiece('t', 'dining'), '2x6', DEFAULT_SHOP, 'in');
  const order = backToFront(
    parts.map((part) => ({ part, box: boxOf(part) })),
    USUAL_VIEW,
  );
  expect(order).toHaveLength(parts.length);
  order.forEach((early, at) =>
    order.slice(at + 1).forEach((late) => {
      const hides = ([0, 1, 2] as const).every((axis) => early.box.max[axis] > late.box.min[axis]);
      const hidden = ([0, 1, 2] as const).every((axis) => late.box.max[axis] > early.box.min[axis]);
      expect(hides && !hidden).toBe(false);
    }),
  );
});

test('three faces of four corners; the view turns what matters to the front', () => {
  const one = box([0, 0, 0], [2, 3, 4]);
  expect(facesOf(one, USUAL_VIEW).map(({ points }) => points.length)).toEqual([4, 4, 4]);
  const whole = [box([0, 0, 0], [100, 50, 30])];
  expect(viewTowards([one], whole)).toMatchObject({ flipX: true, flipY: true });
  expect(viewTowards([box([90, 40, 0], [100, 50, 30])], whole)).toMatchObject({ flipX: false, flipY: false });
});
