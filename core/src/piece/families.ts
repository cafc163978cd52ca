import { held } from '../lists';
import type { Piece } from '../job';
import { aprons } from './bases/aprons';
import { bench } from './bases/bench';
import { caseFamily } from './bases/case';
import { endTable } from './bases/end-table';
import { extending } from './bases/extending';
import { folding } from './bases/folding';
import { hairpin } from './bases/hairpin';
import { heavyTrestle } from './bases/heavy-trestle';
import { topAlone } from './bases/none';
import { pedestal } from './bases/pedestal';
import { shelfUnit } from './bases/shelf-unit';
import { splayed } from './bases/splayed';
import { trestle } from './bases/trestle';
import { xFrame } from './bases/x-frame';
import { settled, type Spec } from './choice';
import type { Family, Top } from './family';
import { boughtTop, foundTop } from './tops/bought';
import { breadboard } from './tops/breadboard';
import { joined } from './tops/joined';
import { octagon } from './tops/octagon';
import { panel } from './tops/panel';
import { planks } from './tops/planks';
import { round } from './tops/round';
import { edgedSheet } from './tops/sheet';
import { slats } from './tops/slats';
import { tiles } from './tops/tiles';

/** One line a family. */
export const FAMILIES: readonly Family[] = [
  aprons,
  splayed,
  hairpin,
  folding,
  trestle,
  heavyTrestle,
  xFrame,
  pedestal,
  bench,
  endTable,
  extending,
  caseFamily,
  shelfUnit,
  topAlone,
];

/** One line a top. */
export const TOPS: readonly Top[] = [
  joined,
  breadboard,
  planks,
  edgedSheet,
  panel,
  round,
  slats,
  octagon,
  tiles,
  boughtTop,
  foundTop,
];

const byId = <T extends { readonly id: string }>(all: readonly T[]) => new Map(all.map((one) => [one.id, one]));
const families = byId(FAMILIES);
const tops = byId(TOPS);

/** The family of a piece: the job was checked at the border, so there is one. */
export const familyOf = (piece: Pick<Piece, 'family'>): Family => held(families, piece.family);
/** The top of a piece; null where its family has none of its own choosing. */
export const topOf = (piece: Pick<Piece, 'family' | 'top'>): Top | null =>
  familyOf(piece).topped ? (tops.get(piece.top) ?? null) : null;
export const findFamily = (id: string): Family | null => families.get(id) ?? null;
export const findTop = (id: string): Top | null => tops.get(id) ?? null;

/** Why a top can not stand on a family at this size, in words; null where it can. */
export const refusal = (piece: Piece, family: Family, top: Top): string | null =>
  family.refuses?.(top, piece.size, settled(family.choices, family.id === piece.family ? piece.choices : {})) ?? null;

/** A choice of a piece's family by name; null where that family does not offer it. */
export const choosable = (piece: Pick<Piece, 'family'>, name: string): Spec | null =>
  familyOf(piece).choices[name] ?? null;
