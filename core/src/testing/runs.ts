/**
 * How many times more the laws are tried than `npm test` tries them, and from which seed:
 * `FC_RUNS=1 npm run unit` tries each as often as it says, `FC_RUNS=20 FC_SEED=7 npm run unit` more often and from
 * another seed.
 */
const ASKED = process.env['FC_RUNS'];
const SEED = process.env['FC_SEED'];

/** What `npm test` tries of each law: it has to end while one waits for it. */
const EVERYDAY = 0.2;
const SHARE = Number(ASKED ?? EVERYDAY);

/** Whether all is asked for: then nothing is left out. */
export const THOROUGH = ASKED !== undefined;

/** Every so many-eth of some rows, from one of the first on; all of them where all is asked for. */
export const someOf = <Row>(rows: readonly Row[], every: number, from = 0): readonly Row[] =>
  rows.filter((_, at) => THOROUGH || at % every === from % every);

/** How often a law is tried of so many times that would be enough. */
export const timesOf = (enough: number): number => Math.ceil(enough * SHARE);

/** So often a law is tried, from a seed that repeats or, on request, from another. */
export const runs = (enough: number, seed?: number) => ({
  numRuns: timesOf(enough),
  ...(SEED !== undefined ? { seed: Number(SEED) } : seed !== undefined ? { seed } : {}),
});
