import { minutesOf, type Draft, type Scheduled } from './draft';

/**
 * Steps in the order one person does them: the earliest named that is ready, whose glue has set and for which there are
 * clamps; while all wait, so does the person. What is in clamps gives them back when its time is over.
 *
 * @param drafts in the order that is preferred; each names those it comes after.
 * @param clamps all there are; what asks for more gets these.
 */
export function schedule(drafts: readonly Draft[], clamps: number): readonly Scheduled[] {
  const settled = new Map<string, number>();
  const holding: { readonly until: number; readonly clamps: number }[] = [];
  const order: { draft: Draft; pause: number }[] = [];
  const left = [...drafts];
  const names = new Set(drafts.map(({ name }) => name));
  let now = 0;
  while (left.length > 0) {
    const ready = left.filter(({ after = [] }) => after.every((name) => !names.has(name) || settled.has(name)));
    // What can be done in the workshop is done before the next thing where the piece stays.
    const here = ready.filter(({ stays }) => !stays);
    // Names that go round in a ring would never be ready: the first is taken as it comes.
    const open = here.length > 0 ? here : ready.length > 0 ? ready : left.slice(0, 1);
    const dry = ({ after = [] }: Draft) => after.every((name) => (settled.get(name) ?? 0) <= now);
    const free = clamps - holding.reduce((sum, one) => sum + (one.until > now ? one.clamps : 0), 0);
    const next = open.find((draft) => dry(draft) && Math.min(draft.clamps ?? 0, clamps) <= free);
    if (!next) {
      const times = [...holding.map(({ until }) => until), ...settled.values()].filter((time) => time > now);
      const until = Math.min(...times);
      const last = order.at(-1);
      if (last) last.pause += until - now;
      now = until;
      continue;
    }
    left.splice(left.indexOf(next), 1);
    order.push({ draft: next, pause: 0 });
    now += minutesOf(next);
    const wait = next.wait ?? 0;
    settled.set(next.name, now + wait);
    if (wait > 0) holding.push({ until: now + wait, clamps: next.clamps ?? 0 });
  }
  const last = order.at(-1);
  if (last) last.pause = last.draft.wait ?? 0;
  return order;
}
