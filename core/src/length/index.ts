/**
 * Exact lengths. In: what people type. Out: integers of 1/320 mm, and the same as a tape reads them.
 * Used by every other room and by the interface.
 */
export * from './length';
export * from './parse';
export * from './print';
