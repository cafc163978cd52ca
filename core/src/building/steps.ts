import type { Piece, Shop } from '../job';
import type { Fastening } from '../joinery';
import type { Part } from '../piece';
import { apronTableSteps } from './apron-table-steps';
import type { Step } from './step';

type MakeSteps = (piece: Piece, parts: readonly Part[], made: readonly Fastening[], shop: Shop) => readonly Step[];

const STEPS: Readonly<Record<Piece['family'], MakeSteps>> = { 'apron-table': apronTableSteps };

/** Steps of one piece; none where the piece can not be built. */
export const stepsOf: MakeSteps = (piece, parts, made, shop) =>
  parts.length === 0 ? [] : STEPS[piece.family](piece, parts, made, shop);
