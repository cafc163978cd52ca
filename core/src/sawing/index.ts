/**
 * From layout to saw. In: numbered boards. Out: numbered cuts and saw settings in the order to work through them.
 * Used by the Cuts stage, the cut sheets and the calendar.
 */
export * from './setups';
