import type { Phrase } from '../words';
import type { Step } from './step';

/** A step before it has its ids; what is left out is empty. */
export type Draft = Partial<Omit<Step, 'id' | 'piece' | 'actions' | 'title'>> & {
  readonly name: string;
  readonly title: Phrase;
  readonly does: readonly Phrase[];
};

export const finished = (piece: string, drafts: readonly Draft[]): readonly Step[] =>
  drafts.map(({ name, does, title, ...rest }) => ({
    adds: [],
    there: [],
    pickUp: [],
    spacers: [],
    clamps: 0,
    diagonal: null,
    cautions: [],
    wait: 0,
    ...rest,
    work: Math.max(1, Math.round(rest.work ?? 10)),
    title,
    id: `${piece}.${name}`,
    piece,
    actions: does.map((text, at) => ({ id: `${piece}.${name}.${at + 1}`, text })),
  }));
