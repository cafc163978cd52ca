import type { Problem } from './problem';
import { WorkBench, isBetter, type WorkLaid, type Put } from './work-bench';

/**
 * All ways to lay out few tasks: each next one as soon as it can be in the window in hand, or in any later one. What
 * can get no better than the best so far is given up.
 *
 * @param soonest the day before which nothing can be ready.
 * @param nodes steps after which it ends with the best so far.
 * @returns `isAll`: no better one is left. Never where a coat may harden: then waiting before a coat may pay.
 */
export function exactly(
  problem: Problem,
  begun: WorkLaid,
  soonest: number,
  nodes: number,
): { readonly laid: WorkLaid; readonly isAll: boolean } {
  let best = begun;
  let left = nodes;
  const lastWindow = (): number => {
    const at = problem.windows.findIndex(({ day }) => day > best.day);
    return at < 0 ? problem.windows.length : at;
  };
  /** Whether nothing that goes on from here is better than the best. */
  const isHopeless = ({ day, sessions, changes }: WorkLaid): boolean =>
    day > best.day ||
    (soonest >= best.day &&
      (sessions > best.sessions || (sessions === best.sessions && changes >= best.changes && day >= best.day)));
  const visit = (puts: readonly Put[]): void => {
    if (left-- <= 0) return;
    const bench = new WorkBench(problem);
    puts.forEach((put) => bench.put(put));
    const laid = bench.laid();
    if (isHopeless(laid)) return;
    if (bench.isDone()) {
      if (isBetter(laid, best)) best = laid;
      return;
    }
    const last = puts.at(-1);
    const [now, from] = last ? [last.end, last.window] : [problem.now, 0];
    for (let window = from; window < lastWindow(); window++)
      for (const at of bench.opened()) {
        const put = bench.fit(at, window, now);
        if (put) visit([...puts, put]);
      }
  };
  visit([]);
  return { laid: best, isAll: left > 0 && problem.nodes.every(({ fresh }) => fresh === null) };
}
