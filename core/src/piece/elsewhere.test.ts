import { inches } from '../length';
import { DEFAULT_SHOP } from '../job';
import { flatten, volumeOf } from '../solid';
import { elsewhere, type Body } from '../testing/elsewhere';
import { boxOf, buildPiece, newPiece, solidOf, STARTS, topCandidates, type Part } from './index';

const tan = (angle: number) => Math.tan((angle * Math.PI) / 180);

/** A part described anew from its list entry: outline, thickness, end angles, cut-outs, place. */
function bodyOf(part: Part): Body {
  const { length, width, thickness, ends } = part;
  const outline = part.outline
    ? flatten(part.outline).points
    : ([
        [0, 0],
        [length, 0],
        [length, width],
        [0, width],
      ] as const);
  const corners = [0, width].flatMap((y) => [0, thickness].map((z) => [y, z] as const));
  const plane = (end: Part['ends']['left'], side: 1 | -1) => {
    const runs = corners.map(([y, z]) => y * tan(end.mitre) + z * tan(end.bevel));
    // Kept: x >= run - least run on the left, x <= length + run - most run on the right.
    const size = Math.hypot(1, tan(end.mitre), tan(end.bevel));
    const normal = [side / size, (-side * tan(end.mitre)) / size, (-side * tan(end.bevel)) / size] as const;
    return { normal, reach: (side === 1 ? length - Math.max(...runs) : Math.min(...runs)) / size };
  };
  const slanted = (end: Part['ends']['left']) => end.mitre !== 0 || end.bevel !== 0;
  return {
    outline,
    height: thickness,
    planes: [
      ...(slanted(ends.left) ? [plane(ends.left, -1)] : []),
      ...(slanted(ends.right) ? [plane(ends.right, 1)] : []),
    ],
    cutters: part.cuts.map(({ axis, outline: cut, from, to }) => ({ axis, outline: flatten(cut).points, from, to })),
    frame: part.frame,
  };
}

/** A thousandth of a cubic inch. */
const SLIVER = inches(1) ** 3 / 1000;

/** Parts of a start, and which of them lie so near that they might share some wood. */
function partsOf(id: string) {
  const piece = newPiece('p', id);
  const { parts } = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
  const near = (a: Part, b: Part) => {
    const [p, q] = [boxOf(a), boxOf(b)];
    return ([0, 1, 2] as const).every((axis) => p.min[axis] <= q.max[axis] && q.min[axis] <= p.max[axis]);
  };
  const pairs = parts.flatMap((a, at) => parts.flatMap((b, k) => (k > at && near(a, b) ? [[at, k] as const] : [])));
  return { id, parts, pairs };
}

describe('every part has the volume that another library finds, and no two share any', () => {
  const starts = STARTS.map(({ id }) => partsOf(id));
  // All of them asked at once: to start the other library takes longer than all that it is asked.
  let found: ReturnType<typeof elsewhere>;
  const before = (at: number, of: 'parts' | 'pairs') =>
    starts.slice(0, at).reduce((sum, one) => sum + one[of].length, 0);
  beforeAll(() => {
    found = elsewhere(
      starts.flatMap(({ parts }) => parts.map(bodyOf)),
      starts.flatMap(({ pairs }, at) =>
        pairs.map(([a, b]) => [a + before(at, 'parts'), b + before(at, 'parts')] as const),
      ),
    );
  });
  test.each(starts.map((start, at) => [start.id, start, at] as const))('%s', (_, { parts, pairs }, at) => {
    const volumes = found.volumes.slice(before(at, 'parts'));
    const shared = found.shared.slice(before(at, 'pairs'));
    parts.forEach((part, k) => {
      const own = volumeOf(solidOf(part));
      expect([part.tag, Math.abs(own - volumes[k]!) < SLIVER + 1e-6 * own]).toEqual([part.tag, true]);
    });
    expect(pairs.filter((_, k) => shared[k]! > SLIVER).map(([a, b]) => `${parts[a]!.tag} ${parts[b]!.tag}`)).toEqual(
      [],
    );
    expect(pairs.length).toBeGreaterThan(5);
  });
});
