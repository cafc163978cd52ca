/**
 * The job: what a person stated. In: files and forms. Out: a trusted `Job`, or errors that name the field.
 * Used by every later room; the only thing that is saved.
 */
export * from './tools';
export * from './roles';
export { LONGEST_GO, MISHAPS, WORK_KINDS, type Mishap, type WorkKind } from './log';
export * from './ledger';
export * from './calendar';
export * from './dates';
export * from './finish';
export * from './schema';
export * from './shop';
export * from './read';
export * from './paths';
export * from './change';
export * from './merge';
export * from './finding';
export * from './marks';
export * from './defaults';
