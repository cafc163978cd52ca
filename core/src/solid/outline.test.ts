import fc from 'fast-check';
import { runs } from '../testing/runs';
import { arcOf, areaOf, circle, clipped, flatten, rectangle, spanOf, type Flat } from './outline';

describe('arcs, by hand', () => {
  test('a half circle from (0, 0) to (10, 0) has its middle between them and a radius of 5', () => {
    expect(arcOf([0, 0], [10, 0], 1)).toEqual({ centre: [5, 0], radius: 5 });
  });

  test('a quarter, bulge tan 22.5, from (10, 0) to (0, 10) turns about the origin', () => {
    const { centre, radius } = arcOf([10, 0], [0, 10], Math.tan(Math.PI / 8));
    expect(centre[0]).toBeCloseTo(0, 9);
    expect(centre[1]).toBeCloseTo(0, 9);
    expect(radius).toBeCloseTo(10, 9);
  });

  test('the other way round it lies on the other side of its chord', () => {
    const { centre } = arcOf([10, 0], [0, 10], -Math.tan(Math.PI / 8));
    expect(centre.map((value) => Math.round(value * 1e6) / 1e6)).toEqual([10, 10]);
  });

  test('a circle in chords: all on it, its outermost points among them, one surface all round', () => {
    const { points, edges } = flatten(circle(100, 50, 1000));
    for (const [x, y] of points) expect(Math.hypot(x - 100, y - 50)).toBeCloseTo(1000, 6);
    expect(spanOf(points)).toEqual({ x: [-900, 1100], y: [expect.closeTo(-950, 6), expect.closeTo(1050, 6)] });
    expect(new Set(edges)).toEqual(new Set([0]));
    // 36 chords of ten degrees: the area of that polygon, a half per cent under the circle's.
    expect(areaOf(points)).toBeCloseTo((36 / 2) * 1000 ** 2 * Math.sin(Math.PI / 18), 3);
  });

  test('straight edges stay as they are, each a surface of its own', () => {
    expect(flatten(rectangle(30, 20))).toEqual({
      points: [
        [0, 0],
        [30, 0],
        [30, 20],
        [0, 20],
      ],
      edges: [0, 1, 2, 3],
    });
  });
});

describe('areas', () => {
  test('a triangle of 6 by 8 is 24, clockwise it is less than nothing', () => {
    const triangle: Flat[] = [
      [0, 0],
      [6, 0],
      [0, 8],
    ];
    expect(areaOf(triangle)).toBe(24);
    expect(areaOf([...triangle].reverse())).toBe(-24);
  });

  test('a square of 10 cut at a slant from corner to corner is half of it', () => {
    const square = flatten(rectangle(10, 10)).points;
    expect(areaOf(clipped(square, [1, 1], 10))).toBeCloseTo(50, 9);
    expect(clipped(square, [1, 0], -1)).toEqual([]);
    expect(areaOf(clipped(square, [1, 0], 20))).toBe(100);
  });

  test('both sides of any line through any rectangle are all of it, and each is on its own side', () => {
    const size = fc.integer({ min: 1, max: 500 });
    fc.assert(
      fc.property(
        size,
        size,
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -300, max: 600 }),
        (a, b, way, reach) => {
          const turn = (way * Math.PI) / 180;
          const normal: Flat = [Math.cos(turn), Math.sin(turn)];
          const { points } = flatten(rectangle(a, b));
          const [inner, outer] = [clipped(points, normal, reach), clipped(points, [-normal[0], -normal[1]], -reach)];
          expect(areaOf(inner) + areaOf(outer)).toBeCloseTo(a * b, 4);
          for (const [x, y] of inner) expect(normal[0] * x + normal[1] * y).toBeLessThanOrEqual(reach + 1e-6);
        },
      ),
      runs(200, 41),
    );
  });
});
