import { wordsOf, type Operation } from '../work';
import type { Phrase } from '../words';
import type { Step } from './step';

/** What changes a part's own shape. */
const SHAPES: ReadonlySet<Operation['kind']> = new Set<Operation['kind']>([
  'plane',
  'laminate',
  'rip',
  'trim',
  'fit',
  'mitre',
  'outline',
  'cut',
  'pocket',
  'bore',
  'slot',
  'elongate',
  'trim whole',
]);

/** What is done to one part once it is sawn out of its board, in the order of the steps. */
export const workOn = (steps: readonly Step[], part: string): readonly Operation[] =>
  steps.flatMap(({ operations }) => operations).filter(({ kind, on }) => SHAPES.has(kind) && on.includes(part));

/** How one joint is marked and bored, in the sentences of its operations: of each only what is for this joint. */
export const boredFor = (steps: readonly Step[], joint: string): readonly Phrase[] =>
  steps
    .flatMap(({ operations }) => operations)
    .flatMap((operation) => {
      if (operation.kind !== 'pocket' && operation.kind !== 'bore' && operation.kind !== 'slot') return [];
      const spots = operation.spots.filter((spot) => spot.joint === joint);
      return spots.length > 0 ? [wordsOf({ ...operation, spots })] : [];
    });
