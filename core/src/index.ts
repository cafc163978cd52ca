/**
 * Sill Plan's core: a job in, the whole plan out. No interface, no network, no clock, no randomness but a seeded one.
 */
export * from './lists';
export * from './length';
export * from './solid';
export * from './words';
export * from './stock';
export * from './job';
export * from './ledger';
export * from './record';
export * from './piece';
export * from './work';
export * from './milling';
export * from './joinery';
export * from './finishing';
export * from './cutting';
export * from './buying';
export * from './sawing';
export * from './building';
export * from './calendar';
export * from './checking';
export * from './formats';
export * from './rehearsal';
export {
  BOOKS,
  IN_DRAWER,
  forecastOf,
  leanOn,
  type CutBy,
  type Expected,
  type Forecast,
  type Lean,
  type Leaned,
} from './strength';
export * from './plan';
export * from './reckoned';
export * from './mishaps';
export * from './played';
export * from './demo-jobs';
export * from './helps';
export * from './finish-ways';
export * from './coat-ways';
export * from './costing';
export { unbuilt } from './unworked';
