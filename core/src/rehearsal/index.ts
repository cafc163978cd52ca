/**
 * The rehearsal: does what the operations say, in order, knowing nothing of what planned them. In: boards, cuts and
 * settings, the operations of every piece, what was bought, and the parts as they are drawn. Out: what can not be done,
 * and why. Used by tests, `npm run rehearse` and the interface; feeds nothing.
 */
export * from './fault';
export * from './rehearse';
