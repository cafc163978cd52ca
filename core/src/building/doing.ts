import { printOf, type Doing } from '../ledger';
import type { Part } from '../piece';
import type { Step } from './step';

/** An action of a step as work that is ticked off: its sentence, and the parts that the step adds as they are. */
export function doingOf(step: Step, action: Step['actions'][number], parts: readonly Part[]): Doing {
  const sizes = parts
    .filter(({ id }) => step.adds.includes(id))
    .map(({ id, length, width, thickness }) => [id, length, width, thickness]);
  return { id: action.id, as: printOf([action.text, sizes]) };
}
