import fc from 'fast-check';
import { applyChanges, newJob, set, type Finish, type Job } from '../job';
import { planWork, type WorkPlan } from '../plan';
import { refusal, type Family, type Top } from '../piece';
import { rehearse } from '../rehearsal';
import { anyFinish, EVERYTHING, KINDS } from '../testing/jobs';
import { mended, piecesOf } from '../testing/pieces';
import { runs, someOf, THOROUGH } from '../testing/runs';
import type { OperationOf } from '../work';
import { patchesOf, reachesOf } from './index';

const WHEN: readonly Finish['when'][] = ['assembled', 'parts', 'site'];
/** Each in turn in `npm test`, all three of each where all is asked for. */
const whenFor = (at: number) => (THOROUGH ? WHEN : WHEN.filter((_, k) => k === at % WHEN.length));
const FINISHING: ReadonlySet<string> = new Set(['sand', 'coat', 'mask', 'fill', 'rub', 'flatten', 'strip', 'cure']);
const planOf = (job: Job): WorkPlan => planWork(job, { today: '2026-11-28', effort: 'quick' });

/** Coats of a plan with the minute they begin at, from the first step. */
function coatsIn({ steps }: WorkPlan['pieces'][number]) {
  let clock = 0;
  return steps.flatMap(({ operations, work, pause, id }) => {
    const at = clock;
    clock += work + pause;
    return operations.flatMap((op) => (op.kind === 'coat' ? [{ op: op as OperationOf<'coat'>, at, step: id }] : []));
  });
}

/** What must hold of the finish of a piece, whatever it is and whenever it is done. */
function holds(job: Job): void {
  const plan = planOf(job);
  for (const facts of plan.pieces) {
    if (facts.steps.length === 0) continue;
    const { model, steps, finishing } = facts;
    const { patches } = patchesOf(model);
    const reaches = reachesOf(model);
    const order = new Map(steps.map(({ id }, at) => [id, at]));
    const sanded = steps.flatMap(({ operations, id }) =>
      operations.flatMap((op) => (op.kind === 'sand' ? [{ op, at: order.get(id) ?? 0 }] : [])),
    );

    // What is worked is all that is to be, but for crevices.
    const wanted = finishing.treatments
      .filter(({ recipe }) => recipe.sandTo > 0)
      .reduce((sum, { extent }) => sum + extent.area, 0);
    const worked = sanded.reduce((sum, { op }) => sum + op.area, 0);
    expect(worked).toBeLessThanOrEqual(wanted + 1e-6);
    expect(worked).toBeGreaterThan(wanted - 0.25 * finishing.treatments.length - 1e-6);

    // What nothing reaches at the end is worked before any part of it is joined to what closes it in.
    const early = sanded.filter(({ op }) => op.id.includes('.closing.'));
    const joined = (part: string) =>
      steps.findIndex(({ makes, operations }) => makes.length > 0 && operations.some(({ on }) => on.includes(part)));
    if (early.length > 0) {
      const after = Math.max(...early.map(({ at }) => at));
      for (const patch of patches)
        if (
          !patch.closed &&
          (reaches.get(patch)?.none ?? 0) > 0.5 &&
          early.some(({ op }) => op.on.includes(patch.part.id))
        ) {
          const first = joined(patch.part.id);
          const isBoard = patch.part.trimmedLater;
          if (first >= 0 && !isBoard) expect(first).toBeGreaterThan(after);
        }
    }

    // Every coat goes on once the one before it is dry, and in its window or sanded.
    const coats = coatsIn(facts);
    for (const { op, at, step } of coats) {
      const before = coats
        .filter((other) => other.at < at || (other.at === at && other.step === step))
        .filter((other) => other.op !== op && other.op.on.some((id) => op.on.includes(id)))
        .filter((other) => other.op.product === op.product && other.op.nth === op.nth - 1)
        .filter((other) => other.op.id.includes('.closing.') === op.id.includes('.closing.'))
        .at(-1);
      if (op.nth === 1 || !before) continue;
      const gap = at - before.at;
      if (before.op.hours >= 1) expect(gap).toBeGreaterThanOrEqual(60 * before.op.hours);
      if (before.op.window !== null && op.between === 0) expect(gap).toBeLessThanOrEqual(60 * before.op.window);
    }
    // Where a top is coated, its underside is as often, unless a person said otherwise.
    const on = (surface: 'top' | 'underside') =>
      finishing.treatments.find(({ surfaces }) => surfaces.includes(surface));
    if (on('top') && on('underside')) expect(on('underside')!.coats).toBe(on('top')!.coats);
    // Nothing is asked for twice: every operation of the finish has a name of its own.
    const ids = steps.flatMap(({ operations }) =>
      operations.filter(({ kind }) => FINISHING.has(kind)).map(({ id }) => id),
    );
    expect(new Set(ids).size).toBe(ids.length);
  }
  if (plan.buying.unplaced.length === 0 && !hasTroubles(plan)) expect(rehearse(plan, job).faults).toEqual([]);
}

const hasTroubles = (plan: WorkPlan): boolean =>
  plan.pieces.some(
    ({ fastenings, steps }) =>
      fastenings.some(({ troubles }) => troubles.length > 0) || steps.some(({ noRoom }) => noRoom.length > 0),
  );

const finished = (family: Family, top: Top | null) =>
  fc.record({ wish: piecesOf(family, top, 'in'), finish: anyFinish }).map(({ wish, finish }): Job | null => {
    if (top && refusal(wish, family, top)) return null;
    const { piece, model } = mended(wish, 'in');
    if (model.parts.length === 0) return null;
    const job = newJob('law');
    const shop = { ...job.shop, tools: [...job.shop.tools, 'planer' as const] };
    return { ...job, shop, yard: EVERYTHING, pieces: [{ ...piece, finish }] };
  });

describe('every family with every top, any recipes, all three ways to time them', () => {
  // As many others are rehearsed with a finish where all work is.
  test.each(someOf(KINDS, 3))(
    '%s',
    (_, family, top, at) => {
      fc.assert(
        fc.property(finished(family, top), (job) => {
          if (!job) return;
          for (const when of whenFor(at)) holds(applyChanges(job, [set(job.pieces[0]!.id, ['finish', 'when'], when)]));
        }),
        runs(1, 40 + at),
      );
    },
    60_000,
  );
});
