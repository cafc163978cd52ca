import type { Board } from './buying';
import { set } from './job';
import type { Finding, Job, Piece } from './job';
import type { PieceModel } from './piece';
import { sawingOf, type Sawing } from './sawing';
import { plain, say, type Phrase } from './words';

/**
 * What stands where a room failed: a note that says what is missing, and the rest of the plan. A fault of the program is
 * never the end of the plan, and never passed over in silence.
 */
const note = (
  id: string,
  piece: Piece | null,
  title: Phrase,
  error: unknown,
  rest: Pick<Finding, 'stage' | 'remedies'>,
): Finding => ({
  id,
  level: 'stop',
  piece: piece?.id ?? null,
  about: [],
  title,
  because: say`That is a fault of this program and not yours: “${error instanceof Error ? error.message : String(error)}”. Undo the last change, or change what it is about; all the rest is planned.`,
  numbers: {},
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
    note(`${piece.id}.unbuilt`, piece, say`${piece.name} could not be worked out`, error, {
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
  note(`${piece.id}.unordered`, piece, say`The steps of ${piece.name} could not be worked out`, error, {
    stage: 'build',
    remedies: [],
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
          note(`job.unsawn-${unsawn.length}`, null, say`How a board is cut could not be worked out`, error, {
            stage: 'cuts',
            remedies: [],
          }),
        );
        return false;
      }
    });
    return { ...sawingOf(rest, shop), unsawn, notes };
  }
}

/** What of a plan stands only in notes of a fault: nothing where all rooms did their work. */
export const fallenBack = ({
  findings,
  buying,
}: {
  readonly findings: readonly Finding[];
  readonly buying: { readonly unplaced: readonly { readonly because: string }[] };
}): readonly string[] => [
  ...findings
    .filter(({ id }) => /\.(unbuilt|unordered)$|^job\.unsawn/.test(id))
    .map(({ id, because }) => `${id}: ${plain(because, 'in')}`),
  ...buying.unplaced.filter(({ because }) => because.includes('could not be worked out')).map(({ because }) => because),
];
