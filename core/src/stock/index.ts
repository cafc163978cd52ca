/**
 * What stores sell. Out: lines of boards with nominal to actual sizes, sheets, species figures, fastener names and
 * sample price lists. Used by the job (choices name nominal sizes), pieces, milling, buying and checking.
 */
export * from './sizes';
export * from './lumber';
export * from './species';
export * from './hardware';
export * from './yard';
export * from './tax';
