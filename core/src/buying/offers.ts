import { PER_FOOT, printLength, toMm, type Length, type Units } from '../length';
import type { EntryOf, OnHand } from '../job';
import {
  isSheet,
  lumberAbout,
  printBoard,
  printMaterial,
  type BoardKey,
  type BoardOffer,
  type Sheet,
  type SheetOffer,
  type Sizes,
  type Stocked,
  type Yard,
} from '../stock';
import type { Board } from './board';

/** Size of an offer as sold. */
export const offerMaterial = (offer: BoardOffer | SheetOffer): Stocked =>
  'sheet' in offer ? offer.sheet : offer.board;
export const offerWidth = (offer: BoardOffer | SheetOffer, sizes: Sizes): Length =>
  'sheet' in offer ? offer.width : sizes.board(offer.board).width;

/** Everything the yard sells of a material today. */
export const offersOf = (material: Stocked, yard: Yard): readonly (BoardOffer | SheetOffer)[] =>
  isSheet(material)
    ? yard.sheets.filter((offer) => offer.sheet === material && offer.inStock)
    : yard.boards.filter((offer) => offer.board === material && offer.inStock);

/** An offer's name for people: 2×6×8, 140×45×2.4 m pine, or 3/4 plywood 96 × 48. */
export const offerName = (offer: BoardOffer | SheetOffer, units: Units): string =>
  'sheet' in offer
    ? `${printMaterial(offer.sheet)} ${printLength(offer.length, units)} × ${printLength(offer.width, units)}`
    : printBoard(
        offer.board,
        lumberAbout(offer.board).region === 'us'
          ? `${+(offer.length / PER_FOOT).toFixed(2)}`
          : `${+(toMm(offer.length) / 1000).toFixed(2)} m`,
      );

/** A piece on hand as an offer without a price. */
export const offerOf = (hand: OnHand): BoardOffer | SheetOffer => {
  const common = { id: `hand.${hand.id}`, price: 0, inStock: true };
  return isSheet(hand.material)
    ? { ...common, sheet: hand.material, length: hand.length, width: hand.width }
    : { ...common, board: hand.material, length: hand.length, grade: 'on hand' };
};

/** What a board to cut is called: 2×6×8 where it is bought, 2×6 41 1/2 where it is there. */
export const boardName = ({ offer, hand }: Pick<Board, 'offer' | 'hand'>, units: Units): string =>
  hand === null || 'sheet' in offer
    ? offerName(offer, units)
    : `${printMaterial(hand.material)} ${printLength(hand.length, units)}`;

/** A board as it was bought: at the price paid. */
export const boughtOffer = ({
  offer,
  material,
  length,
  width,
  grade,
  price,
}: EntryOf<'bought'>): BoardOffer | SheetOffer =>
  isSheet(material)
    ? { id: offer, sheet: material as Sheet, length, width, price, inStock: true }
    : { id: offer, board: material as BoardKey, length, grade, price, inStock: true };
