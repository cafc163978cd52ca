/**
 * What to buy. In: blanks, fasteners needed and a price list. Out: numbered boards with what is cut from each, and the
 * list for the store with its total. Used by the Stock and Cuts stages, sawing, checking and the exports.
 */
export * from './boxes';
export * from './cans';
export * from './market';
export * from './board';
export * from './offers';
export type { SolveCache } from './pool';
export * from './boards';
export * from './list';
export * from './spares';
export * from './store-cuts';
export * from './judge';
export { lockOf, withPiece, type Refusal } from './locks';
export * from './telling';
export { asRow, withOffcutsLeft } from './there';
export * from './now';
