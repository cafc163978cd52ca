import { nth } from '../lists';
import type { Fastening } from '../joinery';
import { toInches } from '../length';
import type { Part } from '../piece';
import { gripOn } from './cases';
import type { Deck } from './decks';
import { motionOf, type Force, type Grip } from './frame';
import { modelOf } from './model';
import { bearsOf, lastingFor, type Load } from './sag';

/** Places along a deck that are loaded in turn, as shares of its length: its ends are what overhangs. */
const SHARES = [0.15, 0.3, 0.4, 0.5, 0.6, 0.7, 0.85] as const;

/**
 * Inches that a deck bends under a load by the model of the whole piece, with all that holds it: where it bends most.
 * Null where it is no part of what carries there.
 *
 * @param made the joints of the piece as they are made.
 */
export function bendsBy(parts: readonly Part[], made: readonly Fastening[], deck: Deck, load: Load): number | null {
  const model = modelOf(parts, made);
  const { min, max } = deck.box;
  const along = max[0] - min[0] >= max[1] - min[1] ? 0 : 1;
  const grips = SHARES.flatMap((share): readonly Grip[] => {
    const place: [number, number] = [toInches(min[0] + max[0]) / 2, toInches(min[1] + max[1]) / 2];
    place[along] = toInches(min[along] + (max[along] - min[along]) * share);
    const grip = gripOn(model, deck, ...place);
    return grip ? [grip.at] : [];
  });
  const rest = model.answer(model.weight, { isHeld: true })?.moved;
  if (grips.length < SHARES.length || !rest) return null;
  const pounds = bearsOf(deck, load);
  const force = (grip: Grip, share: number): Force => ({ at: grip, force: [0, 0, -pounds * share] });
  const under = (forces: readonly Force[], read: readonly Grip[]): number => {
    const moved = model.answer([...model.weight, ...forces], { isHeld: true })?.moved;
    return moved ? Math.max(...read.map((grip) => motionOf(grip, rest)[2] - motionOf(grip, moved)[2])) : Infinity;
  };
  if ('point' in load) return Math.max(...grips.map((grip) => under([force(grip, 1)], [grip])));
  // In four heaps, at the middles of its quarters.
  const heaps = [0, 2, 4, 6].map((k) => force(nth(grips, k), 1 / 4));
  return lastingFor(deck) * under(heaps, grips);
}
