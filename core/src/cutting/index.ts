/**
 * The optimiser. In: a cut problem (pieces and stock, no furniture in it). Out: which boards, what is cut where, and
 * how far from the best that can be. Used by buying, the command line and the bench. docs/formats describes the files.
 */
export * from './problem';
export * from './solution';
export * from './aim';
export { combine } from './aims';
export { choicesFor, solve, solveExactly, usualSeconds, type Chosen, type Solved, type SolveOptions } from './solve';
export type { IntegerSolver, LinearProgram, LinearRow } from './integer';
export { flipped, lean, type CutLayout, type Slants } from './layout';
export { FLIPS } from './region';
export { seeded } from './random';
