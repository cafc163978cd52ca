/**
 * Measures on this machine, printed as tables. Times depend on the machine; how they stand to each other and what was
 * proved do not. `npm run bench`.
 */

export const today = '2026-11-24';
export const print = (title: string, rows: readonly Record<string, string | number>[]) => {
  process.stdout.write(`\n${title}\n`);
  console.table(rows);
};
export const ms = (value: number) => Math.round(value * 10) / 10;
export const quantile = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;

/** Times of so many runs, each a little different, the shortest first. */
export function timed(runs: number, act: (run: number) => void): readonly number[] {
  const times = Array.from({ length: runs }, (_, run) => {
    const start = performance.now();
    act(run);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b);
}
export const median = (runs: number, act: (run: number) => void): number => ms(quantile(timed(runs, act), 0.5));
