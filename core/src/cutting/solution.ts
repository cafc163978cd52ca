/**
 * The cut solution file, `sill-plan/cut-solution@1`. Lengths are decimals in the problem's unit, money is in whole
 * units.
 */
export const SOLUTION_FORMAT = 'sill-plan/cut-solution@1';

type PlacedPiece = {
  readonly part: string;
  readonly x: number;
  readonly y: number;
  /** Extents along x and y as it lies. */
  readonly length: number;
  readonly width: number;
  readonly turned: boolean;
  readonly flip: 'none' | 'end' | 'over' | 'both';
};
/**
 * A straight cut. A crosscut is at x and runs from y to y; a rip is at y and runs from x to x. A crosscut that leans
 * says by how many degrees from square: it is at x where it begins and runs through x + (y - from) tan(angle).
 */
type Cut = {
  readonly kind: 'crosscut' | 'rip';
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly angle?: number;
};
type Offcut = { readonly x: number; readonly y: number; readonly length: number; readonly width: number };
type CutBoard = {
  readonly stock: string;
  readonly count: number;
  readonly pieces: readonly PlacedPiece[];
  readonly cuts: readonly Cut[];
  readonly offcuts: readonly Offcut[];
};
export type CutSolution = {
  readonly format: typeof SOLUTION_FORMAT;
  readonly status: 'optimal' | 'feasible' | 'infeasible';
  readonly cost: number;
  readonly lowerBound: number;
  readonly seconds: number;
  /** For another objective than cost: what it measures, and what nothing measures less than. */
  readonly objective?: { readonly for: string; readonly value: number; readonly atLeast: number };
  readonly boards: readonly CutBoard[];
  readonly unplaced: readonly { readonly part: string; readonly quantity: number; readonly because: string }[];
};
