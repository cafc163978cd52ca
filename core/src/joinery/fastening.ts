import { sure } from '../lists';
import type { Length } from '../length';
import type { Joint, Part } from '../piece';
import type { Solid, Vec } from '../solid';
import { isBoard, isSheet, SPECIES, speciesOf } from '../stock';
import type { Fastener } from './fasteners';
import type { Means } from './kinds';
import { isOnTop } from './layout';
import type { Trouble } from './placing';
import type { ShankLaid, Shank } from './shank';

/** The fastener of a joint that has one. Throws where it is glue alone or hardware. */
export const fastenerOf = ({ fastener, joint }: Fastening): Fastener => sure(fastener, `fastener of ${joint.id}`);

/** A joint worked out: what goes in, how the jig is set, where. */
export type Fastening = {
  readonly joint: Joint;
  readonly drilled: Part;
  readonly into: Part;
  readonly by: Means;
  /** Pockets are filled with plugs. */
  readonly plugs: boolean;
  /** Jig and collar setting: thickness of the part that is drilled. */
  readonly jig: Length;
  /** What holds it; null where that is glue, wood or hardware of its own. */
  readonly fastener: Fastener | null;
  /** Its size as sold; empty where nothing is driven. */
  readonly screw: string;
  /** It holds boards that move with the seasons. */
  readonly moves: boolean;
  /** Distances of each pocket, screw or clip; from which edge is said by `from`. */
  readonly positions: readonly Length[];
  readonly from: 'left end' | 'top edge' | 'near end';
  /** Middles of its hinges; empty where there are none. */
  readonly hinges: readonly Length[];
  /** The side nobody sees, where the pockets or slots go. */
  readonly face: 'underside' | 'inside' | 'either face' | 'outside';
  /** How much of each of the two lies against the other, square inches: no finish goes there. */
  readonly meets: number;
  /** Area of glue, both faces counted, square inches. 0 where nothing is glued. */
  readonly glue: number;
  /** False where the screw that is safe in the thinner part is too short to reach out of this pocket. */
  readonly reaches: boolean;
  /** Every fastener as it lies in the piece. */
  readonly shanks: readonly Shank[];
  /** What is cut for them besides, that others keep clear of. */
  readonly slots: readonly ShankLaid[];
  /** What is glued on for them to go through: a corner block. */
  readonly blocks: Solid;
  /** What could not be made right; empty where all is well. */
  readonly troubles: readonly Trouble[];
  /** The usual way, and why this one stands for it; null where it is made as it was asked for. */
  readonly instead: { readonly of: Means; readonly because: Trouble } | null;
  /** Which way the joint closes: out of `drilled`, into `into`; null where hardware bridges a gap. */
  readonly closes: Vec | null;
};

/** Dense wood wants a fine thread: red oak and its like. */
const DENSE = 40;
export const isDense = ({ material }: Part): boolean =>
  isBoard(material) && !isSheet(material) && SPECIES[speciesOf(material)].density >= DENSE;

/** Whether a joint lets the wood of a top move: clips, slots, and bolts in slots under it. */
export const letsMove = ({ by, joint }: Pick<Fastening, 'by' | 'joint'>): boolean =>
  by === 'clips' || by === 'slotted screws' || (by === 'inserts' && isOnTop(joint.kind));
