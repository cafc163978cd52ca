/**
 * When it will be ready. In: what is planned, as work in goes with waits between; the hours there are. Out: sessions
 * with their work, the day it is ready, and the day before which nothing is. Used by the sill, the days, the packet and
 * calendar files. Takes the time of day as an argument; the core has no clock.
 */
export * from './task';
export * from './tasks';
export * from './windows';
export * from './plan-days';
export type { Stood } from './as-before';
export { clockAt, instantAt, instantOf, timeOf, type Instant } from './instant';
export * from './tonight';
export * from './sooner';
