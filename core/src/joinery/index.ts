/**
 * How parts are held together. In: joints and parts. Out: jig settings, screws, positions and what must be bought.
 * Used by buying (boxes of screws), building (steps) and the Joints stage. It reads no boards, so it comes before them.
 */
export * from './pocket-screws';
export * from './fasteners';
export * from './method';
export * from './kinds';
export { WAYS_TO_JOIN } from './methods';
export * from './meeting';
export * from './shank';
export type { Trouble } from './placing';
export { CLIP_SLOT } from './clips';
export { isOnTop } from './layout';
export { letsMove, type Fastening } from './fastening';
export * from './fasten-all';
export { GLUE_POUNDS, glueShare, gravityOf, screwPounds, sideGrain } from './pounds';
export * from './driver';
export { BLOCK } from './corner-block';
export * from './needs';
export * from './ways';
export * from './fastener-list';
export { boring, type Site3 } from './making';
