/**
 * The work order: operations as data, and the one sentence of each. In: nothing but parts and their sides. Out: types,
 * places as a person marks them, words. Milling, joinery, building and finishing say what is done; steps, bench mode,
 * packet, minutes and the rehearsal are views of it.
 */
export * from './side';
export * from './operation';
export * from './making';
export * from './cutouts';
export * from './phrases';
export * from './places';
export { PROFILE_BITS, wordsOf } from './words';
