import {
  buildPiece,
  DEFAULT_SHOP,
  fastenings,
  newJob,
  pieceFrom,
  prism,
  rectangle,
  solidOf,
  STARTS,
  stepsOf,
  topCandidates,
  type Solid,
  type Vec,
} from '@sill/core';
import { axesOf, clearestView, USUAL_VIEW } from './iso';

const box = (from: Vec, size: Vec): Solid => [
  prism(
    rectangle(size[0], size[1]).map(([x, y]) => [x + from[0], y + from[1]] as const),
    from[2],
    from[2] + size[2],
  ),
];

const plate = box([0, 0, 0], [100_000, 60_000, 2_000]);

test('what is driven from below is looked at from below', () => {
  const heads: Vec[] = [[30_000, 30_000, -1]];
  expect(clearestView(heads, [plate], [plate], USUAL_VIEW).down).toBeLessThan(0);
  expect(clearestView([[30_000, 30_000, 2_001]], [plate], [plate], USUAL_VIEW)).toEqual(USUAL_VIEW);
});

test('what goes into a box that is open at one side is looked at through that side', () => {
  const wall = (from: Vec, size: Vec) => box(from, size);
  // A case open at the front, which is towards less y, or at the back.
  const sides = [
    wall([0, 0, 0], [2_000, 40_000, 80_000]),
    wall([78_000, 0, 0], [2_000, 40_000, 80_000]),
    wall([0, 0, 80_000], [80_000, 40_000, 2_000]),
    wall([0, 0, -2_000], [80_000, 40_000, 2_000]),
  ];
  const shelf = wall([2_000, 4_000, 40_000], [76_000, 32_000, 2_000]);
  const closed = (y: number) => [...sides, wall([0, y, 0], [80_000, 2_000, 80_000]), shelf];
  const eyeOf = (y: number, usual: typeof USUAL_VIEW) => axesOf(clearestView([], [shelf], closed(y), usual)).eye;
  // Closed behind: seen from the front, even where the usual view is from behind; and the other way round.
  expect(eyeOf(38_000, { ...USUAL_VIEW, turn: 148 })[1]).toBeLessThan(0);
  expect(eyeOf(0, USUAL_VIEW)[1]).toBeGreaterThan(0);
});

test('with nothing to look at the view stays as it is', () => {
  expect(clearestView([], [], [plate], USUAL_VIEW)).toBe(USUAL_VIEW);
});

test('the shelves of a cupboard are seen when they go in, and its doors when they are hung', () => {
  const piece = pieceFrom(
    STARTS.find(({ id }) => id === 'cupboard')!,
    'p',
  );
  const model = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
  const steps = stepsOf(piece, model, fastenings(model.joints, model.parts, 'in', piece), newJob('j'));
  for (const step of steps.filter(({ adds, makes }) => makes.length > 0 && adds.some((id) => /p\.(H|D)/.test(id)))) {
    const [fresh, there] = [step.adds, step.there].map((ids) =>
      model.parts.filter(({ id }) => ids.includes(id)).map(solidOf),
    );
    const view = clearestView([], fresh!, [...fresh!, ...there!], { ...USUAL_VIEW, turn: 148 });
    expect(axesOf(view).eye[1]).toBeLessThan(0);
  }
  expect.assertions(2);
});
