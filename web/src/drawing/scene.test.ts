import fc from 'fast-check';
import { PerspectiveCamera, Vector3 } from 'three';
import { demoJob, faceArea, facesOf, PER_INCH, solidOf, sure, volumeOf, type Vec } from '@sill/core';
import { planOnce } from '../testing/bench';
import {
  bentLines,
  faceMiddles,
  linesOf,
  openReachOf,
  placeOf,
  reachOf,
  shownSolid,
  surfaceOf,
  wholeOf,
  worldOf,
} from './scene';
import { drawnIn, joinedIn, measured } from './steps';

const plan = planOnce(demoJob());
const glaze = sure(plan.pieces[0], 'piece');
const cart = sure(
  plan.pieces.find(({ piece }) => piece.id === 'cart'),
  'cart',
);
const whole = wholeOf(glaze.parts);
const pointsOf = (geometry: { getAttribute: (name: string) => { array: ArrayLike<number> } }) => {
  const { array } = geometry.getAttribute('position');
  return Array.from({ length: array.length / 3 }, (_, k) => [array[3 * k]!, array[3 * k + 1]!, array[3 * k + 2]!]);
};

test('a point goes to the world of the model and back; the foot of the piece stands at its middle, at height 0', () => {
  const at = fc.integer({ min: -1_000_000, max: 1_000_000 });
  fc.assert(
    fc.property(fc.tuple(at, at, at), (point) => {
      const back = placeOf(worldOf(point, whole), whole);
      point.forEach((value, axis) => expect(back[axis]).toBeCloseTo(value, 3));
    }),
  );
  const { min, max } = whole;
  const foot = worldOf([(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, min[2]], whole);
  foot.forEach((value) => expect(value).toBeCloseTo(0, 9));
  // The front, nearest along y, comes towards the eye.
  expect(worldOf([0, min[1], 0], whole)[2]).toBeGreaterThan(worldOf([0, max[1], 0], whole)[2]);
});

test('triangles cover the faces of a body and no more; its edges lie on its corners', () => {
  for (const part of glaze.parts.slice(0, 8)) {
    const solid = solidOf(part);
    const points = pointsOf(surfaceOf(solid, whole));
    let area = 0;
    for (let k = 0; k < points.length; k += 3) area += faceArea(points.slice(k, k + 3) as unknown as Vec[]);
    const asked = facesOf(solid).reduce((sum, face) => sum + faceArea(face.points), 0) / PER_INCH ** 2;
    expect(area / asked).toBeCloseTo(1, 4);
    const corners = solid.flatMap((cell) => cell.flatMap((face) => face.points.map((one) => worldOf(one, whole))));
    for (const end of pointsOf(linesOf(solid, whole)))
      expect(Math.min(...corners.map((one) => Math.hypot(...one.map((v, k) => v - end[k]!))))).toBeLessThan(0.01);
  }
});

test('words stand on the largest faces first', () => {
  const solid = solidOf(sure(glaze.parts[0], 'part'));
  const middles = faceMiddles(solid);
  const areas = middles.map((middle) => {
    const face = facesOf(solid).find(({ points }) =>
      middle.every((value, axis) => Math.abs(points.reduce((sum, p) => sum + p[axis]!, 0) / points.length - value) < 1),
    );
    return faceArea(face!.points);
  });
  expect(areas).toEqual([...areas].sort((a, b) => b - a));
});

test('cut open, both sides of the cut make the whole; before the cut nothing is left', () => {
  const volume = (share: number, axis: 0 | 1 | 2) =>
    glaze.parts.reduce((sum, part) => sum + volumeOf(shownSolid(part, whole, [], 0, { axis, share })), 0);
  const all = glaze.parts.reduce((sum, part) => sum + volumeOf(solidOf(part)), 0);
  for (const axis of [0, 2] as const) {
    expect(volume(0, axis)).toBe(0);
    expect(volume(1, axis) / all).toBeCloseTo(1, 6);
    const shares = [0.2, 0.5, 0.8].map((share) => volume(share, axis));
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  }
  // A table is alike from end to end: half of it is half.
  expect(volume(0.5, 0) / all).toBeCloseTo(0.5, 2);
  // From the front it is the near half that goes.
  expect(volume(0, 1) / all).toBeCloseTo(1, 6);
});

test('what opens is moved by as much as it is open, all else stays', () => {
  const box = wholeOf(cart.parts);
  const { motions } = cart.model;
  const moving = new Set(motions.flatMap(({ parts }) => parts));
  expect(moving.size).toBeGreaterThan(0);
  for (const part of cart.parts) {
    const [shut, half] = [0, 0.5].map((open) => JSON.stringify(shownSolid(part, box, motions, open, null)));
    expect([part.tag, shut === half]).toEqual([part.tag, !moving.has(part.id)]);
  }
});

test('loose parts have no place in the box around a piece', () => {
  const [part] = glaze.parts;
  const loose = { ...part!, id: 'x', loose: true, frame: { ...part!.frame, at: [9e6, 9e6, 9e6] as const } };
  expect(wholeOf([...glaze.parts, loose])).toEqual(whole);
  expect(wholeOf([loose])).toEqual({ min: [0, 0, 0], max: [1, 1, 1] });
});

test('the eye stands so far off that all of a box is in the picture, wide or high', () => {
  const size = fc.double({ min: 1, max: 120, noNaN: true });
  fc.assert(
    fc.property(size, size, size, fc.constantFrom(0.5, 1, 1.8), (x, y, z, aspect) => {
      const far = reachOf([x, y, z], aspect, [0, 0, 1], 40);
      const half = Math.tan((20 * Math.PI) / 180);
      // From in front: the near face is the largest seen.
      const away = far - z / 2;
      expect(y / 2).toBeLessThanOrEqual(away * half * 1.0001);
      expect(x / 2).toBeLessThanOrEqual(away * half * aspect * 1.0001);
    }),
  );
});

test('all that opens, wide open, is within the picture; where nothing opens no eye is farther off for it', () => {
  const from: [number, number, number] = [0.5, 0.43, 0.75];
  const { parts, model } = cart;
  const box = wholeOf(parts);
  const [width, height, depth] = worldOf(box.max, box).map((most, axis) => (axis === 1 ? most : 2 * Math.abs(most)));
  const middle = height! / 2;
  const eye = new PerspectiveCamera(28, 1.35, 1, 5000);
  const farthest = (far: number) => {
    const place = new Vector3(...from).normalize().multiplyScalar(far);
    eye.position.set(place.x, place.y + middle, place.z);
    eye.lookAt(0, middle, 0);
    eye.updateMatrixWorld();
    const seen = parts
      .flatMap((part) => facesOf(shownSolid(part, box, model.motions, 1, null)).flatMap(({ points }) => points))
      .map((point) => new Vector3(...worldOf(point, box)).project(eye));
    return Math.max(...seen.flatMap(({ x, y }) => [Math.abs(x), Math.abs(y)]));
  };
  expect(farthest(reachOf([width!, height!, depth!], 1.35, from, 28))).toBeGreaterThan(1);
  expect(farthest(openReachOf(parts, model.motions, 1.35, from, 28))).toBeLessThan(1);
  expect(openReachOf(glaze.parts, glaze.model.motions, 1.35, from, 28)).toBe(0);
});

test('bent edges go as many times as far as the piece does', () => {
  const edge = { points: [[0, 0, 0] as Vec, [PER_INCH, 0, 0] as Vec], by: [[0, 0, 0] as Vec, [0, 0, -0.01] as Vec] };
  const [still, down] = [0, 50].map((times) => pointsOf(bentLines(edge as never, times, whole)));
  expect(down![1]![1]! - still![1]![1]!).toBeCloseTo(-0.5, 5);
  expect(down![0]).toEqual(still![0]);
});

describe('what a step draws', () => {
  const steps = plan.pieces.flatMap((facts) => facts.steps.map((step) => ({ step, facts })));

  test('every part once: new, there or to come; what is new is what the step adds', () => {
    for (const { step, facts } of steps) {
      const drawn = drawnIn(step, facts).filter(({ body }) => body === undefined);
      expect(drawn.map(({ part }) => part.id)).toEqual(facts.parts.map(({ id }) => id));
      const fresh = drawn.filter(({ as }) => as === 'new').map(({ part }) => part.id);
      expect(new Set(fresh)).toEqual(new Set(facts.parts.map(({ id }) => id).filter((id) => step.adds.includes(id))));
    }
  });

  test('a part that was there stays there in the steps of its assembly', () => {
    for (const { step, facts } of steps) {
      const made = joinedIn(step, facts.fastenings);
      expect(made.map(({ joint }) => joint.id).sort()).toEqual([...step.makes].sort());
      const seen = new Set(
        drawnIn(step, facts)
          .filter(({ as }) => as !== 'later')
          .map(({ part }) => part.id),
      );
      for (const { drilled, into } of made) expect([seen.has(drilled.id), seen.has(into.id)]).toEqual([true, true]);
    }
  });

  test('a length stands only where one rail or a pair of them is added', () => {
    for (const { step, facts } of steps) {
      const part = measured(step, facts.parts);
      if (part)
        expect([step.adds.includes(part.id), part.role === 'leg', part.role === 'top']).toEqual([true, false, false]);
    }
    expect(steps.some(({ step, facts }) => measured(step, facts.parts) !== null)).toBe(true);
  });
});
