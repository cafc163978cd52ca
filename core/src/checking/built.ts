import { note, type Finding } from '../job';
import { entered, holdingsOf } from '../ledger';
import { doingOf } from '../building';
import { say, strong } from '../words';
import type { Facts } from './facts';

/** Steps told at most by name. */
const NAMED = 2;

/**
 * Steps that are done and that the plan has otherwise now, or not at all: what is built can not be wished away. It is
 * told what was done so, and that it must be done again, left as it is, or the change taken back.
 */
export function builtNotes({ job, pieces }: Facts): readonly Finding[] {
  const { done } = holdingsOf(job);
  if (done.size === 0) return [];
  return pieces.flatMap(({ piece, steps, parts }): readonly Finding[] => {
    const now = new Map(
      steps.flatMap((step) => step.actions.map((action) => [action.id, { doing: doingOf(step, action, parts), step }])),
    );
    const otherwise = [...done.values()].filter(
      ({ of, as }) => as !== null && of.startsWith(`${piece.id}.`) && now.get(of)?.doing.as !== as,
    );
    if (otherwise.length === 0) return [];
    const titles = [...new Set(otherwise.flatMap(({ of }) => now.get(of)?.step ?? []))].map(({ title }) => title);
    const gone = otherwise.filter(({ of }) => !now.has(of)).length;
    const they = otherwise.length === 1 ? 'It' : 'They';
    return [
      note(piece.id, 'built-otherwise', 'stop', 'build', {
        about: [],
        title:
          otherwise.length === 1
            ? say`A step was done otherwise than the plan has it now`
            : say`${strong(otherwise.length)} steps were done otherwise than the plan has them now`,
        because: say`${titles.slice(0, NAMED).flatMap((title) => [...title, '; '])}${titles.length > NAMED ? `and ${titles.length - NAMED} more; ` : ''}${gone > 0 ? `${gone} the plan has no more; ` : ''}what is built does not change with a size. Take the change back, or do it again: parts that are glued or screwed are made anew then.`,
        numbers: { steps: otherwise.length, gone },
        remedies: [
          {
            label: say`${they} must be done again`,
            changes: otherwise.map(({ id }, at) =>
              entered({ id: `again.${job.ledger.length + at}`, at: null, what: 'corrected', of: id }),
            ),
          },
        ],
      }),
    ];
  });
}
