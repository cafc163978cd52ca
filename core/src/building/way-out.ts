import { inches, type Length } from '../length';
import type { Shop } from '../job';
import { around, boxOf, extent, weightOf, type Axis, type Part } from '../piece';
import { dim, say, strong, type Phrase } from '../words';

/** Head room on stairs and in doors, what a usual door is high (International Residential Code R311.2: 78 in clear). */
const HEAD_ROOM: Length = inches(78);

/** A right-angled turn: how wide the way is before and after it. */
export type Turn = { readonly before: Length; readonly after: Length };

/** Angles that a turn is tried at. */
const ANGLES = 360;

/**
 * The longest thing of so much depth that goes level round a right-angled turn. At every angle t its far side must pass
 * the inner corner: L <= (before sin t + after cos t - depth) / (sin t cos t). With no depth that is the ladder in the
 * corridor, (before^2/3 + after^2/3)^3/2. What is no longer than the way is wide need not turn. 0 where it is too deep.
 */
export function longestRound({ before, after }: Turn, depth: Length): Length {
  if (depth > Math.min(before, after)) return depth <= Math.max(before, after) ? Math.min(before, after) : 0;
  let most = Infinity;
  for (let at = 1; at < ANGLES; at++) {
    const angle = (at / ANGLES) * (Math.PI / 2);
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    most = Math.min(most, (before * sin + after * cos - depth) / (sin * cos));
  }
  return Math.floor(Math.max(most, before, after));
}

type Sizes = readonly [Length, Length, Length];

/** Whether it goes round a turn on one of its three sides, level. */
const turns = (turn: Turn, [least, middle, most]: Sizes): boolean =>
  (
    [
      [least, middle, most],
      [middle, least, most],
      [most, least, middle],
    ] as const
  ).some(([up, deep, long]) => up <= HEAD_ROOM && long <= longestRound(turn, deep));

/**
 * Why what is made of some parts can not be carried, whole, from the workshop to where it stays: door, turn of the
 * stairs, load space of what it is driven in, weight for two. Null where it can. It is tried square to the way: what is
 * tilted may pass where this says no.
 */
export function staysBecause(parts: readonly Part[], shop: Shop): Phrase | null {
  const box = around(parts.map(boxOf));
  if (!box) return null;
  const sizes = ([0, 1, 2] as const).map((axis: Axis) => extent(box, axis)).sort((a, b) => a - b);
  const [least, middle, most] = sizes as unknown as Sizes;
  if (least > shop.door) return say`it is ${dim(least)} at its thinnest, the door ${dim(shop.door)}`;
  if (middle > HEAD_ROOM) return say`it is ${dim(middle)} wide even on its side`;
  const { turn, load } = shop;
  if (turn && !turns(turn, [least, middle, most]))
    return say`it is ${dim(most)} by ${dim(middle)} by ${dim(least)}, and the turn on the way lets ${dim(longestRound(turn, least))} round at that thickness`;
  if (load) {
    const space = [load.length, load.width, load.height].sort((a, b) => a - b) as unknown as Sizes;
    if (least > space[0] || middle > space[1] || most > space[2])
      return say`it is ${dim(most)} by ${dim(middle)} by ${dim(least)}, and what it is driven in takes ${dim(space[2])} by ${dim(space[1])} by ${dim(space[0])}`;
  }
  const pounds = parts.reduce((sum, part) => sum + weightOf(part), 0);
  if (pounds > 2 * shop.lift)
    return say`it weighs about ${strong(`${Math.round(pounds)} lb`)}, two people carry ${strong(`${2 * shop.lift} lb`)}`;
  return null;
}
