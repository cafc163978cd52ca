import type { Plan } from '../plan';

/**
 * A plan whose steps stand in the order in which its days do them, with the time that passes between: for the rehearsal
 * to say whether that order can be worked in.
 */
export function inDaysOrder(plan: Plan): Plan {
  const ends = new Map<string, number>();
  for (const { placed } of plan.calendar.sessions)
    for (const { task, end } of placed) ends.set(task.of, Math.max(end, ends.get(task.of) ?? 0));
  return {
    ...plan,
    pieces: plan.pieces.map((facts) => {
      const endOf = ({ id }: (typeof facts.steps)[number]) => ends.get(id) ?? 0;
      const order = [...facts.steps].sort((a, b) => endOf(a) - endOf(b));
      return {
        ...facts,
        steps: order.map((step, at) => {
          const next = order[at + 1];
          return { ...step, pause: next ? Math.max(0, endOf(next) - next.work - endOf(step)) : step.wait };
        }),
      };
    }),
  };
}
