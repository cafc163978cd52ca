import type { CutPiece } from '../buying';
import type { Tool } from '../job';
import type { Length } from '../length';
import type { Part } from '../piece';
import type { Phrase } from '../words';
import type { SheetCut } from './breakdown';

/**
 * A numbered cut, as it is drawn and written on the wood. A crosscut is at x where it begins and leans by its angle; a
 * rip is at y from x to x.
 */
export type NumberedCut = {
  readonly number: number;
  readonly board: number;
  readonly kind: 'crosscut' | 'rip';
  readonly at: Length;
  readonly from: Length;
  readonly to: Length;
  readonly angle: number;
  /** The piece whose right end it makes; null where it only begins one, and where a board is broken down. */
  readonly piece: CutPiece | null;
  /** The piece whose slanted left end it makes, where no piece before it lent its slant. */
  readonly begins: CutPiece | null;
  /** How a guide or fence is set for it, on what is broken down. */
  readonly setting: Pick<SheetCut, 'setting' | 'reference' | 'share'> | null;
};

/** One setting of a saw and everything that is cut with it before it is moved. */
export type Setup = {
  readonly id: string;
  /** By marks on the boards, a stop on the crosscut saw, a rip fence, or a guide clamped across a sheet. */
  readonly kind: 'marks' | 'stop' | 'fence' | 'guide';
  /** What does it; null where the shop has nothing, so that the yard must. */
  readonly tool: Tool | null;
  /** Length or width that the stop or fence is set to; for marks how far past each line; 0 for a sheet. */
  readonly setting: Length;
  /** Widths left by each pass where both edges are ripped, the last the width itself. Else empty. */
  readonly passes: readonly Length[];
  /** The first of the passes is the jointer's. */
  readonly jointed: boolean;
  readonly parts: readonly Part[];
  /** Cuts of the saw at this setting. */
  readonly count: number;
  readonly boards: readonly number[];
  /** Numbers of the cuts it makes, or makes roughly. */
  readonly cuts: readonly number[];
  /** Pieces it works on. */
  readonly pieces: readonly CutPiece[];
  /** Along a fence: what goes through in one, several pieces where they are ripped before they are parted. */
  readonly runs: readonly { readonly board: number; readonly pieces: readonly CutPiece[] }[];
  /** How many may be laid side by side and cut at once: only narrow crosscuts of one length. */
  readonly gang: number;
  /** Left long on purpose, and for what. */
  readonly extraFor: CutPiece['blank']['extraFor'];
  /** Angles the saw is turned to at the two ends, degrees; null for square ones. */
  readonly ends: CutPiece['blank']['ends'];
  /** Not in its usual place: before the rips. */
  readonly when: 'as usual' | 'before ripping';
  readonly cautions: readonly Phrase[];
};
