import type { Length } from '../length';
import type { Phrase } from '../words';

export type Action = { readonly id: string; readonly text: Phrase };

/** One sitting at the bench: what to take, what to do, what to check, and the picture of it. */
export type Step = {
  readonly id: string;
  readonly piece: string;
  readonly title: Phrase;
  /** Part ids that this step adds or works on, and those that are joined to them by then. */
  readonly adds: readonly string[];
  readonly there: readonly string[];
  readonly actions: readonly Action[];
  readonly pickUp: Phrase;
  /** Thicknesses of spacer blocks, with how many of each. */
  readonly spacers: readonly { readonly thickness: Length; readonly count: number }[];
  readonly clamps: number;
  /** What both diagonals should read, where the step makes a rectangle. */
  readonly diagonal: Length | null;
  readonly cautions: readonly Phrase[];
  /** Minutes at work, and minutes before the next step may load the joint. */
  readonly work: number;
  readonly wait: number;
};
