/**
 * From layout to saw. In: boards with what lies on them, and the shop. Out: the pieces in the order they are best cut,
 * every cut numbered, the settings of the saws in working order, marks for a tape, and what to look out for. Used by
 * the cut sheets, the calendar and the order of cuts.
 */
export * from './setup';
export * from './setups';
export * from './cautions';
export { runsInto } from './grain';
export * from './marks';
export * from './passes';
export * from './words';
export * from './sawn';
