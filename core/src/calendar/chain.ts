import { nth } from '../lists';
import { earliestIn, type Problem } from './problem';
import { lateBy, type WorkLaid, type Put } from './work-bench';

/** Why a task begins no sooner than it does. */
type Because = 'waits' | 'busy' | 'shared' | 'now';
export type ChainLink = { readonly task: string; readonly because: Because };

/**
 * What decides the day: from the task that is over last back to what it waited for, or what was in hand before it, or
 * what held the clamps; the first first.
 */
export function chainOf(problem: Problem, { puts }: WorkLaid): readonly ChainLink[] {
  const { nodes, windows, now } = problem;
  const byTask = new Map(puts.map((put, order) => [put.at, { put, order }]));
  const ends = nodes.map((_, at) => byTask.get(at)?.put.end ?? now);
  const overAt = ({ at, end }: Put) => end + nth(nodes, at).task.wait;
  const last = puts.reduce<Put | null>((a, b) => (a && overAt(a) >= overAt(b) ? a : b), null);
  const links: ChainLink[] = [];
  const seen = new Set<number>();
  for (let put = last; put && !seen.has(put.at);) {
    seen.add(put.at);
    const node = nth(nodes, put.at);
    const reasons = node.before.map((row) => ({ at: row.at, over: nth(ends, row.at) + row.wait }));
    const latest = reasons.reduce<(typeof reasons)[number] | null>((a, b) => (a && a.over >= b.over ? a : b), null);
    const ready = Math.max(now, node.release, latest?.over ?? now);
    const long = node.minutes + lateBy(node.fresh, ends, problem, put.start);
    const alone = earliestIn(node, windows, ready, long);
    const order = byTask.get(put.at)?.order ?? 0;
    const previous = puts[order - 1];
    if (alone?.start === put.start || !previous) {
      links.push({ task: node.task.id, because: latest && latest.over >= ready ? 'waits' : 'now' });
      put = latest && latest.over >= ready ? (byTask.get(latest.at)?.put ?? null) : null;
    } else {
      const isHand = previous.end === put.start || previous.window === put.window;
      links.push({ task: node.task.id, because: isHand ? 'busy' : 'shared' });
      put = previous;
    }
  }
  return links.reverse();
}
