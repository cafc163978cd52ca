import type { Boards, BuyingList } from '../buying';
import type { Finding, Job, Piece } from '../job';
import type { Fastening } from '../joinery';
import type { Part, PieceModel } from '../piece';
import type { OffcutUse, Step } from '../building';

/** Everything computed about one piece. */
export type PieceFacts = {
  readonly piece: Piece;
  readonly model: PieceModel;
  readonly parts: readonly Part[];
  readonly fastenings: readonly Fastening[];
  readonly steps: readonly Step[];
};

/** What the checks read: the plan without its findings. */
export type Facts = {
  readonly job: Job;
  readonly pieces: readonly PieceFacts[];
  readonly buying: Boards;
  readonly list: BuyingList;
  readonly offcuts: readonly OffcutUse[];
};

type Rest = Pick<Finding, 'title' | 'because'> & Partial<Pick<Finding, 'about' | 'numbers' | 'remedies'>>;

/** A finding about a piece, or about the job when `piece` is null. */
export const note = (
  piece: string | null,
  id: string,
  level: Finding['level'],
  stage: Finding['stage'],
  rest: Rest,
): Finding => ({
  id: `${piece ?? 'job'}.${id}`,
  level,
  stage,
  piece,
  about: piece === null ? [] : [piece],
  numbers: {},
  remedies: [],
  ...rest,
});
