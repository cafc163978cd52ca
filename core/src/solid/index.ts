/**
 * Bodies as convex cells. In: outlines, planes and cutters. Out: solids with volume, what two share, where they touch,
 * faces and edges to draw. Used by pieces (true shapes), joinery (contacts), checks and every drawing.
 */
export * from './vector';
export * from './outline';
export * from './solid';
export * from './edges';
export * from './bounds';
export * from './ray';
export * from './sweep';
