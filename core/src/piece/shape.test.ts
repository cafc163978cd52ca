import fc from 'fast-check';
import { inches, toInches } from '../length';
import { limitsOf, volumeOf, type Vec } from '../solid';
import { runs } from '../testing/runs';
import {
  alongOf,
  angled,
  boxOf,
  cornersOf,
  edgeLength,
  endRun,
  localSolid,
  openedBy,
  shapeOf,
  shortLength,
  solidOf,
  type End,
  type Part,
} from './index';
import { board, boxAt } from './kit';

const degrees = Math.PI / 180;
const brick = board(
  'p',
  { tag: 'A', role: 'apron', name: 'apron', material: '2x4' },
  boxAt([0, 0, 0], [inches(30), inches(3.5), inches(1.5)]),
  0,
  1,
);
const part = (change: Partial<Part>): Part => ({ ...brick, ...change });
const cut = (left: Partial<End>, right: Partial<End>) =>
  part({ ends: { left: { mitre: 0, bevel: 0, ...left }, right: { mitre: 0, bevel: 0, ...right } } });

describe('a board of 30 by 3 1/2 by 1 1/2', () => {
  test('square: its box, its volume, its lengths are those of a brick', () => {
    const square = part({});
    expect(boxOf(square)).toEqual({ min: [0, 0, 0], max: [inches(30), inches(3.5), inches(1.5)] });
    expect(volumeOf(solidOf(square)) / inches(1) ** 3).toBeCloseTo(30 * 3.5 * 1.5, 6);
    expect([shortLength(square), edgeLength(square), angled(square)]).toEqual([inches(30), inches(30), false]);
  });

  test('mitred 45 both ways, a trapezium: short by twice its width, no edge as long as the other', () => {
    const mitred = cut({ mitre: 45 }, { mitre: -45 });
    expect(toInches(shortLength(mitred))).toBeCloseTo(30 - 7, 2);
    expect(edgeLength(mitred)).toBeNull();
    expect(angled(mitred)).toBe(true);
    // What is left is the mean of the two edges.
    expect(volumeOf(solidOf(mitred)) / inches(1) ** 3).toBeCloseTo(26.5 * 3.5 * 1.5, 2);
  });

  test('both ends alike, a parallelogram: its edges are as long as each other', () => {
    const slanted = cut({ mitre: 30 }, { mitre: 30 });
    expect(toInches(edgeLength(slanted)!)).toBeCloseTo(30 - 3.5 * Math.tan(30 * degrees), 2);
    // Cut off at one end what is cut off at the other: no shorter from short point to short point than twice that.
    expect(toInches(shortLength(slanted))).toBeCloseTo(30 - 7 * Math.tan(30 * degrees), 2);
  });

  test('a bevel runs through the thickness alone', () => {
    const bevelled = cut({ bevel: 10 }, {});
    expect(toInches(shortLength(bevelled))).toBeCloseTo(30 - 1.5 * Math.tan(10 * degrees), 2);
    expect(edgeLength(bevelled)).toBeNull();
  });

  test('stood up in its piece its length runs up, and its box is what it takes there', () => {
    const leg = part({ frame: { at: [inches(5), 0, 0], u: [0, 0, 1], v: [1, 0, 0] } });
    expect(alongOf(leg)).toBe(2);
    expect(boxOf(leg).max[2]).toBe(inches(30));
    expect(boxOf(leg).min[0]).toBe(inches(5));
  });

  test('a hole of an inch takes its cylinder, within what arcs leave', () => {
    const r = inches(0.5);
    const round = [
      [inches(15) - r, inches(1.75), 1],
      [inches(15) + r, inches(1.75), 1],
    ] as const;
    const bored = part({ cuts: [{ kind: 'hole', axis: 2, outline: round, from: -1, to: inches(1.5) + 1, for: null }] });
    const taken = (volumeOf(solidOf(part({}))) - volumeOf(solidOf(bored))) / inches(1) ** 3;
    expect(taken / (Math.PI * 0.25 * 1.5)).toBeGreaterThan(0.97);
    expect(taken / (Math.PI * 0.25 * 1.5)).toBeLessThan(1.001);
    // Bored or not, it takes the same room.
    expect(boxOf(bored)).toEqual(boxOf(part({})));
  });

  test('parts of one shape are one shape wherever they stand, and another with another end', () => {
    const [here, there] = [
      part({}),
      part({ id: 'p.B', tag: 'B', frame: { at: [9, 9, 9], u: [0, 1, 0], v: [0, 0, 1] } }),
    ];
    expect(shapeOf(here)).toBe(shapeOf(there));
    expect(localSolid(here)).toBe(localSolid(there));
    expect(shapeOf(cut({ mitre: 5 }, {}))).not.toBe(shapeOf(here));
  });

  test('set by hand to another length it is drawn as it was worked out', () => {
    const set = part({ length: inches(40), changed: { length: inches(30) } });
    expect(boxOf(set)).toEqual(boxOf(part({})));
  });
});

