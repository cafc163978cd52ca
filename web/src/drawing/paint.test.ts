import { buildPiece, DEFAULT_SHOP, dot, newPiece, solidOf, type Box, type Vec } from '@sill/core';
import { axesOf, boundsOf, project, sideOf, USUAL_VIEW, viewTowards, type View } from './iso';
import { paintOrder, type Patch } from './paint';

const box = (min: Box['min'], max: Box['max']): Box => ({ min, max });
/** Kinds that hide each other both ways: laps, slants, drawers in a case, round and notched parts. */
const TRICKY = ['splayed', 'x-frame', 'heavy', 'pedestal', 'chest', 'octagon', 'shelf-coffee', 'bench'];

test('up is up; the front is nearer the eye than the back and lower on the page; right is right', () => {
  const [x, y] = project([0, 0, 0], USUAL_VIEW);
  expect(project([0, 0, 10], USUAL_VIEW)[1]).toBeLessThan(y);
  expect(project([0, 10, 0], USUAL_VIEW)[1]).toBeLessThan(y);
  expect(project([10, 0, 0], USUAL_VIEW)[0]).toBeGreaterThan(x);
  const { right, up, eye } = axesOf(USUAL_VIEW);
  for (const [a, b] of [
    [right, up],
    [up, eye],
    [right, eye],
  ] as const)
    expect(dot(a, b)).toBeCloseTo(0);
});

test('each face takes the tone of where it looks', () => {
  expect(sideOf([0, 0, 1], USUAL_VIEW)).toBe('top');
  expect(sideOf([0, -1, 0], USUAL_VIEW)).toBe('left');
  expect(sideOf([1, 0, 0], USUAL_VIEW)).toBe('right');
});

/** Depth towards the eye at a place on the page where a patch covers it; null where it does not. */
function depthAt(patch: Patch<string>, view: View, place: readonly [number, number]): number | null {
  const { right, up, eye } = axesOf(view);
  const flat = patch.points.map((point) => [dot(point, right), dot(point, up)] as const);
  const inside = flat.every(([x, y], at) => {
    const [nextX, nextY] = flat[(at + 1) % flat.length]!;
    return (nextX - x) * (place[1] - y) - (nextY - y) * (place[0] - x) >= 0;
  });
  if (!inside) return null;
  const along = dot(patch.normal, eye);
  const origin: Vec = [
    right[0] * place[0] + up[0] * place[1],
    right[1] * place[0] + up[1] * place[1],
    right[2] * place[0] + up[2] * place[1],
  ];
  return (dot(patch.normal, patch.points[0]!) - dot(patch.normal, origin)) / along;
}

test.each(TRICKY)('%s: at every place the face painted last is the nearest', (id) => {
  const { parts } = buildPiece(newPiece('t', id), '2x6', DEFAULT_SHOP, 'in');
  for (const view of [USUAL_VIEW, { turn: -148, down: 40 }]) {
    const painted = paintOrder(
      parts.map((part) => ({ of: part.tag, solid: solidOf(part) })),
      view,
    );
    const bounds = boundsOf(painted.flatMap(({ points }) => points.map((point) => project(point, view))));
    for (let row = 1; row < 13; row++)
      for (let column = 1; column < 13; column++) {
        const place = [
          bounds.x + (bounds.width * column) / 13.13,
          -(bounds.y + (bounds.height * row) / 13.07),
        ] as const;
        const depths = painted.map((patch) => depthAt(patch, view, place)).filter((depth) => depth !== null);
        // Faces that lie against each other may be painted in either order: a fraction of a millimetre.
        if (depths.length > 0) expect(Math.max(...depths) - depths.at(-1)!).toBeLessThan(40);
      }
  }
});

test('the view turns what matters to the front', () => {
  const whole = [box([0, 0, 0], [1000, 500, 300])];
  expect(viewTowards([box([900, 0, 0], [1000, 100, 50])], whole).turn).toBe(32);
  expect(viewTowards([box([0, 0, 0], [100, 100, 50])], whole).turn).toBe(-32);
  expect(viewTowards([box([0, 400, 0], [100, 500, 50])], whole).turn).toBe(-148);
  expect(viewTowards([], whole)).toBe(USUAL_VIEW);
});
