/** How many times more the laws are tried, and from which seed: `FC_RUNS=20 FC_SEED=7 npm run unit`. */
const TIMES = Number(process.env['FC_RUNS'] ?? 1);
const SEED = process.env['FC_SEED'];

/** So often a law is tried, from a seed that repeats; on request many times more often, from another. */
export const runs = (usual: number, seed?: number) => ({
  numRuns: Math.ceil(usual * TIMES),
  ...(SEED !== undefined ? { seed: Number(SEED) } : seed !== undefined ? { seed } : {}),
});
