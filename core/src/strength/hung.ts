import { first, last } from '../lists';
import { screwPounds } from '../joinery';
import { inches, toInches } from '../length';
import { boxOf, extent, hingePlaces, SWINGS, weightOf, type Joint, type Motion, type Part } from '../piece';

/** What is in a drawer where nothing else is said, lb. */
export const IN_DRAWER = 25;
/** A pair of slides beside a drawer bears so much, drawn out; what its own sheet says comes first. */
const SLIDES_BEAR = 75;
/** An arm that leans on the handle of an open door, lb. */
const LEANS = 20;
/** A butt hinge has so many screws in what it hangs on, so thick and biting so deep, in. */
const HINGE = { screws: 3, shank: inches(0.138), bite: 0.6 } as const;

/** What opens, what it hangs by, and what is asked of that against what it bears, lb. */
export type Hung = {
  readonly part: Part;
  readonly by: 'slides' | 'hinges';
  readonly asks: number;
  readonly bears: number;
};

/**
 * Drawers on their slides, with what is in them, and doors on their hinges: the upper one is pulled off by the weight
 * of the door and an arm on its far edge, over how far apart the outer two are.
 *
 * @param inDrawer lb in each drawer.
 */
export function hungOf(
  parts: readonly Part[],
  joints: readonly Joint[],
  motions: readonly Motion[],
  inDrawer: number,
): readonly Hung[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return motions.flatMap(({ how, parts: ids }): readonly Hung[] => {
    const own = ids.flatMap((id) => byId.get(id) ?? []);
    const weight = own.reduce((sum, part) => sum + weightOf(part), 0);
    const [part] = own;
    if (!part) return [];
    const hangs = (kinds: readonly Joint['kind'][]) =>
      joints.find(({ kind, drilled }) => kinds.includes(kind) && ids.includes(drilled));
    if (how.kind === 'slide')
      return hangs(['slide']) ? [{ part, by: 'slides', asks: weight + inDrawer, bears: SLIDES_BEAR }] : [];
    const joint = hangs(SWINGS);
    const on = joint && byId.get(joint.into);
    if (!joint || !on || Math.abs(how.axis[2]) < 0.9) return [];
    const box = boxOf(part);
    const wide = toInches(Math.max(extent(box, 0), extent(box, 1)));
    const places = hingePlaces(extent(box, 2));
    const apart = toInches(last(places) - first(places));
    const bears = screwPounds(on, HINGE.shank, HINGE.screws * HINGE.bite);
    return [{ part, by: 'hinges', asks: (weight * wide) / 2 / apart + (LEANS * wide) / apart, bears }];
  });
}
