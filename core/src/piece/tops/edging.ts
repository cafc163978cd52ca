import { nth } from '../../lists';
import type { Length } from '../../length';
import { planeAt, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import type { Room } from '../family';
import { UP, type Kit, type Member } from '../kit';

/** What a border that lies flat is made of. */
export const BORDER: Nominal = '1x2';

/** A side of a frame: its middle line, and the planes of its mitres. */
type FrameSide = Pick<Member, 'from' | 'to' | 'ends'> & { readonly tag: string };

/**
 * The four sides of a frame round a rectangle, so wide seen from above, their middles at a height. Tags G1 (front), G2
 * (back), G3 (left), G4 (right).
 */
export function mitredRound({ length: l, width: w }: Pick<Room, 'length' | 'width'>, wide: Length, z: number) {
  const half = wide / 2;
  // The mitre at a corner is the upright plane through it, halfway between the two sides.
  const mitre = (corner: Vec) => {
    const [sx, sy] = [corner[0] < l / 2 ? -1 : 1, corner[1] < w / 2 ? -1 : 1];
    return planeAt([sx < 0 ? 0 : l, sy < 0 ? 0 : w, z], [Math.SQRT1_2 * sx, -Math.SQRT1_2 * sy, 0]);
  };
  const side = (tag: string, from: Vec, to: Vec): FrameSide => ({ tag, from, to, ends: [mitre(from), mitre(to)] });
  return [
    side('G1', [0, half, z], [l, half, z]),
    side('G2', [l, w - half, z], [0, w - half, z]),
    side('G3', [half, w, z], [half, 0, z]),
    side('G4', [l - half, 0, z], [l - half, w, z]),
  ];
}

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
  const sides = mitredRound(room, thickness, top - deep / 2);
  sides.forEach(({ tag, from, to, ends }, at) => {
    kit.member(
      {
        tag,
        role: 'edging',
        name: 'edging',
        material: stock,
        fit: say`the edge it covers, and ${dim(2 * thickness)} more for its mitres`,
      },
      { from, to, across: UP, width: deep, thickness, ends },
    );
    nth(against, at).forEach((other) => kit.join('glue', tag, other));
  });
  for (const end of ['G3', 'G4']) for (const long of ['G1', 'G2']) kit.join('glue', end, long);
  return sides.map(({ tag }) => tag);
}

/**
 * Four boards laid flat round a rectangle, mitred at the corners, as wide as they are bought, their upper faces at
 * `top`; each is joined edge to edge to what it goes round. Tags as of an edging on edge.
 */
export function borderRound(kit: Kit, room: Pick<Room, 'length' | 'width'>, top: Length, inner: string) {
  const { thickness, width } = kit.sizes.dressed(BORDER);
  const sides = mitredRound(room, width, top - thickness / 2);
  const inwards: readonly Vec[] = [
    [0, 1, 0],
    [0, -1, 0],
    [1, 0, 0],
    [-1, 0, 0],
  ];
  sides.forEach(({ tag, from, to, ends }, at) => {
    kit.member(
      {
        tag,
        role: 'top',
        name: 'border',
        material: BORDER,
        fit: say`the edge it covers, and ${dim(2 * width)} more for its mitres`,
      },
      { from, to, across: nth(inwards, at), width, thickness, ends },
    );
    kit.join('edge', inner, tag);
  });
  for (const end of ['G3', 'G4']) for (const long of ['G1', 'G2']) kit.join('glue', end, long);
  return sides.map(({ tag }) => tag);
}
