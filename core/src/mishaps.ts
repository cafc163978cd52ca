import { doingOf } from './building';
import type { Stamp } from './buying';
import { workOf } from './calendar';
import type { Entry, EntryOf, Job, Mishap, WorkKind } from './job';
import { holdingsOf, rootOf, type Holdings } from './ledger';
import type { Plan } from './plan';

/** What is told of something that went wrong. */
export type MishapTold = {
  readonly how: Mishap;
  /** The piece, the part by its id, and the action or `saw.` and a setting at which it happened; null where none. */
  readonly piece: string | null;
  readonly part: string | null;
  readonly of: string | null;
  /** The part is made anew: its wood is lost. */
  readonly anew: boolean;
  readonly note: string;
};

/** What is done to a part by itself, before it is joined: it is done again to the one that takes its place. */
const ALONE: ReadonlySet<WorkKind> = new Set(['prepare', 'sand', 'saw']);

/** Where work is in a plan: its kind and its tool; nothing where the plan has no such work. */
function workAt(plan: Plan, of: string | null) {
  for (const { steps } of plan.pieces)
    for (const { operations } of steps) {
      const op = operations.find(({ id }) => id === of);
      if (op) return { work: workOf(op), tool: op.tool };
    }
  const setup = plan.setups.find(({ id }) => `saw.${id}` === of);
  return setup ? { work: 'saw' as const, tool: setup.tool } : null;
}

/** The piece of wood that is a part, where one is cut and there. */
const bodyOf = ({ bodies }: Holdings, part: string | null) =>
  part === null
    ? undefined
    : [...bodies.values()].find(({ piece, state }) => piece?.part === part && state === 'whole');

/** Cents of a piece of wood by its share of the board it was cut from; 0 where that was not bought. */
function worthOfBody({ bodies }: Holdings, body: NonNullable<ReturnType<typeof bodyOf>>): number {
  const board = bodies.get(rootOf(body.id));
  if (!board?.bought) return 0;
  return Math.round((board.bought.price * body.length * body.width) / (board.length * board.width));
}

/** Ticks of work that was done to a part by itself, and that the next one needs again; and its minutes. */
function workLost(plan: Plan, { done }: Holdings, part: string) {
  const lost: { readonly entry: EntryOf<'done'>; readonly minutes: number }[] = [];
  for (const { steps, parts } of plan.pieces)
    for (const step of steps)
      for (const action of step.actions) {
        const op = step.operations.find(({ id }) => id === action.id);
        const entry = done.get(doingOf(step, action, parts).id);
        if (op && entry && op.on.includes(part) && ALONE.has(workOf(op)))
          lost.push({ entry, minutes: op.minutes / op.on.length });
      }
  return lost;
}

/**
 * What is written of something that went wrong: what it cost, and where the part is made anew that its wood is lost
 * and that what was done to it alone is open again, so that the plan is made around it.
 */
export function mishapOf(job: Job, plan: Plan, told: MishapTold, stamp: Stamp): readonly Entry[] {
  const { how, piece, part, of, anew, note } = told;
  const holdings = holdingsOf(job);
  const at = workAt(plan, of);
  const body = anew ? bodyOf(holdings, part) : undefined;
  const lost = anew && part !== null ? workLost(plan, holdings, part) : [];
  const sign = () => ({ id: stamp.id(), at: stamp.at });
  const redone = lost.reduce((sum, { minutes }) => sum + minutes, 0);
  const mishap: Entry = {
    ...sign(),
    what: 'mishap',
    how,
    piece,
    family: job.pieces.find(({ id }) => id === piece)?.family ?? '',
    part: part ?? '',
    of: of ?? '',
    work: at?.work ?? null,
    tool: at?.tool ?? null,
    // What it took to put right what stays, nobody knows yet: the clock counts it with the work.
    minutes: Math.round(redone),
    wood: body ? worthOfBody(holdings, body) : 0,
    note,
  };
  return [
    mishap,
    ...(body ? [{ ...sign(), what: 'spoiled' as const, of: body.id }] : []),
    ...lost.map(({ entry }) => ({ ...sign(), what: 'corrected' as const, of: entry.id })),
  ];
}
