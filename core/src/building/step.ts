import type { Length } from '../length';
import type { Assembly } from '../piece';
import type { Vec } from '../solid';
import type { Phrase } from '../words';
import type { Operation } from '../work';

type Action = { readonly id: string; readonly text: Phrase };

/** Parts that are put on together, as one body, and the way they move into place; null for the first of all. */
type Put = { readonly parts: readonly string[]; readonly way: Vec | null };

/** One sitting at the bench: what to take, what to do, what to check, and the picture of it. */
export type Step = {
  readonly id: string;
  readonly piece: string;
  readonly title: Phrase;
  /** Part ids that this step adds or works on, and those that are joined to them by then. */
  readonly adds: readonly string[];
  readonly there: readonly string[];
  /** What is put on what is there, in order, and the joints that are made, by id. */
  readonly puts: readonly Put[];
  readonly makes: readonly string[];
  /** Joints, by id, that no driver of the shop has room for at this step. */
  readonly noRoom: readonly string[];
  /** Steps that must be over before, their glue set, by id. */
  readonly after: readonly string[];
  /** Why it is done where the piece stays, as what it becomes can not be carried there; null in the workshop. */
  readonly stays: Phrase | null;
  /** What is done, in order; and the sentence of each. */
  readonly operations: readonly Operation[];
  readonly actions: readonly Action[];
  readonly pickUp: Phrase;
  /** Thicknesses of spacer blocks, with how many of each. */
  readonly spacers: Assembly['spacers'];
  readonly clamps: number;
  /**
   * What both diagonals should read, where the step makes something with four corners; of a rectangle its sides too.
   */
  readonly diagonals: readonly [Length, Length] | null;
  readonly sides: readonly [Length, Length] | null;
  readonly cautions: readonly Phrase[];
  /** Minutes at work, and minutes before the next step may load the joint. */
  readonly work: number;
  readonly wait: number;
  /** Of the waiting, the minutes in which nothing else of this piece can be done. */
  readonly pause: number;
};
