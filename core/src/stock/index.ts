/**
 * What stores sell. Out: nominal to actual sizes, species figures, fastener names and a sample price list.
 * Used by the job (choices name nominal sizes), pieces, milling, buying and checking.
 */
export * from './sizes';
export * from './species';
export * from './hardware';
export * from './yard';
