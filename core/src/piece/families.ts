import type { Piece, Shop } from '../job';
import type { Units } from '../length';
import { topNominals, type Nominal } from '../stock';
import { apronTable, type PieceModel } from './apron-table';

type Build = (piece: Piece, topNominal: Nominal, shop: Shop, units: Units) => PieceModel;

/** One line a family. */
export const FAMILIES: Readonly<Record<Piece['family'], { readonly name: string; readonly build: Build }>> = {
  'apron-table': { name: 'Four legs and aprons', build: apronTable },
};

/** Parts and joints of one copy of a piece. */
export const buildPiece: Build = (piece, topNominal, shop, units) =>
  FAMILIES[piece.family].build(piece, topNominal, shop, units);

/** The nominal widths the top may be joined from: the one chosen, or all of its thickness for "cheapest". */
export function topCandidates(piece: Piece): readonly Nominal[] {
  const { thickness, width } = piece.choices.top;
  const all = topNominals(thickness);
  return width === 'cheapest' ? all : all.filter((nominal) => nominal === `${thickness}${width}`);
}
