import { inches, type Length } from '../length';
import { boxOf, extent, solidOf, type Axis, type Joint, type Part } from '../piece';
import { raysIn, type Vec } from '../solid';
import type { Shank } from './shank';

/** Screws that come with slides and hinges: so long, and so thick. */
const LONG: Length = inches(3 / 8);
const RADIUS = inches(0.07);
/** First and last screw of a slide from its ends. */
const FROM_END: Length = inches(1.5);

/**
 * Where the screws of a slide go, into both parts, at half the height of what slides: three on each side. Hinges have
 * theirs near both ends of the door. Pockets must keep clear of them. Empty for what is bridged by anything else.
 */
export function hardwareShanks(joint: Joint, moving: Part, still: Part): readonly Shank[] {
  if (joint.kind !== 'slide') return [];
  const [a, b] = [boxOf(moving), boxOf(still)];
  const gapAxis = ([0, 1, 2] as const).find((axis) => a.min[axis] >= b.max[axis] || b.min[axis] >= a.max[axis]);
  if (gapAxis === undefined) return [];
  const [run] = ([0, 1] as const).filter((axis) => axis !== gapAxis) as [Axis];
  const side = a.min[gapAxis] >= b.max[gapAxis] ? 1 : -1;
  const from = Math.max(a.min[run], b.min[run]);
  const to = from + Math.min(extent(a, run), extent(b, run));
  const up = (a.min[2] + a.max[2]) / 2;
  const places = [from + FROM_END, (from + to) / 2, to - FROM_END];
  return places.flatMap((place): readonly Shank[] =>
    [
      { part: still, at: side > 0 ? b.max[gapAxis] : b.min[gapAxis], way: -side },
      { part: moving, at: side > 0 ? a.min[gapAxis] : a.max[gapAxis], way: side },
    ].map(({ part, at, way }) => {
      const point = [0, 0, 0] as [number, number, number];
      point[gapAxis] = at;
      point[run] = place;
      point[2] = up;
      const direction = [0, 0, 0] as [number, number, number];
      direction[gapAxis] = way;
      const wood = raysIn(solidOf(part), point as Vec, direction as Vec).find(([low]) => low < 10);
      return {
        from: point as Vec,
        direction: direction as Vec,
        length: LONG,
        radius: RADIUS,
        behind: 0,
        hole: 0,
        position: Math.round(place - from),
        bite: Math.min(LONG, wood?.[1] ?? 0),
        left: (wood?.[1] ?? 0) - LONG,
        held: true,
        through: part.id,
        // Screwed on before the two come together.
        driven: false,
      };
    }),
  );
}
