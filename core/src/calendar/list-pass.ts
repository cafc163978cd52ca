// Hundreds of passes for one plan: indices count tasks and windows of the problem.
/* oxlint-disable typescript/no-non-null-assertion */
import type { Problem } from './problem';
import { flatOf, NOTHING, WorkBench, type WorkLaid } from './work-bench';

export type Rule = {
  /** What is done sooner, by task: less comes first. */
  readonly rank: ArrayLike<number>;
  /** Minutes that a person would sit idle for what ranks higher. */
  readonly patience: number;
  /** Minutes of rank that it is worth to go on with the same tool, and the same thing. */
  readonly stick: number;
  /** Minutes of rank that it is worth to use rare time, as for saws, for what can be done in no other. */
  readonly thrift: number;
  /** Windows that nothing is done in. */
  readonly shut?: ReadonlySet<number>;
};

/** Tasks laid out as time passes: what can be begun soonest, and of that what ranks first. Null where time ends. */
export function listPass(problem: Problem, { rank, patience, stick, thrift, shut }: Rule): WorkLaid | null {
  const { of, tool, scarce } = flatOf(problem);
  const bench = new WorkBench(problem);
  const open = bench.opened();
  // When each that is open fits next; written over at each step.
  const starts = new Float64Array(problem.nodes.length);
  for (let window = 0; window < problem.windows.length && open.length > 0; window++) {
    if (shut?.has(window)) continue;
    let now = problem.windows[window]!.from;
    let last = NOTHING;
    for (;;) {
      let soonest = Infinity;
      for (const at of open) {
        const start = (starts[at] = bench.startIn(at, window, now));
        if (start >= 0 && start < soonest) soonest = start;
      }
      if (soonest === Infinity) break;
      let [best, least] = [NOTHING, Infinity];
      for (const at of open) {
        const start = starts[at]!;
        if (start < 0 || start > soonest + patience) continue;
        const isTool = tool[at] !== NOTHING && tool[at] === tool[last];
        const same = last === NOTHING ? 0 : of[at] === of[last] ? 2 : Number(isTool);
        const value = rank[at]! - same * stick - scarce[at]! * thrift + (start - soonest);
        if (value < least) [best, least] = [at, value];
      }
      const put = bench.putAt(best, window, starts[best]!);
      bench.put(put);
      last = best;
      now = put.end;
    }
  }
  return bench.isDone() ? bench.laid() : null;
}
