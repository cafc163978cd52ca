import { inches, type Length } from '../length';
import { solidOf, waysOf } from '../piece';
import { add, raysIn, times } from '../solid';
import { CLIP } from './fasteners';
import { place3, shifted, spaced, type Layout, type Lie, type Site } from './layout';
import { onPlane } from './meeting';
import type { Laid } from './shank';

/** So far beside the rail a clip's own screw goes up into the top. */
export const CLIP_OFF: Length = inches(1 / 2);
/** Slot for a top's clips, below the top edge of the rail: 3/8 to 1/2 is usual. */
export const CLIP_SLOT: Length = inches(7 / 16);

/** Clips: the screw of each goes up into the top, beside the rail on the side that is not seen. */
export function clips(site: Site): Layout | null {
  const { drilled, into, meeting, units } = site;
  const run = meeting.axis === 0 ? meeting.along : 0;
  const wide = ([0, 1, 2] as const).find((at) => at !== meeting.axis && at !== run)!;
  const [low, high] = meeting.spans[run]!;
  const [near, far] = meeting.spans[wide]!;
  const lie = (place: Length, face: 1 | -1): Lie => {
    const from = onPlane(drilled, meeting, place3([[run, place], [wide, face > 0 ? far + CLIP_OFF : near - CLIP_OFF]])); // prettier-ignore
    const wood = raysIn(solidOf(into), from, meeting.normal).find(([low, high]) => low < 60 && high > 60)?.[1] ?? 0;
    const laid: Laid = {
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
    return { laid, first: into, second: into, meets: 0 };
  };
  // The slot wants whole wood behind it: none where something passes through the rail.
  const isWhole = (place: Length): boolean => {
    const middle = onPlane(drilled, meeting, place3([[run, place], [wide, (near + far) / 2]])); // prettier-ignore
    const slot = add(middle, times(meeting.normal, -CLIP_SLOT));
    const across = waysOf(drilled)[wide];
    const wood = [across, times(across, -1)].map((way) => raysIn(solidOf(drilled), slot, way).find(([from, to]) => from < 60 && to > 60)?.[1] ?? 0); // prettier-ignore
    return wood[0]! + wood[1]! >= far - near - inches(1 / 16);
  };
  const targets = shifted(low, spaced(high - low, inches(10), inches(9), units)).filter(isWhole);
  return { fastener: CLIP, jig: drilled.thickness, run, targets, tell: (place) => place, faces: [1, -1], lie, bite: inches(5 / 16), leaves: 0 }; // prettier-ignore
}
