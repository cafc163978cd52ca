/**
 * Whether it holds: what sags, tips and moves. In: parts and joints of a piece; out: inches and pounds, estimates for
 * ordinary home use and no engineer's rating. Used by the checks alone; feeds nothing.
 */
export * from './decks';
export * from './sag';
export * from './tipping';
export * from './movement';
