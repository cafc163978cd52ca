import { inches, type Length } from '../length';
import type { Piece } from '../job';
import { settled } from './choice';
import { topOf } from './families';
import type { Part } from './part';
import { boxOf } from './shape';
import type { ProfileName } from './tops/profile';

/** An edge to be shaped: with what bit, how deep, and how far round the top it runs, to the inch. */
export type Profile = { readonly name: Exclude<ProfileName, 'eased'>; readonly deep: Length; readonly run: Length };

/**
 * The profile of a piece's top; null where its edges are only eased, or it has none that takes one.
 *
 * @param parts of the piece: those of its top, which the bit runs round.
 */
export function profileOf(piece: Piece, parts: readonly Part[]): Profile | null {
  const top = topOf(piece);
  const name = top && (settled(top.choices, piece.topChoices).profile as ProfileName | undefined);
  if (!top || !name || name === 'eased') return null;
  const boxes = parts.filter(({ role }) => role === 'top' || role === 'edging').map(boxOf);
  if (boxes.length === 0) return null;
  const [long, wide] = ([0, 1] as const).map(
    (axis) => Math.max(...boxes.map(({ max }) => max[axis])) - Math.min(...boxes.map(({ min }) => min[axis])),
  ) as [Length, Length];
  const run = top.deck === 'round' ? Math.PI * Math.min(long, wide) : 2 * (long + wide);
  return { name, deep: inches(name === 'round 1/2' ? 1 / 2 : 1 / 4), run: Math.round(run / inches(1)) * inches(1) };
}
