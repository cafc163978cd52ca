import { held, sure } from '../lists';
import { inches, toInches, type Length } from '../length';
import type { Piece } from '../job';
import { topOf } from './families';
import type { Motion, Part } from './part';
import { boxOf, cornersOf, openedBy, solidOf } from './shape';
import { weightOf } from './weight';

/** Above this a case tips onto who climbs its shelves or pulls at its top. */
const TALL: Length = inches(30);
/** A child who climbs on the front of an open drawer, lb; ordinary home use. */
const CHILD = 60;
/** Who leans on the edge of a drop front or of a leaf that is drawn out, lb; ordinary home use. */
export const ON_EDGE = 50;

/** What tips a piece that stands open: so many pounds on the front of what, where an ordinary home may see as much. */
export type TipsOpen = { readonly what: 'drawer' | 'drop front'; readonly pounds: number; readonly part: Part };

/** What opens towards the front, and what it is called; null for doors, which swing beside the feet. */
const kindOf = ({ how }: Motion): TipsOpen['what'] | null =>
  how.kind === 'slide' ? (how.along[1] < 0 ? 'drawer' : null) : Math.abs(how.axis[0]) > 0.9 ? 'drop front' : null;

/**
 * The load on the front of what is open that lifts the back feet, all that opens standing open: own weight about the
 * front feet against the reach of the load. Null where nothing opens, or what tips it is more than a home sees. Kept
 * with the parts.
 *
 * @param inDrawer lb in each drawer; where nothing is said they are taken as empty.
 */
export function tipsOpen(parts: readonly Part[], motions: readonly Motion[], inDrawer = 0): TipsOpen | null {
  const before = known.get(parts);
  if (before?.motions === motions && before.inDrawer === inDrawer) return before.tips;
  const tips = worstOpen(parts, motions, inDrawer);
  known.set(parts, { motions, inDrawer, tips });
  return tips;
}
type Tipping = { readonly motions: readonly Motion[]; readonly inDrawer: number; readonly tips: TipsOpen | null };
const known = new WeakMap<readonly Part[], Tipping>();

function worstOpen(parts: readonly Part[], motions: readonly Motion[], inDrawer: number): TipsOpen | null {
  const opens = motions.filter((motion) => kindOf(motion) !== null);
  const standing = parts.filter((part) => !part.loose && boxOf(part).min[2] === 0);
  if (opens.length === 0 || standing.length === 0) return null;
  const feet = Math.min(...standing.map((part) => boxOf(part).min[1]));
  const solid = parts.filter(({ loose }) => !loose);
  // Of each its front and its middle from front to back, opened where it opens.
  const reaches = new Map(
    solid.map((part) => {
      const motion = opens.find((one) => one.parts.includes(part.id));
      const all = cornersOf(motion ? openedBy(solidOf(part), motion, 1) : solidOf(part)).map(([, y]) => y);
      return [part, { front: Math.min(...all), middle: (Math.min(...all) + Math.max(...all)) / 2 }] as const;
    }),
  );
  const reachOf = (part: Part) => held(reaches, part);
  const empty = solid.reduce((sum, part) => sum + weightOf(part) * toInches(reachOf(part).middle - feet), 0);
  // What is in a drawer lies over the middle of its bottom.
  const holds = opens.reduce((sum, motion) => {
    const bottom = solid.find(({ id, name }) => motion.parts.includes(id) && name === 'drawer bottom');
    return bottom ? sum + inDrawer * toInches(reachOf(bottom).middle - feet) : sum;
  }, empty);
  const loads = opens.flatMap((motion): readonly TipsOpen[] => {
    const own = solid.filter(({ id }) => motion.parts.includes(id));
    if (own.length === 0) return [];
    const part = own.reduce((a, b) => (reachOf(b).front < reachOf(a).front ? b : a));
    const reach = toInches(feet - reachOf(part).front);
    const what = sure(kindOf(motion), 'way it opens');
    return reach > 0 ? [{ what, part, pounds: Math.max(0, holds / reach) }] : [];
  });
  const [worst] = [...loads].sort((a, b) => a.pounds - b.pounds);
  return worst && worst.pounds < (worst.what === 'drawer' ? CHILD : ON_EDGE) ? worst : null;
}

/** Why a piece must be fixed to the wall: it is tall, or tips when it stands open; null where it need not be. */
export function anchored(
  piece: Piece,
  { parts, motions }: { readonly parts: readonly Part[]; readonly motions: readonly Motion[] },
): 'tall' | TipsOpen | null {
  return (
    tipsOpen(parts, motions, piece.carries.drawer ?? 0) ??
    (topOf(piece) === null && piece.size.height > TALL ? 'tall' : null)
  );
}
