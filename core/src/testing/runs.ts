/** How many times more the laws are tried, and from which seed: `FC_RUNS=20 FC_SEED=7 npm run unit`. */
const TIMES = Number(process.env['FC_RUNS'] ?? 1);
const SEED = process.env['FC_SEED'];

/** Whether more than usual is asked for: then nothing is left out. */
export const THOROUGH = process.env['FC_RUNS'] !== undefined;

/** Every so many-eth of some rows, from the first on; all of them where more than usual is asked for. */
export const someOf = <Row>(rows: readonly Row[], every: number): readonly Row[] =>
  rows.filter((_, at) => THOROUGH || at % every === 0);

/** So often a law is tried, from a seed that repeats; on request many times more often, from another. */
export const runs = (usual: number, seed?: number) => ({
  numRuns: Math.ceil(usual * TIMES),
  ...(SEED !== undefined ? { seed: Number(SEED) } : seed !== undefined ? { seed } : {}),
});
