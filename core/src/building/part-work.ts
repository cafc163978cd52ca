import type { Operation } from '../work';
import type { Step } from './step';

/** What changes a part's own shape. */
const SHAPES: ReadonlySet<Operation['kind']> = new Set<Operation['kind']>(['plane', 'laminate', 'rip', 'trim', 'fit', 'mitre', 'outline', 'cut', 'pocket', 'bore', 'slot', 'elongate', 'trim whole']); // prettier-ignore

/** What is done to one part once it is sawn out of its board, in the order of the steps. */
export const workOn = (steps: readonly Step[], part: string): readonly Operation[] =>
  steps.flatMap(({ operations }) => operations).filter(({ kind, on }) => SHAPES.has(kind) && on.includes(part));
