import { inches, type Length } from '../length';
import { solidOf } from '../piece';
import { raysIn } from '../solid';
import { place3, POCKET_SHANK, shifted, spaced, type Layout, type Lie, type Site } from './layout';
import { onPlane } from './meeting';
import type { Laid } from './shank';

/** How far a clip's own screw goes up into the top beside the rail. */
const CLIP_SCREW = inches(1 / 2);
const CLIP_OFF = inches(1 / 2);

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
      length: Math.min(CLIP_SCREW, Math.max(inches(5 / 16), Math.floor(wood) - inches(1 / 16))),
      radius: POCKET_SHANK,
      behind: 0,
      hole: 0,
      position: place,
      driven: true,
    };
    return { laid, first: into, second: into, meets: 0 };
  };
  const targets = shifted(low, spaced(high - low, inches(10), inches(9), units));
  return { size: '', jig: drilled.thickness, run, targets, tell: (place) => place, faces: [1, -1], lie, bite: inches(5 / 16), leaves: 0 }; // prettier-ignore
}
