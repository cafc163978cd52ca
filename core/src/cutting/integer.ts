import type { Variable } from './simplex';

/**
 * Whole numbers x >= 0 of columns with A x >= need on every row, at least cost; rows with a negative need are limits.
 */
type IntegerProgram = {
  readonly columns: readonly Variable[];
  readonly need: readonly number[];
  /** So many rows, the first, must be met exactly. */
  readonly exact?: number;
  /** Costs of at least this are of no use. */
  readonly below: number;
  /** Branches after which it stops; none where parts of a column will do, which is quick and bounds the rest. */
  readonly nodes: number;
};

/**
 * What came of it: the best x found below the limit, or null; and whether the
 * search ran to its end, so that nothing better is there.
 */
type IntegerAnswer = {
  readonly x: readonly number[] | null;
  readonly complete: boolean;
};

/** Solves integer programs. Handed in by whoever loaded one: it is WebAssembly, which loads asynchronously. */
export type IntegerSolver = (program: IntegerProgram, stopped: () => boolean) => IntegerAnswer;
