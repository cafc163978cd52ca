/**
 * The order of work at the bench. In: parts and fastenings. Out: steps with what to pick up, do and check.
 * Used by the Build stage, the shop packet and the calendar.
 */
export * from './step';
export * from './doing';
export * from './clamping';
export * from './offcuts';
export { stepsOf } from './steps';
export { stuckByPegs } from './operations';
export { cutsInWords, endsInWords } from './shaping';
export * from './part-work';
export * from './check';
