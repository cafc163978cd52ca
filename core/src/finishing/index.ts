/**
 * Surfaces in, operations and quantities of sandpaper, stain and finish out. Reads parts and how they are joined. Used
 * by the buying list, which needs amounts, and by building, which puts the steps where they belong.
 */
export * from './products';
export * from './recipes';
export * from './patches';
export * from './reach';
export * from './treatments';
export * from './ladder';
export * from './proud';
export * from './plan-finish';
export * from './steps';
export * from './colour';
export * from './shop-air';
