import type { Tool } from '../job';
import type { HardwareKind } from '../stock';
import type { Operation, Spot, Teller, Worked } from '../work';
import type { Part } from '../piece';
import type { Fastening } from './fastening';
import type { JointLayout, Site } from './layout';

/** How much of a joint shows once it is made. */
export const LOOKS = {
  hidden: 'nothing shows',
  inside: 'pockets on the hidden face',
  filled: 'small holes, filled',
  plugs: 'plugs show',
  heads: 'heads show',
} as const;
export type Look = keyof typeof LOOKS;

/** Where joints are made: how places are told, how long parts still are, what drives where there is little room. */
export type JointBench = Teller & {
  readonly piece: string;
  readonly tools: readonly Tool[];
  /** A part as it is while it is worked on. */
  readonly worked: (part: Part) => Worked;
  /** Whether what a joint with the other part asks of a part is done here and now. */
  readonly takes: (part: Part, other: Part) => boolean;
  /** The driver to take, where it is not the usual one. */
  readonly driver: (joint: Fastening) => string | null;
};

/** What a method asks to be bought for one joint. */
export type Buys = { readonly kind: HardwareKind; readonly size: string; readonly count: number };

/**
 * A way to join: one record, one file. What it needs, where it fits, how it lies, how strong it is, what it buys, what
 * is done.
 */
export type WayToJoin = {
  readonly name: string;
  readonly look: Look;
  /** Any one of these sets of tools does. */
  readonly tools: readonly (readonly Tool[])[];
  /** Minutes to lay out and make one joint, and for each fastener in it. Typical for one unhurried person. */
  readonly setUp: number;
  readonly each: number;
  /**
   * What keeps the parts together in the end: fasteners that are laid, glue alone, or a tongue in its mortise or lap.
   */
  readonly holds: 'fasteners' | 'glue' | 'tongue';
  readonly glued: boolean;
  /** Stays in clamps until the glue holds; what is screwed needs none. */
  readonly clamped: boolean;
  /** Can be taken apart again. */
  readonly apart: boolean;
  /** It closes along its own line only: what is held so at both ends closes in one go. */
  readonly straight: boolean;
  /** Flat heads that lie in the face; the others of their kind go down a counterbore. */
  readonly countersunk: boolean;
  /** When it is right, in a line. */
  readonly when: string;
  /** Whether two parts can be cut for it. */
  readonly fits: (site: Pick<Site, 'joint' | 'drilled' | 'into'>) => boolean;
  /** How its fasteners lie; null where it has none to lay, or the wood does not allow it. */
  readonly lays: (site: Site, fine: boolean) => JointLayout | null;
  /** What is bought for a joint. */
  readonly buys: (item: Fastening) => readonly Buys[];
  /** Pounds of straight pull that the joint should bear. */
  readonly strength: (item: Fastening) => number;
  /** What is done to the parts before they come together: joints of this way, in one place and time. */
  readonly prepares: (joints: readonly Fastening[], bench: JointBench) => readonly Operation[];
  /** What is done once they are. */
  readonly makes: (joints: readonly Fastening[], bench: JointBench) => readonly Operation[];
};

export type { Spot };
