import { applyChanges, set, type Finish, type Job } from './job';
import { planJob, type PlanOptions } from './plan';

/** When a piece is finished, compared: what each way takes. */
export type FinishWay = {
  readonly when: Finish['when'];
  /** ISO date on which all of the job is ready to use; null where it is never. */
  readonly ready: string | null;
  /** Minutes at work on this piece's finish. */
  readonly minutes: number;
  /** Square feet that only a hand reaches, and feet of tape. */
  readonly byHand: number;
  readonly tape: number;
  /** Sittings in which something is coated. */
  readonly sittings: number;
  /** Cents that it adds to the job as it is. */
  readonly adds: number;
};

/** The ways to time the finish of a piece, each planned with the whole job. Empty where it can not be built. */
export function finishWays(job: Job, pieceId: string, options: PlanOptions): readonly FinishWay[] {
  const now = planJob(job, options);
  return (['assembled', 'parts', 'site'] as const).flatMap((when): readonly FinishWay[] => {
    const plan = planJob(applyChanges(job, [set(pieceId, ['finish', 'when'], when)]), options);
    const facts = plan.pieces.find(({ piece }) => piece.id === pieceId);
    if (!facts || facts.steps.length === 0) return [];
    const ops = facts.steps.flatMap(({ operations }) => operations);
    const done = ops.filter(({ kind }) => ['sand', 'coat', 'mask', 'fill', 'rub', 'flatten', 'strip'].includes(kind));
    return [
      {
        when,
        ready: plan.calendar.ready,
        minutes: Math.round(done.reduce((sum, { minutes }) => sum + minutes, 0)),
        byHand: done.reduce((sum, one) => sum + (one.kind === 'sand' ? one.hand : 0), 0),
        tape: done.reduce((sum, one) => sum + (one.kind === 'mask' ? one.feet : 0), 0),
        sittings: facts.steps.filter(({ operations }) => operations.some(({ kind }) => kind === 'coat')).length,
        adds: plan.list.total - now.list.total,
      },
    ];
  });
}
