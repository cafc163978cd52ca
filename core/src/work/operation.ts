import type { Length } from '../length';
import type { Tool } from '../job';
import type { Outline, Vec } from '../solid';
import type { HardwareKind } from '../stock';
import type { Phrase } from '../words';
import type { Named, PartSide, Spot } from './side';

/** What every operation has, whatever it does. */
type Common = {
  /** Told by what is done to what: it does not change when others come or go. */
  readonly id: string;
  readonly piece: string;
  /** Ids of the parts it works on. */
  readonly on: readonly string[];
  /** Their tags, for the sentence. */
  readonly tags: readonly string[];
  /** Minutes at work; one person, not hurried. */
  readonly minutes: number;
  /** The shop's tool for it; null where hands, clamps and a pencil do. */
  readonly tool: Tool | null;
  /** Pounds that are lifted, and how many people that takes; none for what one lifts without a thought. */
  readonly lift: { readonly pounds: number; readonly people: number } | null;
};

/** A drill bit by its name, and how wide it bores. */
export type DrillBit = { readonly name: string; readonly across: Length };

/** What an outline takes out of a part, as it is told: in its length, width and thickness, from named sides. */
export type Taken = {
  readonly kind: string;
  readonly axis: 0 | 1 | 2;
  /** In the two directions other than the axis, as told. */
  readonly outline: Outline;
  /** From one place to another along the axis; beyond the part where it goes through. */
  readonly from: number;
  readonly to: number;
};

/** Parts that move as one, and the way into their place; null where they lie first. */
type Coming = { readonly parts: readonly string[]; readonly tags: readonly string[]; readonly way: Vec | null };

/** Where a part lies on another: rows of so far from a side of the one or the other, or level with it. */
export type Standing = {
  readonly part: string;
  readonly tag: string;
  readonly onto: string;
  readonly ontoTag: string;
  /** The side of the other that it lies on. */
  readonly side: Named;
  readonly rows: readonly {
    /** Whose side is measured from. */
    readonly of: 'onto' | 'part';
    readonly from: Named;
    readonly at: Length;
  }[];
};

/** What an operation uses up: pieces, or fluid ounces; parts of one where several operations share it. */
export type Take = { readonly kind: HardwareKind; readonly size: string; readonly count: number };

