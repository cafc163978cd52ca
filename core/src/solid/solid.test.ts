import fc from 'fast-check';
import { elsewhere, type Body } from '../testing/elsewhere';
import {
  circle,
  common,
  contacts,
  cutSolid,
  edgesOf,
  faceArea,
  facesOf,
  middleOf,
  outlinedFaces,
  planeAt,
  prism,
  rectangle,
  subtract,
  turned,
  unit,
  volumeOf,
  flatten,
  areaOf,
  arcOf,
  norm,
  sub,
  type Cell,
  type Solid,
} from './index';
import { runs } from '../testing/runs';

type Block = readonly [x: number, y: number, z: number, a: number, b: number, c: number];
const cellOf = ([x, y, z, a, b, c]: Block): Cell =>
  prism(
    rectangle(a, b).map(([p, q]) => [p + x, q + y] as const),
    z,
    z + c,
  );
const blocks = fc.tuple(
  fc.integer({ min: -300, max: 900 }),
  fc.integer({ min: -300, max: 900 }),
  fc.integer({ min: -300, max: 900 }),
  fc.integer({ min: 20, max: 900 }),
  fc.integer({ min: 20, max: 900 }),
  fc.integer({ min: 20, max: 900 }),
);
const BODY: Block = [0, 0, 0, 1000, 800, 600];

const outlineOf = ([x, y, , a, b]: Block) => rectangle(a, b).map(([p, q]) => [p + x, q + y] as const);
const cutterOf = (block: Block) => ({
  axis: 2 as const,
  outline: outlineOf(block),
  from: block[2],
  to: block[2] + block[5],
});
const bodyOf = (block: Block): Body => ({
  outline: outlineOf(block),
  height: block[5],
  frame: { at: [0, 0, block[2]], u: [1, 0, 0], v: [0, 1, 0] },
});

describe('bodies, against another library', () => {
  test('a block less one to four others has the same volume and the same surface', () => {
    const rows = fc.sample(fc.array(blocks, { minLength: 1, maxLength: 4 }), runs(300, 5));
    const { volumes, surfaces } = elsewhere(
      rows.map((cutters) => ({ ...bodyOf(BODY), cutters: cutters.map(cutterOf) })),
    );
    rows.forEach((cutters, row) => {
      const solid = cutters.reduce<Solid>(
        (body, cutter, at) => subtract(body, cellOf(cutter), 100 * (at + 1)),
        [cellOf(BODY)],
      );
      expect(volumeOf(solid)).toBeCloseTo(volumes[row]!, -1);
      const surface = facesOf(solid).reduce((sum, face) => sum + faceArea(face.points), 0);
      expect(Math.abs(surface - surfaces[row]!)).toBeLessThan(1 + 1e-5 * surface);
    });
  });

  test('what two bodies share, and a cut by any plane, have the same volume', () => {
    const step = fc.integer({ min: -9, max: 9 });
    const rows = fc.sample(
      fc.tuple(blocks, blocks, fc.tuple(step, step, fc.integer({ min: 1, max: 9 }))),
      runs(300, 6),
    );
    const planes = rows.map(([a, , way]) => planeAt([a[0] + a[3] / 3, a[1] + a[4] / 3, a[5] / 3], unit(way)));
    const { volumes, shared } = elsewhere(
      [
        ...rows.map(([a], row): Body => ({ outline: outlineOf(a), height: a[5], planes: [planes[row]!] })),
        ...rows.flatMap(([a, b]) => [bodyOf(a), bodyOf(b)]),
      ],
      rows.map((_, row) => [rows.length + 2 * row, rows.length + 2 * row + 1]),
    );
    rows.forEach(([a, b], row) => {
      expect(volumeOf(common([cellOf(a)], [cellOf(b)]))).toBeCloseTo(shared[row]!, -1);
      const standing: Block = [a[0], a[1], 0, a[3], a[4], a[5]];
      expect(volumeOf(cutSolid([cellOf(standing)], planes[row]!, 99))).toBeCloseTo(volumes[row]!, -1);
    });
  });
});

describe('bodies, by hand', () => {
  test('a block with a lap has 24 edges; with a hole its rims only, no seam between chords', () => {
    const block: Solid = [cellOf(BODY)];
    expect(edgesOf(block)).toHaveLength(12);
    const lapped = subtract(block, cellOf([300, -10, 300, 200, 900, 900]), 100);
    expect(edgesOf(lapped)).toHaveLength(24);
    const { points } = flatten(circle(500, 400, 90));
    const holed = subtract(block, prism(circle(500, 400, 90), -10, 700), 100);
    expect(edgesOf(holed)).toHaveLength(12 + 2 * points.length);
    expect(volumeOf(holed)).toBeCloseTo(volumeOf(block) - areaOf(points) * 600, -1);
  });

  test('outlined faces keep area and edges whatever the cells', () => {
    const lapped = subtract([cellOf(BODY)], cellOf([300, -10, 300, 200, 900, 900]), 100);
    const area = (faces: readonly { readonly points: Cell[number]['points'] }[]) =>
      faces.reduce((sum, face) => sum + faceArea(face.points), 0);
    expect(area(outlinedFaces(lapped))).toBeCloseTo(area(facesOf(lapped)));
    const drawn = outlinedFaces(lapped).flatMap(({ points, drawn: sides }) =>
      points.map((point, at) => (sides[at] ? norm(sub(points[(at + 1) % points.length]!, point)) : 0)),
    );
    const edges = edgesOf(lapped).reduce((sum, [a, b]) => sum + norm(sub(a, b)), 0);
    // Every edge lies between two faces.
    expect(drawn.reduce((sum, length) => sum + length, 0)).toBeCloseTo(2 * edges, 0);
  });

  test('contact is where faces lie against each other, and nowhere else', () => {
    const [a, b] = [cellOf(BODY), cellOf([1000, 200, 100, 50, 300, 200])];
    const touching = contacts([a], [b]);
    expect(touching).toHaveLength(1);
    expect(faceArea(touching[0]!.points)).toBeCloseTo(300 * 200);
    expect(touching[0]!.normal).toEqual([1, 0, 0]);
    expect(contacts([a], [cellOf([1010, 0, 0, 10, 10, 10])])).toEqual([]);
    // Edge to edge is no contact.
    expect(contacts([a], [cellOf([1000, 800, 0, 10, 10, 10])])).toEqual([]);
  });

  test('arcs, middles and turns', () => {
    const { centre, radius } = arcOf([0, 0], [200, 0], 1);
    expect([...centre, radius].map(Math.round)).toEqual([100, 0, 100]);
    expect(middleOf([cellOf(BODY)]).map(Math.round)).toEqual([500, 400, 300]);
    expect(turned([10, 0, 0], [0, 0, 0], [0, 0, 1], 90).map(Math.round)).toEqual([0, 10, 0]);
  });
});
