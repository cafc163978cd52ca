/**
 * What happened, as it stands now. In: a job's ledger; out: every board, piece, offcut and box that
 * is owned or was, in one place and one state, and which entries can not be so. Used by whoever plans, prices or shows
 * what is there; only the person writes entries.
 */
export * from './holdings';
export * from './readings';
export * from './receipts';
export * from './telling';
export * from './doing';
