import type { Finding } from '../job';
import { builtNotes } from './built';
import { cutNotes } from './cuts';
import { dayNotes } from './days';
import type { Facts } from './facts';
import { finishNotes, leftoverNotes } from './finish';
import { grainNotes } from './grain';
import { jointNotes } from './joints';
import { moneyNotes } from './money';
import { partNotes } from './parts';
import { recordNotes } from './record';
import { shopNotes } from './shop';
import { sizeNotes } from './size';
import { skewNotes } from './skew';
import { woodNotes } from './wood';

/**
 * The plan in, findings out. Reads every earlier room and feeds none. Used by the margin of each stage.
 */
export * from './facts';

export * from './people';
export { dayNotes } from './days';
export { isSought, soughtWays } from './sought';

const RANK = { stop: 0, care: 1, good: 2 } as const;

/** Findings with those that stop first, otherwise as they were. */
export const sortedFindings = (findings: readonly Finding[]): readonly Finding[] =>
  [...findings].sort((a, b) => RANK[a.level] - RANK[b.level]);

/** Every finding, the ones that stop first, otherwise in the order of the rooms. */
export const findingsOf = (facts: Facts): readonly Finding[] =>
  sortedFindings([
    ...facts.pieces.flatMap((piece) => [
      ...piece.model.findings,
      ...sizeNotes(piece, facts.job),
      ...woodNotes(piece, facts.job),
      ...partNotes(piece, facts.job),
      ...jointNotes(piece, facts.job),
      ...shopNotes(piece, facts.job),
      ...skewNotes(piece, facts.job),
      ...finishNotes(piece, facts.job),
    ]),
    ...moneyNotes(facts),
    ...cutNotes(facts),
    ...grainNotes(facts),
    ...leftoverNotes(facts, facts.job),
    ...builtNotes(facts),
    ...dayNotes(facts),
    ...recordNotes(facts),
  ]);
