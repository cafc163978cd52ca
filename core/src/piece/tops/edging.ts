import { nth } from '../../lists';
import type { Length } from '../../length';
import { planeAt, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import type { Room } from '../family';
import { UP, type Kit } from '../kit';

/**
 * Four boards on edge round a rectangle, mitred at the corners, their outer faces on its outline and their upper edges
 * at `top`. Tags G1 (front), G2 (back), G3 (left), G4 (right).
 */
export function edgingRound(
  kit: Kit,
  room: Pick<Room, 'length' | 'width'>,
  top: Length,
  deep: Length,
  against: readonly (readonly string[])[],
): readonly string[] {
  const stock: Nominal = deep <= kit.sizes.dressed('1x2').width ? '1x2' : '1x3';
  const { thickness } = kit.sizes.dressed(stock);
  const half = thickness / 2;
  const z = top - deep / 2;
  const [l, w] = [room.length, room.width];
  const sides: readonly (readonly [string, Vec, Vec])[] = [
    ['G1', [0, half, z], [l, half, z]],
    ['G2', [l, w - half, z], [0, w - half, z]],
    ['G3', [half, w, z], [half, 0, z]],
    ['G4', [l - half, 0, z], [l - half, w, z]],
  ];
  const mitre = (corner: Vec) => {
    const [sx, sy] = [corner[0] < l / 2 ? -1 : 1, corner[1] < w / 2 ? -1 : 1];
    return planeAt([sx < 0 ? 0 : l, sy < 0 ? 0 : w, z], [Math.SQRT1_2 * sx, -Math.SQRT1_2 * sy, 0]);
  };
  sides.forEach(([tag, from, to], at) => {
    kit.member(
      {
        tag,
        role: 'edging',
        name: 'edging',
        material: stock,
        fit: say`the edge it covers, and ${dim(2 * thickness)} more for its mitres`,
      },
      { from, to, across: UP, width: deep, thickness, ends: [mitre(from), mitre(to)] },
    );
    nth(against, at).forEach((other) => kit.join('glue', tag, other));
  });
  for (const end of ['G3', 'G4']) for (const long of ['G1', 'G2']) kit.join('glue', end, long);
  return sides.map(([tag]) => tag);
}
