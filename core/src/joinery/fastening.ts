import { inches, roundToTape, type Length, type Units } from '../length';
import { AXES, boxOf, contact, extent, type Axis, type Joint, type Part } from '../piece';
import type { PocketScrew } from '../stock';
import { edgePositions, pocketScrew, railEndPositions } from './pocket-screws';

/** A joint worked out: what goes in, how the jig is set, where. */
export type Fastening = {
  readonly joint: Joint;
  readonly drilled: Part;
  readonly into: Part;
  readonly by: 'pocket screws' | 'clips';
  /** Jig and collar setting: thickness of the part that is drilled. */
  readonly jig: Length;
  readonly screw: PocketScrew | '';
  /** Distances of each pocket or clip, from which edge is said by `from`. */
  readonly positions: readonly Length[];
  readonly from: 'left end' | 'top edge' | 'near end';
  /** The side nobody sees, where the pockets or slots go. */
  readonly face: 'underside' | 'inside' | 'either face';
  /** Area of glue, both faces counted, square inches. 0 where nothing is glued. */
  readonly glue: number;
  /** False where the screw that is safe in the thinner part is too short to reach out of this pocket. */
  readonly reaches: boolean;
};

/** Slot for a top's clips, below the top edge of the rail: 3/8 to 1/2 is usual. */
export const CLIP_SLOT: Length = inches(7 / 16);

/** Clips for a top: one every 8 to 12 in; at least one a board. */
const CLIP_SPACING = inches(10);

const inSquareInches = (area: number) => area / (inches(1) * inches(1));

function fasten(joint: Joint, parts: ReadonlyMap<string, Part>, units: Units): Fastening {
  const drilled = parts.get(joint.drilled)!;
  const into = parts.get(joint.into)!;
  const meeting = contact(boxOf(drilled), boxOf(into));
  if (meeting === null) throw new Error(`${joint.id}: the parts do not touch`);
  const faces = AXES.filter((axis) => axis !== meeting.normal);
  const area = faces.reduce<number>((product, axis) => product * extent(meeting.area, axis), 1);
  const thinner = Math.min(drilled.thickness, into.thickness);
  const screw: PocketScrew | '' = pocketScrew(thinner) ?? '';
  const base = { joint, drilled, into, jig: drilled.thickness, screw };

  if (joint.kind === 'edge')
    return {
      ...base,
      by: 'pocket screws',
      positions: edgePositions(drilled.length, units),
      from: 'left end',
      face: 'underside',
      glue: 2 * inSquareInches(area),
      reaches: true,
    };
  if (joint.kind === 'rail end')
    return {
      ...base,
      by: 'pocket screws',
      positions: railEndPositions(drilled.width, units),
      from: 'top edge',
      face: drilled.role === 'support' ? 'either face' : 'inside',
      glue: 2 * inSquareInches(area),
      reaches: true,
    };
  const axis: Axis = drilled.along;
  const run = extent(meeting.area, axis);
  const start = meeting.area.min[axis] - boxOf(drilled).min[axis];
  const local =
    run <= inches(9)
      ? [Math.round(run / 2)]
      : edgePositions(run, units, joint.kind === 'top clips' ? CLIP_SPACING : inches(8));
  const clips = joint.kind === 'top clips';
  return {
    ...base,
    by: clips ? 'clips' : 'pocket screws',
    screw: clips ? '' : screw,
    positions: local.map((position) => roundToTape(start + position, units)),
    from: 'near end',
    face: 'inside',
    glue: 0,
    reaches: clips || pocketScrew(drilled.thickness) === screw || drilled.thickness <= into.thickness,
  };
}

/** Every joint worked out. `parts` by id must hold both parts of every joint. */
export function fastenings(joints: readonly Joint[], parts: readonly Part[], units: Units): readonly Fastening[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return joints.map((joint) => fasten(joint, byId, units));
}
