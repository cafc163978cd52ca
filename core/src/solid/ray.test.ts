import fc from 'fast-check';
import { runs } from '../testing/runs';
import { rectangle } from './outline';
import { raysIn } from './ray';
import { blocks, hull, squareTo } from './sweep';
import { planeAt, prism, cutSolid, subtract, type Cell, type Solid } from './solid';
import {
  add,
  cross,
  degrees,
  dot,
  into,
  norm,
  outOf,
  radians,
  sub,
  through,
  times,
  turned,
  unit,
  type Vec,
} from './vector';

const box = (x: number, y: number, z: number, a: number, b: number, c: number): Cell =>
  prism(
    rectangle(a, b).map(([p, q]) => [p + x, q + y] as const),
    z,
    z + c,
  );
const RIGHT: Vec = [1, 0, 0];

describe('rays, by hand', () => {
  const block: Solid = [box(0, 0, 0, 100, 50, 20)];

  test('through a block: in at its near side, out at its far one; beside it nowhere', () => {
    expect(raysIn(block, [-10, 25, 10], RIGHT)).toEqual([[10, 110]]);
    expect(raysIn(block, [-10, 60, 10], RIGHT)).toEqual([]);
    // From within it began before.
    expect(raysIn(block, [40, 25, 10], RIGHT)).toEqual([[-40, 60]]);
  });

  test('a slot across it parts the ray in two', () => {
    const slotted = subtract(block, box(40, -1, -1, 20, 60, 30), 10);
    expect(raysIn(slotted, [-10, 25, 10], RIGHT)).toEqual([
      [10, 50],
      [70, 110],
    ]);
    // Along the slot there is nothing.
    expect(raysIn(slotted, [50, 0, 10], [0, 1, 0])).toEqual([]);
  });

  test('cells that lie against each other are one body', () => {
    const two: Solid = [box(0, 0, 0, 50, 50, 20), box(50, 0, 0, 50, 50, 20)];
    expect(raysIn(two, [-10, 25, 10], RIGHT)).toEqual([[10, 110]]);
  });

  test('a corner that is cut off at 45 is reached so much later', () => {
    const cut = cutSolid(block, planeAt([10, 0, 0], unit([-1, 1, 0])), 9);
    // The plane runs through (10, 0) and (60, 50): at y = 25 the body ends at x = 35.
    const [[from] = [0]] = raysIn(cut, [0, 25, 10], RIGHT);
    expect(from).toBeCloseTo(35, 9);
  });
});

test('a ray is in a body where its points are', () => {
  const near = fc.integer({ min: -60, max: 160 });
  fc.assert(
    fc.property(near, near, near, fc.tuple(near, near, near), (x, y, z, [a, b, c]) => {
      if (norm([a - x, b - y, c - z]) < 1) return;
      const body = subtract([box(0, 0, 0, 100, 90, 80)], box(30, 20, 10, 40, 100, 50), 10);
      const [from, way]: [Vec, Vec] = [[x, y, z], unit([a - x, b - y, c - z])];
      const stretches = raysIn(body, from, way);
      const isIn = ([p, q, r]: Vec, off: number) =>
        p > -off &&
        p < 100 + off &&
        q > -off &&
        q < 90 + off &&
        r > -off &&
        r < 80 + off &&
        !(p > 30 + off && p < 70 - off && q > 20 + off && r > 10 + off && r < 60 - off);
      for (let far = -200; far <= 300; far += 7.3) {
        const point = add(from, times(way, far));
        const told = stretches.some(([low, high]) => far > low && far < high);
        // On a surface itself it may be told either way.
        if (isIn(point, 1) === isIn(point, -1)) expect([far, told]).toEqual([far, isIn(point, 0)]);
      }
    }),
    runs(60, 43),
  );
});

