/**
 * Whether it holds: what sags, tips and moves. In: parts and joints of a piece; out: inches and pounds, estimates for
 * ordinary home use and no engineer's rating. Used by the checks alone; feeds nothing.
 */
export * from './decks';
export * from './sag';
export { bendsBy, dipsBy } from './bends';
export * from './tipping';
export { leanOn, type Lean, type Leaned } from './lean';
export { BOOKS, SITS_APART, type CaseKind } from './cases';
export { hungOf, IN_DRAWER, type Hung } from './hung';
export { judgedFor, LOOSE, OVERASKED, type Judged } from './judge';
export * from './movement';
export { forecastOf, type CutBy, type Expected, type Forecast } from './forecast';
