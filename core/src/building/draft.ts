import type { Phrase } from '../words';
import { wordsOf, type Operation } from '../work';
import { cautionsFor } from './cautions';
import { pickUpFor } from './pick-up';
import type { Step } from './step';

/** A step before it has its ids; what is left out is empty. `after` names the steps that must be done, glue set. */
export type Draft = Partial<
  Pick<
    Step,
    'there' | 'puts' | 'makes' | 'noRoom' | 'stays' | 'spacers' | 'clamps' | 'diagonals' | 'sides' | 'wait' | 'adds'
  >
> & {
  readonly name: string;
  readonly title: Phrase;
  readonly ops: readonly Operation[];
  readonly after?: readonly string[];
};

/** A draft with the minutes that pass idly before the next. */
export type Scheduled = { readonly draft: Draft; readonly pause: number };

/** Minutes to fetch and put away the parts and tools of a step. */
const READY = 4;

/** Minutes at work of a draft: those of its operations. */
export const minutesOf = ({ ops }: Draft): number =>
  Math.max(1, Math.round(READY + ops.reduce((sum, { minutes }) => sum + minutes, 0)));

const distinct = (ids: readonly string[]): readonly string[] => [...new Set(ids)];

/**
 * The drafts with a name of its own for every operation: it is ticked off by it. What is done to two parts of a joint,
 * each in its step, is told apart by the step; within one, by its place.
 */
function namedApart(drafts: readonly Scheduled[]): readonly Scheduled[] {
  const [once, twice] = [new Set<string>(), new Set<string>()];
  for (const { draft } of drafts) for (const { id } of draft.ops) (once.has(id) ? twice : once).add(id);
  if (twice.size === 0) return drafts;
  return drafts.map(({ draft, pause }) => {
    const counts = new Map<string, number>();
    const ops = draft.ops.map((one) => {
      if (!twice.has(one.id)) return one;
      const count = (counts.get(one.id) ?? 0) + 1;
      counts.set(one.id, count);
      return { ...one, id: `${one.id}.${draft.name}${count > 1 ? `.${count}` : ''}` };
    });
    return { draft: { ...draft, ops }, pause };
  });
}

export const finished = (piece: string, drafts: readonly Scheduled[]): readonly Step[] => {
  const names = new Set(drafts.map(({ draft }) => draft.name));
  const idOf = (name: string) => `${piece}.${name}`;
  return namedApart(drafts).map(({ draft, pause }) => {
    const { name, title, ops, after = [], ...rest } = draft;
    return {
      adds: distinct(ops.flatMap(({ on }) => on)),
      there: [],
      puts: [],
      makes: [],
      noRoom: [],
      stays: null,
      spacers: [],
      clamps: 0,
      diagonals: null,
      sides: null,
      wait: 0,
      ...rest,
      pause,
      pickUp: pickUpFor(ops),
      cautions: cautionsFor(ops),
      work: minutesOf(draft),
      title,
      id: idOf(name),
      piece,
      after: distinct(after)
        .filter((one) => names.has(one))
        .map(idOf),
      operations: ops,
      actions: ops.map((operation) => ({ id: operation.id, text: wordsOf(operation) })),
    };
  });
};
