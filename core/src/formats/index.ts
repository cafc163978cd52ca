/**
 * Files in and out. In: parsed files of any version. Out: jobs checked against what families offer, or errors in words.
 * Used by the server, the command line and the interface.
 */
export * from './read-job';