describe('what stands in the way of what moves', () => {
  test('by hand: what is ahead does, what is behind, beside or over it does not', () => {
    const moving = [box(0, 0, 0, 100, 100, 100)];
    expect(blocks(moving, [box(300, 0, 0, 50, 100, 100)], RIGHT)).toBe(true);
    expect(blocks(moving, [box(-300, 0, 0, 50, 100, 100)], RIGHT)).toBe(false);
    expect(blocks(moving, [box(300, 100, 0, 50, 100, 100)], RIGHT)).toBe(false);
    expect(blocks(moving, [box(300, 0, 100, 50, 100, 100)], RIGHT)).toBe(false);
    // What only slides along it is not in its way; what reaches over its path by more is.
    expect(blocks(moving, [box(300, 95, 0, 50, 100, 100)], RIGHT)).toBe(false);
    expect(blocks(moving, [box(300, 80, 0, 50, 100, 100)], RIGHT)).toBe(true);
  });

  test('two blocks, any way: as small steps on the way find it', () => {
    const at = fc.integer({ min: -40, max: 40 });
    fc.assert(
      fc.property(at, at, at, fc.integer({ min: 0, max: 11 }), fc.integer({ min: 0, max: 3 }), (x, y, z, turn, up) => {
        const [a, b] = [30 * turn, 30 * up];
        const way = unit([
          Math.cos(radians(a)) * Math.cos(radians(b)),
          Math.sin(radians(a)) * Math.cos(radians(b)),
          Math.sin(radians(b)),
        ]);
        // So large that what slides past is a small part of it: 400 a side, the other somewhere about.
        const other: Vec = [x * 50, y * 50, z * 50];
        if (other.every((value) => Math.abs(value) < 400)) return;
        const deepest = (slack: number) => {
          for (let far = 0; far <= 6000; far += 20)
            if (([0, 1, 2] as const).every((axis) => Math.abs(other[axis] - way[axis] * far) < 400 - slack))
              return true;
          return false;
        };
        const found = blocks([box(0, 0, 0, 400, 400, 400)], [box(...other, 400, 400, 400)], way);
        if (deepest(40) === deepest(0)) expect(found).toBe(deepest(20));
      }),
      runs(300, 44),
    );
  });

  test('the hull of points is convex and holds them all', () => {
    const flat = fc.tuple(fc.integer({ min: -99, max: 99 }), fc.integer({ min: -99, max: 99 }));
    fc.assert(
      fc.property(fc.array(flat, { minLength: 3, maxLength: 25 }), (points) => {
        const around = hull(points);
        if (around.length < 3) return;
        around.forEach(([px, py], at) => {
          const [qx, qy] = around[(at + 1) % around.length]!;
          for (const [x, y] of points) expect((qx - px) * (y - py) - (qy - py) * (x - px)).toBeGreaterThanOrEqual(-250);
        });
      }),
      runs(100, 45),
    );
  });
});

describe('directions', () => {
  const unitary = fc
    .tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }))
    .filter((way) => norm(way) > 0)
    .map((way) => unit(way));

  test('two square to any third are square to it and to each other', () => {
    fc.assert(
      fc.property(unitary, (way) => {
        const [a, b] = squareTo(way);
        expect(Math.abs(dot(a, way)) + Math.abs(dot(b, way)) + Math.abs(dot(a, b))).toBeLessThan(1e-9);
        expect([norm(a), norm(b)]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
      }),
      runs(100, 46),
    );
  });

  test('into a frame and out of it is where one was; its third way is square to both', () => {
    fc.assert(
      fc.property(unitary, unitary, (way, point) => {
        const [u, v] = squareTo(way);
        const frame = { at: [7, -3, 11] as const, u, v };
        expect(norm(sub(outOf(frame, into(frame, point)), point))).toBeLessThan(1e-9);
        expect(norm(cross(through(frame), cross(u, v)))).toBeLessThan(1e-9);
      }),
      runs(100, 47),
    );
  });

  test('turned by 90 about z, x is y; four times round it is itself; lengths stay', () => {
    const quarter = (point: Vec) => turned(point, [0, 0, 0], [0, 0, 1], 90);
    expect(norm(sub(quarter([1, 0, 0]), [0, 1, 0]))).toBeLessThan(1e-12);
    fc.assert(
      fc.property(unitary, unitary, fc.integer({ min: -180, max: 180 }), (point, axis, angle) => {
        expect(norm(sub(quarter(quarter(quarter(quarter(point)))), point))).toBeLessThan(1e-9);
        expect(norm(turned(point, [0, 0, 0], axis, angle))).toBeCloseTo(norm(point), 9);
        // What lies along the axis stays.
        expect(dot(turned(point, [0, 0, 0], axis, angle), axis)).toBeCloseTo(dot(point, axis), 9);
      }),
      runs(100, 48),
    );
    expect(degrees(radians(37))).toBeCloseTo(37, 12);
  });
});
