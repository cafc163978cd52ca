import { applyChanges, type Change, type Coat, type Job } from './job';
import { COATS, recipeChanges } from './finishing';
import { daysSooner, type Sooner } from './calendar';
import { planJob, type Plan, type PlanOptions } from './plan';
import { say, strong } from './words';

/** Coats that dry slower than this hold a job up, hours. */
const SLOW = 4;

/** What to put on instead, where it stays inside and outside. */
const quickerThan = (coat: Coat): Coat => (COATS[coat].outdoors ? 'exterior urethane' : 'water polyurethane');

/**
 * Slow coats swapped for one that dries in hours, by what is put on now: when the job is ready then, and what it adds
 * to the list. Those alone that bring the day forward.
 *
 * @param ready the day it is ready as it is, by the same effort.
 */
export function fasterCoats(job: Job, plan: Plan, ready: string, options: PlanOptions): readonly Sooner[] {
  const slow = new Map<Coat, Map<string, readonly Change[]>>();
  for (const { piece, finishing } of plan.pieces)
    for (const { recipe } of finishing.treatments) {
      const { coat } = recipe;
      if (coat === 'none' || coat === 'enamel' || COATS[coat].hours < SLOW || quickerThan(coat) === coat) continue;
      const own = slow.get(coat) ?? new Map<string, readonly Change[]>();
      slow.set(coat, own);
      const next = quickerThan(coat);
      own.set(
        `${job.recipes.some(({ id }) => id === recipe.id) ? '' : piece.id}.${recipe.id}`,
        recipeChanges(job, piece, recipe, { coat: next, coats: COATS[next].coats, by: 'brush' }),
      );
    }
  return [...slow].flatMap(([coat, recipes]): readonly Sooner[] => {
    // One after the other: each new recipe takes an id that the ones before have not.
    const next = quickerThan(coat);
    const changes = [...recipes.values()].flat();
    const then = planJob(applyChanges(job, changes), options);
    const days = then.calendar.ready === null ? 0 : daysSooner(then.calendar.ready, ready);
    return then.calendar.ready === null || days <= 0
      ? []
      : [
          {
            id: `coat-${coat}`,
            label: say`${strong(next)} instead of ${strong(coat)}`,
            but: say`It dries in ${COATS[next].hours} hours, and looks paler and cooler: try it on an offcut.`,
            ready: then.calendar.ready,
            days,
            adds: then.list.total - plan.list.total,
            changes,
          },
        ];
  });
}