export type Does =
  | { readonly kind: 'plane'; readonly to: Length; readonly each: Length; readonly passes: number }
  | {
      readonly kind: 'laminate';
      readonly plies: number;
      readonly each: number;
      readonly together: number;
      readonly noun: string;
      readonly rounds: number;
    }
  | { readonly kind: 'rip'; readonly passes: readonly Length[]; readonly to: Length; readonly from: Length }
  | { readonly kind: 'trim'; readonly to: Length; readonly off: Length; readonly why: 'snipe' | 'long' }
  | { readonly kind: 'fit'; readonly measure: Phrase; readonly planned: Length; readonly over: Length }
  /** Both ends of a part to their angles, from a blank as long as its long points. */
  | {
      readonly kind: 'mitre';
      readonly ends: readonly {
        readonly end: Named;
        readonly mitre: number;
        readonly bevel: number;
        /** The sides on which it is longest: of the width, of the thickness. */
        readonly long: readonly Named[];
      }[];
      readonly length: Length;
      readonly short: Length;
    }
  /** Corners of a face as told from two sides; `across` where it is a round one. */
  | {
      readonly kind: 'outline';
      readonly outline: Outline;
      readonly from: Named;
      readonly up: Named;
      readonly face: Named;
    }
  | {
      readonly kind: 'cut';
      /** By part. */
      readonly taken: Readonly<Record<string, readonly Taken[]>>;
      readonly what: string;
      readonly for: readonly string[];
      readonly says: Phrase;
    }
  | {
      readonly kind: 'pocket';
      readonly spots: readonly Spot[];
      readonly exit: Named;
      readonly exits: Readonly<Record<string, PartSide>>;
      readonly jig: Length;
      readonly screw: string;
    }
  | {
      readonly kind: 'bore';
      readonly spots: readonly Spot[];
      /** Which way each runs into the part, in its own directions. */
      readonly ways: readonly Vec[];
      /** Bits in turn, each so deep from the surface; null through. */
      readonly bits: readonly {
        readonly bit: DrillBit;
        readonly deep: Length | null;
        readonly as: 'counterbore' | 'clearance' | 'hole';
      }[];
      /** Through so much, from the surface, those go that have no depth; 0 where only one board's thickness says it. */
      readonly through: Length;
      readonly countersunk: boolean;
      readonly for: string;
      /** Once the part has its neighbours: it is bored where it stands. */
      readonly slant: boolean;
    }
  /**
   * Slots for biscuits or clips, mortises for loose tenons: so long, so thick, so deep; slanted ends take them square
   * to the end.
   */
  | {
      readonly kind: 'slot';
      readonly spots: readonly Spot[];
      readonly ways: readonly Vec[];
      readonly slant: boolean;
      readonly what: string;
      readonly long: Length;
      readonly thick: Length;
      readonly deep: Length;
    }
  | { readonly kind: 'elongate'; readonly spots: readonly Spot[]; readonly long: Length }
  | { readonly kind: 'arrange'; readonly what: string; readonly straightedge: Length; readonly unequal: boolean }
  | { readonly kind: 'dry'; readonly joints: readonly string[] }
  /**
   * `row`: boards side by side, which of them lies level with the other. `out`: what runs or swings, taken out or taped
   * shut before it is turned.
   */
  | {
      readonly kind: 'place';
      readonly comes: readonly Coming[];
      readonly marks: readonly Standing[];
      readonly row: 'ends' | 'middles' | null;
      readonly fixed: boolean;
      readonly over: boolean;
      readonly out: readonly string[];
      readonly says: Phrase | null;
    }
  | {
      readonly kind: 'glue';
      readonly joints: readonly string[];
      readonly count: number;
      readonly ends: boolean;
      readonly slow: boolean;
      readonly only: Phrase | null;
    }
  | {
      readonly kind: 'peg';
      readonly joints: readonly string[];
      readonly fastener: HardwareKind;
      readonly size: string;
      readonly count: number;
    }
  /** `holds`: what is driven then and holds it while the glue sets. */
  | {
      readonly kind: 'clamp';
      readonly count: number;
      readonly span: Length;
      readonly cauls: number;
      readonly holds: 'screws' | 'brads' | null;
    }
  /** Until the glue holds: nothing else is done to it. */
  | { readonly kind: 'wait'; readonly wait: number; readonly clamped: boolean }
  | {
      readonly kind: 'drive';
      readonly joints: readonly string[];
      readonly fastener: HardwareKind;
      readonly size: string;
      readonly count: number;
      readonly into: readonly string[];
      /** Bored through the hole there is, so deep into what it goes into, `reach` below the surface; or none. */
      readonly pilot: { readonly bit: DrillBit; readonly deep: Length; readonly reach: Length } | null;
      /** Heads lie so deep below the surface. */
      readonly sunk: readonly Length[];
      readonly bit: string;
      readonly washer: boolean;
      /** Where nuts of bolts go: into counterbores at their far ends, or in by the holes at the side; null for none. */
      readonly nuts: 'in' | 'out' | null;
      readonly snug: boolean;
      readonly driver: string | null;
      readonly spots: readonly Spot[];
    }
  | { readonly kind: 'plug'; readonly fastener: HardwareKind; readonly size: string; readonly count: number }
  | {
      readonly kind: 'block';
      readonly joints: readonly string[];
      readonly count: number;
      readonly thick: Length;
      readonly long: Length;
    }
  | {
      readonly kind: 'hang';
      readonly joints: readonly string[];
      readonly fastener: HardwareKind | null;
      readonly size: string;
      readonly count: number;
      readonly says: Phrase;
    }
  | {
      readonly kind: 'fit hardware';
      readonly fastener: HardwareKind;
      readonly size: string;
      readonly count: number;
      readonly says: Phrase;
    }
  | { readonly kind: 'spacers'; readonly thickness: Length; readonly count: number; readonly under: readonly string[] }
  | { readonly kind: 'slide'; readonly name: string; readonly travel: Length }
  | { readonly kind: 'square'; readonly reads: readonly [Length, Length] }
  | {
      readonly kind: 'turn';
      readonly about: 'over' | 'upright';
      readonly out: readonly string[];
      readonly says: Phrase;
    }
  | { readonly kind: 'carry'; readonly because: Phrase }
  /** The glued whole cut to size: so much off each end; planks flush with what they lie on, the saw so deep. */
  | {
      readonly kind: 'trim whole';
      readonly what: string;
      readonly to: Length;
      readonly off: Length;
      readonly width: Length;
      readonly round: Length | null;
      readonly flush: { readonly to: string; readonly deep: Length; readonly above: boolean } | null;
      readonly along: PartSide;
    }
  /** A profile along the upper edge of a top, in so many passes; by a plane where there is no router. */
  | {
      readonly kind: 'profile';
      readonly shape: 'round' | 'chamfer' | 'bead';
      readonly deep: Length;
      readonly run: Length;
      readonly passes: number;
    }
  | { readonly kind: 'level'; readonly levellers: boolean }
  | { readonly kind: 'measure'; readonly size: readonly [Length, Length, Length] }
  | { readonly kind: 'anchor' }
  /** Offcuts sanded and finished as the piece will be, one for each recipe. */
  | {
      readonly kind: 'sample';
      readonly recipes: readonly string[];
      /** Those that the piece does not take yet. */
      readonly tried: readonly string[];
      readonly takes: readonly Take[];
    }
  /** What is on the wood already comes off. */
  | {
      readonly kind: 'strip';
      readonly what: 'clear' | 'paint';
      readonly where: Phrase;
      readonly takes: readonly Take[];
    }
  /** Joints of a glued top made level: so much they may stand proud, so thick it is after. */
  | {
      readonly kind: 'flatten';
      readonly by: 'sander' | 'belt sander' | 'hand plane' | 'planer';
      readonly proud: Length;
      readonly left: Length;
      readonly takes: readonly Take[];
    }
  /** Heads that show, and what the wood brings with it. */
  | {
      readonly kind: 'fill';
      readonly heads: number;
      readonly knots: boolean;
      readonly product: 'stainable' | 'paintable';
      /** What sets loose knots and cracks fast. */
      readonly cracks: 'filler' | 'thin glue' | 'sawdust';
      /** Feet of seams that are caulked under paint: then nothing else is filled. */
      readonly seams: number;
      readonly takes: readonly Take[];
    }
  /**
   * `sheets`: what sheets are begun with, where there are some: their faces are thin. `ends`: a grit more for end
   * grain, where there is some. `hand`: square feet no sander reaches.
   */
  | {
      readonly kind: 'sand';
      readonly grits: readonly number[];
      readonly sheets: number | null;
      readonly ends: number | null;
      readonly where: Phrase;
      readonly area: number;
      readonly hand: number;
      readonly wetted: boolean;
      readonly takes: readonly Take[];
    }
  /** What stays bare, or is of another colour, taped off. */
  | { readonly kind: 'mask'; readonly feet: number; readonly why: 'glue' | 'colours'; readonly takes: readonly Take[] }
  | {
      readonly kind: 'coat';
      readonly product: string;
      /** What it is mixed of, by parts; empty where it comes as it is. */
      readonly mix: readonly { readonly tone: string; readonly parts: number }[];
      readonly where: Phrase;
      readonly under: boolean;
      readonly by: 'brush' | 'wipe' | 'roller' | 'spray';
      readonly nth: number;
      readonly of: number;
      /** Grit before it; 0 where none is. */
      readonly between: number;
      /** Hours before the next, and after which it is sanded before the next; null where it never is. */
      readonly hours: number;
      readonly window: number | null;
      /** Minutes after which it is wiped off; null where it is left. */
      readonly wipe: number | null;
      readonly ounces: number;
      /** Oil is in it: rags that took it up catch fire by themselves. */
      readonly oily: boolean;
      /** Least and most degrees F, most percent of humidity. */
      readonly air: readonly [number, number, number];
      readonly takes: readonly Take[];
    }
  /** Once all is dry: edges rubbed through, brown paper over all of it. */
  | { readonly kind: 'rub'; readonly edges: boolean; readonly where: Phrase }
  /** Hours until it is handled, used, and hard; days for the last. */
  | { readonly kind: 'cure'; readonly use: number; readonly cured: number }
  /**
   * Tiles that are set: into adhesive, so wide apart; their joints grouted; the joint along the frame sealed. `spaced`:
   * spacers of that width are there.
   */
  | {
      readonly kind: 'tile';
      readonly what: 'set' | 'grout' | 'seal';
      readonly joint: Length;
      readonly notch: Length;
      readonly spaced: boolean;
      readonly takes: readonly Take[];
    }
  /** A family's own word on how it is best done. */
  | { readonly kind: 'heed'; readonly says: Phrase; readonly atHand: readonly Phrase[] };

/** One thing that is done: data from which every sentence about it is made, and which the rehearsal carries out. */
export type Operation = Common & Does;
export type OperationKind = Operation['kind'];
export type OperationOf<K extends OperationKind> = Extract<Operation, { kind: K }>;
