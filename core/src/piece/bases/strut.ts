import type { Length } from '../../length';
import { planeAt, radians, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { level, type Kit } from '../kit';
import { tan } from '../shape';

export type Strut = {
  readonly tag: string;
  readonly name: string;
  /** The upright face it leans against: a point on it and the way it looks, level. */
  readonly wall: { readonly at: Vec; readonly out: Vec };
  /** The level face it stands on or hangs from. */
  readonly floor: Length;
  /** How far from the wall, along `out`, its far point stands on the level face. */
  readonly run: Length;
  readonly degrees: number;
  readonly stock: Nominal;
  readonly joins: readonly string[];
};

/** Rise of a strut's long point on the wall above (or below) the level face: run times the tangent of its angle. */
export const riseOf = (run: Length, degrees: number): number => run * tan(degrees);

/**
 * A strut between a level face and an upright one. Its long edge runs from `run` out on the level face to the rise on
 * the wall; the middle line lies half a width inside of that.
 */
export function strut(kit: Kit, { tag, name, wall, floor, run, degrees, stock, joins }: Strut, down = false): void {
  const { width, thickness } = kit.sizes.dressed(stock);
  const [sin, cos] = [Math.sin(radians(degrees)), Math.cos(radians(degrees))];
  const side = down ? -1 : 1;
  const foot: Vec = [
    wall.at[0] + wall.out[0] * (run - width / 2 / sin),
    wall.at[1] + wall.out[1] * (run - width / 2 / sin),
    floor,
  ];
  const to: Vec = [foot[0] - wall.out[0] * cos, foot[1] - wall.out[1] * cos, floor + side * sin];
  kit.member(
    { tag, role: 'brace', name, material: stock },
    {
      from: foot,
      to,
      across: [wall.out[0] * sin, wall.out[1] * sin, side * cos],
      width,
      thickness,
      ends: [level(floor), planeAt(wall.at, wall.out)],
    },
  );
  for (const other of joins) kit.join('screws', tag, other);
}
