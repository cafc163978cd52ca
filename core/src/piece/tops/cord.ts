import { inches, type Length } from '../../length';
import { measure } from '../choice';
import type { Room } from '../family';
import type { Box } from '../geometry';
import { holed, UP } from '../kit';
import type { Part } from '../part';
import { boxOf } from '../shape';

/** An opening for cords near the back edge of a top. */
export const cordChoices = {
  cord: measure('Cord opening', 0, 0, inches(3), {
    help: 'How far across: a round hole near the middle of the back edge, clear of what carries the top. 0 for none.',
  }),
};

/** Wood left behind the opening, and round what stands below it. */
const BEHIND: Length = inches(1.25);
const CLEAR: Length = inches(3 / 4);
/** Farther from the middle than this it is rather moved inward. */
const MOST_ASIDE: Length = inches(12);
/** It is looked for in steps of this, inward and to both sides, and told from the board's edges in them. */
const STEP: Length = inches(1 / 4);

const steps = (most: number): readonly Length[] =>
  Array.from({ length: Math.max(0, Math.floor(most / STEP)) + 1 }, (_, k) => k * STEP);
const overlap = (a: Box, b: Box): boolean =>
  ([0, 1, 2] as const).every((axis) => a.min[axis] < b.max[axis] && a.max[axis] > b.min[axis]);

/**
 * A top with an opening for cords: as near to the middle of the back edge as nothing of the base lies under it, inside
 * one of its boards where they are wide enough. Null where there is no such place.
 */
export function openedForCords(
  { length, under }: Pick<Room, 'length' | 'under'>,
  top: readonly Part[],
  base: readonly Part[],
  across: Length,
): readonly Part[] | null {
  const radius = across / 2;
  const below = base.filter(({ loose }) => !loose).map(boxOf);
  const isClear = (x: number, y: number) => {
    const reach = radius + CLEAR;
    const column: Box = { min: [x - reach, y - reach, under - inches(4)], max: [x + reach, y + reach, under] };
    return !below.some((other) => overlap(other, column));
  };
  const back = Math.max(...top.map((part) => boxOf(part).max[1]));
  const boards = top.map(boxOf);
  // Inside one board where any is wide enough; else wherever it lies on the top at all.
  const isWhole = (x: number, y: number) =>
    boards.some(
      ({ min, max }) => min[0] <= x - radius && max[0] >= x + radius && min[1] < y - radius && max[1] > y + radius,
    );
  const some = boards.some(({ min, max }) => max[1] - min[1] > across + CLEAR);
  for (const inward of steps(back / 2 - BEHIND - radius))
    for (const aside of steps(Math.min(length / 2 - BEHIND - radius, MOST_ASIDE)))
      for (const x of [length / 2 - aside, length / 2 + aside]) {
        const y = back - BEHIND - radius - inward;
        if ((some && !isWhole(x, y)) || !isClear(x, y)) continue;
        return top.map((part) => holed(part, [x, y, 0], UP, radius));
      }
  return null;
}
