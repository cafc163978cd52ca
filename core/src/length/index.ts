/**
 * Exact lengths and amounts. In: what people type. Out: integers of 1/320 mm, and the same as a tape reads them;
 * numbers. Used by every other room and by the interface.
 */
export { didYouMean, readAmount } from './amount';
export * from './length';
export * from './parse';
export * from './print';
export { otherCurrency } from './currency';
