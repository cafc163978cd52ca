import { inches, PER_MM } from '../length';
import { DEFAULT_SHOP } from '../job';
import { areaOf, flatten, volumeOf } from '../solid';
import { buildPiece, newPiece, solidOf, STARTS, topCandidates, type Part } from '../piece';
import { dxfOf, gltfOf } from './out';
import { svgOf, templatesOf } from './index';

const partsOf = (start: string): readonly Part[] => {
  const piece = newPiece('p', start);
  return buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in').parts;
};
const part = (start: string, tag: string): Part => partsOf(start).find((one) => one.tag === tag)!;
const square = (points: Parameters<typeof flatten>[0]) => Math.abs(areaOf(flatten(points).points));

describe('full-size templates', () => {
  test('every part of every start: the outline is as long and wide as the part, cuts stay inside it', () => {
    for (const start of STARTS)
      for (const one of partsOf(start.id)) {
        if (one.bought) continue;
        const [face, edge] = templatesOf(one);
        for (const [template, height] of [
          [face!, one.width],
          [edge!, one.thickness],
        ] as const) {
          const all = template.lines[0]!.points.map(([x]) => x);
          const tall = flatten(template.lines[0]!.points).points.map(([, y]) => y);
          const bevelled = one.ends.left.bevel !== 0 || one.ends.right.bevel !== 0;
          // A bevelled part is at its longest on one face only; both are on the template.
          const lines = template.lines.filter(({ kind }) => kind === 'outline' || kind === 'far edge');
          const xs = lines.flatMap((line) => flatten(line.points).points.map(([x]) => x));
          if (!bevelled || template.view === 'face')
            expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(one.length / PER_MM, 1);
          expect(all.length).toBeGreaterThan(1);
          expect(Math.max(...tall) - Math.min(...tall)).toBeCloseTo(height / PER_MM, 1);
        }
      }
  });

  test('area by hand: a part without bevels is its face through its thickness, less its pockets', () => {
    for (const [start, tag] of [
      ['shelf-coffee', 'H1'],
      ['x-frame', 'L1'],
      ['pedestal', 'T3'],
      ['octagon', 'G1'],
      ['octagon', 'T2'],
    ] as const) {
      const one = part(start, tag);
      const [face] = templatesOf(one);
      const through = face!.lines
        .filter(({ kind }) => kind === 'through')
        .reduce((sum, { points }) => sum + square(points), 0);
      const pockets = face!.lines
        .filter(({ kind }) => kind === 'pocket')
        .reduce((sum, { points, note }) => sum + square(points) * Number(/([\d.]+) mm deep/.exec(note)![1]), 0);
      const cubicMm = volumeOf(solidOf(one)) / PER_MM ** 3;
      const expected = (square(face!.lines[0]!.points) - through) * (one.thickness / PER_MM) - pockets;
      expect(cubicMm / expected).toBeCloseTo(1, 2);
    }
  });

  test('SVG is full size in millimetres, one group a view, arcs as arcs', () => {
    const disc = part('pedestal', 'T1');
    const svg = svgOf(templatesOf(disc), 'T1 <top> & board');
    expect(svg).toMatch(/^<svg [^>]*width="[\d.]+mm" height="[\d.]+mm" viewBox="0 0 [\d.]+ [\d.]+"/);
    const [width, box] = [/width="([\d.]+)mm"/.exec(svg)![1], /viewBox="0 0 ([\d.]+)/.exec(svg)![1]];
    expect(width).toBe(box);
    expect(svg.match(/<g id="(face|edge)"/g)).toHaveLength(2);
    // Half the disc's diameter, 21 in, is the radius of every arc.
    const radii = [...svg.matchAll(/A([\d.]+) ([\d.]+) 0/g)].map((match) => Number(match[1]));
    expect(radii.length).toBeGreaterThan(0);
    for (const radius of radii) expect(radius).toBeCloseTo(21 * 25.4, 0);
    expect(svg).toContain('T1 &#60;top&#62; &#38; board');
  });

  test('DXF: closed polylines in millimetres on layers by kind, bulges kept', () => {
    const disc = part('pedestal', 'T1');
    const dxf = dxfOf(templatesOf(disc), 'T1');
    const codes = dxf.split(/\r?\n/).map((line) => line.trim());
    const value = (code: string, from: number) => Number(codes[codes.indexOf(code, from) + 1]);
    const at = codes.indexOf('LWPOLYLINE');
    expect(at).toBeGreaterThan(0);
    expect(value('10', at)).toBeCloseTo(templatesOf(disc)[0]!.lines[0]!.points[0]![0], 3);
    expect(dxf).toMatch(/\n\s*42\r?\n\s*0\.\d/);
    for (const layer of ['OUTLINE', 'THROUGH', 'POCKET', 'HIDDEN']) expect(codes).toContain(layer);
    // $INSUNITS 4 is millimetres.
    expect(value('70', codes.indexOf('$INSUNITS'))).toBe(4);
    expect(codes.filter((code) => code === 'LWPOLYLINE')).toHaveLength(
      templatesOf(disc).reduce((sum, { lines }) => sum + lines.length, 0),
    );
  });
});

test('glTF: one node a part by its tag, metres, the buffer inside the file, triangles that enclose the volume', async () => {
  const parts = partsOf('x-frame');
  const gltf = JSON.parse(await gltfOf(parts, 'X-frame table')) as {
    asset: { version: string };
    nodes: { name: string; mesh: number }[];
    meshes: { primitives: { attributes: { POSITION: number } }[] }[];
    accessors: { bufferView: number; byteOffset?: number; count: number; max: number[]; min: number[] }[];
    bufferViews: { byteOffset?: number; byteStride?: number }[];
    buffers: { uri: string; byteLength: number }[];
  };
  expect(gltf.asset.version).toBe('2.0');
  expect(gltf.nodes.map((node) => node.name)).toEqual(parts.map((one) => one.tag));
  const bytes = Buffer.from(gltf.buffers[0]!.uri.split(',')[1]!, 'base64');
  expect(bytes.length).toBe(gltf.buffers[0]!.byteLength);
  const triangles = (node: { mesh: number }) => {
    const accessor = gltf.accessors[gltf.meshes[node.mesh]!.primitives[0]!.attributes.POSITION]!;
    const view = gltf.bufferViews[accessor.bufferView]!;
    const stride = view.byteStride ?? 12;
    const point = (index: number) =>
      [0, 1, 2].map((axis) =>
        bytes.readFloatLE((view.byteOffset ?? 0) + (accessor.byteOffset ?? 0) + index * stride + 4 * axis),
      );
    return Array.from({ length: accessor.count / 3 }, (_, at) => [0, 1, 2].map((corner) => point(3 * at + corner)));
  };
  // Signed volume of the triangles against the part's own: closed, and the right way out.
  parts.forEach((one, at) => {
    const cubicMetres = triangles(gltf.nodes[at]!).reduce((sum, [a, b, c]) => {
      const cross = [
        b![1]! * c![2]! - b![2]! * c![1]!,
        b![2]! * c![0]! - b![0]! * c![2]!,
        b![0]! * c![1]! - b![1]! * c![0]!,
      ];
      return sum + (a![0]! * cross[0]! + a![1]! * cross[1]! + a![2]! * cross[2]!) / 6;
    }, 0);
    const expected = (volumeOf(solidOf(one)) / inches(1) ** 3) * 0.0254 ** 3;
    expect(cubicMetres / expected).toBeCloseTo(1, 2);
  });
});
