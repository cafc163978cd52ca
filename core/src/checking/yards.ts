import { set, type Job, type Remedy } from '../job';
import { SAMPLE_YARDS, type Yard } from '../stock';
import { say } from '../words';

/** Yards that the job does not buy at. */
export const othersThan = (job: Job): readonly Yard[] =>
  SAMPLE_YARDS.filter((yard) => ![job.yard, ...job.alsoAt].some(({ id }) => id === yard.id));

/** The ways out that another yard is: two at most. */
export const alsoAt = (yards: readonly Yard[]): readonly Remedy[] =>
  yards
    .slice(0, 2)
    .map((yard) => ({ label: say`Also buy at ${yard.name}`, changes: [set(null, ['alsoAt', yard.id], yard)] }));
