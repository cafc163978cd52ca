import type { Finding, Plan, StageName } from '@sill/core';

/** A stage is about one piece, or about the whole job. */
const OF_PIECE: readonly StageName[] = ['brief', 'shape', 'parts', 'joints', 'build', 'finish'];

/** Findings for the margin of a stage, those that stop first. */
export function notesOf(plan: Plan | null, stage: StageName, piece: string | null): readonly Finding[] {
  return (plan?.findings ?? []).filter(
    (finding) =>
      finding.stage === stage && (finding.piece === null || finding.piece === piece || !OF_PIECE.includes(stage)),
  );
}
