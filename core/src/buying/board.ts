import type { OnHand } from '../job';
import type { Length } from '../length';
import type { Blank } from '../milling';
import type { BoardOffer, SheetOffer, Stocked } from '../stock';
import type { CutLayout, Slants } from '../cutting';

/** A piece on a numbered board or sheet, as it lies: x along the board, y across. */
export type CutPiece = {
  readonly blank: Blank;
  readonly x: Length;
  readonly y: Length;
  readonly length: Length;
  readonly width: Length;
  readonly turned: boolean;
  /** Degrees of its ends as it lies, turned and flipped. */
  readonly slants: Slants;
};

/** What a piece measures itself, however it lies: turned, its length runs across the board. */
export const ownSize = ({
  length,
  width,
  turned,
}: Pick<CutPiece, 'length' | 'width' | 'turned'>): { readonly length: Length; readonly width: Length } =>
  turned ? { length: width, width: length } : { length, width };

/** Cut, at some settings of the saw or wholly: it stays as it lies. */
export const isCutInto = ({ state }: Pick<Board, 'state'>): boolean => state === 'begun' || state === 'cut';

/** One board or sheet to cut, bought or there already. Numbers run through the job, in the order they are cut. */
export type Board = {
  readonly number: number;
  /** What is bought, or stands for what is there: then at no price. */
  readonly offer: BoardOffer | SheetOffer;
  /** The piece on hand that it is; null where it is bought. */
  readonly hand: OnHand | null;
  /** What it is in the ledger, or the one of a row on hand; null where it is still to be bought. */
  readonly body: string | null;
  /** To be bought, there, cut at some settings of the saw, or cut. Begun and cut it stays as it is. */
  readonly state: 'to buy' | 'bought' | 'on hand' | 'begun' | 'cut';
  /** The wish that it stays as it is, by its id; null where it may change with the plan. */
  readonly kept: string | null;
  readonly material: Stocked;
  readonly length: Length;
  readonly width: Length;
  readonly pieces: readonly CutPiece[];
  /** Straight cuts in the order they are made; for a sheet, each from edge to edge of what is left. */
  readonly cuts: CutLayout['cuts'];
  readonly offcuts: CutLayout['offcuts'];
};
