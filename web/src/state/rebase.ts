import { type Clash, first, isAlike, type Job, merged, readJob, type Whose } from '@sill/core';
import type { SavedJob } from '@sill/core/contract';

/** A save as a tab knows it; what was opened without a server has no id of its last save. */
export type Saved = Omit<SavedJob, 'save'> & { readonly save?: string | null };
/** A save that was sent and of which no answer is known. */
export type Sent = { readonly save: string; readonly job: Job };

/** A job with changes, and what they were made on: what the server had then. */
export type Grown = {
  readonly job: Job;
  readonly base: Job;
  readonly revision: number;
  readonly sent: readonly Sent[];
};

/** The changes on top of what the server has now; a conflict where a person must say which of two. */
export type Rebased =
  | {
      readonly conflict: false;
      readonly base: Job;
      readonly job: Job;
      readonly unsaved: boolean;
      readonly joined: boolean;
    }
  | { readonly conflict: true; readonly base: Job };

/**
 * What the changes grew from: a save of this tab's own whose answer was lost, where another tab saved on top of it, so
 * that all of it stands in what that one saved; else what the server had. Its own edit of before is then nobody else's.
 */
const grownFrom = ({ base, sent }: Pick<Grown, 'base' | 'sent'>, theirs: Job): Job =>
  sent.findLast(({ job }) => {
    const { job: both, clashes } = merged(base, job, theirs);
    return clashes.length === 0 && isAlike(both, theirs);
  })?.job ?? base;

/**
 * Changes that were made on one save put on top of a later one. What another tab changed is taken in where both did not
 * change the same; `joined` says that there was any. A save of this tab's own, whose answer was lost, is known by its
 * id.
 */
export function rebased({ job, base: had, revision, sent }: Grown, saved: Saved): Rebased {
  const own = saved.revision === revision || sent.some(({ save }) => save === saved.save);
  const base = own ? had : grownFrom({ base: had, sent }, saved.job);
  const put = own ? { job, clashes: [] } : merged(base, job, saved.job);
  if (put.clashes.length > 0 || (!own && !readJob(put.job).ok)) return { conflict: true, base };
  const unsaved = !isAlike(put.job, saved.job);
  return {
    conflict: false,
    base,
    job: unsaved ? put.job : saved.job,
    unsaved,
    joined: !own && !isAlike(base, saved.job),
  };
}

/** Steps back are put on the later save as well, so that undo takes back this tab's own changes and no other's. */
export const stepsOnTop = (steps: readonly Job[], base: Job, theirs: Job): readonly Job[] =>
  steps.slice(-MOST_STEPS).map((step) => merged(base, step, theirs, () => 'theirs').job);
/** Earlier ones are let go then: each costs as much as a save. */
const MOST_STEPS = 30;

/** The places that a person must choose at. Where the two can not be one job at all, there is one: the whole. */
export function clashesOf({ job, base }: Pick<Grown, 'job' | 'base'>, saved: Saved): readonly Clash[] {
  const { clashes } = merged(base, job, saved.job);
  return clashes.length > 0 ? clashes : [{ path: [], base, mine: job, theirs: saved.job }];
}

/** The two as one, as it was chosen; null where that is no job that can be kept. */
export function chosen({ job, base }: Pick<Grown, 'job' | 'base'>, saved: Saved, whose: readonly Whose[]): Job | null {
  const clashes = clashesOf({ job, base }, saved);
  if (first(clashes).path.length === 0) return whose[0] === 'theirs' ? saved.job : job;
  const picks = new Map(clashes.map(({ path }, at) => [path.join(' '), whose[at] ?? 'mine']));
  const result = merged(base, job, saved.job, ({ path }) => picks.get(path.join(' ')) ?? 'mine').job;
  return readJob(result).ok ? result : null;
}
