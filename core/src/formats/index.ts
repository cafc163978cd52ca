/**
 * Files in and out. In: parsed files of any version, rows of CSV, parts. Out: jobs checked against what families offer
 * or errors in words; part lists as CSV; full-size templates as SVG. Used by the server, the command line and the
 * interface.
 */
export * from './read-job';
export { writeCsv } from './csv';
export { plainLetters } from './letters';
export * from './parts-csv';
export type { RowProblem } from './rows';
export * from './yard-csv';
export * from './on-hand';
export * from './template';
export * from './svg';
export * from './layout';
export * from './cuts-csv';
export * from './log-files';
