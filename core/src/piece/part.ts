import type { Role } from '../job';
import type { Length } from '../length';
import type { Frame, Outline } from '../solid';
import type { HardwareKind, Material } from '../stock';
import type { Phrase } from '../words';

/**
 * How an end is cut, degrees from square. `mitre` slants across the face, `bevel` through the thickness: with y from
 * 0 to the width and z from 0 to the thickness the end runs along x = a + y tan(mitre) + z tan(bevel).
 */
export type End = { readonly mitre: number; readonly bevel: number };
export const SQUARE: End = { mitre: 0, bevel: 0 };

type CutKind =
  | 'lap'
  | 'notch'
  | 'groove'
  | 'rebate'
  | 'dado'
  | 'hole'
  | 'relief'
  | 'corner'
  | 'mortise'
  | 'tenon'
  | 'taper';
/**
 * A prism taken out of a part, in the part's own directions: `outline` in the two directions other than `axis` (x, y
 * for 2; x, z for 1; y, z for 0), from one place to another along it. Convex. `for` is the tag of what lies in it.
 */
export type Cutout = {
  readonly kind: CutKind;
  readonly axis: 0 | 1 | 2;
  readonly outline: Outline;
  readonly from: number;
  readonly to: number;
  readonly for: string | null;
};

/** Bought as it is: never cut from a board. */
export type Bought = {
  readonly kind: HardwareKind;
  readonly size: string;
  readonly pounds: number;
  readonly price?: number;
};

/**
 * A part is a prism: a convex face outline through a thickness, its two ends cut to angles, less cut-outs, set in the
 * piece by a frame. Length is long point to long point. `plies` boards are glued face to face to make the thickness.
 */
export type Part = {
  /** Unique in the job: `glaze.T1`. */
  readonly id: string;
  readonly piece: string;
  /** `T1`, as written on the wood. */
  readonly tag: string;
  readonly role: Role;
  readonly name: string;
  readonly material: Material;
  readonly plies: number;
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  /** In the part's own length and width, counter-clockwise; null for a rectangle. */
  readonly outline: Outline | null;
  readonly ends: { readonly left: End; readonly right: End };
  readonly cuts: readonly Cutout[];
  readonly frame: Frame;
  /** How many are made of it in one piece: 1 unless a person says otherwise. */
  readonly count: number;
  /** Left long: trimmed with the whole panel once it is glued. */
  readonly trimmedLater: boolean;
  /** Left long over both ends of what it lies on, and cut flush with that once it is fixed. */
  readonly flush: boolean;
  /** Planed off each of its faces before anything else is done to it. */
  readonly planed: Length;
  /** Kept of an old piece, at the size it has: it is cut from no board. */
  readonly kept: boolean;
  /** Which part of a run it is, counted from 0: their grain runs on from each to the next. */
  readonly run: { readonly of: string; readonly at: number } | null;
  /** Both edges are ripped square, the rounded ones off. */
  readonly squared: boolean;
  /** Where a part must fit what exists by then: what to measure before it is cut. */
  readonly fit: Phrase | null;
  /** Tags of the parts whose sizes it must fit. */
  readonly dependsOn: readonly string[];
  readonly bought: Bought | null;
  /** Added to the list by hand: it has no place in the piece. */
  readonly loose: boolean;
  /** What a person set by hand, with what it would be. The model keeps the size that was worked out. */
  readonly changed: Readonly<Partial<Record<'length' | 'width' | 'thickness' | 'material' | 'count', string | number>>>;
};

/** How two parts meet. */
export const JOINT_KINDS = {
  edge: 'edge to edge',
  'rail end': 'rail end, pocket screws',
  'top clips': 'clips under the top',
  'top screws': 'screws up into the top',
  float: 'screws in slots, free to move',
  lap: 'half lap, glue and screws',
  glue: 'glue and brads',
  lamination: 'glue, face to face',
  screws: 'screws through the face',
  bolt: 'bolt',
  dado: 'dado, glue',
  groove: 'groove, left loose',
  hinge: 'hinges',
  'long hinge': 'one hinge all along',
  slide: 'slides',
  pins: 'shelf pins',
  plate: 'plate and screws',
  fold: 'folding bracket',
  rest: 'rests, not fixed',
  set: 'set in adhesive',
} as const;
export type JointKind = keyof typeof JOINT_KINDS;
/** Joints on which a part swings. */
export const SWINGS: readonly JointKind[] = ['hinge', 'long hinge'];

/** `drilled` takes the pockets, screws or slots; `into` is what it is fixed to. */
export type Joint = {
  readonly id: string;
  readonly piece: string;
  readonly kind: JointKind;
  readonly drilled: string;
  readonly into: string;
  /** Held by hardware across a gap: slides and hinges. The faces need not touch. */
  readonly apart: boolean;
};

/** A word on how it is best done, and what that takes beside parts and their joints. */
export type Hint = { readonly says: Phrase; readonly atHand: readonly Phrase[] };

/** Parts put together at one time, out of parts and of assemblies made before. */
export type Assembly = {
  readonly id: string;
  readonly title: Phrase;
  readonly parts: readonly string[];
  readonly from: readonly string[];
  /** What must be said before the joints: spacers, order, which face is up. */
  readonly notes: readonly Hint[];
  /** Spacer blocks that hold a distance while it is joined. */
  readonly spacers: readonly {
    readonly thickness: Length;
    readonly count: number;
    readonly under: readonly string[];
  }[];
};

/** What opens: parts that move together, and how far without touching anything else. */
export type Motion = {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly string[];
  readonly how:
    | { readonly kind: 'slide'; readonly along: readonly [number, number, number]; readonly travel: Length }
    | {
        readonly kind: 'turn';
        readonly about: readonly [number, number, number];
        readonly axis: readonly [number, number, number];
        readonly degrees: number;
      };
};

/** Whether the grain is to run on from one part into another: next to each other in a run of one piece. */
export const isNextInRun = ({ piece, run }: Part, next: Part): boolean =>
  run !== null && next.run !== null && next.piece === piece && next.run.of === run.of && next.run.at === run.at + 1;
