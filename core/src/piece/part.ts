import type { Length } from '../length';
import type { Nominal } from '../stock';
import type { Phrase } from '../words';
import type { Axis, Box, Point } from './geometry';

export type Role = 'top' | 'leg' | 'apron' | 'support';

/**
 * A part is a prism: a face outline through a thickness, set in the piece by a corner and two axes. `outline` runs in
 * the part's own length and width. `plies` boards are glued face to face to make the thickness.
 */
export type Part = {
  /** Unique in the job: `glaze.T1`. */
  readonly id: string;
  readonly piece: string;
  /** `T1`, as written on the wood. */
  readonly tag: string;
  readonly role: Role;
  readonly name: string;
  readonly nominal: Nominal;
  readonly plies: number;
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  readonly outline: readonly (readonly [Length, Length])[];
  readonly at: Point;
  /** Axis of the piece that the part's length runs along, and the one its width runs along. */
  readonly along: Axis;
  readonly across: Axis;
  /** Where a part must fit what exists by then: what to measure before it is cut. */
  readonly fit: Phrase | null;
};

/** How two parts meet. `drilled` takes the pockets, or the clip's slot; `into` takes the screw. */
export type JointKind = 'edge' | 'rail end' | 'top clips' | 'top screws';
export type Joint = {
  readonly id: string;
  readonly piece: string;
  readonly kind: JointKind;
  readonly drilled: string;
  readonly into: string;
};

/** The box a part fills in its piece. */
export function boxOf(part: Part): Box {
  const through = (3 - part.along - part.across) as Axis;
  const max = [...part.at] as [number, number, number];
  max[part.along] += part.length;
  max[part.across] += part.width;
  max[through] += part.thickness;
  return { min: part.at, max };
}
