/**
 * Families. In: a piece's targets and choices. Out: parts with their places and joints, or findings that say why not.
 * Used by milling, joinery, building and every drawing. A family is one file; `families.ts` lists them.
 */
export * from './geometry';
export * from './part';
export * from './top';
export * from './families';
export { legSection, type PieceModel } from './apron-table';
