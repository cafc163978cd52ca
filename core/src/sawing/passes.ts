import { nth } from '../lists';
import type { CutPiece } from '../buying';
import { printOf, type Doing } from '../ledger';
import type { NumberedCut, Setup } from './setup';

/** One go through the saw: what is cut at once, in the order of work. Ticked off one by one at the bench. */
export type Pass = {
  readonly id: string;
  readonly setup: Setup;
  /** Numbers of the cuts made; none for a rip. */
  readonly cuts: readonly number[];
  readonly boards: readonly number[];
  readonly pieces: readonly CutPiece[];
};

/** Rounds in which every board comes at most once, so that those of a round may lie side by side. */
function rounds(cuts: readonly NumberedCut[]): readonly (readonly NumberedCut[])[] {
  const found: NumberedCut[][] = [];
  const seen = new Map<number, number>();
  for (const cut of cuts) {
    const round = seen.get(cut.board) ?? 0;
    seen.set(cut.board, round + 1);
    (found[round] ??= []).push(cut);
  }
  return found;
}

const chunked = <T>(rows: readonly T[], size: number): readonly (readonly T[])[] =>
  Array.from({ length: Math.ceil(rows.length / size) }, (_, at) => rows.slice(at * size, (at + 1) * size));

/** Letters of an id that a tick may have, less room for a number. */
const LETTERS = 110;

/**
 * The passes of a setting: crosscuts one by one or, where several may be cut at once, so many boards side by side; rips
 * a stick at a time; a sheet cut by cut.
 *
 * @param cuts all numbered cuts, in order.
 */
export function passesOf(setup: Setup, cuts: readonly NumberedCut[]): readonly Pass[] {
  const id = (at: number) => `${setup.id.slice(0, LETTERS)}#${at + 1}`;
  if (setup.kind === 'fence')
    return setup.runs.map(({ board, pieces }, at) => ({ id: id(at), setup, cuts: [], boards: [board], pieces }));
  const own = setup.cuts.map((number) => nth(cuts, number - 1));
  const groups = setup.gang > 1 ? rounds(own).flatMap((round) => chunked(round, setup.gang)) : own.map((cut) => [cut]);
  return groups.map((group, at) => ({
    id: id(at),
    setup,
    cuts: group.map(({ number }) => number),
    boards: group.map(({ board }) => board),
    pieces: group.flatMap(({ piece }) => (piece ? [piece] : [])),
  }));
}

/** A pass as work that is ticked off: what it cuts, at what setting. */
export const passDoing = ({ id, setup, pieces, boards }: Pass): Doing => ({
  id: `saw:${id}`,
  as: printOf([setup.kind, setup.setting, boards.length, pieces.map(({ blank, x, y }) => [blank.part.id, x, y])]),
});
