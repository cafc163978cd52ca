import { inches, type Length } from '../length';

/** PVA stays open about 5 minutes; spreading and closing a joint takes about a minute and a half. */
const OPEN_MINUTES = 5;
const MINUTES_A_JOINT = 1.5;
/** Joints that one glue-up can close before the glue skins over. */
export const JOINTS_AT_ONCE = Math.floor(OPEN_MINUTES / MINUTES_A_JOINT);

/** Time in clamps: 30 to 60 minutes; the longer is taken. */
export const CLAMP_MINUTES = 60;

/** Clamps along a joint, one every 8 to 12 in: 10 is taken, two at least. */
export const clampsAlong = (length: Length): number => Math.max(2, Math.ceil(length / inches(10)));

/** Cauls: two for every 3 ft. */
export const caulsAlong = (length: Length): number => 2 * Math.max(1, Math.ceil(length / inches(36)));

/**
 * Splits `count` boards into panels that can each be glued within the open time, as equal as can be; the panels are
 * joined afterwards. Sizes in boards, front to back.
 */
export function panels(count: number): readonly number[] {
  const parts = Math.ceil(count / (JOINTS_AT_ONCE + 1));
  return Array.from(
    { length: parts },
    (_, at) => Math.floor((count * (at + 1)) / parts) - Math.floor((count * at) / parts),
  );
}

/** The diagonal of a rectangle, to 1/320 mm. */
export const diagonalOf = (a: Length, b: Length): Length => Math.round(Math.hypot(a, b));

/** A frame out of square: which corners are too far apart, and how far one side must slide along the other. */
export type Racked = { readonly long: 'first' | 'second'; readonly push: Length; readonly should: Length };

/**
 * What two diagonals tell of a frame with sides a and b. Its sides make a parallelogram: the long diagonal squared less
 * the short one squared is 4 a b cos of the corner, so the far side lies (d1^2 - d2^2) / 4a off. The longer side is
 * taken as a. Null where they match to 1/32 in, the tape's own error.
 */
export function rackOf(sides: readonly [Length, Length], diagonals: readonly [Length, Length]): Racked | null {
  const [first, second] = diagonals;
  if (Math.abs(first - second) <= inches(1 / 32)) return null;
  const long = Math.max(...sides);
  const push = Math.round(Math.abs(first ** 2 - second ** 2) / (4 * long));
  return { long: first > second ? 'first' : 'second', push, should: diagonalOf(sides[0], sides[1]) };
}
