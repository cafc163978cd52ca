/**
 * Families and tops. In: a piece's targets and choices. Out: parts with true shapes and places, joints, the order they
 * go together and what moves, or findings that say why not. Used by milling, joinery, building and every drawing. A
 * family or a top is one file; `families.ts` lists them.
 */
export * from './geometry';
export * from './part';
export * from './shape';
export * from './choice';
export * from './top';
export type { Family, Top } from './family';
export * from './families';
export * from './model';
export * from './build';
export * from './weight';
export * from './tiling';
export { profileOf } from './profiled';
export { anchored, ON_EDGE, tipsOpen } from './anchoring';
export { levelled } from './feet';
export { isTopAlone } from './bases/none';
export * from './hinges';
export { measurable, WHOLE_TOP, type Adaptation } from './as-built';
export { hasTongue, joinOf, pairKey, tongueFits } from './tongues';
export * from './gallery';
export * from './demo';
export * from './found';
export { chordSaving } from './tops/round';
export { boardChoices } from './tops/boards';
export { apronChoices } from './bases/aprons';
