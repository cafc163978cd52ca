import type { Built } from './family';
import type { Adaptation } from './as-built';

/** Parts and joints of one copy of a piece, with what moves in it and the order it goes together. */
export type PieceModel = Omit<Built, 'bearers'> & {
  /** The parts that carry the top, by id. */
  readonly bearers: readonly string[];
  /** What follows from sizes that were measured. */
  readonly adaptations: readonly Adaptation[];
};
