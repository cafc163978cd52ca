import type { Board } from './buying';
import { note, set, type Finding, type FindingKind, type Job, type Piece, type Remedy, type StageName } from './job';
import type { PieceModel } from './piece';
import { sawingOf, type Sawing } from './sawing';
import { plain, say, type Phrase } from './words';

/**
 * What stands where a room failed: a note that says what is missing, and the rest of the plan. A fault of the program
 * is never the end of the plan, and never passed over in silence.
 */
const fault = (
  kind: FindingKind,
  piece: Piece | null,
  title: Phrase,
  error: unknown,
  { stage, ...rest }: { readonly stage: StageName; readonly which?: number; readonly remedies?: readonly Remedy[] },
): Finding =>
  note(piece?.id ?? null, kind, 'stop', stage, {
    about: [],
    title,
    because: say`That is a fault of this program and not yours: “${error instanceof Error ? error.message : String(error)}”. Undo the last change, or change what it is about; all the rest is planned.`,
    ...rest,
  });

/** A piece of which nothing could be built. */
export const unbuilt = (piece: Piece, error: unknown): PieceModel => ({
  parts: [],
  joints: [],
  assemblies: [],
  motions: [],
  needs: [],
  bearers: [],
  adaptations: [],
  findings: [
    fault('unbuilt', piece, say`${piece.name} could not be worked out`, error, {
      stage: 'shape',
      remedies: [
        {
          label: say`Take the usual choices`,
          changes: [set(piece.id, ['choices'], {}), set(piece.id, ['topChoices'], {}), set(piece.id, ['joins'], {})],
        },
      ],
    }),
  ],
});

/** The note that stands in for the steps of a piece. */
export const unordered = (piece: Piece, error: unknown): Finding =>
  fault('unordered', piece, say`The steps of ${piece.name} could not be worked out`, error, {
    stage: 'build',
  });

/** The saw's settings for all boards that can be sawn; of the others a note each, and what they were to give. */
export function sawable(
  boards: readonly Board[],
  shop: Job['shop'],
): Sawing & { readonly unsawn: readonly Board[]; readonly notes: readonly Finding[] } {
  try {
    return { ...sawingOf(boards, shop), unsawn: [], notes: [] };
  } catch {
    const unsawn: Board[] = [];
    const notes: Finding[] = [];
    const rest = boards.filter((board) => {
      try {
        return sawingOf([board], shop).boards.length > 0;
      } catch (error) {
        unsawn.push(board);
        notes.push(
          fault('unsawn', null, say`How a board is cut could not be worked out`, error, {
            stage: 'cuts',
            which: unsawn.length,
          }),
        );
        return false;
      }
    });
    return { ...sawingOf(rest, shop), unsawn, notes };
  }
}

const FAULTS: readonly FindingKind[] = ['unbuilt', 'unordered', 'unsawn'];

/** What of a plan stands only in notes of a fault: nothing where all rooms did their work. */
export const fallenBack = ({
  findings,
  buying,
}: {
  readonly findings: readonly Finding[];
  readonly buying: { readonly unplaced: readonly { readonly because: string }[] };
}): readonly string[] => [
  ...findings.filter(({ kind }) => FAULTS.includes(kind)).map(({ id, because }) => `${id}: ${plain(because, 'in')}`),
  ...buying.unplaced.filter(({ because }) => because.includes('could not be worked out')).map(({ because }) => because),
];
