import { keeping, numbered } from '../lists';
import { partNumber, solidOf, type Part } from '../piece';
import { limitsAround, type Vec } from '../solid';
import { spaceBehind, standsIn } from './driver';
import type { Fastening } from './fastening';
import type { Access } from './joint-room';
import type { ShankLaid } from './shank';

/** A joint as it was laid out, the space where it was looked for what is in a driver's way, and what stood there. */
type Laid = {
  readonly space: readonly [Vec, Vec] | null;
  readonly there: string;
  readonly fastening: Fastening;
};

const boreNumber = numbered((bore: ShankLaid) => bore);
const laidBy = keeping<string, Laid[]>(3000);
/** Of one joint, among what stood about it. */
const MOST_ABOUT = 8;

/**
 * A joint as it was laid out before, where all that it follows from is the same and the same stands where it was looked
 * for what is in a driver's way; else laid out now. A piece is built again and again with little changed.
 *
 * @param of all else that it follows from, as plain data.
 * @param parts the two that are joined.
 * @param taken what is bored in them already.
 */
export function laidBefore(
  of: readonly unknown[],
  parts: readonly Part[],
  taken: readonly ShankLaid[],
  access: Access,
  layOut: (access: Access) => Fastening,
): Fastening {
  const standing = (space: Laid['space']): string =>
    space === null
      ? ''
      : access.about
          .filter((part) => standsIn(solidOf(part), space))
          .map(partNumber)
          .join();
  const key = JSON.stringify([
    of,
    parts.map(partNumber),
    access.one.map(partNumber),
    access.rooms,
    taken.map(boreNumber),
  ]);
  const known = laidBy(key, () => []);
  const same = known.find(({ space, there }) => standing(space) === there);
  if (same) return same.fastening;
  let space: Laid['space'] = null;
  const fastening = layOut({
    ...access,
    roomAround: (shank) => {
      space = limitsAround([...(space ?? []), ...spaceBehind(shank)]);
      return access.roomAround(shank);
    },
  });
  if (known.length === MOST_ABOUT) known.shift();
  known.push({ space, there: standing(space), fastening });
  return fastening;
}
