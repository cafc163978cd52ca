import { first, found, nth } from '../lists';
import { inches, type Length } from '../length';
import { solidOf, waysOf } from '../piece';
import { sizeOf } from '../work';
import { add, raysIn, times } from '../solid';
import { CLIP } from './fasteners';
import { place3, shifted, spaced, type JointLayout, type Lie, type Site } from './layout';
import { onPlane } from './meeting';
import type { ShankLaid } from './shank';

/** So far beside the rail a clip's own screw goes up into the top. */
export const CLIP_OFF: Length = inches(1 / 2);
/** Slot for a top's clips, below the top edge of the rail: 3/8 to 1/2 is usual. */
export const CLIP_SLOT: Length = inches(7 / 16);

/**
 * The slot that a clip's tongue slides in: as long as the clip is wide and room to move, a saw's or a cutter's width,
 * so deep.
 */
export const SLOT = { long: inches(1.25), thick: inches(1 / 8), deep: inches(3 / 8) } as const;
/** Its middle from the top of the rail. */
export const SLOT_MIDDLE: Length = CLIP_SLOT + SLOT.thick / 2;

/** Clips: the screw of each goes up into the top, beside the rail on the side that is not seen. */
export function clips(site: Site): JointLayout | null {
  const { drilled, into, meeting, units } = site;
  const run = meeting.axis === 0 ? meeting.along : 0;
  const wide = found([0, 1, 2] as const, (at) => at !== meeting.axis && at !== run);
  const [low, high] = nth(meeting.spans, run);
  const thick = sizeOf(drilled, wide);
  const under = (place: Length, across: Length) =>
    onPlane(
      drilled,
      meeting,
      place3([
        [run, place],
        [wide, across],
      ]),
    );
  const lie = (place: Length, face: 1 | -1): Lie => {
    const from = under(place, face > 0 ? thick + CLIP_OFF : -CLIP_OFF);
    const wood = raysIn(solidOf(into), from, meeting.normal).find(([low, high]) => low < 60 && high > 60)?.[1] ?? 0;
    const laid: ShankLaid = {
      from,
      direction: meeting.normal,
      // In thin wood a shorter one, or a washer under its head.
      length: Math.min(CLIP.length, Math.max(inches(5 / 16), Math.floor(wood) - inches(1 / 16))),
      radius: CLIP.shank / 2,
      behind: 0,
      hole: 0,
      position: place,
      driven: true,
    };
    // The slot as it lies along the face: two rows of it, the one at the face, the other as deep as it goes.
    const slot = () =>
      [SLOT.thick / 2, SLOT.deep - SLOT.thick / 2].map((deep): ShankLaid => {
        const middle = add(under(place, face > 0 ? thick - deep : deep), times(meeting.normal, -SLOT_MIDDLE));
        const reach = SLOT.long / 2 - SLOT.thick / 2;
        return {
          ...laid,
          from: add(middle, times(waysOf(drilled)[run], -reach)),
          direction: waysOf(drilled)[run],
          length: 2 * reach,
          radius: SLOT.thick / 2,
          driven: false,
        };
      });
    return { laid, first: into, second: into, meets: 0, whole: () => isWhole(place), beside: slot };
  };
  // The slot wants whole wood round it: none where something passes through the rail or where it ends.
  const isWhole = (place: Length): boolean => {
    const across = waysOf(drilled)[wide];
    const half = SLOT.long / 2;
    if (place - half < SLOT.thick || place + half > sizeOf(drilled, run) - SLOT.thick) return false;
    return [place - half, place, place + half].every((at) => {
      const slot = add(under(at, thick / 2), times(meeting.normal, -SLOT_MIDDLE));
      const wood = [across, times(across, -1)].map(
        (way) => raysIn(solidOf(drilled), slot, way).find(([from, to]) => from < 60 && to > 60)?.[1] ?? 0,
      );
      return first(wood) + nth(wood, 1) >= thick - inches(1 / 16);
    });
  };
  const targets = shifted(low, spaced(high - low, inches(12), inches(9), units));
  return {
    fastener: CLIP,
    jig: drilled.thickness,
    run,
    targets,
    tell: (place) => place,
    faces: [1, -1],
    lie,
    bite: inches(5 / 16),
    leaves: 0,
  };
}
