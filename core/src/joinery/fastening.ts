import { inches, roundToTape, type Length, type Units } from '../length';
import { cornersOf, rawSolidOf, solidOf, type Joint, type Part } from '../piece';
import { contacts, dot, faceArea, into as intoFrame, type Face, type Vec } from '../solid';
import type { PocketScrew } from '../stock';
import { edgePositions, pocketScrew, railEndPositions } from './pocket-screws';
import { boltFor, bradFor, woodScrew } from './other-fasteners';

/** What holds a joint. */
export type Means = 'pocket screws' | 'clips' | 'screws' | 'brads' | 'bolts' | 'glue' | 'hardware' | 'nothing';

/** A joint worked out: what goes in, how the jig is set, where. */
export type Fastening = {
  readonly joint: Joint;
  readonly drilled: Part;
  readonly into: Part;
  readonly by: Means;
  /** Jig and collar setting: thickness of the part that is drilled. */
  readonly jig: Length;
  /** Size as sold; empty where nothing is driven. */
  readonly screw: string;
  /** Distances of each pocket, screw or clip; from which edge is said by `from`. */
  readonly positions: readonly Length[];
  readonly from: 'left end' | 'top edge' | 'near end';
  /** The side nobody sees, where the pockets or slots go. */
  readonly face: 'underside' | 'inside' | 'either face' | 'outside';
  /** How much of each of the two lies against the other, square inches: no finish goes there. */
  readonly meets: number;
  /** Area of glue, both faces counted, square inches. 0 where nothing is glued. */
  readonly glue: number;
  /** False where the screw that is safe in the thinner part is too short to reach out of this pocket. */
  readonly reaches: boolean;
};

/** Slot for a top's clips, below the top edge of the rail: 3/8 to 1/2 is usual. */
export const CLIP_SLOT: Length = inches(7 / 16);
/** Clips for a top: one every 8 to 12 in; at least one a board. */
const CLIP_SPACING = inches(10);
const BRAD_SPACING = inches(6);

const inSquareInches = (area: number) => area / (inches(1) * inches(1));

/** Where two parts meet, seen from the drilled one: the widest face, its run along the part, and its area. */
type Meeting = {
  readonly normal: Vec;
  readonly area: number;
  readonly run: Length;
  readonly start: Length;
  readonly lengthwise: boolean;
};

function meetingOf(drilled: Part, into: Part): Meeting | null {
  const faces = contacts(solidOf(drilled), solidOf(into));
  const widest = faces.reduce<Face | null>(
    (best, face) => (best === null || faceArea(face.points) > faceArea(best.points) ? face : best),
    null,
  );
  if (widest === null) return null;
  const points = faces
    .filter((face) => dot(face.normal, widest.normal) > 0.99)
    .flatMap((face) => face.points.map((point) => intoFrame(drilled.frame, point)));
  const range = ([0, 1, 2] as const).map((axis) => {
    const values = points.map((point) => point[axis]);
    return [Math.min(...values), Math.max(...values)] as const;
  });
  const spans = range.map(([low, high]) => high - low);
  const along = spans[0]! >= Math.max(spans[1]!, spans[2]!) ? 0 : spans[1]! >= spans[2]! ? 1 : 2;
  return {
    normal: widest.normal,
    area: inSquareInches(faces.reduce((sum, face) => sum + faceArea(face.points), 0)),
    run: Math.round(spans[along]!),
    start: Math.round(range[along]![0]),
    lengthwise: along === 0,
  };
}

/** How thick a part is along a direction. */
function thicknessAlong(part: Part, direction: Vec): Length {
  const runs = cornersOf(rawSolidOf(part)).map((point) => dot(point, direction));
  return Math.round(Math.max(...runs) - Math.min(...runs));
}

/** Places along a run: the middle of a short one, else two in from each end and evenly between. */
const along = (run: Length, spacing: Length, units: Units): readonly Length[] =>
  run <= inches(2.5) ? [Math.round(run / 2)] : edgePositions(run, units, spacing);

