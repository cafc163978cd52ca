/**
 * What else it could cost. In: a job and its plan. Out: the job's price with one thing changed: another size, another
 * top, another choice. Reads the whole plan and feeds nothing. Used by the charts and tables of Shape and Stock.
 */
export * from './tops';
export * from './inch';
export * from './savings';
export * from './since';
