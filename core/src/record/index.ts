/**
 * What a builder's own record says. In: ledgers of all jobs; out: what each job came to, the pace of this builder,
 * what is spoiled, put back and paid, how near cuts come to their line, and words that come back where they apply. Few
 * records are drawn towards the usual; each figure says from how many it is. Used by the calendar, the checks and the
 * Log.
 */
export * from './clock';
export * from './job-record';
export * from './forgotten';
export * from './pace';
export * from './habits';
export * from './lessons';
export * from './reckoning';