function fasten(joint: Joint, parts: ReadonlyMap<string, Part>, units: Units): Fastening {
  const drilled = parts.get(joint.drilled)!;
  const into = parts.get(joint.into)!;
  const meeting = meetingOf(drilled, into);
  const base = {
    joint,
    drilled,
    into,
    jig: drilled.thickness,
    screw: '',
    positions: [] as readonly Length[],
    from: 'near end' as const,
    face: 'inside' as const,
    glue: 0,
    meets: meeting?.area ?? 0,
    reaches: true,
  };
  if (meeting === null) {
    if (!joint.apart) throw new Error(`${joint.id}: the parts do not touch`);
    return { ...base, by: joint.kind === 'rest' ? 'nothing' : 'hardware' };
  }
  const glued = 2 * meeting.area;
  const thinner = Math.min(drilled.thickness, into.thickness);
  const pocket: PocketScrew | '' = pocketScrew(thinner) ?? '';
  const shifted = (local: readonly Length[]) => local.map((at) => roundToTape(meeting.start + at, units));
  switch (joint.kind) {
    case 'edge':
      return {
        ...base,
        by: 'pocket screws',
        screw: pocket,
        positions: edgePositions(drilled.length, units),
        from: 'left end',
        face: 'underside',
        glue: glued,
      };
    case 'rail end':
      return {
        ...base,
        by: 'pocket screws',
        screw: pocket,
        positions: railEndPositions(drilled.width, units),
        from: 'top edge',
        face: drilled.role === 'support' ? 'either face' : drilled.role === 'top' ? 'underside' : 'inside',
        glue: glued,
      };
    case 'top clips':
      return {
        ...base,
        by: 'clips',
        positions: shifted(
          meeting.run <= inches(9) ? [Math.round(meeting.run / 2)] : edgePositions(meeting.run, units, CLIP_SPACING),
        ),
      };
    case 'top screws':
      return {
        ...base,
        by: 'pocket screws',
        screw: pocket,
        positions: shifted(
          meeting.run <= inches(9) ? [Math.round(meeting.run / 2)] : edgePositions(meeting.run, units, inches(8)),
        ),
        reaches: pocketScrew(drilled.thickness) === pocket || drilled.thickness <= into.thickness,
      };
    case 'screws':
    case 'lap': {
      const [deep, bite] = [thicknessAlong(drilled, meeting.normal), thicknessAlong(into, meeting.normal)];
      const lapped = joint.kind === 'lap';
      const screw = lapped ? woodScrew(Math.round(deep / 2), Math.round(bite / 2)) : woodScrew(deep, bite);
      const positions = lapped
        ? [Math.round(meeting.run / 4), Math.round((3 * meeting.run) / 4)]
        : along(meeting.run, inches(8), units);
      return {
        ...base,
        by: 'screws',
        screw,
        positions: shifted(positions),
        face: 'outside',
        glue: drilled.role === 'top' || into.role === 'top' ? 0 : glued,
      };
    }
    case 'bolt':
      return {
        ...base,
        by: 'bolts',
        screw: boltFor(thicknessAlong(drilled, meeting.normal)),
        positions: shifted([Math.round(meeting.run / 2)]),
        face: 'outside',
      };
    case 'glue':
      return {
        ...base,
        by: 'brads',
        screw: bradFor(thinner),
        positions: shifted(along(meeting.run, BRAD_SPACING, units)),
        face: 'outside',
        glue: glued,
      };
    case 'lamination':
    case 'dado':
      return { ...base, by: 'glue', glue: glued };
    case 'groove':
    case 'rest':
      return { ...base, by: 'nothing' };
    default:
      return { ...base, by: 'hardware' };
  }
}

/** Every joint worked out. `parts` by id must hold both parts of every joint. */
export function fastenings(joints: readonly Joint[], parts: readonly Part[], units: Units): readonly Fastening[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return joints.map((joint) => fasten(joint, byId, units));
}
