/**
 * Surfaces in, quantities of sandpaper, stain and finish out. Reads parts and how they are joined; used by the buying
 * list.
 */
export * from './products';
export * from './areas';
export * from './needs';
export * from './steps';
