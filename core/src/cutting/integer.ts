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
  /** Branches after which it stops. */
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

/** A row of a linear program: the sum of its columns, each by a value, is no less than so much, and no more. */
export type LinearRow = {
  readonly least: number;
  readonly most?: number;
  readonly entries: readonly (readonly [column: number, value: number])[];
};

/** A linear program of x >= 0 that is asked more and more, and solved again from where it stood. */
export type LinearProgram = {
  readonly add: (rows: readonly LinearRow[]) => void;
  /** No column is more than this from now on. */
  readonly limit: (most: Float64Array) => void;
  /** The x of least cost; null where there is none that costs less than is of use; `open` where that was not found. */
  readonly solve: () => readonly number[] | null | 'open';
  /** It takes memory that is not given back by itself. */
  readonly end: () => void;
};

/** Solves integer programs. Handed in by whoever loaded one: it is WebAssembly, which loads asynchronously. */
export type IntegerSolver = {
  (program: IntegerProgram, stopped: () => boolean): IntegerAnswer;
  /** Of columns with their costs; a cost of more than `below` is of no use. */
  readonly linear: (costs: readonly number[], below: number) => LinearProgram;
};
