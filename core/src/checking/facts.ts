import type { BenchCalendar } from '../calendar';
import type { Boards, BuyingList } from '../buying';
import type { JobRecord, Pace, Range } from '../record';
import type { FinishTold } from '../finishing';
import type { Job, Piece } from '../job';
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
  /** Its surfaces, and what they are finished with. */
  readonly finishing: FinishTold;
};

/** What the checks read: the plan without its findings. */
export type Facts = {
  readonly job: Job;
  readonly pieces: readonly PieceFacts[];
  readonly buying: Boards;
  readonly list: BuyingList;
  readonly offcuts: readonly OffcutUse[];
  readonly calendar: BenchCalendar;
  readonly pace: Pace;
  /** Minutes that are left, with the range they lie in. */
  readonly hours: Range;
  /** What other jobs of this builder say. */
  readonly records: readonly JobRecord[];
};

/** Whether everything asked for is on the list: else its totals are of a part only, and say so wherever they stand. */
export const isComplete = ({
  pieces,
  buying,
  list,
}: {
  readonly pieces: readonly Pick<PieceFacts, 'parts'>[];
  readonly buying: Pick<Boards, 'unplaced'>;
  readonly list: Pick<BuyingList, 'notSold'>;
}): boolean =>
  buying.unplaced.length === 0 && list.notSold.length === 0 && pieces.every(({ parts }) => parts.length > 0);
