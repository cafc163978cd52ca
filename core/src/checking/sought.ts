import type { Finding, Job, Remedy } from '../job';
import type { PieceFacts } from './facts';
import { firmWays } from './firm';
import { stiffWays } from './sag';

const SOUGHT: readonly Finding['kind'][] = ['sway', 'joint-gives', 'rail-sag', 'sag', 'shelf-sag'];

/** Whether the ways out of a note are looked for only when they are asked for: trying them takes a second or two. */
export const isSought = ({ kind, level, remedies }: Pick<Finding, 'kind' | 'level' | 'remedies'>): boolean =>
  level === 'care' && remedies.length === 0 && SOUGHT.includes(kind);

/** Ways out of a note that it sags, is loose or a joint gives: those that mend it when tried on the whole piece. */
export const soughtWays = (facts: PieceFacts, job: Job, note: Pick<Finding, 'kind'>): readonly Remedy[] =>
  note.kind === 'sag' || note.kind === 'shelf-sag'
    ? stiffWays(facts, job, note.kind === 'sag' ? 'top' : 'shelf')
    : firmWays(facts, job, note);