test('how far an end reaches, by its own plane: over the section, least and most', () => {
  const angles = fc.integer({ min: -60, max: 60 });
  fc.assert(
    fc.property(angles, angles, (mitre, bevel) => {
      const [w, t] = [inches(3.5), inches(1.5)];
      const at = [
        [0, 0],
        [w, 0],
        [0, t],
        [w, t],
      ].map(([y, z]) => y! * Math.tan(mitre * degrees) + z! * Math.tan(bevel * degrees));
      const [least, most] = endRun({ mitre, bevel }, w, t);
      expect(least).toBeCloseTo(Math.min(...at), 3);
      expect(most).toBeCloseTo(Math.max(...at), 3);
    }),
    runs(50),
  );
});

test('however its ends are cut, a part is as long as is said from long point to long point', () => {
  const angles = fc.integer({ min: -40, max: 40 });
  fc.assert(
    fc.property(angles, angles, angles, angles, (a, b, c, d) => {
      const [min, max] = limitsOf(solidOf(cut({ mitre: a, bevel: b }, { mitre: c, bevel: d })));
      expect([Math.round(min[0]) + 0, Math.round(max[0])]).toEqual([0, inches(30)]);
    }),
    runs(50),
  );
});

describe('what opens', () => {
  const body = solidOf(part({}));
  const limits = (solid: typeof body): readonly Vec[] =>
    limitsOf(solid).map((at) => at.map((one) => Math.round(one) + 0) as unknown as Vec);

  test('a slide goes its travel along, half of it half way', () => {
    const motion = {
      id: 'm',
      name: 'drawer',
      parts: [],
      how: { kind: 'slide', along: [0, -1, 0], travel: inches(12) },
    } as const;
    expect(limits(openedBy(body, motion, 0))).toEqual(limits(body));
    expect(limits(openedBy(body, motion, 0.5))[0]).toEqual([0, -inches(6), 0]);
    expect(limits(openedBy(body, motion, 1))[0]).toEqual([0, -inches(12), 0]);
  });

  test('a door turns about its hinge: at a right angle its length stands where its width lay', () => {
    const motion = {
      id: 'm',
      name: 'door',
      parts: [],
      how: { kind: 'turn', about: [0, 0, 0], axis: [0, 0, 1], degrees: 90 },
    } as const;
    const [min, max] = limits(openedBy(body, motion, 1));
    expect([max![0] - min![0], max![1] - min![1]]).toEqual([inches(3.5), inches(30)]);
    expect(volumeOf(openedBy(body, motion, 0.3))).toBeCloseTo(volumeOf(body), -3);
    // Its hinge stays where it is.
    const far = Math.max(...cornersOf(openedBy(body, motion, 0.3)).map(([x, y]) => Math.hypot(x, y)));
    expect(far).toBeCloseTo(Math.hypot(inches(30), inches(3.5)), 3);
  });
});
