import { inches, type Length } from '../../length';
import { planeAt, radians, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
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

/** The least that stays of a strut's short edge. */
const LEAST_EDGE: Length = inches(1 / 2);

/**
 * Says so where struts reach so little out for their stock that their two slanted ends meet and no short edge is left
 * between.
 *
 * @param choices those that put them in.
 */
export function checkRun(
  kit: Kit,
  what: 'struts' | 'kickers',
  { run, stock, degrees }: Pick<Strut, 'run' | 'stock' | 'degrees'>,
  choices: readonly string[],
): void {
  const { width } = kit.sizes.dressed(stock);
  const least = Math.ceil(width / Math.sin(radians(degrees)) + LEAST_EDGE * Math.cos(radians(degrees)));
  if (run >= least) return;
  kit.stop(
    `${what}-short`,
    say`No room for ${what}`,
    say`They reach only ${dim(Math.max(0, run))} out; of ${dim(width)} stock, at ${degrees} degrees, both ends meet under ${dim(least)}, and nothing is left between.`,
    { run, least },
    [{ label: say`Leave them out`, changes: choices.map((name) => kit.change(['choices', name], false)) }],
  );
}

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
