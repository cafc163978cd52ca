import type { Phrase } from '../words';
import type { Step } from './step';

/** A step before it has its ids; what is left out is empty. `after` names the steps that must be done, glue set. */
export type Draft = Partial<Omit<Step, 'id' | 'piece' | 'actions' | 'title' | 'pause'>> & {
  readonly name: string;
  readonly title: Phrase;
  readonly does: readonly Phrase[];
  readonly after?: readonly string[];
};

/** A draft with the minutes that pass idly before the next. */
export type Scheduled = { readonly draft: Draft; readonly pause: number };

export const finished = (piece: string, drafts: readonly Scheduled[]): readonly Step[] =>
  drafts.map(({ draft: { name, does, title, after: _, ...rest }, pause }) => ({
    adds: [],
    there: [],
    puts: [],
    makes: [],
    noRoom: [],
    stays: null,
    pickUp: [],
    settings: [],
    spacers: [],
    clamps: 0,
    diagonal: null,
    sides: null,
    cautions: [],
    wait: 0,
    ...rest,
    pause,
    work: Math.max(1, Math.round(rest.work ?? 10)),
    title,
    id: `${piece}.${name}`,
    piece,
    actions: does.map((text, at) => ({ id: `${piece}.${name}.${at + 1}`, text })),
  }));
