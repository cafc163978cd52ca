import * as v from 'valibot';
import type { ReadResult } from '../job';
import { read } from '../job';
import type { JobRecord } from './job-record';

/** What is not to be learnt from any more: `job` and what of it, or the id of a lesson. */
export const LEARNT = ['times', 'boards', 'prices', 'cuts', 'coverage'] as const;
export type Learnt = (typeof LEARNT)[number];

const text = v.pipe(v.string('must be text'), v.maxLength(200, 'must be at most 200 letters'));
const MemorySchema = v.object({
  forgotten: v.pipe(v.array(text), v.maxLength(5000, 'must be at most 5000 rows')),
});
/** What a builder wants forgotten: names made by `forgets`, and ids of lessons. */
export type Memory = { readonly forgotten: readonly string[] };
export const EMPTY_MEMORY: Memory = { forgotten: [] };

export const readMemory = (input: unknown): ReadResult<Memory> => read<Memory>(MemorySchema, input, 'record');

/** What stands in a memory where one kind of figure of one job is forgotten. */
export const forgets = (job: string, what: Learnt): string => `${what} of ${job}`;

/** Records of which none is told twice: a copy of a job that was begun carries the ledger of the other. */
export function apart(records: readonly JobRecord[]): readonly JobRecord[] {
  const seen = new Set<string>();
  return records.filter(({ setOut }) => {
    if (setOut === null) return true;
    const isNew = !seen.has(setOut.id);
    seen.add(setOut.id);
    return isNew;
  });
}

/** Records without what is forgotten, none twice. What the jobs themselves came to stays. */
export function remembered(records: readonly JobRecord[], { forgotten }: Memory): readonly JobRecord[] {
  const gone = new Set(forgotten);
  const is = (job: string, what: Learnt) => gone.has(forgets(job, what));
  return apart(records).map((one) => ({
    ...one,
    ...(is(one.id, 'times') ? { times: {} } : {}),
    ...(is(one.id, 'boards') ? { boards: { taken: 0, spoiled: 0, rejected: 0 } } : {}),
    ...(is(one.id, 'prices') ? { prices: { count: 0, listed: 0, paid: 0 } } : {}),
    ...(is(one.id, 'cuts') ? { cuts: { count: 0, squares: 0 } } : {}),
    ...(is(one.id, 'coverage') ? { coverage: [] } : {}),
    lessons: one.lessons.filter(({ id }) => !gone.has(id)),
  }));
}
